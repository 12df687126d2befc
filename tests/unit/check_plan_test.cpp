// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/saying.hpp"
#include "core/plan/check/check_plan.hpp"

#include "core/check/rows.hpp"
#include "core/edit/shapes.hpp"
#include "core/edit/stacking.hpp"
#include "tests/support/shapes.hpp"
#include "words/finding_words.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using check::Kind;
using quilt::Quilt;
using quilt::Step;
using test::must;
using test::square;

std::vector<check::Finding> findings(const Quilt& quilt) {
    return checkQuilt(quilt).open;
}

std::optional<check::Finding> found(const std::vector<check::Finding>& all, Kind kind) {
    for (const auto& finding : all)
        if (finding.kind == kind) return finding;
    return std::nullopt;
}

TEST(CheckQuilt, IsQuietAboutAGoodBlock) {
    EXPECT_TRUE(findings(test::quiltOf({{"base", square(40, 40, 80)}})).empty());
}

TEST(CheckQuilt, FlagsWhatReachesIntoTheSeamAllowance) {
    auto quilt = test::quiltOf({{"top", square(100, 100, 50)}});
    quilt = must(edit::movePiece(quilt, quilt.blocks[0].id, quilt.blocks[0].pieces[0].id,
                                 measure::Length::ofMm(-104), measure::Length()));
    const auto all = findings(quilt);
    const auto finding = found(all, Kind::outsideFinished);
    ASSERT_TRUE(finding);
    EXPECT_EQ(finding->fixes,
              (std::vector{check::Fix::moveInside, check::Fix::markRunsOff, check::Fix::leaveSo}));
    EXPECT_NE(words::sentence(quilt, *finding).find("1 top"), std::string::npos);
    quilt = must(
        edit::set(quilt, quilt.blocks[0].id, {quilt.blocks[0].pieces[0].id}, &quilt::Piece::runsOff, true));
    EXPECT_FALSE(found(findings(quilt), Kind::outsideFinished)) << "on purpose";
}

TEST(CheckQuilt, FlagsARunOffThatEndsInTheSeamAllowance) {
    const auto good = test::quiltOf({{"bank", square(-7, 100, 50)}}),
               shortOf = test::quiltOf({{"bank", square(-4, 100, 50)}});
    EXPECT_FALSE(found(findings(good), Kind::runsOffTooShort));
    EXPECT_TRUE(found(findings(shortOf), Kind::runsOffTooShort));
}

TEST(CheckQuilt, FlagsAPieceThatNobodySees) {
    EXPECT_TRUE(found(findings(test::quiltOf({{"lost", square(50, 50, 20)}, {"over", square(40, 40, 60)}})),
                      Kind::hiddenWholly));
}

TEST(CheckQuilt, FlagsThinPartsButNotTips) {
    const shape::Ring leg{{50, 50}, {51.5, 50}, {51.5, 110}, {50, 110}};
    EXPECT_TRUE(found(findings(test::quiltOf({{"leg", leg}})), Kind::thin));
    const shape::Ring spike{{50, 50}, {70, 60}, {50, 70}};
    EXPECT_FALSE(found(findings(test::quiltOf({{"spike", spike}})), Kind::thin));
}

TEST(CheckQuilt, FlagsMarksInTimeAndTooLate) {
    auto quilt = test::quiltOf({{"eye", square(50, 50, 40), {}, true}});
    const auto block = quilt.blocks[0].id;
    const std::vector piece{quilt.blocks[0].pieces[0].id};
    for (const Step step : {Step::traced, Step::roughCut, Step::bonded, Step::cleanCut})
        quilt = must(edit::record(quilt, block, piece, step, 1));
    EXPECT_TRUE(found(findings(quilt), Kind::marksToDraw));
    quilt = must(edit::record(quilt, block, piece, Step::laid, 1));
    EXPECT_FALSE(found(findings(quilt), Kind::marksToDraw));
    EXPECT_TRUE(found(findings(quilt), Kind::marksLost));
}

TEST(CheckQuilt, FlagsAnUpperPieceStitchedBeforeTheLowerOne) {
    auto quilt = test::quiltOf({{"base", square(40, 40, 80)}, {"top", square(60, 60, 30)}});
    quilt.blocks[0].pieces[1].work.step = Step::stitched;
    const auto all = findings(quilt);
    const auto finding = found(all, Kind::laidOutOfOrder);
    ASSERT_TRUE(finding);
    EXPECT_EQ(finding->severity(), check::Severity::blocked);
    EXPECT_EQ(all.front().kind, Kind::laidOutOfOrder) << "the serious ones come first";
}

TEST(CheckQuilt, NamesWhatTheWebCouldNotTake) {
    auto quilt = test::quiltOf({{"base", square(40, 40, 80)}});
    quilt.blocks[0].layout =
        quilt::Layout{quilt.webs[0].id, {}, {{quilt.blocks[0].pieces[0].id, quilt::WhyNot::largerThanSheet}}};
    const auto all = findings(quilt);
    const auto finding = found(all, Kind::larger);
    ASSERT_TRUE(finding);
    EXPECT_NE(words::sentence(quilt, *finding).find(quilt.webs[0].name), std::string::npos);
}

/// What the finding says changes: it is another doubt. Else it stays settled.
TEST(CheckQuilt, DoesNotAskAgainUntilItChanges) {
    const shape::Ring leg{{50, 50}, {51.5, 50}, {51.5, 110}, {50, 110}};
    const auto asked = test::quiltOf({{"leg", leg}, {"other", square(100, 100, 40)}});
    const auto block = asked.blocks[0].id;
    const auto doubt = *found(findings(asked), Kind::thin);
    EXPECT_EQ(doubt.fixes.back(), check::Fix::leaveSo);
    const auto left = must(edit::leaveSo(asked, block, {leftSo(doubt)}));
    EXPECT_FALSE(found(findings(left), Kind::thin));
    ASSERT_EQ(checkQuilt(left).left.size(), 1U);
    EXPECT_EQ(checkQuilt(left).left[0].kind, Kind::thin);
    const auto leg1 = left.blocks[0].pieces[0].id;
    const auto moved = must(edit::movePieces(left, block, {{leg1, {20, 30}}}));
    EXPECT_FALSE(found(findings(moved), Kind::thin)) << "it is as thin as it was";
    const auto thinner = must(edit::scalePiece(moved, block, leg1, 0.7));
    EXPECT_TRUE(found(findings(thinner), Kind::thin)) << "that is another thing";
    EXPECT_TRUE(found(findings(must(edit::askAgain(left, block))), Kind::thin));
    const auto gone = must(edit::removePiece(left, block, leg1));
    EXPECT_TRUE(gone.blocks[0].leftSo.empty());
}

TEST(CheckQuilt, LetsOnlyDoubtsBeLeft) {
    auto quilt = test::quiltOf({{"base", square(40, 40, 80)}, {"top", square(60, 60, 30)}});
    quilt.blocks[0].pieces[1].work.step = Step::stitched;
    for (const auto& finding : findings(quilt)) {
        const bool may =
            std::find(finding.fixes.begin(), finding.fixes.end(), check::Fix::leaveSo) != finding.fixes.end();
        EXPECT_EQ(may, finding.severity() == check::Severity::doubtful) << keyOf(finding.kind);
    }
}

TEST(Rows, PutLikeThingsTogetherTheWorstFirst) {
    const auto leg = [](double x, double wide) {
        return shape::Ring{{x, 50}, {x + wide, 50}, {x + wide, 110}, {x, 110}};
    };
    auto quilt = test::quiltOf(
        {{"a", leg(30, 1.4)}, {"b", leg(60, 0.8)}, {"c", leg(90, 1.2)}, {"out", square(200, 40, 50)}});
    quilt.blocks[0].pieces[3].runsOff = false;
    const auto rows = check::rowsOf(findings(quilt));
    ASSERT_EQ(rows.size(), 2U);
    EXPECT_EQ(rows[0].worst().kind, Kind::outsideFinished) << "the dearer one";
    ASSERT_EQ(rows[1].count(), 3U);
    EXPECT_EQ(rows[1].worst().piece, quilt.blocks[0].pieces[1].id);
    EXPECT_EQ(rows[1].spots().size(), 3U);
    const auto says = words::sentence(quilt, rows[1]);
    EXPECT_NE(says.find("3 pieces"), std::string::npos) << says;
    EXPECT_NE(says.find("2 b"), std::string::npos) << says;
    EXPECT_EQ(rows[1].fixes(), std::vector{check::Fix::leaveSo});
    EXPECT_EQ(words::fixWords(check::Fix::leaveSo, 3), "Leave all 3 so");
}

TEST(MoveInside, TakesTheShortestWayAndGivesUpOnWhatIsTooLarge) {
    const auto quilt = test::quiltOf({{"a", square(50, 50, 20)}});
    const auto by = moveInside(quilt.blocks[0], test::squareRegion(-5, 220, 20));
    ASSERT_TRUE(by);
    EXPECT_NEAR(by->x, 5, 1e-6);
    EXPECT_NEAR(by->y, 228.6 - 240, 1e-6);
    EXPECT_FALSE(moveInside(quilt.blocks[0], test::squareRegion(0, 0, 300)));
}

/// Put away in another block, or thrown away, while the layout still counts on it.
TEST(CheckQuilt, SaysThatAnOffCutIsGone) {
    auto quilt = test::quiltOf({{"base", square(40, 40, 80)}});
    const auto id = quilt.blocks[0].pieces[0].id;
    quilt::Layout layout{quilt.webs[0].id, {{id, 0, 0, 100, 100, {}}}, {}, {}, {}};
    layout.sheets = {{OffCutId{77}, {square(0, 0, 200)}, false}};
    quilt.blocks[0].layout = layout;
    EXPECT_TRUE(found(findings(quilt), Kind::offCutGone));
    quilt.offCuts.push_back({OffCutId{77}, quilt.webs[0].id, {square(0, 0, 200)}, "", ""});
    EXPECT_FALSE(found(findings(quilt), Kind::offCutGone));
}

TEST(CheckQuilt, SaysThatALayoutIsAnotherBlocks) {
    auto quilt = test::quiltOf({{"base", square(40, 40, 80)}});
    quilt.blocks[0].layout =
        quilt::Layout{quilt.webs[0].id, {{PieceId{9999}, 0, 0, 100, 100, {}}}, {}, {}, {}};
    EXPECT_TRUE(found(findings(quilt), Kind::othersLaidOut));
}

} // namespace
} // namespace up::plan
