// SPDX-License-Identifier: GPL-3.0-or-later
// A painter with a raster: each piece is painted over those before it, dot by dot.
#pragma once

#include "core/shape/region.hpp"

#include <vector>

namespace up::test {

/// mm² of each region that stays to be seen when they are painted one over another; by dots of `dot` mm.
[[nodiscard]] std::vector<double> paintedAreas(const std::vector<shape::Region>& regions, double dot);

} // namespace up::test
