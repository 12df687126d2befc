// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/joining.hpp"

#include "core/edit/change.hpp"

namespace up::edit {

using quilt::Block;
using quilt::Piece;
using quilt::Quilting;
using quilt::Step;

Joining joiningOf(const Piece& piece) {
    return {piece.join, piece.shine == quilt::Shine::cutAway};
}

Edited join(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, const Joining& how) {
    const auto* owner = find(quilt.blocks, id);
    for (const auto pieceId : pieces) {
        const auto* piece = owner ? find(owner->pieces, pieceId) : nullptr;
        if (piece && piece->join != how.join && piece->work.step >= Step::fused)
            return failure(Code::alreadyJoined, {piece->name});
    }
    return changePieces(quilt, id, pieces, [&](Block& block, Piece& piece) {
        using quilt::Shine;
        if (how.cutsBehind)
            piece.shine = Shine::cutAway;
        else if (piece.shine == Shine::cutAway)
            piece.shine = Shine::ask;
        if (piece.join == how.join) return;
        piece.join = how.join;
        if (piece.isOffWeb()) piece.unit = 0; // units are fused
        beginAgain(block, piece);
    });
}

Edited setQuiltedFirst(const Quilt& quilt, BlockId id, bool first) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        if (first == (block.quilting != Quilting::after)) return;
        block.quilting = first ? Quilting::first : Quilting::after;
        if (first) block.beneath = quilt::Beneath::batting;
    });
}

Edited groundQuilted(const Quilt& quilt, BlockId id, std::int64_t time) {
    auto out = changeBlock(quilt, id, [](Quilt&, Block& block) { block.quilting = Quilting::done; });
    if (out) note(*out, {time, id, {}, quilt::Event::quilted, ""});
    return out;
}

} // namespace up::edit
