// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/random.hpp"
#include "core/shape/arc.hpp"
#include "core/shape/joining.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

Contour line(Point a, Point b) {
    Contour out{a, {}, false};
    out.lineTo(b);
    return out;
}

TEST(JoinEnds, ClosesASquareFromSidesInAnyOrderAndDirection) {
    const std::vector<Point> p{{0, 0}, {40, 0}, {40, 40}, {0, 40}};
    Random random(3);
    for (int i = 0; i < 50; ++i) {
        std::vector<Contour> sides;
        for (std::size_t k = 0; k < 4; ++k) {
            const Point shift{random.between(-0.03, 0.03), random.between(-0.03, 0.03)};
            auto side = line(p[k] + shift, p[(k + 1) % 4]);
            sides.insert(sides.begin() + static_cast<std::ptrdiff_t>(random.below(sides.size() + 1)),
                         random.below(2) ? side : backwards(side));
        }
        const auto chains = joinEnds(sides, 0.1);
        ASSERT_EQ(chains.size(), 1U) << i;
        EXPECT_TRUE(chains[0].contour.closed);
        EXPECT_EQ(chains[0].parts.size(), 4U);
        EXPECT_NEAR(std::abs(signedArea(chains[0].contour)), 1600, 5);
    }
}

TEST(JoinEnds, LeavesAGapWiderThanTheReach) {
    const auto chains = joinEnds({line({0, 0}, {10, 0}), line({10.2, 0}, {20, 0})}, 0.1);
    EXPECT_EQ(chains.size(), 2U);
}

TEST(JoinEnds, DoesNotChooseWhereThreeMeet) {
    const auto chains =
        joinEnds({line({0, 0}, {10, 0}), line({10, 0}, {20, 5}), line({10, 0}, {20, -5})}, 0.1);
    EXPECT_EQ(chains.size(), 3U);
}

TEST(JoinEnds, GrowsAnOpenChainBothWays) {
    const auto chains =
        joinEnds({line({10, 0}, {20, 0}), line({10, 0}, {0, 0}), line({30, 0}, {20, 0})}, 0.1);
    ASSERT_EQ(chains.size(), 1U);
    EXPECT_FALSE(chains[0].contour.closed);
    const auto box = boundsOf(chains[0].contour);
    EXPECT_EQ(box.left, 0);
    EXPECT_EQ(box.right, 30);
    EXPECT_EQ(chains[0].contour.curves.size(), 3U);
}

TEST(JoinEnds, KeepsCurves) {
    Contour upper{{10, 0}, {}, false}, lower{{10, 0}, {}, false};
    arcAbout(upper, {0, 0}, {10, 0}, {0, 10}, 0, std::numbers::pi);
    arcAbout(lower, {0, 0}, {10, 0}, {0, 10}, 0, -std::numbers::pi);
    const auto chains = joinEnds({upper, lower}, 0.1);
    ASSERT_EQ(chains.size(), 1U);
    EXPECT_NEAR(std::abs(signedArea(chains[0].contour)), std::numbers::pi * 100, 0.1);
}

} // namespace
} // namespace up::shape
