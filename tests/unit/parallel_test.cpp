// SPDX-License-Identifier: GPL-3.0-or-later
// Lines beside lines, and how lines bend.
#include "core/shape/parallel.hpp"

#include <cmath>
#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

Polyline arc(Point middle, double radius, double from, double to, int parts = 400) {
    Polyline out;
    for (int i = 0; i <= parts; ++i) {
        const double turn = from + (to - from) * i / parts;
        out.push_back(middle + Point{std::cos(turn), std::sin(turn)} * radius);
    }
    return out;
}

/// Source: a line beside an arc is an arc about the same middle.
TEST(Parallel, BesideAnArcLiesAnArc) {
    const auto line = arc({0, 0}, 50, 0, std::numbers::pi);
    for (const double off : {10.0, -10.0}) {
        const auto beside = parallel(line, off);
        ASSERT_GT(beside.size(), 100u);
        for (const auto p : beside)
            EXPECT_NEAR(std::hypot(p.x, p.y), 50 - off, 0.01)
                << "this arc turns clockwise, its middle is on its right";
    }
}

TEST(Parallel, CornersAreMitred) {
    const auto beside = parallel({{0, 0}, {100, 0}, {100, 100}}, 10);
    ASSERT_EQ(beside.size(), 3u);
    EXPECT_NEAR(distance(beside[0], {0, 10}), 0, 1e-9);
    EXPECT_NEAR(distance(beside[1], {90, 10}), 0, 1e-9);
    EXPECT_NEAR(distance(beside[2], {90, 100}), 0, 1e-9);
}

TEST(Parallel, NothingComesNearerThanItShould) {
    const auto line = arc({0, 0}, 5, 0, 2); // more tightly than the line beside it can follow
    for (const auto p : parallel(line, 8))
        for (const auto q : line)
            EXPECT_GE(distance(p, q), 7.9);
    EXPECT_TRUE(parallel({{1, 1}}, 3).empty());
    EXPECT_TRUE(parallel({{1, 1}, {1, 1}}, 3).empty());
}

TEST(Bends, TheRadiusOfAnArcIsFound) {
    for (const double radius : {6.0, 20.0, 150.0}) {
        const auto bends = bendsOf(arc({3, 4}, radius, 0.5, 2), 3);
        ASSERT_TRUE(bends.tightest);
        EXPECT_NEAR(bends.tightest->radius, radius, radius * 0.01);
        EXPECT_NEAR(bends.turned, 1.5, 0.02);
        EXPECT_EQ(bends.corners, 0u);
    }
}

TEST(Bends, ACornerIsNoBend) {
    const auto bends = bendsOf({{0, 0}, {50, 0}, {50, 50}, {0, 50}}, 3);
    EXPECT_EQ(bends.corners, 2u);
    EXPECT_FALSE(bends.tightest);
    EXPECT_NEAR(bends.turned, 0, 1e-9);
    EXPECT_FALSE(bendsOf({{0, 0}, {50, 0}}, 3).tightest);
    EXPECT_FALSE(bendsOf({}, 3).tightest);
}

TEST(Bends, AnSTurnsToAndFro) {
    auto line = arc({0, 0}, 30, std::numbers::pi, 2 * std::numbers::pi);
    const auto back = arc({60, 0}, 30, std::numbers::pi, 0);
    line.insert(line.end(), back.begin() + 1, back.end());
    const auto bends = bendsOf(line, 3);
    EXPECT_NEAR(bends.turned, 0, 0.05);
    EXPECT_NEAR(bends.tightest->radius, 30, 0.5);
}

} // namespace
} // namespace up::shape
