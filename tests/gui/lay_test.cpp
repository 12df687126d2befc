// SPDX-License-Identifier: GPL-3.0-or-later
// Laying by hand: several pieces at once, step by step, and counting what is there.
#include "app/session/aside.hpp"
#include "app/views/view.hpp"
#include "app/window/rail.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/block/underlap_plan.hpp"
#include "core/plan/lay/roll_call.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/blobs.hpp"
#include "tests/support/shapes.hpp"
#include "words/now_words.hpp"

#include <QAction>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>

namespace up::test {
namespace {

using app::LayMode;
using app::View;

class Lay : public WindowTest {
protected:
    Lay() { openSample(); }

    const quilt::Piece& piece(const std::string& name) { return *quilt::find(block().pieces, named(name)); }
    shape::Box boxOf(const std::string& name) { return boundsOf(quilt::placed(piece(name))); }
    /// Where its number stands.
    QPoint onPiece(const std::string& name) {
        const auto number = static_cast<std::size_t>(quilt::numberOf(block(), named(name)));
        return onMat(session().derived().spots()[number - 1].at);
    }
    void clickOn(const std::string& name, Qt::KeyboardModifiers keys = {}) {
        QTest::mouseClick(&window().mat(), Qt::LeftButton, keys, onPiece(name));
    }
    void drag(QPoint from, QPoint to, Qt::KeyboardModifiers keys = {}) {
        QTest::mousePress(&window().mat(), Qt::LeftButton, keys, from);
        QTest::mouseMove(&window().mat(), (from + to) / 2);
        QTest::mouseMove(&window().mat(), to);
        QTest::mouseRelease(&window().mat(), Qt::LeftButton, keys, to);
    }
    void act(const char* action) {
        find<QAction>(action).trigger();
        EXPECT_SOON(!room().mending.isBusy());
    }
    QString strip() { return find<QLabel>("lay.says").text(); }
    void awaitLying() { EXPECT_SOON(!room().placements.isBusy() && session().derived().placements()); }
};

// --- several pieces

TEST_F(Lay, CtrlAddsAPieceAndTakesItAway) {
    choose("Water can", View::lay);
    clickOn("spout");
    clickOn("body", Qt::ControlModifier);
    EXPECT_EQ(session().chosen().size(), 2U);
    EXPECT_EQ(session().piece()->id, named("body")) << "the one chosen last";
    EXPECT_EQ(find<QListWidget>("rail").selectedItems().size(), 2);
    clickOn("body", Qt::ControlModifier);
    EXPECT_EQ(session().chosen(), std::vector<PieceId>{named("spout")});
}

TEST_F(Lay, ThoseChosenMoveTogetherAndAreOneStep) {
    choose("Water can", View::lay);
    clickOn("spout");
    clickOn("body", Qt::ControlModifier);
    const auto spout = boxOf("spout"), body = boxOf("body");
    drag(onPiece("body"), onPiece("body") + QPoint(0, 40));
    const double by = boxOf("body").top - body.top;
    EXPECT_GT(by, 3);
    EXPECT_NEAR(boxOf("spout").top - spout.top, by, 1e-6);
    EXPECT_EQ(session().chosen().size(), 2U) << "taking hold of one of them keeps them";
    session().undo();
    EXPECT_NEAR(boxOf("spout").top, spout.top, 1e-9);
    EXPECT_NEAR(boxOf("body").top, body.top, 1e-9);
}

TEST_F(Lay, AFrameChoosesWhatLiesInIt) {
    choose("Water can", View::lay);
    const auto wide = block().width.mm(), high = block().height.mm();
    drag(onMat({1, 1}), onMat({wide - 1, high - 1}));
    EXPECT_EQ(session().chosen().size(), block().pieces.size());
    const auto before = session().quilt();
    drag(onMat({1, 1}), onMat({4, 4}));
    EXPECT_TRUE(session().chosen().empty()) << "nothing lies there";
    EXPECT_TRUE(session().quilt() == before) << "framing moves nothing";
}

TEST_F(Lay, AFrameMeansTheSameFromTheOtherSide) {
    choose("Water can", View::lay);
    key(Qt::Key_R);
    const double wide = block().width.mm(), high = block().height.mm();
    drag(onMat({1, 1}), onMat({wide / 2 - 1, high - 1})); // the left half of what the mat shows
    ASSERT_FALSE(session().chosen().empty());
    EXPECT_LT(session().chosen().size(), block().pieces.size());
    for (const auto id : session().chosen())
        EXPECT_GT(boundsOf(quilt::placed(*quilt::find(block().pieces, id))).centre().x, wide / 2)
            << "it is the right one from the front";
}

TEST_F(Lay, TheRailChoosesSeveralToo) {
    choose("Heron", View::lay);
    auto& rail = find<QListWidget>("rail");
    const auto at = [&](int row) { return rail.visualItemRect(rail.item(row)).center(); };
    QTest::mouseClick(rail.viewport(), Qt::LeftButton, {}, at(0));
    QTest::mouseClick(rail.viewport(), Qt::LeftButton, Qt::ShiftModifier, at(3));
    EXPECT_EQ(session().chosen().size(), 4U);
    QTest::mouseClick(rail.viewport(), Qt::LeftButton, {}, at(5));
    EXPECT_EQ(session().chosen().size(), 1U);
}

TEST_F(Lay, TheyAreLinedUpWithTheLastAndSpaced) {
    choose("Duck family", View::lay);
    clickOn("duckling 1 head");
    clickOn("duckling 2 head", Qt::ControlModifier);
    clickOn("duckling 3 head", Qt::ControlModifier);
    ASSERT_EQ(session().chosen().size(), 3U);
    act("place.tops");
    EXPECT_NEAR(boxOf("duckling 1 head").top, boxOf("duckling 3 head").top, 1e-3);
    EXPECT_NEAR(boxOf("duckling 2 head").top, boxOf("duckling 3 head").top, 1e-3);
    act("place.tops");
    EXPECT_TRUE(said().contains("in line already")) << said().toStdString();
    act("place.spaceAcross");
    std::vector<shape::Box> boxes{boxOf("duckling 1 head"), boxOf("duckling 2 head"),
                                  boxOf("duckling 3 head")};
    std::sort(boxes.begin(), boxes.end(), [](const auto& a, const auto& b) { return a.left < b.left; });
    EXPECT_NEAR(boxes[1].left - boxes[0].right, boxes[2].left - boxes[1].right, 0.05)
        << "curves are flattened within that";
}

/// Hundreds on one heap take a moment: the window goes on meanwhile, and it is one step all the same.
TEST_F(Lay, VeryManyAreLinedUpAside) {
    session().startNew(blobs(150));
    session().goTo(View::lay);
    act("edit.all");
    const auto before = block();
    find<QAction>("place.lefts").trigger();
    EXPECT_TRUE(room().mending.isBusy());
    EXPECT_TRUE(block() == before) << "nothing has happened yet";
    EXPECT_SOON(!room().mending.isBusy());
    const auto& plan = session().derived().block();
    std::ptrdiff_t inLine = 0; // pieces that run off the block stay where its edges are
    for (const auto& region : plan.regions)
        inLine += std::abs(region.bounds().left - plan.regions.back().bounds().left) < 0.01;
    EXPECT_GT(inLine, 60);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(block() == before);
}

TEST_F(Lay, WithTooFewChosenItSaysHow) {
    choose("Heron", View::lay);
    session().choosePiece(named("eye"));
    act("place.lefts");
    EXPECT_TRUE(said().contains("hold Ctrl")) << said().toStdString();
}

TEST_F(Lay, TheyTurnAsOne) {
    choose("Water can", View::lay);
    act("edit.all");
    EXPECT_EQ(session().chosen().size(), block().pieces.size());
    const auto apart = [&] { return shape::distance(boxOf("spout").centre(), boxOf("body").centre()); };
    const double before = apart();
    for (int i = 0; i < 18; ++i)
        click("lay.right"); // 90°: boxes are boxes again
    EXPECT_NEAR(apart(), before, 0.05);
}

TEST_F(Lay, ChosenPiecesBecomeAUnit) {
    choose("Kingfisher", View::lay);
    session().choosePieces({named("leaf 1"), named("leaf 2")}, named("leaf 2"));
    act("stack.unit");
    EXPECT_NE(piece("leaf 1").unit, 0) << said().toStdString();
    EXPECT_EQ(piece("leaf 1").unit, piece("leaf 2").unit);
    session().choosePiece(named("leaf 1"));
    act("stack.unit");
    EXPECT_EQ(piece("leaf 2").unit, 0) << "one of them is enough to let it go";
}

TEST_F(Lay, UnitsThatTheOverlapsSuggestAreOffered) {
    choose("Kingfisher", View::lay);
    for (const auto& member : block().pieces) // what is fused is offered no more; here all are laid only
        ASSERT_LT(member.work.step, quilt::Step::fused);
    const auto found = plan::suggestedUnits(block(), plan::planBlock(block()));
    ASSERT_FALSE(found.empty());
    m_asker.choices = {QString::fromStdString(words::piecesWords(block(), found.front()))};
    act("stack.units");
    for (const auto member : found.front())
        EXPECT_NE(quilt::find(block().pieces, member)->unit, 0);
}

TEST_F(Lay, TheLastChosenGoesOverTheOther) {
    choose("Heron", View::lay);
    session().choosePieces({named("body"), named("neck")}, named("body"));
    ASSERT_LT(quilt::numberOf(block(), named("body")), quilt::numberOf(block(), named("neck")));
    act("stack.over");
    EXPECT_GT(quilt::numberOf(block(), named("body")), quilt::numberOf(block(), named("neck")));
    EXPECT_TRUE(said().contains("goes over")) << said().toStdString();
}

// --- step by step

TEST_F(Lay, StepByStepBeginsWhereItIsAndGoesOn) {
    choose("Heron", View::lay);
    awaitLying();
    click("lay.steps");
    ASSERT_TRUE(find<QLabel>("lay.says").isVisible());
    EXPECT_FALSE(find<QWidget>("section").isVisible());
    EXPECT_TRUE(strip().startsWith("Lay 1 water")) << strip().toStdString();
    click("dry.next");
    EXPECT_TRUE(strip().startsWith("Lay 2 reed 1: upper tip")) << strip().toStdString();
    EXPECT_EQ(session().piece()->id, named("reed 1"));
    click("dry.next");
    EXPECT_TRUE(strip().startsWith("Lay 3 reed 2")) << strip().toStdString();
    click("dry.back");
    EXPECT_TRUE(strip().startsWith("Lay 2 reed 1")) << strip().toStdString();
    key(Qt::Key_PageUp); // pressed, as is seen, for a moment
    EXPECT_SOON(strip().startsWith("Lay 1 water"));
    session().choosePiece(named("beak"));
    EXPECT_TRUE(strip().startsWith("Lay 12 beak")) << "the step of the piece that is looked at";
    EXPECT_FALSE(session().isDirty()) << "a rehearsal changes nothing";
    click("lay.steps");
    EXPECT_EQ(session().layMode(), LayMode::block);
    EXPECT_TRUE(find<QWidget>("section").isVisible());
}

/// What comes now is drawn in full, what lies there too, the rest as a dotted line.
TEST_F(Lay, TheMatShowsWhatLiesThereAlready) {
    choose("Heron", View::lay);
    awaitLying();
    click("lay.steps");
    session().choosePiece(named("reed 2"));
    const auto look = [&](const std::string& name) {
        for (const auto& layer : window().mat().scene().panels[0].layers)
            for (const auto& item : layer.items)
                if (const auto* shape = std::get_if<sheet::Shape>(&item);
                    shape && sheet::pieceOf(shape->tag) == named(name))
                    return shape->fill ? shape->opacity : 0.0;
        return -1.0;
    };
    EXPECT_EQ(look("water"), 1.0);
    EXPECT_EQ(look("reed 1"), 1.0);
    EXPECT_EQ(look("reed 2"), 1.0);
    EXPECT_EQ(look("body"), 0.0);
}

TEST_F(Lay, AGuideLiesThereForAMoment) {
    choose("Heron", View::lay);
    awaitLying();
    click("lay.steps");
    const auto dry = plan::dryLay(session().derived().placements()->steps);
    const auto guided = std::find_if(dry.begin(), dry.end(), [](const auto& step) { return step.guide; });
    ASSERT_NE(guided, dry.end()) << "the sample has a piece of which little shows";
    session().choosePiece(block().pieces[guided->piece].id);
    EXPECT_TRUE(strip().contains("then lift that off again")) << strip().toStdString();
    for (const auto& layer : window().mat().scene().panels[0].layers)
        for (const auto& item : layer.items)
            if (const auto* shape = std::get_if<sheet::Shape>(&item);
                shape && sheet::pieceOf(shape->tag) == block().pieces[*guided->guide].id) {
                EXPECT_GT(shape->opacity, 0);
                EXPECT_LT(shape->opacity, 1);
            }
}

// --- all there?

class CountingHand : public Lay {
protected:
    CountingHand() {
        choose("Heron", View::lay);
        EXPECT_SOON(!room().checker.isBusy() && session().derived().judgement());
        click("lay.count");
    }
    /// Where the piece lies on the table.
    QPoint onTable(const std::string& name) {
        for (const auto& layer : window().mat().scene().panels[0].layers)
            for (const auto& item : layer.items)
                if (const auto* shape = std::get_if<sheet::Shape>(&item);
                    shape && sheet::pieceOf(shape->tag) == named(name)) {
                    shape::Box box;
                    for (const auto& contour : shape->contours)
                        box.take(boundsOf(contour));
                    return onMat(box.centre());
                }
        return {};
    }
};

TEST_F(CountingHand, AClickTicksAPieceOffAndAnotherTakesItBack) {
    EXPECT_TRUE(strip().startsWith("0 of 15 pieces are here. Not ticked off: 1 water"))
        << strip().toStdString();
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onTable("body"));
    EXPECT_TRUE(piece("body").counted);
    EXPECT_TRUE(strip().startsWith("1 of 15")) << strip().toStdString();
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onTable("body"));
    EXPECT_FALSE(piece("body").counted);
}

TEST_F(CountingHand, WhatIsNotCutIsNotTickedOff) {
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onTable("wing"));
    EXPECT_FALSE(piece("wing").counted);
    EXPECT_EQ(session().piece()->id, named("wing")) << "but chosen";
}

TEST_F(CountingHand, WhatIsMissingIsCutAgain) {
    EXPECT_FALSE(find<QPushButton>("count.again").isEnabled()) << "nothing has been counted yet";
    click("count.all");
    EXPECT_TRUE(strip().startsWith("8 of 15 pieces are here. 7 are still to be cut"))
        << strip().toStdString();
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onTable("reed 3"));
    click("count.again");
    EXPECT_EQ(piece("reed 3").work.step, quilt::Step::toTrace);
    EXPECT_EQ(piece("reed 3").work.remade, 1);
    EXPECT_TRUE(said().contains("reed 3")) << said().toStdString();
    session().undo();
    EXPECT_EQ(piece("reed 3").work.step, quilt::Step::cleanCut);
}

// --- aside

/// A drawing is numbered aside; what is done meanwhile is not lost.
TEST_F(Lay, ImportingAnewNumberedDrawingLosesNothing) {
    auto quilt = *edit::addBlock(quilt::emptyQuilt("New"), "Heron", measure::Length::ofInches(9, 1),
                                 measure::Length::ofInches(9, 1));
    session().startNew(std::move(quilt));
    m_asker.importAnswer = [](const app::ImportQuestion& question) {
        EXPECT_TRUE(question.first);
        return app::ImportAnswer{*question.drawing, {}, true};
    };
    m_asker.files = {drawing("heron.svg")};
    room().imports.importDrawing();
    const auto isNumbering = [&] { return room().imports.reading().what() == "Numbering the pieces"; };
    EXPECT_SOON(isNumbering());
    session().apply(edit::renameQuilt(session().quilt(), "Renamed"), "rename");
    EXPECT_SOON(!room().imports.reading().isRunning() && block().pieces.size() == 15);
    EXPECT_EQ(session().quilt().name, "Renamed");
    const auto anew = plan::numberedAnew(block(), plan::planBlock(block()));
    for (std::size_t i = 0; i < anew.size(); ++i)
        EXPECT_EQ(block().pieces[i].id, anew[i]) << "by step, fabric and place";
    session().undo();
    EXPECT_TRUE(block().pieces.empty()) << "one step";
}

// --- remedies aside

TEST_F(Lay, AMendingOfAQuiltThatHasChangedIsWorkedOutAnew) {
    choose("Narrowboat", View::lay);
    find<QAction>("stack.tuck").trigger();
    ASSERT_TRUE(room().mending.isBusy());
    session().apply(edit::renamePiece(session().quilt(), session().blockId(), named("roof"), "top"),
                    "rename");
    const auto renamed = session().quilt();
    EXPECT_SOON(!room().mending.isBusy());
    EXPECT_TRUE(said().contains("beneath the upper ones")) << said().toStdString();
    EXPECT_EQ(quilt::find(block().pieces, named("top"))->name, "top") << "what was done meanwhile is kept";
    session().undo();
    EXPECT_TRUE(session().quilt() == renamed) << "one step";
}

TEST_F(Lay, AMendingGoesOnWhereItBeganWhateverIsLookedAt) {
    choose("Narrowboat", View::lay);
    const auto id = session().blockId();
    find<QAction>("stack.number").trigger();
    choose("Windlass");
    EXPECT_SOON(!room().mending.isBusy());
    EXPECT_NE(session().blockId(), id);
    choose("Narrowboat");
    session().choosePieces({named("roof"), block().pieces[0].id}, named("roof"));
    find<QAction>("stack.over").trigger();
    choose("Windlass");
    EXPECT_SOON(!room().mending.isBusy());
}

TEST_F(Lay, AMendingOfABlockThatIsGoneChangesNothing) {
    choose("Narrowboat", View::lay);
    find<QAction>("stack.tuck").trigger();
    ASSERT_TRUE(room().mending.isBusy());
    find<QAction>("edit.removeBlock").trigger();
    const auto removed = session().quilt();
    EXPECT_SOON(!room().mending.isBusy());
    EXPECT_TRUE(session().quilt() == removed);
    EXPECT_TRUE(said().contains("is gone")) << said().toStdString();
}

TEST_F(Lay, AMendingIsStopped) {
    choose("Narrowboat", View::lay);
    const auto before = session().quilt();
    find<QAction>("stack.tuck").trigger();
    room().mending.errand().stop();
    EXPECT_FALSE(room().mending.isBusy());
    EXPECT_TRUE(said().contains("nothing has been changed"));
    EXPECT_SOON(!app::jobs::anyAtWork()); // whatever it was doing
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(Lay, HundredsOfFindingsAreShownAFewAtATime) {
    auto quilt = quilt::emptyQuilt("Many");
    quilt = *edit::addBlock(quilt, "Many", measure::Length::ofInches(9, 1), measure::Length::ofInches(9, 1));
    std::vector<Drawn> pebbles;
    for (int i = 0; i < 45; ++i)
        pebbles.push_back({"pebble", square(-30, 5.0 * i, 4)}); // outside the block, each of them
    quilt = *edit::addDrawing(quilt, quilt.blocks[0].id, drawingOf(pebbles), {}, 0);
    for (auto& piece : quilt.blocks[0].pieces)
        piece.runsOff = false;
    session().startNew(quilt);
    EXPECT_SOON(!room().checker.isBusy() && !room().checker.rows().empty());
    EXPECT_GE(room().checker.rows()[0].count(), 45U);
    const auto shown = [&] { return window().findChildren<QPushButton*>("check.show").size(); };
    const auto rows = room().checker.rows().size();
    EXPECT_SOON(shown() == static_cast<qsizetype>(rows)) << "one for each row";
    click("check.each");
    EXPECT_SOON(shown() == static_cast<qsizetype>(rows) + 20);
    click("checks.more");
    EXPECT_SOON(shown() == static_cast<qsizetype>(rows) + 40);
    click("check.each");
    EXPECT_SOON(shown() == static_cast<qsizetype>(rows));
}

} // namespace
} // namespace up::test
