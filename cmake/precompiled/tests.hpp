// SPDX-License-Identifier: GPL-3.0-or-later
/// What nearly every test reads; compiled once (docs/decisions/0007 has the measurements).
#pragma once
#include "cmake/precompiled/quilt.hpp"

#include <gtest/gtest.h>
