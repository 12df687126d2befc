// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/stacking.hpp"

#include <algorithm>

namespace up::edit {
namespace {

using quilt::Block;
using quilt::Piece;

/// Positions that stay together: a piece with its lining, or a whole unit. [first, last].
struct Run {
    std::size_t first, last;
};

Run withLining(const Block& block, std::size_t at) {
    const auto& pieces = block.pieces;
    if (pieces[at].liningOf && at + 1 < pieces.size() && pieces[at].liningOf == pieces[at + 1].id)
        return {at, at + 1};
    if (at > 0 && pieces[at - 1].liningOf == pieces[at].id) return {at - 1, at};
    return {at, at};
}

Run unitAt(const Block& block, std::size_t at) {
    Run run = withLining(block, at);
    const int unit = block.pieces[at].unit;
    if (unit == 0) return run;
    while (run.first > 0 && block.pieces[run.first - 1].unit == unit)
        --run.first;
    while (run.last + 1 < block.pieces.size() && block.pieces[run.last + 1].unit == unit)
        ++run.last;
    return run;
}

/// What is said of the two no longer holds once they have changed places.
void forget(Block& block, const Run& moved, const Run& passed) {
    const auto in = [&](PieceId id, const Run& run) {
        for (std::size_t i = run.first; i <= run.last; ++i)
            if (block.pieces[i].id == id) return true;
        return false;
    };
    std::erase_if(block.over, [&](const quilt::Over& o) {
        return (in(o.upper, moved) && in(o.lower, passed)) || (in(o.lower, moved) && in(o.upper, passed));
    });
}

/// One step up or down: past a neighbour of its unit, else past the whole run that lies there. At the end of
/// its unit it leaves the unit.
void step(Block& block, PieceId id, bool up) {
    auto& pieces = block.pieces;
    const auto at = static_cast<std::size_t>(find(pieces, id) - pieces.data());
    const Run own = withLining(block, at);
    if (up ? own.last + 1 >= pieces.size() : own.first == 0) return;
    const std::size_t next = up ? own.last + 1 : own.first - 1;
    const int unit = pieces[at].unit;
    const bool within = unit != 0 && pieces[next].unit == unit;
    const Run other = within ? withLining(block, next) : unitAt(block, next);
    if (!within)
        for (std::size_t i = own.first; i <= own.last; ++i)
            pieces[i].unit = 0;
    forget(block, own, other);
    const auto begin = pieces.begin();
    const auto place = [&](std::size_t i) { return begin + static_cast<std::ptrdiff_t>(i); };
    if (up)
        std::rotate(place(own.first), place(other.first), place(other.last + 1));
    else
        std::rotate(place(other.first), place(own.first), place(own.last + 1));
}

} // namespace

Edited restack(const Quilt& quilt, BlockId blockId, PieceId id, int by) {
    return changePiece(quilt, blockId, id, [&](Block& block, Piece& piece) {
        const PieceId moved = piece.liningOf && find(block.pieces, piece.liningOf) ? piece.liningOf : id;
        for (int i = 0; i < std::abs(by) && i < static_cast<int>(block.pieces.size()); ++i)
            step(block, moved, by > 0);
    });
}

} // namespace up::edit
