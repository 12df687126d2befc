// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/sewing.hpp"

#include "core/edit/change.hpp"

namespace up::edit {

using quilt::Block;
using quilt::Piece;

Edited sew(const Quilt& quilt, BlockId block, const Seam& seam, std::int64_t time) {
    auto out = changePiece(quilt, block, seam.piece, [&](Block&, Piece& piece) {
        auto line = transformed(shape::contourThrough(seam.line), placing(piece).inverse());
        line.closed = false;
        auto sewn = *piece.sewn;
        sewn.insert(sewn.end(), static_cast<std::size_t>(seam.times), line);
        piece.sewn = std::move(sewn);
    });
    if (!out || !seam.finishes) return out;
    return record(*out, block, {seam.piece}, quilt::Step::stitched, time);
}

Edited setOwnEdge(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                  const std::optional<quilt::EdgeStitch>& edge) {
    return changePieces(quilt, block, pieces, [&](Block&, Piece& piece) { piece.edge = edge; });
}

Edited setJump(const Quilt& quilt, BlockId block, quilt::Length jump) {
    return changeBlock(quilt, block, [&](Quilt&, Block& b) { b.jump = jump; });
}

} // namespace up::edit
