// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/stacking.hpp"

#include <algorithm>
#include <map>
#include <set>

namespace up::edit {

using quilt::Block;
using quilt::Over;
using quilt::Piece;

namespace {

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
        return failure(Code::halfAnOrder);
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
        if (pair.upper == pair.lower) return failure(Code::overItself, {std::to_string(pair.upper.value)});
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
    const auto* old = liningOf(the(quilt.blocks, blockId), id);
    auto out = old ? removePiece(quilt, blockId, old->id) : Edited(quilt);
    if (!out) return out;
    return changeBlock(*out, blockId, [&](Quilt& whole, Block& block) {
        const auto owner = std::find_if(block.pieces.begin(), block.pieces.end(),
                                        [&](const Piece& p) { return p.id == id; });
        Piece lining{};
        lining.id = PieceId{whole.nextId++};
        lining.name = spoken("lining of {0}", {owner->name});
        lining.liningOf = id;
        lining.fabric = fabric;
        lining.thread = owner->thread;
        lining.unit = owner->unit;
        lining.outline = transformed(outline, placing(*owner));
        block.pieces.insert(owner, std::move(lining));
        notFinishedYet(block);
    });
}

Edited setOpacity(const Quilt& quilt, FabricId id, double opacity) {
    Quilt out = quilt;
    auto* fabric = find(out.fabrics, id);
    if (!fabric) return failure(Code::noSuchFabric, {std::to_string(id.value)});
    if (!(opacity >= 0 && opacity <= 1)) return failure(Code::badOpacity);
    fabric->opacity = opacity;
    return out;
}

Edited putFabric(const Quilt& quilt, const quilt::Fabric& fabric) {
    if (fabric.name.empty()) return failure(Code::badName, {fabric.name});
    return setOpacity(quilt, fabric.id, fabric.opacity).map([&](Quilt&& out) {
        the(out.fabrics, fabric.id) = fabric;
        return std::move(out);
    });
}

Edited setUnderlap(const Quilt& quilt, BlockId id, Length underlap) {
    constexpr Length least = Length::ofInches(1, 32), most = Length::ofInches(1, 1);
    if (underlap < least || underlap > most)
        return failure(Code::absurdSize, {spoken("underlap"), measure::say(underlap, quilt.units),
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

Edited leaveSo(const Quilt& quilt, BlockId id, const std::vector<quilt::LeftSo>& doubts) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        const auto isTheSame = [](const quilt::LeftSo& a, const quilt::LeftSo& b) {
            return a.doubt == b.doubt && a.piece == b.piece && a.other == b.other;
        };
        std::erase_if(block.leftSo, [&](const quilt::LeftSo& old) {
            return std::any_of(doubts.begin(), doubts.end(),
                               [&](const quilt::LeftSo& now) { return isTheSame(old, now); });
        });
        block.leftSo.insert(block.leftSo.end(), doubts.begin(), doubts.end());
    });
}

Edited askAgain(const Quilt& quilt, BlockId id) {
    return changeBlock(quilt, id, [](Quilt&, Block& block) { block.leftSo.clear(); });
}

namespace {

/// `change(piece)` for the pieces and for their linings, each once; none of them may be fused or locked.
template<class Change>
Edited changePlaces(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, Change change) {
    for (const PieceId piece : pieces) {
        const auto known = changeable(quilt, id, piece);
        if (!known) return tl::unexpected(known.error());
        if ((*known)->locked) return failure(Code::locked, {(*known)->name});
    }
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        const std::set<PieceId> named(pieces.begin(), pieces.end());
        for (auto& piece : block.pieces) {
            const bool follows = piece.liningOf && named.contains(piece.liningOf);
            if (!follows && !named.contains(piece.id)) continue;
            const auto before = piece;
            change(piece, follows ? piece.liningOf : piece.id);
            carryLines(block, before, piece);
        }
    });
}

} // namespace

Edited movePieces(const Quilt& quilt, BlockId id, const Moves& moves) {
    std::vector<PieceId> pieces;
    std::map<PieceId, shape::Point> by;
    for (const auto& [piece, way] : moves)
        pieces.push_back(piece), by[piece] = way;
    return changePlaces(quilt, id, pieces, [&](Piece& piece, PieceId with) {
        piece.place.right = piece.place.right + Length::ofMm(by[with].x);
        piece.place.down = piece.place.down + Length::ofMm(by[with].y);
    });
}

Edited turnPieces(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, measure::Angle by) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    shape::Point middle{0, 0};
    for (const PieceId piece : pieces)
        if (const auto* known = find(block->pieces, piece))
            middle = middle + middleOf(*known) * (1.0 / static_cast<double>(pieces.size()));
    const auto about = shape::Transform::turnAbout(middle, by);
    return changePlaces(quilt, id, pieces, [&](Piece& piece, PieceId) {
        const auto way = about(middleOf(piece)) - middleOf(piece);
        piece.place.turn = (piece.place.turn + by).normal();
        piece.place.right = piece.place.right + Length::ofMm(way.x);
        piece.place.down = piece.place.down + Length::ofMm(way.y);
    });
}

} // namespace up::edit
