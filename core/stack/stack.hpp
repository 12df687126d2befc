// SPDX-License-Identifier: GPL-3.0-or-later
// What lies on what, the steps this gives, and what stays visible. Knows shapes only.
#pragma once

#include "core/shape/region.hpp"

#include <vector>

namespace up::stack {

/// Two pieces that share more than `leastOverlap` mm².
struct Overlap {
    std::size_t lower, upper; ///< positions in the stack, bottom first
    double area;              ///< mm²
};

struct Stack {
    std::vector<Overlap> overlaps;
    std::vector<int> step;  ///< 0 = lies on the background; else one above the highest it lies on
    std::vector<bool> free; ///< touches no other piece
};

/// Outlines that only touch share a sliver from flattening; less than this is no overlap.
inline constexpr double leastOverlap = 0.5;

/// `pieces`: bottom first. Empty regions overlap nothing.
/// Cost: booleans only for pairs whose boxes meet.
[[nodiscard]] Stack stackOf(const std::vector<shape::Region>& pieces);

/// Every piece without what the ones above it hide.
[[nodiscard]] std::vector<shape::Region> visibleParts(const std::vector<shape::Region>& pieces);

/// For every piece, the stretches of its edge that no piece above hides; stretches that meet are joined.
/// A whole visible ring repeats its first point at the end.
[[nodiscard]] std::vector<std::vector<shape::Polyline>>
visibleEdges(const std::vector<shape::Region>& pieces);

} // namespace up::stack
