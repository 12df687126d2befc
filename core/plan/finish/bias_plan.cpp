// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/bias_plan.hpp"

#include "core/plan/finish/laid_plan.hpp"
#include "core/shape/region.hpp"

#include <algorithm>
#include <optional>

namespace up::plan {
namespace {

/// The largest upright rectangle between corners of the cloth that has no other thing in it.
std::optional<bias::Cloth> uprightIn(const quilt::Cloth& cloth) {
    const auto region = shape::regionOf(cloth.outline);
    const auto box = region.bounds();
    if (region.area() > 0.98 * box.width() * box.height()) return bias::Cloth{box.width(), box.height()};
    std::vector<double> xs, ys;
    for (const auto& ring : region.rings)
        for (const auto p : ring)
            xs.push_back(p.x), ys.push_back(p.y);
    constexpr std::size_t mostCorners = 12;
    if (xs.size() > mostCorners) return {};
    std::optional<bias::Cloth> best;
    for (const double left : xs)
        for (const double right : xs)
            for (const double top : ys)
                for (const double bottom : ys) {
                    if (right <= left || bottom <= top) continue;
                    const double area = (right - left) * (bottom - top);
                    if (best && area <= best->wide * best->high) continue;
                    const auto part = shape::rectangle({left, top, right, bottom});
                    if (shape::subtract(part, region).area() < 1)
                        best = bias::Cloth{right - left, bottom - top};
                }
    return best;
}

/// Of every line that is not laid yet.
std::vector<BiasPlan> asked(const quilt::Quilt& quilt) {
    std::vector<BiasPlan> out;
    for (const auto& block : quilt.blocks) {
        if (block.lines.empty()) continue;
        for (const auto& strip : planLaid(block).strips) {
            const auto& line = the(block.lines, strip.line);
            if (!quilt::isBias(line.laid->trim) || static_cast<int>(strip.stroke) < line.laid->done) continue;
            auto at = std::find_if(out.begin(), out.end(),
                                   [&](const BiasPlan& plan) { return plan.fabric == line.laid->fabric; });
            if (at == out.end()) at = out.insert(out.end(), BiasPlan{line.laid->fabric, {}, {}, {}, {}, {}});
            at->lines.push_back(strip.line);
            at->strips.push_back({cutWide(*line.laid).mm(), strip.cutLong.mm()});
        }
    }
    return out;
}

void fromBolt(BiasPlan& plan, double length) {
    plan.buy = Length::ofMm(length);
    plan.cloths.clear();
    plan.sizes = {{boltWide.mm(), length}};
    plan.cutting = bias::cutStrips(plan.sizes, plan.strips);
}

} // namespace

std::vector<BiasPlan> planBias(const quilt::Quilt& quilt) {
    auto out = asked(quilt);
    for (auto& plan : out) {
        for (const auto& cloth : quilt.cloths) {
            if (cloth.fabric != plan.fabric || cloth.heldFor || !cloth.heldElsewhere.empty()) continue;
            const auto size = uprightIn(cloth);
            if (!size) continue;
            plan.cloths.push_back(cloth.id);
            plan.sizes.push_back(*size);
        }
        plan.cutting = bias::cutStrips(plan.sizes, plan.strips);
        if (plan.cutting.unmet.empty()) continue;
        constexpr double step = 25.4 / 8; // mm
        if (const double length = bias::lengthFor(boltWide.mm(), plan.strips, step); length > 0)
            fromBolt(plan, length);
    }
    return out;
}

} // namespace up::plan
