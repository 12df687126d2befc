// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/strips.hpp"

#include "words/translated.hpp"

#include <algorithm>
#include <map>

namespace up::drawn {
namespace {

using namespace sheet::palette;
using shape::Box;
using shape::Side;

constexpr double words = 6, below = 2.5, lines = 7.5; // mm: of letters, and from line to line

sheet::Shape stripShape(const quilt::Quilt& quilt, const plan::FitStrip& strip, const Box& at) {
    const auto cloth = clothOf(quilt, quilt.setting.strips);
    auto shape = sheet::box(at, cloth,
                            sheet::Pen{mixed(cloth, inkOn(cloth), 0.5), 0.4,
                                       strip.sewn ? sheet::Dash::solid : sheet::Dash::dashed});
    constexpr double pale = 0.6;
    shape.opacity = strip.sewn ? 1 : pale;
    return shape;
}

Box moved(const Box& box, Side side, double by) {
    const double dx = side == Side::left ? -by : side == Side::right ? by : 0;
    const double dy = side == Side::top ? -by : side == Side::bottom ? by : 0;
    return {box.left + dx, box.top + dy, box.right + dx, box.bottom + dy};
}

Box around(const Box& a, const Box& b) {
    return {std::min(a.left, b.left), std::min(a.top, b.top), std::max(a.right, b.right),
            std::max(a.bottom, b.bottom)};
}

/// How it is cut, outside the strip.
void addCut(sheet::Layer& layer, const plan::FitStrip& strip, const Box& at, measure::System units) {
    const auto say = [&](measure::Length length) { return measure::say(length, units); };
    const auto middle = at.centre();
    if (!shape::isUpright(strip.side)) {
        const double y = strip.side == Side::top ? at.top - below : at.bottom + words;
        layer.items.push_back(
            sheet::Words{words::said(N_("cut {0}"), {measure::saySize(strip.cutLong, strip.cutWide, units)}),
                         {middle.x, y},
                         words,
                         panel,
                         sheet::Align::centre,
                         true});
        return;
    }
    const bool left = strip.side == Side::left;
    const double x = left ? at.left - below : at.right + below;
    const auto align = left ? sheet::Align::right : sheet::Align::left;
    layer.items.push_back(sheet::Words{
        words::said(N_("cut {0}"), {say(strip.cutLong)}), {x, middle.y}, words, panel, align, true});
    layer.items.push_back(
        sheet::Words{"× " + say(strip.cutWide), {x, middle.y + lines}, words, panel, align, true});
}

} // namespace

sheet::Layer stripsInPlace(const quilt::Quilt& quilt, const plan::FinishPlan& plan) {
    sheet::Layer layer{"strips", {}, {}, {}};
    for (const auto& strip : plan.strips)
        layer.items.push_back(stripShape(quilt, strip, strip.box));
    return layer;
}

StripsApart stripsApart(const quilt::Quilt& quilt, const quilt::Block& block, const plan::FinishPlan& plan) {
    StripsApart out{{"strips", {}, {}, {}}, around(quilt::cutBox(block), plan.box)};
    const double raw =
        block.trimmed
            ? 0
            : std::max(0.0,
                       std::max((plan.cut.wide - block.width).mm(), (plan.cut.high - block.height).mm()) / 2);
    constexpr double gap = 8, room = 44; // mm between strips, and for how the upright ones are cut
    std::map<Side, double> apart;
    for (std::size_t i = 0; i < plan.strips.size(); ++i) {
        const auto& strip = plan.strips[i];
        auto at = strip.box;
        if (!strip.sewn) {
            auto& by = apart.try_emplace(strip.side, raw).first->second;
            at = moved(at, strip.side, by += gap);
        }
        out.layer.items.push_back(stripShape(quilt, strip, at));
        if (strip.sewn) continue;
        const auto middle = at.centre();
        sheet::Flag flag;
        flag.label = std::to_string(i + 1);
        flag.at = {middle.x + (shape::isUpright(strip.side) ? 0 : 4), middle.y};
        flag.colour = clothOf(quilt, quilt.setting.strips);
        out.layer.items.push_back(std::move(flag));
        addCut(out.layer, strip, at, quilt.units);
        auto with = at.grownBy(2);
        if (strip.side == Side::left) with.left -= room;
        if (strip.side == Side::right) with.right += room;
        if (strip.side == Side::top) with.top -= words;
        if (strip.side == Side::bottom) with.bottom += words;
        out.box = around(out.box, with);
    }
    out.box = out.box.grownBy(6);
    return out;
}

} // namespace up::drawn
