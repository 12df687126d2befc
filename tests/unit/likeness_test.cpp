// SPDX-License-Identifier: GPL-3.0-or-later
// Which shapes are their own mirror image, and which are the same but for turning.
#include "core/shape/arc.hpp"
#include "core/shape/likeness.hpp"
#include "intake/letters/letters.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::shape {
namespace {

constexpr double pi = std::numbers::pi;

Region polygon(int corners, double radius, double turn = 0) {
    Ring ring;
    for (int i = 0; i < corners; ++i) {
        const double angle = 2 * pi * i / corners + turn;
        ring.push_back({radius * std::cos(angle), radius * std::sin(angle)});
    }
    return regionOf({ring});
}
std::optional<Axis> axisOf(const Region& region) {
    const Profile profile(region);
    return mirrorAxis(profile, likenessTolerance(profile));
}
/// A letter as tall as `height` mm, drawn like a poster's: even strokes, no serifs.
Region letter(const std::string& text, double height) {
    const auto made = intake::lettering(text, {"sans-serif", true, false}, height);
    Rings rings;
    for (const auto& contour : made.letters.at(0).contours)
        rings.push_back(flattened(contour, 0.01));
    return regionOf(rings, Fill::nonZero);
}
Region moved(const Region& region, double degrees, bool mirrored) {
    return transformed(region, Transform::moveBy(130, -70) *
                                   Transform::turn(measure::Angle::ofDegrees(degrees)) *
                                   Transform::scale(mirrored ? -1 : 1, 1));
}
/// Points of the edge pushed about by up to `by` mm.
Region shaken(const Region& region, double by, Random& random) {
    Region out = region;
    for (auto& ring : out.rings)
        for (auto& p : ring)
            p = p + Point{random.between(-by, by), random.between(-by, by)};
    return regionOf(out.rings, Fill::nonZero);
}
/// A boot: no axis whichever way it is turned.
Region boot(double size = 1) {
    return transformed(regionOf({{{0, 0}, {25, 0}, {25, 45}, {60, 52}, {66, 70}, {0, 70}}}),
                       Transform::scale(size, size));
}

TEST(MirrorAxis, RegularPolygonsHaveOneWhicheverWayTheyLie) {
    for (int corners = 3; corners <= 12; ++corners)
        for (const double turn : {0.0, 0.3, 1.1}) {
            const auto axis = axisOf(polygon(corners, 40, turn));
            ASSERT_TRUE(axis) << corners;
            // An axis of a regular polygon passes through a corner or the middle of a side.
            const double rest = std::abs(std::remainder(axis->direction - turn, pi / corners));
            EXPECT_LT(rest, 0.02) << corners;
        }
}

TEST(MirrorAxis, IsUprightOnAHeartAndThroughItsMiddle) {
    Contour heart{{50, 90}, {}, true};
    heart.curveTo({0, 50}, {0, 10}, {25, 10});
    heart.curveTo({40, 10}, {50, 20}, {50, 30});
    heart.curveTo({50, 20}, {60, 10}, {75, 10});
    heart.curveTo({100, 10}, {100, 50}, {50, 90});
    const auto axis = axisOf(regionOf(Outline{heart, {}}));
    ASSERT_TRUE(axis);
    EXPECT_NEAR(axis->direction, pi / 2, 0.01);
    EXPECT_NEAR(axis->through.x, 50, 0.05);
}

// Facts of the alphabet.
TEST(MirrorAxis, LettersThatAreTheirOwnMirrorImageAndLettersThatAreNot) {
    for (const char* text : {"A", "H", "I", "M", "O", "T", "U", "V", "W", "Y", "X", "C", "D"})
        EXPECT_TRUE(axisOf(letter(text, 60))) << text;
    for (const char* text : {"F", "G", "J", "L", "N", "P", "R", "S", "Z", "Q"})
        EXPECT_FALSE(axisOf(letter(text, 60))) << text;
}

TEST(MirrorAxis, ForgivesWhatAPencilDoesAndNoMore) {
    Random random(5);
    const auto heart = polygon(5, 40);
    for (int i = 0; i < 10; ++i) {
        EXPECT_TRUE(axisOf(shaken(heart, 0.3, random))) << i;
        EXPECT_FALSE(axisOf(shaken(boot(), 0.3, random))) << i;
    }
    const auto bumped = unite(polygon(60, 40), rectangle({38, 10, 43, 14}));
    EXPECT_FALSE(axisOf(unite(bumped, rectangle({-20, 35, -14, 44})))) << "two different bumps";
}

TEST(MirrorAxis, HolesCount) {
    const auto disc = polygon(90, 40);
    EXPECT_TRUE(axisOf(subtract(disc, rectangle({-5, -30, 5, -20}))));
    EXPECT_FALSE(axisOf(subtract(subtract(disc, rectangle({-5, -30, 5, -20})), rectangle({15, 0, 30, 5}))));
}

TEST(Match, KnowsTurnedFromMirrored) {
    const Profile a(boot());
    for (double degrees = 0; degrees < 360; degrees += 23) {
        const auto turned = match(a, Profile(moved(boot(), degrees, false)), 0.79);
        ASSERT_TRUE(turned) << degrees;
        EXPECT_FALSE(turned->mirrored);
        EXPECT_NEAR(std::remainder(turned->turn - degrees * pi / 180, 2 * pi), 0, 0.02) << degrees;
        const auto other = match(a, Profile(moved(boot(), degrees, true)), 0.79);
        ASSERT_TRUE(other) << degrees;
        EXPECT_TRUE(other->mirrored);
        EXPECT_NEAR(std::remainder(other->turn - degrees * pi / 180, 2 * pi), 0, 0.02) << degrees;
    }
}

TEST(Match, OfAnotherSizeOrShapeThereIsNone) {
    const Profile a(boot());
    EXPECT_FALSE(match(a, Profile(boot(1.05)), 0.79));
    EXPECT_FALSE(match(a, Profile(polygon(6, 35)), 0.79));
    EXPECT_TRUE(match(a, Profile(boot(1.005)), 0.79));
}

TEST(Match, SymmetricShapesAreNeverMirrored) {
    const auto found = match(Profile(polygon(5, 30)), Profile(moved(polygon(5, 30), 50, true)), 0.79);
    ASSERT_TRUE(found);
    EXPECT_FALSE(found->mirrored);
}

TEST(Match, RandomShapesAreFoundAgainAndNeverTakenForOthers) {
    Random random(77);
    for (int i = 0; i < 40; ++i) {
        const auto star = regionOf({test::randomStar(random)});
        const auto other = regionOf({test::randomStar(random)});
        const Profile a(star);
        const double degrees = random.between(0, 360);
        const auto same = match(a, Profile(moved(star, degrees, i % 2 == 1)), 0.79);
        ASSERT_TRUE(same) << i << " " << degrees << " " << a.step() << " " << star.rings[0].size();
        EXPECT_EQ(same->mirrored, i % 2 == 1) << i;
        EXPECT_LT(same->worst, 0.1) << i;
        EXPECT_FALSE(match(a, Profile(other), 0.79)) << i;
    }
}

} // namespace
} // namespace up::shape
