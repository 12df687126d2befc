// SPDX-License-Identifier: GPL-3.0-or-later
// Units: pieces that can be fused together on a pressing sheet before they go to the block.
#pragma once

#include "core/stack/stack.hpp"

#include <optional>

namespace up::stack {

/// Why pieces make a unit.
enum class UnitKind : std::uint8_t {
    base, ///< all but the lowest lie on it or on each other: eyes on a head
    hub   ///< several reach beneath one, like petals beneath the middle of a flower
};

struct Unit {
    UnitKind kind;
    std::vector<std::size_t> pieces; ///< two or more, bottom first
    bool operator==(const Unit&) const = default;
};

/// Units that the overlaps suggest, none sharing a piece, by their lowest piece. So much of a piece lies on
/// the others for it to belong to a base; what fills more than `largest` mm² is left to the block.
inline constexpr double liesOn = 0.85;
[[nodiscard]] std::vector<Unit> unitsIn(const std::vector<shape::Region>& pieces, const Stack& stack,
                                        double largest);

/// A piece that would have to go between those of the unit: it lies on one of them and beneath another, if
/// only by others between. Nothing: they can be fused first.
[[nodiscard]] std::optional<std::size_t> between(const std::vector<std::size_t>& unit, const Stack& stack);

} // namespace up::stack
