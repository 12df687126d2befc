// SPDX-License-Identifier: GPL-3.0-or-later
// Where the iron is set down, and what heat that gives. GEOS says whether all is covered.
#include "core/press/cover.hpp"
#include "core/press/covering.hpp"
#include "core/press/heat.hpp"
#include "core/press/ordering.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <bit>
#include <gtest/gtest.h>

namespace up::press {
namespace {

using measure::Angle;
using measure::Length;
using shape::Point;
using shape::Region;

const std::vector<Angle> asItStands{Angle::ofDegrees(0)};

Iron rectangularIron(double width, double height) {
    return {{{0, 0}, {width, 0}, {width, height}, {0, height}}, asItStands};
}

Region at(const shape::Ring& outline, const Press& press) {
    return shape::regionOf(shape::Rings{setDown(outline, press)});
}

/// mm² of the area that the presses leave open, cracks of twice `crack` mm aside.
double leftOpen(const CoverJob& job, const std::vector<Press>& presses, double crack = 0.03) {
    const auto cover = test::must(coverOf(job.iron, job.overlap));
    std::vector<Region> all;
    for (const auto& press : presses)
        all.push_back(at(cover, press));
    const auto rest = shape::offset(shape::subtract(job.area, shape::unite(all)), -crack);
    return test::geosArea(rest);
}

Region randomBlock(Random& random, int pieces) {
    std::vector<Region> out;
    for (int i = 0; i < pieces; ++i)
        out.push_back(shape::regionOf({test::randomStar(random)}));
    return shape::unite(out);
}

/// The least number of sets, by trying all choices.
std::size_t fewestByForce(const std::vector<unsigned>& sets, int things) {
    const unsigned all = (1U << things) - 1;
    std::size_t best = sets.size() + 1;
    for (unsigned choice = 0; choice < (1U << sets.size()); ++choice) {
        unsigned held = 0;
        for (std::size_t s = 0; s < sets.size(); ++s)
            if ((choice >> s) & 1U) held |= sets[s];
        if (held == all) best = std::min(best, static_cast<std::size_t>(std::popcount(choice)));
    }
    return best;
}

TEST(Covering, FindsTheFewestSetsOfSmallCases) {
    Random random(3);
    for (int round = 0; round < 60; ++round) {
        const int things = 6 + static_cast<int>(random.below(7));
        std::vector<unsigned> sets(12);
        for (auto& set : sets)
            set = static_cast<unsigned>(random.below(1U << things) & random.below(1U << things));
        sets.push_back(0); // and each thing by some set
        for (int t = 0; t < things; ++t)
            sets[random.below(12)] |= 1U << t;
        Covering covering(sets.size(), 1);
        for (int t = 0; t < things; ++t) {
            std::vector<press::Run> by;
            for (std::uint32_t s = 0; s < sets.size(); ++s)
                if ((sets[s] >> t) & 1U) by.push_back({s, s + 1});
            covering.take(by);
        }
        covering.fill();
        auto best = covering.chosen().size();
        while (best > 1) {
            covering.drop();
            if (!covering.settle(2000)) break;
            best = covering.chosen().size();
        }
        const auto fewest = fewestByForce(sets, things);
        EXPECT_EQ(best, fewest) << round;
        EXPECT_LE(covering.least(50), fewest) << round;
    }
}

TEST(CoverOf, LeavesHalfTheOverlapAllRound) {
    const auto cover = test::must(coverOf(rectangularIron(100, 60), Length::ofMm(6)));
    EXPECT_NEAR(shape::signedArea(cover), 94 * 54, 1e-3);
}

TEST(CoverOf, ASoleplateThatIsNoneIsRefused) {
    const Iron crossed{{{0, 0}, {50, 50}, {50, 0}, {0, 50}}, asItStands}, flat{{{0, 0}, {50, 0}}, asItStands},
        thin = rectangularIron(200, 5),
        dumbbell{{{0, 0},
                  {40, 0},
                  {40, 18},
                  {60, 18},
                  {60, 0},
                  {100, 0},
                  {100, 40},
                  {60, 40},
                  {60, 22},
                  {40, 22},
                  {40, 40},
                  {0, 40}},
                 asItStands};
    const Iron unheld{rectangularIron(100, 60).outline, {}};
    for (const auto& iron : {crossed, flat, thin, dumbbell, unheld}) {
        const auto cover = coverOf(iron, usualOverlap);
        ASSERT_FALSE(cover);
        EXPECT_EQ(cover.error().code, Code::badSoleplate);
    }
}

TEST(CoverWith, AFieldOfTwoByTwoIronsTakesFourPresses) {
    const CoverJob job{shape::rectangle({10, 20, 208, 138}), {}, rectangularIron(100, 60), Length(), {}};
    const auto cover = test::must(coverWith(job));
    EXPECT_EQ(cover.leastByArea, 4U); // 198 × 118 of 200 × 120
    EXPECT_EQ(cover.presses.size(), 4U);
    EXPECT_EQ(leftOpen(job, cover.presses), 0);
}

TEST(CoverWith, OnePressDoesForWhatLiesUnderTheIron) {
    const CoverJob job{test::squareRegion(50, 50, 60), {}, ironOf(Soleplate::household)};
    EXPECT_EQ(test::must(coverWith(job)).presses.size(), 1U);
}

TEST(CoverWith, EverythingIsCoveredByEveryIron) {
    Random random(7);
    for (const auto kind : every<Soleplate>())
        for (int i = 0; i < 2; ++i) {
            const CoverJob job{randomBlock(random, 6), {}, ironOf(kind)};
            const auto cover = test::must(coverWith(job));
            EXPECT_EQ(leftOpen(job, cover.presses), 0) << keyOf(kind) << " " << i;
            EXPECT_GE(cover.presses.size(), cover.leastByArea);
            EXPECT_TRUE(cover.unreached.empty());
        }
}

TEST(CoverWith, GivesTheSameAnswerEachTime) {
    Random random(8);
    const CoverJob job{randomBlock(random, 10), {}, ironOf(Soleplate::small)};
    EXPECT_EQ(test::must(coverWith(job)).presses, test::must(coverWith(job)).presses);
}

TEST(CoverWith, TheIronKeepsOffWhatMelts) {
    const auto dots = shape::unite(test::squareRegion(100, 60, 8), test::squareRegion(40, 120, 8));
    const CoverJob job{shape::subtract(test::squareRegion(0, 0, 180), dots), dots, ironOf(Soleplate::wand)};
    const auto cover = test::must(coverWith(job));
    for (const auto& press : cover.presses)
        EXPECT_EQ(test::geosArea(at(job.iron.outline, press), dots, test::Boolean::intersect), 0);
    EXPECT_TRUE(cover.unreached.empty()) << cover.unreached.front().x << " " << cover.unreached.front().y;
    auto wanted = job;
    wanted.area = shape::subtract(job.area, shape::offset(dots, job.overlap.mm()));
    EXPECT_EQ(leftOpen(wanted, cover.presses), 0);
}

/// Tips just where the borders of careless presses run.
TEST(CoverWith, NoPressEndsOnATipWhenAnotherPlaceWouldDo) {
    CoverJob job{test::squareRegion(0, 0, 140), {}, ironOf(Soleplate::household)};
    const auto careless = test::must(coverWith(job)).presses;
    for (const auto& press : careless) {
        auto border = setDown(job.iron.outline, press);
        border.push_back(border.front());
        for (double along = 0; along < shape::lengthOf(border); along += 40)
            if (const Point p = shape::pointAlong(border, along); job.area.contains(p)) job.tips.push_back(p);
    }
    const auto tipsUnder = [&](const std::vector<Press>& presses) {
        int out = 0;
        for (const auto& press : presses)
            for (const Point tip : job.tips)
                out += shape::distanceTo(setDown(job.iron.outline, press), tip) < nearTip;
        return out;
    };
    ASSERT_GT(tipsUnder(careless), 1);
    const auto careful = test::must(coverWith(job)).presses;
    EXPECT_EQ(careful.size(), careless.size());
    EXPECT_LT(tipsUnder(careful), tipsUnder(careless));
    EXPECT_EQ(leftOpen(job, careful), 0);
}

/// Two irons side by side, of which each covers 93.65 mm.
CoverJob twoWide(double left, double right) {
    CoverJob job{shape::rectangle({left, 0, right, 90}), {}, rectangularIron(100, 100)};
    return job;
}

TEST(Kept, PressesThatCoverStillStayWhereTheyAre) {
    const auto before = test::must(coverWith(twoWide(0, 180)));
    ASSERT_EQ(before.presses.size(), 2U);
    const auto same = test::must(stillCovering(twoWide(1, 179), before));
    ASSERT_TRUE(same);
    for (std::size_t i = 0; i < 2; ++i)
        EXPECT_EQ(same->presses[i].at, before.presses[i].at);
    EXPECT_EQ(test::must(stillCovering(twoWide(1, 60), before))->presses.size(), 1U) << "one is not needed";
    EXPECT_FALSE(test::must(stillCovering(twoWide(0, 240), before)));
}

TEST(Kept, OnePressGoesWhereItIsNeeded) {
    const auto before = test::must(coverWith(twoWide(0, 150)));
    ASSERT_EQ(before.presses.size(), 2U);
    int moved = 0;
    for (const double right : {165.0, 175.0, 183.0}) {
        const auto job = twoWide(0, right);
        if (test::must(stillCovering(job, before))) continue;
        ++moved;
        const auto found = test::must(withFewMoved(job, before));
        ASSERT_TRUE(found) << right;
        EXPECT_EQ(found->presses.size(), 2U);
        EXPECT_EQ(leftOpen(job, found->presses), 0) << right;
    }
    EXPECT_GT(moved, 0);
    EXPECT_FALSE(test::must(withFewMoved(twoWide(0, 240), before))) << "three are needed";
    auto beside = twoWide(0, 183);
    beside.spared = shape::rectangle({60, 20, 80, 40});
    EXPECT_FALSE(test::must(withFewMoved(beside, before))) << "what melts came under the iron";
}

TEST(CoverWith, StopsLookingWhenItHasEnough) {
    const auto job = twoWide(0, 180);
    CoverOptions options;
    options.enough = 9;
    const auto quick = test::must(coverWith(job, options));
    EXPECT_LE(quick.presses.size(), 9U);
    EXPECT_EQ(leftOpen(job, quick.presses), 0);
}

TEST(CoverWith, BeginsWithThePressesItIsGiven) {
    const auto job = twoWide(0, 160);
    const auto before = test::must(coverWith(job)).presses;
    ASSERT_EQ(before.size(), 2U);
    CoverOptions options;
    options.enough = 2;
    for (const double aside : {-5.0, 5.0}) { // both hold the strip with as much to spare
        options.start = before;
        for (auto& press : options.start)
            press.at.y += aside;
        const auto found = test::must(coverWith(job, options)).presses;
        EXPECT_EQ(leftOpen(job, found), 0);
        ASSERT_EQ(found.size(), 2U);
        for (std::size_t i = 0; i < 2; ++i)
            EXPECT_LT(shape::distance(found[i].at, options.start[i].at), 8) << "not where it was: " << aside;
    }
}

TEST(Kept, NeighboursOfWhatIsOpenGoWhereTheyAreNeeded) {
    CoverJob job{{}, {}, rectangularIron(30, 30)};
    const auto strip = [&](double more) {
        std::vector<shape::Region> out;
        for (int i = 0; i < 9; ++i) // squares of 20 in a row, of which four move a little each
            out.push_back(shape::rectangle({24.0 * i + (i < 5 ? more * i : 0), 0, 24.0 * i + 16, 16}));
        return shape::unite(out);
    };
    job.area = strip(0);
    const auto before = test::must(coverWith(job));
    int moved = 0;
    for (const double more : {-0.5, -1.0, -1.5}) {
        job.area = strip(more);
        const auto found = test::must(withFewMoved(job, before));
        if (!found) continue;
        ++moved;
        EXPECT_EQ(found->presses.size(), before.presses.size());
        EXPECT_EQ(leftOpen(job, found->presses), 0) << more;
    }
    EXPECT_GT(moved, 0);
}

// Common practice: work up from the bottom.
TEST(Ordered, FromTheBottomUpAndToAndFro) {
    std::vector<Press> presses;
    for (const double y : {0.0, 100.0, 200.0})
        for (const double x : {0.0, 100.0, 200.0})
            presses.push_back({{x, y}, {}});
    const auto order = ordered(presses, {{-5, -5}, {5, -5}, {5, 5}, {-5, 5}});
    ASSERT_EQ(order.size(), 9U);
    for (std::size_t i = 1; i < order.size(); ++i) {
        EXPECT_LE(order[i].at.y, order[i - 1].at.y) << i;
        EXPECT_EQ(shape::distance(order[i].at, order[i - 1].at), 100) << i;
    }
}

// By hand: a strip 100 × 10; one press over the left 60 for 10 s, another over the right 60 for 5 s.
TEST(HeatOf, AddsUpWhereIronsOverlap) {
    const auto strip = shape::rectangle({0, 0, 100, 10});
    const std::vector<Heating> heatings{{shape::rectangle({-5, -5, 60, 15}), 10},
                                        {shape::rectangle({40, -5, 105, 15}), 5}};
    EXPECT_EQ(heatOf(strip, heatings), (Heat{5, 15}));
    const auto parts = heatedParts(strip, heatings);
    ASSERT_EQ(parts.size(), 3U);
    EXPECT_NEAR(parts[0].where.area(), 400, 1e-6); // 60…100
    EXPECT_NEAR(parts[1].where.area(), 400, 1e-6); // 0…40
    EXPECT_NEAR(parts[2].where.area(), 200, 1e-6); // both
}

TEST(HeatOf, WhatNoPressReachesStaysCold) {
    const auto strip = shape::rectangle({0, 0, 100, 10});
    EXPECT_EQ(heatOf(strip, {}), (Heat{0, 0}));
    EXPECT_EQ(heatOf(strip, {{shape::rectangle({0, 0, 50, 10}), 8}}), (Heat{0, 8}));
    // Borders that meet within a hair leave no cold place between them.
    EXPECT_EQ(
        heatOf(strip, {{shape::rectangle({0, 0, 50, 10}), 8}, {shape::rectangle({50.05, 0, 100, 10}), 8}}),
        (Heat{8, 8}));
}

TEST(HeatOf, ThePartsMakeUpThePiece) {
    Random random(5);
    for (int i = 0; i < 20; ++i) {
        const auto piece = shape::regionOf({test::randomStar(random)});
        std::vector<Heating> heatings;
        for (int k = 0; k < 4; ++k)
            heatings.push_back({shape::regionOf({test::randomStar(random)}), 1.0 + k});
        double sum = 0;
        for (const auto& part : heatedParts(piece, heatings))
            sum += test::geosArea(part.where);
        EXPECT_NEAR(sum, test::geosArea(piece), 0.15 * shape::perimeter(piece.rings.front()));
    }
}

} // namespace
} // namespace up::press
