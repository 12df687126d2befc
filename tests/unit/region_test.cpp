// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/region.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

using test::square;
using test::squareRegion;

TEST(RegionOf, FillRulesDifferWhereRingsOverlap) {
    const Rings two{square(0, 0, 40), square(10, 10, 20)};
    EXPECT_NEAR(regionOf(two, Fill::evenOdd).area(), 1600 - 400, 1e-6);
    EXPECT_NEAR(regionOf(two, Fill::nonZero).area(), 1600, 1e-6);
}

TEST(RegionOf, FlatAndEmptyRingsVanish) {
    EXPECT_TRUE(regionOf(Rings{{}}).isEmpty());
    EXPECT_TRUE(regionOf(Rings{{{0, 0}, {10, 0}}}).isEmpty());
    EXPECT_TRUE(regionOf(Rings{{{0, 0}, {10, 0}, {20, 0}}}).isEmpty());
}

TEST(Offset, GrowsASquareWithRoundCorners) {
    // Source: Steiner's formula for convex shapes: A + P·r + π·r².
    const double exact = 400 + 80 * 5 + std::numbers::pi * 25;
    EXPECT_NEAR(offset(squareRegion(0, 0, 20), 5, 0.005).area(), exact, 0.5);
}

TEST(Offset, ShrinkingPastTheMiddleLeavesNothing) {
    EXPECT_TRUE(offset(squareRegion(0, 0, 20), -10.1).isEmpty());
    EXPECT_NEAR(offset(squareRegion(0, 0, 20), -5).area(), 100, 1e-6);
}

TEST(Offset, ClosesAHoleThatIsNarrow) {
    const auto frame = subtract(squareRegion(0, 0, 40), squareRegion(18, 18, 4));
    EXPECT_EQ(offset(frame, 3).rings.size(), 1U);
}

TEST(Islands, KeepHolesWithTheirEdges) {
    const auto frame = subtract(squareRegion(0, 0, 40), squareRegion(10, 10, 20));
    const auto parts = islands(unite(frame, squareRegion(100, 0, 10)));
    ASSERT_EQ(parts.size(), 2U);
    EXPECT_NEAR(std::max(parts[0].area(), parts[1].area()), 1200, 1e-6);
}

TEST(Inside, CutsALineAtTheEdge) {
    const Polyline line{{-10, 5}, {30, 5}};
    double in = 0, out = 0;
    for (const auto& part : inside(line, squareRegion(0, 0, 20)))
        in += lengthOf(part);
    for (const auto& part : outside(line, squareRegion(0, 0, 20)))
        out += lengthOf(part);
    EXPECT_NEAR(in, 20, 1e-3);
    EXPECT_NEAR(out, 20, 1e-3);
}

TEST(Contains, SeesHoles) {
    const auto frame = subtract(squareRegion(0, 0, 40), squareRegion(10, 10, 20));
    EXPECT_TRUE(frame.contains({5, 5}));
    EXPECT_FALSE(frame.contains({20, 20}));
    EXPECT_FALSE(frame.contains({50, 5}));
}

TEST(CoveringSimplified, CoversAndHasFewerPoints) {
    Random random(21);
    for (int i = 0; i < 30; ++i) {
        const auto region =
            regionOf(Outline{test::circle({random.between(0, 9), 0}, random.between(10, 60)), {}}, 0.01);
        const auto simple = coveringSimplified(region, 0.5);
        EXPECT_LT(subtract(region, simple).area(), 1e-3);
        EXPECT_LT(simple.rings.front().size(), region.rings.front().size());
        EXPECT_LT(simple.area(), offset(region, 1.1).area());
    }
}

TEST(FirstCrossing, IsFoundInABowAndBetweenRingsButNotInAStar) {
    const auto where = firstCrossing({{{0, 0}, {10, 10}, {10, 0}, {0, 10}}});
    ASSERT_TRUE(where);
    EXPECT_NEAR(where->x, 5, 1e-9);
    const Ring square{{0, 0}, {10, 0}, {10, 10}, {0, 10}};
    EXPECT_TRUE(firstCrossing({square, {{5, 5}, {15, 5}, {15, 15}}}));
    EXPECT_FALSE(firstCrossing({square, {{2, 2}, {8, 2}, {8, 8}}})) << "one in the other";
    EXPECT_FALSE(firstCrossing({square, {{10, 0}, {20, 0}, {10, 10}}})) << "they only touch";
    Random random(22);
    for (int i = 0; i < 40; ++i)
        EXPECT_FALSE(firstCrossing({test::randomStar(random)}));
}

TEST(PointAlong, WalksTheLine) {
    const Polyline line{{0, 0}, {10, 0}, {10, 10}};
    EXPECT_EQ(pointAlong(line, 15), (Point{10, 5}));
    EXPECT_EQ(pointAlong(line, 99), (Point{10, 10}));
    EXPECT_EQ(pointAlong(line, -1), (Point{0, 0}));
}

TEST(Perimeter, CountsTheClosingEdge) {
    EXPECT_DOUBLE_EQ(perimeter(square(3, 3, 7)), 28);
}

} // namespace
} // namespace up::shape
