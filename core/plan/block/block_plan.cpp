// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/block_plan.hpp"

#include "core/stack/showing.hpp"
#include "core/stack/underlap.hpp"

#include <algorithm>

namespace up::plan {

std::vector<std::size_t> BlockPlan::beneath(std::size_t upper) const {
    std::vector<std::size_t> out;
    for (const auto& overlap : stack.overlaps)
        if (overlap.upper == upper) out.push_back(overlap.lower);
    return out;
}

namespace {

std::vector<stack::Over> positionsOf(const quilt::Block& block) {
    std::vector<stack::Over> out;
    for (const auto& over : block.over) {
        const int upper = numberOf(block, over.upper), lower = numberOf(block, over.lower);
        if (upper > 0 && lower > 0)
            out.push_back({static_cast<std::size_t>(upper) - 1, static_cast<std::size_t>(lower) - 1});
    }
    return out;
}

bool isSameStack(const BlockPlan& now, const BlockPlan& before) {
    const auto samePiece = [](const PlannedFrom& a, const PlannedFrom& b) { return a.piece == b.piece; };
    return now.said == before.said && now.reach == before.reach &&
           std::equal(now.from.begin(), now.from.end(), before.from.begin(), before.from.end(), samePiece);
}

/// Where each piece lies; from the plan before where it has not changed.
std::vector<bool> takeRegions(BlockPlan& plan, const quilt::Block& block, const BlockPlan* before) {
    std::vector<bool> changed(block.pieces.size(), true);
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        changed[i] = !before || !(plan.from[i] == before->from[i]);
        plan.regions.push_back(changed[i] ? shape::regionOf(quilt::placed(block.pieces[i]))
                                          : before->regions[i]);
    }
    return changed;
}

} // namespace

BlockPlan planBlock(const quilt::Block& block, const BlockPlan* before) {
    BlockPlan plan;
    for (const auto& piece : block.pieces)
        plan.from.push_back({piece.id, piece.outline, piece.place});
    plan.said = block.over;
    plan.underlap = block.underlap;
    plan.reach = block.underlap.mm() + stack::meetingGap;
    if (before && !isSameStack(plan, *before)) before = nullptr;
    const std::size_t count = block.pieces.size();
    const auto changed = takeRegions(plan, block, before);
    const auto said = positionsOf(block);
    plan.stack = stack::stackOf(
        stack::overlapsOf(plan.regions, before ? before->stack.overlaps : std::vector<stack::Overlap>{},
                          changed),
        count, said);
    plan.above = stack::aboveOf(plan.regions, said, plan.reach);
    const auto anew = before ? touched(plan, *before) : std::vector<bool>(count, true);
    plan.cover.resize(count), plan.visible.resize(count), plan.visibleEdges.resize(count);
    for (std::size_t i = 0; i < count; ++i) {
        plan.cover[i] = anew[i] ? stack::together(plan.regions, plan.above[i]) : before->cover[i];
        plan.visible[i] = anew[i] ? stack::visiblePart(plan.regions[i], plan.cover[i]) : before->visible[i];
        plan.visibleEdges[i] =
            anew[i] ? stack::visibleEdge(plan.regions[i], plan.cover[i]) : before->visibleEdges[i];
    }
    return plan;
}

std::vector<bool> touched(const BlockPlan& now, const BlockPlan& before) {
    std::vector<bool> out(now.from.size(), true);
    if (!isSameStack(now, before)) return out;
    std::vector<shape::Box> boxes, changed;
    for (std::size_t i = 0; i < now.from.size(); ++i) {
        boxes.push_back(now.regions[i].bounds().grownBy(now.reach));
        if (now.from[i] == before.from[i]) continue;
        changed.push_back(now.regions[i].bounds());
        changed.push_back(before.regions[i].bounds());
    }
    for (std::size_t i = 0; i < out.size(); ++i)
        out[i] = std::any_of(changed.begin(), changed.end(),
                             [&](const shape::Box& box) { return box.meets(boxes[i]); });
    return out;
}

shape::Region alongDotted(const quilt::Piece& piece) {
    constexpr double reach = 1.6; // mm, both sides: a dotted line is drawn a little beside the edge
    std::vector<shape::Region> bands;
    for (const auto& stretch : *piece.dotted)
        bands.push_back(shape::band(flattened(transformed(stretch, placing(piece))), false, 2 * reach));
    return shape::unite(bands);
}

} // namespace up::plan
