// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/lay/snap.hpp"
#include "core/stack/section.hpp"
#include "tests/support/shapes.hpp"
#include "words/lay_words.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::Ground;
using quilt::GroundPatch;
using quilt::GroundStrip;
using test::quiltOf;

Length inches(int whole, int sixteenths = 0) {
    return Length::ofInches(whole * 16 + sixteenths, 16);
}

shape::Ring bar(double l, double t, double r, double b) {
    return {{l, t}, {r, t}, {r, b}, {l, b}};
}

quilt::Block blockOf(const std::vector<test::Drawn>& drawn) {
    return quiltOf(drawn).blocks.front();
}

/// Source: arithmetic; the background of a centre 10 × 16 in with a strip of 6, 6 and 5 in beside it.
TEST(Sewn, SixSixAndFiveMakeSixteen) {
    const auto sum = sewn({inches(6), inches(6), inches(5)});
    EXPECT_EQ(sum.sewn, inches(16));
    EXPECT_EQ(words::seamWords(sum, measure::System::inches),
              "6 + 6 + 5 in less 1/2 in for each of 2 seams = 16 in");
}

TEST(PlanGround, StripsAreSewnWithTheirSeams) {
    quilt::Block block{};
    block.width = inches(11, 8), block.height = inches(15, 8);
    block.ground = Ground{
        {},
        true,
        false,
        false,
        {},
        false,
        {GroundStrip{inches(2, 8), {GroundPatch{{}, inches(16)}}},
         GroundStrip{inches(10), {GroundPatch{{}, inches(16)}}},
         GroundStrip{inches(2, 8),
                     {GroundPatch{{}, inches(6)}, GroundPatch{{}, inches(6)}, GroundPatch{{}, inches(5)}}}}};
    const auto ground = planGround(block);
    EXPECT_EQ(ground.high, inches(16));
    EXPECT_EQ(ground.wide, inches(14)) << "2½ + 10 + 2½ less two seams of ½ in";
    EXPECT_EQ(ground.shortWide, Length{});
    EXPECT_FALSE(ground.uneven);
    ASSERT_EQ(ground.patches.size(), 5U);
    EXPECT_EQ(ground.seams.size(), 4U);
    double area = 0;
    for (const auto& patch : ground.patches)
        area += patch.box.width() * patch.box.height();
    EXPECT_NEAR(area, inches(14).mm() * inches(16).mm(), 0.01) << "no gap, no overlap";
    EXPECT_NEAR(ground.patches[0].box.width(), inches(2, 4).mm(), 1e-6) << "one of its seams is taken";
    EXPECT_NEAR(ground.patches[1].box.width(), inches(9, 8).mm(), 1e-6) << "both";
}

/// Source: arithmetic. A piece 9 in wide instead of 9½: the sashing grows by ¼ in on each side.
TEST(PlanGround, TooSmallABackgroundIsMadeUpForBySashing) {
    quilt::Block block{};
    block.ground.strips = {GroundStrip{inches(9), {GroundPatch{{}, inches(9, 8)}}}};
    const auto ground = planGround(block);
    EXPECT_EQ(ground.shortWide, inches(0, 8));
    EXPECT_EQ(ground.shortHigh, Length{});
    EXPECT_NE(words::groundWords(ground, measure::System::inches).find("on either side grows by 1/4 in"),
              std::string::npos);
}

/// Source: common practice: 13 in for a block cut 12½ in.
TEST(PlanGround, IsCutLargerAndTrimmedLater) {
    quilt::Block block{};
    block.width = block.height = inches(12);
    EXPECT_EQ(planGround(block).wide, inches(13));
}

TEST(PlanGround, CreasesGoThroughTheMiddle) {
    quilt::Block block{};
    block.ground.creases.diagonals = block.ground.creases.quarters = true;
    const auto ground = planGround(block);
    EXPECT_EQ(ground.creases.size(), 2U + 4U + 2U);
    const double middle = block.width.mm() / 2;
    EXPECT_NEAR(ground.creases[0].first.x, middle, 1e-6);
    EXPECT_NEAR((ground.box.left + ground.box.right) / 2, middle, 1e-6);
}

TEST(SnapBy, ThePieceComesOntoTheCreaseWithinReach) {
    const double middle = 228.6 / 2;
    const auto ground = planGround(quilt::Block{});
    const auto at = [&](double x, double y) {
        return snapBy(shape::rectangle({x - 10, y - 5, x + 10, y + 5}), ground);
    };
    const auto both = at(middle + 1, middle - 1.2);
    ASSERT_TRUE(both);
    EXPECT_NEAR(both->x, -1, 1e-9);
    EXPECT_NEAR(both->y, 1.2, 1e-9);
    const auto side = at(middle + 10.9, 50);
    ASSERT_TRUE(side) << "its left side is near the crease";
    EXPECT_NEAR(side->x, -0.9, 1e-9);
    EXPECT_FALSE(at(middle + 4, 50)) << "that is meant to lie beside it";
    EXPECT_FALSE(at(middle, middle)) << "it lies there already";
}

TEST(MeasuresOf, ATipIsMeasuredFirst) {
    const auto block = blockOf({{"beak", {{30, 100}, {90, 90}, {90, 110}}}});
    const auto ground = planGround(block);
    const auto measures = measuresOf(planBlock(block).regions[0], ground);
    ASSERT_EQ(measures.size(), 3U);
    EXPECT_EQ(measures[0].spot, Landmark::leftEnd);
    EXPECT_TRUE(measures[0].isTip);
    EXPECT_EQ(measures[0].from, From::leftEdge);
    // 30 mm from the finished edge; the seam allowance and half of the ½ in that it is cut larger lie beyond.
    EXPECT_NEAR(measures[0].away.mm(), 30 + 6.35 + 6.35, 0.01);
    EXPECT_EQ(measures[2].spot == Landmark::leftEnd, false) << "the third fixes how it is turned";
}

TEST(MeasuresOf, OnACreaseNothingIsMeasured) {
    const double middle = 228.6 / 2;
    const auto block = blockOf({{"leaf", {{20, middle}, {50, middle - 8}, {90, middle}, {50, middle + 8}}}});
    const auto measures = measuresOf(planBlock(block).regions[0], planGround(block));
    ASSERT_GE(measures.size(), 2U);
    EXPECT_EQ(measures[1].from, From::levelCrease);
    EXPECT_NE(words::measureWords(measures, measure::System::inches).find("on the level crease"),
              std::string::npos);
}

TEST(MeasuresOf, ARoundPieceHasAMiddleOnly) {
    const auto disc = shape::regionOf(shape::Outline{test::circle({60, 60}, 20), {}});
    const auto measures = measuresOf(disc, planGround(quilt::Block{}));
    ASSERT_EQ(measures.size(), 2U);
    EXPECT_EQ(measures[0].spot, Landmark::middle);
}

/// The measures alone put a piece back where it was: three equations for where it lies and how it is turned.
TEST(MeasuresOf, FixWhereAPieceLies) {
    Random random(3);
    for (int i = 0; i < 50; ++i) {
        auto ring = test::randomStar(random);
        for (auto& p : ring)
            p = p * 0.6 + shape::Point{114, 114};
        const auto block = blockOf({{"star", ring}});
        const auto ground = planGround(block);
        for (const auto& m : measuresOf(planBlock(block).regions[0], ground)) {
            const double is = m.from == From::leftEdge     ? m.at.x - ground.box.left
                              : m.from == From::rightEdge  ? ground.box.right - m.at.x
                              : m.from == From::topEdge    ? m.at.y - ground.box.top
                              : m.from == From::bottomEdge ? ground.box.bottom - m.at.y
                                                           : 0;
            EXPECT_NEAR(is, m.away.mm(), 0.8) << "or it lies on a crease";
        }
    }
}

TEST(DryLay, ALowerPieceThatHardlyShowsIsFoundByTheUpperOne) {
    const auto block = blockOf(
        {{"ear", bar(60, 40, 90, 80)}, {"head", bar(50, 55, 150, 150)}, {"eye", bar(80, 80, 90, 90)}});
    const auto steps = dryLay(placementSteps(planBlock(block), planGround(block)));
    ASSERT_EQ(steps.size(), 4U);
    EXPECT_EQ(steps[0].piece, 1U);
    EXPECT_TRUE(steps[0].forAMoment);
    EXPECT_EQ(steps[1].piece, 0U);
    EXPECT_EQ(steps[1].guide, std::optional<std::size_t>(1));
    ASSERT_EQ(steps[1].tucks.size(), 1U);
    EXPECT_NEAR(steps[1].tucks[0].depth.mm(), 25, 1);
    EXPECT_EQ(steps[2].piece, 1U);
    EXPECT_FALSE(steps[2].forAMoment);
    const auto says = words::stepWords(block, steps[1], measure::System::inches);
    EXPECT_NE(says.find("under 2 head"), std::string::npos) << says;
}

TEST(DryLay, LaysEveryPieceOnceAndBottomFirst) {
    const auto block =
        blockOf({{"a", bar(20, 20, 100, 100)}, {"b", bar(30, 30, 60, 60)}, {"c", bar(150, 20, 190, 60)}});
    std::vector<std::size_t> laid;
    for (const auto& step : dryLay(placementSteps(planBlock(block), planGround(block))))
        if (!step.forAMoment) laid.push_back(step.piece);
    EXPECT_EQ(laid, (std::vector<std::size_t>{0, 1, 2}));
}

// --- the stack from the side

TEST(SectionOf, TreadsStandOnThoseBeneath) {
    const auto plan = planBlock(blockOf({{"a", bar(20, 20, 100, 100)},
                                         {"b", bar(60, 30, 140, 60)},
                                         {"c", bar(70, 40, 80, 50)},
                                         {"d", bar(150, 40, 170, 50)}}));
    const auto treads = stack::sectionOf(plan.regions, {0, 1, 2, 3}, {0, 45}, {228.6, 45});
    ASSERT_EQ(treads.size(), 4U);
    EXPECT_EQ(treads[0].level, 0);
    EXPECT_NEAR(treads[0].from, 20, 0.01);
    EXPECT_NEAR(treads[0].to, 100, 0.01);
    EXPECT_EQ(treads[1].level, 1);
    EXPECT_EQ(treads[2].level, 2);
    EXPECT_EQ(treads[3].level, 0) << "on the background";
}

TEST(SectionOf, ALineBesideThePiecesMeetsNone) {
    const auto plan = planBlock(blockOf({{"a", bar(20, 20, 100, 100)}}));
    EXPECT_TRUE(stack::sectionOf(plan.regions, {0}, {0, 150}, {228, 150}).empty());
}

TEST(SectionOf, AHoleBreaksATread) {
    const auto ring =
        shape::subtract(shape::rectangle({20, 20, 100, 100}), shape::rectangle({40, 40, 60, 60}));
    EXPECT_EQ(stack::sectionOf({ring}, {0}, {0, 50}, {228, 50}).size(), 2U);
}

} // namespace
} // namespace up::plan
