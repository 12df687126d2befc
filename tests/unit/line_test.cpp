// SPDX-License-Identifier: GPL-3.0-or-later
// Lines on a block: where they lie, what becomes of them when pieces move, how they are worked off.
#include "core/edit/lines.hpp"
#include "core/edit/sewing.hpp"
#include "core/edit/stacking.hpp"
#include "core/mend/mend.hpp"
#include "core/pattern/written.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/plan/work/now_plan.hpp"
#include "core/plan/work/progress.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <set>

namespace up {
namespace {

using quilt::Length;
using quilt::Line;
using quilt::Quilt;
using test::must;

/// On a page 9 in wide a square of 100 mm, and a smaller one on that.
Quilt twoSquares() {
    return test::quiltOf(
        {{"large", test::square(60, 60, 100), {9, 9, 99}}, {"small", test::square(80, 80, 30), {99, 9, 9}}});
}

Line straight(shape::Point from, shape::Point to) {
    Line line;
    line.name = "leg";
    shape::Contour stroke;
    stroke.start = from, stroke.closed = false;
    stroke.lineTo(to);
    line.strokes = std::vector{stroke};
    return line;
}

Quilt with(const Quilt& quilt, const Line& line) {
    return must(edit::putLine(quilt, quilt.blocks[0].id, line));
}

const Line& lineOf(const Quilt& quilt, std::size_t i = 0) {
    return quilt.blocks[0].lines.at(i);
}

shape::Point startOf(const Line& line) {
    return placed(line).front().start;
}

TEST(PutLine, ItGoesWhereTheTopmostPieceBeneathAllOfItGoes) {
    auto quilt = twoSquares();
    const auto pieces = quilt.blocks[0].pieces;
    quilt = with(quilt, straight({85, 85}, {105, 105}));
    quilt = with(quilt, straight({85, 85}, {140, 140}));
    quilt = with(quilt, straight({10, 10}, {140, 140}));
    EXPECT_EQ(lineOf(quilt, 0).on, pieces[1].id);
    EXPECT_EQ(lineOf(quilt, 1).on, pieces[0].id);
    EXPECT_FALSE(lineOf(quilt, 2).on) << "part of it lies on the background";
    const auto block = quilt.blocks[0].id;
    const auto small = pieces[1].id;
    quilt = must(edit::movePieces(quilt, block, {{small, {12, -7}}}));
    EXPECT_NEAR(startOf(lineOf(quilt, 0)).x, 97, 1e-3);
    EXPECT_NEAR(startOf(lineOf(quilt, 0)).y, 78, 1e-3);
    EXPECT_NEAR(startOf(lineOf(quilt, 1)).x, 85, 1e-3) << "that one stays";
    quilt = must(edit::turnPieces(quilt, block, {small}, measure::Angle::ofDegrees(180)));
    EXPECT_NEAR(startOf(lineOf(quilt, 0)).x, 95 + 12 + 10, 1e-3)
        << "turned about the square's middle, 95 and 12";
    quilt = must(edit::removePiece(quilt, block, small));
    EXPECT_FALSE(lineOf(quilt, 0).on);
}

TEST(PutLine, WhatIsStitchedIsNotChangedAnyMore) {
    auto quilt = with(twoSquares(), straight({10, 10}, {40, 10}));
    const auto block = quilt.blocks[0].id;
    const auto id = lineOf(quilt).id;
    quilt = must(edit::linesDrawn(quilt, block, {id}, 5));
    EXPECT_TRUE(lineOf(quilt).drawn);
    const auto moved = must(edit::moveLine(quilt, block, id, Length::ofMm(3), {}));
    EXPECT_FALSE(lineOf(moved).drawn) << "it is traced again";
    quilt = must(edit::lineSewn(quilt, block, id, 6));
    EXPECT_EQ(edit::moveLine(quilt, block, id, Length::ofMm(3), {}).error().code, Code::lineIsSewn);
    auto renamed = lineOf(quilt);
    renamed.name = "other leg";
    EXPECT_EQ(lineOf(with(quilt, renamed)).name, "other leg");
    EXPECT_EQ(quilt.log->back().what, quilt::Event::lineSewn);
    EXPECT_EQ(quilt.log->back().note, "leg");
    EXPECT_EQ(edit::removeLine(quilt, block, LineId{999}).error().code, Code::noSuchLine);
}

/// Embroidery lines are never reversed. Common practice, no source.
TEST(Lines, WordsReadTheSameWhenTheDrawingIsMirrored) {
    auto quilt = twoSquares();
    Line words;
    words.name = "LT", words.written = quilt::Written{"LT", "", Length::ofMm(12), {}};
    words.strokes = pattern::bent(must(pattern::singleLines("LT", 12)), {});
    words.place.right = Length::ofMm(60), words.place.down = Length::ofMm(200);
    quilt = with(quilt, words);
    quilt = with(quilt, straight({10, 10}, {40, 20}));
    const auto mirrored = must(edit::setGivenReversed(quilt, quilt.blocks[0].id, true));
    const auto before = placed(lineOf(quilt)), after = placed(lineOf(mirrored));
    EXPECT_NEAR(middleOf(lineOf(mirrored)).x, 228.6 - 60, 1e-3);
    EXPECT_NEAR(after[0].end().x - after[0].start.x, before[0].end().x - before[0].start.x, 1e-6);
    EXPECT_NEAR(startOf(lineOf(mirrored, 1)).x, 228.6 - 10, 1e-3) << "a line of the drawing goes with it";
    const auto half =
        must(edit::resizeBlock(quilt, quilt.blocks[0].id, Length::ofMm(114.3), Length::ofMm(114.3)));
    EXPECT_EQ(lineOf(half).written->height, Length::ofMm(6));
    EXPECT_NEAR(middleOf(lineOf(half)).x, 30, 1e-3);
}

TEST(PlanLines, ALongLineIsStitchedLengthByLength) {
    auto quilt = twoSquares();
    auto line = straight({10, 10}, {210, 10}); // 200 mm in back stitch take about 600 mm of floss and more
    quilt = with(quilt, line);
    const auto plan = plan::planLines(quilt.blocks[0]);
    ASSERT_EQ(plan.parts.size(), 3u);
    std::size_t stitches = 0;
    for (const auto& part : plan.parts) {
        EXPECT_GT(part.floss, Length::ofMm(150));
        EXPECT_LE(part.floss, Length::ofMm(307 + 12)) << "a stitch more or less";
        stitches += part.stitches.size();
    }
    EXPECT_EQ(stitches, 84u) << "200 mm in stitches of 3/32 in at most";
}

/// A line of the machine is a run among the edges: not before it is traced, nor before what lies beneath it is fused.
TEST(MachineLines, AreStitchedAmongTheEdges) {
    auto line = straight({10, 130}, {110, 130});
    line.stitch = quilt::LineStitch::machineSatin;
    auto quilt = with(twoSquares(), line);
    const auto block = quilt.blocks[0].id;
    const auto planned = [&] {
        return plan::planStitching(quilt.blocks[0], plan::planBlock(quilt.blocks[0]));
    };
    const auto ofLine = [&](const plan::StitchPlan& plan) {
        std::vector<plan::StitchRun> out;
        for (const auto& run : plan.runs)
            if (run.of) out.push_back(run);
        return out;
    };
    auto runs = ofLine(planned());
    ASSERT_FALSE(runs.empty());
    double length = 0;
    for (const auto& run : runs) {
        EXPECT_FALSE(run.piece);
        EXPECT_EQ(run.edge.kind, quilt::StitchKind::satin);
        EXPECT_EQ(run.on, std::vector{quilt.blocks[0].pieces[0].id}) << "it ends on the large square";
        length += run.length().mm();
    }
    EXPECT_NEAR(length, 100, 0.1) << "also over the edge of the square, not parted by it";
    EXPECT_EQ(plan::countOf(quilt.blocks[0], quilt::Tread::stitch).of, 3);
    EXPECT_TRUE(plan::planLines(quilt.blocks[0]).parts.empty()) << "no floss";
    EXPECT_FALSE(plan::isReady(quilt.blocks[0], runs.front()));
    for (auto step : every<quilt::Step>())
        if (step != quilt::Step::toTrace && goesThrough(step, quilt::Way{}) && step != quilt::Step::stitched)
            quilt = must(edit::record(quilt, block,
                                      {quilt.blocks[0].pieces[0].id, quilt.blocks[0].pieces[1].id}, step, 1));
    EXPECT_FALSE(plan::isReady(quilt.blocks[0], runs.front())) << "not traced";
    EXPECT_TRUE(plan::mayTrace(quilt.blocks[0], runs.front()));
    quilt = must(edit::linesDrawn(quilt, block, {lineOf(quilt).id}, 2));
    EXPECT_TRUE(plan::isReady(quilt.blocks[0], runs.front()));
    for (std::size_t i = 0; i < runs.size(); ++i)
        quilt = must(edit::sew(quilt, block,
                               {{}, runs[i].line, 1, i + 1 == runs.size(), {}, {}, 0, lineOf(quilt).id}, 3));
    EXPECT_EQ(lineOf(quilt).sewn, 1);
    EXPECT_TRUE(lineOf(quilt).stitched->empty()) << "the whole says it";
    EXPECT_EQ(quilt.log->back().what, quilt::Event::lineSewn);
    for (const auto& run : ofLine(planned()))
        EXPECT_TRUE(run.isDone());
    EXPECT_EQ(plan::countOf(quilt.blocks[0], quilt::Tread::stitch).done, 1);
}

TEST(MachineLines, AStretchThatIsStitchedIsNotStitchedAgain) {
    auto line = straight({10, 130}, {110, 130});
    line.stitch = quilt::LineStitch::machineStraight;
    auto cross = straight({30, 110}, {30, 150}); // of the same thread: they meet
    cross.stitch = quilt::LineStitch::machineStraight;
    auto quilt = with(with(twoSquares(), line), cross);
    const auto block = quilt.blocks[0].id;
    const auto plan = plan::planStitching(quilt.blocks[0], plan::planBlock(quilt.blocks[0]));
    const auto first = std::find_if(plan.runs.begin(), plan.runs.end(),
                                    [&](const auto& run) { return run.of == lineOf(quilt).id; });
    ASSERT_NE(first, plan.runs.end());
    const auto half = first->length() < Length::ofMm(99); // parted where they cross, or whole
    quilt = must(edit::sew(quilt, block, {{}, first->line, 1, !half, {}, {}, 0, first->of}, 3));
    const auto after = plan::planStitching(quilt.blocks[0], plan::planBlock(quilt.blocks[0]));
    std::size_t done = 0, open = 0;
    for (const auto& run : after.runs)
        if (run.of) ++(run.isDone() ? done : open);
    EXPECT_EQ(done, 1u);
    EXPECT_GE(open, 1u);
    EXPECT_EQ(edit::moveLine(quilt, block, first->of, Length::ofMm(3), {}).error().code, Code::lineIsSewn);
}

TEST(Lines, OpenLinesOfADrawingBecomeALineWhenThatIsWanted) {
    auto drawing = test::drawingOf({{"square", test::square(60, 60, 100), {9, 9, 99}}});
    drawing.loose.push_back({*straight({10, 20}, {40, 20}).strokes->begin()});
    drawing.loose.push_back({*straight({10, 30}, {40, 30}).strokes->begin(), true});
    const auto empty =
        must(edit::addBlock(quilt::emptyQuilt("q"), "b", Length::ofInches(9, 1), Length::ofInches(9, 1)));
    const auto id = empty.blocks[0].id;
    EXPECT_TRUE(must(edit::addDrawing(empty, id, drawing, {}, 1)).blocks[0].lines.empty());
    edit::ImportOptions options;
    options.keepLines = true;
    const auto kept = must(edit::addDrawing(empty, id, drawing, options, 1));
    ASSERT_EQ(kept.blocks[0].lines.size(), 1u);
    EXPECT_EQ(lineOf(kept).strokes->size(), 1u) << "a dotted one is the edge of something";
}

TEST(CheckLines, WhatTheSeamWouldHideIsMovedIn) {
    auto quilt = with(twoSquares(), straight({-20, 10}, {60, 10}));
    const auto findings = plan::checkQuilt(quilt).open;
    const auto at = std::find_if(findings.begin(), findings.end(),
                                 [](const auto& f) { return f.kind == check::Kind::linesOverEdge; });
    ASSERT_NE(at, findings.end());
    const auto mended = must(mend::mended(quilt, *at, check::Fix::moveLinesIn));
    EXPECT_NEAR(startOf(lineOf(mended)).x, 6.35, 1e-3) << "a seam's width inside";
    EXPECT_NEAR(startOf(lineOf(mended)).y, 10, 1e-3);
    for (const auto& finding : plan::checkQuilt(mended).open)
        EXPECT_NE(finding.kind, check::Kind::linesOverEdge);
}

TEST(CheckLines, APenThatGoesWithHeatMustNotComeUnderTheIron) {
    auto line = straight({10, 10}, {60, 10});
    line.pen = quilt::LinePen::goesWithHeat;
    auto quilt = with(twoSquares(), line);
    const auto isFound = [&](const Quilt& of) {
        const auto findings = plan::checkQuilt(of).open;
        return std::any_of(findings.begin(), findings.end(),
                           [](const auto& f) { return f.kind == check::Kind::linesUnderIron; });
    };
    EXPECT_FALSE(isFound(quilt)) << "nothing is traced yet";
    quilt = must(edit::linesDrawn(quilt, quilt.blocks[0].id, {lineOf(quilt).id}, 1));
    EXPECT_TRUE(isFound(quilt));
    const auto findings = plan::checkQuilt(quilt).open;
    const auto at = std::find_if(findings.begin(), findings.end(),
                                 [](const auto& f) { return f.kind == check::Kind::linesUnderIron; });
    const auto mended = must(mend::mended(quilt, *at, check::Fix::traceAgain));
    EXPECT_FALSE(isFound(mended));
    EXPECT_EQ(lineOf(mended).pen, quilt::LinePen::washesOut);
    EXPECT_FALSE(lineOf(mended).drawn);
}

/// Traced first, then stitched; each press of Space one length, until all are done and the block is trimmed.
TEST(NowOnFinish, LinesComeBeforeTheTrimming) {
    auto quilt = twoSquares();
    const auto block = quilt.blocks[0].id;
    for (auto step : every<quilt::Step>())
        if (step != quilt::Step::toTrace && goesThrough(step, quilt::Way{}))
            quilt = must(edit::record(quilt, block,
                                      {quilt.blocks[0].pieces[0].id, quilt.blocks[0].pieces[1].id}, step, 1));
    quilt = with(quilt, straight({10, 10}, {210, 10}));
    quilt = with(quilt, straight({10, 20}, {30, 20}));
    const auto now = [&] {
        const auto& b = quilt.blocks[0];
        const auto plan = plan::planBlock(b);
        const auto trace = plan::planTrace(quilt, b);
        const auto lines = plan::planLines(b);
        return plan::nowOn(
            quilt::Tread::finish, b,
            {plan, trace, {}, {}, {}, {}, {}, [&]() -> const plan::LinesPlan& { return lines; }});
    };
    EXPECT_EQ(now().what, plan::What::drawLines);
    ASSERT_EQ(now().line->draw.size(), 2u);
    quilt = must(edit::linesDrawn(quilt, block, now().line->draw, 2));
    std::size_t times = 0;
    std::set<std::size_t> needles;
    for (; now().what == plan::What::sewLine && times < 20; ++times) {
        EXPECT_EQ(now().line->needleful.strands, 4);
        quilt = must(edit::lineSewn(quilt, block, now().line->part.line, 3));
    }
    EXPECT_EQ(times, 4u) << "three lengths for the long line, one for the short one";
    EXPECT_EQ(now().what, plan::What::trim);
}

} // namespace
} // namespace up
