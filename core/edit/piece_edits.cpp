// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/naming.hpp"
#include "core/edit/stacking.hpp"
#include "core/quilt/fields.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Piece;

void note(Quilt& quilt, quilt::LogEntry entry) {
    auto log = *quilt.log;
    log.push_back(std::move(entry));
    quilt.log = std::move(log);
}

Edited renamePiece(const Quilt& quilt, BlockId block, PieceId id, std::string name) {
    return properName(name).and_then([&](const std::string& proper) {
        return changePiece(quilt, block, id, [&](Block&, Piece& piece) { piece.name = proper; });
    });
}

namespace {
void giveUpPlace(Block& block, PieceId id) {
    if (block.layout) std::erase_if(block.layout->traced, [&](const auto& t) { return t.piece == id; });
}
void forgetPressing(Block& block, PieceId id) {
    for (auto& press : block.pressed)
        std::erase(press.pieces, id);
    std::erase_if(block.pressed, [](const quilt::Pressed& press) { return press.pieces.empty(); });
}
} // namespace

void beginAgain(Piece& piece) {
    const int remade = piece.work.remade;
    reset(piece, quilt::About::making);
    piece.work.remade = remade;
}

void beginAgain(Block& block, Piece& piece) {
    beginAgain(piece);
    forgetPressing(block, piece.id);
    notFinishedYet(block);
    giveUpPlace(block, piece.id);
    keepOnCloth(block, quilt::Step::toTrace);
}

void notFinishedYet(Block& block) {
    block.trimmed = false;
    block.fitting.measured.reset();
    block.fitting.sewn = 0;
}

void keepOnCloth(Block& block, quilt::Step from) {
    std::erase_if(block.onCloth, [&](const quilt::OnCloth& on) {
        return !block.layout ||
               std::none_of(block.layout->traced.begin(), block.layout->traced.end(), [&](const auto& t) {
                   const auto* piece = find(block.pieces, t.piece);
                   return t.chunk == on.chunk && piece && piece->work.step >= from;
               });
    });
}

Edited setFabric(const Quilt& quilt, BlockId block, PieceId id, FabricId fabric) {
    if (!find(quilt.fabrics, fabric)) return failure(Code::noSuchFabric, {std::to_string(fabric.value)});
    return changePiece(quilt, block, id, [&](Block& owner, Piece& piece) {
        if (piece.fabric == fabric) return;
        piece.fabric = fabric;
        piece.thread = threadFor(quilt, fabric);
        if (piece.work.step == quilt::Step::toTrace) giveUpPlace(owner, id);
    });
}

Edited setThread(const Quilt& quilt, BlockId block, PieceId id, ThreadId thread) {
    return changePiece(quilt, block, id, [&](Block&, Piece& piece) { piece.thread = thread; });
}

Edited removePiece(const Quilt& quilt, BlockId blockId, PieceId id) {
    return changePiece(quilt, blockId, id, [&](Block& block, Piece&) {
        for (const auto& piece : std::vector<Piece>(block.pieces)) {
            if (piece.id != id && piece.liningOf != id) continue;
            giveUpPlace(block, piece.id);
            forgetPressing(block, piece.id);
            if (block.layout)
                std::erase_if(block.layout->unplaced, [&](const auto& u) { return u.piece == piece.id; });
            std::erase_if(block.over,
                          [&](const auto& o) { return o.upper == piece.id || o.lower == piece.id; });
            std::erase_if(block.leftSo,
                          [&](const auto& l) { return l.piece == piece.id || l.other == piece.id; });
            for (auto& line : block.lines)
                if (line.on == piece.id) line.on = {};
            std::erase_if(block.pieces, [&](const Piece& p) { return p.id == piece.id; });
        }
    });
}

Result<const Piece*> changeable(const Quilt& quilt, BlockId block, PieceId id) {
    const auto* owner = find(quilt.blocks, block);
    if (!owner) return failure(Code::noSuchBlock, {std::to_string(block.value)});
    const auto* piece = find(owner->pieces, id);
    if (!piece) return failure(Code::noSuchPiece, {std::to_string(id.value)});
    if (piece->work.step >= quilt::Step::fused) return failure(Code::alreadyFused, {piece->name});
    return piece;
}

void settlePlace(Piece& piece) {
    remap(piece, placing(piece));
    piece.place = {};
}

shape::Point middleOf(const Piece& piece) {
    return boundsOf(*piece.outline).centre() + shape::Point{piece.place.right.mm(), piece.place.down.mm()};
}

namespace {

/// Once under the iron a piece stays where it is; so does one that is locked. `change` is made to the piece
/// and to its lining; where the middles of linings go is what `map` does to the plane, given the piece's
/// middle.
template<class Change, class Map>
Edited changePlace(const Quilt& quilt, BlockId block, PieceId id, Change change, Map map) {
    const auto known = changeable(quilt, block, id);
    if (!known) return tl::unexpected(known.error());
    if ((*known)->locked) return failure(Code::locked, {(*known)->name});
    const auto middle = middleOf(**known);
    return changePiece(quilt, block, id, [&](Block& owner, Piece& piece) {
        change(owner, piece);
        for (auto& lining : owner.pieces) {
            if (lining.liningOf != id) continue;
            const auto wanted = map(middle)(middleOf(lining));
            change(owner, lining);
            const auto own = boundsOf(*lining.outline).centre();
            lining.place.right = Length::ofMm(wanted.x - own.x);
            lining.place.down = Length::ofMm(wanted.y - own.y);
        }
    });
}

} // namespace

Edited movePiece(const Quilt& quilt, BlockId block, PieceId id, Length right, Length down) {
    return movePieces(quilt, block, {{id, {right.mm(), down.mm()}}});
}

Edited turnPiece(const Quilt& quilt, BlockId block, PieceId id, measure::Angle by) {
    return turnPieces(quilt, block, {id}, by);
}

Edited mirrorPiece(const Quilt& quilt, BlockId block, PieceId id) {
    return changePlace(
        quilt, block, id,
        [](Block& owner, Piece& piece) {
            remap(piece, shape::Transform::mirrorAcross(boundsOf(*piece.outline).centre().x));
            piece.place.turn = -piece.place.turn;
            beginAgain(owner, piece);
        },
        [](shape::Point middle) { return shape::Transform::mirrorAcross(middle.x); });
}

Edited scalePiece(const Quilt& quilt, BlockId block, PieceId id, double factor, bool keepWidths) {
    const auto* owner = find(quilt.blocks, block);
    const auto* known = owner ? find(owner->pieces, id) : nullptr;
    if (known) {
        const auto box = boundsOf(*known->outline);
        const double side = std::max(box.width(), box.height()) * factor;
        if (!(side >= leastPiece.mm()) || side > mostSide.mm())
            return failure(Code::absurdSize,
                           {known->name, measure::say(Length::ofMm(std::min(side, 1e6)), quilt.units),
                            measure::say(leastPiece, quilt.units), measure::say(mostSide, quilt.units)});
    }
    const auto about = [&](shape::Point middle) {
        return shape::Transform::moveBy(middle.x, middle.y) * shape::Transform::scale(factor, factor) *
               shape::Transform::moveBy(-middle.x, -middle.y);
    };
    return changePlace(
        quilt, block, id,
        [&](Block& changed, Piece& piece) {
            remap(piece, about(boundsOf(*piece.outline).centre()), keepWidths);
            beginAgain(changed, piece);
        },
        about);
}

Edited renameFabric(const Quilt& quilt, FabricId id, std::string name) {
    Quilt out = quilt;
    auto* fabric = find(out.fabrics, id);
    if (!fabric) return failure(Code::noSuchFabric, {std::to_string(id.value)});
    return properName(name).map([&](std::string&& proper) {
        fabric->name = std::move(proper);
        return out;
    });
}

Edited addFabric(const Quilt& quilt, std::string name, Colour colour) {
    return properName(name).map([&](const std::string& proper) {
        Quilt out = quilt;
        out.fabrics.push_back({FabricId{out.nextId++}, proper, colour, ""});
        out.threads.push_back({ThreadId{out.nextId++}, proper, colour, ""});
        return out;
    });
}

Edited addThread(const Quilt& quilt, std::string name, Colour colour) {
    return properName(name).map([&](const std::string& proper) {
        Quilt out = quilt;
        out.threads.push_back({ThreadId{out.nextId++}, proper, colour, ""});
        return out;
    });
}

ThreadId threadFor(const Quilt& quilt, FabricId fabric) {
    const auto* cloth = find(quilt.fabrics, fabric);
    for (const auto& thread : quilt.threads)
        if (cloth && (thread.name == cloth->name || thread.colour == cloth->colour)) return thread.id;
    return quilt.threads.empty() ? ThreadId{} : quilt.threads.front().id;
}

Edited record(const Quilt& quilt, BlockId blockId, const std::vector<PieceId>& pieces, quilt::Step step,
              std::int64_t time) {
    Quilt out = quilt;
    auto* block = find(out.blocks, blockId);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(blockId.value)});
    for (const PieceId id : pieces) {
        auto* piece = find(block->pieces, id);
        if (!piece) return failure(Code::noSuchPiece, {std::to_string(id.value)});
        auto work = quilt::advanced(piece->work, step, piece->way());
        if (!work) {
            work.error().args[0] = piece->name;
            return tl::unexpected(work.error());
        }
        piece->work = *work;
        if (step == quilt::Step::stitched) piece->sewn = {}; // the step says it
        note(out, {time, blockId, id, quilt::eventOf(step), ""});
    }
    return out;
}

Edited marksDrawnThrough(const Quilt& quilt, BlockId block, PieceId id) {
    return changePiece(quilt, block, id, [](Block&, Piece& piece) { piece.work.marksDrawn = true; });
}

Edited ruin(const Quilt& quilt, BlockId blockId, PieceId id, std::string reason, std::int64_t time) {
    auto out = changePiece(quilt, blockId, id, [&](Block& block, Piece& piece) {
        beginAgain(block, piece);
        ++piece.work.remade;
    });
    if (out) note(*out, {time, blockId, id, quilt::Event::ruined, std::move(reason)});
    return out;
}

} // namespace up::edit
