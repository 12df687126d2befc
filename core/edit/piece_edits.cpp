// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"

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
    return changePiece(quilt, block, id, [&](Block&, Piece& piece) { piece.name = std::move(name); });
}

namespace {
void giveUpPlace(Block& block, PieceId id) {
    for (auto& layout : block.layout)
        std::erase_if(layout.traced, [&](const auto& t) { return t.piece == id; });
}
} // namespace

void beginAgain(Block& block, Piece& piece) {
    piece.work = {quilt::Step::toTrace, false, piece.work.remade};
    block.trimmed = false;
    giveUpPlace(block, piece.id);
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

Edited setRunsOff(const Quilt& quilt, BlockId block, PieceId id, bool runsOff) {
    return changePiece(quilt, block, id, [&](Block&, Piece& piece) { piece.runsOff = runsOff; });
}

Edited restack(const Quilt& quilt, BlockId blockId, PieceId id, int by) {
    return changePiece(quilt, blockId, id, [&](Block& block, Piece& piece) {
        auto& pieces = block.pieces;
        const auto from = &piece - pieces.data();
        const auto to =
            std::clamp<std::ptrdiff_t>(from + by, 0, static_cast<std::ptrdiff_t>(pieces.size()) - 1);
        if (from < to) std::rotate(pieces.begin() + from, pieces.begin() + from + 1, pieces.begin() + to + 1);
        if (to < from) std::rotate(pieces.begin() + to, pieces.begin() + from, pieces.begin() + from + 1);
    });
}

Edited removePiece(const Quilt& quilt, BlockId blockId, PieceId id) {
    return changePiece(quilt, blockId, id, [&](Block& block, Piece&) {
        giveUpPlace(block, id);
        for (auto& layout : block.layout)
            std::erase_if(layout.unplaced, [&](const auto& u) { return u.piece == id; });
        std::erase_if(block.pieces, [&](const Piece& p) { return p.id == id; });
    });
}

namespace {
/// Once under the iron a piece stays where it is.
template<class Change> Edited changePlace(const Quilt& quilt, BlockId block, PieceId id, Change change) {
    const auto* owner = find(quilt.blocks, block);
    const auto* known = owner ? find(owner->pieces, id) : nullptr;
    if (known && known->work.step >= quilt::Step::fused) return failure(Code::alreadyFused, {known->name});
    return changePiece(quilt, block, id, [&](Block&, Piece& piece) { change(piece.place); });
}
} // namespace

Edited movePiece(const Quilt& quilt, BlockId block, PieceId id, Length right, Length down) {
    return changePlace(quilt, block, id, [&](quilt::Placement& place) {
        place.right = place.right + right;
        place.down = place.down + down;
    });
}

Edited turnPiece(const Quilt& quilt, BlockId block, PieceId id, measure::Angle by) {
    return changePlace(quilt, block, id,
                       [&](quilt::Placement& place) { place.turn = (place.turn + by).normal(); });
}

namespace {
/// The template itself becomes another one: what was traced of it no longer fits.
template<class Change> Edited changeOutline(const Quilt& quilt, BlockId block, PieceId id, Change change) {
    const auto* owner = find(quilt.blocks, block);
    const auto* known = owner ? find(owner->pieces, id) : nullptr;
    if (known && known->work.step >= quilt::Step::fused) return failure(Code::alreadyFused, {known->name});
    return changePiece(quilt, block, id, [&](Block& changed, Piece& piece) {
        change(piece);
        beginAgain(changed, piece);
    });
}
} // namespace

Edited mirrorPiece(const Quilt& quilt, BlockId block, PieceId id) {
    return changeOutline(quilt, block, id, [](Piece& piece) {
        remap(piece, shape::Transform::mirrorAcross(boundsOf(*piece.outline).centre().x));
        piece.place.turn = -piece.place.turn;
    });
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
    return changeOutline(quilt, block, id, [&](Piece& piece) {
        const auto middle = boundsOf(*piece.outline).centre();
        remap(piece,
              shape::Transform::moveBy(middle.x, middle.y) * shape::Transform::scale(factor, factor) *
                  shape::Transform::moveBy(-middle.x, -middle.y),
              keepWidths);
    });
}

Edited renameFabric(const Quilt& quilt, FabricId id, std::string name) {
    Quilt out = quilt;
    auto* fabric = find(out.fabrics, id);
    if (!fabric) return failure(Code::noSuchFabric, {std::to_string(id.value)});
    fabric->name = std::move(name);
    return out;
}

Edited addFabric(const Quilt& quilt, std::string name, Colour colour) {
    Quilt out = quilt;
    out.fabrics.push_back({FabricId{out.nextId++}, name, colour, ""});
    out.threads.push_back({ThreadId{out.nextId++}, std::move(name), colour, ""});
    return out;
}

Edited addThread(const Quilt& quilt, std::string name, Colour colour) {
    Quilt out = quilt;
    out.threads.push_back({ThreadId{out.nextId++}, std::move(name), colour, ""});
    return out;
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
        auto work = quilt::advanced(piece->work, step, piece->hasMarks());
        if (!work) {
            work.error().args[0] = piece->name;
            return tl::unexpected(work.error());
        }
        piece->work = *work;
        note(out, {time, blockId, id, std::string(keyOf(step)), ""});
    }
    return out;
}

Edited ruin(const Quilt& quilt, BlockId blockId, PieceId id, std::string reason, std::int64_t time) {
    auto out = changePiece(quilt, blockId, id, [&](Block& block, Piece& piece) {
        piece.work = {quilt::Step::toTrace, false, piece.work.remade + 1};
        block.trimmed = false;
        giveUpPlace(block, id);
    });
    if (out) note(*out, {time, blockId, id, "ruined", std::move(reason)});
    return out;
}

} // namespace up::edit
