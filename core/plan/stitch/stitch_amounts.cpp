// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/stitch_amounts.hpp"

#include "core/plan/stitch/stitch_kind.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {

using measure::Length;

int layersUnder(const quilt::Block& block, const BlockPlan& plan, const StitchRun& run) {
    const auto own = static_cast<std::size_t>(quilt::numberOf(block, run.piece)) - 1;
    const auto middle = shape::pointAlong(run.line, run.length().mm() / 2);
    int out = 2; // the background and the piece
    for (const auto lower : plan.beneath(own))
        out += plan.regions[lower].contains(middle);
    return out;
}

StitchAmounts amountsOf(const quilt::Block& block, const BlockPlan& plan, const StitchPlan& stitching) {
    StitchAmounts out;
    std::vector<int> layers;
    for (const auto& run : stitching.runs)
        layers.push_back(run.isDone() ? 0 : layersUnder(block, plan, run));
    double stitches = 0;
    ThreadId on;
    for (const auto& trail : stitching.trails) {
        const ThreadId thread{static_cast<std::uint32_t>(trail.thread)};
        auto use = std::find_if(out.threads.begin(), out.threads.end(),
                                [&](const ThreadUse& known) { return known.thread == thread; });
        if (use == out.threads.end()) use = out.threads.insert(use, {thread, {}, {}});
        double needle = knotThread, bobbin = knotThread;
        for (const auto& step : trail.steps) {
            if (const auto* travel = std::get_if<stitch::Travel>(&step)) {
                needle += shape::lengthOf(travel->points), bobbin += shape::lengthOf(travel->points);
                continue;
            }
            const auto index = std::get<stitch::Stitched>(step).run;
            const auto& run = stitching.runs[index];
            const auto& edge = stitchOf(block, the(block.pieces, run.piece));
            const auto each = useOf(edge, layers[index]);
            const double mm = run.length().mm(), count = mm * stitch::stitchesPerMm(repeatOf(edge));
            needle += mm * each.needle, bobbin += mm * each.bobbin;
            stitches += count;
            out.minutes += count / (quilt::isByHand(edge.kind) ? handStitches : machineStitches);
        }
        use->needle = use->needle + Length::ofMm(needle);
        use->bobbin = use->bobbin + Length::ofMm(bobbin);
        out.minutes += knotMinutes;
        if (on && on != thread) out.minutes += changeMinutes;
        on = thread;
    }
    out.stitches = static_cast<int>(std::lround(stitches));
    return out;
}

} // namespace up::plan
