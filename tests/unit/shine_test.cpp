// SPDX-License-Identifier: GPL-3.0-or-later
// The block as light comes through, and backgrounds sewn from strips.
#include "core/base/lab.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "core/plan/block/shine_plan.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using measure::Length;
using test::quiltOf;
using test::square;

constexpr Colour white{250, 250, 248}, navy{28, 44, 84};

double areaOf(const std::vector<Seen>& seen, std::size_t piece, Colour colour) {
    double out = 0;
    for (const auto& part : seen)
        if (part.piece == piece && part.colour == colour) out += part.where.area();
    return out;
}

/// A white square half on a dark one on a white ground; colours by the sum of linear light. Source: a share
/// of the light from the cloth, the rest from beneath, sRGB as in IEC 61966-2-1.
TEST(SeenFrom, WhatLiesBeneathIsMixedInWhereItLies) {
    auto quilt = quiltOf({{"dark", square(20, 20, 40), navy}, {"light", square(40, 20, 40), white}});
    auto& block = quilt.blocks[0];
    block.background = quilt::find(quilt.fabrics, block.pieces[1].fabric)->id;
    for (auto& fabric : quilt.fabrics)
        fabric.opacity = 0.8;
    const auto mixed = [](Colour top, const Light& beneath) {
        const auto own = lightOf(top);
        return Light{0.8 * own.red + 0.2 * beneath.red, 0.8 * own.green + 0.2 * beneath.green,
                     0.8 * own.blue + 0.2 * beneath.blue};
    };
    const auto dark = mixed(navy, lightOf(white));
    const auto seen = seenFrom(quilt, block, planBlock(block));
    EXPECT_NEAR(areaOf(seen, 0, colourOf(dark)), 20 * 40, 0.5);
    EXPECT_NEAR(areaOf(seen, 1, colourOf(mixed(white, dark))), 20 * 40, 0.5);
    EXPECT_NEAR(areaOf(seen, 1, white), 20 * 40, 0.5) << "white on white stays white";
    double all = 0;
    for (const auto& part : seen)
        all += part.where.area();
    EXPECT_NEAR(all, 60 * 40, 0.5) << "all that shows, once";
}

TEST(SeenFrom, CoverThatLetsNothingThroughIsSeenAsItIs) {
    auto quilt = quiltOf({{"dark", square(20, 20, 40), navy}, {"light", square(30, 30, 20), white}});
    for (auto& fabric : quilt.fabrics)
        fabric.opacity = 1;
    const auto& block = quilt.blocks[0];
    for (const auto& part : seenFrom(quilt, block, planBlock(block)))
        EXPECT_EQ(part.colour, part.piece == 0 ? navy : white);
}

/// The background is dark on the right only: there alone it shines through.
TEST(ShiningIn, APiecedBackgroundShinesThroughWhereItIsDark) {
    auto quilt = quiltOf({{"light", square(80, 80, 60), white}, {"dark", square(5, 5, 8), navy}});
    auto& block = quilt.blocks[0];
    const auto light = block.pieces[0].fabric, dark = block.pieces[1].fabric;
    block.background = light;
    block.ground.strips = {{{}, {{light, {}}}}, {{}, {{dark, {}}}}};
    block.ground = evenedOut(block, Length::ofInches(1, 8));
    const auto shining = shiningIn(quilt, block, planBlock(block));
    ASSERT_EQ(shining.size(), 1U);
    EXPECT_FALSE(shining[0].beneath) << "the background itself";
    const auto seam = planGround(block).seams.front().first.x;
    EXPECT_NEAR(shining[0].where.bounds().left, seam, 0.5);
    EXPECT_NEAR(shining[0].where.bounds().right, 140, 0.5);
}

/// Source: arithmetic. Three strips for 10 in: (10 + 2 × ½) / 3 = 3 2/3 in, to be measured as 3 3/4 in.
TEST(EvenedOut, StripsComeToTheSizeThatIsWanted) {
    quilt::Block block{}; // 9 in finished, 10 in as it is cut
    for (const bool rows : {false, true}) {
        block.ground.rows = rows;
        block.ground.strips.assign(3, quilt::GroundStrip{{}, {{}}});
        block.ground = evenedOut(block, Length::ofInches(1, 8));
        for (const auto& strip : block.ground.strips) {
            EXPECT_EQ(strip.cut, Length::ofInches(15, 4));
            EXPECT_EQ(strip.patches.front().cut, Length::ofInches(10, 1)) << "one patch has no seam";
        }
        const auto plan = planGround(block);
        EXPECT_GE(plan.wide, plan.wantedWide);
        EXPECT_GE(plan.high, plan.wantedHigh);
        EXPECT_LE(plan.wide.mm() - plan.wantedWide.mm(), 3 * 25.4 / 8);
    }
    block.ground.strips.assign(2, quilt::GroundStrip{{}, {{}}});
    EXPECT_EQ(evenedOut(block, Length::ofInches(1, 8)).strips[0].cut, Length::ofInches(21, 4))
        << "exact stays so";
}

} // namespace
} // namespace up::plan
