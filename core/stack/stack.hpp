// SPDX-License-Identifier: GPL-3.0-or-later
// What lies on what, the steps this gives, and what is interwoven. Knows shapes only; a piece is its position
// in the stack, bottom first.
#pragma once

#include "core/shape/region.hpp"

#include <vector>

namespace up::stack {

/// Two pieces of which one lies on the other.
struct Overlap {
    std::size_t lower, upper;
    double area; ///< mm² that they share
    bool operator==(const Overlap&) const = default;
};

/// "This one goes over that one", whatever their positions.
struct Pair {
    std::size_t upper, lower;
    bool operator==(const Pair&) const = default;
};

struct Stack {
    std::vector<Overlap> overlaps; ///< by upper, then by lower
    /// 0 = lies on the background; else one above the highest it lies on. In a knot positions decide.
    std::vector<int> step;
    std::vector<bool> free; ///< touches no other piece
    /// Interwoven pieces, each over the next one's neighbour and no first one among them; by position.
    std::vector<std::vector<std::size_t>> knots;
};

/// A smaller share is a touch, not an overlap: mm², or a fifth of the smaller piece.
inline constexpr double leastOverlap = 0.5;
/// Outlines that merely meet share slivers from flattening: so thin, mm, on average.
inline constexpr double touching = 0.1;

/// All pairs that overlap, the lower position being the lower piece. Empty regions overlap nothing.
[[nodiscard]] std::vector<Overlap> overlapsOf(const std::vector<shape::Region>& pieces);
/// The same, knowing what overlapped before some pieces `changed`; only their pairs are tried.
[[nodiscard]] std::vector<Overlap> overlapsOf(const std::vector<shape::Region>& pieces,
                                              std::vector<Overlap> before, const std::vector<bool>& changed);

/// `said` turns pairs round; what is said of pieces that do not overlap means nothing.
[[nodiscard]] Stack stackOf(std::vector<Overlap> overlaps, std::size_t count,
                            const std::vector<Pair>& said = {});
[[nodiscard]] Stack stackOf(const std::vector<shape::Region>& pieces, const std::vector<Pair>& said = {});

} // namespace up::stack
