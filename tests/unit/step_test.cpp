// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/step.hpp"

#include <gtest/gtest.h>

namespace up::quilt {
namespace {

constexpr Way marked{true, Join::fused, false}, plain{};

// Common practice, no source: the order of the work on one piece.
TEST(NextStep, FollowsTheOrderOfTheWork) {
    Work work;
    std::vector<Step> done;
    while (const auto next = nextStep(work, marked)) {
        work = advanced(work, *next, marked).value();
        done.push_back(*next);
    }
    EXPECT_EQ(done, (std::vector{Step::traced, Step::roughCut, Step::bonded, Step::marked, Step::cleanCut,
                                 Step::laid, Step::fused, Step::tested, Step::stitched}));
}

TEST(NextStep, PassesOverMarksWhereThereAreNone) {
    EXPECT_EQ(nextStep({Step::bonded, false, 0}, plain), Step::cleanCut);
    EXPECT_EQ(nextStep({Step::bonded, false, 0}, marked), Step::marked);
    EXPECT_EQ(nextStep({Step::bonded, true, 0}, marked), Step::cleanCut);
    EXPECT_FALSE(nextStep({Step::stitched, false, 0}, plain));
}

TEST(Advanced, RefusesToSkipAndSaysWhatComesFirst) {
    for (const Step step : every<Step>()) {
        if (step <= Step::traced) continue;
        const auto refused = advanced({}, step, plain);
        ASSERT_FALSE(refused);
        EXPECT_EQ(refused.error().code, Code::notYet);
        EXPECT_EQ(refused.error().args.at(2), keyOf(Step::traced));
    }
}

TEST(Advanced, RefusesTheSameStepTwice) {
    const Work cut{Step::cleanCut, false, 0};
    EXPECT_FALSE(advanced(cut, Step::cleanCut, plain));
    EXPECT_FALSE(advanced(cut, Step::bonded, plain));
}

TEST(Advanced, AllowsMarksUntilThePaperIsOff) {
    EXPECT_FALSE(advanced({Step::roughCut, false, 0}, Step::marked, marked));
    EXPECT_TRUE(advanced({Step::bonded, false, 0}, Step::marked, marked));
    const auto late = advanced({Step::cleanCut, false, 0}, Step::marked, marked);
    ASSERT_TRUE(late);
    EXPECT_TRUE(late->marksDrawn);
    EXPECT_EQ(late->step, Step::cleanCut) << "drawing marks late must not undo the cut";
    EXPECT_FALSE(advanced({Step::laid, false, 0}, Step::marked, marked)) << "the paper is off";
    EXPECT_FALSE(advanced({Step::bonded, false, 0}, Step::marked, plain)) << "there is nothing to mark";
}

TEST(Advanced, AllowsCuttingWithoutMarksButTheyAreLostOnLaying) {
    const auto cut = advanced({Step::bonded, false, 0}, Step::cleanCut, marked);
    ASSERT_TRUE(cut);
    EXPECT_FALSE(losesMarks({Step::bonded, false, 0}, Step::cleanCut, marked));
    EXPECT_TRUE(losesMarks(*cut, Step::laid, marked));
    EXPECT_FALSE(losesMarks({Step::cleanCut, true, 0}, Step::laid, marked));
    EXPECT_FALSE(losesMarks(*cut, Step::laid, plain));
}

TEST(StepFromKey, ReadsWhatKeyOfWrites) {
    for (const Step step : every<Step>())
        EXPECT_EQ(fromKey<Step>(keyOf(step)), step);
    EXPECT_FALSE(fromKey<Step>("ironed"));
}

std::vector<Step> stepsOf(const Way& way) {
    Work work;
    std::vector<Step> out;
    while (const auto next = nextStep(work, way)) {
        work = advanced(work, *next, way).value();
        out.push_back(*next);
    }
    return out;
}

// Common practice, no source: what each way of joining asks for.
TEST(NextStep, GoesTheWayThePieceIsJoined) {
    EXPECT_EQ(stepsOf({false, Join::held, false}),
              (std::vector{Step::traced, Step::cleanCut, Step::laid, Step::stitched}));
    EXPECT_EQ(stepsOf({true, Join::turned, false}), (std::vector{Step::traced, Step::marked, Step::cleanCut,
                                                                 Step::turned, Step::laid, Step::stitched}));
    EXPECT_EQ(stepsOf({false, Join::reverse, false}),
              (std::vector{Step::traced, Step::cleanCut, Step::laid, Step::stitched, Step::cutAway}));
    EXPECT_EQ(stepsOf({false, Join::fused, true}).back(), Step::cutAway);
}

TEST(IsPast, CountsWhatTheWayLeavesOut) {
    const Way held{false, Join::held, false};
    EXPECT_TRUE(isPast({Step::traced, false, 0}, held, Step::bonded)) << "it is never bonded";
    EXPECT_FALSE(isPast({Step::traced, false, 0}, held, Step::cleanCut));
    EXPECT_TRUE(isPast({Step::laid, false, 0}, held, Tread::fuse));
    EXPECT_FALSE(isPast({Step::laid, false, 0}, plain, Tread::fuse));
    EXPECT_FALSE(isPast({Step::bonded, false, 0}, marked, Tread::cut));
}

} // namespace
} // namespace up::quilt
