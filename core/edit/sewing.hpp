// SPDX-License-Identifier: GPL-3.0-or-later
// Edits at the sewing machine. As all edits they answer Code::noSuchBlock and noSuchPiece.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// A stretch of the piece's edge, or of a mark on it, as it lies on the block.
struct Seam {
    PieceId piece;
    shape::Polyline line;
    int times = 1;         ///< it was stitched along
    bool finishes = false; ///< nothing of the piece is left to stitch: it is stitched
};
/// Errors: as record.
[[nodiscard]] Edited sew(const Quilt& quilt, BlockId block, const Seam& seam, std::int64_t time);

/// How these pieces' own edges are stitched; nothing: as the block's.
[[nodiscard]] Edited setOwnEdge(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                                const std::optional<quilt::EdgeStitch>& edge);

/// So far the needle may go in the open without tying off; none: never.
[[nodiscard]] Edited setJump(const Quilt& quilt, BlockId block, quilt::Length jump);

} // namespace up::edit
