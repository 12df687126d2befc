// SPDX-License-Identifier: GPL-3.0-or-later
// From the contours of a filled shape to templates: which contour is an edge, which a hole; crossings
// repaired.
#pragma once

#include "core/shape/path.hpp"
#include "core/shape/region.hpp"

#include <optional>

namespace up::shape {

struct Sorted {
    std::vector<Outline> outlines; ///< one per island, largest first; curves kept unless repaired
    bool repaired = false; ///< a crossing was resolved by the fill rule; edges are straight stretches now
    std::optional<Point> crossing; ///< where, when repaired
    std::size_t flat = 0;          ///< contours of which nothing is left
    bool tangled = false;          ///< more crossings than a drawn shape has: given up, no outlines
};

/// Contours in any direction and order; open ones count as closed. Islands under `leastArea` mm² are dropped.
/// Crossings are looked for, and repaired, on lines within `tolerance` mm of the curves.
[[nodiscard]] Sorted sortContours(const std::vector<Contour>& contours, Fill rule, double leastArea = 0.01,
                                  double tolerance = defaultTolerance);

} // namespace up::shape
