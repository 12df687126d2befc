// SPDX-License-Identifier: GPL-3.0-or-later
// The block from the front on its own background: where each piece goes, what it is tucked under, what would
// peek out.
#include "app/look/look.hpp"
#include "app/views/lay_parts.hpp"
#include "app/views/pieces.hpp"
#include "core/sheet/figures.hpp"

namespace up::app {
namespace {

using shape::Point;
using sheet::Dash;
using sheet::Pen;

/// Edges that peek out or nearly do, and borders under which too little reaches.
sheet::Layer doubtLayer(const Look& look, const plan::Doubts& doubts) {
    sheet::Layer layer{"doubts", {}, {}, quilt::cutBox(look.block)};
    const auto fused = [&](std::size_t i) { return look.block.pieces[i].work.step >= quilt::Step::fused; };
    for (const auto& ofOne : doubts.peeks)
        for (const auto& peek : ofOne)
            if (!fused(peek.lower) || !fused(peek.upper))
                layer.items.push_back(sheet::Shape{
                    sheet::contoursOf(peek.where), look::rust, Pen{look::rust, 0.5, Dash::solid}, {}, 0.8});
    for (const auto& ofOne : doubts.shorts)
        for (const auto& border : ofOne) {
            if (fused(border.lower) && fused(border.upper)) continue;
            const Point p = border.spot;
            const auto cross = sheet::contoursOf(std::vector<shape::Polyline>{
                {p - Point{2, 2}, p + Point{2, 2}}, {p - Point{2, -2}, p + Point{2, -2}}});
            sheet::addHaloed(layer.items, cross, Pen{look::panel, 1.6}, Pen{look::rust, 0.8});
        }
    return layer;
}

/// The piece whose place is told: the chosen one, else the next to lay.
std::optional<std::size_t> told(const Look& look) {
    const auto id = look.chosen                ? look.chosen
                    : look.next.pieces.empty() ? PieceId{}
                                               : look.next.pieces.front();
    const int number = quilt::numberOf(look.block, id);
    return number > 0 ? std::optional(static_cast<std::size_t>(number) - 1) : std::nullopt;
}

/// The line of the section with its ends to drag.
sheet::Layer sectionLayer(const Look& look) {
    constexpr double radius = 5.5, letters = 7; // mm
    sheet::Layer layer{"section", {}, {}, {}};
    const auto [a, b] = look.section;
    sheet::addHaloed(layer.items, sheet::line(a, b, {}).contours, Pen{look::panel, 1.2},
                     Pen{look::ink, 0.7, Dash::dashed});
    for (const auto& [at, text, tag] :
         {std::tuple{a, "A", sheet::Handle::sectionFrom}, std::tuple{b, "B", sheet::Handle::sectionTo}}) {
        layer.items.push_back(sheet::Shape{{sheet::disc(at, radius)}, look::ink, Pen{look::panel, 0.8}, tag});
        layer.items.push_back(sheet::Words{text, at + Point{0, letters * 0.35}, letters, look::panel,
                                           sheet::Align::centre, true});
    }
    return layer;
}

} // namespace

ViewParts layBlockParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::laid, true);
    putOnGround(panel, look);
    const auto placements = look.derived.placements();
    if (placements) // under what is chosen, and the numbers
        panel.layers.insert(panel.layers.end() - 2, doubtLayer(look, placements->doubts));
    if (const auto piece = told(look)) addMeasures(panel, look, *piece);
    panel.layers.push_back(sectionLayer(look));
    parts.scene.panels.push_back(std::move(panel));
    parts.scene.draggable = parts.scene.framing = true;
    parts.rows = layRows(look, placements.get());
    return parts;
}

ViewParts layParts(const Look& look) {
    switch (look.mode) {
    case LayMode::block: return layBlockParts(look);
    case LayMode::steps: return layStepParts(look);
    case LayMode::count: return layCountParts(look);
    }
    return {};
}

} // namespace up::app
