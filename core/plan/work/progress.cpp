// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/work/progress.hpp"

#include <algorithm>

namespace up::plan {

using quilt::Step;
using quilt::Tread;

Result<void> mayDo(const quilt::Block& block, const BlockPlan& plan, std::size_t index, Step step) {
    if (index >= block.pieces.size()) return failure(Code::noSuchPiece, {std::to_string(index)});
    const auto& piece = block.pieces[index];
    if (auto own = quilt::advanced(piece.work, step, piece.hasMarks()); !own) {
        auto error = own.error();
        error.args[0] = piece.name;
        return tl::unexpected(error);
    }
    const bool stacked = step == Step::laid || step == Step::fused || step == Step::stitched;
    if (!stacked) return {};
    for (const std::size_t lower : plan.beneath(index))
        if (block.pieces[lower].work.step < step)
            return failure(Code::notYet, {piece.name, std::string(keyOf(step)), std::string(keyOf(step)),
                                          block.pieces[lower].name});
    return {};
}

TreadCount countOf(const quilt::Block& block, Tread tread) {
    TreadCount count;
    if (tread == Tread::finish) return {block.trimmed ? 1 : 0, 1};
    if (tread == Tread::draw) return {block.pieces.empty() ? 0 : 1, 1};
    const Step last = *quilt::lastStepOf(tread);
    count.of = static_cast<int>(block.pieces.size());
    count.done = static_cast<int>(std::count_if(block.pieces.begin(), block.pieces.end(),
                                                [&](const auto& piece) { return piece.work.step >= last; }));
    if (tread != Tread::stitch) return count;
    for (const auto& line : block.lines) // those of the machine
        if (quilt::isOfMachine(line)) ++count.of, count.done += line.sewn > 0 ? 1 : 0;
    return count;
}

Tread currentTread(const quilt::Block& block) {
    for (const Tread tread : every<Tread>())
        if (countOf(block, tread).left() > 0) return tread;
    return Tread::finish;
}

} // namespace up::plan
