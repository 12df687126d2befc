// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/stacking.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Over;
using quilt::Piece;

namespace {

template<class Change>
Edited changePieces(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, Change change) {
    Quilt out = quilt;
    auto* block = find(out.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    for (const PieceId pieceId : pieces) {
        auto* piece = find(block->pieces, pieceId);
        if (!piece) return failure(Code::noSuchPiece, {std::to_string(pieceId.value)});
        change(*block, *piece);
    }
    return out;
}

void dropOver(Block& block, PieceId one, PieceId other) {
    std::erase(block.over, Over{one, other});
    std::erase(block.over, Over{other, one});
}

} // namespace

Edited reorder(const Quilt& quilt, BlockId id, const std::vector<PieceId>& order) {
    const auto* known = find(quilt.blocks, id);
    if (!known) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    std::vector<Piece> pieces;
    for (const PieceId piece : order)
        if (const auto* found = find(known->pieces, piece); found && !find(pieces, piece))
            pieces.push_back(*found);
    if (pieces.size() != known->pieces.size() || order.size() != pieces.size())
        return failure(Code::badUse, {"An order must name every piece of the block once."});
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.pieces = std::move(pieces); });
}

Edited setOver(const Quilt& quilt, BlockId block, PieceId upper, PieceId lower) {
    return changePieces(quilt, block, {upper, lower}, [&](Block& owner, Piece& piece) {
        if (piece.id != lower || upper == lower) return;
        dropOver(owner, upper, lower);
        owner.over.push_back({upper, lower});
    });
}

Edited dropOver(const Quilt& quilt, BlockId block, PieceId one, PieceId other) {
    return changeBlock(quilt, block, [&](Quilt&, Block& owner) { dropOver(owner, one, other); });
}

Edited reshapePiece(const Quilt& quilt, BlockId block, PieceId id, shape::Outline outline) {
    if (const auto known = changeable(quilt, block, id); !known) return tl::unexpected(known.error());
    return changePiece(quilt, block, id, [&](Block& owner, Piece& piece) {
        settlePlace(piece);
        piece.outline = std::move(outline);
        piece.recipe.reset();
        beginAgain(owner, piece);
    });
}

const Piece* liningOf(const Block& block, PieceId piece) {
    const auto lining = std::find_if(block.pieces.begin(), block.pieces.end(),
                                     [&](const Piece& p) { return piece && p.liningOf == piece; });
    return lining == block.pieces.end() ? nullptr : &*lining;
}

Edited addLining(const Quilt& quilt, BlockId blockId, PieceId id, shape::Outline outline, FabricId fabric) {
    const auto known = changeable(quilt, blockId, id);
    if (!known) return tl::unexpected(known.error());
    if (!find(quilt.fabrics, fabric)) return failure(Code::noSuchFabric, {std::to_string(fabric.value)});
    const auto* old = liningOf(*find(quilt.blocks, blockId), id);
    auto out = old ? removePiece(quilt, blockId, old->id) : Edited(quilt);
    if (!out) return out;
    return changeBlock(*out, blockId, [&](Quilt& whole, Block& block) {
        const auto owner = std::find_if(block.pieces.begin(), block.pieces.end(),
                                        [&](const Piece& p) { return p.id == id; });
        Piece lining{};
        lining.id = PieceId{whole.nextId++};
        lining.name = "lining of " + owner->name;
        lining.liningOf = id;
        lining.fabric = fabric;
        lining.thread = owner->thread;
        lining.unit = owner->unit;
        lining.outline = transformed(outline, placing(*owner));
        block.pieces.insert(owner, std::move(lining));
        block.trimmed = false;
    });
}

Edited setShine(const Quilt& quilt, BlockId block, PieceId piece, quilt::Shine shine) {
    return changePiece(quilt, block, piece, [&](Block&, Piece& changed) { changed.shine = shine; });
}

Edited setOpacity(const Quilt& quilt, FabricId id, double opacity) {
    Quilt out = quilt;
    auto* fabric = find(out.fabrics, id);
    if (!fabric) return failure(Code::noSuchFabric, {std::to_string(id.value)});
    if (!(opacity >= 0 && opacity <= 1))
        return failure(Code::badUse, {"How much light a fabric holds back is between 0 and 100 %."});
    fabric->opacity = opacity;
    return out;
}

Edited setUnderlap(const Quilt& quilt, BlockId id, Length underlap) {
    constexpr Length least = Length::ofInches(1, 32), most = Length::ofInches(1, 1);
    if (underlap < least || underlap > most)
        return failure(Code::absurdSize, {"underlap", measure::say(underlap, quilt.units),
                                          measure::say(least, quilt.units), measure::say(most, quilt.units)});
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.underlap = underlap; });
}

Edited setGround(const Quilt& quilt, BlockId id, quilt::Ground ground) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.ground = std::move(ground); });
}

Edited setUnit(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, bool together) {
    int unit = 0;
    if (const auto* block = find(quilt.blocks, id); block && together)
        for (const auto& piece : block->pieces)
            unit = std::max(unit, piece.unit);
    return changePieces(quilt, id, pieces,
                        [&](Block&, Piece& piece) { piece.unit = together ? unit + 1 : 0; });
}

Edited setLocked(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, bool locked) {
    return changePieces(quilt, id, pieces, [&](Block&, Piece& piece) { piece.locked = locked; });
}

Edited setCounted(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, bool counted) {
    return changePieces(quilt, id, pieces, [&](Block&, Piece& piece) { piece.counted = counted; });
}

Edited movePieces(const Quilt& quilt, BlockId block, const Moves& moves) {
    Edited out = quilt;
    for (const auto& [piece, by] : moves) {
        out = movePiece(*out, block, piece, Length::ofMm(by.x), Length::ofMm(by.y));
        if (!out) return out;
    }
    return out;
}

} // namespace up::edit
