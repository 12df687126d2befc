// SPDX-License-Identifier: GPL-3.0-or-later
// Where a number fits best inside a shape.
#pragma once

#include "core/shape/region.hpp"

namespace up::shape {

struct Deepest {
    Point at;
    double depth = 0; ///< mm to the nearest edge; 0 for an empty region
};

/// A point of the region whose depth is the greatest there is, less at most `precision` mm or that share of its own:
/// an eighth is near enough for a number, and quick on rings, where very many points are equally deep. Method: squares
/// that may hold a deeper point are split, the most promising first (branch and bound).
[[nodiscard]] Deepest deepestPoint(const Region& region, double precision = 0.5, double share = 0.125);

} // namespace up::shape
