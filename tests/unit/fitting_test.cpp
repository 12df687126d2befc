// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/pattern.hpp"
#include "core/shape/fitting.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::shape {
namespace {

using test::must;

double difference(const Region& a, const Region& b) {
    return subtract(a, b).area() + subtract(b, a).area();
}

TEST(Fitted, ACircleIsAFewCurvesAgain) {
    const auto ring = flattened(test::circle({40, 30}, 25), 0.01);
    const auto smooth = fitted(ring, 0.02);
    EXPECT_LE(smooth.curves.size(), 12U);
    EXPECT_LT(difference(regionOf({ring}), regionOf({flattened(smooth, 0.002)})), 157 * 0.03);
}

TEST(Fitted, BuiltInShapesStayThemselvesWithFewCurves) {
    for (const auto kind :
         {quilt::RecipeKind::heart, quilt::RecipeKind::leaf, quilt::RecipeKind::flower,
          quilt::RecipeKind::crescent, quilt::RecipeKind::teardrop, quilt::RecipeKind::strip}) {
        const auto outline = must(pattern::outlineOf(pattern::usualRecipe(kind)));
        const auto ring = flattened(outline.edge, 0.01);
        const auto smooth = fitted(ring, 0.02);
        EXPECT_LT(smooth.curves.size(), std::max<std::size_t>(ring.size() / 4, 10U));
        EXPECT_LT(difference(regionOf({ring}), regionOf({flattened(smooth, 0.002)})), perimeter(ring) * 0.03);
        EXPECT_FALSE(firstCrossing({flattened(smooth, 0.01)}));
    }
}

TEST(Fitted, CornersAndStraightEdgesStay) {
    // A square with one rounded corner.
    Contour shape{{0, 0}, {}, true};
    shape.lineTo({40, 0});
    shape.lineTo({40, 30});
    shape.curveTo({40, 35.5}, {35.5, 40}, {30, 40});
    shape.lineTo({0, 40});
    shape.lineTo({0, 0});
    const auto smooth = fitted(flattened(shape, 0.01), 0.02);
    const auto has = [&](Point p) {
        return std::any_of(smooth.curves.begin(), smooth.curves.end(),
                           [&](const Cubic& c) { return distance(c.end, p) < 1e-6; });
    };
    for (const Point corner : {Point{0, 0}, {40, 0}, {0, 40}})
        EXPECT_TRUE(has(corner)) << corner.x << " " << corner.y;
    EXPECT_NEAR(std::abs(signedArea(smooth)), std::abs(signedArea(shape)), 1);
}

TEST(Fitted, RandomShapesKeepTheirArea) {
    Random random(21);
    for (int i = 0; i < 100; ++i) {
        const auto ring = regionOf({test::randomStar(random)}).rings.at(0);
        const auto round = offset(regionOf({ring}), 3).rings.at(0);
        const auto smooth = fitted(round, 0.03);
        EXPECT_LT(difference(regionOf({round}), regionOf({flattened(smooth, 0.005)})),
                  perimeter(round) * 0.06)
            << i;
    }
}

TEST(Fitted, WhatHasCurvesAndWhatIsTinyComesBackAsItIs) {
    const Outline heart = must(pattern::outlineOf(pattern::usualRecipe(quilt::RecipeKind::heart)));
    EXPECT_EQ(fitted(heart, 0.02), heart);
    const Ring square = test::square(0, 0, 10);
    EXPECT_EQ(fitted(square, 0.02), contourThrough(square));
}

} // namespace
} // namespace up::shape
