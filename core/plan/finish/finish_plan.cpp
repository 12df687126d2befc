// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/finish_plan.hpp"

#include "core/plan/block/ground_plan.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using fit::Extent;
using quilt::Block;
using quilt::Length;
using quilt::Quilt;
using shape::Side;

Extent placeOf(const Block& block) {
    return {block.width, block.height};
}
Extent with(const Extent& extent, Length more) {
    return {extent.wide + more, extent.high + more};
}

std::vector<Side> inOrder(const quilt::Sides& sides, bool sidesFirst) {
    std::vector<Side> out;
    const auto ends = [&] {
        if (sides.top) out.push_back(Side::top);
        if (sides.bottom) out.push_back(Side::bottom);
    };
    if (!sidesFirst) ends();
    if (sides.left) out.push_back(Side::left);
    if (sides.right) out.push_back(Side::right);
    if (sidesFirst) ends();
    return out;
}

/// Where a strip lies that is sewn to what lies in `box`, which it makes larger.
shape::Box beside(shape::Box& box, const fit::Strip& strip) {
    const double wide = strip.finished.mm();
    auto out = box;
    switch (strip.side) {
    case Side::top: out.bottom = box.top, box.top = out.top = box.top - wide; break;
    case Side::bottom: out.top = box.bottom, box.bottom = out.bottom = box.bottom + wide; break;
    case Side::left: out.right = box.left, box.left = out.left = box.left - wide; break;
    case Side::right: out.left = box.right, box.right = out.right = box.right + wide; break;
    }
    return out;
}

fit::UnitJob jobOf(const Quilt& quilt, const Block& block, const Extent& cut) {
    fit::UnitJob job;
    job.place = placeOf(block), job.cut = cut;
    job.order = inOrder(sidesOf(quilt, block), block.fitting.sidesFirst);
    job.planned.fill(quilt.sashing);
    return job;
}

/// A block that was made smaller since is not framed wider than a quarter of it.
Length frameOf(const Block& block) {
    const auto most = Length::ofNanometres(std::min(block.width, block.height).nanometres() / 4);
    return std::min(block.fitting.frame, most);
}

/// Framed all round, its place is smaller by as much.
fit::UnitJob frameJob(const Block& block) {
    fit::UnitJob job;
    const auto frame = frameOf(block);
    job.place = with(placeOf(block), -(frame * 2));
    job.cut = with(job.place, fit::usualSeam * 2);
    job.order = inOrder({}, block.fitting.sidesFirst);
    job.planned.fill(frame);
    return job;
}

} // namespace

const FitStrip* FinishPlan::next() const {
    const auto next =
        std::find_if(strips.begin(), strips.end(), [](const auto& strip) { return !strip.sewn; });
    return next == strips.end() ? nullptr : &*next;
}

quilt::Sides sidesOf(const Quilt& quilt, const Block& block) {
    if (block.fitting.sides) return *block.fitting.sides;
    const auto columns = static_cast<std::size_t>(std::max(1, quilt.columns));
    std::size_t at = 0;
    while (at < quilt.blocks.size() && quilt.blocks[at].id != block.id)
        ++at;
    const auto rows = (quilt.blocks.size() + columns - 1) / columns;
    const bool outer = quilt.setting.outer, none = quilt.sashing == Length();
    if (none) return {false, false, false, false};
    return {outer && at / columns == 0, outer || at / columns + 1 < rows, outer && at % columns == 0,
            outer || at % columns + 1 < columns};
}

FinishPlan planFinish(const Quilt& quilt, const Block& block) {
    const auto& fitting = block.fitting;
    const auto ground = planGround(block);
    FinishPlan out;
    out.cut = {ground.wide, ground.high};
    if (fitting.measured) out.has = Extent{fitting.measured->wide, fitting.measured->high};
    const auto has = out.has.value_or(out.cut);
    out.trimming = fit::trimmingOf(placeOf(block), has);
    std::vector<fit::Unit> units;
    fit::UnitJob job;
    const bool isFramed = fitting.frame > Length();
    if (isFramed) {
        const auto frame = frameJob(block);
        out.trimTo = frame.cut;
        units.push_back(unitOf(frame));
        job = jobOf(quilt, block, with(units.back().finished, fit::usualSeam * 2));
    } else {
        const auto wanted = with(placeOf(block), fitting.seam * 2); // with narrow seams it may be smaller
        out.trimTo = {std::min(wanted.wide, has.wide), std::min(wanted.high, has.high)};
        job = jobOf(quilt, block, out.trimTo);
        job.seam = fitting.seam;
    }
    units.push_back(unitOf(job));
    const auto seams = (isFramed ? fit::usualSeam : fitting.seam) * 2;
    const auto middle = finishedBox(block).centre();
    const double wide = (out.trimTo.wide - seams).mm() / 2, high = (out.trimTo.high - seams).mm() / 2;
    shape::Box box{middle.x - wide, middle.y - high, middle.x + wide, middle.y + high};
    for (std::size_t u = 0; u < units.size(); ++u)
        for (const auto& strip : units[u].strips) {
            FitStrip fitted{strip, isFramed && u == 0, false, beside(box, strip)};
            fitted.sewn = out.strips.size() < static_cast<std::size_t>(fitting.sewn);
            out.strips.push_back(fitted);
        }
    out.unit = units.back().finished;
    out.lacking = units.back().lacking;
    out.box = box;
    out.stripsNow = quilt.setting.asTheyCome || std::all_of(quilt.blocks.begin(), quilt.blocks.end(),
                                                            [](const Block& b) { return b.trimmed; });
    return out;
}

DrawnIn drawnIn(const Quilt& quilt, const Block& block) {
    struct Lost {
        double share, size;
    };
    std::vector<Lost> all;
    const auto sizeOf = [](const Block& b) { return std::max(b.width, b.height).mm(); };
    for (const auto& other : quilt.blocks) {
        const auto& measured = other.fitting.measured;
        if (!measured || other.edge.kind != block.edge.kind) continue;
        const auto ground = planGround(other);
        all.push_back(
            {std::max(fit::drawnIn(ground.wide, measured->wide), fit::drawnIn(ground.high, measured->high)),
             sizeOf(other)});
    }
    if (all.empty()) {
        const double usual = 1 - 12.75 / 13; // 12½ in, 1/8 in to trim on either side, of 13 in
        return {usual, 0};
    }
    auto alike = all;
    constexpr double about = 1.5; // times as large, or as small
    std::erase_if(alike, [&](const Lost& lost) {
        return lost.size > about * sizeOf(block) || sizeOf(block) > about * lost.size;
    });
    auto& those = alike.size() >= 3 ? alike : all;
    std::sort(those.begin(), those.end(), [](const Lost& a, const Lost& b) { return a.share < b.share; });
    const auto middle = those.size() / 2;
    const double share =
        those.size() % 2 == 1 ? those[middle].share : (those[middle - 1].share + those[middle].share) / 2;
    return {std::max(0.0, share), static_cast<int>(those.size())};
}

Length oversizeFor(const Quilt& quilt, const Block& block) {
    const auto size = std::max(block.width, block.height) + fit::usualSeam * 2;
    return fit::oversizeFor(size, drawnIn(quilt, block).share);
}

fit::Wall planWall(const Quilt& quilt) {
    std::vector<Extent> units;
    for (const auto& block : quilt.blocks)
        units.push_back(planFinish(quilt, block).unit);
    std::vector<Length> borders;
    for (const auto& border : quilt.setting.borders)
        borders.push_back(border.width);
    return fit::wallOf(units, static_cast<std::size_t>(std::max(1, quilt.columns)), borders);
}

} // namespace up::plan
