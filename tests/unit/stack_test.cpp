// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/stack.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::stack {
namespace {

using shape::Region;
using test::squareRegion;

std::vector<Region> randomStack(std::uint64_t seed, std::size_t count) {
    Random random(seed);
    std::vector<Region> out;
    for (std::size_t i = 0; i < count; ++i)
        out.push_back(shape::regionOf({test::randomStar(random)}));
    return out;
}

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

TEST(VisibleParts, TogetherMakeTheWholeExactlyOnce) {
    const auto pieces = randomStack(32, 10);
    const auto visible = visibleParts(pieces);
    double sum = 0;
    for (const auto& part : visible)
        sum += part.area();
    EXPECT_NEAR(sum, shape::unite(pieces).area(), 0.5);
    EXPECT_EQ(visible.back(), pieces.back());
}

TEST(VisibleEdges, LeaveOutWhatIsHidden) {
    const auto edges = visibleEdges({squareRegion(0, 0, 40), squareRegion(20, -10, 60)});
    double lower = 0;
    for (const auto& line : edges[0])
        lower += shape::lengthOf(line);
    EXPECT_NEAR(lower, 40 + 20 + 20, 0.01);
    ASSERT_EQ(edges[0].size(), 1U) << "stretches that meet are one";
    ASSERT_EQ(edges[1].size(), 1U);
    EXPECT_EQ(edges[1][0].front(), edges[1][0].back());
}

TEST(VisibleEdges, AreEmptyForAHiddenPiece) {
    EXPECT_TRUE(visibleEdges({squareRegion(10, 10, 10), squareRegion(0, 0, 40)})[0].empty());
}

TEST(VisibleEdges, LengthsAgreeWithGeos) {
    const auto pieces = randomStack(33, 9);
    const auto edges = visibleEdges(pieces);
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        double ours = 0, theirs = 0;
        for (const auto& line : edges[i])
            ours += shape::lengthOf(line);
        const Region above = shape::unite(
            std::vector<Region>(pieces.begin() + static_cast<std::ptrdiff_t>(i) + 1, pieces.end()));
        for (auto ring : pieces[i].rings) {
            ring.push_back(ring.front());
            theirs += shape::lengthOf(ring) - (above.isEmpty() ? 0 : test::geosLengthInside(ring, above));
        }
        EXPECT_NEAR(ours, theirs, 0.05) << i;
    }
}

} // namespace
} // namespace up::stack
