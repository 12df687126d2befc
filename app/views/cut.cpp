// SPDX-License-Identifier: GPL-3.0-or-later
// Chunks with their cuts, numbered in the order of cutting; pieces that want their marks first, from the right side;
// once all is cut, the pieces by their sizes, which settle which is which.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/sheet/figures.hpp"
#include "drawn/on_cloth.hpp"
#include "words/cut_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

using shape::Point;
using sheet::Dash;
using sheet::Pen;

bool has(const std::vector<PieceId>& pieces, PieceId piece) {
    return std::find(pieces.begin(), pieces.end(), piece) != pieces.end();
}

bool isNext(const Look& look, const plan::ChunkCuts& chunk) {
    return look.next.step == quilt::Step::cleanCut &&
           std::any_of(chunk.pieces.begin(), chunk.pieces.end(),
                       [&](PieceId id) { return has(look.next.pieces, id); });
}

Panel piecePanel(const Look& look, const quilt::Piece& piece) {
    const auto box = boundsOf(*piece.outline);
    Panel panel;
    panel.caption = quilt::calledOf(look.block, piece);
    panel.below = sizeOf(look.quilt, box) + "\n" + words::state(piece.work.step);
    panel.done = piece.isPast(quilt::Tread::cut);
    panel.chosen = has(look.next.pieces, piece.id);
    const double border = std::max({box.width() * 0.06, box.height() * 0.06, 3.0});
    panel.box = box.grownBy(border);
    const Colour cloth = drawn::clothOf(look.quilt, piece.fabric);
    sheet::Layer layer{"cut", {}, {}, panel.box};
    layer.items.push_back(
        sheet::box(panel.box, panel.done ? look::plaster : look::mixed(cloth, look::panel, 0.25), {}));
    const Colour lines = look::inkOn(cloth);
    layer.items.push_back(sheet::Shape{
        sheet::contoursOf(*piece.outline), cloth,
        Pen{panel.done ? look::ink : lines, 0.35, panel.done ? Dash::solid : Dash::dashed}, piece.id});
    drawn::addMarks(layer.items, piece, {}, Pen{piece.work.marksDrawn ? lines : look::brassBright, 0.6});
    panel.layers.push_back(std::move(layer));
    return panel;
}

/// Where a cut's number stands: a third of the way along, so that opposite ones do not meet.
Point spotOf(const cut::Cut& cut) {
    return shape::pointAlong(cut.line, cut.length * (cut.closed ? 0.05 : 0.35));
}

void addCut(sheet::Layer& layer, const cut::Cut& cut, std::size_t number, double size) {
    const bool ruler = cut.why == cut::Why::ruler;
    const auto colour = ruler ? look::brass : cut.why == cut::Why::lining ? look::moss : look::rust;
    sheet::addHaloed(layer.items, sheet::contoursOf(std::vector<shape::Polyline>{cut.line}),
                     Pen{look::panel, size * 0.22},
                     Pen{colour, size * 0.12, ruler ? Dash::dashed : Dash::solid});
    if (ruler) { // from where to where
        const auto along = (cut.line.back() - cut.line.front()) * (size * 0.5 / std::max(cut.length, 1e-9));
        const Point across{-along.y, along.x};
        for (const Point end : {cut.line.front(), cut.line.back()})
            layer.items.push_back(sheet::line(end - across, end + across, Pen{colour, size * 0.12}));
    }
    const auto at = spotOf(cut);
    layer.items.push_back(sheet::Shape{{sheet::disc(at, size * 0.62)}, look::panel, Pen{colour, size * 0.1}});
    layer.items.push_back(sheet::Words{std::to_string(number),
                                       {at.x, at.y + size * 0.26},
                                       size * 0.72,
                                       look::ink,
                                       sheet::Align::centre,
                                       true});
}

Panel chunkPanel(const Look& look, const plan::ChunkCuts& chunk) {
    const auto& traced = look.derived.trace().chunks[chunk.chunk];
    Panel panel;
    panel.side = Side::paper;
    panel.caption = words::said(N_("{0} on {1}"), {numbersOf(look.block, chunk.pieces),
                                                   drawn::fabricName(look.quilt, traced.fabric)});
    panel.below =
        words::said(N_("{0} of cutting, {1}"), {near(look.quilt, chunk.length),
                                                words::minutesWords(look.derived.cutting(), chunk.minutes)});
    panel.chosen = isNext(look, chunk);
    panel.box = traced.roughCut.bounds().grownBy(4);
    panel.layers =
        drawn::chunkLayers({look.quilt, look.block, look.derived.trace(), look.chosen}, traced, {});
    sheet::Layer cuts{"cuts", {}, {}, panel.box};
    const double size = std::clamp(std::max(panel.box.width(), panel.box.height()) / 34, 3.0, 7.0);
    for (std::size_t i = chunk.cuts.size(); i-- > 0;)
        addCut(cuts, chunk.cuts[i], i + 1, size);
    panel.layers.push_back(std::move(cuts));
    return panel;
}

void addCutRows(const Look& look, const plan::ChunkCuts& chunk, Rows& rows) {
    for (std::size_t i = 0; i < chunk.cuts.size(); ++i) {
        const auto& cut = chunk.cuts[i];
        const auto piece = chunk.pieces[cut.shapes.front()];
        Row row{words::said(N_("{0}. {1}"), {std::to_string(i + 1), words::cutName(look.block, chunk, cut)}),
                near(look.quilt, cut.length), piece};
        row.swatch = drawn::clothOf(look.quilt, the(look.block.pieces, piece).fabric);
        row.next = i == 0;
        rows.rows.push_back(std::move(row));
    }
}

/// Those that come after.
void addChunkRows(const Look& look, const plan::CutPlan& plan, Rows& rows) {
    for (const auto& chunk : plan.chunks) {
        if (isNext(look, chunk)) continue;
        const auto fabric = look.derived.trace().chunks[chunk.chunk].fabric;
        Row row{words::said(N_("Then {0} on {1}"),
                            {numbersOf(look.block, chunk.pieces), drawn::fabricName(look.quilt, fabric)}),
                words::said(N2_("{0} cut, {1}", "{0} cuts, {1}"), chunk.cuts.size(),
                            {words::minutesWords(plan, chunk.minutes)}),
                chunk.pieces.front()};
        row.swatch = drawn::clothOf(look.quilt, fabric);
        rows.rows.push_back(std::move(row));
    }
}

void addAlikeRows(const Look& look, const plan::CutPlan& plan, Rows& rows) {
    for (const auto& alike : plan.alike)
        rows.rows.push_back({words::said(N_("Label {0}"), {numbersOf(look.block, alike)}),
                             words::tr("they are as large as each other, and not the same"), alike.front()});
}

void addPieceRows(const Look& look, Rows& rows) {
    for (const auto& piece : look.block.pieces) {
        Row row{quilt::calledOf(look.block, piece), words::state(piece.work.step), piece.id};
        if (piece.hasMarks() && piece.work.step < quilt::Step::laid)
            row.detail = words::said(
                piece.work.marksDrawn ? N_("{0}, marks drawn") : N_("{0}, marks to draw"), {row.detail});
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = piece.isPast(quilt::Tread::cut);
        row.next =
            (look.next.step == quilt::Step::marked || piece.isOffWeb()) && has(look.next.pieces, piece.id);
        rows.rows.push_back(std::move(row));
    }
}

} // namespace

ViewParts cutParts(const Look& look) {
    ViewParts parts;
    parts.rows.title = words::tr("To mark and cut");
    const auto& plan = look.derived.cutting();
    if (look.next.step == quilt::Step::marked)
        for (const auto id : look.next.pieces)
            parts.scene.panels.push_back(piecePanel(look, the(look.block.pieces, id)));
    if (look.next.join != quilt::Join::fused && look.next.step != quilt::Step::marked)
        for (const auto id : look.next.pieces)
            parts.scene.panels.push_back(templatePanel(look, the(look.block.pieces, id)));
    for (const auto& chunk : plan.chunks) // as large as there is room: the others stand in the list
        if (isNext(look, chunk)) parts.scene.panels.push_back(chunkPanel(look, chunk));
    for (const auto& chunk : plan.chunks)
        if (!isNext(look, chunk) && has(chunk.pieces, look.chosen))
            parts.scene.panels.push_back(chunkPanel(look, chunk));
    for (const auto& chunk : plan.chunks)
        if (isNext(look, chunk)) addCutRows(look, chunk, parts.rows);
    addChunkRows(look, plan, parts.rows);
    if (!plan.chunks.empty()) addAlikeRows(look, plan, parts.rows);
    if (parts.scene.panels.empty()) // nothing to be cut here now
        for (const auto& piece : look.block.pieces)
            parts.scene.panels.push_back(piecePanel(look, piece));
    parts.scene.sameScale = false;
    parts.scene.badges =
        plan.chunks.empty() || look.next.step != quilt::Step::marked ? Badges::one : Badges::each;
    addPieceRows(look, parts.rows);
    return parts;
}

} // namespace up::app
