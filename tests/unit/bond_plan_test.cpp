// SPDX-License-Identifier: GPL-3.0-or-later
// From a quilt's layout and cloth to what is bonded onto what, and back into the stash.
#include "tests/support/on_cloths.hpp"
#include "words/bond_words.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using measure::Angle;
using shape::Region;
using test::must;
using test::OnCloths;

TEST_F(OnCloths, WithoutClothEachSaysWhatItNeeds) {
    const auto plan = planBonding(quilt, of(), trace());
    ASSERT_EQ(plan.missing.size(), 3U);
    EXPECT_EQ(plan.missing.front().why, WhyShort::notInStash);
    // 40 mm, 1/4 in of rough cut and 1/8 in of cloth on either side: 40 + 19.05 = 59.05 mm, 2 1/2 in.
    const auto& first = plan.missing[chunkOf(0)];
    EXPECT_NEAR(first.width.inches(), 2.5, 1e-9);
    EXPECT_NEAR(first.height.inches(), 2.5, 1e-9);
    EXPECT_EQ(words::shortWords(quilt, trace().chunks[chunkOf(0)], first),
              "a patch of at least 2 1/2 × 2 1/2 in")
        << "who keeps no stash is not told so";
    add("sky", fabric(2), 100, 100);
    EXPECT_EQ(words::shortWords(quilt, trace().chunks[chunkOf(0)], first),
              "2 1/2 × 2 1/2 in of " + the(quilt.fabrics, fabric(0)).name + "; there is none in the stash");
}

TEST_F(OnCloths, SaysWhatTheLargestIsWhenNothingWillDo) {
    add("narrow", fabric(0), 50, 300);
    lay();
    const auto plan = planBonding(quilt, of(), trace());
    ASSERT_TRUE(of().onCloth.empty());
    EXPECT_EQ(plan.missing[chunkOf(0)].why, WhyShort::tooSmall);
    ASSERT_TRUE(plan.missing[chunkOf(0)].largest);
    EXPECT_NEAR(plan.missing[chunkOf(0)].largest->width.mm(), 300, 1e-6);
    EXPECT_EQ(plan.missing[chunkOf(2)].why, WhyShort::notInStash);
}

TEST_F(OnCloths, TellsRoomThatNobodyTookFromRoomThatOthersTake) {
    add("scrap", fabric(0), 62, 62); // for one of the two
    auto plan = planBonding(quilt, of(), trace());
    EXPECT_EQ(plan.missing[chunkOf(0)].why, WhyShort::notLaid);
    EXPECT_EQ(plan.missing[chunkOf(1)].why, WhyShort::notLaid);
    lay();
    plan = planBonding(quilt, of(), trace());
    ASSERT_EQ(plan.missing.size(), 2U) << "the other red one, and the sky";
    EXPECT_EQ(plan.missing.front().why, WhyShort::usedUp);
}

TEST_F(OnCloths, WhatIsLeftComesBackIntoTheStash) {
    const auto scrap = add("scrap", fabric(0), 200, 80);
    lay();
    EXPECT_EQ(of().onCloth.size(), 2U);
    const double before = clothArea();
    const double cut = planBonding(quilt, of(), trace()).cloths.front().chunks.front().outline.area();
    bond({0});
    EXPECT_EQ(of().pieces[0].work.step, quilt::Step::bonded);
    EXPECT_EQ(of().onCloth.size(), 1U) << "the other one still waits";
    EXPECT_NEAR(before - clothArea(), cut, 0.1) << "mm²: what was cut, and no more";
    const auto after = planBonding(quilt, of(), trace());
    ASSERT_EQ(after.cloths.size(), 1U);
    EXPECT_EQ(after.cloths.front().chunks.front().lies, Lies::well) << "where it lay before";
    bond({1});
    EXPECT_TRUE(of().onCloth.empty());
    for (const auto& cloth : quilt.cloths)
        EXPECT_TRUE(cloth.scrap);
    EXPECT_TRUE(find(quilt.cloths, scrap));
}

TEST_F(OnCloths, AClothThatIsUsedUpIsGone) {
    add("sky", fabric(2), 80.1, 80.1); // 60 + 12.7 of rough cut, 3.7 mm left all round
    lay();
    ASSERT_EQ(of().onCloth.size(), 1U);
    bond({2});
    EXPECT_TRUE(quilt.cloths.empty());
}

TEST_F(OnCloths, PartsThatComeOffAreScrapsOfTheirOwn) {
    const auto cloth = add("strip", fabric(2), 400, 80);
    Job job;
    auto laid = layOnCloth(quilt, of(), trace(), {}, job);
    ASSERT_EQ(laid.size(), 1U);
    const auto box =
        shape::transformed(trace().chunks[chunkOf(2)].roughCut, shape::Transform::turn(laid.front().turn))
            .bounds();
    laid.front().x = 200 - box.centre().x, laid.front().y = 40 - box.centre().y;
    quilt = must(edit::layOnCloth(quilt, block, laid));
    ASSERT_EQ(planBonding(quilt, of(), trace()).cloths.front().chunks.front().lies, Lies::well);
    // Cut away right across, so that two parts are left.
    const auto chunk = chunkOf(2);
    auto left = leftWhenBonded(quilt, of(), trace(), {chunk});
    ASSERT_EQ(left.front().parts.size(), 1U) << "still joined above and below it";
    const auto ends = shape::islands(
        shape::subtract(Region{left.front().parts.front().outline}, shape::rectangle({160, -1, 240, 81})));
    left.front().parts = {{ends[0].rings, {}}, {ends[1].rings, {}}};
    quilt = must(edit::bondOnCloth(quilt, block, {pieces[2]}, left, 1));
    ASSERT_EQ(quilt.cloths.size(), 2U);
    EXPECT_EQ(quilt.cloths[0].id, cloth);
    EXPECT_EQ(quilt.cloths[1].name, "strip b");
    EXPECT_EQ(quilt.cloths[1].from, "Lock");
    EXPECT_NE(quilt.cloths[1].key, quilt.cloths[0].key);
}

TEST_F(OnCloths, ClothThatAnotherBlockHoldsIsLeftAlone) {
    const auto cloth = add("scrap", fabric(0), 200, 80);
    const auto other =
        must(edit::addBlock(quilt, "Boat", measure::Length::ofInches(9, 1), measure::Length::ofInches(9, 1)));
    quilt = must(edit::holdCloth(other, cloth, other.blocks.back().id));
    lay();
    EXPECT_TRUE(of().onCloth.empty());
    const auto without = must(edit::removeBlock(quilt, other.blocks.back().id));
    EXPECT_FALSE(the(without.cloths, cloth).heldFor) << "nobody holds it any more";
    quilt = must(edit::holdCloth(quilt, cloth, block));
    lay();
    EXPECT_EQ(of().onCloth.size(), 2U);
}

TEST_F(OnCloths, ChunksKeepTheirDistanceFromThoseOfOtherBlocks) {
    add("scrap", fabric(0), 62, 130); // room for two of 52.7 mm, one above the other
    lay();
    ASSERT_EQ(of().onCloth.size(), 2U);
    auto one = of().onCloth;
    one.resize(1);
    quilt = must(edit::layOnCloth(quilt, block, one));
    // Another block with the same pieces.
    auto second =
        must(edit::addBlock(quilt, "Boat", measure::Length::ofInches(9, 1), measure::Length::ofInches(9, 1)));
    const auto secondId = second.blocks.back().id;
    auto& boat = the(second.blocks, secondId);
    boat.pieces = of().pieces, boat.layout = of().layout;
    Job job;
    const auto laid = layOnCloth(second, boat, planTrace(second, boat), {}, job);
    EXPECT_EQ(laid.size(), 1U) << "one place is taken by the first block";
    second = must(edit::layOnCloth(second, secondId, laid));
    const auto plan =
        planBonding(second, the(second.blocks, secondId), planTrace(second, the(second.blocks, secondId)));
    EXPECT_EQ(plan.cloths.front().others.size(), 1U);
    EXPECT_EQ(plan.cloths.front().chunks.front().lies, Lies::well);
}

TEST_F(OnCloths, WhatLiesBadlyIsSaid) {
    add("scrap", fabric(0), 200, 80);
    lay();
    auto where = of().onCloth;
    where[1].x = where[0].x + 5, where[1].y = where[0].y, where[1].turn = where[0].turn;
    auto moved = must(edit::layOnCloth(quilt, block, where));
    auto plan = planBonding(moved, the(moved.blocks, block), trace());
    EXPECT_EQ(plan.cloths.front().chunks.front().lies, Lies::onAnother);
    where = of().onCloth;
    where[0].x -= 200;
    moved = must(edit::layOnCloth(quilt, block, where));
    plan = planBonding(moved, the(moved.blocks, block), trace());
    const auto& laid = plan.cloths.front().chunks;
    EXPECT_TRUE(
        std::any_of(laid.begin(), laid.end(), [](const auto& l) { return l.lies == Lies::offCloth; }));
    const auto repainted = must(edit::setFabric(quilt, block, pieces[0], fabric(2)));
    const auto other = planBonding(repainted, the(repainted.blocks, block),
                                   planTrace(repainted, the(repainted.blocks, block)));
    const auto& there = other.cloths.front().chunks;
    EXPECT_TRUE(
        std::any_of(there.begin(), there.end(), [](const auto& l) { return l.lies == Lies::otherFabric; }));
}

TEST_F(OnCloths, TheStripeRunsMirroredOnTheWrongSide) {
    // A stripe at 30° on the front runs at 180° − 30° = 150° on the back. Source: arithmetic of a mirror.
    quilt = must(edit::setPrint(quilt, fabric(2), quilt::Print::striped, Angle::ofDegrees(5)));
    the(the(quilt.blocks, block).pieces, pieces[2]).grain = Angle::ofDegrees(30);
    const auto chunk = trace().chunks[chunkOf(2)];
    const double turn = chunk.made.front().first.turn.degrees();
    const auto wants = wantsOf(quilt, of(), chunk);
    ASSERT_TRUE(wants);
    EXPECT_NEAR(std::remainder(wants->degrees() - (150 + turn), 180), 0, 1e-9);
    // A cloth just large enough one way round: across it will not do.
    const auto cloth = add("sky", fabric(2), 140, 140);
    the(quilt.cloths, cloth).stripes = Angle::ofDegrees(20);
    lay();
    const auto plan = planBonding(quilt, of(), trace());
    ASSERT_EQ(plan.cloths.size(), 1U);
    EXPECT_NEAR(std::remainder(plan.cloths.front().chunks.front().wants->degrees() - 20, 180), 0, 1e-6);
    EXPECT_EQ(plan.cloths.front().chunks.front().lies, Lies::well);
    the(quilt.cloths, cloth).stripes = Angle::ofDegrees(26);
    EXPECT_EQ(planBonding(quilt, of(), trace()).cloths.front().chunks.front().lies, Lies::stripesWrong);
    the(quilt.cloths, cloth).stripes = Angle::ofDegrees(25);
    EXPECT_EQ(planBonding(quilt, of(), trace()).cloths.front().chunks.front().lies, Lies::well)
        << "5° are let pass";
}

TEST_F(OnCloths, AnotherLayoutForgetsWhereChunksWereToGoThatAreNotTraced) {
    add("scrap", fabric(0), 200, 80);
    lay();
    ASSERT_EQ(of().onCloth.size(), 2U);
    const auto same = must(edit::setLayout(quilt, block, *of().layout, 2));
    EXPECT_EQ(the(same.blocks, block).onCloth.size(), 2U) << "they are rough cut and stay what they are";
    const auto ruined = must(edit::ruin(quilt, block, pieces[0], "torn", 2));
    EXPECT_EQ(the(ruined.blocks, block).onCloth.size(), 1U);
}

} // namespace
} // namespace up::plan
