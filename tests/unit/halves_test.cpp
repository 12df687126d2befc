// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes cut by a line and halves put together, against the polygon clipping of the same shapes.
#include "core/pattern/pattern.hpp"
#include "core/shape/cutting.hpp"
#include "core/shape/halves.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::shape {
namespace {

using test::must;

Outline builtIn(quilt::RecipeKind kind) {
    return must(pattern::outlineOf(pattern::usualRecipe(kind)));
}
Region unionOf(const std::vector<Outline>& outlines) {
    std::vector<Region> regions;
    for (const auto& outline : outlines)
        regions.push_back(regionOf(outline, 0.002));
    return unite(regions);
}
double difference(const Region& a, const Region& b) {
    return subtract(a, b).area() + subtract(b, a).area();
}
/// All to the left of a → b, as far as matters.
Region leftOf(Point a, Point b) {
    const Point way = (b - a) * (1000 / distance(a, b)), side{way.y, -way.x};
    return regionOf({{a - way, b + way, b + way + side, a - way + side}}, Fill::nonZero);
}

TEST(CutBy, GivesWhatPolygonClippingGives) {
    Random random(11);
    for (const auto kind : {quilt::RecipeKind::heart, quilt::RecipeKind::ring, quilt::RecipeKind::flower,
                            quilt::RecipeKind::star, quilt::RecipeKind::crescent, quilt::RecipeKind::strip})
        for (int i = 0; i < 20; ++i) {
            const auto outline = builtIn(kind);
            const Point a{random.between(-20, 20), random.between(-20, 20)};
            const Point b{random.between(-20, 20), random.between(-20, 20)};
            const auto parts = cutBy(outline, a, b);
            const auto whole = regionOf(outline, 0.002);
            EXPECT_LT(difference(unionOf(parts.left), intersect(whole, leftOf(a, b))), 0.5);
            EXPECT_LT(difference(unionOf(parts.right), intersect(whole, leftOf(b, a))), 0.5);
        }
}

TEST(CutBy, ARingAcrossItsMiddleIsTwoHalvesWithoutHoles) {
    const auto parts = cutBy(builtIn(quilt::RecipeKind::ring), {0, -5}, {0, 5});
    ASSERT_EQ(parts.left.size(), 1U);
    ASSERT_EQ(parts.right.size(), 1U);
    EXPECT_TRUE(parts.left[0].holes.empty());
    EXPECT_LT(boundsOf(parts.right[0]).right,
              0.01); // going down the page, the right hand is to the left of it
}

TEST(CutBy, ThroughCornersAndBesideTheShape) {
    const Outline square{contourThrough(test::square(0, 0, 40)), {}};
    const auto corners = cutBy(square, {0, 0}, {40, 40});
    ASSERT_EQ(corners.left.size(), 1U);
    ASSERT_EQ(corners.right.size(), 1U);
    EXPECT_NEAR(std::abs(signedArea(corners.left[0].edge)), 800, 0.1);
    const auto beside = cutBy(square, {-10, 0}, {-10, 40});
    EXPECT_EQ(beside.left.size() + beside.right.size(), 1U);
    EXPECT_EQ(beside.left.size(), 1U);
}

TEST(CutBy, KeepsCurves) {
    const auto parts = cutBy({test::circle({0, 0}, 30), {}}, {-40, 3}, {40, 3});
    ASSERT_EQ(parts.left.size(), 1U);
    EXPECT_LE(parts.left[0].edge.curves.size(), 8U);
}

TEST(Halves, AHeartCutInTwoUnfoldsToTheHeart) {
    const auto heart = builtIn(quilt::RecipeKind::heart);
    const auto half = cutBy(heart, {0, 50}, {0, -50}).right.at(0);
    const auto folds = foldsOf(half, 5);
    ASSERT_EQ(folds.size(), 1U);
    const auto whole = unfolded(half, folds[0]);
    EXPECT_LT(difference(regionOf(whole, 0.002), regionOf(heart, 0.002)), 0.5);
    EXPECT_LE(whole.edge.curves.size(), heart.edge.curves.size() + 2);
}

TEST(Halves, TwoHalvesLyingAnywhereBecomeOne) {
    const auto heart = builtIn(quilt::RecipeKind::heart);
    const auto parts = cutBy(heart, {0, 50}, {0, -50});
    const auto away = Transform::moveBy(90, -30) * Transform::turn(measure::Angle::ofDegrees(77));
    const auto left = transformed(parts.left.at(0), away), right = parts.right.at(0);
    const auto whole = joined(right, foldsOf(right, 5).at(0), left, foldsOf(left, 5).at(0));
    EXPECT_LT(difference(regionOf(whole, 0.002), regionOf(heart, 0.002)), 0.5);
}

TEST(Halves, AHalfRingKeepsItsHolesAndHasItsFoldInTwoParts) {
    // A half ring's straight edge is broken by the hole: neither part is shorter than asked.
    const auto half = cutBy(builtIn(quilt::RecipeKind::ring), {0, 50}, {0, -50}).right.at(0);
    const auto folds = foldsOf(half, 5);
    ASSERT_EQ(folds.size(), 1U); // both parts lie on one line
    Outline holed{contourThrough(test::square(0, 0, 40)), {contourThrough(test::square(10, 10, 5))}};
    EXPECT_EQ(unfolded(holed, foldsOf(holed, 5).at(0)).holes.size(), 2U);
}

TEST(Halves, ALineDrawnInPiecesIsOneFold) {
    const auto half = contourThrough({{0, 0}, {0, 13}, {0.02, 30}, {0, 50}, {30, 25}});
    const auto folds = foldsOf({half, {}}, 5);
    ASSERT_EQ(folds.size(), 3U);
    EXPECT_NEAR(distance(folds[0].from, folds[0].to), 50, 0.01);
    EXPECT_NEAR(std::abs(signedArea(unfolded({half, {}}, folds[0]).edge)), 2 * std::abs(signedArea(half)), 2);
}

TEST(Halves, InnerEdgesAndRoundShapesHaveNoFold) {
    EXPECT_TRUE(foldsOf(builtIn(quilt::RecipeKind::circle), 3).empty());
    // A step: its inner edges have the shape on both sides.
    const auto step = contourThrough({{0, 0}, {20, 0}, {20, 20}, {40, 20}, {40, 40}, {0, 40}});
    for (const auto& fold : foldsOf({step, {}}, 5)) {
        EXPECT_NE(fold.from, (Point{20, 0}));
        EXPECT_NE(fold.from, (Point{20, 20}));
    }
    EXPECT_EQ(foldsOf({step, {}}, 5).size(), 4U);
}

} // namespace
} // namespace up::shape
