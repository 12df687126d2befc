// SPDX-License-Identifier: GPL-3.0-or-later
// Edits at the sewing machine. As all edits they answer Code::noSuchBlock and noSuchPiece.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// A stretch of the piece's edge, of a mark on it, or of a line of the block, as it lies on the block.
struct Seam {
    PieceId piece; ///< none: `of` says of which line
    shape::Polyline line;
    int times = 1;                      ///< it was stitched along
    bool finishes = false;              ///< nothing of the piece is left to stitch: it is stitched
    measure::Length needle{}, bobbin{}; ///< thread that it took
    double needleMinutes = 0;           ///< of the machine
    LineId of{};
};
/// Its thread is on the machine then; spool and bobbin, where it is known what is on them, have as much less. Errors: as
/// record; Code::noSuchLine.
[[nodiscard]] Edited sew(const Quilt& quilt, BlockId block, const Seam& seam, std::int64_t time);

/// How these pieces' own edges are stitched; nothing: as the block's.
[[nodiscard]] Edited setOwnEdge(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                                const std::optional<quilt::EdgeStitch>& edge);

/// How those stretches of the piece's edge or of marks on it are stitched, as they lie on the block; nothing: as its edge.
[[nodiscard]] Edited setStretch(const Quilt& quilt, BlockId block, PieceId piece, const shape::Polyline& line,
                                const std::optional<quilt::EdgeStitch>& edge);

/// What lies under the block while it is stitched; how wide a stretch of it may be without a stitch if that is batting.
/// Errors: Code::absurdSize for one outside 10…1000 mm.
[[nodiscard]] Edited setBeneath(const Quilt& quilt, BlockId block, quilt::Beneath beneath,
                                quilt::Length battingHolds);

/// A new needle is in the machine.
[[nodiscard]] Quilt withNewNeedle(const Quilt& quilt);

/// So much of that thread was wound onto bobbins, off its spool if it is known what is on that. Errors:
/// Code::noSuchSupply.
[[nodiscard]] Edited windBobbin(const Quilt& quilt, ThreadId thread, quilt::Length length);

/// So far the needle may go in the open without tying off; none: never.
[[nodiscard]] Edited setJump(const Quilt& quilt, BlockId block, quilt::Length jump);

} // namespace up::edit
