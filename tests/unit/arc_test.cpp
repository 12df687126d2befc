// SPDX-License-Identifier: GPL-3.0-or-later
// Elliptic arcs as SVG defines them, affine maps, and edges taken from corner to corner.
#include "core/shape/arc.hpp"
#include "core/shape/stretches.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

constexpr double pi = std::numbers::pi;

/// How far off a point is from the ellipse, as a share of its radius there.
double offEllipse(Point p, Point centre, double rx, double ry, double degrees) {
    const Point q = Transform::turn(measure::Angle::ofDegrees(-degrees))(p - centre);
    return std::abs(std::hypot(q.x / rx, q.y / ry) - 1);
}

double lengthOfContour(const Contour& contour) {
    auto points = flattened(contour, 0.0005);
    if (contour.closed) points.push_back(points.front());
    return lengthOf(points);
}

// SVG 2, 9.3.8, figure "arcs01": which of the four arcs between two points is meant by the flags.
TEST(ArcTo, TheFlagsChooseOneOfFourArcs) {
    struct Choice {
        bool large, sweep;
        Point centre;
    };
    // Circles of radius 5 through (0, 0) and (6, 0) have their centres at (3, ±4), by Pythagoras.
    for (const auto& [large, sweep, centre] : {Choice{false, true, {3, 4}}, Choice{true, false, {3, 4}},
                                               Choice{false, false, {3, -4}}, Choice{true, true, {3, -4}}}) {
        Contour arc{{0, 0}, {}, false};
        arcTo(arc, 5, 5, {}, large, sweep, {6, 0});
        for (const Point p : flattened(arc, 0.001))
            EXPECT_NEAR(distance(p, centre), 5, 0.003) << large << sweep;
        const double angle = 2 * std::asin(0.6);
        EXPECT_NEAR(lengthOfContour(arc), 5 * (large ? 2 * pi - angle : angle), 0.01) << large << sweep;
        EXPECT_EQ(arc.end(), (Point{6, 0}));
    }
}

TEST(ArcTo, LiesOnTheTurnedEllipse) {
    Random random(71);
    for (int i = 0; i < 200; ++i) {
        const double rx = random.between(2, 40), ry = random.between(2, 40), turn = random.between(-180, 180);
        const Point centre{random.between(-50, 50), random.between(-50, 50)};
        const auto at = [&](double t) {
            return Transform::turn(measure::Angle::ofDegrees(turn))({rx * std::cos(t), ry * std::sin(t)}) +
                   centre;
        };
        const double from = random.between(0, 2 * pi), span = random.between(0.1, 2 * pi - 0.1);
        Contour arc{at(from), {}, false};
        arcTo(arc, rx, ry, measure::Angle::ofDegrees(turn), span > pi, true, at(from + span));
        for (const Point p : flattened(arc, 0.001))
            EXPECT_LT(offEllipse(p, centre, rx, ry, turn), 0.002) << i;
        EXPECT_LT(distance(arc.end(), at(from + span)), 1e-9) << i;
    }
}

// SVG 2, 9.5.1: radii that are too small are scaled up uniformly until there is exactly one solution.
TEST(ArcTo, RadiiThatCannotReachAreEnlarged) {
    Contour arc{{0, 0}, {}, false};
    arcTo(arc, 1, 1, {}, false, true, {10, 0});
    for (const Point p : flattened(arc, 0.001))
        EXPECT_NEAR(distance(p, {5, 0}), 5, 0.003);
}

// SVG 2, 9.5.1: with a radius of zero a straight line; between equal points nothing.
TEST(ArcTo, WithoutARadiusIsALineAndWithoutAWayIsNothing) {
    Contour line{{0, 0}, {}, false};
    arcTo(line, 0, 5, {}, true, true, {10, 0});
    ASSERT_EQ(line.curves.size(), 1U);
    EXPECT_NEAR(lengthOfContour(line), 10, 1e-6);
    arcTo(line, 5, 5, {}, true, true, {10, 0});
    EXPECT_EQ(line.curves.size(), 1U);
    arcTo(line, 1e200, 1e200, {}, true, true, {20, 0});
    EXPECT_TRUE(std::isfinite(line.curves.back().control1.x)) << "beyond what can be computed";
}

TEST(Ellipse, HasItsAreaAndItsBox) {
    const auto contour = ellipse({10, 20}, 30, 12);
    EXPECT_NEAR(signedArea(contour), pi * 30 * 12, pi * 30 * 12 * 0.0004);
    const auto box = boundsOf(contour);
    EXPECT_NEAR(box.left, -20, 1e-9);
    EXPECT_NEAR(box.right, 40, 1e-9);
    EXPECT_NEAR(box.top, 8, 1e-9);
    EXPECT_NEAR(box.bottom, 32, 1e-9);
}

Transform anyTransform(Random& random) {
    Transform out{random.between(-3, 3), random.between(-3, 3),   random.between(-3, 3),
                  random.between(-3, 3), random.between(-90, 90), random.between(-90, 90)};
    if (std::abs(out.determinant()) < 0.1) out.a += 2, out.d += 2, out.b = 0.1;
    return out;
}

TEST(Transforms, TheInverseUndoesAndTheProductDoesOneAfterTheOther) {
    Random random(72);
    for (int i = 0; i < 100; ++i) {
        const auto first = anyTransform(random), second = anyTransform(random);
        const Point p{random.between(-100, 100), random.between(-100, 100)};
        EXPECT_LT(distance(first.inverse()(first(p)), p), 1e-8) << i;
        EXPECT_LT(distance((second * first)(p), second(first(p))), 1e-8) << i;
        EXPECT_NEAR((second * first).determinant(), second.determinant() * first.determinant(), 1e-8) << i;
    }
}

TEST(Transforms, AreasGrowByTheDeterminant) {
    Random random(73);
    const auto shape = ellipse({3, 4}, 20, 11);
    for (int i = 0; i < 50; ++i) {
        const auto map = anyTransform(random);
        EXPECT_NEAR(signedArea(transformed(shape, map)), signedArea(shape) * map.determinant(), 1e-6) << i;
    }
}

TEST(StretchesOf, AnEdgeIsAllOfItsStretches) {
    Random random(74);
    for (int i = 0; i < 60; ++i) {
        const auto edge = contourThrough(test::randomStar(random));
        double sum = 0;
        const auto stretches = stretchesOf(edge);
        for (std::size_t k = 0; k < stretches.size(); ++k) {
            sum += lengthOfContour(stretches[k]);
            EXPECT_EQ(stretches[k].end(), stretches[(k + 1) % stretches.size()].start) << i;
            EXPECT_TRUE(liesAlong(stretches[k], {edge}, 0.01)) << i;
        }
        EXPECT_NEAR(sum, lengthOfContour(edge), 0.01) << i;
    }
}

TEST(StretchesOf, ASquareHasFourSidesAndACircleFourQuarters) {
    EXPECT_EQ(stretchesOf(contourThrough(test::square(0, 0, 30))).size(), 4U);
    const auto quarters = stretchesOf(ellipse({0, 0}, 30, 30));
    ASSERT_EQ(quarters.size(), 4U);
    for (const auto& quarter : quarters)
        EXPECT_NEAR(lengthOfContour(quarter), pi * 15, 0.1);
}

TEST(LiesAlong, OnlyWhatIsNearAllTheWay) {
    const auto edge = contourThrough(test::square(0, 0, 30));
    Contour beside{{5, 0.4}, {}, false};
    beside.lineTo({25, 0.4});
    EXPECT_TRUE(liesAlong(beside, {edge}, 0.5));
    EXPECT_FALSE(liesAlong(beside, {edge}, 0.3));
    beside.lineTo({25, 15}); // turns into the middle
    EXPECT_FALSE(liesAlong(beside, {edge}, 0.5));
    EXPECT_FALSE(liesAlong(beside, {}, 0.5));
    EXPECT_NEAR(distanceTo(edge, {15, 11}), 11, 1e-6);
    EXPECT_NEAR(distanceTo(edge, {-3, -4}), 5, 1e-6);
}

} // namespace
} // namespace up::shape
