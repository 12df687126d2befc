// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/open_stretch.hpp"

#include "core/shape/deepest.hpp"

#include <algorithm>

namespace up::plan {
namespace {

constexpr double precision = 0.6; // mm of a radius: a twentieth of an inch across

/// The region without the marks that are stitched on it.
shape::Region partedByMarks(shape::Region region, PieceId piece, const StitchPlan& stitching) {
    constexpr double seam = 0.1; // mm
    for (const auto& run : stitching.runs)
        if (!run.isEdge && run.piece == piece)
            region = shape::subtract(region, shape::band(run.line, false, seam));
    return region;
}

} // namespace

std::vector<OpenStretch> openStretches(const quilt::Block& block, const BlockPlan& plan,
                                       const StitchPlan& stitching) {
    const auto finished = shape::rectangle(quilt::finishedBox(block));
    std::vector<OpenStretch> out;
    const auto add = [&](PieceId piece, const shape::Region& region) {
        const auto deepest = shape::deepestPoint(region, precision, 0);
        if (deepest.depth > 0) out.push_back({piece, deepest.at, measure::Length::ofMm(2 * deepest.depth)});
    };
    if (block.edge.kind == quilt::StitchKind::allOver) return out;
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto id = block.pieces[i].id;
        add(id, partedByMarks(shape::intersect(plan.visible[i], finished), id, stitching));
    }
    add({}, shape::subtract(finished, shape::unite(plan.regions)));
    std::stable_sort(out.begin(), out.end(),
                     [](const OpenStretch& a, const OpenStretch& b) { return a.across > b.across; });
    return out;
}

} // namespace up::plan
