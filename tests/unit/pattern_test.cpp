// SPDX-License-Identifier: GPL-3.0-or-later
// The built-in shapes against the area formulas of school geometry and against their own measures.
#include "core/pattern/pattern.hpp"
#include "core/shape/likeness.hpp"
#include "core/shape/widths.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::pattern {
namespace {

using shape::regionOf;
using test::must;

constexpr double pi = std::numbers::pi;

Recipe recipe(RecipeKind kind, std::vector<double> measures) {
    Recipe out = usualRecipe(kind);
    out.measures = std::move(measures);
    return out;
}
double areaOf(RecipeKind kind, std::vector<double> measures) {
    const auto outline = must(outlineOf(recipe(kind, std::move(measures))));
    double area = std::abs(signedArea(outline.edge));
    for (const auto& hole : outline.holes)
        area -= std::abs(signedArea(hole));
    return area;
}
std::vector<RecipeKind> allFigures() {
    std::vector<RecipeKind> out;
    for (std::size_t i = 0; i < valuesOf<quilt::RecipeKind>; ++i)
        if (const auto kind = static_cast<RecipeKind>(i);
            kind != RecipeKind::letter && kind != RecipeKind::line)
            out.push_back(kind);
    return out;
}
double difference(const shape::Outline& a, const shape::Outline& b) {
    const auto left = regionOf(a, 0.002), right = regionOf(b, 0.002);
    return subtract(left, right).area() + subtract(right, left).area();
}

TEST(Pattern, AreasAreThoseOfTheFormulas) {
    const auto within = [](double area, double expected) { EXPECT_NEAR(area / expected, 1, 0.001); };
    within(areaOf(RecipeKind::circle, {50}), pi * 25 * 25);
    within(areaOf(RecipeKind::oval, {40, 70}), pi * 20 * 35);
    within(areaOf(RecipeKind::ring, {60, 12}), pi * (30 * 30 - 18 * 18));
    within(areaOf(RecipeKind::strip, {100, 20, 0}), 2000);
    within(areaOf(RecipeKind::strip, {100, 20, 10}), 80 * 20 + pi * 100);
    within(areaOf(RecipeKind::star, {5, 80, 30}), 5 * 40 * 15 * std::sin(pi / 5));
    within(areaOf(RecipeKind::stem, {120, 10, 4, 0, 0}), 120 * 7);
    // Two circle segments; a square's corner circle passes through both points: radius 50, half angle
    // asin(0.8).
    const double half = std::asin(0.8);
    within(areaOf(RecipeKind::leaf, {80, 40, 50}), 50 * 50 * (2 * half - std::sin(2 * half)));
    // A circle and two right-angled triangles on its tangents.
    const double opening = std::acos(20.0 / 60);
    within(areaOf(RecipeKind::teardrop, {80, 40}), 400 * (pi - opening) + 20 * 60 * std::sin(opening));
    // Two circles less what they share.
    const double r = 30, d = 12,
                 shared = 2 * r * r * std::acos(d / (2 * r)) - d / 2 * std::sqrt(4 * r * r - d * d);
    within(areaOf(RecipeKind::crescent, {60, 12}), pi * r * r - shared);
}

TEST(Pattern, EveryShapeIsAsLargeAsItsMeasuresSayAndCrossesNothing) {
    for (const auto kind : allFigures()) {
        const auto made = must(outlineOf(usualRecipe(kind)));
        EXPECT_FALSE(firstCrossing(flattened(made))) << keyOf(kind);
        const auto box = boundsOf(made);
        const auto measures = measuresOf(kind);
        for (std::size_t i = 0; i < measures.size(); ++i) {
            const double value = usualRecipe(kind).measures[i];
            const auto is = [&](const char* key) { return measures[i].key == key; };
            const bool lies = kind == RecipeKind::strip, bends = kind == RecipeKind::stem;
            if (is("across") && kind != RecipeKind::star) {
                EXPECT_NEAR(box.height(), value, value * 0.07);
            }
            if (is("length") && !lies && !bends) {
                EXPECT_NEAR(box.height(), value, value * 0.02);
            }
            if (is("height")) {
                EXPECT_NEAR(box.height(), value, 0.01);
            }
            if (is("width") && !lies && !bends) {
                EXPECT_NEAR(box.width(), value, 0.01);
            }
        }
    }
}

TEST(Pattern, AllButABentStemAreTheirOwnMirrorImage) {
    for (const auto kind : allFigures()) {
        auto made = usualRecipe(kind);
        if (kind == RecipeKind::stem) made.measures[4] = -made.measures[3];
        const shape::Profile profile(regionOf(must(outlineOf(made))));
        EXPECT_EQ(mirrorAxis(profile, shape::likenessTolerance(profile)).has_value(),
                  kind != RecipeKind::stem)
            << keyOf(kind);
    }
}

TEST(Pattern, ABentStemIsAsWideAllAlong) {
    const auto stem = recipe(RecipeKind::stem, {120, 8, 8, 18, -18});
    const auto widths = shape::widthsOf(regionOf(must(outlineOf(stem)), 0.01));
    EXPECT_NEAR(narrowest(widths, 0).width, 8, 0.05);
    EXPECT_NEAR(widths.widest.width, 8, 0.05);
}

TEST(Pattern, AStemAlongALineIsThatWide) {
    auto along = recipe(RecipeKind::line, {6});
    along.line = {{0, 0}, {}, false};
    along.line.curveTo({30, -40}, {60, 40}, {90, 0});
    const auto made = regionOf(must(outlineOf(along)));
    EXPECT_NEAR(made.area(), 6 * lengthOf(flattened(along.line, 0.01)), 3);
    along.line.curves.clear();
    EXPECT_EQ(outlineOf(along).error().code, Code::noSuchShape);
}

TEST(Pattern, ARemappedRecipeMakesTheRemappedShape) {
    const auto by = shape::Transform::moveBy(31, -12) *
                    shape::Transform::turn(measure::Angle::ofDegrees(37)) *
                    shape::Transform::scale(-1.6, 1.6);
    for (const auto kind : allFigures()) {
        auto made = usualRecipe(kind);
        made.at = shape::Transform::moveBy(100, 80) * shape::Transform::turn(measure::Angle::ofDegrees(-20));
        const auto expected = transformed(must(outlineOf(made)), by);
        EXPECT_LT(difference(must(outlineOf(remapped(made, by))), expected), 1.0) << keyOf(kind);
    }
}

TEST(Pattern, AStemMayKeepItsWidth) {
    const auto stem = recipe(RecipeKind::stem, {100, 10, 10, 0, 0});
    const auto larger = remapped(stem, shape::Transform::scale(2, 2), true);
    const auto box = boundsOf(must(outlineOf(larger)));
    EXPECT_NEAR(box.height(), 200, 1e-6);
    EXPECT_NEAR(box.width(), 10, 1e-6);
    EXPECT_TRUE(hasWidth(stem));
    EXPECT_FALSE(hasWidth(usualRecipe(RecipeKind::heart)));
}

TEST(Pattern, MeasuresThatLeaveNoShapeAreRefused) {
    const auto refused = [](RecipeKind kind, std::vector<double> measures, const std::string& which) {
        const auto made = outlineOf(recipe(kind, std::move(measures)));
        ASSERT_FALSE(made);
        EXPECT_EQ(made.error().code, Code::measureOut);
        EXPECT_EQ(made.error().args.at(0), which);
    };
    refused(RecipeKind::ring, {50, 25}, "band");
    refused(RecipeKind::star, {5, 50, 50}, "inner");
    refused(RecipeKind::star, {2, 50, 20}, "points");
    refused(RecipeKind::teardrop, {50, 50}, "width");
    refused(RecipeKind::circle, {-3}, "across");
    refused(RecipeKind::circle, {std::numeric_limits<double>::quiet_NaN()}, "across");
    refused(RecipeKind::strip, {50, 20, 11}, "corner");
    EXPECT_EQ(outlineOf(recipe(RecipeKind::oval, {5})).error().code, Code::noSuchShape);
}

} // namespace
} // namespace up::pattern
