// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/legs.hpp"

#include <algorithm>
#include <map>

namespace up::plan {

std::vector<Leg> legsOf(const StitchPlan& plan, const stitch::Trail& trail) {
    std::vector<Leg> out;
    std::map<std::size_t, int> times;
    std::vector<stitch::Travel> before;
    for (const auto& step : trail.steps) {
        if (const auto* travel = std::get_if<stitch::Travel>(&step)) {
            before.push_back(*travel);
            continue;
        }
        const auto& stitched = std::get<stitch::Stitched>(step);
        if (out.empty() || !before.empty() || out.back().run != stitched.run)
            out.push_back({stitched.run, stitched.back, 0, std::exchange(before, {})});
        ++out.back().times, ++times[stitched.run];
        const auto& run = plan.runs[stitched.run];
        out.back().done = run.sewn - run.sewnBefore >= times[stitched.run];
    }
    return out;
}

Knot knotOf(const StitchPlan& plan, const stitch::Trail& trail, bool start) {
    const auto& step = std::get<stitch::Stitched>(start ? trail.steps.front() : trail.steps.back());
    const auto& run = plan.runs[step.run];
    if (!(start ? trail.hiddenStart : trail.hiddenEnd)) return run.closed ? Knot::meets : Knot::shows;
    const auto at = start == step.back ? run.line.back() : run.line.front();
    const bool covered = std::any_of(plan.before.begin(), plan.before.end(), [&](const stitch::Before& b) {
        return b.first == step.run && shape::distance(b.at, at) < 2 * stitch::meeting;
    });
    return covered ? Knot::covered : Knot::inSeam;
}

std::optional<AtLeg> nextLeg(const quilt::Block& block, const StitchPlan& plan) {
    const auto mayStitch = [&](std::size_t i) {
        return isReady(block, plan.runs[i]) &&
               std::all_of(plan.before.begin(), plan.before.end(), [&](const stitch::Before& b) {
                   return b.then != i || plan.runs[b.first].isDone();
               });
    };
    for (std::size_t t = 0; t < plan.trails.size(); ++t) {
        const auto legs = legsOf(plan, plan.trails[t]);
        const auto next = std::find_if(legs.begin(), legs.end(), [](const Leg& leg) { return !leg.done; });
        if (next != legs.end() && mayStitch(next->run))
            return AtLeg{t, static_cast<std::size_t>(next - legs.begin())};
    }
    return std::nullopt;
}

bool finishesPiece(const StitchPlan& plan, const Leg& leg) {
    const auto& own = plan.runs[leg.run];
    return own.sewn + leg.times >= own.sewnBefore + own.passes &&
           std::all_of(plan.runs.begin(), plan.runs.end(), [&](const StitchRun& run) {
               return &run == &own || run.piece != own.piece || run.of != own.of || run.isDone();
           });
}

} // namespace up::plan
