// SPDX-License-Identifier: GPL-3.0-or-later
// Groups that keep a distance of their own, on random jobs, as GEOS measures it.
#include "core/layout/clumps.hpp"
#include "core/layout/groups.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/layouts.hpp"

#include <cmath>
#include <gtest/gtest.h>

namespace up::layout {
namespace {

using test::expectValid;
using test::randomJob;
using test::where;

class Groups : public testing::TestWithParam<std::uint64_t> {};

TEST_P(Groups, KeepTheirDistanceAndPartsTheirs) {
    auto job = randomJob(GetParam(), 14);
    job.spacing = 3.175, job.groupSpacing = 12.7;
    for (std::size_t i = 0; i < job.parts.size(); ++i)
        if (i % 5 != 4) job.parts[i].group = std::string(1, static_cast<char>('a' + i % 3));
    job.parts[2].copies = 3;
    job.parts[6].fixed = Spot{0, 0, 15, 150, 300};
    Job control;
    const auto layout = nestInGroups(job, {0, 3, GetParam()}, control);
    EXPECT_TRUE(layout.unplaced.empty());
    expectValid(job, layout);
    for (std::size_t i = 0; i < layout.placed.size(); ++i)
        for (std::size_t k = 0; k < i; ++k) {
            const auto &a = layout.placed[i], &b = layout.placed[k];
            const auto &mine = job.parts[a.part].group, &theirs = job.parts[b.part].group;
            if (!mine.empty() && mine == theirs) continue;
            EXPECT_GE(test::geosDistance(where(job, a), where(job, b)), 12.7 - 0.02);
        }
}
INSTANTIATE_TEST_SUITE_P(Random, Groups, testing::Values(1, 2, 3, 4));

TEST(Groups, SmallOnesOfOneGroupLieTogether) {
    NestJob job;
    job.sheets = {{"roll", 400, 2000, 1, {}}};
    job.spacing = 3, job.groupSpacing = 20;
    for (int i = 0; i < 8; ++i) {
        job.parts.push_back({std::to_string(i), test::squareRegion(0, 0, 20), 1, {}});
        job.parts.back().group = i % 2 ? "odd" : "even";
    }
    Job control;
    const auto layout = nestInGroups(job, {0, 4, 1}, control);
    for (const auto& a : layout.placed) {
        double nearest = 1e9; // to another of its group
        for (const auto& b : layout.placed)
            if (a.part != b.part && a.part % 2 == b.part % 2)
                nearest = std::min(nearest, test::geosDistance(where(job, a), where(job, b)));
        EXPECT_LT(nearest, 20);
    }
}

TEST(ClosedUp, FillsGapsAndHolesAndNothingElse) {
    const auto a = test::squareRegion(0, 0, 50), b = test::squareRegion(60, 0, 50),
               far = test::squareRegion(200, 0, 50);
    const auto closed = closedUp({a, b, far}, 12);
    EXPECT_EQ(shape::islands(closed).size(), 2U);
    // The gap but for a segment at either end, of a circle 6 mm in radius on a chord of 10. By arithmetic.
    const double segment = 36 * std::asin(5.0 / 6) - 5 * std::sqrt(36.0 - 25);
    EXPECT_NEAR(closed.area(), 3 * 2500 + 10 * 50 - 2 * segment, 4); // arcs are a little flat
    const auto ring = shape::subtract(test::squareRegion(0, 0, 100), test::squareRegion(30, 30, 40));
    EXPECT_NEAR(closedUp({ring}, 1).area(), 100 * 100, 0.1);
}

TEST(ClumpOfRows, StandsUpAndDownInStripsOfTheShapesHeight) {
    const Part triangle{"t", shape::regionOf({{{0, 0}, {40, 0}, {20, 50}}}), 1, {0, 180}};
    const auto clump = clumpOfRows(triangle, {4, 7, 9, 11, 12}, 125);
    ASSERT_TRUE(clump);
    EXPECT_NEAR(clump->stripHeight, 50, 0.02);
    EXPECT_EQ(clump->strips, 1); // five of them: six half bases, 120 mm
    EXPECT_EQ(clump->members.size(), 5U);
    EXPECT_EQ(clump->members.back().part, 12U);
    EXPECT_FALSE(clumpOfRows(triangle, {0, 1}, 30));
}

} // namespace
} // namespace up::layout
