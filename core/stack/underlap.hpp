// SPDX-License-Identifier: GPL-3.0-or-later
// How far lower pieces reach beneath upper ones, and how they are made to reach far enough.
#pragma once

#include "core/stack/stack.hpp"

namespace up::stack {

/// ¼ in. Source: common practice.
inline constexpr double usualUnderlap = 25.4 / 4;
/// A lower piece stays so far from the other edges of the upper one, or it would peek out there: 1/16 in.
/// Source: common practice. Narrow upper pieces ask for less.
inline constexpr double farMargin = 25.4 / 16;
/// Lines so close, mm, are one border: drawn twice, or a hair apart.
inline constexpr double meetingGap = 0.35;

/// Where a piece that shows ends at the pieces above it: stretches of their edges, longest first.
[[nodiscard]] std::vector<shape::Polyline> bordersOf(const shape::Region& visible,
                                                     const shape::Region& cover);

/// A border along which the lower piece does not reach far enough beneath the upper one.
struct Short {
    std::size_t lower, upper;
    double border = 0; ///< mm of border that fall short
    double least = 0;  ///< mm it reaches beneath at the shortest place; 0: they merely meet
    double wanted = 0; ///< mm there; less than asked for where the upper piece is narrow
    shape::Point spot; ///< the shortest place
    bool operator==(const Short&) const = default;
};

/// One piece as the others lie: those `above` it as far as it may reach, together `cover`; `visible` is what
/// shows of it.
struct Tucked {
    const std::vector<shape::Region>& pieces;
    std::size_t piece;
    const std::vector<std::size_t>& above;
    const shape::Region &cover, &visible;
};

/// So much of what is wanted is enough not to be told of. Common practice, no source: a piece drawn to reach
/// 1/8 in beneath another holds.
inline constexpr double enough = 0.5;
/// Shorter stretches that fall short are ends of borders. Common practice, no source.
inline constexpr double leastShort = 25.4 / 4;

/// Where it falls short of `amount` mm, each upper piece once. Measured along the borders, every millimetre:
/// from the border to the nearest hidden edge. Towards the ends of a border less is asked for, since a piece
/// may come in from one side.
[[nodiscard]] std::vector<Short> shortfalls(const Tucked& place, double amount = usualUnderlap);

/// The piece grown beneath those above it where it falls short, by `amount` mm at right angles to its borders,
/// never within
/// `farMargin` (or, where the upper piece is narrow, a fraction of its width) of where it would come out
/// again; a hair between it and the upper piece is bridged. What shows stays as it is. Only borders with one
/// of `under` grow; all of them when it is empty. Without borders: as it is.
[[nodiscard]] shape::Region grownUnder(const Tucked& place, double amount = usualUnderlap,
                                       const std::vector<std::size_t>& under = {});

} // namespace up::stack
