// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/strips_cut.hpp"

#include "core/plan/finish/finish_plan.hpp"
#include "core/shape/region.hpp"

#include <algorithm>
#include <utility>

namespace up::plan {
namespace {

/// The largest upright rectangle between corners of the cloth that has no other thing in it.
std::optional<strips::Cloth> uprightIn(const quilt::Cloth& cloth) {
    const auto region = shape::regionOf(cloth.outline);
    const auto box = region.bounds();
    if (region.area() > 0.98 * box.width() * box.height()) return strips::Cloth{box.width(), box.height()};
    std::vector<double> xs, ys;
    for (const auto& ring : region.rings)
        for (const auto p : ring)
            xs.push_back(p.x), ys.push_back(p.y);
    constexpr std::size_t mostCorners = 12;
    if (xs.size() > mostCorners) return {};
    std::optional<strips::Cloth> best;
    for (const double left : xs)
        for (const double right : xs)
            for (const double top : ys)
                for (const double bottom : ys) {
                    if (right <= left || bottom <= top) continue;
                    const double area = (right - left) * (bottom - top);
                    if (best && area <= best->wide * best->high) continue;
                    const auto part = shape::rectangle({left, top, right, bottom});
                    if (shape::subtract(part, region).area() < 1)
                        best = strips::Cloth{right - left, bottom - top};
                }
    return best;
}

} // namespace

void cutFrom(const quilt::Quilt& quilt, StripsCut& of, bool straight) {
    for (const auto& cloth : quilt.cloths) {
        if (cloth.fabric != of.fabric || cloth.heldFor || !cloth.heldElsewhere.empty()) continue;
        auto size = uprightIn(cloth);
        if (!size) continue;
        if (straight && size->high > size->wide) std::swap(size->wide, size->high);
        size->straight = straight;
        of.cloths.push_back(cloth.id);
        of.sizes.push_back(*size);
    }
    of.cutting = strips::cutStrips(of.sizes, of.strips);
    if (of.cutting.unmet.empty()) return;
    constexpr double step = 25.4 / 8; // mm
    const double length = strips::lengthFor(boltWide.mm(), of.strips, step, straight);
    if (length <= 0) return;
    of.buy = Length::ofMm(length);
    of.cloths.clear();
    of.sizes = {{boltWide.mm(), length, straight}};
    of.cutting = strips::cutStrips(of.sizes, of.strips);
}

std::vector<SettingCut> planSettingCut(const quilt::Quilt& quilt) {
    std::vector<SettingCut> out;
    for (const auto& block : quilt.blocks)
        for (const auto& strip : planFinish(quilt, block).strips) {
            if (strip.sewn) continue;
            auto& cut = ofFabric(out, quilt.setting.strips);
            cut.strips.push_back({strip.cutWide.mm(), strip.cutLong.mm()});
            cut.blocks.push_back(block.id);
        }
    const auto wall = planWall(quilt);
    for (std::size_t i = 0; i < wall.borders.size() && i < quilt.setting.borders.size(); ++i) {
        auto& cut = ofFabric(out, quilt.setting.borders[i].fabric);
        const auto& border = wall.borders[i];
        for (const auto length : {border.sides, border.sides, border.ends, border.ends}) {
            cut.strips.push_back({border.cutWide.mm(), length.mm()});
            cut.blocks.emplace_back();
        }
    }
    for (auto& cut : out)
        cutFrom(quilt, cut, true);
    return out;
}

} // namespace up::plan
