// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/ground_plan.hpp"

#include "core/plan/block/doubts.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {
namespace {

using shape::Box;
using shape::Point;

constexpr Length twoSeams = quilt::seamAllowance + quilt::seamAllowance;

void addCreases(const quilt::Block& block, GroundPlan& out) {
    const auto& g = block.ground;
    const auto box = out.box;
    const Point middle = finishedBox(block).centre();
    const auto upright = [&](double x) { out.creases.push_back({{x, box.top}, {x, box.bottom}}); };
    const auto level = [&](double y) { out.creases.push_back({{box.left, y}, {box.right, y}}); };
    if (g.creases.halves) upright(middle.x), level(middle.y);
    if (g.creases.quarters)
        for (const double side : {-0.25, 0.25})
            upright(middle.x + side * block.width.mm()), level(middle.y + side * block.height.mm());
    if (!g.creases.diagonals) return;
    const auto finished = finishedBox(block);
    out.creases.push_back({{finished.left, finished.top}, {finished.right, finished.bottom}});
    out.creases.push_back({{finished.right, finished.top}, {finished.left, finished.bottom}});
}

/// Boxes of sewn lengths one after another: seams lie a seam allowance inside the cut ends.
std::vector<std::pair<double, double>> spans(const SeamSum& sum, double from) {
    std::vector<std::pair<double, double>> out;
    double at = from;
    for (std::size_t i = 0; i < sum.cut.size(); ++i) {
        double length = sum.cut[i].mm();
        if (i > 0) length -= quilt::seamAllowance.mm();
        if (i + 1 < sum.cut.size()) length -= quilt::seamAllowance.mm();
        out.emplace_back(at, at + length);
        at += length;
    }
    return out;
}

void addPatches(const quilt::Ground& ground, GroundPlan& out) {
    const bool rows = ground.rows;
    const auto lie = [&](double a0, double a1, double c0, double c1) {
        return rows ? Box{a0, c0, a1, c1} : Box{c0, a0, c1, a1};
    };
    const auto across = spans(out.across, rows ? out.box.top : out.box.left);
    for (std::size_t s = 0; s < ground.strips.size(); ++s) {
        const auto along = spans(out.along[s], rows ? out.box.left : out.box.top);
        for (std::size_t p = 0; p < along.size(); ++p) {
            const auto box = lie(along[p].first, along[p].second, across[s].first, across[s].second);
            out.patches.push_back({ground.strips[s].patches[p].fabric, box});
            if (p > 0)
                out.seams.push_back(rows ? std::pair{Point{box.left, box.top}, Point{box.left, box.bottom}}
                                         : std::pair{Point{box.left, box.top}, Point{box.right, box.top}});
        }
        if (s == 0) continue;
        const double at = across[s].first;
        out.seams.push_back(rows ? std::pair{Point{out.box.left, at}, Point{out.box.right, at}}
                                 : std::pair{Point{at, out.box.top}, Point{at, out.box.bottom}});
    }
}

} // namespace

SeamSum sewn(std::vector<Length> cut) {
    SeamSum out{std::move(cut), {}};
    for (std::size_t i = 0; i < out.cut.size(); ++i)
        out.sewn = out.sewn + out.cut[i] - (i > 0 ? twoSeams : Length{});
    return out;
}

GroundPlan planGround(const quilt::Block& block) {
    const auto& ground = block.ground;
    GroundPlan out;
    out.wantedWide = block.width + twoSeams + ground.oversize;
    out.wantedHigh = block.height + twoSeams + ground.oversize;
    out.wide = out.wantedWide, out.high = out.wantedHigh;
    if (!ground.strips.empty()) {
        std::vector<Length> widths;
        for (const auto& strip : ground.strips) {
            widths.push_back(strip.cut);
            std::vector<Length> cuts;
            for (const auto& patch : strip.patches)
                cuts.push_back(patch.cut);
            out.along.push_back(sewn(std::move(cuts)));
        }
        out.across = sewn(std::move(widths));
        const auto byLength = [](const SeamSum& a, const SeamSum& b) { return a.sewn < b.sewn; };
        const auto [least, most] = std::minmax_element(out.along.begin(), out.along.end(), byLength);
        out.uneven = least->sewn != most->sewn;
        (ground.rows ? out.wide : out.high) = least->sewn;
        (ground.rows ? out.high : out.wide) = out.across.sewn;
    }
    const auto lacking = [](Length has, Length needs) { return has < needs ? needs - has : Length{}; };
    out.shortWide = lacking(out.wide, block.width + twoSeams);
    out.shortHigh = lacking(out.high, block.height + twoSeams);
    out.finished = finishedBox(block);
    const Point middle = out.finished.centre();
    out.box = {middle.x - out.wide.mm() / 2, middle.y - out.high.mm() / 2, middle.x + out.wide.mm() / 2,
               middle.y + out.high.mm() / 2};
    if (ground.strips.empty())
        out.patches.push_back({block.background, out.box});
    else
        addPatches(ground, out);
    addCreases(block, out);
    return out;
}

quilt::Ground evenedOut(const quilt::Block& block, Length step) {
    auto ground = block.ground;
    const auto cutFor = [&](Length wanted, std::size_t count) {
        const double seams = twoSeams.mm() * static_cast<double>(count - 1);
        const double each = (wanted.mm() + seams) / static_cast<double>(count);
        constexpr double slack = 1e-6; // of a step: what is exact stays so
        return Length::ofMm(std::ceil(each / step.mm() - slack) * step.mm());
    };
    const auto both = twoSeams + ground.oversize;
    const auto wide = block.width + both, high = block.height + both;
    for (auto& strip : ground.strips) {
        strip.cut = cutFor(ground.rows ? high : wide, ground.strips.size());
        for (auto& patch : strip.patches)
            patch.cut = cutFor(ground.rows ? wide : high, strip.patches.size());
    }
    return ground;
}

} // namespace up::plan
