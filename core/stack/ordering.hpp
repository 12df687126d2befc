// SPDX-License-Identifier: GPL-3.0-or-later
// Orders from the bottom up that keep what lies on what, and where there is none.
#pragma once

#include "core/base/names.hpp"
#include "core/stack/stack.hpp"

#include <functional>

namespace up::stack {

/// Pieces that cannot be put in an order: each set of two or more of which every one lies, by some way round,
/// over every other. By position. Source: Tarjan, "Depth-First Search and Linear Graph Algorithms", 1972.
[[nodiscard]] std::vector<std::vector<std::size_t>> knotsOf(std::size_t count,
                                                            const std::vector<Pair>& pairs);

using Before = std::function<bool(std::size_t, std::size_t)>;

/// All positions, lower before upper for every pair; of those that may come next the first by `before`
/// (positions when empty). Pieces of a knot come by `before`, as if its pairs did not bind. Source: Kahn,
/// "Topological Sorting of Large Networks", 1962.
[[nodiscard]] std::vector<std::size_t> bottomFirst(std::size_t count, const std::vector<Pair>& pairs,
                                                   const Before& before = {});

/// Why one piece lies under another.
enum class Reason : std::uint8_t {
    said,    ///< the user wants it
    overlap, ///< drawn so, and they overlap
    lighter, ///< it is the lighter one: nothing darker shines through it
    drawn,   ///< they merely meet; drawn so
    forced   ///< what else was decided leaves no other way
};
constexpr auto keysOf(Reason) {
    return std::to_array<std::string_view>({"said", "overlap", "lighter", "drawn", "forced"});
}

struct Decision {
    std::size_t upper, lower;
    Reason reason;
};

/// Two pieces that meet along a border.
struct Border {
    std::size_t one, other; ///< one < other
    bool overlap;           ///< one lies on the other as drawn; else they merely meet
};

struct Ordered {
    std::vector<std::size_t> order;  ///< old positions, bottom first
    std::vector<Decision> decisions; ///< one for each border
};

/// Decides each border: what was said first, then overlaps as drawn, then, when `lightness` is given (L*, one
/// for each piece), the lighter one beneath, the largest difference first, then as drawn. A wish that would
/// tie a knot gives way to those before it. Pieces that no border parts keep their order as far as they can.
[[nodiscard]] Ordered decided(std::size_t count, const std::vector<Border>& borders,
                              const std::vector<Pair>& said, const std::vector<double>& lightness = {});

} // namespace up::stack
