// SPDX-License-Identifier: GPL-3.0-or-later
/// What nearly every test reads; compiled once (docs/decisions/0006 has the measurements).
#pragma once
#include "cmake/precompiled/standard.hpp"

#include <gtest/gtest.h>
