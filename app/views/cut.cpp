// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces as cut, with the marks to draw before the paper comes off; sizes settle which is which.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

Panel cutPanel(const Look& look, const quilt::Piece& piece) {
    const auto box = boundsOf(*piece.outline);
    Panel panel;
    panel.caption = quilt::calledOf(look.block, piece);
    panel.below = sizeOf(look.quilt, box) + "\n" + words::state(piece.work.step);
    panel.done = piece.work.step >= quilt::Step::cleanCut;
    panel.chosen =
        std::find(look.next.pieces.begin(), look.next.pieces.end(), piece.id) != look.next.pieces.end();
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

} // namespace

ViewParts cutParts(const Look& look) {
    ViewParts parts;
    parts.scene.sameScale = false;
    parts.rows.title = words::tr("To mark and cut");
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.block.pieces[i];
        parts.scene.panels.push_back(cutPanel(look, piece));
        Row row{quilt::calledOf(look.block, piece), words::state(piece.work.step), piece.id};
        if (piece.hasMarks() && piece.work.step < quilt::Step::laid)
            row.detail = words::said(
                piece.work.marksDrawn ? N_("{0}, marks drawn") : N_("{0}, marks to draw"), {row.detail});
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = piece.work.step >= quilt::Step::cleanCut;
        row.next = parts.scene.panels.back().chosen;
        parts.rows.rows.push_back(std::move(row));
    }
    return parts;
}

} // namespace up::app
