// SPDX-License-Identifier: GPL-3.0-or-later
// What another thread would save, and what else can be stitched with one: against planning all of it anew.
#include "core/plan/stitch/hints.hpp"
#include "core/plan/stitch/stitch_kind.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::Quilt;

StitchPlan planOf(const Quilt& quilt) {
    return planStitching(quilt.blocks[0], planBlock(quilt.blocks[0]), {nullptr, {}, true});
}

/// The most changes that one piece in another thread of the block saves.
int mostSaved(const Quilt& quilt, int changes) {
    int out = 0;
    for (std::size_t i = 0; i < quilt.blocks[0].pieces.size(); ++i)
        for (const auto& thread : quilt.threads) {
            auto other = quilt;
            other.blocks[0].pieces[i].thread = thread.id;
            out = std::max(out, changes - planOf(other).threadChanges);
        }
    return out;
}

TEST(SavingsOf, AreWhatPlanningAnewSaves) {
    Random random(71);
    int several = 0;
    for (int round = 0; round < 12; ++round) {
        const auto quilt = test::quiltOf(test::scattered(random, 8, 4, false));
        const auto plan = planOf(quilt);
        const auto savings = savingsOf(plan, quilt.threads);
        const int most = mostSaved(quilt, plan.threadChanges);
        ASSERT_EQ(savings.empty(), most == 0) << round;
        if (savings.empty()) continue;
        EXPECT_EQ(savings.front().changes, most) << round;
        several += most > 1;
        for (const auto& saving : savings) {
            auto other = quilt;
            find(other.blocks[0].pieces, saving.piece)->thread = saving.thread;
            EXPECT_EQ(plan.threadChanges - planOf(other).threadChanges, saving.changes) << round;
            EXPECT_EQ(saving.minutes, saving.changes * changeMinutes);
        }
    }
    EXPECT_GT(several, 0) << "two changes fewer: not tried";
}

/// Two blocks with the same pieces; all is ready to be stitched.
Quilt twice() {
    auto quilt = test::quiltOf({{"low", test::square(20, 20, 40), {200, 0, 0}},
                                {"top", test::square(50, 30, 40), {0, 0, 200}},
                                {"far", test::square(120, 30, 30), {0, 0, 200}}});
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::tested;
    auto second = quilt.blocks[0];
    second.id = BlockId{quilt.nextId++};
    second.name = "second";
    quilt.blocks.push_back(std::move(second));
    return quilt;
}

TEST(ElsewhereWith, SaysWhatWaitsForNoOtherThread) {
    auto quilt = twice();
    const auto &first = quilt.blocks[0], &second = quilt.blocks[1];
    const auto red = elsewhereWith(quilt, first.pieces[0].thread, first.id);
    ASSERT_EQ(red.size(), 1U);
    EXPECT_EQ(red[0].block, second.id);
    EXPECT_EQ(red[0].pieces, std::vector{second.pieces[0].id});
    EXPECT_NEAR(red[0].length.mm(), 160 - 10 - 30, 0.05) << "what shows of the lower";
    // The upper waits where it covers the lower one's ends: that stretch is not blue's to stitch now.
    const auto blue = elsewhereWith(quilt, first.pieces[1].thread, first.id);
    ASSERT_EQ(blue.size(), 1U);
    EXPECT_LT(blue[0].length.mm(), 4 * 40 + 4 * 30 - 1);
    EXPECT_GE(blue[0].length.mm(), 4 * 30 - 0.05);
    quilt.blocks[1].pieces[2].work.step = quilt::Step::laid;
    const auto less = elsewhereWith(quilt, first.pieces[1].thread, first.id);
    EXPECT_TRUE(less.empty() || std::find(less[0].pieces.begin(), less[0].pieces.end(),
                                          second.pieces[2].id) == less[0].pieces.end())
        << "it is not fused";
}

TEST(PlanStitching, BeginsWithTheThreadThatIsOn) {
    const auto quilt = test::quiltOf(
        {{"a", test::square(10, 10, 20), {200, 0, 0}}, {"b", test::square(90, 10, 20), {0, 0, 200}}});
    for (const auto& piece : quilt.blocks[0].pieces) {
        const auto plan =
            planStitching(quilt.blocks[0], planBlock(quilt.blocks[0]), {nullptr, piece.thread, true});
        EXPECT_EQ(plan.trails.front().thread, static_cast<int>(piece.thread.value));
    }
}

} // namespace
} // namespace up::plan
