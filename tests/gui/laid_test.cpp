// SPDX-License-Identifier: GPL-3.0-or-later
// Stems, leading and trimmings, by mouse and keys: laid on, counted, mended, taken back.
#include "app/dialogs/choice.hpp"
#include "app/dialogs/laid_dialog.hpp"
#include "app/pictures/line_picture.hpp"
#include "core/mend/mend.hpp"
#include "core/quilt/laying.hpp"
#include "intake/letters/written.hpp"
#include "tests/gui/bench.hpp"

#include <QComboBox>
#include <QLineEdit>
#include <QSpinBox>
#include <algorithm>

namespace up::test {
namespace {

using app::View;
using quilt::Trim;

class LaidOn : public WindowTest {
protected:
    void SetUp() override {
        openSample();
        find<QAction>("file.otherSample").trigger();
    }
    [[nodiscard]] const quilt::Line& line(const std::string& name) {
        const auto at = std::find_if(block().lines.begin(), block().lines.end(),
                                     [&](const auto& line) { return line.name == name; });
        return *at;
    }
    [[nodiscard]] app::LineQuestion question(LineId id = {}, PieceId along = {}) {
        return {session().quilt(), block().id, id, {}, true, along, intake::written};
    }
};

template<class W> W* in(app::LaidDialog& dialog, const char* name) {
    return dialog.findChild<W*>(name);
}

void drag(app::LinePicture& picture, shape::Point from, shape::Point to) {
    const auto a = picture.pixelOf(from).toPoint(), b = picture.pixelOf(to).toPoint();
    QTest::mousePress(&picture, Qt::LeftButton, {}, a);
    for (int i = 1; i <= 10; ++i)
        QTest::mouseMove(&picture, a + (b - a) * i / 10);
    QTest::mouseRelease(&picture, Qt::LeftButton, {}, b);
}

TEST_F(LaidOn, TheDialogDrawsAStemInPlaceOfItsExample) {
    choose("Bramble", View::draw);
    app::LaidDialog dialog(question());
    dialog.show();
    EXPECT_EQ(dialog.trouble(), "");
    ASSERT_EQ(dialog.answer().strokes->size(), 1u) << "something to look at";
    EXPECT_EQ(dialog.answer().laid->fabric, line("berries").laid->fabric) << "as the last one here";
    auto* picture = dialog.findChild<app::LinePicture*>();
    drag(*picture, {40, 60}, {90, 110});
    ASSERT_EQ(dialog.answer().strokes->size(), 1u);
    EXPECT_LT(shape::distance(placed(dialog.answer())[0].start, {40, 60}), 1.5);
    drag(*picture, {140, 60}, {90, 110});
    EXPECT_EQ(dialog.answer().strokes->size(), 2u);
    in<QPushButton>(dialog, "laid.clear")->click();
    EXPECT_NE(dialog.trouble(), "") << "nothing is drawn";
}

TEST_F(LaidOn, WhatItIsBringsItsUsualWidthAndHold) {
    choose("Bramble", View::draw);
    app::LaidDialog dialog(question());
    dialog.show();
    app::choose(*in<QComboBox>(dialog, "laid.trim"), Trim::cord);
    EXPECT_EQ(dialog.answer().laid->width, quilt::Length::ofInches(1, 8));
    EXPECT_EQ(dialog.answer().stitch, quilt::LineStitch::machineSatin);
    app::choose(*in<QComboBox>(dialog, "laid.trim"), Trim::dot);
    EXPECT_TRUE(dialog.answer().laid->glued);
    EXPECT_TRUE(dialog.answer().laid->melts);
    auto* picture = dialog.findChild<app::LinePicture*>();
    for (const double x : {50.0, 70.0, 90.0})
        QTest::mouseClick(picture, Qt::LeftButton, {}, picture->pixelOf({x, 60}).toPoint());
    EXPECT_EQ(thingsAt(dialog.answer()).size(), 3u) << "a place for each click";
    in<QLineEdit>(dialog, "laid.width")->setText("0");
    EXPECT_TRUE(dialog.trouble().contains("width")) << dialog.trouble().toStdString();
}

TEST_F(LaidOn, LeadingRunsOverAllBorders) {
    choose("Landing window", View::draw);
    app::LaidDialog dialog(question());
    dialog.show();
    app::choose(*in<QComboBox>(dialog, "laid.trim"), Trim::tape);
    app::choose(*in<QComboBox>(dialog, "laid.along"), app::Where::borders);
    EXPECT_EQ(dialog.trouble(), "");
    EXPECT_EQ(dialog.answer().strokes->size(), 6u);
    EXPECT_EQ(dialog.answer().laid->end, quilt::LaidEnd::covered);
    EXPECT_FALSE(in<QPushButton>(dialog, "laid.clear")->isVisible());
}

TEST_F(LaidOn, AlongTheEdgeOfThePieceThatIsChosen) {
    choose("Bramble", View::draw);
    const auto leaf = named("top leaf");
    app::LaidDialog dialog(question({}, leaf));
    dialog.show();
    app::choose(*in<QComboBox>(dialog, "laid.along"), app::Where::edge);
    ASSERT_EQ(dialog.answer().strokes->size(), 1u);
    const auto edge = flattened(placed(the(block().pieces, leaf)).edge);
    const auto closed = shape::lengthOf(edge) + shape::distance(edge.front(), edge.back());
    EXPECT_NEAR(shape::lengthOf(flattened(placed(dialog.answer())[0])), closed, 0.1);
}

/// The chosen one is changed, by the same button; undone in one step.
TEST_F(LaidOn, TheChosenOneIsChangedAndTakenAway) {
    choose("Lock gate", View::draw);
    const auto before = session().quilt();
    const auto id = line("rope").id;
    session().chooseLine(id);
    m_asker.lineAnswer = [&](const app::LineQuestion& asked) {
        EXPECT_EQ(asked.line, id);
        EXPECT_TRUE(asked.lays);
        app::LaidDialog dialog(asked);
        in<QLineEdit>(dialog, "laid.width")->setText("1/4");
        return std::optional(dialog.answer());
    };
    find<QAction>("laid.new").trigger();
    EXPECT_EQ(line("rope").laid->width, quilt::Length::ofInches(1, 4));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
    session().chooseLine(id);
    find<QAction>("edit.removePiece").trigger();
    EXPECT_EQ(block().lines.size(), 1u);
}

/// Strip by strip with Space, on Stitch, then the machine.
TEST_F(LaidOn, SpaceLaysOneTapeAfterTheOther) {
    choose("Landing window", View::stitch);
    EXPECT_SOON(session().next().what == plan::What::layLine);
    window().mat().setFocus();
    for (int done = 3; done <= 6; ++done) {
        ASSERT_EQ(session().next().what, plan::What::layLine);
        EXPECT_EQ(session().next().laid->number, static_cast<std::size_t>(done));
        key(Qt::Key_Space);
        EXPECT_EQ(line("leading").laid->done, done);
        EXPECT_EQ(session().quilt().log->back().what, quilt::Event::lineLaid);
        EXPECT_SOON(session().next().what != plan::What::findWays);
    }
    EXPECT_EQ(session().next().what, plan::What::stitch);
    EXPECT_TRUE(session().next().stitch->run.of) << "an edge of the tape";
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(line("leading").laid->done, 5);
}

/// Twelve rivets are called for and eleven drawn: said, and mended by its button.
TEST_F(LaidOn, MiscountedThingsAreTold) {
    choose("Lock gate", View::finish);
    const auto isMiscounted = [&] {
        const auto rows = room().checker.rows();
        return std::any_of(rows.begin(), rows.end(),
                           [](const auto& row) { return row.worst().kind == check::Kind::miscounted; });
    };
    EXPECT_SOON(!room().checker.isBusy() && isMiscounted());
    for (const auto& row : room().checker.rows())
        if (row.worst().kind == check::Kind::miscounted) {
            const auto mended = mend::mended(session().quilt(), row.findings, check::Fix::countIsRight);
            ASSERT_TRUE(session().apply(mended, "counted"));
            break;
        }
    EXPECT_EQ(line("rivets").laid->called, 11);
    EXPECT_SOON(!room().checker.isBusy() && !isMiscounted());
}

} // namespace
} // namespace up::test
