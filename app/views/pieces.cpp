// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "words/now_words.hpp"

#include <cmath>

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

Colour colourOf(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->colour : Colour{0xE8, 0xE6, 0xDF};
}

std::string fabricNameOf(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->name : "no fabric yet";
}

Colour threadColour(const quilt::Quilt& quilt, ThreadId id) {
    const auto* thread = find(quilt.threads, id);
    return thread ? thread->colour : look::slate;
}

Colour mixed(Colour a, Colour b, double share) {
    const auto mix = [&](std::uint8_t x, std::uint8_t y) {
        return static_cast<std::uint8_t>(std::lround(x + (y - x) * share));
    };
    return {mix(a.red, b.red), mix(a.green, b.green), mix(a.blue, b.blue)};
}

std::string near(const quilt::Quilt& quilt, double mm) {
    const auto length = Length::ofMm(mm);
    return quilt.units == measure::System::inches ? measure::fraction(length) + " in"
                                                  : measure::sayMetric(length);
}

std::string numbersOf(const quilt::Block& block, const std::vector<PieceId>& pieces) {
    return words::numbersWords(block, pieces);
}

sheet::Layer backgroundLayer(const quilt::Quilt& quilt, const quilt::Block& block,
                             const plan::GroundPlan& ground, bool creases) {
    const Colour cloth = colourOf(quilt, block.background);
    const Colour faint = mixed(cloth, luminance(cloth) > 0.25 ? look::ink : look::panel, 0.35);
    sheet::Layer layer{"background", {}, {}, quilt::cutBox(block)};
    for (const auto& patch : ground.patches)
        layer.items.push_back(sheet::box(patch.box, colourOf(quilt, patch.fabric), {}));
    for (const auto& [a, b] : ground.seams)
        layer.items.push_back(sheet::line(a, b, Pen{faint, 0.35, Dash::solid}));
    if (creases)
        for (const auto& [a, b] : ground.creases)
            layer.items.push_back(sheet::line(a, b, Pen{faint, 0.2, Dash::dashed}));
    return layer;
}

namespace {
/// The finished edge over everything, so that what lies in the seam allowance is seen to.
sheet::Layer seamLayer(const quilt::Block& block) {
    sheet::Layer layer{"seam", {}, {}, {}};
    sheet::Shape band{sheet::contoursOf(shape::rectangle(quilt::cutBox(block))), look::panel, {}, {}, 0.35};
    for (auto& contour : sheet::contoursOf(shape::rectangle(quilt::finishedBox(block))))
        band.contours.push_back(contour);
    layer.items.push_back(band);
    layer.items.push_back(
        sheet::box(quilt::finishedBox(block), std::nullopt, Pen{look::ink, 0.35, Dash::dashed}));
    return layer;
}
} // namespace

sheet::Shape pieceShape(const quilt::Quilt& quilt, const quilt::Piece& piece, double opacity) {
    const Colour cloth = colourOf(quilt, piece.fabric);
    const Pen edge{mixed(cloth, look::ink, luminance(cloth) > 0.1 ? 0.45 : 0.0), 0.25, Dash::solid};
    return {sheet::contoursOf(quilt::placed(piece)), cloth, edge, piece.id, opacity};
}

void addMarks(sheet::Layer& layer, const quilt::Piece& piece, const shape::Transform& by, Colour colour) {
    if (!piece.hasMarks()) return;
    std::vector<shape::Contour> marks;
    for (const auto& mark : *piece.marks)
        marks.push_back(transformed(mark, by));
    layer.items.push_back(sheet::Shape{std::move(marks), std::nullopt, Pen{colour, 0.6, Dash::solid}});
}

void addDotted(sheet::Layer& layer, const quilt::Piece& piece, const shape::Transform& by, Colour ground) {
    if (piece.dotted->empty()) return;
    std::vector<shape::Contour> lines;
    for (const auto& line : *piece.dotted)
        lines.push_back(transformed(line, by));
    layer.items.push_back(sheet::Shape{lines, std::nullopt, Pen{ground, 1.0, Dash::solid}});
    layer.items.push_back(sheet::Shape{std::move(lines), std::nullopt, Pen{look::rust, 0.8, Dash::dotted}});
}

void addPointed(sheet::Layer& layer, const Look& look) {
    const auto& pointed = look.pointed;
    if (!pointed.where.isEmpty())
        layer.items.push_back(sheet::Shape{
            sheet::contoursOf(pointed.where), look::rust, Pen{look::rust, 0.9, Dash::solid}, {}, 0.7});
    constexpr double radius = 7; // mm
    std::vector<shape::Contour> rings;
    for (const auto spot : pointed.spots) {
        shape::Ring ring;
        for (int i = 0; i < 48; ++i)
            ring.push_back(spot + shape::Point{std::cos(i * 0.1309), std::sin(i * 0.1309)} * radius);
        rings.push_back(shape::contourThrough(ring));
    }
    if (rings.empty()) return;
    for (const auto& [colour, width] : {std::pair{look::panel, 2.0}, std::pair{look::rust, 1.0}})
        layer.items.push_back(sheet::Shape{rings, std::nullopt, Pen{colour, width, Dash::solid}});
}

void addChosen(sheet::Layer& layer, const Look& look) {
    for (const PieceId id : look.allChosen) {
        const auto* piece = find(look.block.pieces, id);
        if (!piece) continue;
        const bool last = id == look.chosen;
        for (const auto& pen : {Pen{look::ink, last ? 1.7 : 1.2, Dash::solid},
                                Pen{look::brassBright, last ? 1.0 : 0.6, Dash::solid}})
            layer.items.push_back(sheet::Shape{sheet::contoursOf(quilt::placed(*piece)), std::nullopt, pen});
    }
}

sheet::Layer flagLayer(const Look& look) {
    sheet::Layer layer{"flags", {}, {}, {}};
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.block.pieces[i];
        if (piece.liningOf) continue; // it lies hidden where its piece has its own
        const auto& spot = look.derived.spots()[i];
        layer.items.push_back(sheet::Flag{quilt::labelOf(look.block, piece.id), spot.at, false,
                                          colourOf(look.quilt, piece.fabric), spot.depth * 2, piece.id});
    }
    return layer;
}

Panel blockPanel(const Look& look, quilt::Step step, bool creases) {
    Panel panel;
    panel.side = Side::front;
    panel.box = quilt::cutBox(look.block);
    panel.layers.push_back(backgroundLayer(look.quilt, look.block, look.derived.ground(), creases));
    sheet::Layer pieces{"pieces", {}, {}, quilt::cutBox(look.block)};
    for (const auto& piece : look.block.pieces) {
        const bool done = piece.work.step >= step;
        auto shape = pieceShape(look.quilt, piece, done ? 1.0 : 0.4);
        if (!done) shape.pen = Pen{look::pencil, 0.3, Dash::dashed};
        pieces.items.push_back(std::move(shape));
        addMarks(pieces, piece, quilt::placing(piece),
                 mixed(colourOf(look.quilt, piece.fabric),
                       luminance(colourOf(look.quilt, piece.fabric)) > 0.2 ? look::ink : look::panel, 0.7));
    }
    panel.layers.push_back(std::move(pieces));
    panel.layers.push_back(seamLayer(look.block));
    sheet::Layer over{"chosen", {}, {}, quilt::cutBox(look.block)};
    addChosen(over, look);
    addPointed(over, look);
    panel.layers.push_back(std::move(over));
    panel.layers.push_back(flagLayer(look));
    return panel;
}

} // namespace up::app
