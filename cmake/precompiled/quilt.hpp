// SPDX-License-Identifier: GPL-3.0-or-later
/// What nearly every file reads that works with the document; compiled once (docs/decisions/0007 has the measurements).
#pragma once
#include "cmake/precompiled/standard.hpp"

#include "core/quilt/quilt.hpp"
#include "core/shape/region.hpp"
