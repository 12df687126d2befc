// SPDX-License-Identifier: GPL-3.0-or-later
// Where the iron goes on a block, press by press: what is recorded, what is left, what heat each piece has had.
#include "core/edit/change.hpp"
#include "core/edit/ironing.hpp"
#include "core/edit/saying.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/fuse/press_plan.hpp"
#include "core/plan/work/now_plan.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::Step;
using test::must;
using test::square;

/// Three pieces that lie in their places: a wide one, one upon it, one far from both.
class Ironing : public ::testing::Test {
protected:
    Ironing()
        : quilt(test::quiltOf({{"wide", {{10, 100}, {210, 100}, {210, 220}, {10, 220}}, {200, 30, 30}},
                               {"upon", square(60, 120, 60), {30, 30, 200}},
                               {"apart", square(20, 10, 40), {30, 200, 30}}})) {
        quilt.webs[0].first.seconds = 5;
        quilt.webs[0].final.seconds = 10;
        at(Step::laid);
    }
    [[nodiscard]] const quilt::Block& of() const { return std::as_const(quilt.blocks).front(); }
    [[nodiscard]] PieceId piece(std::size_t i) const { return of().pieces[i].id; }
    void at(Step step) {
        for (std::size_t i = 0; i < 3; ++i)
            quilt.blocks[0].pieces[i].work.step = step;
    }
    [[nodiscard]] PressPlan plan(const PressPlan* before = nullptr,
                                 press::Soleplate iron = press::Soleplate::household) const {
        return must(planPressing(quilt, of(), planBlock(of()),
                                 {press::ironOf(iron), press::usualOverlap, true}, before));
    }
    /// The next press, or a part of its time.
    void press(double share = 1, press::Soleplate iron = press::Soleplate::household) {
        const auto now = plan(nullptr, iron);
        const auto next = now.next();
        ASSERT_TRUE(next);
        const auto& stage = now.stages[next->first];
        const auto& one = stage.presses[next->second];
        std::size_t left = 0;
        for (const auto& other : stage.presses)
            left += other.left > 0 ? 1 : 0;
        const bool last = share >= 1 && left == 1 && stage.fuses();
        quilt = must(edit::press(quilt, of().id,
                                 {1,
                                  {one.under},
                                  one.left * share,
                                  stage.fromBack,
                                  stage.unit,
                                  stage.kind == StageKind::again,
                                  one.heated},
                                 stage.kind == StageKind::again ? one.pieces
                                 : last                         ? stage.pieces
                                                                : std::vector<PieceId>{}));
    }
    [[nodiscard]] const PieceHeat& heatOf(const PressPlan& plan, std::size_t i) const {
        return *std::find_if(plan.heat.begin(), plan.heat.end(),
                             [&](const PieceHeat& heat) { return heat.piece == piece(i); });
    }

    quilt::Quilt quilt;
};

std::size_t left(const PressPlan& plan) {
    std::size_t out = 0;
    for (const auto& stage : plan.stages)
        for (const auto& press : stage.presses)
            out += press.left > 0 ? 1 : 0;
    return out;
}

TEST_F(Ironing, EachPressIsTakenOffThePlanAndTheRestStaysWhereItWas) {
    const auto before = plan();
    ASSERT_EQ(before.stages.size(), 2U) << "front and back";
    const auto all = left(before);
    ASSERT_GE(all, 4U);
    press();
    const auto after = plan();
    EXPECT_EQ(left(after), all - 1);
    for (std::size_t i = 0; i < before.stages[0].presses.size(); ++i)
        EXPECT_EQ(after.stages[0].presses[i].press, before.stages[0].presses[i].press);
    EXPECT_EQ(after.stages[0].presses[0].left, 0);
}

TEST_F(Ironing, AfterTheLastPressFromTheFrontAllAreFusedAndTheBackIsStillToCome) {
    const auto front = plan().stages[0].presses.size();
    for (std::size_t i = 0; i < front; ++i) {
        EXPECT_EQ(of().pieces[0].work.step, Step::laid);
        press();
    }
    for (const auto& one : of().pieces)
        EXPECT_EQ(one.work.step, Step::fused);
    const auto back = plan();
    ASSERT_EQ(back.stages.size(), 1U);
    EXPECT_TRUE(back.stages[0].fromBack);
    EXPECT_EQ(left(back), front) << "where the front was";
    for (std::size_t i = 0; i < front; ++i)
        press();
    EXPECT_FALSE(plan().next());
    quilt = must(edit::record(quilt, of().id, {piece(0), piece(1), piece(2)}, Step::tested, 2));
    EXPECT_TRUE(plan().stages.empty());
}

TEST_F(Ironing, ALeafletWithoutTheBackAsksForNone) {
    quilt.webs[0].fromBack = false;
    EXPECT_EQ(plan().stages.size(), 1U);
}

TEST_F(Ironing, APausedPressIsFinishedLater) {
    press(0.4);
    const auto now = plan();
    EXPECT_NEAR(now.stages[0].presses[0].left, 6, 1e-9);
    EXPECT_EQ(now.next(), std::pair(std::size_t{0}, std::size_t{0}));
    press();
    EXPECT_EQ(plan().stages[0].presses[0].left, 0);
}

TEST_F(Ironing, WithAnotherIronTheRestIsPlannedForWhatIsStillOpen) {
    press();
    const auto pressed = shape::offset(shape::regionOf(of().pressed[0].under), -press::usualOverlap.mm() / 2);
    const auto small = plan(nullptr, press::Soleplate::small);
    EXPECT_EQ(small.stages[0].presses[0].left, 0) << "what was done is shown as done";
    std::vector<shape::Region> covers{pressed};
    const auto own = must(press::coverOf(small.iron, small.overlap));
    for (const auto& one : small.stages[0].presses)
        if (one.left > 0) covers.push_back(shape::regionOf(shape::Rings{press::setDown(own, one.press)}));
    const auto regions = planBlock(of()).regions;
    EXPECT_LT(shape::subtract(shape::unite(regions), shape::unite(covers)).area(), 0.5) << "all is covered";
    auto anew = quilt;
    anew.blocks[0].pressed.clear();
    const auto fresh =
        must(planPressing(anew, std::as_const(anew.blocks).front(), planBlock(of()), {small.iron}));
    EXPECT_LT(left(small), left(fresh)) << "what was done is not done again";
}

TEST_F(Ironing, APieceThatComesLaterIsPressedThoughTheIronWasThere) {
    quilt.blocks[0].pieces[1].work.step = Step::cleanCut;
    for (std::size_t i = plan().stages[0].presses.size(); i > 0; --i)
        press();
    EXPECT_EQ(of().pieces[0].work.step, Step::fused);
    quilt.blocks[0].pieces[1].work.step = Step::laid;
    const auto now = plan();
    ASSERT_TRUE(now.next());
    EXPECT_EQ(now.stages[now.next()->first].pieces, std::vector{piece(1)});
}

TEST_F(Ironing, HeatIsTheSumOfAllThatStoodOnAPlace) {
    const auto before = plan();
    // By hand: 5 s of bonding, 10 s for each press over a place, from the front and from the back.
    std::vector<shape::Region> unders;
    for (const auto& stage : before.stages)
        for (const auto& one : stage.presses)
            unders.push_back(shape::regionOf(shape::Rings{one.under}));
    const auto regions = planBlock(of()).regions;
    for (std::size_t i = 0; i < 3; ++i) {
        double most = 0, least = 1e9;
        const auto well = shape::offset(regions[i], -0.3);
        for (double x = 0.5; x < 229; x += 1)
            for (double y = 0.5; y < 229; y += 1) {
                if (!well.contains({x, y})) continue;
                double seconds = 5;
                for (const auto& under : unders)
                    if (under.contains({x, y})) seconds += 10;
                most = std::max(most, seconds), least = std::min(least, seconds);
            }
        EXPECT_EQ(heatOf(before, i).least, least);
        EXPECT_EQ(heatOf(before, i).most, most);
        EXPECT_EQ(heatOf(before, i).hadMost, 5);
    }
    while (plan().next())
        press();
    const auto after = plan();
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_EQ(heatOf(after, i).most, heatOf(before, i).most) << "what was planned is what was done";
        EXPECT_EQ(heatOf(after, i).hadMost, heatOf(after, i).most);
    }
}

TEST_F(Ironing, ThePressThatWouldBeTooMuchSaysSoBeforehand) {
    quilt.webs[0].longest = 1000;
    for (const auto& stage : plan().stages)
        for (const auto& one : stage.presses)
            EXPECT_TRUE(one.tooMuch.empty());
    quilt.webs[0].longest = 20; // 5 + 10 is borne, 5 + 10 + 10 is not
    const auto now = plan();
    EXPECT_EQ(now.limit, 20);
    for (const auto& one : now.stages[0].presses)
        for (const auto id : one.tooMuch)
            EXPECT_GT(heatOf(now, static_cast<std::size_t>(quilt::numberOf(of(), id)) - 1).most, 25)
                << "from the front only where presses overlap";
    std::set<PieceId> warned;
    for (const auto& one : now.stages[1].presses)
        warned.insert(one.tooMuch.begin(), one.tooMuch.end());
    EXPECT_EQ(warned.size(), 3U) << "each is too much by its second side";
}

TEST_F(Ironing, LayerByLayerTheLowerOnesComeFirst) {
    quilt = must(edit::setFusing(quilt, of().id, quilt::Fusing::byLayers));
    const auto now = plan();
    ASSERT_EQ(now.stages.size(), 3U);
    EXPECT_EQ(now.stages[0].pieces, (std::vector{piece(0), piece(2)}));
    EXPECT_EQ(now.stages[0].layer, 0);
    EXPECT_EQ(now.stages[1].pieces, std::vector{piece(1)});
    for (const auto& one : now.stages[0].presses)
        EXPECT_EQ(std::count(one.heated.begin(), one.heated.end(), piece(1)), 0)
            << "it does not lie there yet";
    for (const auto& one : now.stages[1].presses)
        EXPECT_EQ(std::count(one.heated.begin(), one.heated.end(), piece(0)), 1) << "it lies beneath";
    for (std::size_t i = now.stages[0].presses.size(); i > 0; --i)
        press();
    EXPECT_EQ(of().pieces[0].work.step, Step::fused);
    EXPECT_EQ(of().pieces[1].work.step, Step::laid);
}

TEST_F(Ironing, AUnitIsPressedByItselfFirst) {
    quilt = must(edit::setUnit(quilt, of().id, {piece(0), piece(1)}, true));
    const auto now = plan();
    ASSERT_EQ(now.stages.size(), 3U);
    EXPECT_EQ(now.stages[0].kind, StageKind::unit);
    for (const auto& one : now.stages[0].presses)
        EXPECT_EQ(std::count(one.heated.begin(), one.heated.end(), piece(2)), 0);
    for (std::size_t i = now.stages[0].presses.size(); i > 0; --i)
        press();
    EXPECT_EQ(of().pieces[0].work.step, Step::laid) << "not on the block yet";
    EXPECT_EQ(plan().next()->first, 1U);
}

TEST_F(Ironing, WhatLiftsIsPressedAgainAndCounted) {
    at(Step::fused);
    EXPECT_TRUE(plan().stages.empty()) << "fused, as far as is known from both sides";
    EXPECT_EQ(plan().tests.size(), 0U) << "squares have no thin tips";
    quilt = must(edit::edgeLifted(quilt, of().id, piece(1), 3));
    const auto now = plan();
    ASSERT_EQ(now.stages.size(), 1U);
    EXPECT_EQ(now.stages[0].kind, StageKind::again);
    EXPECT_EQ(now.stages[0].presses.size(), 1U);
    const double before = heatOf(now, 1).before;
    EXPECT_EQ(before, 15) << "bonded and fused";
    press();
    EXPECT_FALSE(of().pieces[1].lifts);
    EXPECT_TRUE(plan().stages.empty() || !plan().next());
    EXPECT_GE(heatOf(plan(), 1).most, 15);
    // It lifts once more: what was pressed then does not count for this time.
    quilt = must(edit::edgeLifted(quilt, of().id, piece(1), 4));
    EXPECT_TRUE(plan().next());
}

TEST_F(Ironing, APieceThatIsMadeAnewHasHadNoHeat) {
    press();
    ASSERT_FALSE(of().pressed.empty());
    for (std::size_t i = 0; i < 3; ++i)
        quilt = must(edit::ruin(quilt, of().id, piece(i), "scorched", 5));
    EXPECT_TRUE(of().pressed.empty());
}

TEST_F(Ironing, AnIronWithHolesOrCrossingIsRefused) {
    EXPECT_EQ(
        edit::useIron(quilt, quilt::Iron{{}, "mine", {square(0, 0, 50), square(10, 10, 5)}, {}}).error().code,
        Code::badSoleplate);
    EXPECT_EQ(edit::useIron(quilt, quilt::Iron{{}, "", {square(0, 0, 50)}, {}}).error().code, Code::badName);
    quilt = must(edit::useIron(quilt, quilt::Iron{{}, "mine", {square(-30, -30, 60)}, {}}));
    EXPECT_EQ(ironOf(quilt).outline, square(-30, -30, 60));
    quilt = must(edit::removeIron(quilt, quilt.iron));
    EXPECT_EQ(ironOf(quilt), press::ironOf(press::Soleplate::household));
}

TEST_F(Ironing, ASmallMoveKeepsThePressesWhereTheyAre) {
    const auto before = plan();
    const auto by = measure::Length::ofMm(-0.2);
    quilt = must(edit::movePiece(quilt, of().id, piece(1), by, by)); // it lies within the wide one
    const auto after = plan(&before);
    ASSERT_EQ(after.stages[0].presses.size(), before.stages[0].presses.size());
    EXPECT_EQ(after.stages[0].presses[0].press, before.stages[0].presses[0].press);
}

TEST_F(Ironing, NowGoesFromPressToPressThenToTheEdges) {
    const auto now = [&](const PressPlan* planned) {
        return nowOn(quilt::Tread::fuse, of(), {planBlock(of()), {}, {}, {}, [planned] { return planned; }});
    };
    EXPECT_EQ(now(nullptr).what, What::findPresses);
    auto planned = plan();
    auto next = now(&planned);
    EXPECT_EQ(next.what, What::press);
    EXPECT_EQ(next.caution, Caution::iron);
    ASSERT_TRUE(next.press);
    EXPECT_EQ(next.press->number, 1U);
    EXPECT_EQ(next.press->of, planned.stages[0].presses.size());
    while (plan().next())
        press();
    planned = plan();
    next = now(&planned);
    EXPECT_EQ(next.what, What::step);
    EXPECT_EQ(next.step, Step::tested);
    EXPECT_EQ(next.pieces.size(), 3U);
}

} // namespace
} // namespace up::plan
