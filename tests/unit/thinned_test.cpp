// SPDX-License-Identifier: GPL-3.0-or-later
// Lines of ink to the lines along their middles.
#include "core/shape/fitting.hpp"
#include "intake/scan/marks.hpp"
#include "intake/scan/thinned.hpp"

#include <gtest/gtest.h>
#include <numbers>
#include <random>

namespace up::intake {
namespace {

using shape::Point;
using shape::Polyline;

/// Ink within half a width of the line.
void ink(Mask& mask, Point a, Point b, double width) {
    for (int y = 0; y < mask.height; ++y)
        for (int x = 0; x < mask.width; ++x) {
            const Point p{x + 0.5, y + 0.5}, ab = b - a;
            const double t =
                std::clamp(((p.x - a.x) * ab.x + (p.y - a.y) * ab.y) / (ab.x * ab.x + ab.y * ab.y), 0.0, 1.0);
            if (shape::distance(p, a + ab * t) <= width / 2) mask.in[mask.at(x, y)] = 1;
        }
}

void inkCircle(Mask& mask, Point middle, double radius, double width) {
    for (int y = 0; y < mask.height; ++y)
        for (int x = 0; x < mask.width; ++x)
            if (std::abs(shape::distance({x + 0.5, y + 0.5}, middle) - radius) <= width / 2)
                mask.in[mask.at(x, y)] = 1;
}

std::size_t count(const Mask& mask) {
    return static_cast<std::size_t>(std::count(mask.in.begin(), mask.in.end(), std::uint8_t{1}));
}

TEST(Thinned, ALineComesBackAlongItsMiddle) {
    Mask mask(120, 60);
    ink(mask, {10, 10}, {110, 50}, 7);
    const auto lines = linesOf(thinned(mask), 10);
    ASSERT_EQ(lines.size(), 1U);
    EXPECT_NEAR(shape::lengthOf(lines[0]), std::hypot(100, 40), 9) << "steps and rounded ends";
    for (const Point p : lines[0])
        EXPECT_LT(std::abs(shape::cross({10, 10}, {110, 50}, p)) / std::hypot(100, 40), 1.5);
}

TEST(Thinned, WhatIsConnectedStaysSo) {
    std::mt19937 dice(5);
    std::uniform_real_distribution<double> place(8, 152);
    for (int round = 0; round < 40; ++round) {
        Mask mask(160, 160);
        for (int i = 0; i < 5; ++i)
            ink(mask, {place(dice), place(dice)}, {place(dice), place(dice)}, 3 + round % 6);
        const auto thin = thinned(mask);
        // Ink is connected over corners too; paper then is not. Paper between lines is what thinning keeps.
        const auto paper = [](Mask of) {
            for (auto& dot : of.in)
                dot = dot ? 0 : 1;
            return blotsOf(of).blots.size();
        };
        EXPECT_EQ(paper(mask), paper(thin)) << round;
        EXPECT_LT(count(thin), count(mask) * 2 / 3) << round;
        for (std::size_t i = 0; i < thin.in.size(); ++i)
            EXPECT_LE(thin.in[i], mask.in[i]);
    }
}

TEST(Thinned, LinesThatCrossGoStraightOn) {
    Mask mask(200, 200);
    ink(mask, {10, 100}, {190, 110}, 5);
    ink(mask, {95, 10}, {105, 190}, 5);
    const auto lines = linesOf(thinned(mask), 10);
    ASSERT_EQ(lines.size(), 2U);
    for (const auto& line : lines)
        EXPECT_NEAR(shape::distance(line.front(), line.back()), 180, 6);
}

TEST(Thinned, ASideLineEndsAtTheMainOne) {
    Mask mask(200, 120);
    ink(mask, {10, 60}, {190, 60}, 5);
    ink(mask, {100, 60}, {150, 15}, 5);
    auto lines = linesOf(thinned(mask), 10);
    ASSERT_EQ(lines.size(), 2U);
    std::sort(lines.begin(), lines.end(), [](const auto& a, const auto& b) { return a.size() > b.size(); });
    EXPECT_NEAR(shape::distance(lines[0].front(), lines[0].back()), 180, 6);
    EXPECT_NEAR(shape::distance(lines[1].front(), lines[1].back()), std::hypot(50, 45), 6);
}

TEST(Thinned, ARingEndsWhereItBegan) {
    Mask mask(140, 140);
    inkCircle(mask, {70, 70}, 50, 6);
    const auto lines = linesOf(thinned(mask), 10);
    ASSERT_EQ(lines.size(), 1U);
    EXPECT_LT(shape::distance(lines[0].front(), lines[0].back()), 2);
    for (const Point p : lines[0])
        EXPECT_NEAR(shape::distance(p, {70, 70}), 50, 1.5);
}

TEST(Thinned, RoughEdgesLeaveNoTwigs) {
    std::mt19937 dice(9);
    Mask mask(300, 40);
    ink(mask, {10, 20}, {290, 20}, 8);
    std::bernoulli_distribution rough(0.3);
    for (int x = 12; x < 288; ++x)
        for (const int y : {15, 24})
            if (rough(dice)) mask.in[mask.at(x, y)] ^= 1;
    EXPECT_EQ(linesOf(thinned(mask), 16).size(), 1U);
}

TEST(Thinned, NothingAndSpecksGiveNoLines) {
    EXPECT_TRUE(linesOf(thinned(Mask(30, 30)), 5).empty());
    Mask dot(1, 1);
    dot.in[0] = 1;
    EXPECT_TRUE(linesOf(thinned(dot), 5).empty());
    Mask full(20, 20);
    full.in.assign(400, 1);
    EXPECT_LE(linesOf(thinned(full), 5).size(), 1U);
}

TEST(FittedLine, KeepsItsEndsAndStaysNear) {
    Polyline wave;
    for (int i = 0; i <= 400; ++i)
        wave.push_back({i * 0.5, 20 * std::sin(i * std::numbers::pi / 100)});
    const auto line = shape::fittedLine(wave, 0.2);
    EXPECT_FALSE(line.closed);
    EXPECT_EQ(line.start, wave.front());
    EXPECT_EQ(line.end(), wave.back());
    EXPECT_LT(line.curves.size(), 20U);
    for (const Point p : flattened(line, 0.01))
        EXPECT_NEAR(p.y, 20 * std::sin(p.x * std::numbers::pi / 50), 0.5);
    EXPECT_EQ(shape::fittedLine({{0, 0}, {5, 0.01}, {10, 0}}, 0.2).curves.size(), 1U);
    EXPECT_EQ(shape::fittedLine({{0, 0}, {10, 0}}, 0.2).curves.size(), 1U);
}

TEST(Marks, EdgesAndBordersAreNone) {
    constexpr double perMm = 6;
    Mask page(600, 600);
    const Polyline edge{{100, 100}, {500, 100}, {500, 500}, {100, 500}};
    for (std::size_t i = 0; i < 4; ++i)
        ink(page, edge[i], edge[(i + 1) % 4], 4);
    ink(page, {5, 20}, {5, 580}, 5); // the shadow of the lid
    EXPECT_TRUE(marksOn(page, {shape::contourThrough(edge)}, 4, perMm).lines.empty());
    ink(page, {200, 300}, {400, 320}, 4);
    ink(page, {200, 400}, {220, 400}, 4); // 3 mm: a letter of a label
    const auto marks = marksOn(page, {shape::contourThrough(edge)}, 4, perMm);
    EXPECT_EQ(marks.lines.size(), 1U);
    EXPECT_EQ(marks.small, 1);
}

TEST(Marks, ALineDrawnWithGapsIsOne) {
    constexpr double perMm = 6;
    Mask page(600, 600);
    ink(page, {100, 300}, {250, 300}, 3);
    ink(page, {256, 300}, {450, 302}, 3);
    const auto marks = marksOn(page, {}, 3, perMm);
    ASSERT_EQ(marks.lines.size(), 1U);
    EXPECT_NEAR(shape::distance(marks.lines[0].start, marks.lines[0].end()), 350, 6);
}

TEST(Marks, APageOfNoiseHasNone) {
    std::mt19937 dice(3);
    std::bernoulli_distribution half(0.5);
    Mask page(400, 400);
    for (auto& dot : page.in)
        dot = half(dice) ? 1 : 0;
    EXPECT_TRUE(marksOn(page, {}, 3, 6).lines.empty());
}

} // namespace
} // namespace up::intake
