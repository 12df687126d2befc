// SPDX-License-Identifier: GPL-3.0-or-later
// Blocks fitted into their places: worked examples of the trade, sums that must come out to the nanometre.
#include "core/base/random.hpp"
#include "core/fit/trimming.hpp"
#include "core/fit/wall.hpp"

#include <cmath>
#include <gtest/gtest.h>

namespace up::fit {
namespace {

Length in(double inches) {
    return Length::ofInches(inches);
}

/// A 9½ in wide piece of background is only 9 in: the strips grow by ¼ in on each side. Arithmetic.
TEST(UnitOf, WidensTheStripsOnEitherSideByHalfOfWhatIsMissing) {
    UnitJob job;
    job.place = {in(9), in(9)}, job.cut = {in(9), in(9.5)};
    job.planned.fill(in(1));
    job.order = {Side::top, Side::bottom, Side::left, Side::right};
    const auto unit = unitOf(job);
    ASSERT_EQ(unit.strips.size(), 4u);
    EXPECT_EQ(unit.strips[0].cutLong, in(9)) << "above: as long as the block's raw edge";
    EXPECT_EQ(unit.strips[0].cutWide, in(1.5));
    EXPECT_EQ(unit.strips[2].more, in(0.25));
    EXPECT_EQ(unit.strips[2].cutWide, in(1.75));
    EXPECT_EQ(unit.strips[2].cutLong, in(11.5)) << "9½ in and two strips of 1 in";
    EXPECT_EQ(unit.finished, (Extent{in(11), in(11)}));
    EXPECT_EQ(unit.lacking, Extent{});
}

TEST(UnitOf, PutsAllThatIsMissingIntoAStripThatIsAlone) {
    UnitJob job;
    job.place = {in(9), in(9)}, job.cut = {in(9), in(9.25)};
    job.planned.fill(in(1));
    job.order = {Side::right};
    const auto unit = unitOf(job);
    EXPECT_EQ(unit.strips[0].more, in(0.5));
    EXPECT_EQ(unit.finished.wide, in(10));
    EXPECT_EQ(unit.lacking.high, in(0.25)) << "nothing makes that up";
}

/// Whatever is missing, whichever sides and seam: what is sewn comes to the place and its strips, exactly.
TEST(UnitOf, AlwaysComesToItsPlaceAndItsStrips) {
    Random random(71);
    for (int round = 0; round < 500; ++round) {
        UnitJob job;
        job.place = {in(6 + random.unit() * 12), in(6 + random.unit() * 12)};
        job.seam = Length::ofInches(4 + static_cast<std::int64_t>(random.below(9)), 32);
        job.cut = {job.place.wide + job.seam * 2 - in(random.between(-0.3, 0.7)),
                   job.place.high + job.seam * 2 - in(random.between(-0.3, 0.7))};
        std::vector<Side> sides{Side::top, Side::bottom, Side::left, Side::right};
        random.shuffle(sides);
        sides.resize(random.below(5));
        job.order = sides;
        for (auto& planned : job.planned)
            planned = in(random.between(1, 3));
        const auto unit = unitOf(job);
        Extent sum = job.place, raw = job.cut;
        const bool wide = std::count_if(sides.begin(), sides.end(), shape::isUpright) > 0;
        const bool high = std::count_if(sides.begin(), sides.end(), shape::isUpright) < std::ssize(sides);
        for (const auto& strip : unit.strips) {
            const auto planned = job.planned[static_cast<std::size_t>(strip.side)];
            (shape::isUpright(strip.side) ? sum.wide : sum.high) =
                (shape::isUpright(strip.side) ? sum.wide : sum.high) + planned;
            EXPECT_EQ(strip.cutLong, shape::isUpright(strip.side) ? raw.high : raw.wide);
            (shape::isUpright(strip.side) ? raw.wide : raw.high) =
                (shape::isUpright(strip.side) ? raw.wide : raw.high) + strip.cutWide - job.seam * 2;
        }
        if (wide) {
            EXPECT_EQ(unit.finished.wide, sum.wide);
        }
        if (high) {
            EXPECT_EQ(unit.finished.high, sum.high);
        }
        EXPECT_EQ(unit.finished.wide + unit.lacking.wide, sum.wide);
        EXPECT_EQ(unit.finished.high + unit.lacking.high, sum.high);
    }
}

/// Finished × √2 + 1¼ in, finished / √2 + ⅞ in, to the next 1/8 in: the tables that quilters' books print. From memory.
TEST(SettingTriangles, AreAsInTheTables) {
    const struct {
        double finished, side, corner;
    } table[]{{6, 9.75, 5.125}, {8, 12.625, 6.625}, {9, 14, 7.25}, {10, 15.5, 8}, {12, 18.25, 9.375}};
    for (const auto& row : table) {
        EXPECT_EQ(sideTriangleSquare(in(row.finished)), in(row.side)) << row.finished;
        EXPECT_EQ(cornerTriangleSquare(in(row.finished)), in(row.corner)) << row.finished;
    }
}

TEST(TrimmingOf, CutsOffWhatIsTooMuch) {
    const auto trimming = trimmingOf({in(9), in(9)}, {in(10), in(9.75)});
    EXPECT_EQ(trimming.trimTo, (Extent{in(9.5), in(9.5)}));
    EXPECT_EQ(trimming.over, (Extent{in(0.5), in(0.25)}));
    EXPECT_FALSE(trimming.isShort());
}

TEST(TrimmingOf, SaysWhatCanStillBeDoneForOneThatIsTooSmall) {
    const auto trimming = trimmingOf({in(9), in(9)}, {in(9.375), in(9.5)});
    EXPECT_TRUE(trimming.isShort());
    EXPECT_EQ(trimming.lacking, (Extent{in(0.125), in(0)}));
    ASSERT_TRUE(trimming.seam);
    EXPECT_EQ(*trimming.seam, in(0.1875)) << "9 3/8 in less two seams of 3/16 in is 9 in";
    ASSERT_TRUE(trimming.frame);
    EXPECT_EQ(trimming.frame->cutWide, in(1)) << "½ in is seen";
    EXPECT_EQ(trimming.frame->trimTo, (Extent{in(8.5), in(8.5)}));
    const auto smaller = trimmingOf({in(9), in(9)}, {in(8), in(9.5)});
    EXPECT_FALSE(smaller.seam) << "no seam is so narrow";
    ASSERT_TRUE(smaller.frame);
    EXPECT_EQ(smaller.frame->finished, in(0.75));
    EXPECT_LE(smaller.frame->trimTo.wide, in(8));
}

/// What is said can be done: a frame brings every block that is not absurdly small to its place.
TEST(TrimmingOf, ItsFrameBringsTheBlockToItsPlace) {
    Random random(72);
    for (int round = 0; round < 300; ++round) {
        const Extent place{in(random.between(6, 14)), in(random.between(6, 14))};
        const Extent has{place.wide + in(random.between(-1.5, 0.6)),
                         place.high + in(random.between(-1.5, 0.6))};
        const auto trimming = trimmingOf(place, has);
        if (!trimming.isShort()) continue;
        if (trimming.seam) {
            EXPECT_GE(has.wide - *trimming.seam * 2, place.wide);
            EXPECT_GE(has.high - *trimming.seam * 2, place.high);
        }
        ASSERT_TRUE(trimming.frame);
        const auto& frame = *trimming.frame;
        EXPECT_LE(frame.trimTo.wide, has.wide);
        EXPECT_LE(frame.trimTo.high, has.high);
        EXPECT_EQ(frame.trimTo.wide - usualSeam * 2 + frame.finished * 2, place.wide);
        EXPECT_EQ(frame.trimTo.high - usualSeam * 2 + frame.finished * 2, place.high);
    }
}

/// 13 in for a block cut 12½ in is usual: common practice, no source.
TEST(OversizeFor, IsHalfAnInchForATwelveInchBlockThatIsDrawnInAsUsual) {
    EXPECT_EQ(oversizeFor(in(12.5), 1 - 12.75 / 13), in(0.5));
    EXPECT_EQ(oversizeFor(in(12.5), 0), in(0.25)) << "room to trim there always is";
    EXPECT_EQ(oversizeFor(in(12.5), 0.04), in(1));
}

TEST(WallOf, SumsItsRowsAndBorders) {
    const std::vector<Extent> units(6, Extent{in(10), in(10)});
    const auto wall = wallOf(units, 3, {in(1), in(4)});
    EXPECT_EQ(wall.inner, (Extent{in(30), in(20)}));
    EXPECT_EQ(wall.top, (Extent{in(40), in(30)}));
    ASSERT_EQ(wall.borders.size(), 2u);
    EXPECT_EQ(wall.borders[0].sides, in(20.5));
    EXPECT_EQ(wall.borders[0].ends, in(32.5));
    EXPECT_EQ(wall.borders[1].sides, in(22.5));
    EXPECT_EQ(wall.borders[1].ends, in(40.5));
    EXPECT_EQ(wall.places[4].row, 1u);
    EXPECT_EQ(wall.places[4].left, in(10));
    EXPECT_TRUE(wall.lower.empty() && wall.narrower.empty());
}

TEST(WallOf, SaysWhichRowsDoNotFit) {
    std::vector<Extent> units(5, Extent{in(10), in(10)});
    units[1].high = in(9.5), units[3].wide = in(9);
    const auto wall = wallOf(units, 2, {});
    EXPECT_EQ(wall.lower, (std::vector<std::size_t>{1}));
    EXPECT_EQ(wall.narrower, (std::vector<std::size_t>{1})) << "the last row only has one block yet";
}

/// 60 × 80 in: 290 in of binding; seven strips of cloth 42 in wide, cut 2½ in. Arithmetic: 7 × 42 less 6 joins of 2½ in is 279,
/// 8 × 42 less 7 × 2½ is 318½.
TEST(FinishingOf, CountsBindingStrips) {
    const auto finishing = finishingOf({in(60), in(80)}, in(42), in(2.5));
    EXPECT_EQ(finishing.binding, in(290));
    EXPECT_EQ(finishing.bindingStrips, 8);
    EXPECT_EQ(finishing.backing, (Extent{in(68), in(88)}));
    EXPECT_EQ(finishingOf({in(60), in(80)}, in(2), in(2.5)).bindingStrips, 0)
        << "cloth narrower than a strip";
}

} // namespace
} // namespace up::fit
