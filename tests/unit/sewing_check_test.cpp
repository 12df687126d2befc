// SPDX-License-Identifier: GPL-3.0-or-later
// Checks at the sewing machine, each with its remedy.
#include "core/edit/sewing.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "tests/support/shapes.hpp"
#include "words/finding_words.hpp"

#include <algorithm>
#include <gtest/gtest.h>

namespace up::plan {
namespace {

using check::Finding;
using check::Fix;
using check::Kind;
using measure::Length;
using quilt::Quilt;
using test::must;
using test::square;

std::vector<Finding> found(const Quilt& quilt, Kind kind) {
    std::vector<Finding> out;
    for (auto& finding : checkQuilt(quilt).open)
        if (finding.kind == kind) out.push_back(std::move(finding));
    return out;
}
StitchPlan planOf(const Quilt& quilt) {
    return planStitching(quilt.blocks[0], planBlock(quilt.blocks[0]));
}

/// Two squares whose corners overlap, of two colours, ready to be stitched.
Quilt corner() {
    auto quilt = test::quiltOf(
        {{"lower", square(20, 30, 40), {200, 0, 0}}, {"upper", square(50, 20, 40), {0, 0, 200}}});
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::tested;
    return quilt;
}
Quilt sewn(const Quilt& quilt, const StitchRun& run) {
    return must(edit::sew(quilt, quilt.blocks[0].id, {run.piece, run.line, 1}, 0));
}

TEST(CheckSewing, IsQuietAboutWhatIsStitchedInOrder) {
    auto quilt = corner();
    const auto quiet = [&] {
        for (const auto kind : {Kind::stitchedTooEarly, Kind::begunBefore, Kind::noStabiliser,
                                Kind::bobbinEnds, Kind::openStretch, Kind::needleWorn})
            EXPECT_TRUE(found(quilt, kind).empty()) << keyOf(kind);
    };
    quiet();
    const auto plan = planOf(quilt);
    for (const auto& run : plan.runs)
        if (run.piece == quilt.blocks[0].pieces[0].id) quilt = sewn(quilt, run);
    quiet();
}

/// Insets: common practice, no source.
TEST(CheckSewing, EdgesFrayAsTheirClothDoes) {
    auto quilt = corner();
    auto& block = quilt.blocks[0];
    quilt = must(edit::setEdge(quilt, block.id, quilt::usualStitch(quilt::StitchKind::frayed)));
    EXPECT_TRUE(found(quilt, Kind::fraysOtherwise).empty()) << "3/16 in is for quilting cotton";
    quilt.fabrics[0].weave = quilt::Weave::doubleGauze;
    quilt.fabrics[1].weave = quilt::Weave::felt;
    const auto otherwise = found(quilt, Kind::fraysOtherwise), whole = found(quilt, Kind::doesNotFray);
    ASSERT_EQ(otherwise.size(), 1u);
    ASSERT_EQ(whole.size(), 1u);
    auto mended = must(mend::mended(quilt, otherwise[0], Fix::asItFrays));
    const auto edgeOf = [&](std::size_t i) { return stitchOf(mended.blocks[0], mended.blocks[0].pieces[i]); };
    EXPECT_EQ(edgeOf(0).width, Length::ofInches(1, 4));
    EXPECT_EQ(edgeOf(0).kind, quilt::StitchKind::frayed);
    mended = must(mend::mended(mended, whole[0], Fix::asItFrays));
    EXPECT_EQ(edgeOf(1).kind, quilt::StitchKind::straight);
    EXPECT_EQ(edgeOf(1).width, Length::ofInches(1, 16));
    EXPECT_TRUE(found(mended, Kind::fraysOtherwise).empty());
    EXPECT_TRUE(found(mended, Kind::doesNotFray).empty());
}

TEST(CheckSewing, SaysThatAnUpperEdgeWasStitchedBeforeTheLowerEndsBeneathIt) {
    const auto quilt = corner();
    const auto plan = planOf(quilt);
    const auto upper = std::find_if(plan.runs.begin(), plan.runs.end(), [&](const StitchRun& run) {
        return run.piece == quilt.blocks[0].pieces[1].id &&
               std::any_of(plan.before.begin(), plan.before.end(),
                           [&](const auto& b) { return &plan.runs[b.then] == &run; });
    });
    ASSERT_NE(upper, plan.runs.end());
    const auto early = found(sewn(quilt, *upper), Kind::stitchedTooEarly);
    ASSERT_EQ(early.size(), 1U);
    EXPECT_EQ(early[0].piece, quilt.blocks[0].pieces[0].id);
    EXPECT_EQ(early[0].other, upper->piece);
}

/// "People forget a lower colour, stitch part of an upper one, and have to go back": common practice, no source.
TEST(CheckSewing, TellsOfWhatWasBegunInAnotherThread) {
    auto quilt = corner();
    const auto plan = planOf(quilt);
    const auto of = [&](std::size_t i) {
        return std::find_if(plan.runs.begin(), plan.runs.end(),
                            [&](const StitchRun& run) { return run.piece == quilt.blocks[0].pieces[i].id; });
    };
    ASSERT_GT(std::count_if(plan.runs.begin(), plan.runs.end(),
                            [&](const StitchRun& run) { return run.piece == of(1)->piece; }),
              1)
        << "the upper is parted where the lower ends";
    quilt = sewn(quilt, *of(1));
    EXPECT_TRUE(found(quilt, Kind::begunBefore).empty()) << "its thread is still on";
    quilt = sewn(quilt, *of(0));
    const auto begun = found(quilt, Kind::begunBefore);
    ASSERT_EQ(begun.size(), 1U);
    EXPECT_EQ(begun[0].piece, of(1)->piece);
}

TEST(CheckSewing, WantsStabiliserBeneathWhatSwings) {
    auto quilt = corner();
    auto& block = quilt.blocks[0];
    block.beneath = quilt::Beneath::nothing;
    const auto bare = found(quilt, Kind::noStabiliser);
    ASSERT_EQ(bare.size(), 1U);
    ASSERT_EQ(bare[0].fixes.front(), Fix::layStabiliser);
    EXPECT_TRUE(found(must(mend::mended(quilt, bare[0], Fix::layStabiliser)), Kind::noStabiliser).empty());
    quilt.blocks[0].edge = quilt::usualStitch(quilt::StitchKind::straight);
    EXPECT_TRUE(found(quilt, Kind::noStabiliser).empty()) << "a straight stitch lies flat";
}

TEST(CheckSewing, APieceWithoutThreadGetsTheNearest) {
    auto quilt = corner();
    const auto own = quilt.blocks[0].pieces[1].thread;
    quilt.blocks[0].pieces[1].thread = {};
    const auto bare = found(quilt, Kind::noThread);
    ASSERT_EQ(bare.size(), 1U);
    ASSERT_EQ(bare[0].fixes.front(), Fix::matchThread);
    const auto after = must(mend::mended(quilt, bare[0], Fix::matchThread));
    EXPECT_EQ(after.blocks[0].pieces[1].thread, own) << "its colour is its cloth's";
    EXPECT_TRUE(found(after, Kind::noThread).empty());
    quilt.threads.clear();
    EXPECT_EQ(found(quilt, Kind::noThread).front().fixes.front(), Fix::leaveSo) << "there is none to take";
}

TEST(CheckSewing, SaysWhereTheBobbinRunsOutAndCountsWhatIsWound) {
    auto quilt = corner();
    const auto thread = quilt.blocks[0].pieces[1].thread;
    find(quilt.threads, thread)->bobbin = Length::ofMm(1000);
    find(quilt.threads, thread)->spool = Length::ofMm(90'000);
    const auto ends = found(quilt, Kind::bobbinEnds);
    ASSERT_EQ(ends.size(), 1U);
    EXPECT_EQ(ends[0].piece, quilt.blocks[0].pieces[1].id);
    const auto after = must(mend::mended(quilt, ends[0], Fix::windBobbin));
    EXPECT_TRUE(found(after, Kind::bobbinEnds).empty());
    const auto& now = *find(after.threads, thread);
    EXPECT_EQ(now.bobbin->mm() + now.spool->mm(), 91'000) << "from the spool";
    EXPECT_NE(words::sentence(quilt, ends[0]).find(" m."), std::string::npos);
}

TEST(BobbinsToWind, AreThoseBesideWhatIsWound) {
    quilt::Thread thread;
    const ThreadUse use{{}, {}, Length::ofMm(90'000)};
    EXPECT_EQ(bobbinsToWind(use, &thread), 3U);
    thread.bobbin = Length::ofMm(20'000);
    EXPECT_EQ(bobbinsToWind(use, &thread), 2U);
    thread.bobbin = Length::ofMm(90'000);
    EXPECT_EQ(bobbinsToWind(use, &thread), 0U);
}

TEST(CheckSewing, HoldsOpenStretchesAgainstTheBatting) {
    auto quilt = test::quiltOf({{"leaf", square(20, 20, 140), {0, 200, 0}, true}});
    EXPECT_TRUE(found(quilt, Kind::openStretch).empty()) << "no batting is beneath";
    quilt.blocks[0].beneath = quilt::Beneath::batting;
    const auto open = found(quilt, Kind::openStretch);
    ASSERT_EQ(open.size(), 1U);
    EXPECT_EQ(open[0].piece, quilt.blocks[0].pieces[0].id);
    ASSERT_EQ(open[0].fixes.front(), Fix::stitchMarks);
    EXPECT_TRUE(must(mend::mended(quilt, open[0], Fix::stitchMarks)).blocks[0].pieces[0].marksStitched);
    quilt.blocks[0].battingHolds = Length::ofInches(8, 1);
    EXPECT_TRUE(found(quilt, Kind::openStretch).empty());
}

TEST(CheckSewing, CountsTheNeedlesHours) {
    auto quilt = corner();
    quilt.machine.needleMinutes = needleLasts + 30;
    const auto worn = found(quilt, Kind::needleWorn);
    ASSERT_EQ(worn.size(), 1U);
    EXPECT_NE(words::sentence(quilt, worn[0]).find("8 hours"), std::string::npos);
    const auto after = must(mend::mended(quilt, worn[0], Fix::newNeedle));
    EXPECT_TRUE(found(after, Kind::needleWorn).empty());
    EXPECT_EQ(after.machine.needleMinutes, 0);
}

TEST(CheckSewing, APieceThinnerThanItsOwnStitchIsToldOf) {
    auto quilt = test::quiltOf({{"stem", {{20, 20}, {120, 20}, {120, 23}, {20, 23}}, {0, 200, 0}}});
    quilt.blocks[0].edge.width = Length::ofMm(1);
    EXPECT_TRUE(found(quilt, Kind::thin).empty());
    quilt.blocks[0].pieces[0].edge = quilt::usualStitch(quilt::StitchKind::satin);
    quilt.blocks[0].pieces[0].edge->width = Length::ofMm(5);
    EXPECT_EQ(found(quilt, Kind::thin).size(), 1U);
}

// --- what is recorded

TEST(Sew, TakesThreadOffAndPutsItOnTheMachine) {
    auto quilt = corner();
    const auto plan = planOf(quilt);
    const auto& run = plan.runs.front();
    auto& thread = *find(quilt.threads, run.thread);
    thread.spool = Length::ofMm(5000), thread.bobbin = Length::ofMm(700);
    const edit::Seam seam{run.piece, run.line, 1, false, Length::ofMm(1200), Length::ofMm(900), 2.5};
    const auto after = must(edit::sew(quilt, quilt.blocks[0].id, seam, 0));
    EXPECT_EQ(after.machine.thread, run.thread);
    EXPECT_EQ(after.machine.needleMinutes, 2.5);
    EXPECT_EQ(find(after.threads, run.thread)->spool, Length::ofMm(3800));
    EXPECT_EQ(find(after.threads, run.thread)->bobbin, Length()) << "never less than nothing";
}

TEST(Stretches, AreStitchedInAWayOfTheirOwn) {
    auto quilt = corner();
    const auto& block = quilt.blocks[0];
    const auto plan = planOf(quilt);
    const auto upper = block.pieces[1].id;
    const auto mine = [&](const StitchPlan& p) {
        std::vector<StitchRun> out;
        std::copy_if(p.runs.begin(), p.runs.end(), std::back_inserter(out),
                     [&](const StitchRun& run) { return run.piece == upper; });
        return out;
    };
    const auto before = mine(plan);
    ASSERT_EQ(before.size(), 2U);
    auto otherwise = quilt::usualStitch(quilt::StitchKind::sketched);
    const auto with = must(edit::setStretch(quilt, block.id, upper, before[0].line, otherwise));
    const auto after = mine(planOf(with));
    ASSERT_EQ(after.size(), 2U);
    EXPECT_EQ(after[0].edge.kind, quilt::StitchKind::sketched);
    EXPECT_EQ(after[0].passes, 3);
    EXPECT_EQ(after[1].edge, before[1].edge);
    // It goes with its piece.
    auto loose = with;
    loose.blocks[0].pieces[1].work = {};
    const auto moved = must(edit::movePiece(loose, block.id, upper, Length::ofMm(1), Length::ofMm(0)));
    EXPECT_EQ(mine(planOf(moved)).at(0).edge.kind, quilt::StitchKind::sketched);
    const auto again = must(edit::setStretch(with, block.id, upper, before[0].line, std::nullopt));
    EXPECT_TRUE(again.blocks[0].pieces[1].stretches.empty());
    otherwise.kind = quilt::StitchKind::allOver;
    const auto none = must(edit::setStretch(with, block.id, upper, before[0].line, otherwise));
    ASSERT_EQ(none.blocks[0].pieces[1].stretches.size(), 1U) << "in place of the one before";
    EXPECT_EQ(mine(planOf(none))[0].passes, 0) << "the quilting holds it";
}

} // namespace
} // namespace up::plan
