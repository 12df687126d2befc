// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/cut_away.hpp"

namespace up::plan {
namespace {

/// Along the edges of those above it that are stitched, on both sides of them.
shape::Region keptAbove(const quilt::Block& block, const BlockPlan& plan, std::size_t index) {
    std::vector<shape::Region> kept;
    for (std::size_t upper = index + 1; upper < block.pieces.size(); ++upper) {
        if (block.pieces[upper].work.step < quilt::Step::stitched ||
            !plan.regions[upper].bounds().meets(plan.regions[index].bounds()))
            continue;
        for (const auto& edge : plan.visibleEdges[upper])
            kept.push_back(shape::band(edge, false, 2 * behindMargin.mm(), shape::Cap::round));
    }
    return shape::unite(kept);
}

} // namespace

std::optional<CutAway> cutAwayOf(const quilt::Block& block, const BlockPlan& plan, std::size_t index) {
    const auto& piece = block.pieces[index];
    if (!goesThrough(quilt::Step::cutAway, piece.way())) return std::nullopt;
    constexpr double dust = 1; // mm²
    CutAway out{piece.id, piece.join != quilt::Join::reverse, {}, {}};
    const double inside = out.fromBack ? behindMargin.mm() : holeMargin.mm();
    out.where =
        shape::intersect(shape::offset(plan.regions[index], -inside), shape::rectangle(quilt::cutBox(block)));
    if (out.fromBack) out.where = shape::subtract(out.where, keptAbove(block, plan, index));
    for (std::size_t lower = 0; lower < index; ++lower)
        if (plan.regions[lower].bounds().meets(out.where.bounds()) &&
            shape::intersect(plan.regions[lower], out.where).area() > dust)
            out.through.push_back(block.pieces[lower].id);
    return out;
}

} // namespace up::plan
