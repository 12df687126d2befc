// SPDX-License-Identifier: GPL-3.0-or-later
// Fabric patches with their chunks of web: what to press onto what.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/shape/deepest.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

bool isBonded(const Look& look, const plan::Chunk& chunk) {
    return std::all_of(chunk.pieces.begin(), chunk.pieces.end(), [&](PieceId id) {
        return the(look.block.pieces, id).work.step >= quilt::Step::bonded;
    });
}

std::string patchSize(const Look& look, const plan::Chunk& chunk) {
    return measure::saySize(chunk.patch.width, chunk.patch.height, look.quilt.units);
}

/// The patch wrong side up, the chunk turned to lie square in its middle.
Panel patchPanel(const Look& look, const plan::Chunk& chunk) {
    const auto turn = shape::Transform::turn(chunk.patch.turn);
    const auto chunkBox = shape::transformed(chunk.roughCut, turn).bounds();
    Panel panel;
    panel.side = Side::paper;
    panel.caption = drawn::fabricName(look.quilt, chunk.fabric);
    panel.below = words::said(N2_("{1}\npiece {2}", "{1}\npieces {2}"), chunk.pieces.size(),
                              {patchSize(look, chunk), numbersOf(look.block, chunk.pieces)});
    panel.done = isBonded(look, chunk);
    panel.box = {0, 0, chunk.patch.width.mm(), chunk.patch.height.mm()};
    const auto toPatch = shape::Transform::moveBy(panel.box.centre().x - chunkBox.centre().x,
                                                  panel.box.centre().y - chunkBox.centre().y) *
                         turn;
    const Colour cloth = drawn::clothOf(look.quilt, chunk.fabric);
    sheet::Layer layer{
        "patch", {sheet::box(panel.box, look::mixed(cloth, look::panel, 0.25), {})}, {}, panel.box};
    layer.items.push_back(sheet::Shape{sheet::contoursOf(shape::transformed(chunk.roughCut, toPatch)),
                                       look::webPaper,
                                       Pen{look::slate, 0.3, Dash::dashed},
                                       {},
                                       0.9});
    sheet::Layer flags{"flags", {}, {}, {}};
    for (const auto& [id, outline] : look.derived.trace().lines) {
        if (std::find(chunk.pieces.begin(), chunk.pieces.end(), id) == chunk.pieces.end()) continue;
        const auto here = transformed(outline, toPatch);
        const bool chosen = id == look.chosen;
        layer.items.push_back(
            sheet::Shape{sheet::contoursOf(here), std::nullopt,
                         Pen{chosen ? look::brass : look::pencil, chosen ? 1.2 : 0.4, Dash::solid}, id});
        const auto spot = shape::deepestPoint(shape::regionOf(here), 1.0);
        flags.items.push_back(
            sheet::Flag{quilt::labelOf(look.block, id), spot.at, true, cloth, spot.depth * 2, id});
    }
    panel.layers = {std::move(layer), std::move(flags)};
    return panel;
}

} // namespace

ViewParts bondParts(const Look& look) {
    ViewParts parts;
    parts.scene.empty =
        words::tr("Nothing is laid out on web yet.\nGo down to Trace and lay the pieces out first.");
    parts.rows.title = words::tr("To press");
    for (const auto& chunk : look.derived.trace().chunks) {
        parts.scene.panels.push_back(patchPanel(look, chunk));
        Row row{words::said(N_("{0} on {1}"), {numbersOf(look.block, chunk.pieces),
                                               drawn::fabricName(look.quilt, chunk.fabric)}),
                words::said(N_("at least {0}"), {patchSize(look, chunk)}), chunk.pieces.front()};
        row.swatch = drawn::clothOf(look.quilt, chunk.fabric);
        row.done = isBonded(look, chunk);
        row.next = !look.next.pieces.empty() && std::find(chunk.pieces.begin(), chunk.pieces.end(),
                                                          look.next.pieces.front()) != chunk.pieces.end();
        parts.scene.panels.back().chosen = row.next;
        parts.rows.rows.push_back(std::move(row));
    }
    return parts;
}

} // namespace up::app
