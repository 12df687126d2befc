// SPDX-License-Identifier: GPL-3.0-or-later
// Three hundred random blocks stitched: every edge that shows as often as it is to be, nothing torn, the lower first;
// GEOS says what shows.
#include "core/plan/stitch/stitch_plan.hpp"
#include "core/shape/stretches.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <gtest/gtest.h>
#include <map>

namespace up::plan {
namespace {

using shape::Point;

#if defined(__SANITIZE_ADDRESS__) || defined(__SANITIZE_THREAD__)
constexpr int blocks = 30; // they take ten times as long there
#else
constexpr int blocks = 300;
#endif
constexpr double join = 0.1; // mm

quilt::Quilt randomQuilt(Random& random) {
    auto quilt = test::quiltOf(test::scattered(random, 2 + random.below(12), 4, true));
    auto& block = quilt.blocks[0];
    const std::vector<std::pair<int, std::optional<int>>> passes{{1, {}}, {1, {}}, {2, {}},
                                                                 {3, 4},  {3, {}}, {2, 3}};
    std::tie(block.edge.passes, block.edge.mayBe) = passes[random.below(passes.size())];
    block.jump = quilt::Length::ofMm(random.below(2) == 0 ? 0 : 12.7);
    return quilt;
}

/// Follows the trails; asks at every step.
class Follower {
public:
    Follower(const quilt::Block& block, const StitchPlan& plan)
        : m_plan(plan), m_finished(quilt::finishedBox(block)), m_jump(block.jump.mm()),
          m_times(plan.runs.size(), 0) {}

    void follow() {
        for (const auto& trail : m_plan.trails) {
            std::optional<Point> here;
            double jumped = 0;
            for (const auto& step : trail.steps) {
                if (const auto* travel = std::get_if<stitch::Travel>(&step)) {
                    ASSERT_TRUE(here) << "a trail begins with stitching";
                    if (travel->throughSeam)
                        inSeam(*travel), jumped = 0;
                    else
                        jumped += shape::lengthOf(travel->points);
                    go(here, travel->points.front(), travel->points.back());
                    EXPECT_LE(jumped, m_jump + join);
                    continue;
                }
                const auto& stitched = std::get<stitch::Stitched>(step);
                const auto& run = m_plan.runs[stitched.run];
                EXPECT_EQ(static_cast<int>(run.thread.value), trail.thread);
                mayBe(stitched.run);
                ++m_times[stitched.run];
                jumped = 0;
                if (stitched.back)
                    go(here, run.line.back(), run.line.front());
                else
                    go(here, run.line.front(), run.line.back());
            }
        }
        for (std::size_t i = 0; i < m_times.size(); ++i)
            EXPECT_TRUE(isAllowed(i)) << m_times[i] << " times";
    }

private:
    [[nodiscard]] bool isAllowed(std::size_t run) const {
        const auto& allowed = m_plan.runs[run].allowed;
        return std::find(allowed.begin(), allowed.end(), m_times[run]) != allowed.end();
    }
    static void go(std::optional<Point>& here, Point from, Point to) {
        if (here) {
            EXPECT_LE(shape::distance(*here, from), join);
        }
        here = to;
    }
    void mayBe(std::size_t run) const {
        for (const auto& before : m_plan.before) {
            if (before.then == run) {
                EXPECT_TRUE(isAllowed(before.first)) << "the lower one is not finished";
            }
            if (before.first == run) {
                EXPECT_EQ(m_times[before.then], 0) << "the upper one was begun";
            }
        }
    }
    void inSeam(const stitch::Travel& travel) const {
        for (std::size_t i = 0; i < travel.points.size(); ++i) {
            const Point p = travel.points[i];
            EXPECT_FALSE(m_finished.grownBy(-0.11).holds(p)) << p.x << ", " << p.y;
        }
    }

    const StitchPlan& m_plan;
    shape::Box m_finished;
    double m_jump;
    std::vector<int> m_times;
};

/// What the runs of a piece are long, and what shows of its edge, as GEOS has it.
void expectAllThatShows(const quilt::Block& block, const BlockPlan& plan, const StitchPlan& stitching) {
    const auto finished = shape::rectangle(quilt::finishedBox(block));
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        shape::Region cover;
        for (std::size_t j = i + 1; j < block.pieces.size(); ++j)
            cover = shape::unite(cover, plan.regions[j]);
        double shows = 0;
        for (const auto& ring : plan.regions[i].rings) {
            auto line = ring;
            line.push_back(ring.front());
            shows += test::geosLengthInside(line, finished);
            if (!cover.isEmpty()) shows -= test::geosLengthInside(line, shape::intersect(cover, finished));
        }
        double runs = 0;
        for (const auto& run : stitching.runs)
            if (run.piece == block.pieces[i].id) runs += run.length().mm();
        EXPECT_NEAR(runs, shows, 0.5 + 0.005 * shows) << i;
    }
}

TEST(RandomBlocks, AreStitchedAsTheyShould) {
    Random random(71);
    std::size_t travels = 0, twoOnATrail = 0;
    for (int i = 0; i < blocks; ++i) {
        SCOPED_TRACE(i);
        const auto quilt = randomQuilt(random);
        const auto& block = quilt.blocks[0];
        const auto plan = planBlock(block);
        const auto stitching = planStitching(block, plan, {nullptr, {}, i % 4 != 0});
        Follower(block, stitching).follow();
        expectAllThatShows(block, plan, stitching);
        EXPECT_LE(stitching.leastTies, static_cast<int>(stitching.trails.size()));
        for (const auto& trail : stitching.trails) {
            travels += static_cast<std::size_t>(
                std::count_if(trail.steps.begin(), trail.steps.end(),
                              [](const auto& step) { return std::holds_alternative<stitch::Travel>(step); }));
            std::map<PieceId, int> pieces;
            for (const auto& step : trail.steps)
                if (const auto* stitched = std::get_if<stitch::Stitched>(&step))
                    ++pieces[stitching.runs[stitched->run].piece];
            twoOnATrail += pieces.size() > 1;
        }
    }
    EXPECT_GT(travels, static_cast<std::size_t>(blocks / 10)) << "the blocks must ask for something";
    EXPECT_GT(twoOnATrail, static_cast<std::size_t>(blocks / 10));
}

} // namespace
} // namespace up::plan
