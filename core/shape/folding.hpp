// SPDX-License-Identifier: GPL-3.0-or-later
// Edges that are folded under by hand: what is cut beyond the line, and where the allowance is clipped.
#pragma once

#include "core/shape/region.hpp"

#include <utility>

namespace up::shape {

struct Folding {
    Region cut;                                 ///< the shape with the allowance all round
    std::vector<std::pair<Point, Point>> clips; ///< from near the line to the cut edge
    bool isRound = false;                       ///< it is gathered over its template instead of being folded
    Polyline gathering; ///< of a round one: the running stitch, closed, midway between line and cut
};

/// `beyond`: the allowance, mm. The allowance within a bend has to spread when it is folded, and is clipped there: once
/// for every 15° that the edge turns inwards, up to 1/16 in from the line. Round is what fills 85 % or more of the circle
/// that is as long as its edge, and has neither hole nor corner. Source: common practice; the numbers invented.
[[nodiscard]] Folding foldingOf(const Region& shape, double beyond);

} // namespace up::shape
