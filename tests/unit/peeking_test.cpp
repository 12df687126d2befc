// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/peeking.hpp"
#include "core/stack/showing.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::stack {
namespace {

using shape::Region;

Region bar(double l, double t, double r, double b) {
    return shape::rectangle({l, t, r, b});
}

std::vector<Peek> peeksIn(const std::vector<Region>& pieces, std::size_t piece = 0) {
    const auto above = aboveOf(pieces)[piece];
    const auto cover = together(pieces, above);
    return peeksOf(pieces, piece, above, cover, visiblePart(pieces[piece], cover), bar(-500, -500, 500, 500));
}

TEST(Peeks, ASliverBesideTheUpperPieceIsFound) {
    const auto found = peeksIn({bar(0, 0, 40, 60), bar(0.8, -10, 60, 70)});
    ASSERT_EQ(found.size(), 1U);
    EXPECT_TRUE(found[0].shows);
    EXPECT_NEAR(found[0].distance, 0.8, 0.1);
    EXPECT_NEAR(found[0].length, 60, 2);
}

TEST(Peeks, AnEdgeJustBeneathTheUpperOneIsFound) {
    const auto found = peeksIn({bar(0, 0, 40, 60), bar(-0.8, -10, 60, 70)});
    ASSERT_EQ(found.size(), 1U);
    EXPECT_FALSE(found[0].shows);
    EXPECT_NEAR(found[0].distance, 0.8, 0.1);
    EXPECT_NEAR(found[0].length, 60, 3);
}

TEST(Peeks, CoincidentEdgesAreFound) {
    const auto found = peeksIn({bar(0, 0, 40, 60), bar(0, -10, 60, 70)});
    ASSERT_EQ(found.size(), 1U);
    EXPECT_FALSE(found[0].shows);
    EXPECT_NEAR(found[0].distance, 0, 0.1);
}

TEST(Peeks, WhatLiesWellBeneathOrShowsWellIsNot) {
    EXPECT_TRUE(peeksIn({bar(0, 0, 40, 60), bar(-2.5, -10, 60, 70)}).empty());
    EXPECT_TRUE(peeksIn({bar(0, 0, 40, 60), bar(2.5, -10, 60, 70)}).empty());
}

TEST(Peeks, PiecesThatMerelyMeetOrEndBeneathAreAnotherMatter) {
    EXPECT_TRUE(peeksIn({bar(0, 0, 40, 60), bar(40, 0, 80, 60)}).empty());
    EXPECT_TRUE(peeksIn({bar(0, 0, 40, 60), bar(39, -10, 80, 70)}).empty());
}

TEST(Peeks, EdgesThatCrossAreNotTakenForNeighbours) {
    EXPECT_TRUE(
        peeksIn({bar(0, 0, 40, 60), shape::regionOf({{{-20, 10}, {60, 40}, {60, 70}, {-20, 60}}})}).empty());
}

TEST(Peeks, AThinPieceIsNotASliver) {
    EXPECT_TRUE(peeksIn({bar(0, 0, 1.2, 60), bar(-10, 30, 40, 70)}).empty());
}

TEST(Peeks, NothingCountsBeyondTheSeam) {
    const std::vector<Region> pieces{bar(0, 0, 40, 60), bar(-0.8, -10, 60, 70)};
    EXPECT_TRUE(
        peeksOf(pieces, 0, {1}, pieces[1], visiblePart(pieces[0], pieces[1]), bar(5, 5, 100, 50)).empty());
}

/// Each remedy makes the finding go away.
class Remedy : public testing::TestWithParam<double> {};

TEST_P(Remedy, TrimmingTheLowerHelps) {
    const std::vector<Region> pieces{bar(0, 0, 40, 60), bar(GetParam(), -10, 60, 70)};
    const auto found = peeksIn(pieces);
    ASSERT_EQ(found.size(), 1U);
    const auto trimmed = trimmedBack(pieces[0], pieces[1], found[0]);
    EXPECT_TRUE(peeksIn({trimmed, pieces[1]}).empty());
    EXPECT_LT(trimmed.area(), pieces[0].area());
    EXPECT_GT(trimmed.area(), pieces[0].area() - 60 * 8) << "no more than needed";
}

TEST_P(Remedy, WideningTheUpperHelps) {
    const std::vector<Region> pieces{bar(0, 0, 40, 60), bar(GetParam(), -10, 60, 70)};
    const auto found = peeksIn(pieces);
    ASSERT_EQ(found.size(), 1U);
    EXPECT_TRUE(peeksIn({pieces[0], widened(pieces[1], found[0])}).empty());
}

TEST_P(Remedy, NudgingTheUpperHelps) {
    const std::vector<Region> pieces{bar(0, 0, 40, 60), bar(GetParam(), -10, 60, 70)};
    const auto found = peeksIn(pieces);
    ASSERT_EQ(found.size(), 1U);
    const auto by = nudge(pieces[1], found[0]);
    ASSERT_TRUE(by);
    EXPECT_LT(by->x, 0);
    EXPECT_NEAR(by->y, 0, 0.3);
    EXPECT_TRUE(
        peeksIn({pieces[0], shape::transformed(pieces[1], shape::Transform::moveBy(by->x, by->y))}).empty());
}

INSTANTIATE_TEST_SUITE_P(SliversAndNearEdges, Remedy, testing::Values(1.2, 0.5, 0.0, -0.5, -1.2),
                         [](const auto& which) { return std::to_string(which.index); });

TEST(Nudge, DoesNotHelpAllRound) {
    const std::vector<Region> pieces{bar(0, 0, 40, 40), bar(-0.8, -0.8, 40.8, 40.8)};
    const auto found = peeksIn(pieces);
    ASSERT_EQ(found.size(), 1U);
    EXPECT_FALSE(nudge(pieces[1], found[0]));
}

} // namespace
} // namespace up::stack
