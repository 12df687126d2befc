// SPDX-License-Identifier: GPL-3.0-or-later
// Whether a block is as large as its place once it is stitched, or will be, and what is stitched by hand lies in it.
#include "core/plan/check/looking.hpp"
#include "core/plan/finish/finish_plan.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using check::Fine;
using check::Fix;
using check::Kind;
using measure::Length;

void comesOutShort(Looking& look) {
    const auto plan = planFinish(look.quilt, look.block);
    if (!plan.has || !plan.trimming.isShort()) return;
    const auto wide = std::max(plan.lacking.wide, Length()), high = std::max(plan.lacking.high, Length());
    if (wide == Length() && high == Length()) return;
    std::vector<Fix> fixes;
    if (plan.trimming.seam) fixes.push_back(Fix::narrowSeam);
    if (plan.trimming.frame) fixes.push_back(Fix::frameIt);
    look.addOfBlock(Kind::comesOutShort, {look.block.id, Fine{wide}, Fine{high}}, std::move(fixes)).weight =
        std::max(wide, high).mm();
}

/// Said once blocks like it were measured, and while nothing is fused to the background.
void groundSmall(Looking& look) {
    const auto& block = look.block;
    const auto drawn = drawnIn(look.quilt, block);
    const bool isBegun = std::any_of(block.pieces.begin(), block.pieces.end(),
                                     [](const auto& piece) { return piece.work.step >= quilt::Step::fused; });
    const bool isCut = isBegun || block.fitting.measured || !block.ground.strips.empty();
    if (drawn.blocks == 0 || isCut || block.pieces.empty()) return;
    const auto wanted = oversizeFor(look.quilt, block);
    if (block.ground.oversize >= wanted) return;
    look.addOfBlock(Kind::groundSmall,
                    {block.id, Fine{wanted - block.ground.oversize}, check::Share{drawn.share}},
                    {Fix::cutLarger})
        .weight = (wanted - block.ground.oversize).mm();
}

/// How far it reaches over the finished edge, mm.
double overEdge(const quilt::Block& block, const quilt::Line& line) {
    const auto box = quilt::finishedBox(block);
    double far = 0;
    for (const auto& stroke : placed(line)) {
        const auto own = boundsOf(stroke);
        far = std::max(
            {far, box.left - own.left, own.right - box.right, box.top - own.top, own.bottom - box.bottom});
    }
    return far;
}

void checkLines(Looking& look) {
    constexpr double least = 0.5; // mm
    const auto& block = look.block;
    double far = 0;
    bool goes = false;
    for (const auto& line : block.lines) {
        if (line.sewn > 0) continue;
        if (!runsOff(line)) far = std::max(far, overEdge(block, line));
        goes = goes || (line.drawn && line.pen == quilt::LinePen::goesWithHeat);
    }
    if (far > least)
        look.addOfBlock(Kind::linesOverEdge, {block.id, Length::ofMm(far)}, {Fix::moveLinesIn}).weight = far;
    const bool ironToCome = std::any_of(block.pieces.begin(), block.pieces.end(),
                                        [](const auto& piece) { return !piece.isPast(quilt::Step::tested); });
    if (goes && ironToCome) look.addOfBlock(Kind::linesUnderIron, {block.id}, {Fix::traceAgain});
}

} // namespace

void checkFit(Looking& look) {
    comesOutShort(look);
    groundSmall(look);
    checkLines(look);
}

} // namespace up::plan
