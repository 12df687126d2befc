// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/shapes.hpp"
#include "core/quilt/fields.hpp"

#include <algorithm>
#include <numbers>

namespace up::edit {

using quilt::Block;
using quilt::Piece;

namespace {

std::string freeName(const Block& block, const std::string& wanted) {
    const auto taken = [&](const std::string& name) {
        return std::any_of(block.pieces.begin(), block.pieces.end(),
                           [&](const Piece& piece) { return piece.name == name; });
    };
    auto stem = wanted;
    const auto digits = stem.find_last_not_of("0123456789");
    if (digits != std::string::npos && digits + 1 < stem.size() && stem[digits] == ' ') stem.resize(digits);
    for (int i = 2;; ++i)
        if (const auto name = stem + " " + std::to_string(i); !taken(name)) return name;
}

/// Puts `count` copies above the piece; `change` makes of the first a copy its place, told which it is.
template<class Change>
Edited copies(const Quilt& quilt, BlockId blockId, PieceId id, int count, Change change) {
    const auto* owner = find(quilt.blocks, blockId);
    if (!owner) return failure(Code::noSuchBlock, {std::to_string(blockId.value)});
    if (!find(owner->pieces, id)) return failure(Code::noSuchPiece, {std::to_string(id.value)});
    return changeBlock(quilt, blockId, [&](Quilt& out, Block& block) {
        const auto first = std::find_if(block.pieces.begin(), block.pieces.end(),
                                        [&](const Piece& piece) { return piece.id == id; });
        auto at = first - block.pieces.begin();
        const Piece model = *first;
        for (int i = 1; i <= count; ++i) {
            Piece copy = model;
            reset(copy, quilt::About::self);
            reset(copy, quilt::About::making);
            copy.id = PieceId{out.nextId++};
            copy.name = freeName(block, model.name);
            change(copy, i);
            block.pieces.insert(block.pieces.begin() + ++at, std::move(copy));
        }
        notFinishedYet(block);
    });
}

/// Moves the piece so that its middle lies there.
void bringTo(Piece& piece, shape::Point middle) {
    const auto own = boundsOf(*piece.outline).centre();
    piece.place.right = Length::ofMm(middle.x - own.x);
    piece.place.down = Length::ofMm(middle.y - own.y);
}

} // namespace

Edited repeatRound(const Quilt& quilt, BlockId block, PieceId id, shape::Point centre, int count) {
    return copies(quilt, block, id, std::clamp(count, 1, mostCopies) - 1, [&](Piece& copy, int i) {
        const auto angle = measure::Angle::ofRadians(2 * std::numbers::pi * i / count);
        const auto middle = shape::Transform::turnAbout(centre, angle)(middleOf(copy));
        bringTo(copy, middle);
        copy.place.turn = (copy.place.turn + angle).normal();
    });
}

Edited repeatAlong(const Quilt& quilt, BlockId block, PieceId id, Length right, Length down, int count) {
    return copies(quilt, block, id, std::clamp(count, 1, mostCopies) - 1, [&](Piece& copy, int i) {
        bringTo(copy, middleOf(copy) + shape::Point{right.mm() * i, down.mm() * i});
    });
}

Edited mirrorCopy(const Quilt& quilt, BlockId block, PieceId id, MirrorLine line, Length at) {
    return copies(quilt, block, id, 1, [&](Piece& copy, int) {
        const auto middle = middleOf(copy), own = boundsOf(*copy.outline).centre();
        const bool upright = line == MirrorLine::upright;
        remap(copy,
              upright ? shape::Transform::mirrorAcross(own.x) : shape::Transform{1, 0, 0, -1, 0, 2 * own.y});
        copy.place.turn = -copy.place.turn;
        bringTo(copy, upright ? shape::Point{2 * at.mm() - middle.x, middle.y}
                              : shape::Point{middle.x, 2 * at.mm() - middle.y});
    });
}

} // namespace up::edit
