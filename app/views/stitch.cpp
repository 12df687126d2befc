// SPDX-License-Identifier: GPL-3.0-or-later
// The edges that show, in sewing order, with thread and length.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

void addEdge(sheet::Layer& layer, const Look& look, const plan::StitchRun& run, bool next) {
    const Colour thread = threadColour(look.quilt, run.thread);
    const auto contours = sheet::contoursOf(run.edges);
    const double width = next ? 1.6 : 1.0;
    layer.items.push_back(sheet::Shape{contours, std::nullopt,
                                       Pen{next ? look::brassBright : look::panel, width + 0.8, Dash::solid},
                                       run.piece});
    layer.items.push_back(sheet::Shape{contours, std::nullopt,
                                       Pen{thread, width, run.done ? Dash::solid : Dash::dashed}, run.piece});
}

std::string threadName(const quilt::Quilt& quilt, ThreadId id) {
    const auto* thread = find(quilt.threads, id);
    return thread ? thread->name : words::tr("no thread yet");
}

} // namespace

ViewParts stitchParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::toTrace, false);
    for (auto& item : panel.layers[1].items)
        if (auto* shape = std::get_if<sheet::Shape>(&item)) shape->opacity = 0.35, shape->pen.reset();
    sheet::Layer edges{"edges", {}, {}, quilt::cutBox(look.block)};
    const auto& plan = look.derived.stitch();
    measure::Length left;
    ThreadId on;
    for (const auto& run : plan.runs) {
        const bool next = !look.next.pieces.empty() && look.next.what == plan::What::step &&
                          look.next.pieces.front() == run.piece;
        addEdge(edges, look, run, next);
        if (!run.done) left = left + run.length;
        Row row{quilt::calledOf(look.block, the(look.block.pieces, run.piece)),
                threadName(look.quilt, run.thread) + ", " + near(look.quilt, run.length.mm()), run.piece};
        if (!run.done && run.thread != on) row.detail = words::said(N_("Thread: {0}"), {row.detail});
        if (!run.done) on = run.thread;
        row.swatch = threadColour(look.quilt, run.thread);
        row.done = run.done;
        row.next = next;
        parts.rows.rows.push_back(std::move(row));
    }
    panel.layers.insert(panel.layers.end() - 2, std::move(edges)); // under what is chosen, and the numbers
    parts.scene.panels.push_back(std::move(panel));
    const auto changes = static_cast<std::size_t>(plan.threadChanges);
    parts.rows.title =
        left == measure::Length{}
            ? words::tr("All edges are stitched")
            : words::said(N2_("{1} to stitch, {0} thread change", "{1} to stitch, {0} thread changes"),
                          changes, {near(look.quilt, left.mm())});
    return parts;
}

} // namespace up::app
