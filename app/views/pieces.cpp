// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/sheet/figures.hpp"
#include "drawn/lines.hpp"
#include "drawn/templates.hpp"
#include "words/join_words.hpp"
#include "words/laid_words.hpp"
#include "words/lay_words.hpp"
#include "words/line_words.hpp"
#include "words/now_words.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {

using measure::Length;
using sheet::Dash;
using sheet::Pen;

std::string say(const quilt::Quilt& quilt, Length length) {
    return measure::say(length, quilt.units);
}

std::string sizeOf(const quilt::Quilt& quilt, const shape::Box& box) {
    return measure::saySize(Length::ofMm(box.width()), Length::ofMm(box.height()), quilt.units);
}

Colour threadColour(const quilt::Quilt& quilt, ThreadId id) {
    const auto* thread = find(quilt.threads, id);
    return thread ? thread->colour : look::slate;
}

std::string near(const quilt::Quilt& quilt, double mm) {
    return words::plainly(Length::ofMm(mm), quilt.units);
}

std::string numbersOf(const quilt::Block& block, const std::vector<PieceId>& pieces) {
    return words::numbersWords(block, pieces);
}

void addPointed(sheet::Layer& layer, const Look& look) {
    const auto& pointed = look.pointed;
    if (!pointed.where.isEmpty())
        layer.items.push_back(sheet::Shape{
            sheet::contoursOf(pointed.where), look::rust, Pen{look::rust, 0.9, Dash::solid}, {}, 0.7});
    constexpr double radius = 7; // mm
    std::vector<shape::Contour> rings;
    for (const auto spot : pointed.spots)
        rings.push_back(sheet::disc(spot, radius));
    if (!rings.empty()) sheet::addHaloed(layer.items, rings, Pen{look::panel, 2.0}, Pen{look::rust, 1.0});
}

void addChosen(sheet::Layer& layer, const Look& look) {
    for (const PieceId id : look.allChosen) {
        const auto* piece = find(look.block.pieces, id);
        if (!piece) continue;
        const bool last = id == look.chosen;
        sheet::addHaloed(layer.items, sheet::contoursOf(quilt::placed(*piece)),
                         Pen{look::ink, last ? 1.7 : 1.2}, Pen{look::brassBright, last ? 1.0 : 0.6});
    }
}

sheet::Layer flagLayer(const Look& look) {
    sheet::Layer layer{"flags", {}, {}, {}};
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.block.pieces[i];
        if (piece.liningOf) continue; // it lies hidden where its piece has its own
        const auto& spot = look.derived.spots()[i];
        layer.items.push_back(sheet::Flag{quilt::labelOf(look.block, piece.id), spot.at, false,
                                          drawn::clothOf(look.quilt, piece.fabric), spot.depth * 2,
                                          piece.id});
    }
    return layer;
}

void addLineRows(std::vector<Row>& rows, const Look& look) {
    for (const auto& line : look.block.lines) {
        Row row = line.laid ? Row{words::trimName(line.laid->trim) + ": " + line.name,
                                  words::laidWords(look.quilt, look.block, line), line.id}
                            : Row{words::said(N_("Line: {0}"), {line.name}),
                                  words::lineHowWords(look.quilt, line), line.id};
        row.swatch = threadColour(look.quilt, line.thread);
        if (const auto* fabric = line.laid ? find(look.quilt.fabrics, line.laid->fabric) : nullptr)
            row.swatch = fabric->colour, row.picture = fabric->swatch;
        rows.push_back(std::move(row));
    }
}

Panel blockPanel(const Look& look, quilt::Step step, bool creases) {
    Panel panel;
    panel.side = Side::front;
    panel.box = quilt::cutBox(look.block);
    panel.layers = drawn::placedBlock({look.quilt, look.block, look.derived.ground(), nullptr, step, creases},
                                      drawn::For::screen);
    sheet::Layer over{"chosen", {}, {}, quilt::cutBox(look.block)};
    addChosen(over, look);
    addPointed(over, look);
    if (const auto* line = find(look.block.lines, look.line))
        sheet::addHaloed(over.items, placed(*line), Pen{look::ink, 1.6}, Pen{look::brassBright, 0.9});
    if (const auto& laid = look.next.laid; laid && laid->strip) // what is laid now
        sheet::addHaloed(over.items, sheet::contoursOf({laid->strip->middle}), Pen{look::ink, 2.2},
                         Pen{look::brassBright, 1.4});
    panel.layers.push_back(drawn::lineTargets(look.block));
    panel.layers.push_back(std::move(over));
    panel.layers.push_back(flagLayer(look));
    return panel;
}

Panel fromBehind(const Look& look, Panel panel, std::ptrdiff_t keep) {
    auto wash = sheet::box(quilt::cutBox(look.block), look::plaster, {});
    wash.opacity = 0.6;
    sheet::Layer layer{"back", {wash}, {}, {}};
    panel.layers.insert(panel.layers.end() - keep, std::move(layer));
    panel = turnedOver(std::move(panel));
    panel.side = Side::back;
    return panel;
}

Panel templatePanel(const Look& look, const quilt::Piece& piece) {
    const auto one = plan::templateOf(piece);
    Panel panel;
    panel.side = Side::front;
    panel.caption = words::said(
        N_("{0} on {1}"), {quilt::calledOf(look.block, piece), drawn::fabricName(look.quilt, piece.fabric)});
    panel.below = words::templateWords(look.quilt, one);
    panel.box = drawn::templateBox(one);
    panel.layers.push_back(drawn::templateLayer(look.quilt, piece, one, drawn::For::screen));
    const auto& next = look.next.pieces;
    panel.chosen = std::find(next.begin(), next.end(), piece.id) != next.end() || piece.id == look.chosen;
    panel.tag = piece.id;
    return panel;
}

void addTemplateRows(std::vector<Row>& rows, const Look& look) {
    for (const auto& piece : look.block.pieces) {
        if (!piece.isOffWeb()) continue;
        Row row{
            words::said(N_("{0}, {1}"), {quilt::calledOf(look.block, piece), words::joinName(piece.join)}),
            words::templateWords(look.quilt, plan::templateOf(piece)), piece.id};
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = piece.work.step != quilt::Step::toTrace;
        const auto& next = look.next.pieces;
        row.next = !row.done && std::find(next.begin(), next.end(), piece.id) != next.end();
        rows.push_back(std::move(row));
    }
}

} // namespace up::app
