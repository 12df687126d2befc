// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/stack.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/mosaics.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::stack {
namespace {

using shape::Region;
using test::randomStack;
using test::squareRegion;

TEST(StackOf, CountsAreaNotBoxes) {
    // An L and a square in its corner: the boxes overlap, the shapes do not.
    const auto ell = shape::regionOf({{{0, 0}, {40, 0}, {40, 10}, {10, 10}, {10, 40}, {0, 40}}});
    const auto stack = stackOf({ell, squareRegion(15, 15, 20)});
    EXPECT_TRUE(stack.overlaps.empty());
    EXPECT_TRUE(stack.free[0] && stack.free[1]);
}

TEST(StackOf, APieceStandsOneAboveTheHighestItLiesOn) {
    const auto stack = stackOf({squareRegion(0, 0, 50), squareRegion(10, 10, 20), squareRegion(15, 15, 10),
                                squareRegion(40, 40, 30), squareRegion(200, 0, 5)});
    EXPECT_EQ(stack.step, (std::vector{0, 1, 2, 1, 0}));
    EXPECT_FALSE(stack.free[0]);
    EXPECT_TRUE(stack.free[4]);
}

TEST(StackOf, TouchingIsNoOverlap) {
    const auto stack = stackOf({squareRegion(0, 0, 20), squareRegion(20, 0, 20)});
    EXPECT_TRUE(stack.overlaps.empty());
}

TEST(StackOf, OverlapAreasAgreeWithGeos) {
    const auto pieces = randomStack(31, 12);
    for (const auto& overlap : stackOf(pieces).overlaps)
        EXPECT_NEAR(overlap.area,
                    test::geosArea(pieces[overlap.lower], pieces[overlap.upper], test::Boolean::intersect),
                    0.1);
}

TEST(StackOf, TinyPiecesLieOnWhatTheyLieOn) {
    const auto stack = stackOf({squareRegion(0, 0, 30), squareRegion(5, 5, 0.4)});
    ASSERT_EQ(stack.overlaps.size(), 1U);
    EXPECT_EQ(stack.step, (std::vector{0, 1}));
}

TEST(StackOf, ACurvedBorderDrawnTwiceIsNoOverlap) {
    // The same wave flattened with other points: slivers along 200 mm, but nobody would call them overlap.
    const auto wavy = [](int points, double side) {
        shape::Ring ring{{side, 0}};
        for (int i = 0; i <= points; ++i)
            ring.push_back({40 + 14 * std::sin(i * 12.566 / points), i * 200.0 / points});
        ring.push_back({side, 200});
        return shape::regionOf({ring}, shape::Fill::nonZero);
    };
    const auto a = wavy(140, 0), b = wavy(101, 80);
    ASSERT_GT(shape::intersect(a, b).area(), leastOverlap);
    EXPECT_TRUE(stackOf({a, b}).overlaps.empty());
}

TEST(StackOf, WhatWasSaidTurnsAPairRound) {
    const std::vector<Region> pieces{squareRegion(0, 0, 40), squareRegion(20, 0, 40)};
    const auto stack = stackOf(pieces, {{0, 1}});
    ASSERT_EQ(stack.overlaps.size(), 1U);
    EXPECT_EQ(stack.overlaps[0].upper, 0U);
    EXPECT_EQ(stack.step, (std::vector{1, 0}));
}

TEST(OverlapsOf, KnowsWhatItKnewBefore) {
    auto pieces = randomStack(41, 40);
    const auto before = overlapsOf(pieces);
    pieces[7] = shape::transformed(pieces[7], shape::Transform::moveBy(13, -9));
    std::vector<bool> changed(pieces.size(), false);
    changed[7] = true;
    EXPECT_EQ(overlapsOf(pieces, before, changed), overlapsOf(pieces));
}

TEST(OverlapsOf, TouchingPointsAndNothingAreNoOverlap) {
    const std::vector<Region> pieces{squareRegion(0, 0, 20), squareRegion(20, 20, 20), Region{},
                                     shape::regionOf({{{0, 0}, {10, 0}, {20, 0}}})};
    EXPECT_TRUE(overlapsOf(pieces).empty());
}

TEST(OverlapsOf, CoincidentPiecesOverlapWholly) {
    const auto overlaps = overlapsOf({squareRegion(0, 0, 20), squareRegion(0, 0, 20)});
    ASSERT_EQ(overlaps.size(), 1U);
    EXPECT_NEAR(overlaps[0].area, 400, 0.01);
}

} // namespace
} // namespace up::stack
