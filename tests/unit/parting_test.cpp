// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes parted by one cut.
#include "core/shape/parting.hpp"
#include "tests/support/geos.hpp"

#include <gtest/gtest.h>
#include <random>
#include <set>

namespace up::shape {
namespace {

Region box(double left, double top, double right, double bottom) {
    return rectangle({left, top, right, bottom});
}

TEST(Parting, TellsShapesApartInEveryDirectionOnce) {
    const std::vector square{box(0, 0, 10, 10), box(20, 0, 30, 10), box(0, 20, 10, 30), box(20, 20, 30, 30)};
    const auto ways = groupings(square);
    const std::set<std::vector<std::size_t>> all(ways.begin(), ways.end());
    EXPECT_EQ(all.size(), ways.size());
    for (const auto& way : ways) {
        EXPECT_FALSE(way.empty());
        EXPECT_NE(way.front(), 0U);
    }
    // A row, a column, each corner alone; never two that lie across.
    EXPECT_TRUE(all.contains({1, 3}) && all.contains({2, 3}) && all.contains({1}) && all.contains({1, 2, 3}));
    EXPECT_FALSE(all.contains({1, 2}));
    EXPECT_TRUE(groupings({box(0, 0, 1, 1)}).empty());
    std::vector<Region> many;
    for (int i = 0; i < 70; ++i)
        many.push_back(box(i % 9 * 20, i / 9 * 20.0, i % 9 * 20 + 10, i / 9 * 20.0 + 10));
    EXPECT_LE(groupings(many).size(), 100U);
    EXPECT_GE(groupings(many).size(), 20U);
}

TEST(Parting, LeavesEachWhatLiesInItAndSharesNothing) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> side(10, 60);
    for (int round = 0; round < 40; ++round) {
        std::vector<Region> one, other;
        for (int i = 0; i < 6; ++i) // shelves, so that no straight line parts every second one from the rest
            (i % 2 ? one : other)
                .push_back(box(i * 65.0, i % 3 * 70.0, i * 65 + side(random), i % 3 * 70 + side(random)));
        auto a = offset(unite(one), 6.35), b = offset(unite(other), 6.35);
        const auto both = unite(std::vector{a, b});
        part(a, b, one, other);
        EXPECT_NEAR(test::geosArea(intersect(a, b)), 0, 0.01);
        EXPECT_NEAR(test::geosArea(unite(std::vector{a, b})), test::geosArea(both), 0.1) << "no web is lost";
        for (const auto& shape : one)
            EXPECT_NEAR(test::geosArea(subtract(shape, a)), 0, 0.01);
        for (const auto& shape : other)
            EXPECT_NEAR(test::geosArea(subtract(shape, b)), 0, 0.01);
    }
}

TEST(Parting, GoesRoundWhatLiesWithinAnother) {
    const auto frame = subtract(box(0, 0, 100, 100), box(20, 20, 80, 80)), inner = box(40, 40, 60, 60);
    EXPECT_FALSE(lineBetween({frame}, {inner}));
    auto a = box(-6, -6, 106, 106), b = box(34, 34, 66, 66);
    part(a, b, {frame}, {inner});
    EXPECT_NEAR(subtract(frame, a).area(), 0, 0.01);
    EXPECT_NEAR(subtract(inner, b).area(), 0, 0.01);
    EXPECT_NEAR(intersect(a, b).area(), 0, 0.01);
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
