// SPDX-License-Identifier: GPL-3.0-or-later
// From lines to the way of the needle: where they are parted, what comes first, and the worked examples of the trade.
#include "core/shape/along.hpp"
#include "core/stitch/quiet.hpp"
#include "core/stitch/repeat.hpp"
#include "core/stitch/stitches.hpp"
#include "core/stitch/stitching.hpp"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <numbers>

namespace up::stitch {
namespace {

using shape::Point;
using shape::Polyline;
using shape::Region;

Polyline ringOf(double left, double top, double right, double bottom) {
    return {{left, top}, {right, top}, {right, bottom}, {left, bottom}, {left, top}};
}
Polyline discOf(Point middle, double radius) {
    Polyline out;
    for (int i = 0; i <= 48; ++i) {
        const double turn = 2 * std::numbers::pi * (i % 48) / 48;
        out.push_back({middle.x + radius * std::cos(turn), middle.y + radius * std::sin(turn)});
    }
    return out;
}

struct Block {
    std::vector<Line> lines;
    std::vector<Region> areas;
    std::vector<std::vector<std::size_t>> above;
    Field field{{0, 0, 100, 100}, 0};

    [[nodiscard]] Runs runs() const { return runsOf(lines, {areas, above}, field.jump); }
    [[nodiscard]] Stitching stitching(const Runs& runs) const {
        return stitchingOf(runs, lines, std::vector<bool>(runs.runs.size(), false), field);
    }
    [[nodiscard]] Stitching stitching() const { return stitching(runs()); }
};

/// Loose lines of one thread.
Block loose(std::vector<Polyline> lines, std::vector<int> passes, double jump = 0) {
    Block out;
    for (auto& line : lines)
        out.lines.push_back({std::move(line), noPiece, false, 1, passes});
    out.field.jump = jump;
    return out;
}

/// What shows of pieces that lie on each other in their order.
Block stacked(const std::vector<Polyline>& rings, const std::vector<int>& threads) {
    Block out;
    for (const auto& ring : rings)
        out.areas.push_back(shape::regionOf(shape::Rings{{ring.begin(), ring.end() - 1}}));
    for (std::size_t i = 0; i < rings.size(); ++i) {
        std::vector<std::size_t> above;
        Region cover;
        for (std::size_t j = i + 1; j < rings.size(); ++j)
            above.push_back(j), cover = shape::unite(cover, out.areas[j]);
        out.above.push_back(above);
        for (auto& part : cover.isEmpty() ? std::vector<Polyline>{rings[i]} : shape::outside(rings[i], cover))
            out.lines.push_back({std::move(part), i, true, threads[i], {1}});
    }
    return out;
}

/// The lower one is drawn from its corner that is hidden.
const std::vector<Polyline> underACorner{{{60, 30}, {60, 70}, {20, 70}, {20, 30}, {60, 30}},
                                         ringOf(50, 20, 90, 60)};

std::size_t stepsOf(const Trail& trail) {
    return static_cast<std::size_t>(
        std::count_if(trail.steps.begin(), trail.steps.end(),
                      [](const auto& step) { return std::holds_alternative<Stitched>(step); }));
}
const Travel* travelOf(const Trail& trail) {
    for (const auto& step : trail.steps)
        if (const auto* travel = std::get_if<Travel>(&step)) return travel;
    return nullptr;
}

/// A mouth like a T: out and back along each of its three lines, so that every part has as many passes. Common practice,
/// no source.
TEST(StitchingOf, AMouthLikeATIsOneTrailInFourPasses) {
    const std::vector<Polyline> mouth{{{50, 50}, {20, 50}}, {{50, 50}, {50, 20}}, {{50, 50}, {50, 80}}};
    const auto four = loose(mouth, {4}).stitching();
    ASSERT_EQ(four.trails.size(), 1U);
    EXPECT_EQ(stepsOf(four.trails[0]), 12U);
    EXPECT_EQ(loose(mouth, {3}).stitching().trails.size(), 2U) << "four ends, and one where three lines meet";
    const auto either = loose(mouth, {3, 4}).stitching();
    EXPECT_EQ(either.trails.size(), 1U);
    EXPECT_LT(stepsOf(either.trails[0]), 12U) << "three where three will do";
    EXPECT_TRUE(four.fewestTies && either.fewestTies);
}

TEST(StitchingOf, ThreeTimesRoundIsOneTrail) {
    const auto round = loose({discOf({50, 50}, 20)}, {3}).stitching();
    ASSERT_EQ(round.trails.size(), 1U);
    ASSERT_EQ(stepsOf(round.trails[0]), 3U);
    const auto first = std::get<Stitched>(round.trails[0].steps[0]);
    for (const auto& step : round.trails[0].steps)
        EXPECT_EQ(std::get<Stitched>(step).back, first.back) << "on and on";
}

TEST(StitchingOf, TwoPiecesAreJoinedThroughTheSeamAllowance) {
    const Polyline upper{{0, 20}, {30, 20}, {30, 40}, {0, 40}}, lower{{0, 60}, {30, 60}, {30, 80}, {0, 80}};
    const auto joined = loose({upper, lower}, {1}).stitching();
    ASSERT_EQ(joined.trails.size(), 1U);
    const auto* travel = travelOf(joined.trails[0]);
    ASSERT_TRUE(travel && travel->throughSeam);
    for (std::size_t i = 1; i + 1 < travel->points.size(); ++i)
        EXPECT_LT(travel->points[i].x, 0) << "beyond the finished edge";
    EXPECT_TRUE(joined.trails[0].hiddenStart && joined.trails[0].hiddenEnd);
    EXPECT_NEAR(shape::lengthOf(travel->points), 20 + 6, 0.01) << "the short way";
}

TEST(StitchingOf, FromAScallopToTheDotBesideItByAJump) {
    const std::vector<Polyline> two{ringOf(20, 40, 40, 60), ringOf(48, 40, 68, 60)};
    const auto hop = loose(two, {1}, 12.7).stitching();
    ASSERT_EQ(hop.trails.size(), 1U);
    EXPECT_NEAR(hop.jump, 8, 0.01);
    EXPECT_EQ(loose(two, {1}, 0).stitching().trails.size(), 2U);
    EXPECT_EQ(loose(two, {1}, 7.9).stitching().trails.size(), 2U);
}

/// Lowest first: its ends are covered by the next. Common practice, no source.
TEST(StitchingOf, TheLowerComesFirstAndItsKnotsAreCovered) {
    const auto block = stacked(underACorner, {1, 2});
    const auto runs = block.runs();
    ASSERT_EQ(runs.runs.size(), 3U) << "the upper one is parted where the lower one ends";
    EXPECT_EQ(runs.before.size(), 4U);
    const auto way = block.stitching(runs);
    ASSERT_EQ(way.trails.size(), 2U);
    EXPECT_EQ(way.trails[0].thread, 1);
    EXPECT_TRUE(way.trails[0].hiddenStart && way.trails[0].hiddenEnd);
    EXPECT_FALSE(way.trails[1].hiddenStart);
    EXPECT_EQ(way.threadChanges, 1);
    auto oneThread = block;
    for (auto& line : oneThread.lines)
        line.thread = 1;
    EXPECT_EQ(oneThread.stitching().trails.size(), 1U)
        << "on along the upper one from where the lower one ends";
}

TEST(StitchingOf, WhatIsDoneIsLeftOut) {
    const auto block = stacked(underACorner, {1, 2});
    const auto runs = block.runs();
    const auto way = stitchingOf(runs, block.lines, {true, false, false}, block.field);
    ASSERT_EQ(way.trails.size(), 1U);
    EXPECT_EQ(way.trails[0].thread, 2);
    EXPECT_TRUE(stitchingOf(runs, block.lines, {true, true, true}, block.field).trails.empty());
}

/// Three that lie over each other in a circle: no piece is the lowest, but every edge can be stitched after what ends
/// beneath it.
TEST(RunsOf, PartsRunsWhereNoneCanBeFirst) {
    Block block;
    const std::vector<Polyline> rings{ringOf(10, 40, 70, 55), ringOf(55, 10, 70, 70), ringOf(20, 20, 66, 90)};
    for (const auto& ring : rings)
        block.areas.push_back(shape::regionOf(shape::Rings{{ring.begin(), ring.end() - 1}}));
    block.above = {{1}, {2}, {0}};
    for (std::size_t i = 0; i < 3; ++i)
        for (auto& part : shape::outside(rings[i], block.areas[block.above[i][0]]))
            block.lines.push_back({std::move(part), i, true, static_cast<int>(i), {1}});
    const auto runs = block.runs();
    const auto way = block.stitching(runs);
    std::vector<int> times(runs.runs.size(), 0);
    for (const auto& trail : way.trails)
        for (const auto& step : trail.steps)
            if (const auto* stitched = std::get_if<Stitched>(&step)) ++times[stitched->run];
    EXPECT_TRUE(std::all_of(times.begin(), times.end(), [](int n) { return n == 1; }));
}

TEST(RunsOf, BeginsARingWhereItsKnotShowsLeast) {
    // Like an L: its only inner corner is at (30, 30).
    const Polyline ell{{10, 10}, {30, 10}, {30, 30}, {60, 30}, {60, 60}, {10, 60}, {10, 10}};
    EXPECT_NEAR(shape::distance(shape::Along(ell).point(quietStart(ell)), {30, 30}), 0, 1e-6);
    auto turned = ell;
    std::reverse(turned.begin(), turned.end());
    EXPECT_NEAR(shape::distance(shape::Along(turned).point(quietStart(turned)), {30, 30}), 0, 1e-6);
    const auto box = ringOf(10, 10, 90, 30);
    EXPECT_NEAR(shape::distance(shape::Along(box).point(quietStart(box)), {50, 10}), 0, 1e-6)
        << "away from its corners";
    const auto run = loose({ell}, {1}).runs().runs.at(0);
    EXPECT_TRUE(run.closed);
    EXPECT_EQ(run.points.front(), run.points.back());
    EXPECT_NEAR(shape::lengthOf(run.points), shape::lengthOf(ell), 1e-6);
}

TEST(RunsOf, LetsGoOfWhatComesFromFlattening) {
    EXPECT_TRUE(loose({{{10, 10}, {10.2, 10}}}, {1}).runs().runs.empty());
    EXPECT_TRUE(loose({}, {1}).stitching().trails.empty());
}

/// The needle runs towards whoever sits at the machine; the bulk of the block is to lie to her left: to the right of the
/// way as it is seen from above. Common practice, no source.
TEST(StitchingOf, TheBulkOfTheBlockLiesToTheLeftOfTheNeedle) {
    auto ring = ringOf(20, 20, 80, 80); // round the middle of the block
    for (int turned = 0; turned < 2; ++turned) {
        const auto block = loose({ring}, {1});
        const auto runs = block.runs();
        const auto way = block.stitching(runs);
        auto line = runs.runs[0].points;
        if (std::get<Stitched>(way.trails[0].steps[0]).back) std::reverse(line.begin(), line.end());
        for (std::size_t i = 1; i < line.size(); ++i)
            EXPECT_GT(shape::cross(line[i - 1], line[i], {50, 50}), 0) << turned;
        std::reverse(ring.begin(), ring.end());
    }
}

/// 301 at 14 stitches to the inch takes about 2.5 times the seam, 304 about 7 times: thread consumption ratios as they
/// are published for the stitch types of ISO 4915; from memory.
TEST(LockstitchUse, IsAboutWhatIsPublished) {
    const Repeat straight{{{0, 0}}, 25.4 / 14};
    const auto lock = lockstitchUse(straight, 0.45);
    EXPECT_NEAR(lock.needle + lock.bobbin, 2.5, 0.1);
    const Repeat zigzag{{{0, 0}, {25.4 / 14, 5}}, 2 * 25.4 / 14};
    const auto across = lockstitchUse(zigzag, 0.45);
    EXPECT_NEAR(across.needle + across.bobbin, 7, 1);
    EXPECT_DOUBLE_EQ(handUse(straight, 0).bobbin, 0);
    EXPECT_DOUBLE_EQ(handUse(straight, 0).needle, 1);
}

/// 100 mm of zigzag, 1 mm long and 3 mm wide: as many stitches, as long, as by hand.
TEST(StitchesAlong, AreAsManyAndAsLongAsByHand) {
    const Polyline run{{0, 50}, {100, 50}};
    const auto above = shape::regionOf(shape::Rings{{{0, 0}, {100, 0}, {100, 50}, {0, 50}}});
    const Repeat zigzag{{{0, -0.5}, {0.5, 2.5}}, 1};
    const auto stitches = stitchesAlong(run, zigzag, above);
    EXPECT_EQ(repeatsAlong(100, zigzag), 100);
    ASSERT_EQ(stitches.size(), 201U);
    EXPECT_NEAR(shape::lengthOf(stitches), 200 * std::hypot(0.5, 3), 0.01);
    EXPECT_NEAR(stitches[0].y, 50.5, 1e-6) << "beyond the edge";
    EXPECT_NEAR(stitches[1].y, 47.5, 1e-6) << "on the piece";
    auto back = run;
    std::reverse(back.begin(), back.end());
    EXPECT_NEAR(stitchesAlong(back, zigzag, above)[1].y, 47.5, 1e-6) << "the piece is where it is";
    EXPECT_EQ(stitchesAlong({{0, 0}, {0.2, 0}}, zigzag, {}).size(), 3U)
        << "a run shorter than a stitch has one";
}

/// "Pivot with the needle down outside the piece at an outer corner, inside it at an inner one": common practice, no source.
TEST(PivotsAlong, StandOutsideAtOuterCornersAndInsideAtInnerOnes) {
    const shape::Ring boot{{0, 0}, {40, 0}, {40, 30}, {80, 30}, {80, 60}, {0, 60}}; // one inner corner
    const shape::Region piece{{boot}};
    const Repeat satin{{{0, -0.3}, {0.2, 2.2}}, 0.4};
    auto run = boot;
    run.push_back(run.front());
    for (int turned = 0; turned < 2; ++turned) {
        const auto pivots = pivotsAlong(run, satin, piece);
        ASSERT_EQ(pivots.size(), 6U);
        for (const auto& pivot : pivots) {
            EXPECT_EQ(pivot.isOuter, !(pivot.corner == shape::Point{40, 30}));
            EXPECT_EQ(piece.contains(pivot.needle), !pivot.isOuter);
            EXPECT_NEAR(shape::distance(pivot.needle, pivot.corner), pivot.isOuter ? 0.3 : 2.2, 1e-9);
        }
        std::reverse(run.begin(), run.end());
    }
    const Repeat straight{{{0, 1.6}}, 2.5};
    for (const auto& pivot : pivotsAlong(run, straight, piece))
        EXPECT_TRUE(piece.contains(pivot.needle)) << "it runs inside the edge";
    EXPECT_TRUE(pivotsAlong({{0, 0}, {10, 0}, {20, 3}}, satin, {}).empty()) << "no corner";
}

TEST(StitchesAlong, TaperTowardsATip) {
    const auto wedge = shape::regionOf(shape::Rings{{{0, 0}, {60, 0}, {60, 6}}});
    const Repeat satin{{{0, -0.3}, {0.2, 2.0}}, 0.4};
    const auto stitches = stitchesAlong({{0, 0}, {60, 0}}, satin, wedge);
    for (std::size_t i = 1; i < stitches.size(); i += 2)
        EXPECT_LE(stitches[i].y, stitches[i].x / 10 + 0.02) << "it is only so wide there";
    EXPECT_NEAR(stitches[stitches.size() - 2].y, 2.0, 1e-6);
}

} // namespace
} // namespace up::stitch
