// SPDX-License-Identifier: GPL-3.0-or-later
// What edits share: find the block or piece in a copy, change it, hand the copy back.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// Adds to the log; the old log stays with the old quilt.
void note(Quilt& quilt, quilt::LogEntry entry);

/// Maps the outline, the marks and the recipe. `keepWidths`: a built-in stem is as wide afterwards as before.
void remap(quilt::Piece& piece, const shape::Transform& by, bool keepWidths = false);

/// The piece with where it lies put into its outline and marks.
void settlePlace(quilt::Piece& piece);

/// The middle of its box where it lies on the block, about which it turns.
[[nodiscard]] shape::Point middleOf(const quilt::Piece& piece);

/// The piece if it may still be changed: not once it is fused. Errors: noSuchBlock, noSuchPiece,
/// alreadyFused.
[[nodiscard]] Result<const quilt::Piece*> changeable(const Quilt& quilt, BlockId block, PieceId piece);

/// The stash's key of what came off a thing with that key: other quilts give ids of their own.
[[nodiscard]] std::string partKey(const std::string& whole, std::int64_t time, std::uint32_t id);

/// Nothing of it is made yet; how often it was made before stays known.
void beginAgain(quilt::Piece& piece);
/// Only chunks of which a piece has got as far as that still wait on cloth.
void keepOnCloth(quilt::Block& block, quilt::Step from);
/// It is no longer as it was measured, trimmed and fitted.
void notFinishedYet(quilt::Block& block);
/// Lines on the piece go where it went.
void carryLines(quilt::Block& block, const quilt::Piece& from, const quilt::Piece& to);
/// Lines after the whole drawing was moved, scaled or mirrored; words are never reversed.
void remapLines(quilt::Block& block, const shape::Transform& by);
/// The template is another one: what was traced of it no longer fits.
void beginAgain(quilt::Block& block, quilt::Piece& piece);

template<class Change> [[nodiscard]] Edited changeBlock(const Quilt& quilt, BlockId id, Change change) {
    Quilt out = quilt;
    auto* block = find(out.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    change(out, *block);
    return out;
}

/// `change(block, piece)` for each of these.
template<class Change>
[[nodiscard]] Edited changePieces(const Quilt& quilt, BlockId blockId, const std::vector<PieceId>& ids,
                                  Change change) {
    Quilt out = quilt;
    auto* block = find(out.blocks, blockId);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(blockId.value)});
    for (const PieceId id : ids) {
        auto* piece = find(block->pieces, id);
        if (!piece) return failure(Code::noSuchPiece, {std::to_string(id.value)});
        change(*block, *piece);
    }
    return out;
}

template<class Change>
[[nodiscard]] Edited changePiece(const Quilt& quilt, BlockId block, PieceId piece, Change change) {
    return changePieces(quilt, block, {piece}, std::move(change));
}

} // namespace up::edit
