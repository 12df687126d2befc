// SPDX-License-Identifier: GPL-3.0-or-later
// The stack and Lay by hand: treads dragged, wishes told, checks shown and put right.
#include "app/views/view.hpp"
#include "app/window/section_strip.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/lay/centring.hpp"
#include "tests/gui/bench.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QLabel>

namespace up::test {
namespace {

using app::View;

class StackHand : public WindowTest {
protected:
    StackHand() { openSample(); }

    int number(const std::string& name) { return quilt::numberOf(block(), named(name)); }
    app::SectionStrip& strip() { return *window().findChild<app::SectionStrip*>("section"); }
    QString says() { return window().findChild<QLabel*>("says")->text(); }
    /// Triggers it and waits until what it asks for aside is done.
    void act(const char* action) {
        window().findChild<QAction*>(action)->trigger();
        awaitMending();
    }
    void awaitMending() { EXPECT_SOON(!room().mending.isBusy()); }
    /// Takes hold of a piece's first tread and lets it go on another one's.
    void dragTread(const std::string& held, const std::string& onto) {
        const auto from = strip().treadsOf(named(held)), to = strip().treadsOf(named(onto));
        ASSERT_FALSE(from.empty() || to.empty());
        const QPoint start = from.front().center().toPoint(), end = to.front().center().toPoint();
        QTest::mousePress(&strip(), Qt::LeftButton, {}, start);
        QTest::mouseMove(&strip(), (start + end) / 2);
        QTest::mouseMove(&strip(), end);
        QTest::mouseRelease(&strip(), Qt::LeftButton, {}, end);
        awaitMending();
    }
};

TEST_F(StackHand, ATreadDraggedUpLiesOnTop) {
    choose("Heron", View::lay);
    ASSERT_TRUE(strip().isVisible());
    ASSERT_LT(number("body"), number("neck"));
    dragTread("body", "neck");
    EXPECT_GT(number("body"), number("neck"));
    EXPECT_TRUE(says().contains("lies over")) << says().toStdString();
    session().undo();
    EXPECT_LT(number("body"), number("neck"));
}

TEST_F(StackHand, ATreadDraggedDownGoesUnder) {
    choose("Heron", View::lay);
    dragTread("neck", "body");
    EXPECT_LT(number("neck"), number("body"));
    EXPECT_EQ(session().piece()->id, named("neck")) << "what is dragged is chosen";
}

TEST_F(StackHand, ATreadStaysWhereAnotherPieceMinds) {
    choose("Heron", View::lay);
    const auto before = session().quilt();
    dragTread("wing", "body"); // the wing lies on the neck, and that on the body
    EXPECT_TRUE(session().quilt() == before);
    EXPECT_TRUE(says().contains("9 neck would have to lie both over and under it")) << says().toStdString();
}

TEST_F(StackHand, ADropOnNothingChangesNothing) {
    choose("Heron", View::lay);
    const auto before = session().quilt();
    const auto from = strip().treadsOf(named("wing")).front().center().toPoint();
    QTest::mousePress(&strip(), Qt::LeftButton, {}, from);
    QTest::mouseMove(&strip(), QPoint(from.x(), 2));
    QTest::mouseRelease(&strip(), Qt::LeftButton, {}, QPoint(from.x(), 2));
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(StackHand, TheSectionFollowsItsEnds) {
    choose("Heron", View::lay);
    ASSERT_FALSE(strip().treadsOf(named("body")).empty());
    for (const auto end : {sheet::Handle::sectionFrom, sheet::Handle::sectionTo}) {
        ASSERT_TRUE(window().mat().take({end, false, false}));
        window().mat().carry(0, 90);
        window().mat().letGo();
    }
    EXPECT_TRUE(strip().treadsOf(named("wing")).empty());
    EXPECT_FALSE(strip().treadsOf(named("water")).empty()) << "lower down there is water";
    EXPECT_FALSE(session().isDirty()) << "looking changes nothing";
}

TEST_F(StackHand, TheStripBelongsToLay) {
    choose("Heron", View::lay);
    session().goTo(View::cut);
    EXPECT_FALSE(strip().isVisible());
}

TEST_F(StackHand, TheNextPieceIsPlacedInNumbers) {
    choose("Heron", View::lay);
    QStringList texts;
    for (const auto* label : window().findChildren<QLabel*>())
        texts << label->text();
    EXPECT_FALSE(texts.filter("Peel the paper and lay 1 water").isEmpty());
    EXPECT_FALSE(texts.filter(" in from the bottom edge").isEmpty()) << texts.join("\n").toStdString();
}

TEST_F(StackHand, AFindingIsShownAndPutRight) {
    choose("Narrowboat", View::lay);
    EXPECT_SOON(!room().checker.isBusy());
    QAbstractButton* tuck = nullptr;
    for (auto* button : window().findChildren<QAbstractButton*>("check.fix"))
        if (button->text() == "Tuck it under") tuck = button;
    ASSERT_TRUE(tuck) << "the cabin does not reach far enough beneath the roof";
    const auto before = boundsOf(quilt::placed(*quilt::find(block().pieces, named("cabin"))));
    QTest::mouseClick(tuck, Qt::LeftButton);
    awaitMending();
    const auto after = boundsOf(quilt::placed(*quilt::find(block().pieces, named("cabin"))));
    EXPECT_LT(after.top, before.top - 2);
    EXPECT_SOON(!room().checker.isBusy());
    for (const auto& row : room().checker.rows())
        EXPECT_NE(row.worst().kind, check::Kind::reachesTooShort);
}

TEST_F(StackHand, ShowPointsAtThePlace) {
    choose("Narrowboat", View::lay);
    EXPECT_SOON(!room().checker.isBusy());
    for (const auto& row : room().checker.rows())
        if (row.worst().kind == check::Kind::shinesThrough)
            session().pointAt(row.worst().piece, {row.where(), row.spots()});
    EXPECT_EQ(session().piece()->id, named("name panel"));
    EXPECT_FALSE(session().pointed().where.isEmpty());
    session().choosePiece(named("hull"));
    EXPECT_TRUE(session().pointed().where.isEmpty()) << "until something else is looked at";
}

TEST_F(StackHand, ADoubtIsLeftAndAskedAboutAgain) {
    choose("Narrowboat", View::lay);
    EXPECT_SOON(!room().checker.isBusy());
    const auto rows = room().checker.rows().size();
    const auto left = room().checker.left();
    click("check.leave");
    awaitMending();
    EXPECT_SOON(!room().checker.isBusy() && room().checker.rows().size() == rows - 1);
    EXPECT_GT(room().checker.left(), left);
    session().undo();
    EXPECT_SOON(!room().checker.isBusy() && room().checker.rows().size() == rows);
    session().redo();
    EXPECT_SOON(!room().checker.isBusy() && room().checker.left() > left);
    click("check.again");
    EXPECT_SOON(!room().checker.isBusy() && room().checker.left() == 0);
    EXPECT_GE(room().checker.rows().size(), rows);
}

TEST_F(StackHand, ALiningIsMadeFromTheMenu) {
    choose("Narrowboat", View::lay);
    const auto count = block().pieces.size();
    session().choosePiece(named("name panel"));
    act("stack.line");
    ASSERT_EQ(block().pieces.size(), count + 1);
    EXPECT_EQ(number("lining of name panel") + 1, number("name panel"));
    session().undo();
    EXPECT_EQ(block().pieces.size(), count);
}

TEST_F(StackHand, WithoutAPieceTheMenuSaysWhatToDo) {
    choose("Heron", View::lay);
    session().choosePiece({});
    act("stack.line");
    EXPECT_TRUE(says().contains("Choose a piece first"));
}

TEST_F(StackHand, AnEmptyQuiltSaysWhyNothingHappens) {
    session().startNew(quilt::emptyQuilt("Empty"));
    for (const char* action : {"stack.number", "stack.tuck", "stack.line", "stack.unit", "place.centre"}) {
        window().findChild<QLabel*>("says")->clear();
        act(action);
        EXPECT_TRUE(says().contains("no pieces yet")) << action;
    }
}

TEST_F(StackHand, TuckingSaysWhatMustBeTracedAgain) {
    choose("Narrowboat", View::lay); // its pieces are on their web already
    act("stack.tuck");
    EXPECT_TRUE(says().contains("To be traced again: ")) << says().toStdString();
    EXPECT_TRUE(says().contains(QString::number(number("cabin")))) << says().toStdString();
}

TEST_F(StackHand, ALockedPieceStays) {
    choose("Heron", View::lay);
    session().choosePiece(named("crest"));
    act("place.lock");
    const auto before = session().quilt();
    QTest::keyClick(&window().mat(), Qt::Key_Right);
    EXPECT_TRUE(session().quilt() == before);
    EXPECT_TRUE(says().contains("locked"));
    act("place.lock");
    QTest::keyClick(&window().mat(), Qt::Key_Right);
    EXPECT_FALSE(session().quilt() == before);
}

TEST_F(StackHand, AUnitSharesANumberInTheRail) {
    choose("Kingfisher", View::lay);
    session().choosePiece(named("eye"));
    act("stack.unit");
    EXPECT_NE(quilt::find(block().pieces, named("eye"))->unit, 0);
    EXPECT_FALSE(quilt::labelOf(block(), named("eye")).find_first_of("abcd") == std::string::npos);
    act("stack.unit");
    EXPECT_EQ(quilt::find(block().pieces, named("eye"))->unit, 0);
}

TEST_F(StackHand, ADraggedPieceSnapsToTheCreaseWhenItIsLetGo) {
    choose("Water can", View::lay);
    const auto id = named("body");
    session().choosePiece(id);
    const double middle = block().width.mm() / 2;
    const auto now = [&] { return boundsOf(quilt::placed(*quilt::find(block().pieces, id))).centre().x; };
    const double off = middle - now();
    ASSERT_TRUE(window().mat().take({id, false, false}));
    window().mat().carry(off + 30, 0);
    window().mat().carry(-29, 0);
    QCoreApplication::processEvents();
    EXPECT_NEAR(now(), middle + 1, 0.01);
    window().mat().letGo();
    EXPECT_NEAR(now(), middle, 0.01);
    session().undo();
    EXPECT_NEAR(now(), middle - off, 0.01) << "drag and snap are one step";
}

TEST_F(StackHand, TheDesignIsCentred) {
    choose("Water can", View::lay);
    act("place.centre");
    const auto gaps = plan::gapsOf(block(), plan::planBlock(block()));
    EXPECT_NEAR(gaps->left, gaps->right, 0.01);
    EXPECT_NEAR(gaps->top, gaps->bottom, 0.01);
    act("place.weigh");
    const auto weighed = plan::gapsOf(block(), plan::planBlock(block()));
    EXPECT_GE(weighed->top, weighed->bottom - 0.01) << "the gap at the top is never the smaller one";
}

TEST_F(StackHand, ADesignThatRunsOffIsNotPulledApart) {
    choose("Heron", View::lay);
    const auto before = session().quilt();
    act("place.centre");
    EXPECT_TRUE(session().quilt() == before);
    EXPECT_TRUE(says().contains("runs off"));
}

TEST_F(StackHand, NumberingAnewIsOneStepToUndo) {
    choose("Duck family", View::lay);
    const auto before = session().quilt();
    act("stack.number");
    EXPECT_FALSE(session().quilt() == before);
    act("stack.number");
    EXPECT_TRUE(says().contains("already")) << says().toStdString();
    session().undo();
    EXPECT_TRUE(session().quilt() == before);
}

} // namespace
} // namespace up::test
