// SPDX-License-Identifier: GPL-3.0-or-later
// Finishing blocks of a quilt: strips by their place, what blocks are drawn in, checks with their remedies.
#include "core/edit/fitting.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/finish/strips_cut.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using check::Fix;
using check::Kind;
using quilt::Fitting;
using quilt::Length;
using quilt::Quilt;
using test::must;

/// Six blocks of 9 in, three in a row, with strips of 1 in.
Quilt sixBlocks() {
    auto quilt = test::smallQuilt();
    auto first = quilt.blocks[0];
    first.width = first.height = Length::ofInches(9, 1);
    quilt.blocks = {};
    for (int i = 0; i < 6; ++i) {
        first.id = BlockId{quilt.nextId++};
        first.name = "block " + std::to_string(i + 1);
        quilt.blocks.push_back(first);
    }
    quilt.sashing = Length::ofInches(1, 1), quilt.columns = 3;
    return quilt;
}

Quilt measured(const Quilt& quilt, std::size_t block, Length wide, Length high) {
    auto fitting = quilt.blocks[block].fitting;
    fitting.measured = quilt::Measured{wide, high};
    return must(edit::fit(quilt, quilt.blocks[block].id, fitting));
}

std::vector<check::Finding> found(const Quilt& quilt, Kind kind) {
    std::vector<check::Finding> out;
    for (auto& finding : checkQuilt(quilt).open)
        if (finding.kind == kind) out.push_back(std::move(finding));
    return out;
}

TEST(PlanFinish, ABlockGetsTheStripsBelowAndOnTheRight) {
    auto quilt = sixBlocks();
    EXPECT_EQ(sidesOf(quilt, quilt.blocks[0]), (quilt::Sides{false, true, false, true}));
    EXPECT_EQ(sidesOf(quilt, quilt.blocks[2]), (quilt::Sides{false, true, false, false}))
        << "the last of its row";
    EXPECT_EQ(sidesOf(quilt, quilt.blocks[4]), (quilt::Sides{false, false, false, true})) << "the last row";
    quilt.setting.outer = true;
    EXPECT_EQ(sidesOf(quilt, quilt.blocks[0]), quilt::Sides{}) << "all round at the corner";
    EXPECT_EQ(sidesOf(quilt, quilt.blocks[4]), (quilt::Sides{false, true, false, true}));
    EXPECT_EQ(planWall(quilt).top, (fit::Extent{Length::ofInches(31, 1), Length::ofInches(21, 1)}));
    quilt.sashing = Length();
    EXPECT_TRUE(planFinish(quilt, quilt.blocks[0]).strips.empty());
    EXPECT_EQ(planWall(quilt).top, (fit::Extent{Length::ofInches(27, 1), Length::ofInches(18, 1)}));
}

/// Six blocks of 9 in, three in a row: a strip of 9½ in on the right of four, one of 10½ in or 9½ in below three; a border of 2 in.
TEST(SettingCut, StripsAndBordersComeFromTheirCloth) {
    auto quilt = sixBlocks();
    const auto strips = quilt.fabrics[0].id, border = quilt.fabrics[1].id;
    quilt.setting.strips = strips;
    quilt.setting.borders = {{Length::ofInches(2, 1), border}};
    auto cuts = planSettingCut(quilt);
    ASSERT_EQ(cuts.size(), 2u);
    EXPECT_EQ(cuts[0].strips.size(), 7u);
    EXPECT_EQ(cuts[1].strips.size(), 4u);
    std::size_t planned = 0;
    for (const auto& block : quilt.blocks)
        for (const auto& strip : planFinish(quilt, block).strips) {
            EXPECT_NEAR(cuts[0].strips[planned].length, strip.cutLong.mm(), 1e-6);
            EXPECT_NEAR(cuts[0].strips[planned++].wide, strip.cutWide.mm(), 1e-6);
        }
    // seven strips of about 10 in, four to a cut of 42 in: two cuts of 1½ in
    EXPECT_EQ(*cuts[0].buy, Length::ofInches(3, 1));
    EXPECT_EQ(cuts[0].cutting.joins, 0u);
    quilt::Cloth cloth;
    cloth.id = ClothId{quilt.nextId++}, cloth.fabric = strips;
    cloth.outline = shape::rectangle({0, 0, 300, 1200}).rings; // it is turned
    quilt.cloths.push_back(cloth);
    cuts = planSettingCut(quilt);
    EXPECT_FALSE(cuts[0].buy);
    EXPECT_EQ(cuts[0].cutting.bands.size(), 2u);
    quilt.cloths[0].heldFor = quilt.blocks[0].id;
    EXPECT_TRUE(planSettingCut(quilt)[0].buy) << "what is held is left alone";
}

TEST(PlanFinish, ShortBlocksStillFillTheWall) {
    auto quilt = sixBlocks();
    const auto whole = planWall(quilt).top;
    quilt = measured(quilt, 0, Length::ofInches(9, 1), Length::ofInches(37, 4));
    const auto wall = planWall(quilt);
    EXPECT_EQ(wall.top, whole);
    EXPECT_TRUE(wall.lower.empty() && wall.narrower.empty());
    const auto plan = planFinish(quilt, quilt.blocks[0]);
    EXPECT_EQ(plan.strips[0].more, Length::ofInches(1, 4));
    EXPECT_EQ(plan.strips[1].more, Length::ofInches(1, 2)) << "one strip alone makes up for all";
    EXPECT_TRUE(found(quilt, Kind::comesOutShort).empty());
}

TEST(PlanFinish, StripsLieRoundTheBlockWithoutGapOrOverlap) {
    auto quilt = sixBlocks();
    quilt.setting.outer = true;
    quilt = measured(quilt, 0, Length::ofInches(37, 4), Length::ofInches(9, 1));
    auto fitting = quilt.blocks[0].fitting;
    fitting.sidesFirst = true;
    quilt = must(edit::fit(quilt, quilt.blocks[0].id, fitting));
    const auto plan = planFinish(quilt, quilt.blocks[0]);
    double area = (plan.trimTo.wide.mm() - 12.7) * (plan.trimTo.high.mm() - 12.7);
    for (const auto& strip : plan.strips)
        area += strip.box.width() * strip.box.height();
    EXPECT_NEAR(area, plan.box.width() * plan.box.height(), 1e-6);
    EXPECT_NEAR(plan.box.width(), plan.unit.wide.mm(), 1e-9);
    EXPECT_NEAR(plan.box.height(), plan.unit.high.mm(), 1e-9);
}

TEST(PlanFinish, AFrameLeavesSomethingOfABlockThatWasMadeSmaller) {
    auto quilt = sixBlocks();
    auto fitting = quilt.blocks[0].fitting;
    fitting.frame = Length::ofInches(2, 1);
    quilt = must(edit::fit(quilt, quilt.blocks[0].id, fitting));
    quilt.blocks[0].width = Length::ofInches(3, 1);
    const auto plan = planFinish(quilt, quilt.blocks[0]);
    EXPECT_EQ(plan.trimTo.wide, Length::ofInches(2, 1)) << "3 in less two frames of 3/4 in, and two seams";
    EXPECT_EQ(plan.strips[2].finished, Length::ofInches(3, 4));
}

TEST(DrawnIn, IsTheMiddleOfBlocksStitchedAlike) {
    auto quilt = sixBlocks();
    EXPECT_EQ(drawnIn(quilt, quilt.blocks[5]).blocks, 0);
    for (std::size_t i = 0; i < 3; ++i) // 10 in cut: 1, 2 and 7 % lost
        quilt = measured(quilt, i,
                         Length::ofMm(254 * (i == 0   ? 0.99
                                             : i == 1 ? 0.98
                                                      : 0.93)),
                         Length::ofInches(10, 1));
    const auto drawn = drawnIn(quilt, quilt.blocks[5]);
    EXPECT_EQ(drawn.blocks, 3);
    EXPECT_NEAR(drawn.share, 0.02, 1e-9) << "the one that went wrong does not count";
    quilt.blocks[5].edge.kind = quilt::StitchKind::straight;
    EXPECT_EQ(drawnIn(quilt, quilt.blocks[5]).blocks, 0) << "nothing is known of straight stitches";
}

TEST(CheckFit, SaysWhatCameOutShortWhereNoStripHelps) {
    auto quilt = sixBlocks();
    quilt.sashing = Length();
    const auto whole = planWall(quilt).top;
    quilt = measured(quilt, 0, Length::ofInches(75, 8), Length::ofInches(19, 2));
    const auto shorts = found(quilt, Kind::comesOutShort);
    ASSERT_EQ(shorts.size(), 1U);
    const std::vector<Fix> fixes{Fix::narrowSeam, Fix::frameIt, Fix::leaveSo};
    EXPECT_EQ(shorts[0].fixes, fixes);
    for (const auto fix : {Fix::narrowSeam, Fix::frameIt}) {
        const auto after = must(mend::mended(quilt, shorts[0], fix));
        EXPECT_TRUE(found(after, Kind::comesOutShort).empty()) << keyOf(fix);
        EXPECT_EQ(planWall(after).top, whole) << keyOf(fix);
    }
}

TEST(CheckFit, SaysThatABackgroundWillBeTooSmall) {
    auto quilt = sixBlocks();
    EXPECT_TRUE(found(quilt, Kind::groundSmall).empty()) << "nothing was measured yet";
    quilt = measured(quilt, 0, Length::ofMm(254 * 0.95), Length::ofMm(254 * 0.95));
    const auto small = found(quilt, Kind::groundSmall);
    ASSERT_FALSE(small.empty());
    const auto after = must(mend::mended(quilt, small.front(), Fix::cutLarger));
    EXPECT_EQ(found(after, Kind::groundSmall).size(), small.size() - 1);
    EXPECT_GT(the(after.blocks, small.front().block).ground.oversize, Length::ofInches(1, 2));
}

TEST(Fit, RefusesWhatCannotBe) {
    const auto quilt = sixBlocks();
    const auto id = quilt.blocks[0].id;
    const auto refuses = [&](Fitting fitting) {
        const auto fitted = edit::fit(quilt, id, fitting);
        return !fitted && fitted.error().code == Code::absurdSize;
    };
    Fitting fitting;
    EXPECT_FALSE(refuses(fitting));
    fitting.measured = quilt::Measured{Length::ofInches(3, 1), Length::ofInches(9, 1)};
    EXPECT_TRUE(refuses(fitting)) << "half a block";
    fitting = {};
    fitting.seam = Length::ofInches(1, 16);
    EXPECT_TRUE(refuses(fitting));
    fitting = {};
    fitting.frame = Length::ofInches(4, 1);
    EXPECT_TRUE(refuses(fitting)) << "nothing of the block would be left";
    EXPECT_FALSE(edit::setSetting(quilt, {}, Length::ofInches(-1, 1), 3));
    EXPECT_FALSE(edit::fit(quilt, BlockId{9999}, {}));
}

TEST(Fit, CountsStripsAnewWhenTheyAreOthers) {
    auto quilt = sixBlocks();
    const auto id = quilt.blocks[0].id;
    quilt = must(edit::stripSewn(quilt, id, 5));
    EXPECT_EQ(planFinish(quilt, quilt.blocks[0]).next()->side, shape::Side::right);
    quilt = measured(quilt, 0, Length::ofInches(10, 1), Length::ofInches(10, 1));
    EXPECT_EQ(quilt.blocks[0].fitting.sewn, 1) << "measuring takes no strip off";
    auto fitting = quilt.blocks[0].fitting;
    fitting.sidesFirst = true;
    quilt = must(edit::fit(quilt, id, fitting));
    EXPECT_EQ(quilt.blocks[0].fitting.sewn, 0);
}

} // namespace
} // namespace up::plan
