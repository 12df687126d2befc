// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces joined otherwise than with web: their steps, what is drawn and cut, what waits for what.
#include "core/edit/joining.hpp"
#include "core/edit/sewing.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/tracing.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/cut/by_template.hpp"
#include "core/plan/stitch/cut_away.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/work/now_plan.hpp"
#include "core/plan/work/progress.hpp"
#include "core/quilt/holes.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <gtest/gtest.h>
#include <numbers>

namespace up {
namespace {

using check::Kind;
using quilt::Join;
using quilt::Quilt;
using quilt::Step;
using quilt::Tread;
using test::must;

constexpr double inch = 25.4;

const quilt::Block& blockOf(const Quilt& quilt) {
    return quilt.blocks[0];
}
PieceId id(const Quilt& quilt, std::size_t i) {
    return blockOf(quilt).pieces[i].id;
}
Quilt joined(const Quilt& quilt, std::size_t i, Join how, bool cutsBehind = false) {
    return must(edit::join(quilt, blockOf(quilt).id, {id(quilt, i)}, {how, cutsBehind}));
}
Quilt brought(Quilt quilt, std::size_t i, Step upTo) {
    while (const auto next = blockOf(quilt).pieces[i].next()) {
        if (*next > upTo) break;
        quilt = must(edit::record(quilt, blockOf(quilt).id, {id(quilt, i)}, *next, 1));
    }
    return quilt;
}
/// As the user would, following *Now* on the tread where the work is.
class Work {
public:
    explicit Work(Quilt quilt) : m_quilt(std::move(quilt)) {}
    [[nodiscard]] plan::Now now(std::optional<Tread> tread = {}) {
        const auto& block = blockOf(m_quilt);
        m_plan = plan::planBlock(block);
        m_trace = plan::planTrace(m_quilt, block);
        m_stitching = plan::planStitching(block, m_plan);
        const plan::Known known{m_plan, m_trace, [&]() -> const plan::BondPlan& { return m_bonding; },
                                [&] { return &m_stitching; }};
        return plan::nowOn(tread.value_or(plan::currentTread(block)), block, known);
    }
    /// False: nothing is left to do.
    bool go() {
        const auto now = this->now();
        const auto block = blockOf(m_quilt).id;
        switch (now.what) {
        case plan::What::step:
            for (const auto piece : now.pieces) {
                const auto index = static_cast<std::size_t>(quilt::numberOf(blockOf(m_quilt), piece)) - 1;
                EXPECT_TRUE(plan::mayDo(blockOf(m_quilt), m_plan, index, now.step)) << keyOf(now.step);
                m_quilt = must(edit::record(m_quilt, block, {piece}, now.step, ++m_time));
            }
            return true;
        case plan::What::stitch: {
            const auto& leg = now.stitch->leg;
            const auto& run = m_stitching.runs[leg.run];
            edit::Seam seam{run.piece, run.line, leg.times, plan::finishesPiece(m_stitching, leg)};
            m_quilt = must(edit::sew(m_quilt, block, seam, ++m_time));
            return true;
        }
        case plan::What::layOut: {
            Job job;
            m_quilt = must(edit::changeLayout(m_quilt, block,
                                              must(plan::layOut(m_quilt, blockOf(m_quilt), {0, 1, 1}, job))));
            return true;
        }
        case plan::What::quiltGround:
            m_quilt = must(edit::groundQuilted(m_quilt, block, ++m_time));
            return true;
        default: return false;
        }
    }
    [[nodiscard]] const Quilt& quilt() const { return m_quilt; }

private:
    Quilt m_quilt;
    plan::BlockPlan m_plan;
    plan::TracePlan m_trace;
    plan::BondPlan m_bonding;
    plan::StitchPlan m_stitching;
    std::int64_t m_time = 0;
};

std::vector<check::Finding> found(const Quilt& quilt, Kind kind) {
    auto all = plan::checkQuilt(quilt).open;
    std::erase_if(all, [&](const auto& finding) { return finding.kind != kind; });
    return all;
}

// --- what is drawn and cut

TEST(Template, OfATurnedSquareIsCutAQuarterInchBeyond) {
    auto quilt = joined(test::quiltOf({{"tile", test::square(50, 50, 40)}}), 0, Join::turned);
    const auto one = plan::templateOf(blockOf(quilt).pieces[0]);
    const double d = inch / 4;
    // Minkowski sum with a disc: s² + 4sd + πd².
    EXPECT_NEAR(one.cut.area(), 1600 + 4 * 40 * d + std::numbers::pi * d * d, 2);
    EXPECT_NEAR(one.line.area(), 1600, 1e-6);
    ASSERT_EQ(one.folds.size(), 2u);
    EXPECT_NEAR(one.folds[0].first.x, 70, 1e-6) << "through its middle";
    EXPECT_TRUE(one.folding.clips.empty()) << "nothing bends inwards";
    EXPECT_FALSE(one.folding.isRound);
}

TEST(Template, NeedNotBeReversedAndLeavesHeldPiecesAsTheyAre) {
    const auto quilt = joined(
        test::quiltOf({{"l", {{0, 0}, {40, 0}, {40, 15}, {15, 15}, {15, 40}, {0, 40}}}}), 0, Join::held);
    const auto one = plan::templateOf(blockOf(quilt).pieces[0]);
    EXPECT_NEAR(
        test::geosArea(one.line, shape::regionOf(*blockOf(quilt).pieces[0].outline), test::Boolean::subtract),
        0, 0.01);
    EXPECT_EQ(one.cut.area(), one.line.area());
}

TEST(Folding, ClipsOnceIntoAnInnerCorner) {
    const auto one = shape::foldingOf(
        shape::regionOf(shape::Rings{{{0, 0}, {40, 0}, {40, 15}, {15, 15}, {15, 40}, {0, 40}}}), inch / 4);
    ASSERT_EQ(one.clips.size(), 1u);
    const auto [from, to] = one.clips[0];
    const double root = std::sqrt(0.5);
    EXPECT_NEAR(from.x, 15 + inch / 16 * root, 0.01);
    EXPECT_NEAR(from.y, 15 + inch / 16 * root, 0.01);
    EXPECT_NEAR(shape::distance({15, 15}, to), inch / 4, 0.01);
}

TEST(Folding, ClipsABendEveryFifteenDegrees) {
    // A square with a half circle of 30 mm radius taken out of it: it turns 180° inwards, and 90° back at each end.
    const auto bitten = shape::subtract(test::squareRegion(0, 0, 100),
                                        shape::regionOf(shape::Outline{test::circle({50, 0}, 30), {}}, 0.01));
    const auto one = shape::foldingOf(bitten, inch / 4);
    EXPECT_GE(one.clips.size(), 10u);
    EXPECT_LE(one.clips.size(), 12u);
    for (const auto& [from, to] : one.clips) {
        EXPECT_FALSE(bitten.contains(from)) << "a clip into the line would show";
        EXPECT_NEAR(shape::distance(from, {50, 0}), 30 - inch / 16, 0.6) << "towards the middle of the bend";
    }
}

TEST(Folding, GathersACircleMidwayBetweenLineAndCut) {
    const auto one =
        shape::foldingOf(shape::regionOf(shape::Outline{test::circle({50, 50}, 20), {}}), inch / 4);
    ASSERT_TRUE(one.isRound);
    for (const auto p : one.gathering)
        EXPECT_NEAR(shape::distance(p, {50, 50}), 20 + inch / 8, 0.05);
    EXPECT_TRUE(one.clips.empty());
    EXPECT_FALSE(shape::foldingOf(test::squareRegion(0, 0, 40), inch / 4).isRound);
}

TEST(CutAway, StaysAQuarterInchInsideTheStitching) {
    auto quilt = test::quiltOf({{"low", test::square(60, 60, 60)}, {"pale", test::square(50, 50, 40)}});
    quilt = joined(quilt, 1, Join::fused, true);
    const auto plan = plan::planBlock(blockOf(quilt));
    const auto cut = plan::cutAwayOf(blockOf(quilt), plan, 1);
    ASSERT_TRUE(cut && cut->fromBack);
    EXPECT_NEAR(cut->where.area(), (40 - inch / 2) * (40 - inch / 2), 0.01);
    EXPECT_EQ(cut->through, std::vector{id(quilt, 0)});
    EXPECT_FALSE(plan::cutAwayOf(blockOf(quilt), plan, 0));
}

TEST(CutAway, KeepsClearOfStitchingAboveThatIsDone) {
    auto quilt = test::quiltOf({{"pale", test::square(50, 50, 80)}, {"star", test::square(75, 75, 30)}});
    quilt = joined(quilt, 0, Join::fused, true);
    const auto all = plan::cutAwayOf(blockOf(quilt), plan::planBlock(blockOf(quilt)), 0)->where;
    quilt = brought(brought(std::move(quilt), 0, Step::stitched), 1, Step::stitched);
    const auto left = plan::cutAwayOf(blockOf(quilt), plan::planBlock(blockOf(quilt)), 0)->where;
    const shape::Polyline edge{{75, 75}, {105, 75}, {105, 105}, {75, 105}, {75, 75}};
    EXPECT_LT(left.area(), all.area() - 30 * inch) << "both sides of its edge are kept";
    EXPECT_EQ(test::geosLengthInside(edge, shape::offset(left, inch / 4 - 0.1)), 0);
}

TEST(CutAway, OfAHoleIsCutFromTheFront) {
    auto quilt = joined(test::quiltOf({{"moon", test::square(50, 50, 40)}}), 0, Join::reverse);
    const auto cut = plan::cutAwayOf(blockOf(quilt), plan::planBlock(blockOf(quilt)), 0);
    ASSERT_TRUE(cut);
    EXPECT_FALSE(cut->fromBack);
    EXPECT_NEAR(cut->where.area(), (40 - inch / 8) * (40 - inch / 8), 0.01);
}

// --- edits

TEST(Join, AnotherWayMakesAnewWhatWasBegun) {
    auto quilt = test::smallQuilt();
    Job job;
    quilt = must(edit::changeLayout(quilt, blockOf(quilt).id,
                                    must(plan::layOut(quilt, blockOf(quilt), {0, 1, 1}, job))));
    quilt = brought(std::move(quilt), 2, Step::cleanCut);
    const auto placesBefore = blockOf(quilt).layout->traced.size();
    quilt = joined(quilt, 2, Join::turned);
    EXPECT_EQ(blockOf(quilt).pieces[2].work.step, Step::toTrace);
    EXPECT_EQ(blockOf(quilt).layout->traced.size(), placesBefore - 1);
    EXPECT_FALSE(plan::planTrace(quilt, blockOf(quilt)).stale) << "it is not missing on the web";
}

TEST(Join, RefusesAnotherWayOfWhatIsFused) {
    const auto quilt = brought(test::smallQuilt(), 2, Step::fused);
    const auto refused = edit::join(quilt, blockOf(quilt).id, {id(quilt, 2)}, {Join::turned, false});
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, Code::alreadyJoined);
    EXPECT_TRUE(edit::join(quilt, blockOf(quilt).id, {id(quilt, 2)}, {Join::fused, true}))
        << "what lies behind may still be cut away";
}

TEST(LayOut, LeavesPiecesWithoutWebOut) {
    auto quilt = joined(test::smallQuilt(), 1, Join::held);
    Job job;
    const auto layout = must(plan::layOut(quilt, blockOf(quilt), {0, 1, 1}, job));
    EXPECT_EQ(layout.traced.size(), 2u);
    for (const auto& traced : layout.traced)
        EXPECT_NE(traced.piece, id(quilt, 1));
    quilt = joined(joined(quilt, 0, Join::held), 2, Join::held);
    EXPECT_TRUE(must(plan::layOut(quilt, blockOf(quilt), {0, 1, 1}, job)).traced.empty());
}

TEST(PressPlan, KeepsTheIronToWhatIsFused) {
    auto quilt = joined(test::smallQuilt(), 2, Join::held);
    const auto pressed = must(plan::planPressing(quilt, blockOf(quilt), plan::planBlock(blockOf(quilt)), {}));
    for (const auto& stage : pressed.stages)
        EXPECT_EQ(std::count(stage.pieces.begin(), stage.pieces.end(), id(quilt, 2)), 0);
    const auto fromBack = [](const plan::PressPlan& plan) {
        return std::any_of(plan.stages.begin(), plan.stages.end(),
                           [](const auto& stage) { return stage.fromBack; });
    };
    EXPECT_TRUE(fromBack(pressed));
    quilt = must(edit::setQuiltedFirst(quilt, blockOf(quilt).id, true));
    EXPECT_FALSE(
        fromBack(must(plan::planPressing(quilt, blockOf(quilt), plan::planBlock(blockOf(quilt)), {}))))
        << "no heat comes through the batting";
}

// --- what waits

TEST(Hole, IsWaitedForByAllThatComesAfterIt) {
    auto quilt = test::quiltOf({{"bank", test::square(10, 150, 50)},
                                {"moon", test::square(50, 50, 40)},
                                {"star", test::square(120, 50, 20)},
                                {"branch", test::square(60, 60, 40)}});
    quilt = joined(joined(quilt, 1, Join::reverse), 2, Join::reverse);
    EXPECT_FALSE(quilt::holeBefore(blockOf(quilt), 0));
    EXPECT_FALSE(quilt::holeBefore(blockOf(quilt), 2)) << "both holes may be cut in one go";
    EXPECT_EQ(quilt::holeBefore(blockOf(quilt), 3), 1u);
    quilt = brought(brought(std::move(quilt), 1, Step::cutAway), 2, Step::stitched);
    EXPECT_EQ(quilt::holeBefore(blockOf(quilt), 3), 2u);
    quilt = brought(std::move(quilt), 2, Step::cutAway);
    EXPECT_FALSE(quilt::holeBefore(blockOf(quilt), 3));
}

TEST(Now, LeadsPastTheHoleAndBackToLaying) {
    auto quilt = test::quiltOf({{"moon", test::square(50, 50, 40)}, {"branch", test::square(60, 60, 40)}});
    quilt = joined(quilt, 0, Join::reverse);
    quilt = brought(brought(std::move(quilt), 0, Step::laid), 1, Step::cleanCut);
    EXPECT_EQ(plan::currentTread(blockOf(quilt)), Tread::stitch) << "the branch waits for the hole";
    quilt = brought(std::move(quilt), 0, Step::stitched);
    Work work(quilt);
    const auto cut = work.now();
    EXPECT_EQ(cut.step, Step::cutAway);
    ASSERT_TRUE(cut.cutAway);
    EXPECT_TRUE(work.go());
    EXPECT_EQ(work.now().step, Step::laid);
    EXPECT_EQ(work.now().pieces, std::vector{id(quilt, 1)});
}

TEST(Now, QuiltsTheBackgroundBeforeAnythingIsLaid) {
    auto quilt = test::smallQuilt();
    quilt = must(edit::setQuiltedFirst(quilt, blockOf(quilt).id, true));
    EXPECT_EQ(blockOf(quilt).beneath, quilt::Beneath::batting);
    for (std::size_t i = 0; i < 3; ++i)
        quilt = brought(std::move(quilt), i, Step::cleanCut);
    Work work(quilt);
    EXPECT_EQ(work.now().what, plan::What::quiltGround);
    EXPECT_TRUE(work.go());
    EXPECT_EQ(work.quilt().log->back().what, quilt::Event::quilted);
    EXPECT_EQ(work.now().what, plan::What::step);
}

TEST(Stair, CountsOnlyWhatTheBlockNeeds) {
    auto quilt = test::smallQuilt();
    for (std::size_t i = 0; i < 3; ++i)
        quilt = joined(quilt, i, Join::turned);
    const auto of = [&](Tread tread) { return plan::countOf(blockOf(quilt), tread).of; };
    EXPECT_EQ(of(Tread::bond), 0);
    EXPECT_EQ(of(Tread::fuse), 0);
    EXPECT_EQ(of(Tread::cut), 3);
    quilt = joined(quilt, 1, Join::fused);
    EXPECT_EQ(of(Tread::fuse), 1);
}

// Whatever is joined how, following *Now* finishes every piece, and no lower one is left behind an upper one.
TEST(Now, FinishesEveryBlockOfEveryMixture) {
    Random random(20261202);
    for (int round = 0; round < 20; ++round) {
        auto quilt = test::quiltOf(test::scattered(random, 3 + random.below(6), 3, false));
        for (std::size_t i = 0; i < blockOf(quilt).pieces.size(); ++i)
            quilt = joined(quilt, i, static_cast<Join>(random.below(4)), random.below(4) == 0);
        if (random.below(2) == 0) quilt = must(edit::setQuiltedFirst(quilt, blockOf(quilt).id, true));
        Work work(quilt);
        int deeds = 0;
        while (work.go())
            ASSERT_LT(++deeds, 2000) << "goes in a circle, round " << round;
        for (const auto& piece : blockOf(work.quilt()).pieces)
            EXPECT_FALSE(piece.next()) << "round " << round << ": " << piece.name << " is left at "
                                       << keyOf(piece.work.step) << ", " << keyOf(piece.join);
        EXPECT_EQ(work.now().what, plan::What::trim) << "round " << round;
        EXPECT_TRUE(found(work.quilt(), Kind::laidOutOfOrder).empty());
    }
}

TEST(StitchPlan, LeavesTurnedEdgesToTheHand) {
    auto quilt = test::quiltOf({{"pad", test::square(50, 50, 60)}, {"frog", test::square(70, 70, 60)}});
    quilt = joined(quilt, 0, Join::turned);
    quilt = brought(brought(std::move(quilt), 0, Step::laid), 1, Step::tested);
    const auto plan = plan::planStitching(blockOf(quilt), plan::planBlock(blockOf(quilt)));
    for (const auto& run : plan.runs)
        EXPECT_EQ(run.piece, id(quilt, 1));
    EXPECT_TRUE(plan.trails.empty()) << "the frog waits until the pad is sewn down";
    EXPECT_FALSE(plan.runs.front().isDone());
    quilt = brought(std::move(quilt), 0, Step::stitched);
    const auto after =
        plan::planStitching(blockOf(quilt), plan::planBlock(blockOf(quilt)), {.before = &plan});
    EXPECT_FALSE(after.trails.empty()) << "a plan that is kept would leave it out";
}

// --- checks

struct Doubt {
    Kind kind;
    Quilt quilt;
};

TEST(JoiningChecks, FindWhatWillNotWorkAndMendIt) {
    const auto thin =
        joined(test::quiltOf({{"stem", {{50, 50}, {150, 50}, {150, 60}, {50, 60}}}}), 0, Join::turned);
    const auto over = joined(test::quiltOf({{"moon", test::square(200, 50, 60)}}), 0, Join::reverse);
    auto dark = joined(test::quiltOf({{"moon", test::square(50, 50, 60), {20, 20, 40}}}), 0, Join::reverse);
    dark = must(edit::addFabric(dark, "snow", {250, 250, 250}));
    dark = must(edit::setBackground(dark, blockOf(dark).id, dark.fabrics.back().id));
    auto batting = joined(test::quiltOf({{"pale", test::square(50, 50, 60)}}), 0, Join::fused, true);
    batting = must(edit::setQuiltedFirst(batting, blockOf(batting).id, true));
    for (const auto& [kind, quilt] : {Doubt{Kind::tooThinToTurn, thin}, Doubt{Kind::holeRunsOff, over},
                                      Doubt{Kind::holeLight, dark}, Doubt{Kind::throughBacking, batting}}) {
        const auto doubts = found(quilt, kind);
        ASSERT_EQ(doubts.size(), 1u) << keyOf(kind);
        ASSERT_EQ(doubts[0].fixes.front(), check::Fix::fuseIt);
        EXPECT_TRUE(found(must(mend::mended(quilt, doubts[0], check::Fix::fuseIt)), kind).empty())
            << keyOf(kind);
        EXPECT_TRUE(found(must(mend::mended(quilt, doubts[0], check::Fix::leaveSo)), kind).empty())
            << keyOf(kind);
    }
}

TEST(JoiningChecks, AreQuietWhereAllIsWell) {
    const auto wide =
        joined(test::quiltOf({{"stem", {{50, 50}, {150, 50}, {150, 64}, {50, 64}}}}), 0, Join::turned);
    EXPECT_TRUE(found(wide, Kind::tooThinToTurn).empty()) << "14 mm are more than ½ in";
    const auto moon =
        joined(test::quiltOf({{"moon", test::square(50, 50, 60), {250, 250, 240}}}), 0, Join::reverse);
    for (const auto kind : {Kind::holeRunsOff, Kind::holeLight, Kind::throughBacking, Kind::shinesThrough})
        EXPECT_TRUE(found(moon, kind).empty()) << keyOf(kind);
}

} // namespace
} // namespace up
