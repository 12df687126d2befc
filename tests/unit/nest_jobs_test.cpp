// SPDX-License-Identifier: GPL-3.0-or-later
// The layout engine on jobs of every kind: valid by GEOS, known optima, impossible and broken parts, stopped
// at any moment.
#include "tests/support/layouts.hpp"

#include <chrono>
#include <gtest/gtest.h>
#include <thread>

namespace up::layout {
namespace {

using test::expectValid;

/// A job whose kind of sheets, spacing, turns and holes follows from its number.
NestJob jobOf(std::uint64_t number) {
    Random random(900 + number);
    NestJob job;
    constexpr double spacings[] = {0, 3.175, 6.35};
    job.spacing = spacings[number % 3];
    if (number % 4 == 0) job.sheets = {{"roll", 320, 2000, 1, {}}};
    if (number % 4 == 1) job.sheets = {{"page", 215.9, 279.4, 20, {}}};
    if (number % 4 == 2) // an off-cut first, then pages
        job.sheets = {{"offcut", 250, 200, 1,
                       shape::regionOf({{{0, 0}, {250, 0}, {250, 90}, {120, 110}, {60, 200}, {0, 200}}})},
                      {"page", 215.9, 279.4, 20, {}}};
    if (number % 4 == 3) job.sheets = {{"narrow", 150, 3000, 1, {}}};
    const std::vector<std::vector<double>> turns{{}, {0, 90, 180, 270}, {0, 180}, {15}};
    for (int i = 0; i < 14; ++i) {
        auto shape = shape::regionOf({test::randomStar(random)});
        if (i % 5 == 4) { // with a window
            const auto middle = shape.bounds().centre();
            const auto window = test::squareRegion(middle.x - 4, middle.y - 4, 8);
            if (shape::subtract(window, shape).isEmpty()) shape = shape::subtract(shape, window);
        }
        job.parts.push_back({"p" + std::to_string(i), shape, 1 + i % 3, turns[random.below(turns.size())]});
    }
    return job;
}

class NestJobs : public testing::TestWithParam<std::uint64_t> {};

TEST_P(NestJobs, AreLaidOutValidly) {
    const auto job = jobOf(GetParam());
    Job control;
    const auto layout = nest(job, {0, 25, GetParam()}, control);
    expectValid(job, layout);
    EXPECT_TRUE(layout.unplaced.empty());
    EXPECT_EQ(control.progress(), 1);
}

INSTANTIATE_TEST_SUITE_P(Kinds, NestJobs, testing::Range<std::uint64_t>(0, 16));

TEST(NestSqueezed, UsesLessThanTheFirstLayout) {
    double first = 0, later = 0;
    for (const std::uint64_t seed : {11U, 12U, 13U}) {
        const auto job = test::randomJob(seed, 22);
        Job control;
        first += nest(job, {0, 1, seed}, control).usedHeight;
        const auto layout = nest(job, {0, 150, seed}, control);
        expectValid(job, layout);
        later += layout.usedHeight;
    }
    EXPECT_LT(later, first * 0.96);
}

TEST(NestSqueezed, TakesFewerSheetsWhereThatIsPossible) {
    // Four squares of 48 fill a page of 100 so that no dot has its 2 mm of room beside them: three pages.
    NestJob job;
    job.sheets = {{"page", 100, 100, 9, {}}};
    job.spacing = 2;
    job.parts = {{"s", test::squareRegion(0, 0, 48), 8, {0}}, {"dot", test::squareRegion(0, 0, 1), 2, {0}}};
    Job control;
    const auto layout = nest(job, {0, 200, 1}, control);
    expectValid(job, layout);
    EXPECT_EQ(layout.sheetsUsed, 3);
}

TEST(NestOptima, RectanglesFillTheRollToTheLastStrip) {
    // 12 of 50 × 25 on a roll of 100: six rows of two, 150 high. By arithmetic.
    NestJob job;
    job.sheets = {{"roll", 100, 1000, 1, {}}};
    job.parts = {{"r", shape::rectangle({0, 0, 50, 25}), 12, {0, 90}}};
    Job control;
    const auto layout = nest(job, {0, 5, 1}, control);
    expectValid(job, layout);
    EXPECT_NEAR(layout.usedHeight, 150, 0.1);
}

TEST(NestHard, AThousandCopies) {
    NestJob job;
    job.sheets = {{"roll", 431.8, 20'000, 1, {}}};
    job.spacing = 3.175;
    job.parts = {{"leaf", shape::regionOf({{{0, 0}, {20, -8}, {40, 0}, {20, 8}}}), 600, {}},
                 {"dot", test::squareRegion(0, 0, 9), 400, {}}};
    Job control;
    const auto layout = nest(job, {0.2, 0, 1}, control);
    EXPECT_EQ(layout.placed.size(), 1000U);
    expectValid(job, layout);
    EXPECT_GT(density(job, layout), 0.35);
}

TEST(NestHard, BrokenPartsHurtNobody) {
    NestJob job = test::randomJob(21, 5);
    job.parts.push_back({"nothing", {}, 2, {}});
    job.parts.push_back({"speck", shape::regionOf({{{0, 0}, {0.01, 0}, {0, 0.01}}}), 1, {}});
    job.parts.push_back({"needle", shape::regionOf({{{0, 0}, {200, 0.02}, {0, 0.04}}}), 1, {}});
    shape::Ring round;
    for (int i = 0; i < 5000; ++i)
        round.push_back({40 * std::cos(i * 0.0012566), 40 * std::sin(i * 0.0012566)});
    job.parts.push_back({"five thousand points", shape::regionOf({round}), 1, {}});
    Job control;
    const auto layout = nest(job, {0, 8, 1}, control);
    EXPECT_EQ(layout.placed.size() + layout.unplaced.size(), 10U);
    EXPECT_LE(layout.unplaced.size(), 2U) << "only what has no area";
}

TEST(NestHard, NoSheetsAndNoParts) {
    Job control;
    NestJob job;
    EXPECT_TRUE(nest(job, {0, 3, 1}, control).placed.empty());
    job = test::randomJob(22, 3);
    job.sheets.clear();
    EXPECT_EQ(nest(job, {0.05, 0, 1}, control).unplaced.size(), 3U);
}

TEST(NestStopped, AtAnyMomentItsLayoutIsValid) {
    const auto job = test::randomJob(23, 16);
    for (const int ms : {0, 5, 20, 60, 150, 400}) {
        Job control;
        std::thread stopper([&] {
            std::this_thread::sleep_for(std::chrono::milliseconds(ms));
            control.stop();
        });
        const auto start = std::chrono::steady_clock::now();
        const auto layout = nest(job, {60, 0, 1}, control);
        stopper.join();
        expectValid(job, layout);
        EXPECT_TRUE(layout.unplaced.empty());
        EXPECT_LT(std::chrono::steady_clock::now() - start, std::chrono::seconds(20))
            << "not after its minute";
    }
}

TEST(NestSame, ForTheSameSeedWhateverTheThreadsDo) {
    const auto job = jobOf(5);
    Job control;
    const auto once = nest(job, {0, 40, 7}, control);
    for (int i = 0; i < 3; ++i) {
        const auto again = nest(job, {0, 40, 7}, control);
        ASSERT_EQ(again.placed.size(), once.placed.size());
        EXPECT_EQ(again.usedHeight, once.usedHeight);
        for (std::size_t k = 0; k < once.placed.size(); ++k)
            EXPECT_TRUE(again.placed[k].x == once.placed[k].x && again.placed[k].y == once.placed[k].y &&
                        again.placed[k].rotation == once.placed[k].rotation)
                << k;
    }
}

} // namespace
} // namespace up::layout
