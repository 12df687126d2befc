// SPDX-License-Identifier: GPL-3.0-or-later
// The widest circle without a stitch, against a raster.
#include "core/plan/stitch/open_stretch.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

std::vector<OpenStretch> openOf(const quilt::Quilt& quilt) {
    const auto& block = quilt.blocks[0];
    const auto plan = planBlock(block);
    return openStretches(block, plan, planStitching(block, plan));
}

/// mm from the point to what is stitched, or to the finished edge.
double away(const StitchPlan& stitching, const shape::Box& box, shape::Point p) {
    double out = std::min({p.x - box.left, box.right - p.x, p.y - box.top, box.bottom - p.y});
    for (const auto& run : stitching.runs)
        for (std::size_t i = 1; i < run.line.size(); ++i) {
            const auto a = run.line[i - 1], way = run.line[i] - a;
            const double square = way.x * way.x + way.y * way.y;
            const double share =
                square <= 0 ? 0 : std::clamp(((p.x - a.x) * way.x + (p.y - a.y) * way.y) / square, 0.0, 1.0);
            out = std::min(out, shape::distance(a + way * share, p));
        }
    return out;
}

TEST(OpenStretches, AreAsWideAsARasterSays) {
    Random random(81);
    for (int round = 0; round < 6; ++round) {
        const auto quilt = test::quiltOf(test::scattered(random, 4, 1, false));
        const auto& block = quilt.blocks[0];
        const auto stitching = planStitching(block, planBlock(block));
        const auto box = quilt::finishedBox(block);
        constexpr double grid = 2; // mm
        double widest = 0;
        for (double x = box.left; x < box.right; x += grid)
            for (double y = box.top; y < box.bottom; y += grid)
                widest = std::max(widest, 2 * away(stitching, box, {x, y}));
        const auto found = openOf(quilt);
        ASSERT_FALSE(found.empty());
        EXPECT_GE(found[0].across.mm(), widest - 1.3) << round;
        EXPECT_LE(found[0].across.mm(), widest + 2 * grid) << round;
        EXPECT_NEAR(2 * away(stitching, box, found[0].at), found[0].across.mm(), 0.2)
            << "it is where it says";
    }
}

TEST(OpenStretches, MarksThatAreStitchedPartThem) {
    auto quilt = test::quiltOf({{"leaf", test::square(20, 20, 100), {0, 200, 0}, true}});
    const auto id = quilt.blocks[0].pieces[0].id;
    const auto of = [&] {
        for (const auto& open : openOf(quilt))
            if (open.piece == id) return open.across.mm();
        return 0.0;
    };
    EXPECT_NEAR(of(), 100, 1.3);
    quilt.blocks[0].pieces[0].marksStitched = true;
    EXPECT_LT(of(), 99);
    quilt.blocks[0].edge.kind = quilt::StitchKind::allOver;
    EXPECT_EQ(of(), 0) << "the quilting decides";
}

} // namespace
} // namespace up::plan
