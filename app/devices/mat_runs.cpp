// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/devices/mat_runs.hpp"

#include "core/quilt/labels.hpp"
#include "core/shape/deepest.hpp"
#include "output/pages/pages.hpp"
#include "output/svg/svg.hpp"

#include <algorithm>

namespace up::app {
namespace {

/// How far a point lies outside of a piece, mm.
double outside(const shape::Outline& outline, shape::Point p) {
    const auto region = shape::regionOf(outline);
    double least = region.contains(p) ? 0 : 1e9;
    for (const auto& ring : region.rings)
        least = std::min(least, shape::distanceTo(ring, p));
    return least;
}

} // namespace

std::vector<PieceId> cutBy(const MatRun& run) {
    if (!run.run) return {};
    auto lines = run.mat.lines;
    for (const auto& refusal : run.run->refusals) {
        if (lines.empty()) break;
        lines.erase(std::min_element(lines.begin(), lines.end(), [&](const auto& a, const auto& b) {
            return outside(a.second, refusal.where) < outside(b.second, refusal.where);
        }));
    }
    std::vector<PieceId> out;
    for (const auto& [piece, outline] : lines)
        out.push_back(piece);
    return out;
}

Result<MatRuns> matRunsOf(const quilt::Quilt& quilt, BlockId block, plan::MachineOptions options,
                          Cutter& cutter, Job& job) {
    const auto& owner = quilt::the(quilt.blocks, block);
    options.matWidth = measure::Length::ofMm(cutter.matWidth());
    options.matHeight = measure::Length::ofMm(cutter.matHeight());
    auto plan = plan::planMachine(quilt, owner, options, job);
    if (!plan) return tl::unexpected(plan.error());
    MatRuns out{std::move(*plan), {}};
    auto pages = output::matPages(quilt, owner, out.plan, cutter.matWidth(), cutter.matHeight());
    for (std::size_t i = 0; i < pages.size(); ++i) {
        breathe();
        auto run = cutter.cut(output::writeSvg(pages[i]));
        std::vector<std::pair<std::string, shape::Point>> numbers;
        for (const auto& [piece, outline] : out.plan.mats[i].lines)
            numbers.emplace_back(quilt::labelOf(owner, piece),
                                 shape::deepestPoint(shape::regionOf(outline)).at);
        out.mats.push_back({out.plan.mats[i], std::move(pages[i]), std::move(run), std::move(numbers)});
    }
    return out;
}

} // namespace up::app
