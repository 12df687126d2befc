// SPDX-License-Identifier: GPL-3.0-or-later
// What Lay's faces share: room to trim, measures, the list of steps.
#include "app/views/lay_parts.hpp"
#include "app/look/look.hpp"
#include "app/views/pieces.hpp"
#include "core/sheet/figures.hpp"
#include "words/lay_words.hpp"
#include "words/translated.hpp"

#include <cmath>

namespace up::app {

using plan::From;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

namespace {

/// Which way the background's print runs: an arrow in the upper left corner.
sheet::Layer grainLayer(const plan::GroundPlan& ground, measure::Angle grain) {
    constexpr double half = 11, barb = 4; // mm
    const Point way = Point{std::cos(grain.radians()), std::sin(grain.radians())} * half;
    const Point middle{ground.finished.left + half + 3, ground.finished.top + half + 3};
    sheet::Layer layer{"print", {}, {}, {}};
    const auto arrow = sheet::arrow(middle - way, middle + way, barb, false, {});
    sheet::addHaloed(layer.items, arrow.contours, Pen{look::panel, 2.0}, Pen{look::ink, 0.9});
    return layer;
}

} // namespace

sheet::Layer roomLayer(const Look& look) {
    const auto& ground = look.derived.ground();
    const auto cut = quilt::cutBox(look.block);
    sheet::Layer layer{"room to trim", {}, {}, {}};
    for (const auto& patch : ground.patches)
        layer.items.push_back(sheet::box(patch.box, drawn::clothOf(look.quilt, patch.fabric), {}));
    layer.items.push_back(sheet::box(ground.box, look::panel, {}));
    std::get<sheet::Shape>(layer.items.back()).opacity = 0.55;
    layer.items.push_back(sheet::box(cut, std::nullopt, Pen{look::rust, 0.5, Dash::dashed}));
    return layer;
}

namespace {

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
    if (length > 0)
        sheet::addHaloed(lines.items, sheet::line(m.at, end, {}).contours, Pen{look::panel, 1.4},
                         Pen{look::brass, 0.7});
    lines.items.push_back(sheet::Shape{{sheet::disc(m.at, 1.7)}, look::brass, Pen{look::panel, 0.5}});
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

/// Until it is known how each piece is laid, in order and no more.
std::vector<plan::PlacementStep> stepsOf(const Look& look, const Placements* placements) {
    if (placements) return plan::dryLay(placements->steps);
    std::vector<plan::PlacementStep> out;
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i)
        out.push_back({i, false, {}, {}, {}});
    return out;
}

} // namespace

void addMeasures(Panel& panel, const Look& look, std::size_t piece) {
    sheet::Layer lines{"measures", {}, {}, {}}, letters{"lengths", {}, {}, {}};
    for (const auto& measure : plan::measuresOf(look.derived.block().regions[piece], look.derived.ground()))
        addMeasure(look, lines, letters, measure);
    panel.layers.insert(panel.layers.end() - 1, std::move(lines));
    panel.layers.push_back(std::move(letters));
}

void putOnGround(Panel& panel, const Look& look) {
    const auto& ground = look.derived.ground();
    panel.box = ground.box;
    panel.below = words::groundWords(ground, look.quilt.units);
    if (ground.across.cut.size() > 1)
        panel.below = words::said(N_("{0}, strips {1}"),
                                  {panel.below, words::seamWords(ground.across, look.quilt.units)});
    for (const auto& strip : ground.along)
        if (strip.cut.size() > 1) panel.below += "; " + words::seamWords(strip, look.quilt.units);
    panel.layers.insert(panel.layers.begin(), roomLayer(look));
    if (const auto& grain = look.block.ground.grain)
        panel.layers.insert(panel.layers.end() - 2, grainLayer(ground, *grain));
}

Rows layRows(const Look& look, const Placements* placements) {
    Rows rows{words::tr("Laying out, step by step"), {}};
    const auto units = look.quilt.units;
    for (const auto& step : stepsOf(look, placements)) {
        const auto& piece = look.block.pieces[step.piece];
        Row row{quilt::calledOf(look.block, piece), "", piece.id};
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = piece.work.step >= quilt::Step::laid;
        if (step.forAMoment) {
            if (row.done) continue;
            row.text = words::said(N_("{0}, for a moment"), {row.text});
            row.detail = words::tr("as a guide; lift it off again");
        } else {
            row.detail = words::measureWords(step.measures, units);
            if (const auto tucks = words::tuckWords(look.block, step, units); !tucks.empty())
                row.detail = words::said(N_("{0}; {1}"), {row.detail, tucks});
            row.next = !look.next.pieces.empty() && look.next.pieces.front() == piece.id;
        }
        rows.rows.push_back(std::move(row));
    }
    return rows;
}

} // namespace up::app
