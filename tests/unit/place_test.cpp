// SPDX-License-Identifier: GPL-3.0-or-later
// Where pieces lie: lined up, spaced, turned together; measures that fix a place; counting.
#include "core/edit/saying.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/lay/alignment.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/lay/roll_call.hpp"
#include "core/shape/centroid.hpp"
#include "tests/support/shapes.hpp"
#include "words/lay_words.hpp"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <numbers>

namespace up::plan {
namespace {

using quilt::Quilt;
using shape::Point;
using test::must;
using test::quiltOf;
using test::square;

const quilt::Block& blockOf(const Quilt& quilt) {
    return quilt.blocks.front();
}
std::vector<PieceId> all(const Quilt& quilt) {
    std::vector<PieceId> out;
    for (const auto& piece : blockOf(quilt).pieces)
        out.push_back(piece.id);
    return out;
}
shape::Box boxOf(const Quilt& quilt, std::size_t piece) {
    return boundsOf(quilt::placed(blockOf(quilt).pieces[piece]));
}
Quilt moved(const Quilt& quilt, const std::vector<PieceMove>& moves) {
    return must(edit::movePieces(quilt, blockOf(quilt).id, moves));
}

// --- lining up

class LinedUp : public testing::TestWithParam<Line> {};

double edgeOf(const shape::Box& box, Line line) {
    switch (line) {
    case Line::lefts: return box.left;
    case Line::middlesAcross: return box.centre().x;
    case Line::rights: return box.right;
    case Line::tops: return box.top;
    case Line::middlesDown: return box.centre().y;
    case Line::bottoms: return box.bottom;
    }
    return 0;
}

TEST_P(LinedUp, AllComeIntoLineWithTheAnchorWhichStays) {
    Random random(5);
    const auto quilt = quiltOf({{"a", test::randomStar(random)},
                                {"b", test::randomStar(random)},
                                {"c", test::randomStar(random)},
                                {"d", test::randomStar(random)}});
    const auto plan = planBlock(blockOf(quilt));
    const auto anchor = all(quilt)[2];
    const auto after = moved(quilt, linedUp(blockOf(quilt), plan, all(quilt), anchor, GetParam()));
    const bool level = GetParam() <= Line::rights;
    for (std::size_t i = 0; i < 4; ++i) {
        EXPECT_NEAR(edgeOf(boxOf(after, i), GetParam()), edgeOf(boxOf(quilt, 2), GetParam()), 1e-3);
        const auto a = boxOf(after, i).centre(), b = boxOf(quilt, i).centre();
        EXPECT_NEAR(level ? a.y : a.x, level ? b.y : b.x, 1e-6) << "only one way";
    }
    EXPECT_EQ(boxOf(after, 2).left, boxOf(quilt, 2).left);
    for (const auto& [piece, by] :
         linedUp(blockOf(after), planBlock(blockOf(after)), all(after), anchor, GetParam()))
        EXPECT_LT(std::hypot(by.x, by.y), 1e-3) << "they are in line already";
}

INSTANTIATE_TEST_SUITE_P(Lines, LinedUp,
                         testing::Values(Line::lefts, Line::middlesAcross, Line::rights, Line::tops,
                                         Line::middlesDown, Line::bottoms));

TEST(SpacedEvenly, GapsAreEqualAndTheOutermostStay) {
    const auto quilt = quiltOf({{"b", square(61, 80, 14)},
                                {"a", square(10, 20, 30)},
                                {"d", square(180, 50, 20)},
                                {"c", square(80, 10, 40)}});
    const auto after =
        moved(quilt, spacedEvenly(blockOf(quilt), planBlock(blockOf(quilt)), all(quilt), false));
    std::vector<shape::Box> boxes;
    for (std::size_t i = 0; i < 4; ++i)
        boxes.push_back(boxOf(after, i));
    std::sort(boxes.begin(), boxes.end(), [](const auto& a, const auto& b) { return a.left < b.left; });
    // Source: arithmetic. 10…200 is 190 mm, the pieces take 30 + 14 + 40 + 20: 86 mm for three gaps.
    for (std::size_t i = 0; i + 1 < 4; ++i)
        EXPECT_NEAR(boxes[i + 1].left - boxes[i].right, 86.0 / 3, 1e-3);
    EXPECT_NEAR(boxes.front().left, 10, 1e-9);
    EXPECT_NEAR(boxes.back().right, 200, 1e-9);
}

TEST(SpacedEvenly, PiecesThatOverlapOverlapEqually) {
    const auto quilt =
        quiltOf({{"a", square(10, 10, 40)}, {"b", square(20, 60, 40)}, {"c", square(50, 20, 40)}});
    const auto after =
        moved(quilt, spacedEvenly(blockOf(quilt), planBlock(blockOf(quilt)), all(quilt), false));
    EXPECT_NEAR(boxOf(after, 1).left, 30, 1e-3);
}

TEST(SpacedEvenly, TwoHaveNothingBetweenThem) {
    const auto quilt = quiltOf({{"a", square(10, 10, 40)}, {"b", square(90, 60, 40)}});
    EXPECT_TRUE(spacedEvenly(blockOf(quilt), planBlock(blockOf(quilt)), all(quilt), true).empty());
}

TEST(LiningUp, ALockedPieceSaysSo) {
    auto quilt = quiltOf({{"a", square(10, 10, 40)}, {"b", square(90, 60, 40)}});
    quilt = must(edit::set(quilt, blockOf(quilt).id, {all(quilt)[0]}, &quilt::Piece::locked, true));
    const auto moves =
        linedUp(blockOf(quilt), planBlock(blockOf(quilt)), all(quilt), all(quilt)[1], Line::tops);
    const auto after = edit::movePieces(quilt, blockOf(quilt).id, moves);
    ASSERT_FALSE(after);
    EXPECT_EQ(after.error().code, Code::locked);
}

// --- several at once

TEST(MovePieces, ALiningGoesOnceWithItsPiece) {
    auto quilt = quiltOf({{"a", square(10, 10, 40)}});
    quilt = must(edit::addLining(quilt, blockOf(quilt).id, all(quilt)[0], *blockOf(quilt).pieces[0].outline,
                                 quilt.fabrics.front().id));
    const auto before = boxOf(quilt, 0).left;
    edit::Moves moves;
    for (const auto piece : all(quilt))
        moves.emplace_back(piece, Point{7, 0});
    const auto after = moved(quilt, moves);
    EXPECT_NEAR(boxOf(after, 0).left, before + 7, 1e-6);
    EXPECT_NEAR(boxOf(after, 1).left, before + 7, 1e-6);
}

/// Turned as one, they keep their distances, and each turns by the angle. Source: geometry.
TEST(TurnPieces, TheyTurnAsOne) {
    const auto quilt = quiltOf({{"a", {{10, 10}, {60, 12}, {20, 40}}},
                                {"b", {{100, 100}, {150, 110}, {120, 160}}},
                                {"c", {{30, 140}, {70, 150}, {40, 190}}}});
    const auto after =
        must(edit::turnPieces(quilt, blockOf(quilt).id, all(quilt), measure::Angle::ofDegrees(30)));
    Point middle{0, 0}; // of their middles
    for (std::size_t i = 0; i < 3; ++i)
        middle = middle + boxOf(quilt, i).centre() * (1.0 / 3);
    const auto regions = planBlock(blockOf(quilt)).regions, turned = planBlock(blockOf(after)).regions;
    const double c = std::cos(std::numbers::pi / 6), s = std::sin(std::numbers::pi / 6);
    for (std::size_t i = 0; i < 3; ++i) {
        const auto from = shape::centroid({regions[i]}) - middle;
        const auto to = shape::centroid({turned[i]}) - middle;
        EXPECT_NEAR(to.x, c * from.x - s * from.y, 0.01); // y goes down: clockwise as seen
        EXPECT_NEAR(to.y, s * from.x + c * from.y, 0.01);
    }
}

TEST(SetOvers, NobodyLiesOverItself) {
    const auto quilt = test::smallQuilt();
    const auto id = blockOf(quilt).pieces[0].id;
    const auto after = edit::setOvers(quilt, blockOf(quilt).id, {{id, id}});
    ASSERT_FALSE(after);
    EXPECT_EQ(after.error().code, Code::overItself);
}

TEST(PutFabric, KeepsAllThatIsSaidOfIt) {
    auto quilt = test::smallQuilt();
    auto fabric = quilt.fabrics.front();
    fabric.name = "barge tar", fabric.opacity = 0.6, fabric.colour = {1, 2, 3};
    EXPECT_EQ(must(edit::putFabric(quilt, fabric)).fabrics.front(), fabric);
    fabric.name.clear();
    EXPECT_FALSE(edit::putFabric(quilt, fabric));
    fabric.name = "tar", fabric.opacity = 1.2;
    EXPECT_FALSE(edit::putFabric(quilt, fabric));
}

// --- measures

/// How the measures change when the piece is moved and turned a little: three that say three things fix it.
/// Source: the place of a rigid shape in a plane has three degrees of freedom.
TEST(MeasuresOf, ThreeFixWhereThePieceLiesAndHowItIsTurned) {
    Random random(11);
    const auto ground = planGround(quilt::Block{});
    int checked = 0;
    for (int trial = 0; trial < 60; ++trial) {
        auto ring = test::randomStar(random);
        const auto middle = shape::boundsOf(ring).centre();
        for (auto& p : ring)
            p = p - middle + Point{100, 90};
        const auto region = shape::regionOf({ring}, shape::Fill::nonZero);
        const auto measures = measuresOf(region, ground);
        if (measures.size() < 3) continue;
        ++checked;
        // The change for each radian, with the furthest point of the turned shape as the end.
        const auto row = [&](const PlaceMeasure& m) {
            const bool level =
                m.from == From::leftEdge || m.from == From::rightEdge || m.from == From::uprightCrease;
            return std::array{level ? 1.0 : 0.0, level ? 0.0 : 1.0, level ? -(m.at.y - 90) : m.at.x - 100};
        };
        const auto a = row(measures[0]), b = row(measures[1]), c = row(measures[2]);
        const double volume = a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) +
                              a[2] * (b[0] * c[1] - b[1] * c[0]);
        EXPECT_GT(std::abs(volume), 2.9) << "mm for each radian; trial " << trial;
    }
    EXPECT_GT(checked, 40);
}

/// A wave has a highest place, but nobody finds it: only how high it reaches is told.
TEST(MeasuresOf, ARoundEndIsMeasuredOneWayOnly) {
    shape::Ring bean;
    for (int i = 0; i < 90; ++i) {
        const double at = i * 2 * std::numbers::pi / 90;
        bean.push_back(
            {100 + 50 * std::cos(at) + 8 * std::sin(at), 80 + 18 * std::sin(at) + 9 * std::cos(at)});
    }
    const auto measures =
        measuresOf(shape::regionOf({bean}, shape::Fill::nonZero), planGround(quilt::Block{}));
    ASSERT_EQ(measures.size(), 3U);
    for (const auto& m : measures) {
        EXPECT_FALSE(m.isTip);
        const bool upright = m.spot == Landmark::top || m.spot == Landmark::bottom;
        EXPECT_EQ(upright, m.from == From::topEdge || m.from == From::bottomEdge) << "its own direction";
    }
}

// --- step by step

TEST(DryLay, KnowsWhatLiesThereAlready) {
    const auto quilt = quiltOf(
        {{"low", square(40, 40, 30)}, {"cover", square(30, 30, 60)}, {"apart", square(150, 150, 30)}});
    const auto plan = planBlock(blockOf(quilt));
    const auto dry = dryLay(placementSteps(plan, planGround(blockOf(quilt))));
    ASSERT_EQ(dry.size(), 4U) << "what hardly shows is found by its cover, laid for a moment";
    EXPECT_TRUE(dry[0].forAMoment);
    EXPECT_EQ(dry[0].piece, 1U);
    const auto atLow = before(dry, 1, 3);
    EXPECT_EQ(atLow.guide, std::optional<std::size_t>(1));
    EXPECT_EQ(atLow.laid, (std::vector<bool>{false, false, false})) << "a guide is not laid for good";
    EXPECT_EQ(before(dry, 3, 3).laid, (std::vector<bool>{true, true, false}));
}

// --- counting

class Counting : public testing::Test {
protected:
    Counting() {
        const shape::Ring left{{10, 10}, {60, 12}, {20, 40}};
        const auto by = [](shape::Ring ring, double dx, double dy, bool mirror) {
            for (auto& p : ring)
                p = Point{mirror ? dx - p.x : p.x + dx, p.y + dy};
            return ring;
        };
        m_quilt = quiltOf({{"fin 1", left, {10, 10, 10}},
                           {"eye", square(5, 80, 12), {200, 0, 0}},
                           {"fin 2", by(left, 80, 0, false), {10, 10, 10}},
                           {"fin 3", by(left, 90, 90, true), {10, 10, 10}},
                           {"fin in red", by(left, 80, 100, false), {200, 0, 0}}});
        for (auto& piece : m_quilt.blocks[0].pieces)
            piece.work.step = quilt::Step::cleanCut;
    }
    RollCall call() const {
        const auto& block = blockOf(m_quilt);
        return rollCall(block, judge(block, planBlock(block)));
    }
    quilt::Piece& piece(std::size_t i) { return m_quilt.blocks[0].pieces[i]; }
    Quilt m_quilt;
};

TEST_F(Counting, AlikeInShapeHandAndFabricLieInOneHeap) {
    const auto counted = call();
    ASSERT_EQ(counted.heaps.size(), 4U) << "two fins, the mirrored one, the red one, the eye";
    EXPECT_EQ(counted.heaps[0].pieces, (std::vector<std::size_t>{0, 2}));
    EXPECT_EQ(counted.heaps[1].hand, Hand::none) << "a square is its own mirror image";
    EXPECT_EQ(counted.heaps[2].hand, Hand::mirrored);
    EXPECT_NE(counted.heaps[3].fabric, counted.heaps[0].fabric);
    EXPECT_EQ(words::heapWords(blockOf(m_quilt), counted.heaps[0]), "2 × fin (1 and 3)");
    EXPECT_EQ(words::heapWords(blockOf(m_quilt), counted.heaps[2]), "4 fin 3");
    EXPECT_EQ(words::countWords(counted, 2), "mirrored, not ticked off");
    EXPECT_EQ(words::countWords(counted, 1), "not ticked off") << "it has no hand";
}

TEST_F(Counting, TickedOrLaidIsHereAndUncutIsNotLookedFor) {
    piece(0).counted = true;
    piece(1).work.step = quilt::Step::laid;
    piece(3).work.step = quilt::Step::bonded, piece(3).counted = true; // ticked off before it was ruined
    const auto counted = call();
    EXPECT_EQ(counted.here, 2);
    EXPECT_EQ(counted.missing, 2);
    EXPECT_EQ(counted.notCut, 1);
    EXPECT_EQ(words::rollWords(blockOf(m_quilt), counted),
              "2 of 5 pieces are here. Not ticked off: 3 fin 2 and 5 fin in red. 1 is still to be cut.");
    EXPECT_EQ(words::countWords(counted, 0), "as drawn, 1 of 2 here");
}

TEST_F(Counting, AReplacedPieceIsCountedAnew) {
    piece(0).counted = true;
    const auto again = must(edit::ruin(m_quilt, blockOf(m_quilt).id, piece(0).id, "lost", 0));
    EXPECT_FALSE(blockOf(again).pieces[0].counted);
    const auto mirrored = must(edit::mirrorPiece(m_quilt, blockOf(m_quilt).id, piece(0).id));
    EXPECT_FALSE(blockOf(mirrored).pieces[0].counted) << "another template";
}

} // namespace
} // namespace up::plan
