// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/work/stitch_plan.hpp"

#include "core/stitch/route.hpp"

namespace up::plan {
namespace {

StitchRun runFor(const quilt::Block& block, const BlockPlan& plan, std::size_t index,
                 const shape::Region& cutSize) {
    const auto& piece = block.pieces[index];
    StitchRun run{piece.id, piece.thread, {}, {}, piece.work.step == quilt::Step::stitched};
    const auto dotted = alongDotted(piece);
    double mm = 0;
    for (const auto& edge : plan.visibleEdges[index])
        for (const auto& within : shape::inside(edge, cutSize))
            for (auto& part :
                 dotted.isEmpty() ? std::vector<shape::Polyline>{within} : shape::outside(within, dotted)) {
                mm += shape::lengthOf(part);
                run.edges.push_back(std::move(part));
            }
    run.length = measure::Length::ofMm(mm);
    return run;
}

} // namespace

StitchPlan planStitching(const quilt::Block& block, const BlockPlan& plan) {
    const double seam = quilt::seamAllowance.mm();
    const auto cutSize =
        shape::rectangle(shape::Box{0, 0, block.width.mm(), block.height.mm()}.grownBy(seam));
    StitchPlan out;
    stitch::RouteJob job;
    std::vector<std::size_t> waiting;
    std::vector<std::size_t> place(block.pieces.size(), block.pieces.size());
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        if (block.pieces[i].work.step == quilt::Step::stitched) {
            out.runs.push_back(runFor(block, plan, i, cutSize));
            continue;
        }
        place[i] = waiting.size();
        waiting.push_back(i);
        job.thread.push_back(static_cast<int>(block.pieces[i].thread.value));
    }
    for (const auto& overlap : plan.stack.overlaps)
        if (place[overlap.lower] < waiting.size() && place[overlap.upper] < waiting.size())
            job.before.emplace_back(place[overlap.lower], place[overlap.upper]);
    const auto route = stitch::routeOf(job);
    for (const std::size_t i : route.order)
        out.runs.push_back(runFor(block, plan, waiting[i], cutSize));
    out.threadChanges = route.threadChanges;
    out.fewest = route.fewest;
    return out;
}

} // namespace up::plan
