// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/ways.hpp"

#include "core/edit/edits.hpp"
#include "core/edit/lines.hpp"
#include "core/pattern/written.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/store/time.hpp"
#include "demo/starting.hpp"

#include <algorithm>

namespace up::demo {

using quilt::Length;
using quilt::Line;
using quilt::Quilt;

namespace {

ThreadId threadNamed(const Quilt& quilt, const std::string& name) {
    const auto at = std::find_if(quilt.threads.begin(), quilt.threads.end(),
                                 [&](const auto& thread) { return thread.name == name; });
    return at == quilt.threads.end() ? ThreadId{} : at->id;
}

/// All pieces of the block come so far. They were drawn, cut and pressed one evening after the other; times invented.
Result<Quilt> worked(Quilt quilt, BlockId id, quilt::Step upTo, std::int64_t time) {
    for (const auto step : every<quilt::Step>()) {
        if (step == quilt::Step::toTrace || step > upTo) continue;
        std::vector<PieceId> pieces;
        for (const auto& piece : the(quilt.blocks, id).pieces)
            if (step != quilt::Step::marked || piece.hasMarks()) pieces.push_back(piece.id);
        if (pieces.empty()) continue;
        auto next = edit::record(quilt, id, pieces, step, time += 86'400);
        if (!next) return next;
        quilt = std::move(*next);
    }
    return quilt;
}

/// mm, as the drawing of 9 in has it in hundredths of an inch.
shape::Point on(double x, double y) {
    return {x * 0.254, y * 0.254};
}

shape::Contour curve(shape::Point from, shape::Point c1, shape::Point c2, shape::Point to) {
    shape::Contour out;
    out.start = from, out.closed = false;
    out.curveTo(c1, c2, to);
    return out;
}

Line words(const Quilt& quilt, const std::string& text, Length height, double bend, shape::Point middle,
           const std::string& floss) {
    Line line;
    line.name = text;
    line.written = quilt::Written{text, "", height, measure::Angle::ofDegrees(bend)};
    line.strokes = pattern::bent(*pattern::singleLines(text, height.mm()), line.written->bend);
    line.place.right = Length::ofMm(middle.x), line.place.down = Length::ofMm(middle.y);
    line.thread = threadNamed(quilt, floss);
    return line;
}

/// Words over the rushes, veins in their leaves, ripples by machine: traced, and the first lengths of floss stitched.
Result<Quilt> bulrushes(const Quilt& quilt, const std::string& folder) {
    const auto evening = *store::readTime("2026-10-02T19:00:00Z");
    auto out = withDrawing(quilt, folder, "bulrushes.svg", "Bulrushes", "straw", evening);
    if (out) out = worked(std::move(*out), out->blocks.back().id, quilt::Step::stitched, evening);
    if (!out) return out;
    const auto id = out->blocks.back().id;
    Line left, right;
    left.name = "left vein", right.name = "right vein";
    left.strokes = std::vector{curve(on(346, 780), on(322, 630), on(246, 450), on(132, 346))};
    right.strokes = std::vector{curve(on(554, 780), on(578, 630), on(654, 450), on(768, 346))};
    for (auto* vein : {&left, &right}) {
        vein->stitch = quilt::LineStitch::stem, vein->strands = 2;
        vein->thread = threadNamed(*out, "reed green");
    }
    const auto title = words(*out, "Slow Water", Length::ofInches(7, 16), 24, on(212, 130), "brick red");
    Line ripples;
    ripples.name = "ripples", ripples.stitch = quilt::LineStitch::machineStraight;
    ripples.strokes = std::vector{curve(on(60, 800), on(110, 780), on(150, 822), on(210, 800)),
                                  curve(on(690, 800), on(750, 780), on(790, 822), on(840, 800))};
    ripples.thread = threadNamed(*out, "lamp glass");
    std::vector<LineId> all;
    for (const auto& line : {title, left, right, ripples}) {
        out = edit::putLine(*out, id, line);
        if (!out) return out;
        all.push_back(the(out->blocks, id).lines.back().id);
    }
    auto time = out->log->back().time + 86'400;
    out = edit::linesDrawn(*out, id, all, time);
    if (out) out = edit::lineSewn(*out, id, all.back(), time += 600);
    for (int i = 0; i < 2 && out; ++i) {
        const auto plan = plan::planLines(the(out->blocks, id));
        if (const auto next = plan.next())
            out = edit::lineSewn(*out, id, plan.parts[next->part].line, time += 1800);
    }
    return out;
}

} // namespace

Result<Quilt> otherWays(const std::string& folder) {
    auto quilt = startingQuilt();
    quilt.name = "Towpath, other ways";
    quilt.columns = 2;
    return bulrushes(quilt, folder);
}

} // namespace up::demo
