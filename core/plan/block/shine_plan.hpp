// SPDX-License-Identifier: GPL-3.0-or-later
// What shines through: cloth lets some light through, and where it lies over something much darker that is
// seen. Colours add up layer by layer, from the background to the top.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

/// Dark cloth shows through light cloth: so light, in L*, is the piece, and so much darker what lies beneath.
/// Common practice, no source: "light on dark".
inline constexpr double light = 75, muchDarker = 30;
/// So much must it change what is seen, in CIEDE2000: two or three times what can just be told apart. From
/// memory.
inline constexpr double seenDifference = 2.5;
/// The smallest place that counts, mm² (a tenth of a square inch), the narrowest, mm, and the least share of
/// what shows of the piece. Common practice, no source.
inline constexpr double leastShine = 64.5, thinnestShine = 25.4 / 8, leastShineShare = 0.1;

/// Something dark beneath a piece.
struct Shining {
    std::size_t piece;
    std::optional<std::size_t> beneath; ///< the dark one; nothing: the background
    shape::Region where;                ///< on the block, of what shows of the piece
    double share = 0;                   ///< of what shows of it, 0…1
    double darker = 0;                  ///< by how much L* is lower beneath
    double difference = 0;              ///< how much it changes what is seen, CIEDE2000
    Colour seen;                        ///< what the piece looks like there
};

/// Of each piece with an answer still to find (Shine::ask), what shines through it, the largest first.
[[nodiscard]] std::vector<Shining> shiningIn(const quilt::Quilt& quilt, const quilt::Block& block,
                                             const BlockPlan& plan);

/// Part of what shows of a piece, and its colour as light comes through.
struct Seen {
    shape::Region where; ///< on the block, mm
    std::size_t piece;
    Colour colour;
};
/// All that shows of the pieces, in places of one colour.
[[nodiscard]] std::vector<Seen> seenFrom(const quilt::Quilt& quilt, const quilt::Block& block,
                                         const BlockPlan& plan);

/// Inset of a lining, between 1/32 and 1/16 in. Source: common practice.
inline constexpr measure::Length liningInset = measure::Length::ofInches(3, 64);
/// The shape of a lining: a little smaller all round. Nothing where nothing is left of it.
[[nodiscard]] std::optional<shape::Outline> liningFor(const quilt::Piece& piece);
/// What a lining is cut from: the lightest plain fabric of the quilt that is nearly white. None: there is no
/// such.
[[nodiscard]] FabricId liningFabric(const quilt::Quilt& quilt);
inline constexpr double nearlyWhite = 88; ///< L*

} // namespace up::plan
