// SPDX-License-Identifier: GPL-3.0-or-later
// Web sheets and rolls with the reversed pieces laid out.
#include "app/views/pieces.hpp"
#include "app/views/trace_sheet.hpp"
#include "words/trace_words.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

/// Before there is a layout: what will be traced for which fabric.
Rows byFabric(const Look& look) {
    Rows rows{words::tr("To trace, by fabric"), {}};
    for (const auto& fabric : look.quilt.fabrics) {
        std::vector<PieceId> pieces;
        for (const auto& piece : look.block.pieces)
            if (piece.fabric == fabric.id && !piece.isOffWeb()) pieces.push_back(piece.id);
        if (pieces.empty()) continue;
        Row row{fabric.name,
                words::said(N2_("piece {1}", "pieces {1}"), pieces.size(), {numbersOf(look.block, pieces)}),
                pieces.front()};
        row.swatch = fabric.colour;
        rows.rows.push_back(std::move(row));
    }
    return rows;
}

Row chunkRow(const Look& look, const plan::Chunk& chunk) {
    Row row{drawn::fabricName(look.quilt, chunk.fabric), words::chunkWords(look.quilt, look.block, chunk),
            chunk.pieces.front()};
    row.swatch = drawn::clothOf(look.quilt, chunk.fabric);
    row.done = std::all_of(chunk.pieces.begin(), chunk.pieces.end(), [&](PieceId id) {
        return the(look.block.pieces, id).work.step != quilt::Step::toTrace;
    });
    row.next = !row.done && !look.next.pieces.empty() && look.next.pieces.front() == chunk.pieces.front();
    return row;
}

/// Pieces without web, as they are drawn on their cloth; whether there are any.
bool addTemplates(const Look& look, ViewParts& parts) {
    const auto had = parts.scene.panels.size();
    for (const auto& piece : look.block.pieces)
        if (piece.isOffWeb()) parts.scene.panels.push_back(templatePanel(look, piece));
    addTemplateRows(parts.rows.rows, look);
    parts.scene.flowing = true;
    return parts.scene.panels.size() > had;
}

void addUnplaced(const Look& look, Rows& rows) {
    for (const auto& unplaced : look.block.layout->unplaced) {
        const auto* piece = find(look.block.pieces, unplaced.piece);
        if (!piece) continue;
        rows.rows.push_back({words::said(N_("Not placed: {0}"), {quilt::calledOf(look.block, *piece)}),
                             unplaced.reason == quilt::WhyNot::largerThanSheet
                                 ? words::tr("larger than the web")
                                 : words::tr("no web left"),
                             piece->id});
    }
}

} // namespace

ViewParts traceParts(const Look& look) {
    ViewParts parts;
    const auto& trace = look.derived.trace();
    const auto* web = find(look.quilt.webs, look.block.web);
    if (!look.block.layout || !web) {
        parts.scene.empty =
            words::said(N_("Nothing is laid out yet.\n“Lay out” reverses every piece, groups them by "
                           "fabric and fits them on {0}."),
                        {web ? web->name : words::tr("the web")});
        parts.rows = byFabric(look);
        if (!addTemplates(look, parts)) return parts;
        parts.scene.empty.clear();
        return parts;
    }
    const auto& layout = *look.block.layout;
    const drawn::TraceDrawing drawing{look.quilt, look.block, layout, trace, &look.derived.tooClose(),
                                      look.chosen};
    parts.scene.flowing = true;
    for (const auto& sheet : trace.sheets)
        parts.scene.panels.push_back(sheetPanel(drawing, sheet, drawn::For::screen));
    if (parts.scene.panels.empty())
        parts.scene.empty =
            words::tr("None of the pieces has a place on the web.\nChoose another web or lay out again.");
    parts.scene.draggable = std::any_of(look.block.pieces.begin(), look.block.pieces.end(),
                                        [](const auto& p) { return p.work.step == quilt::Step::toTrace; });
    parts.rows.title = words::costWords(look.quilt, plan::costOf(trace, layout));
    parts.rows.rows.push_back({words::sideWords(*web), words::papersWords(*web), {}});
    for (const auto& chunk : trace.chunks)
        parts.rows.rows.push_back(chunkRow(look, chunk));
    addUnplaced(look, parts.rows);
    if (addTemplates(look, parts)) parts.scene.badges = Badges::each;
    return parts;
}

} // namespace up::app
