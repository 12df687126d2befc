// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/knots.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::stack {
namespace {

using shape::Region;

Region bar(double x, double y, double w, double h) {
    return shape::rectangle({x, y, x + w, y + h});
}

/// Four bars woven into a square: each over the next.
std::vector<Region> woven() {
    return {bar(0, 0, 60, 10), bar(50, -5, 10, 60), bar(-5, 40, 70, 10), bar(5, -5, 10, 60)};
}

TEST(RingIn, IsTheShortestWayRound) {
    const auto stack = stackOf(woven(), {{0, 3}});
    ASSERT_EQ(stack.knots.size(), 1U);
    const auto ring = ringIn(stack.knots[0], stack.overlaps);
    ASSERT_EQ(ring.size(), 4U);
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const auto upper = ring[i], lower = ring[(i + 1) % ring.size()];
        EXPECT_TRUE(std::any_of(stack.overlaps.begin(), stack.overlaps.end(),
                                [&](const Overlap& o) { return o.upper == upper && o.lower == lower; }));
    }
}

TEST(Untied, CutsOnePieceSoThatNoKnotIsLeft) {
    auto bars = woven();
    const auto stack = stackOf(bars, {{0, 3}});
    const auto ring = ringIn(stack.knots[0], stack.overlaps);
    const auto cut = untied(bars, ring, 6.35);
    ASSERT_TRUE(cut);
    EXPECT_NEAR(cut->join, 10, 0.2) << "straight across a bar";
    // Nothing of the piece is lost, and its halves reach beneath each other.
    EXPECT_NEAR(shape::unite(cut->over, cut->under).area(), bars[cut->piece].area(), 0.5);
    EXPECT_GT(shape::intersect(cut->over, cut->under).area(), 6 * 10);
    const auto at = static_cast<std::size_t>(std::find(ring.begin(), ring.end(), cut->piece) - ring.begin());
    const auto lower = ring[(at + 1) % ring.size()], upper = ring[(at + ring.size() - 1) % ring.size()];
    EXPECT_LT(shape::intersect(cut->over, bars[upper]).area(), leastOverlap);
    EXPECT_LT(shape::intersect(cut->under, bars[lower]).area(), leastOverlap);
}

TEST(Untied, SaysSoWhenAllMeetInOnePlace) {
    const std::vector<Region> pieces{bar(0, 0, 30, 30), bar(10, 0, 30, 30), bar(5, 10, 30, 30)};
    const auto stack = stackOf(pieces, {{0, 2}});
    ASSERT_EQ(stack.knots.size(), 1U);
    EXPECT_FALSE(untied(pieces, ringIn(stack.knots[0], stack.overlaps), 6.35));
}

} // namespace
} // namespace up::stack
