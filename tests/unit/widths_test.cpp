// SPDX-License-Identifier: GPL-3.0-or-later
// Widths of shapes that can be worked out by hand.
#include "core/shape/arc.hpp"
#include "core/shape/widths.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

constexpr double pi = std::numbers::pi;
constexpr double tip = 12.7; // mm: half an inch

Region ringShape(double outer, double inner) {
    return subtract(regionOf(Outline{ellipse({0, 0}, outer, outer), {}}, 0.005),
                    regionOf(Outline{ellipse({0, 0}, inner, inner), {}}, 0.005));
}
Region star(int points, double outer, double inner) {
    Ring ring;
    for (int i = 0; i < points * 2; ++i) {
        const double angle = pi * i / points, r = i % 2 == 0 ? outer : inner;
        ring.push_back({r * std::sin(angle), -r * std::cos(angle)});
    }
    return regionOf({ring});
}
Region dumbBell(double neck) {
    const auto ball = [](double x) { return regionOf(Outline{ellipse({x, 0}, 20, 20), {}}); };
    return unite({ball(-40), ball(40), rectangle({-40, -neck / 2, 40, neck / 2})});
}

TEST(Narrowest, OfABandIsItsWidthHoweverItLies) {
    for (double degrees = 0; degrees < 180; degrees += 17) {
        const auto turned =
            transformed(rectangle({0, 0, 100, 7}), Transform::turn(measure::Angle::ofDegrees(degrees)));
        EXPECT_NEAR(narrowest(widthsOf(turned), tip).width, 7, 1e-3) << degrees;
    }
}

TEST(Narrowest, OfADiscIsItsDiameter) {
    EXPECT_NEAR(narrowest(widthsOf(regionOf(Outline{ellipse({5, 5}, 30, 30), {}})), tip).width, 60, 0.2);
}

TEST(Narrowest, OfADumbBellIsItsNeck) {
    const auto found = narrowest(widthsOf(dumbBell(4)), tip);
    EXPECT_NEAR(found.width, 4, 0.01);
    EXPECT_LT(std::abs(found.middle.x), 21) << "between the balls";
    EXPECT_NEAR(found.facing, pi, 0.05);
}

TEST(Narrowest, OfARingIsItsWall) {
    EXPECT_NEAR(narrowest(widthsOf(ringShape(30, 25)), tip).width, 5, 0.02);
    const auto offCentre = subtract(regionOf(Outline{ellipse({0, 0}, 30, 30), {}}, 0.005),
                                    regionOf(Outline{ellipse({3, 0}, 24, 24), {}}, 0.005));
    const auto found = narrowest(widthsOf(offCentre), tip);
    EXPECT_NEAR(found.width, 3, 0.02) << "30 − 24 − 3, on the right";
    EXPECT_GT(found.middle.x, 20);
}

// A circle between sides that open by 2α, d from the point, has the diameter 2·d·sin α.
TEST(Narrowest, OfAWedgeIsFoundWhereItsTipIsAllowedToEnd) {
    const double half = 0.1;
    const auto wedge = regionOf({{{0, 0}, {200, -200 * std::tan(half)}, {200, 200 * std::tan(half)}}});
    const auto found = narrowest(widthsOf(wedge), tip);
    EXPECT_NEAR(found.width, 2 * tip * std::sin(half), 0.3);
    EXPECT_NEAR(found.middle.x, tip, 1.5);
    const auto parts = narrowParts(widthsOf(wedge), 4.0, tip);
    ASSERT_EQ(parts.size(), 1U);
    EXPECT_TRUE(parts[0].isTip);
    EXPECT_NEAR(parts[0].length, 2 / std::sin(half), 1.5) << "from the point to where it is 4 mm wide";
    EXPECT_TRUE(narrowParts(widthsOf(wedge), 2.0, tip).empty()) << "thin only at the tip";
}

TEST(Narrowest, OfAStarLiesBetweenInnerCorners) {
    // Across a five-pointed star's waist: an inner corner and the side opposite; its arms alone are wedges.
    const auto shape = star(5, 50, 19.1);
    const auto widths = widthsOf(shape);
    int outwards = 0, inwards = 0;
    for (const auto& corner : widths.corners)
        ++(corner.opening < pi ? outwards : inwards);
    EXPECT_EQ(outwards, 5);
    EXPECT_EQ(inwards, 5);
    for (const auto& corner : widths.corners) {
        if (corner.opening > pi) continue;
        EXPECT_NEAR(corner.opening * 180 / pi, 36, 0.5) << "a pentagram's point";
    }
    const auto found = narrowest(widths, tip);
    EXPECT_NEAR(found.width, 2 * tip * std::sin(18 * pi / 180), 0.4) << "where the tips are allowed to end";
}

TEST(NarrowParts, AreFoundOneByOne) {
    const auto comb = unite({rectangle({0, 0, 100, 10}), rectangle({10, 0, 12, 40}),
                             rectangle({50, 0, 51, 40}), rectangle({80, 0, 90, 40})});
    const auto parts = narrowParts(widthsOf(comb), 3, tip);
    ASSERT_EQ(parts.size(), 2U);
    EXPECT_NEAR(parts[0].narrowest.width, 1, 1e-3);
    EXPECT_NEAR(parts[1].narrowest.width, 2, 1e-3);
    EXPECT_NEAR(parts[0].length, 30, 2);
    EXPECT_FALSE(parts[0].isTip);
}

TEST(NarrowParts, ScaleWithTheShapeButTheTipsDoNot) {
    const auto widths = widthsOf(dumbBell(4));
    EXPECT_TRUE(narrowParts(widths, 3, tip).empty());
    const auto half = narrowParts(widths, 3, tip, 0.5);
    ASSERT_EQ(half.size(), 1U);
    EXPECT_NEAR(half[0].narrowest.width, 2, 0.02);
}

TEST(Corners, OfASquareAreRightAndACircleHasNone) {
    const auto square = widthsOf(rectangle({0, 0, 50, 50}));
    ASSERT_EQ(square.corners.size(), 4U);
    for (const auto& corner : square.corners)
        EXPECT_NEAR(corner.opening, pi / 2, 1e-6);
    EXPECT_TRUE(widthsOf(regionOf(Outline{ellipse({0, 0}, 25, 25), {}})).corners.empty());
    const auto notch = widthsOf(regionOf({{{0, 0}, {50, 0}, {50, 50}, {25, 10}, {0, 50}}}));
    int inner = 0;
    for (const auto& corner : notch.corners)
        if (corner.opening > pi) {
            ++inner;
            EXPECT_EQ(corner.at, (Point{25, 10}));
            EXPECT_NEAR(2 * pi - corner.opening, 2 * std::atan2(25, 40), 1e-6);
            EXPECT_GT(corner.inwards.y, -1.01);
            EXPECT_LT(corner.inwards.y, -0.99) << "away from the notch";
        }
    EXPECT_EQ(inner, 1);
}

TEST(Narrowest, BetweenTwoNotchesIsFromPointToPoint) {
    // Calculated by hand: the notches' points are 2 mm from each other.
    const auto shape = regionOf(
        {{{0, 0}, {40, 0}, {40, 17}, {21, 20}, {40, 23}, {40, 40}, {0, 40}, {0, 23}, {19, 20}, {0, 17}}});
    const auto across = narrowest(widthsOf(shape), 12.7);
    EXPECT_NEAR(across.width, 2, 0.01);
    EXPECT_NEAR(across.middle.x, 20, 0.01);
    EXPECT_NEAR(across.middle.y, 20, 0.1);
    // One notch against a straight edge: 3 mm.
    const auto half = regionOf({{{0, 0}, {40, 0}, {40, 40}, {23, 40}, {20, 3}, {17, 40}, {0, 40}}});
    EXPECT_NEAR(narrowest(widthsOf(half), 12.7).width, 3, 0.01);
}

TEST(Widths, NothingOfTheEdgeLiesInACircle) {
    Random random(31);
    for (int i = 0; i < 80; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        const auto widths = widthsOf(region);
        for (const auto& across : widths.across)
            EXPECT_GE(distanceTo(region.rings.front(), across.middle), across.width / 2 * 0.999 - 1e-3)
                << i << " at " << across.middle.x << ", " << across.middle.y;
        EXPECT_GE(distanceTo(region.rings.front(), widths.widest.middle),
                  widths.widest.width / 2 * 0.999 - 1e-3);
    }
}

// A long straight edge beside a corner goes through cells that it only cuts a corner of.
TEST(Widths, NothingOfALongEdgeIsOverlooked) {
    for (int degrees = 0; degrees < 90; degrees += 3) {
        Contour grip{{0, 0}, {}, true};
        grip.lineTo({60, 0});
        grip.curveTo({75, 55}, {77, 115}, {65, 170});
        grip.curveTo({60, 195}, {0, 195}, {-4, 170});
        grip.curveTo({-16, 115}, {-14, 55}, {0, 0});
        const auto turned = transformed(grip, Transform::turn(measure::Angle::ofDegrees(degrees)));
        const auto region = regionOf(Outline{turned, {}});
        const auto widths = widthsOf(region);
        EXPECT_GT(narrowest(widths, 12.7).width, 55) << degrees << ": the corners are no narrow places";
        for (const auto& across : widths.across)
            EXPECT_GE(distanceTo(region.rings.front(), across.middle), across.width / 2 * 0.999 - 1e-3);
    }
}

TEST(Widths, TipsThatAPenMadeBluntAreStillTips) {
    Ring star;
    for (int i = 0; i < 10; ++i) {
        const double r = i % 2 == 0 ? 40 : 17, angle = i * pi / 5;
        star.push_back({r * std::sin(angle), -r * std::cos(angle)});
    }
    const auto sharp = narrowest(widthsOf(regionOf({star})), 12.7).width;
    const auto blunt = offset(offset(regionOf({star}), -0.25, 0.005), 0.25, 0.005);
    EXPECT_NEAR(narrowest(widthsOf(blunt), 12.7).width, sharp, sharp * 0.05);
}

} // namespace
} // namespace up::shape
