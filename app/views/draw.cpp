// SPDX-License-Identifier: GPL-3.0-or-later
// Templates as seen beside templates as they will be traced.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "words/judge_words.hpp"
#include "words/translated.hpp"

#include <cmath>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

/// All templates mirrored, as pencil lines on web paper.
Panel asTraced(const Look& look) {
    Panel panel;
    panel.side = Side::paper;
    panel.box = quilt::cutBox(look.block);
    panel.layers.push_back({"paper", {sheet::box(panel.box, look::webPaper, {})}, {}, {}});
    sheet::Layer lines{
        "lines", {}, shape::Transform::mirrorAcross(look.block.width.mm() / 2), quilt::cutBox(look.block)};
    const auto& style = drawn::styleFor(drawn::For::screen);
    for (const auto& piece : look.block.pieces) {
        lines.items.push_back(sheet::Shape{sheet::contoursOf(quilt::placed(piece)), std::nullopt,
                                           Pen{look::pencil, 0.4, Dash::solid}, piece.id});
        drawn::addMarks(lines.items, piece, quilt::placing(piece), style.marks);
        drawn::addDotted(lines.items, piece, quilt::placing(piece), style);
    }
    addChosen(lines, look);
    auto flags = flagLayer(look);
    flags.place = lines.place;
    for (auto& item : flags.items)
        std::get<sheet::Flag>(item).pointsLeft = true;
    panel.layers.push_back(std::move(lines));
    panel.layers.push_back(std::move(flags));
    return panel;
}

/// One template twice in a panel: from the front on the left, reversed on web paper on the right.
Panel pairPanel(const Look& look, const quilt::Piece& piece) {
    const auto own = boundsOf(*piece.outline);
    const auto half = own.grownBy(std::max(own.width(), own.height()) * 0.08 + 0.5);
    const double across = half.width();
    Panel panel;
    panel.side = Side::plain;
    panel.caption = quilt::calledOf(look.block, piece);
    panel.below = sizeOf(look.quilt, own);
    panel.chosen = piece.id == look.chosen;
    panel.box = {half.left, half.top, half.right + across, half.bottom};
    const Colour colour = drawn::clothOf(look.quilt, piece.fabric);
    sheet::Layer front{"front", {sheet::box(half, look::panel, {})}, {}, {}};
    front.items.push_back(sheet::Shape{sheet::contoursOf(*piece.outline), colour,
                                       Pen{look::mixed(colour, look::ink, 0.5), 0.2, Dash::solid}, piece.id});
    drawn::addMarks(front.items, piece, {}, drawn::markPen(look.quilt, piece));
    sheet::Layer paper{
        "paper", {sheet::box(half, look::webPaper, Pen{look::slate, 0.2, Dash::dashed})}, {}, {}};
    paper.place = shape::Transform::moveBy(across, 0) * shape::Transform::mirrorAcross(half.centre().x);
    paper.items.push_back(sheet::Shape{sheet::contoursOf(*piece.outline), std::nullopt,
                                       Pen{look::pencil, 0.3, Dash::solid}, piece.id});
    const auto& style = drawn::styleFor(drawn::For::screen);
    drawn::addMarks(paper.items, piece, {}, style.marks);
    drawn::addDotted(paper.items, piece, {}, style);
    panel.layers = {std::move(front), std::move(paper)};
    return panel;
}

/// Where a piece is too thin: a bar across it with its width.
sheet::Layer thinLayer(const Look& look, const plan::Judgement& judged) {
    constexpr double beyond = 5, letters = 7; // mm
    sheet::Layer layer{"thin", {}, {}, {}};
    for (const auto& piece : judged.pieces)
        for (const auto& part : piece.thin) {
            const auto& across = part.narrowest;
            const auto along = across.to - across.from;
            const double length = std::max(std::hypot(along.x, along.y), 1e-6);
            const auto out = along * (beyond / length);
            for (const auto& [edge, end] :
                 {std::pair{across.from, across.from - out}, std::pair{across.to, across.to + out}}) {
                layer.items.push_back(sheet::line(edge, end, Pen{look::panel, 2.2, Dash::solid}));
                layer.items.push_back(sheet::line(edge, end, Pen{look::rust, 1.1, Dash::solid}));
            }
            const auto text = words::fineWords(across.width, look.quilt.units);
            const auto at = across.to + out + shape::Point{1.5, letters / 3};
            for (const auto& [dx, dy] : {std::pair{-0.5, 0.0}, {0.5, 0.0}, {0.0, -0.5}, {0.0, 0.5}})
                layer.items.push_back(sheet::Words{text, at + shape::Point{dx, dy}, letters, look::panel,
                                                   sheet::Align::left, true});
            layer.items.push_back(sheet::Words{text, at, letters, look::rust, sheet::Align::left, true});
        }
    return layer;
}

/// The axes of pieces that need no reversing, drawn through them.
sheet::Layer axisLayer(const Look& look, const plan::Judgement& judged) {
    sheet::Layer layer{
        "axes", {}, shape::Transform::mirrorAcross(look.block.width.mm() / 2), quilt::cutBox(look.block)};
    const auto& regions = look.derived.block().regions;
    for (std::size_t i = 0; i < judged.pieces.size(); ++i) {
        const auto& axis = judged.pieces[i].axis;
        if (!axis) continue;
        const shape::Point way{std::cos(axis->direction), std::sin(axis->direction)};
        double reach = 0;
        for (const auto& ring : regions[i].rings)
            for (const auto p : ring)
                reach = std::max(reach,
                                 std::abs((p.x - axis->through.x) * way.x + (p.y - axis->through.y) * way.y));
        const auto half = way * (reach + 4);
        layer.items.push_back(
            sheet::line(axis->through - half, axis->through + half, Pen{look::brass, 0.5, Dash::dashed}));
    }
    return layer;
}

std::string alikeSummary(const quilt::Block& block, const plan::Judgement& judged) {
    const auto groups = words::groupWords(block, judged);
    if (groups.empty()) return words::tr("No two pieces are alike.");
    if (groups.size() == 1) return groups.front();
    return words::said(groups.size() > 2 ? N_("{0}; {1}; and more") : N_("{0}; {1}"), {groups[0], groups[1]});
}

/// What each piece needs, top first; until it is known, where the piece lies.
Rows needRows(const Look& look, const plan::Judgement* judged) {
    Rows rows{words::tr("What each piece needs"), {}};
    addLineRows(rows.rows, look);
    for (std::size_t i = look.block.pieces.size(); i-- > 0;) {
        const auto& piece = look.block.pieces[i];
        Row row{quilt::calledOf(look.block, piece), "", piece.id};
        if (judged) {
            const auto alike = words::alikeWords(look.block, *judged, i);
            row.detail = words::reversalWords(judged->pieces[i]) + " · " +
                         words::widthWords(judged->pieces[i], look.quilt.units) +
                         (alike.empty() ? "" : " · " + alike);
        }
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        rows.rows.push_back(std::move(row));
    }
    return rows;
}

} // namespace

ViewParts drawParts(const Look& look) {
    ViewParts parts;
    parts.scene.badges = look.templates ? Badges::pair : Badges::each;
    if (look.templates) {
        parts.scene.sameScale = false;
        parts.scene.leastHeight = 132;
        parts.scene.columns = 3;
        for (const auto& piece : look.block.pieces)
            parts.scene.panels.push_back(pairPanel(look, piece));
    } else {
        auto seen = blockPanel(look, quilt::Step::toTrace, false);
        parts.scene.panels = {std::move(seen), asTraced(look)};
    }
    const auto judged = look.derived.judgement();
    if (judged && !look.templates) {
        parts.scene.panels[0].layers.push_back(thinLayer(look, *judged));
        parts.scene.panels[1].layers.insert(parts.scene.panels[1].layers.end() - 1, axisLayer(look, *judged));
        parts.scene.panels[1].below = words::reversingWords(*judged);
        parts.scene.panels[0].below = alikeSummary(look.block, *judged);
    }
    parts.rows = needRows(look, judged.get());
    return parts;
}

} // namespace up::app
