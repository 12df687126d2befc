// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/contours_sorted.hpp"
#include "core/shape/deepest.hpp"
#include "core/shape/path.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

using test::circle;
using test::square;

Contour randomContour(Random& random) {
    const auto point = [&] { return Point{random.between(-100, 100), random.between(-100, 100)}; };
    Contour contour{point(), {}, true};
    for (std::size_t i = 0, n = 2 + random.below(6); i < n; ++i)
        contour.curveTo(point(), point(), point());
    contour.lineTo(contour.start);
    return contour;
}

Point onCubic(Point a, const Cubic& c, double t) {
    const double u = 1 - t;
    return a * (u * u * u) + c.control1 * (3 * u * u * t) + c.control2 * (3 * u * t * t) +
           c.end * (t * t * t);
}

double distanceToLine(const Polyline& line, Point p) {
    double least = 1e9;
    for (std::size_t i = 1; i < line.size(); ++i) {
        const Point d = line[i] - line[i - 1];
        const double length = d.x * d.x + d.y * d.y;
        const double t =
            length > 0
                ? std::clamp(((p.x - line[i - 1].x) * d.x + (p.y - line[i - 1].y) * d.y) / length, 0.0, 1.0)
                : 0;
        least = std::min(least, distance(p, line[i - 1] + d * t));
    }
    return least;
}

TEST(Flattened, StaysWithinTheToleranceOfTheCurve) {
    Random random(5);
    for (const double tolerance : {1.0, 0.05, 0.005}) {
        for (int i = 0; i < 20; ++i) {
            const auto contour = randomContour(random);
            auto line = flattened(contour, tolerance);
            line.push_back(line.front());
            Point from = contour.start;
            for (const auto& curve : contour.curves) {
                for (int k = 1; k < 40; ++k)
                    EXPECT_LE(distanceToLine(line, onCubic(from, curve, k / 40.0)), tolerance * 1.0001);
                from = curve.end;
            }
        }
    }
}

TEST(BoundsOf, HoldTheCurveAndTouchIt) {
    Random random(6);
    for (int i = 0; i < 40; ++i) {
        const auto contour = randomContour(random);
        const auto exact = boundsOf(contour), fine = boundsOf(flattened(contour, 0.0005));
        EXPECT_NEAR(exact.left, fine.left, 0.001);
        EXPECT_NEAR(exact.right, fine.right, 0.001);
        EXPECT_NEAR(exact.top, fine.top, 0.001);
        EXPECT_NEAR(exact.bottom, fine.bottom, 0.001);
    }
}

// Source: area of the circle; four cubics of the usual kind are off by less than 0.03 % (Goldapp 1991; from
// memory).
TEST(SignedArea, OfACircleIsPiTimesTheRadiusSquared) {
    EXPECT_NEAR(std::abs(signedArea(circle({5, 7}, 30))), std::numbers::pi * 900,
                std::numbers::pi * 900 * 0.0003);
}

TEST(SignedArea, OfCurvesIsThatOfTheirFinestLines) {
    Random random(8);
    for (int i = 0; i < 30; ++i) {
        const auto contour = randomContour(random);
        EXPECT_NEAR(signedArea(contour), signedArea(flattened(contour, 0.0005)), 0.5);
    }
}

TEST(Transform, MirroringTwiceChangesNothing) {
    const auto mirror = Transform::mirrorAcross(114.3);
    const Point p{17, 42};
    EXPECT_EQ(mirror(mirror(p)), p);
    EXPECT_LT(mirror.determinant(), 0);
}

TEST(Transform, TurnsClockwiseOnAPageWhoseYRunsDown) {
    const auto turned = Transform::turn(measure::Angle::ofDegrees(90))({1, 0});
    EXPECT_NEAR(turned.x, 0, 1e-12);
    EXPECT_NEAR(turned.y, 1, 1e-12);
}

TEST(Transform, OfAContourKeepsLengthsWhenItOnlyTurns) {
    Random random(9);
    const auto contour = randomContour(random);
    const auto turned = transformed(contour, Transform::turnAbout({3, 4}, measure::Angle::ofDegrees(33)));
    EXPECT_NEAR(signedArea(turned), signedArea(contour), 1e-6);
}

TEST(SortContours, FindsTheHoleInItsEdge) {
    const auto sorted =
        sortContours({contourThrough(square(10, 10, 20)), contourThrough(square(0, 0, 50))}, Fill::evenOdd);
    ASSERT_EQ(sorted.outlines.size(), 1U);
    EXPECT_EQ(sorted.outlines.front().holes.size(), 1U);
    EXPECT_FALSE(sorted.repaired);
}

TEST(SortContours, MakesIslandsOfSeparateContours) {
    const auto sorted =
        sortContours({contourThrough(square(0, 0, 10)), contourThrough(square(50, 0, 30))}, Fill::nonZero);
    ASSERT_EQ(sorted.outlines.size(), 2U);
    EXPECT_GT(std::abs(signedArea(sorted.outlines[0].edge)), std::abs(signedArea(sorted.outlines[1].edge)));
}

TEST(SortContours, RepairsACrossingAndSaysWhere) {
    const Ring bow{{0, 0}, {40, 40}, {40, 0}, {0, 40}};
    const auto sorted = sortContours({contourThrough(bow)}, Fill::evenOdd);
    EXPECT_TRUE(sorted.repaired);
    ASSERT_TRUE(sorted.crossing);
    EXPECT_NEAR(sorted.crossing->x, 20, 0.1);
    EXPECT_NEAR(sorted.crossing->y, 20, 0.1);
    ASSERT_EQ(sorted.outlines.size(), 2U);
    for (const auto& outline : sorted.outlines)
        EXPECT_NEAR(std::abs(signedArea(outline.edge)), 400, 1);
}

TEST(SortContours, KeepsCurvesThatNeedNoRepair) {
    const auto sorted = sortContours({circle({0, 0}, 20)}, Fill::nonZero);
    ASSERT_EQ(sorted.outlines.size(), 1U);
    EXPECT_EQ(sorted.outlines.front().edge.curves.size(), 4U);
}

TEST(DeepestPoint, IsTheMiddleOfASquare) {
    const auto deepest = deepestPoint(test::squareRegion(0, 0, 100));
    EXPECT_NEAR(deepest.depth, 50, 7);
    EXPECT_NEAR(deepest.at.x, 50, 7);
}

TEST(DeepestPoint, LiesInsideEveryShape) {
    Random random(10);
    for (int i = 0; i < 60; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        EXPECT_TRUE(region.contains(deepestPoint(region).at));
    }
}

TEST(DeepestPoint, OfARingLiesInTheRing) {
    const auto ring =
        subtract(regionOf(Outline{circle({0, 0}, 40), {}}), regionOf(Outline{circle({0, 0}, 30), {}}));
    const auto deepest = deepestPoint(ring);
    EXPECT_TRUE(ring.contains(deepest.at));
    EXPECT_NEAR(deepest.depth, 5, 0.7);
}

} // namespace
} // namespace up::shape
