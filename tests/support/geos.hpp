// SPDX-License-Identifier: GPL-3.0-or-later
// The same questions put to GEOS, a geometry library outside the project.
#pragma once

#include "core/shape/region.hpp"

namespace up::test {

/// Area in mm² as GEOS has it. Rings of a region: outer and holes in any order.
[[nodiscard]] double geosArea(const shape::Region& region);
enum class Boolean { unite, intersect, subtract };
[[nodiscard]] double geosArea(const shape::Region& a, const shape::Region& b, Boolean what);
/// Area of the region grown by `by` mm with round corners of 64 segments a quarter.
[[nodiscard]] double geosBufferArea(const shape::Region& region, double by);
/// Least distance between two regions, mm; 0 when they meet.
[[nodiscard]] double geosDistance(const shape::Region& a, const shape::Region& b);
/// Radius of the largest circle within the region, mm.
[[nodiscard]] double geosInscribedRadius(const shape::Region& region);
/// Length of the ring's line inside the region, mm.
[[nodiscard]] double geosLengthInside(const shape::Polyline& line, const shape::Region& region);

} // namespace up::test
