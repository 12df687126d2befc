// SPDX-License-Identifier: GPL-3.0-or-later
// Areas, booleans, offsets and clipped lines on random shapes, against GEOS.
#include "core/shape/deepest.hpp"
#include "core/shape/nearness.hpp"
#include "core/shape/widths.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::shape {
namespace {

using test::Boolean;
using test::geosArea;

constexpr int shapes = 240;
// Coordinates are held to 0.0001 mm here and exactly there: on outlines of some 500 mm that is 0.05 mm².
constexpr double allowed = 0.1;

TEST(AgainstGeos, AreasAgree) {
    Random random(100);
    for (int i = 0; i < shapes; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        EXPECT_NEAR(region.area(), geosArea(region), allowed);
    }
}

TEST(AgainstGeos, BooleansAgree) {
    Random random(101);
    for (int i = 0; i < shapes; ++i) {
        const auto a = regionOf({test::randomStar(random)}), b = regionOf({test::randomStar(random)});
        EXPECT_NEAR(unite(a, b).area(), geosArea(a, b, Boolean::unite), allowed) << i;
        EXPECT_NEAR(intersect(a, b).area(), geosArea(a, b, Boolean::intersect), allowed) << i;
        EXPECT_NEAR(subtract(a, b).area(), geosArea(a, b, Boolean::subtract), allowed) << i;
    }
}

TEST(AgainstGeos, BooleansOfShapesWithHolesAgree) {
    Random random(102);
    for (int i = 0; i < shapes; ++i) {
        const auto a = subtract(regionOf({test::randomStar(random)}), regionOf({test::randomStar(random)}));
        const auto b = subtract(regionOf({test::randomStar(random)}), regionOf({test::randomStar(random)}));
        EXPECT_NEAR(intersect(a, b).area(), geosArea(a, b, Boolean::intersect), allowed) << i;
        EXPECT_NEAR(subtract(a, b).area(), geosArea(a, b, Boolean::subtract), allowed) << i;
    }
}

TEST(AgainstGeos, OffsetsAgree) {
    Random random(103);
    for (int i = 0; i < 60; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        for (const double by : {6.35, 1.0, -1.0, -3.0}) {
            const double ours = offset(region, by, 0.01).area(), theirs = test::geosBufferArea(region, by);
            EXPECT_NEAR(ours, theirs, 1.0 + theirs * 0.001) << i << " by " << by;
        }
    }
}

TEST(AgainstGeos, TheWidestPlaceIsTheLargestCircleWithin) {
    Random random(106);
    for (int i = 0; i < shapes / 4; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        const double theirs = 2 * test::geosInscribedRadius(region);
        const double ours = widthsOf(region, 0.3).widest.width;
        EXPECT_LE(ours, theirs + 0.05) << i;
        EXPECT_GE(ours, theirs * 0.98) << i << ": found from points of the edge, so a little less";
    }
}

TEST(AgainstGeos, TheDeepestPointIsTheMiddleOfTheLargestCircle) {
    Random random(107);
    for (int i = 0; i < shapes / 4; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        const double theirs = test::geosInscribedRadius(region);
        const auto ours = deepestPoint(region, 0.05);
        EXPECT_LE(ours.depth, theirs + 0.05) << i;
        EXPECT_GE(ours.depth, theirs * 0.875 - 0.05) << i << ": it may stop at an eighth less";
        EXPECT_TRUE(region.contains(ours.at)) << i;
    }
}

TEST(AgainstGeos, LinesAreCutAtTheSamePlaces) {
    Random random(104);
    for (int i = 0; i < shapes; ++i) {
        const auto region = regionOf({test::randomStar(random)});
        Polyline line;
        for (int k = 0; k < 6; ++k)
            line.push_back({random.between(-80, 80), random.between(-80, 80)});
        double ours = 0;
        for (const auto& part : inside(line, region))
            ours += lengthOf(part);
        EXPECT_NEAR(ours, test::geosLengthInside(line, region), 0.01) << i;
    }
}

TEST(AgainstGeos, ScribblesBecomeRegionsWithoutCrossings) {
    Random random(105);
    for (int i = 0; i < shapes; ++i) {
        const auto region = regionOf({test::randomScribble(random)});
        EXPECT_NEAR(region.area(), geosArea(region), allowed) << i;
        EXPECT_FALSE(firstCrossing(region.rings)) << i;
    }
}

TEST(AgainstGeos, NearnessIsTheDistanceBetweenShapes) {
    Random random(117);
    int near = 0, far = 0;
    for (int i = 0; i < shapes; ++i) {
        auto a = regionOf({test::randomStar(random)});
        if (i % 3 == 0) a = subtract(a, offset(a, -6)); // a rim: what lies in its hole is no part of it
        const auto b = transformed(regionOf({test::randomStar(random)}),
                                   Transform::moveBy(random.between(-120, 120), random.between(-120, 120)) *
                                       Transform::scale(0.4, 0.4));
        const double distance = test::geosDistance(a, b);
        for (const double asked : {distance * 0.99 - 0.001, distance * 1.01 + 0.001, 6.35, 12.7}) {
            if (asked <= 0 || std::abs(asked - distance) < 5e-4) continue;
            EXPECT_EQ(areNearer(a, b, asked), distance < asked) << i << ": " << distance << " and " << asked;
            (distance < asked ? near : far) += 1;
        }
    }
    EXPECT_GT(near, 100);
    EXPECT_GT(far, 100);
    EXPECT_FALSE(areNearer({}, regionOf({test::randomStar(random)}), 1e6));
}

} // namespace
} // namespace up::shape
