// SPDX-License-Identifier: GPL-3.0-or-later
// Chunks of web on cloth. GEOS says whether they lie on it, and apart.
#include "core/bond/bond.hpp"
#include "core/layout/bitmap.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numeric>
#include <set>

namespace up::bond {
namespace {

using shape::Region;

constexpr double inch = 25.4, margin = 3.175;
constexpr double hair = 0.05; // mm² and mm that rounding may cost

Region box(double width, double height) {
    return shape::rectangle({0, 0, width, height});
}

Bonding bonded(const Task& task) {
    Job job;
    return bond(task, {}, job);
}

Region where(const Task& task, const Lying& lying) {
    return shape::transformed(task.chunks[lying.chunk].outline, placing(lying));
}

std::set<std::size_t> used(const Bonding& found) {
    std::set<std::size_t> out;
    for (const auto& lying : found.lying)
        out.insert(lying.cloth);
    return out;
}

/// Grown by the margin each is within its cloth and clear of the others.
void expectValid(const Task& task, const Bonding& found) {
    std::vector<Region> there;
    for (const auto& lying : found.lying)
        there.push_back(where(task, lying));
    for (std::size_t i = 0; i < there.size(); ++i) {
        const auto grown = shape::offset(there[i], margin - hair, 0.001);
        const auto& cloth = task.cloths[found.lying[i].cloth].area;
        EXPECT_LT(test::geosArea(grown, cloth, test::Boolean::subtract), hair) << i;
        for (std::size_t j = 0; j < there.size(); ++j)
            if (i != j && found.lying[i].cloth == found.lying[j].cloth) {
                EXPECT_LT(test::geosArea(grown, there[j], test::Boolean::intersect), hair) << i << j;
            }
    }
    std::set<std::size_t> all(found.missing.begin(), found.missing.end());
    for (const auto& lying : found.lying)
        EXPECT_TRUE(all.insert(lying.chunk).second) << "each lies once";
    EXPECT_EQ(all.size(), task.chunks.size());
}

Task randomTask(Random& random) {
    Task task;
    const auto scaled = [&](const Region& region, double size) {
        const auto b = region.bounds();
        const double by = size / std::max(b.width(), b.height());
        return shape::transformed(region, shape::Transform::scale(by, by));
    };
    const auto chunks = 1 + random.below(6), cloths = random.below(6);
    for (std::size_t i = 0; i < chunks; ++i) {
        const auto star = shape::offset(shape::regionOf({test::randomStar(random)}), 8);
        Chunk chunk{scaled(Region{{star.rings.front()}}, random.between(20, 120)), std::nullopt, false};
        if (random.below(3) == 0) chunk.stripes = random.between(-180, 180);
        chunk.oneWay = random.below(2) == 0;
        task.chunks.push_back(std::move(chunk));
    }
    for (std::size_t i = 0; i < cloths; ++i) {
        Cloth cloth{random.below(2) == 0
                        ? box(random.between(40, 250), random.between(30, 200))
                        : scaled(shape::islands(shape::regionOf({test::randomStar(random)})).front(),
                                 random.between(60, 300)),
                    std::nullopt, random.below(2) == 0};
        if (random.below(2) == 0) cloth.stripes = random.between(-180, 180);
        task.cloths.push_back(std::move(cloth));
    }
    return task;
}

TEST(Bonding, OfTwoHundredRandomTasksIsValidByGeos) {
    Random random(7);
    std::size_t lying = 0, missing = 0;
    for (int i = 0; i < 200; ++i) {
        SCOPED_TRACE(i);
        const auto task = randomTask(random);
        Job job;
        const auto found = bond(task, {60, 1}, job);
        expectValid(task, found);
        lying += found.lying.size(), missing += found.missing.size();
        for (const auto& l : found.lying) {
            const auto& chunk = task.chunks[l.chunk];
            const auto& stripes = task.cloths[l.cloth].stripes;
            if (!chunk.stripes || !stripes) continue;
            const double off = std::remainder(*chunk.stripes + l.turn - *stripes, chunk.oneWay ? 360 : 180);
            EXPECT_NEAR(off, 0, 1e-6);
        }
    }
    EXPECT_GT(lying, 150U) << "the tasks must ask for something";
    EXPECT_GT(missing, 50U);
}

TEST(Bonding, AChunkGoesOntoClothOfJustItsSizeAndTwoMargins) {
    // 9 × 2 in on 9 1/4 × 2 1/4 in: 1/8 in all round.
    const Task task{{{box(2.25 * inch, 9.25 * inch), std::nullopt, true}},
                    {{box(9 * inch, 2 * inch), std::nullopt, false}},
                    margin};
    const auto found = bonded(task);
    ASSERT_EQ(found.lying.size(), 1U);
    expectValid(task, found);
}

TEST(Bonding, AChunkGoesIntoARotatedScrapOfJustItsShape) {
    const auto turn = shape::Transform::turn(measure::Angle::ofDegrees(27));
    const Region ell = shape::subtract(box(100, 80), shape::rectangle({40, 30, 100, 80}));
    const Task task{{{shape::transformed(shape::offset(ell, margin + 0.3), turn), std::nullopt, true}},
                    {{ell, std::nullopt, false}},
                    margin};
    const auto found = bonded(task);
    ASSERT_EQ(found.lying.size(), 1U) << "0.3 mm to spare";
    expectValid(task, found);
}

TEST(Bonding, CutsIntoTheFewestCloths) {
    // Four chunks of 40 × 40 go onto one cloth of 100 × 100, or onto four of 50 × 50.
    Task task;
    for (int i = 0; i < 4; ++i)
        task.cloths.push_back({box(50, 50), std::nullopt, true});
    task.cloths.push_back({box(100, 100), std::nullopt, false});
    for (int i = 0; i < 4; ++i)
        task.chunks.push_back({box(40, 40), std::nullopt, false});
    EXPECT_EQ(used(bonded(task)), (std::set<std::size_t>{4}));
}

TEST(Bonding, TakesScrapsBeforeGoodPieces) {
    const Task task{{{box(60, 60), std::nullopt, false}, {box(70, 70), std::nullopt, true}},
                    {{box(40, 40), std::nullopt, false}},
                    margin};
    EXPECT_EQ(used(bonded(task)), (std::set<std::size_t>{1})) << "the larger one is a scrap";
}

TEST(Bonding, LeavesTheLargestRectangle) {
    // On the 60 × 60 it leaves the 200 × 100 whole.
    const Task both{{{box(200, 100), std::nullopt, true}, {box(60, 60), std::nullopt, true}},
                    {{box(40, 40), std::nullopt, false}},
                    margin};
    EXPECT_EQ(used(bonded(both)), (std::set<std::size_t>{1}));
    // In the corner of a cloth, not in its middle.
    const Task one{{{box(200, 100), std::nullopt, true}}, {{box(40, 40), std::nullopt, false}}, margin};
    const auto found = bonded(one);
    const auto left = where(one, found.lying.front()).bounds();
    EXPECT_TRUE(left.left < 5 || left.right > 195);
    EXPECT_TRUE(left.top < 5 || left.bottom > 95);
}

TEST(Bonding, PinnedChunksStayAndTheRestKeepsAway) {
    Task task{{{box(120, 60), std::nullopt, true}},
              {{box(40, 40), std::nullopt, false}, {box(40, 40), std::nullopt, false}},
              margin};
    task.chunks[0].pinned = Lying{0, 0, 90, 100, 10}; // turned about its corner: lies at 60…100
    const auto found = bonded(task);
    ASSERT_EQ(found.lying.size(), 2U);
    EXPECT_EQ(found.lying[0].x, 100);
    EXPECT_EQ(found.lying[0].turn, 90);
    expectValid(task, found);
}

TEST(Bonding, MissesAsLittleAsItMay) {
    const Task task{{{box(60, 60), std::nullopt, true}},
                    {{box(30, 30), std::nullopt, false}, {box(50, 50), std::nullopt, false}},
                    margin};
    EXPECT_EQ(bonded(task).missing, (std::vector<std::size_t>{0})) << "the larger one lies";
}

TEST(Bonding, OneWayPrintsHaveAHead) {
    Task task{{{box(100, 50), 0, true}}, {{box(40, 30), 180, true}}, margin};
    auto found = bonded(task);
    ASSERT_EQ(found.lying.size(), 1U);
    EXPECT_NEAR(std::remainder(found.lying[0].turn - 180, 360), 0, 1e-9);
    task.chunks[0].stripes = 90; // 40 × 30 stood up goes on; stripes need no head
    task.chunks[0].oneWay = false;
    found = bonded(task);
    ASSERT_EQ(found.lying.size(), 1U);
    EXPECT_NEAR(std::remainder(found.lying[0].turn - 90, 180), 0, 1e-9);
}

TEST(Bonding, IsTheSameEachTimeAndEndsWhenStopped) {
    Random random(3);
    const auto task = randomTask(random);
    const auto once = bonded(task), again = bonded(task);
    ASSERT_EQ(once.lying.size(), again.lying.size());
    for (std::size_t i = 0; i < once.lying.size(); ++i)
        EXPECT_EQ(once.lying[i].x, again.lying[i].x);
    Job job;
    job.stop();
    expectValid(task, bond(task, {}, job));
}

TEST(Bonding, WhatIsCutAndWhatIsLeftSumToTheCloth) {
    Random random(5);
    for (int i = 0; i < 30; ++i) {
        const auto task = randomTask(random);
        Job job;
        const auto found = bond(task, {100, 1}, job);
        for (const auto cloth : used(found)) {
            std::vector<Region> cut;
            double area = 0;
            for (const auto& lying : found.lying)
                if (lying.cloth == cloth) cut.push_back(where(task, lying)), area += cut.back().area();
            for (const auto& part : leftOf(task.cloths[cloth].area, cut))
                area += test::geosArea(part);
            EXPECT_NEAR(area, test::geosArea(task.cloths[cloth].area), 0.1) << "mm²";
        }
    }
}

TEST(LargestFree, IsWhatTryingThemAllFinds) {
    Random random(11);
    for (int round = 0; round < 50; ++round) {
        constexpr int columns = 9, rows = 7;
        layout::Grid grid(columns, rows);
        for (int i = 0; i < 12; ++i) {
            const layout::Stamp dot{{{0, 0, 0}}, 1, 1, 1, 1};
            grid.fill(dot, static_cast<int>(random.below(columns)), static_cast<int>(random.below(rows)));
        }
        int best = 0;
        for (int left = 0; left < columns; ++left)
            for (int top = 0; top < rows; ++top)
                for (int right = left; right < columns; ++right)
                    for (int bottom = top; bottom < rows; ++bottom) {
                        bool free = true;
                        for (int x = left; x <= right; ++x)
                            for (int y = top; y <= bottom; ++y)
                                free = free && !grid.isTaken(x, y);
                        if (free) best = std::max(best, (right - left + 1) * (bottom - top + 1));
                    }
        const auto found = layout::largestFree(grid, columns, rows);
        EXPECT_EQ(found.count(), best);
        for (int x = found.column; x < found.column + found.columns; ++x)
            for (int y = found.row; y < found.row + found.rows; ++y)
                EXPECT_FALSE(grid.isTaken(x, y));
    }
}

} // namespace
} // namespace up::bond
