// SPDX-License-Identifier: GPL-3.0-or-later
// Straight lines between shapes.
#include "core/shape/parting.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <random>

namespace up::shape {
namespace {

Region box(double left, double top, double right, double bottom) {
    return rectangle({left, top, right, bottom});
}

TEST(Parting, TakesTheShortestCutFirst) {
    const std::vector shapes{box(0, 0, 40, 100), box(50, 0, 90, 100), box(100, 0, 140, 30)};
    const auto whole = box(-5, -5, 145, 105);
    const auto ways = partings(shapes, whole);
    ASSERT_GE(ways.size(), 2U);
    for (std::size_t i = 1; i < ways.size(); ++i)
        EXPECT_LE(ways[i - 1].length, ways[i].length);
    const std::vector narrow{box(0, 0, 100, 40), box(0, 60, 100, 100)};
    const auto hourglass =
        unite(std::vector{box(-5, -5, 105, 45), box(30, 40, 70, 60), box(-5, 55, 105, 105)});
    const auto across = partings(narrow, hourglass);
    ASSERT_EQ(across.size(), 1U);
    EXPECT_NEAR(across.front().length, 40, 0.5) << "through the waist";
    EXPECT_EQ(across.front().beyond, (std::vector<std::size_t>{1}));
}

TEST(Parting, NeverCutsThroughAShape) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> at(0, 300), side(10, 60);
    for (int round = 0; round < 60; ++round) {
        std::vector<Region> shapes;
        for (int i = 0; i < 5; ++i) {
            const double x = at(random), y = at(random);
            shapes.push_back(box(x, y, x + side(random), y + side(random)));
        }
        const auto whole = box(-10, -10, 370, 370);
        for (const auto& way : partings(shapes, whole)) {
            EXPECT_FALSE(way.beyond.empty());
            EXPECT_LT(way.beyond.size(), shapes.size());
            for (std::size_t i = 0; i < shapes.size(); ++i) {
                const bool beyond = std::binary_search(way.beyond.begin(), way.beyond.end(), i);
                const double here = before(shapes[i], way.line).area();
                EXPECT_NEAR(here, beyond ? 0 : shapes[i].area(), 0.01);
            }
        }
    }
}

TEST(Parting, HasNoneWhereOneLiesWithinTheOther) {
    const auto frame = subtract(box(0, 0, 100, 100), box(20, 20, 80, 80));
    EXPECT_TRUE(partings({frame, box(40, 40, 60, 60)}, box(0, 0, 100, 100)).empty());
    EXPECT_FALSE(lineBetween({frame}, {box(40, 40, 60, 60)}));
}

TEST(Parting, TheLineBetweenTwoRunsWhereTheGapIsWidest) {
    const auto line = lineBetween({box(0, 0, 10, 10)}, {box(30, 0, 40, 10)});
    ASSERT_TRUE(line);
    EXPECT_NEAR(line->towards.x, 1, 1e-9);
    EXPECT_NEAR(line->at, 20, 1e-9);
    EXPECT_NEAR(before(box(0, 0, 40, 10), *line).area(), 200, 0.01);
}

} // namespace
} // namespace up::shape
