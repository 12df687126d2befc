// SPDX-License-Identifier: GPL-3.0-or-later
// A block's stitching: what shows, what is stitched already, legs, thread and time.
#include "core/edit/sewing.hpp"
#include "core/plan/stitch/legs.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/stitch/stitch_kind.hpp"
#include "core/plan/stitch/stitch_lines.hpp"
#include "core/plan/stitch/thread_match.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::Quilt;
using quilt::Step;
using test::must;
using test::square;

const quilt::Block& block(const Quilt& quilt) {
    return quilt.blocks.front();
}
StitchPlan planOf(const Quilt& quilt, const StitchPlan* before = nullptr) {
    return planStitching(block(quilt), planBlock(block(quilt)), {before});
}
Quilt tested(Quilt quilt) {
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = Step::tested;
    return quilt;
}
PieceId piece(const Quilt& quilt, std::size_t i) {
    return block(quilt).pieces.at(i).id;
}

/// Two squares whose corners overlap, of two colours.
Quilt corner(Colour lower = {200, 0, 0}, Colour upper = {0, 0, 200}) {
    return tested(
        test::quiltOf({{"lower", square(20, 30, 40), lower}, {"upper", square(50, 20, 40), upper}}));
}

TEST(PlanStitching, LeavesOutHiddenEdgesAndWhatLiesInTheSeam) {
    const auto quilt =
        test::quiltOf({{"bank", square(-20, 100, 60), {1, 2, 3}}, {"boat", square(20, 120, 60), {9, 9, 9}}});
    const auto plan = planOf(quilt);
    // The bank's left edge lies beyond the finished edge; its right edge is partly beneath the boat.
    EXPECT_NEAR(plan.leftOf(piece(quilt, 0)).all.mm(), 2 * 40 + 60 - (20 + 40), 0.05);
    EXPECT_NEAR(plan.leftOf(piece(quilt, 1)).all.mm(), 240, 0.05);
    EXPECT_EQ(plan.order(), (std::vector{piece(quilt, 0), piece(quilt, 1)}));
}

TEST(PlanStitching, ChangesThreadOncePerColourWhenItCan) {
    const auto quilt = test::quiltOf({{"a", square(10, 10, 20), {200, 0, 0}},
                                      {"b", square(50, 10, 20), {0, 0, 200}},
                                      {"c", square(90, 10, 20), {200, 0, 0}}});
    EXPECT_EQ(planOf(quilt).threadChanges, 1);
}

TEST(PlanStitching, StitchesMarksThatAreStitched) {
    auto quilt = test::quiltOf({{"leaf", square(20, 20, 40), {0, 200, 0}, true}});
    const auto without = planOf(quilt).runs.size();
    quilt.blocks[0].pieces[0].marksStitched = true;
    const auto plan = planOf(quilt);
    EXPECT_EQ(plan.runs.size(), without + 1);
    EXPECT_FALSE(plan.runs.back().isEdge);
}

TEST(PlanStitching, QuiltingAllOverHoldsEdgesWithoutStitchingThem) {
    auto quilt = corner();
    quilt.blocks[0].pieces[0].edge = quilt::usualStitch(quilt::StitchKind::allOver);
    EXPECT_EQ(planOf(quilt).order(), std::vector{piece(quilt, 1)});
    quilt.blocks[0].pieces[0].edge.reset();
    quilt.blocks[0].edge = quilt::usualStitch(quilt::StitchKind::allOver);
    EXPECT_TRUE(planOf(quilt).trails.empty());
}

TEST(RepeatOf, ADecorativeStitchOfTheUsersOwnIsAsLongAndWideAsIsSet) {
    auto edge = quilt::usualStitch(quilt::StitchKind::decorative);
    edge.unit = {{0, 0}, {0.5, 1}, {1, -1}};
    edge.width = measure::Length::ofMm(4), edge.length = measure::Length::ofMm(6);
    const auto repeat = repeatOf(edge);
    EXPECT_NEAR(repeat.length, 6, 1e-9);
    ASSERT_EQ(repeat.holes.size(), 3U);
    EXPECT_NEAR(shape::distance(repeat.holes[1], {3, 2}), 0, 1e-9);
    EXPECT_NEAR(shape::distance(repeat.holes[2], {6, -2}), 0, 1e-9);
}

TEST(StitchLines, LieApartWhenTheyAreSketched) {
    auto quilt = corner();
    auto edge = quilt::usualStitch(quilt::StitchKind::sketched);
    ASSERT_TRUE(edge.apart);
    quilt.blocks[0].edge = edge;
    const auto plan = planBlock(block(quilt));
    const auto stitching = planStitching(block(quilt), plan);
    const auto& run = stitching.runs.back(); // of the upper piece
    const auto lines = stitchLines(block(quilt), plan, run);
    ASSERT_EQ(lines.size(), 3U);
    for (std::size_t i = 0; i < 3; ++i) {
        const auto p = lines[i][lines[i].size() / 2];
        double away = 1000;
        for (std::size_t k = 1; k < run.line.size(); ++k)
            for (double t = 0; t <= 1; t += 0.01)
                away =
                    std::min(away, shape::distance(run.line[k - 1] + (run.line[k] - run.line[k - 1]) * t, p));
        EXPECT_NEAR(away, edge.width.mm() + static_cast<double>(i) * edge.apart->mm(), 0.25) << i;
    }
    quilt.blocks[0].edge.apart.reset();
    EXPECT_EQ(stitchLines(block(quilt), plan, planOf(quilt).runs.back()).size(), 1U);
}

TEST(Shaded, AVariegatedThreadGoesThroughItsColours) {
    const std::vector<shape::Polyline> lines{{{0, 0}, {10, 0}, {20, 0}, {30, 0}}, {{0, 5}, {10, 5}, {20, 5}}};
    const Colour red{200, 0, 0}, blue{0, 0, 200};
    const auto parts = shaded(lines, {red, blue}, measure::Length::ofMm(20));
    ASSERT_EQ(parts.size(), 4U);
    EXPECT_TRUE(parts[0].colour == red && parts[1].colour == blue && parts[2].colour == blue);
    EXPECT_EQ(parts[0].line.back(), (shape::Point{20, 0}));
    EXPECT_EQ(parts[1].line.front(), (shape::Point{20, 0})) << "no gap";
    EXPECT_TRUE(parts[3].colour == red) << "and from the beginning again";
    EXPECT_EQ(shaded(lines, {red}, measure::Length::ofMm(20)).size(), 2U);
}

/// A piece that was stitched as a whole is, as in files of version 1.
TEST(PlanStitching, WhatIsStitchedIsInNoTrail) {
    auto quilt = corner();
    quilt.blocks[0].pieces[0].work.step = Step::stitched;
    const auto plan = planOf(quilt);
    ASSERT_EQ(plan.trails.size(), 1U);
    EXPECT_EQ(plan.order(), std::vector{piece(quilt, 1)});
    EXPECT_EQ(plan.threadChanges, 0);
    EXPECT_EQ(plan.leftOf(piece(quilt, 0)).open, measure::Length());
}

/// Records leg after leg, as the button does.
Quilt sewn(const Quilt& quilt, const StitchPlan& plan, AtLeg at) {
    const auto leg = legsOf(plan, plan.trails[at.trail]).at(at.leg);
    const auto& run = plan.runs[leg.run];
    return must(
        edit::sew(quilt, block(quilt).id, {run.piece, run.line, leg.times, finishesPiece(plan, leg)}, 5));
}

TEST(Legs, AreWalkedOneByOneAndTheTrailsStay) {
    for (const int passes : {1, 2, 3}) {
        SCOPED_TRACE(passes);
        auto quilt = corner();
        quilt.blocks[0].edge.passes = passes;
        const auto first = planOf(quilt);
        auto plan = first;
        std::size_t legs = 0;
        for (auto next = nextLeg(block(quilt), plan); next; next = nextLeg(block(quilt), plan)) {
            ASSERT_LT(++legs, 50U);
            quilt = sewn(quilt, plan, *next);
            plan = planOf(quilt, &plan);
            EXPECT_EQ(plan.trails.size(), first.trails.size()) << "it was planned anew";
        }
        EXPECT_GE(legs, 3U);
        for (const auto& one : block(quilt).pieces) {
            EXPECT_EQ(one.work.step, Step::stitched);
            EXPECT_TRUE(one.sewn->empty()) << "the step says it";
        }
        EXPECT_EQ(quilt.log->size(), 2U + corner().log->size());
    }
}

/// A break in the middle: what is stitched is known from the file alone, wherever the piece was moved to meanwhile.
TEST(Legs, AfterABreakOnlyTheRestIsPlanned) {
    auto quilt = corner({200, 0, 0}, {200, 0, 0});
    const auto plan = planOf(quilt);
    ASSERT_EQ(plan.trails.size(), 1U);
    const auto legs = legsOf(plan, plan.trails[0]);
    ASSERT_EQ(legs.size(), 3U);
    quilt = sewn(quilt, plan, {0, 0});
    const auto rest = planOf(quilt);
    EXPECT_EQ(std::count_if(rest.runs.begin(), rest.runs.end(), [](const auto& run) { return run.isDone(); }),
              1);
    ASSERT_EQ(rest.trails.size(), 1U);
    EXPECT_EQ(legsOf(rest, rest.trails[0]).size(), 2U);
    auto moved = quilt;
    for (auto& one : moved.blocks[0].pieces)
        one.place.right = measure::Length::ofMm(30);
    EXPECT_TRUE(planOf(moved).runs[0].isDone()) << "it goes with its piece";
}

TEST(Legs, OneOfSeveralPassesCountsToo) {
    auto quilt = corner();
    quilt.blocks[0].edge.passes = 2;
    const auto plan = planOf(quilt);
    quilt = must(edit::sew(quilt, block(quilt).id, {plan.runs[0].piece, plan.runs[0].line, 1, false}, 5));
    const auto rest = planOf(quilt);
    EXPECT_EQ(rest.runs[0].sewn, 1);
    EXPECT_EQ(rest.runs[0].passes, 1) << "one of two is to come";
    EXPECT_FALSE(rest.runs[0].isDone());
}

TEST(Legs, WaitForWhatIsNotTestedYet) {
    auto quilt = corner();
    quilt.blocks[0].pieces[0].work.step = Step::fused;
    EXPECT_FALSE(nextLeg(block(quilt), planOf(quilt))) << "the upper one waits for the lower one";
    quilt.blocks[0].pieces[0].work.step = Step::tested;
    EXPECT_TRUE(nextLeg(block(quilt), planOf(quilt)));
}

/// By hand: a square of 40 mm in satin of 0.4 mm, 2.38 mm wide, through two layers of cloth.
TEST(Amounts, AreWhatTheGeometrySays) {
    const auto quilt = tested(test::quiltOf({{"one", square(20, 20, 40), {200, 0, 0}}}));
    const auto plan = planBlock(block(quilt));
    const auto amounts = amountsOf(block(quilt), plan, planStitching(block(quilt), plan), quilt.threads);
    EXPECT_FALSE(amounts.threads.at(0).bobbinEnds) << "nobody has said what is on the bobbins";
    ASSERT_EQ(amounts.threads.size(), 1U);
    const double width = 25.4 * 3 / 32, cycles = 160 / 0.4;
    const double each = cycles * 2 * (std::hypot(0.2, width) + 2 * clothThickness) + knotThread;
    EXPECT_NEAR(amounts.threads[0].needle.mm(), each, 1);
    EXPECT_NEAR(amounts.threads[0].bobbin.mm(), each, 1);
    EXPECT_EQ(amounts.stitches, 800);
    EXPECT_NEAR(amounts.minutes, 800 / machineStitches + knotMinutes, 1e-6);
}

TEST(StitchKinds, GoForwardAndHaveAUsualLength) {
    for (const auto kind : every<quilt::StitchKind>()) {
        const quilt::EdgeStitch stitch{kind};
        const auto repeat = repeatOf(stitch);
        EXPECT_FALSE(repeat.holes.empty());
        EXPECT_NEAR(repeat.length, quilt::usualLength(kind).mm(), 1e-12);
        const auto use = useOf(stitch, 2);
        EXPECT_GE(use.needle, 0.98) << "as long as the seam at least";
        EXPECT_EQ(use.bobbin == 0, isByHand(kind));
    }
    // Eleven stitches to the inch are 2.31 mm each. Common practice, no source.
    EXPECT_NEAR(quilt::usualLength(quilt::StitchKind::straight).mm(), 2.31, 0.005);
}

/// A single strand looks lighter and less strong than the spool. Common practice, no source.
TEST(ThreadsFor, JudgeASingleStrand) {
    for (const Colour spool : {Colour{120, 40, 40}, Colour{40, 90, 60}, Colour{70, 70, 120}}) {
        const auto whole = labOf(spool), strand = labOf(strandOf(spool));
        EXPECT_GT(strand.lightness, whole.lightness);
        EXPECT_LT(std::hypot(strand.a, strand.b) / strand.lightness,
                  std::hypot(whole.a, whole.b) / whole.lightness);
    }
    const std::vector<quilt::Thread> threads{{ThreadId{1}, "as the cloth", {100, 60, 60}, {}},
                                             {ThreadId{2}, "a little darker", {80, 41, 41}, {}},
                                             {ThreadId{3}, "blue", {40, 60, 160}, {}}};
    EXPECT_TRUE(isDarkOnDark({20, 20, 20}, {10, 10, 30}));
    EXPECT_FALSE(isDarkOnDark({20, 20, 20}, {200, 190, 180}));
    const auto found = threadsFor(threads, {100, 60, 60});
    ASSERT_EQ(found.size(), 3U);
    EXPECT_EQ(found[0].thread, ThreadId{2}) << "the spool a little darker: its strand is as the cloth";
    EXPECT_LT(found[0].off, matching);
    EXPECT_EQ(found[2].thread, ThreadId{3});
    EXPECT_GT(found[2].off, nearTo);
}

} // namespace
} // namespace up::plan
