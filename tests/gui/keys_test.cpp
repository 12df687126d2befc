// SPDX-License-Identifier: GPL-3.0-or-later
// Keyboard for everything, and the mouse on the mat.
#include "app/look/names.hpp"
#include "app/window/press_timer.hpp"
#include "tests/gui/bench.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QMenuBar>

namespace up::test {
namespace {

using app::View;
using measure::Length;

class Keys : public WindowTest {
protected:
    Keys() {
        openSample();
        window().mat().setFocus();
    }
};

TEST(ViewNames, EveryViewHasANameAndAKeyOfItsOwn) {
    QStringList names, keys;
    for (const auto view : every<app::View>())
        names << app::nameOf(view), keys << app::keyTo(view);
    EXPECT_FALSE(names.contains("") || keys.contains(""));
    EXPECT_EQ(names.removeDuplicates() + keys.removeDuplicates(), 0);
}

TEST_F(Keys, DigitsGoToTheTreads) {
    for (int i = 0; i < 8; ++i) {
        key(static_cast<Qt::Key>(Qt::Key_1 + i));
        EXPECT_EQ(session().view(), app::viewOf(every<quilt::Tread>()[static_cast<std::size_t>(i)]));
    }
    key(Qt::Key_0);
    EXPECT_EQ(session().view(), View::landing);
    key(Qt::Key_9);
    EXPECT_EQ(session().view(), View::stash);
    key(Qt::Key_L);
    EXPECT_EQ(session().view(), View::logbook);
    EXPECT_TRUE(find<QListWidget>("log").isVisible());
    EXPECT_GT(find<QListWidget>("log").count(), 300);
}

TEST_F(Keys, TheStairIsClimbedWithTheMouseToo) {
    for (const View view : every<View>()) {
        climb(view);
        EXPECT_EQ(session().view(), view);
    }
}

TEST_F(Keys, RTurnsTheViewOverAndTheBadgeWithIt) {
    key(Qt::Key_5);
    const auto tip = [&](bool turned) {
        for (const auto& layer : window().mat().scene().panels[0].layers)
            for (const auto& item : layer.items)
                if (const auto* flag = std::get_if<sheet::Flag>(&item)) {
                    EXPECT_EQ(flag->pointsLeft, turned);
                }
    };
    EXPECT_EQ(window().mat().scene().panels[0].side, app::Side::front);
    tip(false);
    key(Qt::Key_R);
    EXPECT_EQ(window().mat().scene().panels[0].side, app::Side::paper);
    tip(true);
    key(Qt::Key_R);
    EXPECT_EQ(window().mat().scene().panels[0].side, app::Side::front);
}

TEST_F(Keys, BracketsMoveThePieceInTheStackAndRenumber) {
    const auto id = block().pieces[4].id;
    session().choosePiece(id);
    key(Qt::Key_BracketRight);
    EXPECT_EQ(block().pieces[5].id, id);
    key(Qt::Key_BracketLeft);
    key(Qt::Key_BracketLeft);
    EXPECT_EQ(block().pieces[3].id, id);
    EXPECT_EQ(quilt::numberOf(block(), id), 4);
}

TEST_F(Keys, ArrowsNudgeByASixteenthAndAQuarter) {
    key(Qt::Key_5);
    session().choosePiece(block().pieces[0].id);
    window().mat().setFocus();
    key(Qt::Key_Right);
    EXPECT_EQ(block().pieces[0].place.right, Length::ofInches(1, 16));
    key(Qt::Key_Up, Qt::ShiftModifier);
    EXPECT_EQ(block().pieces[0].place.down, Length::ofInches(-1, 4));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(block().pieces[0].place, quilt::Placement{}) << "a run of nudges is one entry";
}

TEST_F(Keys, ADragMovesThePieceUnderTheMouseAndIsOneEntry) {
    choose("Bulrushes");
    key(Qt::Key_5);
    auto& mat = window().mat();
    const auto& head = block().pieces[8]; // the middle head stands free in the upper half
    const auto id = head.id;
    const auto spot = session().derived().spots()[8].at;
    const QPoint from = onMat(spot), to = onMat({spot.x + 25.4, spot.y + 12.7});
    QTest::mousePress(&mat, Qt::LeftButton, {}, from);
    EXPECT_EQ(session().piece()->id, id);
    for (int i = 1; i <= 10; ++i) {
        const QPoint step = from + (to - from) * i / 10;
        QMouseEvent move(QEvent::MouseMove, QPointF(step), mat.mapToGlobal(QPointF(step)), Qt::LeftButton,
                         Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&mat, &move);
    }
    QTest::mouseRelease(&mat, Qt::LeftButton, {}, to);
    const double pixel = 25.4 / (onMat({25.4, 0}) - onMat({0, 0})).x();
    EXPECT_NEAR(quilt::find(block().pieces, id)->place.right.mm(), 25.4, 2 * pixel);
    EXPECT_NEAR(quilt::find(block().pieces, id)->place.down.mm(), 12.7, 2 * pixel);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(quilt::find(block().pieces, id)->place, quilt::Placement{});
}

TEST_F(Keys, TurningIsInSteps) {
    key(Qt::Key_5);
    session().choosePiece(block().pieces[0].id);
    click("lay.right");
    click("lay.right");
    click("lay.left");
    EXPECT_NEAR(block().pieces[0].place.turn.degrees(), 5, 1e-9);
}

TEST_F(Keys, SlashFindsAPiece) {
    key(Qt::Key_Slash);
    EXPECT_TRUE(find<QLineEdit>("find").hasFocus());
    QTest::keyClicks(&find<QLineEdit>("find"), "porthole");
    auto& rail = find<QListWidget>("rail");
    int shown = 0;
    for (int i = 0; i < rail.count(); ++i)
        shown += !rail.item(i)->isHidden();
    EXPECT_EQ(shown, 2);
    EXPECT_EQ(session().view(), View::landing) << "letters typed are not commands";
}

TEST_F(Keys, SpaceDoesWhatNowSaysButLeavesButtonsAlone) {
    choose("Hurricane lamp");
    key(Qt::Key_7);
    window().mat().setFocus();
    EXPECT_SOON(session().derived().stitching().isNewest());
    const auto next = session().next().pieces.front();
    key(Qt::Key_Space);
    EXPECT_EQ(quilt::find(block().pieces, next)->sewn->size(), 1U);
    const auto quiltBefore = session().quilt();
    session().choosePiece(block().pieces[0].id);
    find<QAbstractButton>("piece.runsOff").setFocus();
    key(Qt::Key_Space);
    EXPECT_NE(block().pieces[0].runsOff, quiltBefore.blocks[7].pieces[0].runsOff)
        << "the focused box was ticked";
}

TEST_F(Keys, TStartsAndStopsThePressTimerWithTheWebsOwnSettings) {
    auto& timer = *window().findChild<app::PressTimer*>();
    auto& presses = room().presses;
    key(Qt::Key_3);
    EXPECT_TRUE(timer.isVisible());
    EXPECT_DOUBLE_EQ(presses.seconds(), session().quilt().webs[0].first.seconds);
    key(Qt::Key_6);
    EXPECT_DOUBLE_EQ(presses.seconds(), session().quilt().webs[0].final.seconds);
    key(Qt::Key_3);
    key(Qt::Key_T);
    EXPECT_TRUE(presses.clock().isRunning());
    key(Qt::Key_T);
    EXPECT_FALSE(presses.clock().isRunning());
    key(Qt::Key_1);
    EXPECT_FALSE(timer.isVisible());
}

TEST_F(Keys, TheTimerEndsByItself) {
    auto quilt = session().quilt();
    for (auto& web : quilt.webs)
        web.first.seconds = 0.2;
    session().apply(quilt, "short");
    key(Qt::Key_3);
    key(Qt::Key_T);
    const auto& clock = room().presses.clock();
    EXPECT_SOON(!clock.isRunning());
    EXPECT_EQ(clock.secondsLeft(), 0);
    EXPECT_EQ(find<QLabel>("timer.left").text(), "Lift the iron");
}

TEST_F(Keys, TheRailChoosesAndTheMatShows) {
    auto& rail = find<QListWidget>("rail");
    EXPECT_EQ(rail.count(), 22);
    QTest::mouseClick(rail.viewport(), Qt::LeftButton, {}, rail.visualItemRect(rail.item(0)).center());
    EXPECT_EQ(session().piece()->id, block().pieces.back().id) << "the topmost piece is at the top";
    EXPECT_EQ(find<QLineEdit>("piece.name").text(), "ripple 2");
}

TEST_F(Keys, APieceIsRenamedAndGivenAnotherFabric) {
    session().choosePiece(block().pieces[3].id);
    auto& name = find<QLineEdit>("piece.name");
    name.setFocus();
    name.selectAll();
    QTest::keyClicks(&name, "swan neck");
    QTest::keyClick(&name, Qt::Key_Return);
    EXPECT_EQ(block().pieces[3].name, "swan neck");
    auto& fabric = find<QComboBox>("piece.fabric");
    const auto wanted = session().quilt().fabrics[2].id;
    fabric.setCurrentIndex(fabric.findData(wanted.value));
    emit fabric.activated(fabric.currentIndex());
    EXPECT_EQ(block().pieces[3].fabric, wanted);
    EXPECT_EQ(session().history().undoName(), "change fabric");
}

TEST_F(Keys, AFixMovesThePieceInside) {
    choose("Bulrushes");
    const auto id = block().pieces[8].id;
    session().apply(edit::movePiece(session().quilt(), session().blockId(), id, Length(), Length::ofMm(-60)),
                    "move");
    EXPECT_SOON(!room().checker.isBusy());
    QAbstractButton* fix = nullptr;
    EXPECT_SOON((fix = window().findChild<QAbstractButton*>("check.fix")) != nullptr);
    ASSERT_TRUE(fix);
    QTest::mouseClick(fix, Qt::LeftButton);
    EXPECT_SOON(!room().mending.isBusy());
    EXPECT_GE(boundsOf(quilt::placed(*quilt::find(block().pieces, id))).top, -1e-3);
}

TEST_F(Keys, EveryControlHasANameAndSaysWhatItDoes) {
    for (auto* widget : window().findChildren<QWidget*>()) {
        if (!app::hasWords(widget->objectName())) continue;
        EXPECT_FALSE(widget->accessibleName().isEmpty()) << widget->objectName().toStdString();
        EXPECT_FALSE(widget->toolTip().isEmpty()) << widget->objectName().toStdString();
    }
    for (auto* button : window().findChildren<QAbstractButton*>())
        if (!button->objectName().startsWith("qt_") &&
            !qobject_cast<QAbstractItemView*>(button->parentWidget()) && !button->inherits("QToolButton")) {
            EXPECT_TRUE(app::hasWords(button->objectName())) << button->text().toStdString();
        }
    for (auto* action : window().menuBar()->actions())
        EXPECT_TRUE(action->menu());
}

TEST_F(Keys, TargetsAreLargeEnoughForHandsThatHoldFabric) {
    for (const View view : every<View>()) {
        session().goTo(view);
        QCoreApplication::processEvents();
        for (auto* button : window().findChildren<QAbstractButton*>())
            if (button->isVisible() && app::hasWords(button->objectName())) {
                EXPECT_GE(button->height(), 32) << button->objectName().toStdString();
            }
    }
}

} // namespace
} // namespace up::test
