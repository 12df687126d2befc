// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/units.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::stack {
namespace {

using shape::Region;
using test::squareRegion;

constexpr double large = 10'000;

Region disc(double x, double y, double r) {
    return shape::regionOf(shape::Outline{test::circle({x, y}, r), {}});
}

/// Six petals round a middle that covers their inner ends, on a leaf.
std::vector<Region> flower() {
    std::vector<Region> out{shape::rectangle({-60, 15, 60, 30})};
    for (int i = 0; i < 6; ++i) {
        const double a = i * std::numbers::pi / 3;
        out.push_back(disc(14 * std::cos(a), 14 * std::sin(a), 6.5));
    }
    out.push_back(disc(0, 0, 9));
    return out;
}

TEST(UnitsIn, AFlowerHeadIsOne) {
    const auto pieces = flower();
    const auto units = unitsIn(pieces, stackOf(pieces), large);
    ASSERT_EQ(units.size(), 1U);
    EXPECT_EQ(units[0].kind, UnitKind::hub);
    EXPECT_EQ(units[0].pieces, (std::vector<std::size_t>{1, 2, 3, 4, 5, 6, 7})) << "but not the leaf";
}

TEST(UnitsIn, WhatLiesOnAHeadBelongsToIt) {
    // A head with two eyes, and a hat of which most lies beside it.
    const std::vector<Region> pieces{squareRegion(0, 0, 40), squareRegion(8, 10, 5), squareRegion(25, 10, 5),
                                     shape::rectangle({-20, -20, 60, 5})};
    const auto units = unitsIn(pieces, stackOf(pieces), large);
    ASSERT_EQ(units.size(), 1U);
    EXPECT_EQ(units[0].kind, UnitKind::base);
    EXPECT_EQ(units[0].pieces, (std::vector<std::size_t>{0, 1, 2}));
}

TEST(UnitsIn, WhatIsTooLargeForASheetIsNone) {
    const auto pieces = flower();
    EXPECT_TRUE(unitsIn(pieces, stackOf(pieces), 500).empty());
}

TEST(Between, APieceThatMustGoBetweenIsFound) {
    // 1 lies on 0 and beneath 2: 0 and 2 alone cannot be fused first.
    const std::vector<Region> pieces{squareRegion(0, 0, 40), squareRegion(10, 10, 20),
                                     squareRegion(15, 15, 30)};
    EXPECT_EQ(between({0, 2}, stackOf(pieces)), std::optional<std::size_t>(1));
    EXPECT_FALSE(between({0, 1}, stackOf(pieces)));
}

} // namespace
} // namespace up::stack
