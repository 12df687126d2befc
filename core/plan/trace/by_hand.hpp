// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out by hand: pieces are moved and turned on their sheet, and what lies too close is named.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::plan {

/// The piece and all others that are rough cut with it; none when it has no place.
[[nodiscard]] std::vector<PieceId> chunkAround(const quilt::Layout& layout, PieceId piece);

/// The layout with those pieces moved, mm on the sheet, and turned about their common middle; they are
/// pinned, and chunks are told anew: pieces of one fabric nearer than two rough-cut margins are cut together, if one of them
/// was moved or they were before.
/// Pieces already traced, and unknown ones, stay.
[[nodiscard]] quilt::Layout movedByHand(const quilt::Block& block, const quilt::Layout& layout,
                                        const std::vector<PieceId>& pieces, double right, double down,
                                        measure::Angle turn);

struct TooClose {
    PieceId piece;
    PieceId other; ///< none: it reaches over the sheet's edge
    bool operator==(const TooClose&) const = default;
};
/// All of the layout's pieces that are nearer than they may be: a scissors' width within a fabric, two
/// rough-cut margins otherwise, less a tenth of a millimetre; pieces of strips may touch.
[[nodiscard]] std::vector<TooClose> tooClose(const quilt::Quilt& quilt, const quilt::Block& block,
                                             const quilt::Layout& layout);

} // namespace up::plan
