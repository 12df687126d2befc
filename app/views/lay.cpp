// SPDX-License-Identifier: GPL-3.0-or-later
// The block from the front on its own background: where each piece goes, step by step, what it is tucked
// under, and what would peek out.
#include "app/look/look.hpp"
#include "app/views/pieces.hpp"
#include "words/lay_words.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

using plan::From;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

/// What is cut larger, beyond the line on which the block is trimmed.
sheet::Layer roomLayer(const Look& look) {
    const auto& ground = look.derived.ground();
    const auto cut = plan::cutBox(look.block);
    sheet::Layer layer{"room to trim", {}, {}, {}};
    for (const auto& patch : ground.patches)
        layer.items.push_back(sheet::box(patch.box, colourOf(look.quilt, patch.fabric), {}));
    layer.items.push_back(sheet::box(ground.box, look::panel, {}));
    std::get<sheet::Shape>(layer.items.back()).opacity = 0.55;
    layer.items.push_back(sheet::box(cut, std::nullopt, Pen{look::rust, 0.5, Dash::dashed}));
    return layer;
}

/// Edges that peek out or nearly do, and borders under which too little reaches.
sheet::Layer doubtLayer(const Look& look, const plan::Doubts& doubts) {
    sheet::Layer layer{"doubts", {}, {}, plan::cutBox(look.block)};
    const auto fused = [&](std::size_t i) { return look.block.pieces[i].work.step >= quilt::Step::fused; };
    for (const auto& ofOne : doubts.peeks)
        for (const auto& peek : ofOne)
            if (!fused(peek.lower) || !fused(peek.upper))
                layer.items.push_back(sheet::Shape{sheet::contoursOf(peek.where), look::rust,
                                                   Pen{look::rust, 0.5, Dash::solid}, 0, 0.8});
    for (const auto& ofOne : doubts.shorts)
        for (const auto& border : ofOne) {
            if (fused(border.lower) && fused(border.upper)) continue;
            const Point p = border.spot;
            for (const auto& [colour, width] : {std::pair{look::panel, 1.6}, std::pair{look::rust, 0.8}}) {
                layer.items.push_back(sheet::line(p - Point{2, 2}, p + Point{2, 2}, Pen{colour, width}));
                layer.items.push_back(sheet::line(p - Point{2, -2}, p + Point{2, -2}, Pen{colour, width}));
            }
        }
    return layer;
}

/// The piece whose place is told: the chosen one, else the next to lay.
std::optional<std::size_t> told(const Look& look) {
    const auto id = look.chosen                ? look.chosen
                    : look.next.pieces.empty() ? PieceId{}
                                               : look.next.pieces.front();
    const int number = plan::numberOf(look.block, id);
    return number > 0 ? std::optional(static_cast<std::size_t>(number) - 1) : std::nullopt;
}

Point endOf(const plan::PlaceMeasure& m, const shape::Box& box) {
    switch (m.from) {
    case From::leftEdge: return {box.left, m.at.y};
    case From::rightEdge: return {box.right, m.at.y};
    case From::topEdge: return {m.at.x, box.top};
    case From::bottomEdge: return {m.at.x, box.bottom};
    case From::uprightCrease:
    case From::levelCrease: break;
    }
    return m.at;
}

/// A line from the piece's point to the edge it is measured from, with the measure on it.
void addMeasure(const Look& look, sheet::Layer& lines, sheet::Layer& letters, const plan::PlaceMeasure& m) {
    const auto& box = look.derived.ground().box;
    const Point end = endOf(m, box);
    const double length = shape::distance(m.at, end);
    for (const auto& [colour, width] : {std::pair{look::panel, 1.4}, std::pair{look::brass, 0.7}})
        if (length > 0) lines.items.push_back(sheet::line(m.at, end, Pen{colour, width, Dash::solid}));
    shape::Ring dot;
    for (int i = 0; i < 24; ++i)
        dot.push_back(m.at + Point{std::cos(i * 0.2618), std::sin(i * 0.2618)} * 1.7);
    lines.items.push_back(
        sheet::Shape{{shape::contourThrough(dot)}, look::brass, Pen{look::panel, 0.5, Dash::solid}});
    if (length <= 0) return;
    constexpr double high = 6; // mm
    const std::string text = near(look.quilt, m.away.mm());
    const double wide = high * 0.5 * static_cast<double>(text.size()) + 2;
    const Point middle = (m.at + end) * 0.5;
    letters.items.push_back(
        sheet::box({middle.x - wide / 2, middle.y - high * 0.62, middle.x + wide / 2, middle.y + high * 0.62},
                   look::panel, Pen{look::brass, 0.3, Dash::solid}));
    letters.items.push_back(
        sheet::Words{text, middle + Point{0, high * 0.35}, high, look::ink, sheet::Align::centre, true});
}

/// The line of the section with its ends to drag.
sheet::Layer sectionLayer(const Look& look) {
    constexpr double radius = 5.5, letters = 7; // mm
    sheet::Layer layer{"section", {}, {}, {}};
    const auto [a, b] = look.section;
    layer.items.push_back(sheet::line(a, b, Pen{look::panel, 1.2, Dash::solid}));
    layer.items.push_back(sheet::line(a, b, Pen{look::ink, 0.7, Dash::dashed}));
    for (const auto& [at, text, tag] : {std::tuple{a, "A", sectionEndA}, std::tuple{b, "B", sectionEndB}}) {
        shape::Ring disc;
        for (int i = 0; i < 36; ++i)
            disc.push_back(at + Point{std::cos(i * 0.17453), std::sin(i * 0.17453)} * radius);
        layer.items.push_back(
            sheet::Shape{{shape::contourThrough(disc)}, look::ink, Pen{look::panel, 0.8, Dash::solid}, tag});
        layer.items.push_back(sheet::Words{text, at + Point{0, letters * 0.35}, letters, look::panel,
                                           sheet::Align::centre, true});
    }
    return layer;
}

/// Until it is known how each piece is laid, in order and no more.
std::vector<plan::LayStep> stepsOf(const Look& look, const Lying* lying) {
    if (lying) return plan::dryLay(lying->steps);
    std::vector<plan::LayStep> out;
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i)
        out.push_back({i, false, {}, {}, {}});
    return out;
}

Rows stepRows(const Look& look, const Lying* lying) {
    Rows rows{"Laying out, step by step", {}};
    const auto units = look.quilt.units;
    for (const auto& step : stepsOf(look, lying)) {
        const auto& piece = look.block.pieces[step.piece];
        Row row{plan::calledOf(look.block, piece), "", piece.id.value};
        row.swatch = colourOf(look.quilt, piece.fabric);
        row.done = piece.work.step >= quilt::Step::laid;
        if (step.forAMoment) {
            if (row.done) continue;
            row.text += ", for a moment";
            row.detail = "as a guide; lift it off again";
        } else {
            row.detail = words::measureWords(step.measures, units);
            if (const auto tucks = words::tuckWords(look.block, step, units); !tucks.empty())
                row.detail += "; " + tucks;
            row.next = !look.next.pieces.empty() && look.next.pieces.front() == piece.id;
        }
        rows.rows.push_back(std::move(row));
    }
    return rows;
}

} // namespace

ViewParts layParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::laid, true);
    const auto& ground = look.derived.ground();
    panel.box = ground.box;
    panel.below = words::groundWords(ground, look.quilt.units);
    for (std::size_t s = 0; s < ground.along.size(); ++s)
        if (ground.along[s].cut.size() > 1)
            panel.below += "; " + words::seamWords(ground.along[s], look.quilt.units);
    panel.layers.insert(panel.layers.begin(), roomLayer(look));
    const auto lying = look.derived.lying();
    if (lying) // under what is chosen, and the numbers
        panel.layers.insert(panel.layers.end() - 2, doubtLayer(look, lying->doubts));
    if (const auto piece = told(look)) {
        sheet::Layer lines{"measures", {}, {}, {}}, letters{"lengths", {}, {}, {}};
        for (const auto& measure : plan::measuresOf(look.derived.block().regions[*piece], ground))
            addMeasure(look, lines, letters, measure);
        panel.layers.insert(panel.layers.end() - 1, std::move(lines));
        panel.layers.push_back(std::move(letters));
    }
    panel.layers.push_back(sectionLayer(look));
    parts.scene.panels.push_back(std::move(panel));
    parts.scene.draggable = true;
    parts.rows = stepRows(look, lying.get());
    return parts;
}

} // namespace up::app
