// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/random.hpp"
#include "core/shape/arc.hpp"
#include "core/shape/joining.hpp"
#include "core/shape/repeats.hpp"

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

double lengthOfAll(const std::vector<Unrepeated>& lines) {
    double sum = 0;
    for (const auto& one : lines)
        sum += lengthOf(flattened(one.contour, 0.001));
    return sum;
}

TEST(WithoutRepeats, KeepsOneOfEqualLinesHoweverTheyRun) {
    const auto once =
        withoutRepeats({line({0, 0}, {10, 0}), line({10, 0}, {0, 0}), line({0, 0}, {10, 0})}, 0.1);
    ASSERT_EQ(once.size(), 1U);
    EXPECT_EQ(once[0].from, 0U);
}

TEST(WithoutRepeats, TakesAwayTheStretchThatALongerLineCovers) {
    const auto once =
        withoutRepeats({line({4, 0}, {12, 0}), line({0, 0}, {10, 0}), line({2, 0}, {5, 0})}, 0.1);
    ASSERT_EQ(once.size(), 2U);
    EXPECT_NEAR(once[0].contour.start.x, 10, 0.03);
    EXPECT_NEAR(once[0].contour.end().x, 12, 1e-9);
    EXPECT_EQ(once[1].from, 1U);
}

TEST(WithoutRepeats, LeavesWhatMerelyMeetsCrossesOrRunsBeside) {
    const std::vector<Contour> lines{line({0, 0}, {10, 0}), line({10, 0}, {10, 10}), line({5, -5}, {5, 5}),
                                     line({0, 0.2}, {10, 0.2}), line({0, 0}, {8, 3})};
    const auto once = withoutRepeats(lines, 0.1);
    ASSERT_EQ(once.size(), lines.size());
    for (std::size_t i = 0; i < lines.size(); ++i)
        EXPECT_EQ(once[i].contour, lines[i]) << "curves are not touched";
}

TEST(WithoutRepeats, ShortStepsOfOneLineDoNotSwallowEachOther) {
    std::vector<Contour> steps;
    for (int i = 0; i < 1000; ++i)
        steps.push_back(line({i * 0.02, 0}, {(i + 1) * 0.02, 0}));
    EXPECT_EQ(withoutRepeats(steps, 0.1).size(), steps.size());
}

TEST(WithoutRepeats, ArcsInPartsAreRepeatsOfTheWholeArc) {
    Contour arc{{20, 0}, {}, false}, part{{20 * std::cos(0.5), 20 * std::sin(0.5)}, {}, false};
    arcAbout(arc, {0, 0}, {20, 0}, {0, 20}, 0, 2);
    arcAbout(part, {0, 0}, {20, 0}, {0, 20}, 0.5, 1);
    const auto once = withoutRepeats({part, arc}, 0.1);
    ASSERT_EQ(once.size(), 1U);
    EXPECT_EQ(once[0].contour, arc);
}

TEST(WithoutRepeats, CutAtRandomAndDrawnOverTheLengthStaysThatOfTheLine) {
    Random random(5);
    for (int round = 0; round < 40; ++round) {
        std::vector<Contour> lines;
        double from = 100, to = 0;
        for (int i = 0; i < 6; ++i) {
            const double a = random.between(0, 60), b = a + random.between(5, 40);
            from = std::min(from, a), to = std::max(to, b);
            lines.push_back(random.below(2) ? line({a, a / 2}, {b, b / 2}) : line({b, b / 2}, {a, a / 2}));
        }
        double covered = 0; // of the line, by the union of the stretches
        std::vector<std::pair<double, double>> spans;
        for (const auto& one : lines)
            spans.emplace_back(std::min(one.start.x, one.end().x), std::max(one.start.x, one.end().x));
        std::sort(spans.begin(), spans.end());
        double reached = -1;
        for (const auto& [a, b] : spans)
            covered += std::max(0.0, b - std::max(a, reached)), reached = std::max(reached, b);
        EXPECT_NEAR(lengthOfAll(withoutRepeats(lines, 0.1)), covered * std::sqrt(1.25), 0.5) << round;
    }
}

} // namespace
} // namespace up::shape
