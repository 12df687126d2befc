// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block_plan.hpp"

#include <algorithm>

namespace up::plan {

using quilt::Step;
using quilt::Tread;

std::vector<std::size_t> BlockPlan::beneath(std::size_t upper) const {
    std::vector<std::size_t> out;
    for (const auto& overlap : stack.overlaps)
        if (overlap.upper == upper) out.push_back(overlap.lower);
    return out;
}

BlockPlan planBlock(const quilt::Block& block) {
    BlockPlan plan;
    for (const auto& piece : block.pieces)
        plan.regions.push_back(shape::regionOf(quilt::placed(piece)));
    plan.stack = stack::stackOf(plan.regions);
    plan.visible = stack::visibleParts(plan.regions);
    plan.visibleEdges = stack::visibleEdges(plan.regions);
    return plan;
}

shape::Region alongDotted(const quilt::Piece& piece) {
    constexpr double reach = 1.6; // mm, both sides: a dotted line is drawn a little beside the edge
    std::vector<shape::Region> bands;
    for (const auto& stretch : *piece.dotted)
        bands.push_back(shape::band(flattened(transformed(stretch, placing(piece))), false, 2 * reach));
    return shape::unite(bands);
}

int numberOf(const quilt::Block& block, PieceId piece) {
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (block.pieces[i].id == piece) return static_cast<int>(i) + 1;
    return 0;
}

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
    return count;
}

Tread currentTread(const quilt::Block& block) {
    for (const Tread tread : quilt::allTreads)
        if (countOf(block, tread).left() > 0) return tread;
    return Tread::finish;
}

} // namespace up::plan
