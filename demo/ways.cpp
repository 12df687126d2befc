// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/ways.hpp"

#include "core/edit/cloths.hpp"
#include "core/edit/edits.hpp"
#include "core/edit/lines.hpp"
#include "core/pattern/written.hpp"
#include "core/plan/finish/leading_plan.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/shape/region.hpp"
#include "core/store/time.hpp"
#include "demo/joins.hpp"
#include "demo/starting.hpp"

#include <algorithm>
#include <tuple>

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
            if (goesThrough(step, piece.way())) pieces.push_back(piece.id);
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

quilt::Laid laid(const Quilt& quilt, quilt::Trim trim, Length width, const std::string& fabric) {
    quilt::Laid out;
    out.trim = trim, out.width = width, out.fabric = fabricNamed(quilt, fabric);
    return out;
}

shape::Contour dot(shape::Point at) {
    shape::Contour out;
    out.start = at, out.closed = false;
    out.lineTo(at);
    return out;
}

/// Traced, all that can be; the first strips lie there. The names of the lines that were put, in order.
Result<Quilt> withLines(Result<Quilt> out, BlockId id, const std::vector<Line>& lines, int laidStrips) {
    std::vector<LineId> all;
    for (const auto& line : lines) {
        if (out) out = edit::putLine(*out, id, line);
        if (!out) return out;
        all.push_back(the(out->blocks, id).lines.back().id);
    }
    auto time = out->log->back().time + 86'400;
    out = edit::linesDrawn(*out, id, all, time);
    for (int i = 0; i < laidStrips && out; ++i) {
        const auto& known = the(out->blocks, id).lines;
        for (const auto& line : known)
            if (line.laid && !isAllLaid(line)) {
                out = edit::lineLaid(*out, id, line.id, line.laid->done + 1, time += 900);
                break;
            }
    }
    return out;
}

/// Bias stems: two that run under a third, which runs off; berries of buttons. The leaves are to fray, the first stem lies
/// there.
Result<Quilt> bramble(const Quilt& quilt, const std::string& folder) {
    const auto evening = *store::readTime("2026-10-20T19:00:00Z");
    auto out = withDrawing(quilt, folder, "bramble.svg", "Bramble", "mist", evening);
    if (out) out = worked(std::move(*out), out->blocks.back().id, quilt::Step::tested, evening);
    if (!out) return out;
    const auto id = out->blocks.back().id;
    out = edit::setEdge(*out, id, quilt::usualStitch(quilt::StitchKind::frayed));
    if (!out) return out;
    find(out->fabrics, fabricNamed(*out, "reed green"))->weave =
        quilt::Weave::flannel; // its leaves want more
    using quilt::LaidEnd;
    using quilt::Trim;
    Line left, right, main, berries;
    left.name = "left stem", right.name = "right stem", main.name = "main stem", berries.name = "berries";
    left.strokes = std::vector{curve(on(240, 470), on(310, 500), on(380, 560), on(432, 640))};
    right.strokes = std::vector{curve(on(680, 388), on(600, 400), on(520, 450), on(456, 540))};
    main.strokes = std::vector{curve(on(430, 930), on(400, 760), on(500, 460), on(482, 210))};
    for (auto* stem : {&left, &right, &main}) {
        stem->laid = laid(*out, Trim::stem, Length::ofInches(1, 4), "reed green");
        stem->stitch = quilt::LineStitch::machineStraight;
        stem->thread = threadNamed(*out, "reed green");
        stem->laid->begin = LaidEnd::turnedIn, stem->laid->end = LaidEnd::covered;
    }
    main.laid->width = Length::ofInches(3, 8);
    main.laid->begin = LaidEnd::runsOff, main.laid->end = LaidEnd::turnedIn;
    berries.laid = laid(*out, Trim::button, Length::ofInches(3, 8), "brick red");
    berries.laid->called = 6;
    berries.strokes = std::vector{dot(on(350, 420)), dot(on(318, 380)), dot(on(372, 366)),
                                  dot(on(560, 330)), dot(on(606, 300)), dot(on(596, 350))};
    berries.thread = threadNamed(*out, "brick red");
    return withLines(std::move(out), id, {left, right, main, berries}, 1);
}

/// Rivets that were miscounted, and a rope; nothing is laid yet.
Result<Quilt> lockGate(const Quilt& quilt, const std::string& folder) {
    const auto evening = *store::readTime("2026-11-02T19:00:00Z");
    auto out = withDrawing(quilt, folder, "lockgate.svg", "Lock gate", "morning sky", evening);
    if (out) out = worked(std::move(*out), out->blocks.back().id, quilt::Step::stitched, evening);
    if (!out) return out;
    const auto id = out->blocks.back().id;
    Line rivets, rope;
    rivets.name = "rivets", rope.name = "rope";
    rivets.laid = laid(*out, quilt::Trim::dot, Length::ofInches(3, 16), "brass yellow");
    rivets.laid->glued = rivets.laid->melts = true, rivets.laid->called = 12;
    std::vector<shape::Contour> places;
    for (int i = 0; i < 11; ++i) // one is missing, at the right end of the low rail
        places.push_back(dot(on(180 + 108 * (i % 6), i < 6 ? 451 : 721)));
    rivets.strokes = places;
    rope.laid = laid(*out, quilt::Trim::cord, Length::ofInches(1, 8), "cream plain");
    rope.laid->begin = rope.laid->end = quilt::LaidEnd::sealed;
    rope.stitch = quilt::LineStitch::machineSatin, rope.width = Length::ofInches(3, 16),
    rope.length = Length::ofMm(2.5);
    rope.thread = threadNamed(*out, "lamp glass");
    rope.strokes = std::vector{curve(on(264, 238), on(330, 400), on(570, 400), on(636, 238))};
    return withLines(std::move(out), id, {rope, rivets}, 0);
}

/// Glass: tapes over all borders, the first two of them laid.
Result<Quilt> landingWindow(const Quilt& quilt, const std::string& folder) {
    const auto evening = *store::readTime("2026-11-10T19:00:00Z");
    auto out = withDrawing(quilt, folder, "window.svg", "Landing window", "cream plain", evening);
    if (out) out = worked(std::move(*out), out->blocks.back().id, quilt::Step::tested, evening);
    if (!out) return out;
    const auto id = out->blocks.back().id;
    Line leading;
    leading.name = "leading";
    leading.laid = laid(*out, quilt::Trim::tape, Length::ofInches(1, 4), "tar black");
    leading.laid->begin = leading.laid->end = quilt::LaidEnd::covered;
    leading.stitch = quilt::LineStitch::machineStraight;
    leading.thread = threadNamed(*out, "tar black");
    leading.strokes = plan::strokesOf(plan::planLeading(out->blocks.back()));
    return withLines(std::move(out), id, {leading}, 2);
}

} // namespace

Result<Quilt> otherWays(const std::string& folder) {
    auto quilt = startingQuilt();
    quilt.name = "Towpath, other ways";
    quilt.columns = 4;
    quilt.setting.strips = fabricNamed(quilt, "bottle green");
    for (const auto& [name, fabric, wide, high] :
         {std::tuple{"reed, fat eighth", "reed green", 11, 9}, std::tuple{"tar half", "tar black", 22, 18}}) {
        quilt::Cloth cloth;
        cloth.name = name, cloth.fabric = fabricNamed(quilt, fabric);
        cloth.outline = shape::rectangle({0, 0, wide * 25.4, high * 25.4}).rings;
        auto next = edit::putCloth(quilt, std::move(cloth));
        if (!next) return next;
        quilt = std::move(*next);
    }
    auto out = bulrushes(quilt, folder);
    if (out) out = bramble(*out, folder);
    if (out) out = lockGate(*out, folder);
    if (out) out = landingWindow(*out, folder);
    if (out) out = withOtherJoins(*out, folder);
    return out;
}

} // namespace up::demo
