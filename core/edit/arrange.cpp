// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/arrange.hpp"

namespace up::edit {

Edited arranged(const Quilt& quilt, BlockId block, PieceId piece, const Arrangement& how) {
    switch (how.what) {
    case Arrange::mirrorUpright:
        return mirrorCopy(quilt, block, piece, MirrorLine::upright, Length::ofMm(how.at.x));
    case Arrange::mirrorLevel:
        return mirrorCopy(quilt, block, piece, MirrorLine::level, Length::ofMm(how.at.y));
    case Arrange::round: return repeatRound(quilt, block, piece, how.at, how.count);
    case Arrange::along:
        return repeatAlong(quilt, block, piece, Length::ofMm(how.at.x), Length::ofMm(how.at.y), how.count);
    case Arrange::cut: return cutPiece(quilt, block, piece, how.at, how.to);
    case Arrange::unfold: return unfoldPiece(quilt, block, piece);
    case Arrange::join: return joinHalves(quilt, block, piece, how.other);
    }
    return quilt;
}

Arrangement usualArrangement(const quilt::Block& block, const quilt::Piece& piece, Arrange what) {
    const auto box = boundsOf(quilt::placed(piece));
    const shape::Point middle{block.width.mm() / 2, block.height.mm() / 2}, own = box.centre();
    constexpr double gap = 25.4 / 4; // mm
    Arrangement out{what, middle, {}, 6, {}};
    if (what == Arrange::along) {
        out.at = {box.width() + gap, 0};
        out.count = 3;
    }
    if (what == Arrange::cut) out.at = {own.x, box.top - gap}, out.to = {own.x, box.bottom + gap};
    return out;
}

} // namespace up::edit
