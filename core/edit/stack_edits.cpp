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

Edited setOvers(const Quilt& quilt, BlockId id, std::vector<Over> over) {
    const auto* known = find(quilt.blocks, id);
    if (!known) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    for (const auto& pair : over) {
        for (const PieceId piece : {pair.upper, pair.lower})
            if (!find(known->pieces, piece)) return failure(Code::noSuchPiece, {std::to_string(piece.value)});
        if (pair.upper == pair.lower) return failure(Code::badUse, {"A piece cannot lie over itself."});
    }
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.over = std::move(over); });
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

Edited putFabric(const Quilt& quilt, const quilt::Fabric& fabric) {
    if (fabric.name.empty()) return failure(Code::badUse, {"A fabric needs a name."});
    return setOpacity(quilt, fabric.id, fabric.opacity).map([&](Quilt&& out) {
        *find(out.fabrics, fabric.id) = fabric;
        return std::move(out);
    });
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

namespace {

/// A lining goes with its piece, and must not go twice.
std::vector<PieceId> withoutFollowers(const Block& block, const std::vector<PieceId>& pieces) {
    std::vector<PieceId> out;
    for (const PieceId id : pieces) {
        const auto* piece = find(block.pieces, id);
        const bool follows = piece && piece->liningOf &&
                             std::find(pieces.begin(), pieces.end(), piece->liningOf) != pieces.end();
        if (!follows) out.push_back(id);
    }
    return out;
}

} // namespace

Edited movePieces(const Quilt& quilt, BlockId id, const Moves& moves) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    std::vector<PieceId> pieces;
    for (const auto& [piece, by] : moves)
        pieces.push_back(piece);
    const auto movers = withoutFollowers(*block, pieces);
    Edited out = quilt;
    for (const auto& [piece, by] : moves) {
        if (std::find(movers.begin(), movers.end(), piece) == movers.end()) continue;
        out = movePiece(*out, id, piece, Length::ofMm(by.x), Length::ofMm(by.y));
        if (!out) return out;
    }
    return out;
}

Edited turnPieces(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, measure::Angle by) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto turned = withoutFollowers(*block, pieces);
    shape::Box box;
    for (const PieceId piece : turned)
        if (const auto* known = find(block->pieces, piece)) box.take(boundsOf(placed(*known)));
    const auto about = shape::Transform::turnAbout(box.centre(), by);
    Edited out = quilt;
    for (const PieceId piece : turned) {
        const auto* known = find(block->pieces, piece);
        if (!known) return failure(Code::noSuchPiece, {std::to_string(piece.value)});
        const auto middle = middleOf(*known), wanted = about(middle);
        out = turnPiece(*out, id, piece, by).and_then([&](const Quilt& next) {
            return movePiece(next, id, piece, Length::ofMm(wanted.x - middle.x),
                             Length::ofMm(wanted.y - middle.y));
        });
        if (!out) return out;
    }
    return out;
}

} // namespace up::edit
