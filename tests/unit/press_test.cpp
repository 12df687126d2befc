// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/say.hpp"
#include "core/press/patch.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::press {
namespace {

using measure::Length;

// Common practice, no source: fabric reaches about 1/8 in beyond the web all round.
TEST(PatchFor, ASquareOfThreeInchesNeedsThreeAndAQuarter) {
    const auto patch = patchFor(test::squareRegion(0, 0, 76.2));
    EXPECT_EQ(patch.width, Length::ofInches(13, 4));
    EXPECT_EQ(patch.height, Length::ofInches(13, 4));
}

TEST(PatchFor, TurnsALeaningStripUpright) {
    const auto strip = shape::regionOf({{{0, 0}, {200, 0}, {200, 20}, {0, 20}}});
    const auto leaning = shape::transformed(strip, shape::Transform::turn(measure::Angle::ofDegrees(37)));
    const auto straight = patchFor(strip), turned = patchFor(leaning);
    EXPECT_EQ(turned.width, straight.width);
    EXPECT_EQ(turned.height, straight.height);
    EXPECT_GE(turned.width, turned.height);
}

TEST(PatchFor, HoldsTheChunkWithItsMarginAtTheTurnItGives) {
    Random random(41);
    for (int i = 0; i < 60; ++i) {
        const auto chunk = shape::regionOf({test::randomStar(random)});
        const auto patch = patchFor(chunk);
        const auto box = shape::transformed(chunk, shape::Transform::turn(patch.turn)).bounds();
        const double margin = 2 * fabricBeyondWeb.mm();
        EXPECT_GE(patch.width.mm(), box.width() + margin - 1e-4);
        EXPECT_GE(patch.height.mm(), box.height() + margin - 1e-4);
        EXPECT_LE(patch.width.mm(), box.width() + margin + 6.36);
    }
}

TEST(PatchFor, IsNeverLargerThanTheUprightBox) {
    Random random(42);
    for (int i = 0; i < 60; ++i) {
        const auto chunk = shape::regionOf({test::randomStar(random)});
        const auto patch = patchFor(chunk);
        const auto box = chunk.bounds();
        const auto side = [](double mm) {
            return measure::roundedUp(Length::ofMm(mm) + fabricBeyondWeb * 2, 4).mm();
        };
        // Both sides are rounded up to 1/4 in, which may cost a little against the box.
        EXPECT_LE((patch.width.mm() - 6.35) * (patch.height.mm() - 6.35),
                  side(box.width()) * side(box.height()));
    }
}

} // namespace
} // namespace up::press
