// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/edits.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using shape::Ring;
using test::must;

Judgement judged(const quilt::Quilt& quilt) {
    return judge(quilt.blocks[0], planBlock(quilt.blocks[0]));
}
/// An L-shaped boot, toe to the right, its top left corner at (x, y).
Ring boot(double x, double y, bool toLeft = false) {
    Ring ring{{0, 0}, {15, 0}, {15, 25}, {35, 25}, {35, 40}, {0, 40}};
    for (auto& p : ring)
        p = {x + (toLeft ? 35 - p.x : p.x), y + p.y};
    if (toLeft) std::reverse(ring.begin(), ring.end());
    return ring;
}
const Ring square = test::square(100, 100, 30);

TEST(Judge, SaysWhatMustBeReversed) {
    const auto found = judged(test::quiltOf({{"boot", boot(20, 20)}, {"square", square}}));
    EXPECT_TRUE(found.pieces[0].mustBeReversed());
    EXPECT_FALSE(found.pieces[1].mustBeReversed());
}

TEST(Judge, GroupsWhatIsAlikeAndCountsTheMirrored) {
    auto quilt =
        test::quiltOf({{"a", boot(20, 20)}, {"b", boot(100, 20, true)}, {"c", boot(20, 100)}, {"d", square}});
    quilt = must(edit::turnPiece(quilt, quilt.blocks[0].id, quilt.blocks[0].pieces[2].id,
                                 measure::Angle::ofDegrees(65)));
    const auto found = judged(quilt);
    ASSERT_EQ(found.groups.size(), 2U);
    EXPECT_EQ(found.groups[0].pieces, (std::vector<std::size_t>{0, 1, 2}));
    EXPECT_EQ(found.groups[0].otherHand, 1);
    EXPECT_TRUE(found.pieces[1].otherHand);
    EXPECT_FALSE(found.pieces[2].otherHand) << "turned, not mirrored";
}

// A 9 in block's middle is at 114.3 mm.
TEST(Judge, PointsOutTwoLeftsWhereALeftAndARightShouldBe) {
    const double left = 114.3 - 60, right = 114.3 + 25;
    const auto twoLefts = judged(test::quiltOf({{"one", boot(left, 50)}, {"two", boot(right, 50)}}));
    ASSERT_EQ(twoLefts.oneHand.size(), 1U);
    EXPECT_FALSE(twoLefts.oneHand[0].byName);
    EXPECT_TRUE(
        judged(test::quiltOf({{"one", boot(left, 50)}, {"two", boot(right, 50, true)}})).oneHand.empty());
    EXPECT_TRUE(judged(test::quiltOf({{"one", boot(20, 50)}, {"two", boot(90, 120)}})).oneHand.empty())
        << "anywhere: no pair";
    EXPECT_TRUE(judged(test::quiltOf({{"one", square}, {"two", test::square(20, 100, 30)}})).oneHand.empty())
        << "squares have no hands";
    const auto named = judged(test::quiltOf({{"Left boot", boot(20, 50)}, {"right boot", boot(90, 120)}}));
    ASSERT_EQ(named.oneHand.size(), 1U);
    EXPECT_TRUE(named.oneHand[0].byName);
    EXPECT_TRUE(judged(test::quiltOf({{"cleft", boot(20, 50)}, {"bright", boot(90, 120)}})).oneHand.empty())
        << "words within words";
}

TEST(Judge, MirroringOneOfThemMakesAPair) {
    auto quilt = test::quiltOf({{"left boot", boot(20, 50)}, {"right boot", boot(120, 50)}});
    quilt = must(edit::mirrorPiece(quilt, quilt.blocks[0].id, quilt.blocks[0].pieces[1].id));
    const auto found = judged(quilt);
    EXPECT_TRUE(found.oneHand.empty());
    EXPECT_EQ(found.groups[0].otherHand, 1);
}

TEST(Judge, OffersTheSmallestSizeWithoutThinParts) {
    const Ring strip{{20, 20}, {180, 20}, {180, 26}, {20, 26}}; // 6 mm wide
    const auto found = judged(test::quiltOf({{"strip", strip}}));
    EXPECT_TRUE(found.pieces[0].thin.empty());
    EXPECT_NEAR(found.pieces[0].narrowest.width, 6, 1e-3);
    ASSERT_TRUE(found.smallestScale);
    EXPECT_NEAR(*found.smallestScale, (3.0 / 32 - 1.0 / 128) * 25.4 / 6, 0.001) << "but for a pencil line";
    EXPECT_TRUE(thinAt(found.pieces[0], {}, *found.smallestScale).empty());
    EXPECT_FALSE(thinAt(found.pieces[0], {}, *found.smallestScale - 0.005).empty());
    const auto needle = judged(test::quiltOf({{"needle", {{20, 20}, {200, 20}, {200, 22}}}}));
    EXPECT_FALSE(needle.smallestScale) << "a point of half a degree is thin at every size";
}

TEST(LeastWidth, FollowsTheStitch) {
    using measure::Length;
    using quilt::StitchKind;
    EXPECT_EQ(leastWidth({StitchKind::satin, Length::ofInches(1, 8)}).inches(), 1.0 / 8);
    EXPECT_EQ(leastWidth({StitchKind::straight, Length::ofInches(1, 8)}).inches(), 1.0 / 4);
    EXPECT_EQ(leastWidth({StitchKind::satin, Length::ofInches(1, 32)}).inches(), 1.0 / 16) << "scissors";
}

TEST(Judge, FindsSharpPointsAndTightCorners) {
    const Ring notched{{20, 20}, {120, 20}, {120, 80}, {75, 30}, {70, 80}, {20, 80}}; // a narrow V from below
    const auto found =
        judged(test::quiltOf({{"notched", notched}, {"dart", {{150, 20}, {200, 30}, {150, 40}}}}));
    EXPECT_EQ(found.pieces[0].tight.size(), 1U);
    EXPECT_TRUE(found.pieces[1].tight.empty());
    ASSERT_EQ(found.pieces[1].sharp.size(), 1U) << "22.6° at the right";
    EXPECT_EQ(found.pieces[1].sharp[0].at, (shape::Point{200, 30}));
}

TEST(ScalePiece, KeepsItsMiddleAndGoesBackToBeTraced) {
    auto quilt = test::quiltOf({{"square", square}});
    const auto block = quilt.blocks[0].id;
    const auto piece = quilt.blocks[0].pieces[0].id;
    quilt = must(edit::record(quilt, block, {piece}, quilt::Step::traced, 1));
    quilt = must(edit::scalePiece(quilt, block, piece, 0.5));
    const auto& after = quilt.blocks[0].pieces[0];
    const auto box = boundsOf(*after.outline);
    EXPECT_NEAR(box.width(), 15, 1e-9);
    EXPECT_NEAR(box.centre().x, 115, 1e-9);
    EXPECT_EQ(after.work.step, quilt::Step::toTrace);
    EXPECT_EQ(edit::scalePiece(quilt, block, piece, 1e-3).error().code, Code::absurdSize);
}

} // namespace
} // namespace up::plan
