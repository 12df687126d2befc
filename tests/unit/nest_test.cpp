// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/nest.hpp"
#include "tests/support/layouts.hpp"

#include <gtest/gtest.h>

namespace up::layout {
namespace {

using test::expectValid;
using test::randomJob;
using test::where;

TEST(Nest, PlacesEverythingValidly) {
    for (const std::uint64_t seed : {1U, 2U, 3U}) {
        const auto job = randomJob(seed, 18);
        Job control;
        const auto layout = nest(job, {0, 3, seed}, control);
        EXPECT_EQ(layout.placed.size(), 18U);
        EXPECT_TRUE(layout.unplaced.empty());
        expectValid(job, layout);
    }
}

TEST(Nest, GivesTheSameAnswerForTheSameSeedAndRounds) {
    const auto job = randomJob(4, 12);
    Job control;
    const auto a = nest(job, {0, 4, 9}, control), b = nest(job, {0, 4, 9}, control);
    ASSERT_EQ(a.placed.size(), b.placed.size());
    for (std::size_t i = 0; i < a.placed.size(); ++i) {
        EXPECT_EQ(a.placed[i].x, b.placed[i].x);
        EXPECT_EQ(a.placed[i].rotation, b.placed[i].rotation);
    }
}

TEST(Nest, MoreRoundsAreNeverWorse) {
    const auto job = randomJob(5, 15);
    Job control;
    double last = 1e9;
    for (const int rounds : {1, 4, 10}) {
        const double used = nest(job, {0, rounds, 1}, control).usedHeight;
        EXPECT_LE(used, last + 1e-9);
        last = used;
    }
}

TEST(Nest, UsesTrueOutlinesNotBoxes) {
    // Two right triangles make a square; their boxes would need twice the height.
    NestJob job;
    job.sheets = {{"roll", 100, 1000, 1, {}}};
    job.parts = {{"t", shape::regionOf({{{0, 0}, {100, 0}, {0, 100}}}), 2, {0, 180}}};
    Job control;
    EXPECT_LT(nest(job, {0, 10, 1}, control).usedHeight, 115);
}

TEST(Nest, LaysAPieceInTheHoleOfAnother) {
    NestJob job;
    job.sheets = {{"roll", 100, 1000, 1, {}}};
    job.spacing = 5;
    job.parts = {
        {"frame", shape::subtract(test::squareRegion(0, 0, 100), test::squareRegion(10, 10, 80)), 1, {0}},
        {"inner", test::squareRegion(0, 0, 60), 1, {0}}};
    Job control;
    const auto layout = nest(job, {0, 4, 1}, control);
    expectValid(job, layout);
    EXPECT_LT(layout.usedHeight, 103);
}

TEST(Nest, TurnsOnlyAsAllowed) {
    auto job = randomJob(6, 8);
    for (auto& part : job.parts)
        part.rotations = {0, 90};
    Job control;
    for (const auto& placed : nest(job, {0, 3, 1}, control).placed)
        EXPECT_TRUE(placed.rotation == 0 || placed.rotation == 90);
}

TEST(Nest, NamesWhatIsLargerThanEverySheet) {
    NestJob job;
    job.sheets = {{"sheet", 100, 100, 3, {}}};
    job.parts = {{"huge", test::squareRegion(0, 0, 150), 1, {}},
                 {"small", test::squareRegion(0, 0, 30), 1, {}}};
    Job control;
    const auto layout = nest(job, {0, 2, 1}, control);
    ASSERT_EQ(layout.unplaced.size(), 1U);
    EXPECT_EQ(layout.unplaced.front().why, WhyNot::largerThanEverySheet);
    EXPECT_EQ(job.parts[layout.unplaced.front().part].id, "huge");
}

TEST(Nest, SaysWhenTheWebIsUsedUp) {
    NestJob job;
    job.sheets = {{"sheet", 100, 100, 2, {}}};
    job.parts = {{"half", test::squareRegion(0, 0, 90), 5, {0}}};
    Job control;
    const auto layout = nest(job, {0, 2, 1}, control);
    EXPECT_EQ(layout.placed.size(), 2U);
    ASSERT_EQ(layout.unplaced.size(), 3U);
    EXPECT_EQ(layout.unplaced.front().why, WhyNot::noRoomLeft);
}

TEST(Nest, KeepsInsideAnIrregularOffcut) {
    NestJob job;
    job.spacing = 2;
    job.sheets = {{"offcut", 200, 200, 1,
                   shape::regionOf({{{0, 0}, {200, 0}, {200, 60}, {60, 60}, {60, 200}, {0, 200}}})}};
    job.parts = {{"a", test::squareRegion(0, 0, 40), 4, {}}};
    Job control;
    const auto layout = nest(job, {0, 4, 1}, control);
    EXPECT_EQ(layout.placed.size(), 4U);
    expectValid(job, layout);
}

TEST(Nest, LaysNothingInAnOffcutsHole) {
    NestJob job;
    job.sheets = {{"offcut", 100, 100, 1,
                   shape::subtract(test::squareRegion(0, 0, 100), test::squareRegion(30, 30, 40))}};
    job.parts = {{"a", test::squareRegion(0, 0, 29), 9, {0}}};
    Job control;
    const auto layout = nest(job, {0, 4, 1}, control);
    EXPECT_EQ(layout.placed.size(), 8U); // the ninth of three by three is the hole
    expectValid(job, layout);
}

TEST(Nest, WhatIsFixedStaysAndTheRestFlowsRoundIt) {
    auto job = randomJob(11, 14);
    job.parts[0].fixed = Spot{0, 0, 37, 150, 260};
    job.parts[1].fixed = Spot{0, 0, 180, 150, 60};
    Job control;
    for (const int rounds : {1, 25}) {
        const auto layout = nest(job, {0, rounds, 3}, control);
        EXPECT_EQ(layout.placed.size(), 14U);
        expectValid(job, layout);
        for (const auto& placed : layout.placed)
            if (placed.part < 2) {
                EXPECT_EQ(placed.x, job.parts[placed.part].fixed->x);
                EXPECT_EQ(placed.y, job.parts[placed.part].fixed->y);
                EXPECT_EQ(placed.rotation, job.parts[placed.part].fixed->rotation);
            }
        EXPECT_GE(layout.usedHeight, where(job, layout.placed.front()).bounds().bottom - 0.02);
    }
}

TEST(Nest, NothingIsLeftToSqueezeAboveWhatIsFixed) {
    auto job = randomJob(12, 3);
    job.parts[0].fixed = Spot{0, 0, 0, 150, 1200};
    Job control;
    const auto layout = nest(job, {60, 0, 1}, control); // ends long before its minute
    expectValid(job, layout);
    EXPECT_NEAR(layout.usedHeight, where(job, layout.placed.front()).bounds().bottom, 0.02);
    EXPECT_EQ(control.progress(), 1);
}

TEST(Nest, FixedPartsMayTouchEachOther) {
    NestJob job;
    job.sheets = {{"roll", 100, 400, 1, {}}};
    job.spacing = 5;
    job.parts = {{"a", test::squareRegion(0, 0, 30), 1, {}, Spot{0, 0, 0, 0, 0}},
                 {"b", test::squareRegion(0, 0, 30), 1, {}, Spot{0, 0, 0, 20, 0}},
                 {"c", test::squareRegion(0, 0, 30), 1, {0}}};
    Job control;
    const auto layout = nest(job, {0, 20, 1}, control);
    ASSERT_EQ(layout.placed.size(), 3U);
    EXPECT_NEAR(layout.usedHeight, 30, 0.02);
    const auto c = where(job, layout.placed.back()).bounds();
    EXPECT_GE(c.left, 54.98);
}

TEST(Nest, PrefersTheSheetsThatComeFirst) {
    NestJob job;
    job.sheets = {{"small", 50, 50, 1, {}}, {"roll", 400, 1000, 1, {}}};
    job.parts = {{"a", test::squareRegion(0, 0, 45), 1, {0}}, {"b", test::squareRegion(0, 0, 100), 1, {0}}};
    Job control;
    const auto layout = nest(job, {0, 10, 1}, control);
    ASSERT_EQ(layout.placed.size(), 2U);
    for (const auto& placed : layout.placed)
        EXPECT_EQ(placed.sheet, placed.part);
    EXPECT_EQ(layout.sheetsUsed, 2);
    EXPECT_EQ(layout.lastSheet, 2);
}

TEST(Nest, AnswersValidlyWhenStoppedAtOnce) {
    const auto job = randomJob(7, 15);
    Job control;
    control.stop();
    const auto layout = nest(job, {60, 0, 1}, control);
    EXPECT_EQ(layout.placed.size() + layout.unplaced.size(), 15U);
    expectValid(job, layout);
}

} // namespace
} // namespace up::layout
