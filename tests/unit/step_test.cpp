// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/step.hpp"

#include <gtest/gtest.h>

namespace up::quilt {
namespace {

// Common practice, no source: the order of the work on one piece.
TEST(NextStep, FollowsTheOrderOfTheWork) {
    Work work;
    std::vector<Step> done;
    while (const auto next = nextStep(work, true)) {
        work = advanced(work, *next, true).value();
        done.push_back(*next);
    }
    EXPECT_EQ(done, (std::vector{Step::traced, Step::roughCut, Step::bonded, Step::marked, Step::cleanCut,
                                 Step::laid, Step::fused, Step::tested, Step::stitched}));
}

TEST(NextStep, PassesOverMarksWhereThereAreNone) {
    EXPECT_EQ(nextStep({Step::bonded, false, 0}, false), Step::cleanCut);
    EXPECT_EQ(nextStep({Step::bonded, false, 0}, true), Step::marked);
    EXPECT_EQ(nextStep({Step::bonded, true, 0}, true), Step::cleanCut);
    EXPECT_FALSE(nextStep({Step::stitched, false, 0}, false));
}

TEST(Advanced, RefusesToSkipAndSaysWhatComesFirst) {
    for (const Step step : every<Step>()) {
        if (step <= Step::traced) continue;
        const auto refused = advanced({}, step, false);
        ASSERT_FALSE(refused);
        EXPECT_EQ(refused.error().code, Code::notYet);
        EXPECT_EQ(refused.error().args.at(2), keyOf(Step::traced));
    }
}

TEST(Advanced, RefusesTheSameStepTwice) {
    const Work cut{Step::cleanCut, false, 0};
    EXPECT_FALSE(advanced(cut, Step::cleanCut, false));
    EXPECT_FALSE(advanced(cut, Step::bonded, false));
}

TEST(Advanced, AllowsMarksUntilThePaperIsOff) {
    EXPECT_FALSE(advanced({Step::roughCut, false, 0}, Step::marked, true));
    EXPECT_TRUE(advanced({Step::bonded, false, 0}, Step::marked, true));
    const auto late = advanced({Step::cleanCut, false, 0}, Step::marked, true);
    ASSERT_TRUE(late);
    EXPECT_TRUE(late->marksDrawn);
    EXPECT_EQ(late->step, Step::cleanCut) << "drawing marks late must not undo the cut";
    EXPECT_FALSE(advanced({Step::laid, false, 0}, Step::marked, true)) << "the paper is off";
    EXPECT_FALSE(advanced({Step::bonded, false, 0}, Step::marked, false)) << "there is nothing to mark";
}

TEST(Advanced, AllowsCuttingWithoutMarksButTheyAreLostOnLaying) {
    const auto cut = advanced({Step::bonded, false, 0}, Step::cleanCut, true);
    ASSERT_TRUE(cut);
    EXPECT_FALSE(losesMarks({Step::bonded, false, 0}, Step::cleanCut, true));
    EXPECT_TRUE(losesMarks(*cut, Step::laid, true));
    EXPECT_FALSE(losesMarks({Step::cleanCut, true, 0}, Step::laid, true));
    EXPECT_FALSE(losesMarks(*cut, Step::laid, false));
}

TEST(StepFromKey, ReadsWhatKeyOfWrites) {
    for (const Step step : every<Step>())
        EXPECT_EQ(fromKey<Step>(keyOf(step)), step);
    EXPECT_FALSE(fromKey<Step>("ironed"));
}

TEST(LastStepOf, LiesOnItsOwnTread) {
    for (const Tread tread : every<Tread>())
        if (const auto last = lastStepOf(tread)) {
            EXPECT_EQ(treadOf(*last), tread);
        }
}

} // namespace
} // namespace up::quilt
