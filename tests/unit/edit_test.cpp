// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/edits.hpp"
#include "core/edit/stacking.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::edit {
namespace {

using quilt::Step;
using test::must;
using test::smallQuilt;

const quilt::Block& block(const Quilt& quilt) {
    return quilt.blocks.front();
}
BlockId theBlock(const Quilt& quilt) {
    return block(quilt).id;
}
PieceId piece(const Quilt& quilt, std::size_t i) {
    return block(quilt).pieces.at(i).id;
}
std::vector<std::string> names(const Quilt& quilt) {
    std::vector<std::string> out;
    for (const auto& p : block(quilt).pieces)
        out.push_back(p.name);
    return out;
}

TEST(AddDrawing, MakesPiecesBottomToTopAndFabricsOfColours) {
    const auto quilt = smallQuilt();
    EXPECT_EQ(names(quilt), (std::vector<std::string>{"base", "top", "apart"}));
    EXPECT_EQ(quilt.fabrics.size(), 2U);
    EXPECT_EQ(block(quilt).pieces[0].fabric, block(quilt).pieces[2].fabric);
    EXPECT_NE(block(quilt).pieces[0].fabric, block(quilt).pieces[1].fabric);
    EXPECT_EQ(quilt.log->back().what, quilt::Event::imported);
}

TEST(AddDrawing, TurnsAReversedDrawingRoundOnce) {
    auto empty = must(addBlock(quilt::emptyQuilt("Q"), "B", Length::ofInches(9, 1), Length::ofInches(9, 1)));
    const auto drawing = test::drawingOf({{"left", test::square(10, 10, 20)}});
    const auto quilt = must(addDrawing(empty, empty.blocks.front().id, drawing, {true, edit::Fit::page}, 0));
    EXPECT_NEAR(boundsOf(*block(quilt).pieces[0].outline).right, 228.6 - 10, 1e-6);
    EXPECT_TRUE(block(quilt).givenReversed);
}

TEST(AddDrawing, LetsShapesOverTheEdgeRunOff) {
    const auto quilt =
        test::quiltOf({{"bank", test::square(-10, 100, 50)}, {"in", test::square(50, 50, 50)}});
    EXPECT_TRUE(block(quilt).pieces[0].runsOff);
    EXPECT_FALSE(block(quilt).pieces[1].runsOff);
}

TEST(AddDrawing, RefusesADrawingWithoutShapes) {
    const auto quilt = smallQuilt();
    const auto refused = addDrawing(quilt, theBlock(quilt), {}, {}, 0);
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, Code::emptyDrawing);
}

TEST(ResizeBlock, ScalesShapesAndSendsThemBackToTrace) {
    auto quilt = smallQuilt();
    quilt = must(record(quilt, theBlock(quilt), {piece(quilt, 0)}, Step::traced, 5));
    const auto half =
        must(resizeBlock(quilt, theBlock(quilt), Length::ofInches(9, 2), Length::ofInches(9, 2)));
    EXPECT_NEAR(boundsOf(*block(half).pieces[0].outline).width(), 40, 1e-6);
    EXPECT_EQ(block(half).pieces[0].work.step, Step::toTrace);
}

TEST(ResizeBlock, KeepsProportionsInAnOblongBlock) {
    const auto quilt = smallQuilt();
    const auto oblong =
        must(resizeBlock(quilt, theBlock(quilt), Length::ofInches(9, 1), Length::ofInches(18, 1)));
    const auto box = boundsOf(*block(oblong).pieces[0].outline);
    EXPECT_NEAR(box.width(), box.height(), 1e-6);
}

TEST(ResizeBlock, RefusesZeroAndAbsurdSizes) {
    const auto quilt = smallQuilt();
    for (const double inches : {0.0, -9.0, 0.25, 500.0}) {
        const auto refused =
            resizeBlock(quilt, theBlock(quilt), Length::ofInches(inches), Length::ofInches(9, 1));
        ASSERT_FALSE(refused) << inches;
        EXPECT_EQ(refused.error().code, Code::absurdSize);
        EXPECT_FALSE(addBlock(quilt, "B", Length::ofInches(inches), Length::ofInches(9, 1)));
    }
}

TEST(SetGivenReversed, ThereAndBackIsTheSameQuiltButForTheSteps) {
    const auto quilt = smallQuilt();
    const auto there = must(setGivenReversed(quilt, theBlock(quilt), true));
    EXPECT_FALSE(there == quilt);
    const auto back = must(setGivenReversed(there, theBlock(quilt), false));
    for (std::size_t i = 0; i < 3; ++i)
        EXPECT_NEAR(boundsOf(*block(back).pieces[i].outline).left,
                    boundsOf(*block(quilt).pieces[i].outline).left, 1e-9);
    EXPECT_TRUE(must(setGivenReversed(quilt, theBlock(quilt), false)) == quilt);
}

TEST(Restack, MovesUpAndDownAndStopsAtTheEnds) {
    const auto quilt = smallQuilt();
    const auto up = must(restack(quilt, theBlock(quilt), piece(quilt, 0), 1));
    EXPECT_EQ(names(up), (std::vector<std::string>{"top", "base", "apart"}));
    EXPECT_EQ(names(must(restack(quilt, theBlock(quilt), piece(quilt, 0), 9))),
              (std::vector<std::string>{"top", "apart", "base"}));
    EXPECT_TRUE(must(restack(quilt, theBlock(quilt), piece(quilt, 0), -1)) == quilt);
    EXPECT_TRUE(must(restack(up, theBlock(quilt), piece(quilt, 0), -1)) == quilt);
}

TEST(MovePiece, AddsUpExactly) {
    const auto quilt = smallQuilt();
    auto moved = quilt;
    for (int i = 0; i < 16; ++i)
        moved = must(movePiece(moved, theBlock(moved), piece(moved, 1), Length::ofInches(1, 16), Length()));
    EXPECT_EQ(block(moved).pieces[1].place.right, Length::ofInches(1, 1));
    EXPECT_NEAR(boundsOf(quilt::placed(block(moved).pieces[1])).left, 60 + 25.4, 1e-6);
}

TEST(TurnPiece, TurnsAboutThePiecesOwnMiddle) {
    const auto quilt = smallQuilt();
    const auto turned =
        must(turnPiece(quilt, theBlock(quilt), piece(quilt, 1), measure::Angle::ofDegrees(-45)));
    const auto before = boundsOf(quilt::placed(block(quilt).pieces[1])),
               after = boundsOf(quilt::placed(block(turned).pieces[1]));
    EXPECT_NEAR(after.centre().x, before.centre().x, 1e-6);
    EXPECT_NEAR(after.width(), before.width() * std::sqrt(2.0), 1e-6);
    EXPECT_EQ(block(turned).pieces[1].place.turn.degrees(), 315);
}

TEST(MovePiece, IsRefusedOnceThePieceIsFused) {
    auto quilt = smallQuilt();
    quilt.blocks[0].pieces[0].work.step = Step::laid;
    EXPECT_TRUE(movePiece(quilt, theBlock(quilt), piece(quilt, 0), Length::ofMm(1), Length()));
    quilt.blocks[0].pieces[0].work.step = Step::fused;
    EXPECT_EQ(movePiece(quilt, theBlock(quilt), piece(quilt, 0), Length::ofMm(1), Length()).error().code,
              Code::alreadyFused);
    EXPECT_EQ(turnPiece(quilt, theBlock(quilt), piece(quilt, 0), measure::Angle::ofDegrees(5)).error().code,
              Code::alreadyFused);
}

TEST(PutWeb, ReplacesAddsAndRefuses) {
    const auto quilt = smallQuilt();
    auto web = quilt.webs[0];
    web.name = "other";
    EXPECT_EQ(must(putWeb(quilt, web)).webs.size(), 1U);
    web.id = {};
    EXPECT_EQ(must(putWeb(quilt, web)).webs.size(), 2U);
    web.stock = quilt::Roll{Length()};
    EXPECT_EQ(putWeb(quilt, web).error().code, Code::absurdSize);
}

TEST(SetFabric, BringsTheMatchingThread) {
    const auto quilt = smallQuilt();
    const auto fabric = block(quilt).pieces[1].fabric;
    const auto changed = must(setFabric(quilt, theBlock(quilt), piece(quilt, 0), fabric));
    EXPECT_EQ(block(changed).pieces[0].thread, block(changed).pieces[1].thread);
    EXPECT_EQ(setFabric(quilt, theBlock(quilt), piece(quilt, 0), FabricId{999}).error().code,
              Code::noSuchFabric);
}

TEST(Record, LogsEveryPieceWithItsTime) {
    const auto quilt = smallQuilt();
    const auto traced =
        must(record(quilt, theBlock(quilt), {piece(quilt, 0), piece(quilt, 2)}, Step::traced, 77));
    EXPECT_EQ(traced.log->size(), quilt.log->size() + 2);
    EXPECT_EQ(traced.log->back().time, 77);
    EXPECT_EQ(traced.log->back().piece, piece(quilt, 2));
    EXPECT_EQ(traced.log->back().what, quilt::Event::traced);
}

TEST(Record, DoesAllOrNothing) {
    auto quilt = smallQuilt();
    quilt = must(record(quilt, theBlock(quilt), {piece(quilt, 0)}, Step::traced, 1));
    const auto refused =
        record(quilt, theBlock(quilt), {piece(quilt, 0), piece(quilt, 1)}, Step::roughCut, 2);
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().args.front(), "top");
}

TEST(Ruin, SendsBackToTraceWithTheReasonAndGivesUpThePlaceOnTheWeb) {
    auto quilt = smallQuilt();
    const auto id = piece(quilt, 0);
    quilt = must(setLayout(quilt, theBlock(quilt), {block(quilt).web, {{id, 0, 0, 1, 2, {}}}, {}}, 1));
    for (const Step step : {Step::traced, Step::roughCut, Step::bonded})
        quilt = must(record(quilt, theBlock(quilt), {id}, step, 2));
    const auto ruined = must(ruin(quilt, theBlock(quilt), id, "heated too long", 9));
    EXPECT_EQ(block(ruined).pieces[0].work, (quilt::Work{Step::toTrace, false, 1}));
    EXPECT_TRUE(block(ruined).layout->traced.empty());
    EXPECT_EQ(ruined.log->back().what, quilt::Event::ruined);
    EXPECT_EQ(ruined.log->back().note, "heated too long");
}

TEST(SetWeb, IsRefusedOncePiecesAreTraced) {
    auto quilt = smallQuilt();
    quilt::Web other = quilt.webs.front();
    other.id = WebId{quilt.nextId++};
    quilt.webs.push_back(other);
    EXPECT_TRUE(setWeb(quilt, theBlock(quilt), other.id));
    quilt = must(record(quilt, theBlock(quilt), {piece(quilt, 0)}, Step::traced, 1));
    EXPECT_EQ(setWeb(quilt, theBlock(quilt), other.id).error().code, Code::alreadyTraced);
}

TEST(RemovePiece, LeavesNoTraceInTheLayout) {
    auto quilt = smallQuilt();
    const auto id = piece(quilt, 1);
    quilt =
        must(setLayout(quilt, theBlock(quilt), {block(quilt).web, {}, {{id, quilt::WhyNot::webUsedUp}}}, 1));
    const auto removed = must(removePiece(quilt, theBlock(quilt), id));
    EXPECT_EQ(names(removed), (std::vector<std::string>{"base", "apart"}));
    EXPECT_TRUE(block(removed).layout->unplaced.empty());
}

TEST(Edits, NameWhatIsNotThere) {
    const auto quilt = smallQuilt();
    EXPECT_EQ(renameBlock(quilt, BlockId{99}, "x").error().code, Code::noSuchBlock);
    EXPECT_EQ(renamePiece(quilt, theBlock(quilt), PieceId{99}, "x").error().code, Code::noSuchPiece);
    EXPECT_EQ(removeBlock(quilt, BlockId{99}).error().code, Code::noSuchBlock);
    EXPECT_EQ(ruin(quilt, theBlock(quilt), PieceId{99}, "lost", 1).error().code, Code::noSuchPiece);
}

TEST(Edits, LeaveTheOldQuiltAlone) {
    const auto quilt = smallQuilt();
    const auto copy = quilt;
    (void)restack(quilt, theBlock(quilt), piece(quilt, 0), 1);
    (void)ruin(quilt, theBlock(quilt), piece(quilt, 0), "lost", 1);
    (void)resizeBlock(quilt, theBlock(quilt), Length::ofInches(6, 1), Length::ofInches(6, 1));
    EXPECT_TRUE(quilt == copy);
}

/// A shape of 100 × 50 mm in the lower right corner of a Letter page.
quilt::Drawing cornerOfAPage() {
    auto drawing = test::drawingOf({{"bar", {{100, 200}, {200, 200}, {200, 250}, {100, 250}}}});
    drawing.width = 215.9, drawing.height = 279.4;
    return drawing;
}

shape::Box importedBox(Fit fit) {
    const auto nine = Length::ofInches(9, 1);
    const auto quilt = must(addBlock(quilt::emptyQuilt("q"), "b", nine, nine));
    const auto done = must(addDrawing(quilt, quilt.blocks[0].id, cornerOfAPage(), {false, fit}, 0));
    return boundsOf(*done.blocks[0].pieces[0].outline);
}

TEST(AddDrawing, BringsItToTheBlockInThreeWays) {
    EXPECT_NEAR(importedBox(Fit::own).width(), 100, 1e-9);
    EXPECT_NEAR(importedBox(Fit::own).centre().x, 114.3, 1e-9) << "in the middle: the page is not the block";
    EXPECT_NEAR(importedBox(Fit::page).width(), 100 * 228.6 / 279.4, 1e-6);
    EXPECT_NEAR(importedBox(Fit::shapes).width(), 228.6 - 25.4, 1e-6) << "half an inch left on each side";
}

TEST(UsualFit, KeepsATrueSizeThatGoesIn) {
    const auto nine = Length::ofInches(9, 1), three = Length::ofInches(3, 1);
    auto drawing = cornerOfAPage();
    EXPECT_EQ(usualFit(drawing, nine, nine), Fit::own);
    EXPECT_EQ(usualFit(drawing, three, three), Fit::page) << "too large";
    drawing.warnings = {{quilt::Remark::sizeAssumed, {}}};
    EXPECT_EQ(usualFit(drawing, nine, nine), Fit::page) << "its size was only assumed";
}

TEST(WithRoles, MarksGoToThePieceBeneathAndWithoutOneTheyAreLeftOut) {
    const auto drawing = test::drawingOf({{"eye", test::square(60, 60, 10)},
                                          {"head", test::square(50, 50, 40)},
                                          {"mouth", test::square(60, 75, 10)}});
    const auto out = withRoles(drawing, {Role::mark, Role::piece, Role::mark});
    ASSERT_EQ(out.shapes.size(), 1U);
    EXPECT_EQ(out.shapes[0].marks.size(), 1U) << "the eye lies under the head";
    EXPECT_TRUE(withRoles(drawing, {Role::out, Role::out, Role::out}).shapes.empty());
}

/// Wherever it is turned from: its middle is the middle of what is turned, not of the box round it.
TEST(TurnPieces, TurnedAllTheWayRoundTheyLieAsBefore) {
    auto quilt = smallQuilt();
    const auto before = quilt;
    const std::vector<PieceId> both{piece(quilt, 0), piece(quilt, 1)};
    for (int i = 0; i < 72; ++i)
        quilt = must(turnPieces(quilt, theBlock(quilt), both, measure::Angle::ofDegrees(5)));
    for (const std::size_t i : {0U, 1U}) {
        const auto &was = before.blocks[0].pieces[i].place, &is = quilt.blocks[0].pieces[i].place;
        EXPECT_EQ(is.turn, was.turn);
        EXPECT_NEAR(is.right.mm(), was.right.mm(), 1e-3);
        EXPECT_NEAR(is.down.mm(), was.down.mm(), 1e-3);
    }
}

} // namespace
} // namespace up::edit
