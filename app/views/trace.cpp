// SPDX-License-Identifier: GPL-3.0-or-later
// Web sheets and rolls with the reversed pieces laid out.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/shape/deepest.hpp"
#include "words/sentences.hpp"

#include <algorithm>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

Panel sheetPanel(const Look& look, const quilt::Web& web, int number) {
    const auto& trace = look.derived.trace();
    Panel panel;
    panel.side = Side::paper;
    const double used = web.sheets > 0 ? web.length.mm() : std::min(web.length.mm(), trace.used.mm() + 15);
    panel.box = {0, 0, web.width.mm(), used};
    panel.caption = web.sheets > 0 ? "Sheet " + std::to_string(number + 1) : web.name;
    sheet::Layer paper{"paper", {sheet::box(panel.box, look::webPaper, {})}, {}, {}};
    sheet::Layer lines{"lines", {}, {}, {}}, flags{"flags", {}, {}, {}};
    std::vector<PieceId> here;
    for (const auto& chunk : trace.chunks) {
        if (chunk.sheet != number) continue;
        const Colour cloth = colourOf(look.quilt, chunk.fabric);
        paper.items.push_back(sheet::Shape{sheet::contoursOf(chunk.roughCut), cloth,
                                           Pen{look::slate, 0.3, Dash::dashed}, 0, 0.22});
        here.insert(here.end(), chunk.pieces.begin(), chunk.pieces.end());
    }
    paper.clip = panel.box;
    for (const auto& [id, outline] : trace.lines) {
        if (std::find(here.begin(), here.end(), id) == here.end()) continue;
        const auto& piece = *find(look.block.pieces, id);
        const bool traced = piece.work.step != quilt::Step::toTrace, chosen = id == look.chosen;
        const Pen pen{chosen ? look::brass : look::pencil, chosen ? 1.2 : traced ? 0.7 : 0.4, Dash::solid};
        lines.items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt, pen, id.value});
        for (const auto& placed : look.block.layout.front().traced)
            if (placed.piece == id)
                addMarks(lines, piece, quilt::onSheet(placed) * shape::Transform::mirrorAcross(0),
                         look::slate);
        const auto spot = shape::deepestPoint(shape::regionOf(outline), 1.0);
        flags.items.push_back(sheet::Flag{plan::numberOf(look.block, id), spot.at, true,
                                          colourOf(look.quilt, piece.fabric), spot.depth * 2, id.value});
    }
    if (web.sheets == 0) {
        const double y = trace.used.mm();
        lines.items.push_back(sheet::line({0, y}, {web.width.mm(), y}, {look::rust, 0.5, Dash::dashed}));
        lines.items.push_back(sheet::Words{"cut the roll here: " + say(look.quilt, trace.used),
                                           {web.width.mm() - 3, y + 12.5},
                                           6,
                                           look::rust,
                                           sheet::Align::right,
                                           true});
    }
    panel.layers = {std::move(paper), std::move(lines), std::move(flags)};
    return panel;
}

/// Before there is a layout: what will be traced for which fabric.
Rows byFabric(const Look& look) {
    Rows rows{"To trace, by fabric", {}};
    for (const auto& fabric : look.quilt.fabrics) {
        std::vector<PieceId> pieces;
        for (const auto& piece : look.block.pieces)
            if (piece.fabric == fabric.id) pieces.push_back(piece.id);
        if (pieces.empty()) continue;
        Row row{fabric.name, (pieces.size() == 1 ? "piece " : "pieces ") + numbersOf(look.block, pieces),
                pieces.front().value};
        row.swatch = fabric.colour;
        rows.rows.push_back(std::move(row));
    }
    return rows;
}

} // namespace

ViewParts traceParts(const Look& look) {
    ViewParts parts;
    const auto& trace = look.derived.trace();
    const auto* web = find(look.quilt.webs, look.block.web);
    if (look.block.layout.empty() || !web) {
        parts.scene.empty = "Nothing is laid out yet.\n“Lay out” reverses every piece, groups them by fabric "
                            "and fits them on " +
                            (web ? web->name : std::string("the web")) + ".";
        parts.rows = byFabric(look);
        return parts;
    }
    for (int i = 0; i < std::max(1, trace.sheets); ++i)
        parts.scene.panels.push_back(sheetPanel(look, *web, i));
    const bool roll = web->sheets == 0;
    parts.rows.title =
        roll ? say(look.quilt, trace.used) + " of the roll used"
             : std::to_string(trace.sheets) + (trace.sheets == 1 ? " sheet" : " sheets") + " used";
    if (web->papers == 2)
        parts.rows.rows.push_back(
            {"Two papers: draw on the paper the glue stays with", "Peel the other one before bonding.", 0});
    for (const auto& chunk : trace.chunks) {
        Row row{fabricNameOf(look.quilt, chunk.fabric), "one chunk: " + numbersOf(look.block, chunk.pieces),
                chunk.pieces.front().value};
        row.swatch = colourOf(look.quilt, chunk.fabric);
        row.done = std::all_of(chunk.pieces.begin(), chunk.pieces.end(), [&](PieceId id) {
            return find(look.block.pieces, id)->work.step != quilt::Step::toTrace;
        });
        row.next = !row.done && !look.next.pieces.empty() && look.next.pieces.front() == chunk.pieces.front();
        parts.rows.rows.push_back(std::move(row));
    }
    for (const auto& unplaced : look.block.layout.front().unplaced) {
        const auto* piece = find(look.block.pieces, unplaced.piece);
        if (!piece) continue;
        parts.rows.rows.push_back(
            {"Not placed: " + std::to_string(plan::numberOf(look.block, piece->id)) + " " + piece->name,
             unplaced.reason == "largerThanSheet" ? "larger than the web" : "no web left", piece->id.value});
    }
    return parts;
}

} // namespace up::app
