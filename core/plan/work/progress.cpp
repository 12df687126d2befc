// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/work/progress.hpp"

#include "core/quilt/holes.hpp"

#include <algorithm>

namespace up::plan {

using quilt::Step;
using quilt::Tread;

namespace {

bool goesOver(Tread tread, const quilt::Piece& piece) {
    const auto steps = every<Step>();
    return std::any_of(steps.begin(), steps.end(), [&](Step step) {
        return quilt::treadOf(step) == tread && step != Step::marked && goesThrough(step, piece.way());
    });
}

Step lastUpTo(Step step, const quilt::Way& way) {
    while (!goesThrough(step, way))
        step = static_cast<Step>(static_cast<int>(step) - 1);
    return step;
}

/// All that is left to do there waits for a hole that is still to be cut.
bool isHeldUp(const quilt::Block& block, Tread tread) {
    if (tread < Tread::lay || tread == Tread::finish) return false;
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (goesOver(tread, block.pieces[i]) && !block.pieces[i].isPast(tread) && !holeBefore(block, i))
            return false;
    return std::any_of(block.pieces.begin(), block.pieces.end(),
                       [&](const auto& piece) { return !piece.isPast(tread); });
}

} // namespace

Result<void> mayDo(const quilt::Block& block, const BlockPlan& plan, std::size_t index, Step step) {
    if (index >= block.pieces.size()) return failure(Code::noSuchPiece, {std::to_string(index)});
    const auto& piece = block.pieces[index];
    if (auto own = quilt::advanced(piece.work, step, piece.way()); !own) {
        auto error = own.error();
        error.args[0] = piece.name;
        return tl::unexpected(error);
    }
    const bool stacked = step == Step::laid || step == Step::fused || step == Step::stitched;
    if (!stacked) return {};
    const auto first = [&](const quilt::Piece& lower, Step needed) {
        return failure(Code::notYet,
                       {piece.name, std::string(keyOf(needed)), std::string(keyOf(needed)), lower.name});
    };
    if (const auto hole = holeBefore(block, index)) return first(block.pieces[*hole], Step::cutAway);
    for (const std::size_t i : plan.beneath(index))
        if (const auto& lower = block.pieces[i]; !lower.isPast(step))
            return first(lower, lastUpTo(step, lower.way()));
    return {};
}

TreadCount countOf(const quilt::Block& block, Tread tread) {
    TreadCount count;
    if (tread == Tread::finish) return {block.trimmed ? 1 : 0, 1};
    if (tread == Tread::draw) return {block.pieces.empty() ? 0 : 1, 1};
    for (const auto& piece : block.pieces)
        if (goesOver(tread, piece)) ++count.of, count.done += piece.isPast(tread) ? 1 : 0;
    if (tread != Tread::stitch) return count;
    for (const auto& line : block.lines) // those of the machine
        if (quilt::isOfMachine(line)) ++count.of, count.done += line.sewn > 0 ? 1 : 0;
    return count;
}

Tread currentTread(const quilt::Block& block) {
    for (const Tread tread : every<Tread>())
        if (countOf(block, tread).left() > 0 && !isHeldUp(block, tread)) return tread;
    return Tread::finish;
}

} // namespace up::plan
