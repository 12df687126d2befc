// SPDX-License-Identifier: GPL-3.0-or-later
// Edits that make shapes: built-in ones, halves joined, a shape cut in two, copies. New pieces lie just above
// the one they come from. As all edits they answer Code::noSuchBlock and noSuchPiece.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

struct NewShape {
    std::string name;
    shape::Outline outline; ///< mm on the block
    std::optional<quilt::Recipe> recipe{};
};

/// On top of all others, in that fabric; without one, in a new plain fabric.
[[nodiscard]] Edited addShapes(const Quilt& quilt, BlockId block, std::vector<NewShape> shapes,
                               FabricId fabric);

/// Another outline for a built-in shape, mm on the block, with the recipe that made it; goes back to be
/// traced. Errors: Code::alreadyFused.
[[nodiscard]] Edited remakePiece(const Quilt& quilt, BlockId block, PieceId piece, quilt::Recipe recipe,
                                 shape::Outline outline);

/// Stretches of its edge, as its drawing has them, that lie beneath another piece or in a seam.
[[nodiscard]] Edited setDotted(const Quilt& quilt, BlockId block, PieceId piece,
                               std::vector<shape::Contour> dotted);

/// The half template and its mirror image across its longest straight edge become one piece. Errors:
/// Code::noStraightEdge {piece}, alreadyFused.
[[nodiscard]] Edited unfoldPiece(const Quilt& quilt, BlockId block, PieceId piece);

/// Two half templates become one piece: `other` is brought to `piece`, straight edge against straight edge,
/// and is gone afterwards. Of the straight edges those are taken whose lengths agree best. Errors: as
/// unfoldPiece.
[[nodiscard]] Edited joinHalves(const Quilt& quilt, BlockId block, PieceId piece, PieceId other);

/// Cut along the endless line through a and b, mm on the block. Errors: Code::lineMisses {piece},
/// alreadyFused.
[[nodiscard]] Edited cutPiece(const Quilt& quilt, BlockId block, PieceId piece, shape::Point a,
                              shape::Point b);

/// One piece becomes two, in these outlines, mm on the block: itself, in `over`, and a new one in `under`
/// just below `beneath`. Both are traced anew. Errors: Code::alreadyFused.
[[nodiscard]] Edited splitPiece(const Quilt& quilt, BlockId block, PieceId piece, shape::Outline over,
                                shape::Outline under, PieceId beneath);

inline constexpr int mostCopies = 200;

/// `count` alike in all, at equal angles about `centre`, mm on the block; turned with it.
[[nodiscard]] Edited repeatRound(const Quilt& quilt, BlockId block, PieceId piece, shape::Point centre,
                                 int count);

/// `count` alike in all, each that much further than the one before.
[[nodiscard]] Edited repeatAlong(const Quilt& quilt, BlockId block, PieceId piece, Length right, Length down,
                                 int count);

enum class MirrorLine : std::uint8_t { upright, level };
/// A mirrored copy across the line at `at` from the block's left or top edge.
[[nodiscard]] Edited mirrorCopy(const Quilt& quilt, BlockId block, PieceId piece, MirrorLine line, Length at);

} // namespace up::edit
