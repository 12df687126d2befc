// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of what lies on what and where: order, wishes, units, linings, places. As all edits they answer
// Code::noSuchBlock and noSuchPiece.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// Bottom first; `order` names every piece of the block once. Errors: Code::halfAnOrder otherwise.
[[nodiscard]] Edited reorder(const Quilt& quilt, BlockId block, const std::vector<PieceId>& order);

/// "`upper` goes over `lower`", without changing the order: what was said of the two before is dropped.
[[nodiscard]] Edited setOver(const Quilt& quilt, BlockId block, PieceId upper, PieceId lower);
/// All that is said of the block's pieces. Errors: Code::overItself.
[[nodiscard]] Edited setOvers(const Quilt& quilt, BlockId block, std::vector<quilt::Over> over);
/// Nothing is said of the two any more.
[[nodiscard]] Edited dropOver(const Quilt& quilt, BlockId block, PieceId one, PieceId other);

/// Another outline, mm on the block where it lies; it goes back to be traced. Errors: Code::alreadyFused.
[[nodiscard]] Edited reshapePiece(const Quilt& quilt, BlockId block, PieceId piece, shape::Outline outline);

/// A lining of that shape, as the piece's own drawing has it, one number before the piece; an older one of
/// the piece is replaced. It moves, turns and leaves with its piece. Errors: Code::alreadyFused.
[[nodiscard]] Edited addLining(const Quilt& quilt, BlockId block, PieceId piece, shape::Outline outline,
                               FabricId fabric);
/// The lining of a piece; nothing when it has none.
[[nodiscard]] const quilt::Piece* liningOf(const quilt::Block& block, PieceId piece);

/// 0…1. Errors: Code::badOpacity outside.
[[nodiscard]] Edited setOpacity(const Quilt& quilt, FabricId fabric, double opacity);
/// The fabric of that id: name, colour, print and opacity. Errors: as setOpacity; Code::badName for a
/// name of nothing.
[[nodiscard]] Edited putFabric(const Quilt& quilt, const quilt::Fabric& fabric);
/// Errors: Code::absurdSize outside 1/32…1 in.
[[nodiscard]] Edited setUnderlap(const Quilt& quilt, BlockId block, Length underlap);
[[nodiscard]] Edited setGround(const Quilt& quilt, BlockId block, quilt::Ground ground);

/// The pieces become one unit, or belong to none. Numbers do not change otherwise: whoever makes a unit
/// brings its pieces together first.
[[nodiscard]] Edited setUnit(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                             bool together);

/// Doubts that were looked at and left as they are; older words about the same are replaced.
[[nodiscard]] Edited leaveSo(const Quilt& quilt, BlockId block, const std::vector<quilt::LeftSo>& doubts);
/// Whatever was left as it is is asked about again.
[[nodiscard]] Edited askAgain(const Quilt& quilt, BlockId block);

/// Pieces and how far each moves, mm right and down.
using Moves = std::vector<std::pair<PieceId, shape::Point>>;
/// All at once; linings follow, and those of pieces that move are not moved for themselves. Errors:
/// Code::alreadyFused, Code::locked.
[[nodiscard]] Edited movePieces(const Quilt& quilt, BlockId block, const Moves& moves);
/// Clockwise, as one, about the middle of their middles, which stays where it is: turned back they lie as before.
/// Linings turn with their pieces. Errors: as movePieces.
[[nodiscard]] Edited turnPieces(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                                measure::Angle by);

} // namespace up::edit
