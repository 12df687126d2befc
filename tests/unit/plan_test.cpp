// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/fitting.hpp"
#include "core/plan/stitch/stitch_plan.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/work/now_plan.hpp"
#include "core/plan/work/progress.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::Quilt;
using quilt::Step;
using quilt::Tread;
using test::must;
using test::square;

const quilt::Block& block(const Quilt& quilt) {
    return quilt.blocks.front();
}
PieceId piece(const Quilt& quilt, std::size_t i) {
    return block(quilt).pieces.at(i).id;
}

Quilt done(Quilt quilt, std::vector<std::size_t> pieces, Step upTo) {
    for (const Step step : every<quilt::Step>()) {
        if (step == Step::toTrace || step > upTo) continue;
        std::vector<PieceId> ids;
        for (const auto i : pieces)
            if (goesThrough(step, block(quilt).pieces[i].way())) ids.push_back(piece(quilt, i));
        quilt = must(edit::record(quilt, block(quilt).id, ids, step, 1));
    }
    return quilt;
}

Quilt laidOut(Quilt quilt) {
    Job job;
    auto layout = must(layOut(quilt, block(quilt), {0, 2, 1}, job));
    return must(edit::setLayout(quilt, block(quilt).id, std::move(layout), 1));
}

Now nowOf(const Quilt& quilt, Tread tread) {
    const auto plan = planBlock(block(quilt));
    const auto stitches = planStitching(block(quilt), plan);
    const auto trace = planTrace(quilt, block(quilt));
    const auto bonding = planBonding(quilt, block(quilt), trace);
    return nowOn(tread, block(quilt),
                 {plan, trace, [&]() -> const BondPlan& { return bonding; }, [&] { return &stitches; }});
}

TEST(NumberOf, IsThePlaceInTheStackBottomFirst) {
    const auto quilt = test::smallQuilt();
    EXPECT_EQ(numberOf(block(quilt), piece(quilt, 0)), 1);
    EXPECT_EQ(numberOf(block(quilt), piece(quilt, 2)), 3);
    EXPECT_EQ(numberOf(block(quilt), PieceId{999}), 0);
    const auto moved = must(edit::restack(quilt, block(quilt).id, piece(quilt, 0), 2));
    EXPECT_EQ(numberOf(block(moved), piece(quilt, 0)), 3) << "moving up renumbers";
}

TEST(MayDo, LaysFusesAndStitchesTheLowerFirst) {
    const auto quilt = done(test::smallQuilt(), {0, 1, 2}, Step::cleanCut);
    const auto plan = planBlock(block(quilt));
    EXPECT_TRUE(mayDo(block(quilt), plan, 0, Step::laid));
    const auto refused = mayDo(block(quilt), plan, 1, Step::laid);
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().args, (std::vector<std::string>{"top", "laid", "laid", "base"}));
    EXPECT_TRUE(mayDo(block(quilt), plan, 2, Step::laid)) << "nothing lies beneath it";
    const auto lower = done(quilt::Quilt(quilt), {}, Step::toTrace);
    const auto laid = must(edit::record(lower, block(lower).id, {piece(lower, 0)}, Step::laid, 1));
    EXPECT_TRUE(mayDo(block(laid), planBlock(block(laid)), 1, Step::laid));
}

TEST(MayDo, DoesNotMindWhatLiesBeneathWhileCutting) {
    const auto quilt = done(test::smallQuilt(), {1}, Step::bonded);
    EXPECT_TRUE(mayDo(block(quilt), planBlock(block(quilt)), 1, Step::cleanCut));
    EXPECT_EQ(mayDo(block(quilt), planBlock(block(quilt)), 9, Step::cleanCut).error().code,
              Code::noSuchPiece);
}

TEST(CountOf, CountsPiecesThatReachedATread) {
    const auto quilt = done(test::smallQuilt(), {0, 1}, Step::cleanCut);
    EXPECT_EQ(countOf(block(quilt), Tread::trace).left(), 1);
    EXPECT_EQ(countOf(block(quilt), Tread::cut).done, 2);
    EXPECT_EQ(countOf(block(quilt), Tread::stitch).done, 0);
    EXPECT_EQ(currentTread(block(quilt)), Tread::trace);
}

TEST(NowOn, BeginsWithADrawing) {
    const auto empty = must(edit::addBlock(quilt::emptyQuilt("Q"), "B", quilt::Length::ofInches(9, 1),
                                           quilt::Length::ofInches(9, 1)));
    for (const Tread tread : every<quilt::Tread>())
        EXPECT_EQ(nowOf(empty, tread).what, What::importDrawing);
}

TEST(NowOn, LaysOutBeforeTracing) {
    const auto quilt = test::smallQuilt();
    EXPECT_EQ(nowOf(quilt, Tread::trace).what, What::layOut);
    const auto now = nowOf(laidOut(quilt), Tread::trace);
    EXPECT_EQ(now.what, What::step);
    EXPECT_EQ(now.step, Step::traced);
}

TEST(NowOn, BondsAChunkOfOneFabricWithItsCaution) {
    auto quilt = done(laidOut(test::smallQuilt()), {0, 1, 2}, Step::roughCut);
    const auto now = nowOf(quilt, Tread::bond);
    EXPECT_EQ(now.step, Step::bonded);
    EXPECT_EQ(now.caution, Caution::iron);
    for (const auto id : now.pieces)
        EXPECT_EQ(find(block(quilt).pieces, id)->fabric, now.fabric);
}

TEST(NowOn, DrawsMarksBeforeThePaperComesOff) {
    auto quilt = done(laidOut(test::smallQuilt()), {0, 1, 2}, Step::bonded);
    quilt = must(edit::record(quilt, block(quilt).id, {piece(quilt, 0), piece(quilt, 1), piece(quilt, 2)},
                              Step::cleanCut, 2));
    quilt = must(edit::record(quilt, block(quilt).id, {piece(quilt, 0)}, Step::laid, 3));
    const auto now = nowOf(quilt, Tread::lay);
    EXPECT_EQ(now.step, Step::marked);
    EXPECT_EQ(now.pieces, std::vector{piece(quilt, 1)});
}

TEST(NowOn, FusesEverythingLaidInOnePressingBottomFirst) {
    auto quilt = done(laidOut(test::smallQuilt()), {0, 1, 2}, Step::laid);
    const auto now = nowOf(quilt, Tread::fuse);
    EXPECT_EQ(now.step, Step::fused);
    EXPECT_EQ(now.pieces, (std::vector{piece(quilt, 0), piece(quilt, 1), piece(quilt, 2)}));
}

TEST(NowOn, LeadsOnWhenATreadIsDone) {
    const auto quilt = done(laidOut(test::smallQuilt()), {0, 1, 2}, Step::bonded);
    const auto now = nowOf(quilt, Tread::bond);
    EXPECT_EQ(now.what, What::goOn);
    EXPECT_EQ(now.tread, Tread::cut);
}

TEST(NowOn, EndsWithTrimmingAndThenIsDone) {
    auto quilt = done(laidOut(test::smallQuilt()), {0, 1, 2}, Step::stitched);
    EXPECT_EQ(nowOf(quilt, Tread::finish).what, What::trim);
    EXPECT_EQ(nowOf(quilt, Tread::finish).caution, Caution::rotary);
    quilt = must(edit::setTrimmed(quilt, block(quilt).id, 9));
    EXPECT_EQ(nowOf(quilt, Tread::finish).what, What::allDone);
}

} // namespace
} // namespace up::plan
