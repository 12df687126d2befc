// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/block_plan.hpp"

#include "core/base/at_once.hpp"
#include "core/plan/block/plan_kept.hpp"
#include "core/stack/showing.hpp"
#include "core/stack/underlap.hpp"

#include <algorithm>
#include <map>

namespace up::plan {

std::vector<std::size_t> BlockPlan::beneath(std::size_t upper) const {
    std::vector<std::size_t> out;
    for (const auto& overlap : stack.overlaps)
        if (overlap.upper == upper) out.push_back(overlap.lower);
    return out;
}

namespace {

std::vector<stack::Pair> positionsOf(const quilt::Block& block) {
    std::vector<stack::Pair> out;
    for (const auto& over : block.over) {
        const int upper = numberOf(block, over.upper), lower = numberOf(block, over.lower);
        if (upper > 0 && lower > 0)
            out.push_back({static_cast<std::size_t>(upper) - 1, static_cast<std::size_t>(lower) - 1});
    }
    return out;
}

/// Where each piece lies; from the plan before where it has not changed.
void takeRegions(BlockPlan& plan, const quilt::Block& block, const BlockPlan* before) {
    std::map<PieceId, std::size_t> places;
    for (std::size_t i = 0; before && i < before->from.size(); ++i)
        places[before->from[i].piece] = i;
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto place = places.find(block.pieces[i].id);
        const bool same = place != places.end() && before->from[place->second] == plan.from[i];
        plan.regions.push_back(same ? before->regions[place->second]
                                    : shape::regionOf(quilt::placed(block.pieces[i])));
    }
}

/// Those of settled pieces, the lower one first whatever the user has said.
std::vector<stack::Overlap> overlapsKept(const BlockPlan& before, const PlanKept& kept) {
    std::vector<stack::Overlap> out;
    for (const auto& overlap : before.stack.overlaps) {
        const auto one = kept.isNow[overlap.lower], other = kept.isNow[overlap.upper];
        if (one != PlanKept::none && other != PlanKept::none)
            out.push_back({std::min(one, other), std::max(one, other), overlap.area});
    }
    return out;
}

} // namespace

BlockPlan planBlock(const quilt::Block& block, const BlockPlan* before) {
    BlockPlan plan;
    for (const auto& piece : block.pieces)
        plan.from.push_back({piece.id, piece.outline, piece.place});
    plan.said = block.over;
    plan.underlap = block.underlap;
    plan.reach = block.underlap.mm() + stack::meetingGap;
    const std::size_t count = block.pieces.size();
    takeRegions(plan, block, before);
    const auto kept = before ? PlanKept(plan, *before) : PlanKept(count);
    auto changed = kept.settled;
    changed.flip();
    const auto said = positionsOf(block);
    plan.stack = stack::stackOf(
        stack::overlapsOf(plan.regions, before ? overlapsKept(*before, kept) : std::vector<stack::Overlap>{},
                          changed),
        count, said);
    plan.above = stack::aboveOf(plan.regions, said, plan.reach);
    plan.cover.resize(count), plan.visible.resize(count), plan.visibleEdges.resize(count);
    std::vector<std::size_t> anew;
    for (std::size_t i = 0; i < count; ++i) {
        if (kept.touched[i]) {
            anew.push_back(i);
            continue;
        }
        const auto was = kept.was[i];
        plan.cover[i] = before->cover[was], plan.visible[i] = before->visible[was];
        plan.visibleEdges[i] = before->visibleEdges[was];
    }
    std::vector<std::vector<std::size_t>> above;
    for (const auto i : anew)
        above.push_back(plan.above[i]);
    auto covers = stack::allTogether(plan.regions, above);
    atOnce(anew.size(), [&](std::size_t k) {
        const auto i = anew[k];
        plan.cover[i] = std::move(covers[k]);
        plan.visible[i] = stack::visiblePart(plan.regions[i], plan.cover[i]);
        plan.visibleEdges[i] = stack::visibleEdge(plan.regions[i], plan.cover[i]);
    });
    return plan;
}

shape::Region alongDotted(const quilt::Piece& piece) {
    constexpr double reach = 1.6; // mm, both sides: a dotted line is drawn a little beside the edge
    std::vector<shape::Region> bands;
    for (const auto& stretch : *piece.dotted)
        bands.push_back(shape::band(flattened(transformed(stretch, placing(piece))), false, 2 * reach));
    return shape::unite(bands);
}

} // namespace up::plan
