// SPDX-License-Identifier: GPL-3.0-or-later
/// What nearly every test of the window reads; compiled once (docs/decisions/0007 has the measurements).
#pragma once
#include "cmake/precompiled/widgets.hpp"

#include <QTest>
#include <gtest/gtest.h>
