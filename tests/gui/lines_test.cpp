// SPDX-License-Identifier: GPL-3.0-or-later
// Words and lines, by mouse and keys: written, moved, turned, taken away, stitched.
#include "app/dialogs/choice.hpp"
#include "app/dialogs/line_dialog.hpp"
#include "app/pictures/line_picture.hpp"
#include "core/edit/lines.hpp"
#include "intake/letters/written.hpp"
#include "tests/gui/bench.hpp"

#include <QComboBox>
#include <QLineEdit>
#include <QSpinBox>

namespace up::test {
namespace {

using app::View;
using quilt::Length;

/// What the dialog makes of a question when it is only accepted.
quilt::Line proposed(const app::LineQuestion& question) {
    app::LineDialog dialog(question);
    return dialog.answer();
}

class Lines : public WindowTest {
protected:
    void SetUp() override {
        openSample();
        choose("Bulrushes", View::draw);
        m_asker.lineAnswer = [](const app::LineQuestion& question) {
            return std::optional(proposed(question));
        };
    }
    [[nodiscard]] const quilt::Line& line() { return block().lines.at(0); }
};

TEST_F(Lines, WordsAreAddedInTheMiddleAndMovedWithTheArrows) {
    const auto before = session().quilt();
    click("draw.line");
    ASSERT_EQ(block().lines.size(), 1u);
    EXPECT_EQ(line().name, block().name);
    ASSERT_TRUE(session().line());
    EXPECT_NEAR(middleOf(line()).x, block().width.mm() / 2, 1e-3);
    const auto at = middleOf(line());
    window().mat().setFocus();
    key(Qt::Key_Right);
    EXPECT_GT(middleOf(line()).x, at.x + 0.1);
    key(Qt::Key_Period);
    EXPECT_NEAR(line().place.turn.degrees(), 5, 1e-6);
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(middleOf(line()).x, at.x, 1e-6);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
    EXPECT_FALSE(session().line());
}

TEST_F(Lines, TheChosenLineIsChangedAndTakenAway) {
    click("draw.line");
    m_asker.lineAnswer = [](const app::LineQuestion& question) {
        auto line = proposed(question);
        line.strands = 2;
        return std::optional(line);
    };
    click("draw.line");
    ASSERT_EQ(block().lines.size(), 1u) << "the one that is chosen, not another";
    EXPECT_EQ(line().strands, 2);
    find<QAction>("edit.removePiece").trigger();
    EXPECT_TRUE(block().lines.empty());
    EXPECT_FALSE(block().pieces.empty());
}

TEST_F(Lines, TheDialogWritesBendsAndDraws) {
    const auto along = named("middle head");
    app::LineDialog dialog({session().quilt(), block().id, {}, {"Sans"}, false, along, intake::written});
    dialog.show();
    const auto field = [&]<class W>(const char* name, W*) { return dialog.findChild<W*>(name); };
    field("line.text", static_cast<QLineEdit*>(nullptr))->setText("Reeds");
    field("line.bend", static_cast<QSpinBox*>(nullptr))->setValue(60);
    EXPECT_EQ(dialog.trouble(), "");
    EXPECT_EQ(dialog.answer().name, "Reeds");
    EXPECT_NEAR(dialog.answer().written->bend.degrees(), 60, 1e-9);
    app::choose(*field("line.along", static_cast<QComboBox*>(nullptr)), app::Baseline::edge);
    EXPECT_EQ(dialog.trouble(), "");
    const auto head = boundsOf(placed(the(block().pieces, along)));
    EXPECT_NEAR(middleOf(dialog.answer()).x, head.centre().x, 2) << "over the top of the head";
    const auto region = shape::regionOf(placed(the(block().pieces, along)));
    shape::Box letters;
    for (const auto& stroke : placed(dialog.answer())) {
        letters.take(boundsOf(stroke));
        EXPECT_TRUE(shape::inside(flattened(stroke), region).empty()) << "outside it";
    }
    EXPECT_LT(letters.top, head.top - 10) << "as high as a capital, over it";
    app::choose(*field("line.along", static_cast<QComboBox*>(nullptr)), app::Baseline::arc);
    field("line.text", static_cast<QLineEdit*>(nullptr))->setText("Łódź");
    EXPECT_TRUE(dialog.trouble().contains("Ł")) << dialog.trouble().toStdString();
    auto* kind = field("line.kind", static_cast<QComboBox*>(nullptr));
    kind->setCurrentIndex(1);
    EXPECT_NE(dialog.trouble(), "") << "nothing is drawn yet";
    auto* picture = dialog.findChild<app::LinePicture*>();
    const auto from = picture->pixelOf({40, 60}).toPoint(), to = picture->pixelOf({90, 110}).toPoint();
    QTest::mousePress(picture, Qt::LeftButton, {}, from);
    for (int i = 1; i <= 10; ++i)
        QTest::mouseMove(picture, from + (to - from) * i / 10);
    QTest::mouseRelease(picture, Qt::LeftButton, {}, to);
    EXPECT_EQ(dialog.trouble(), "");
    ASSERT_EQ(dialog.answer().strokes->size(), 1u);
    EXPECT_LT(shape::distance(dialog.answer().strokes->front().end(), {90, 110}), 1.5);
    EXPECT_FALSE(dialog.answer().written);
}

/// In the second sample: Space by Space one length of floss after the other, then the trimming.
TEST_F(Lines, SpaceStitchesLengthByLength) {
    find<QAction>("file.otherSample").trigger();
    choose("Bulrushes", View::finish);
    window().mat().setFocus();
    int times = 0;
    for (; session().next().what == plan::What::sewLine && times < 60; ++times) {
        const auto name = the(block().lines, session().next().line->part.line).name;
        key(Qt::Key_Space);
        ASSERT_EQ(session().quilt().log->back().what, quilt::Event::lineSewn);
        EXPECT_EQ(session().quilt().log->back().note, name);
    }
    EXPECT_GT(times, 2);
    EXPECT_EQ(session().next().what, plan::What::trim);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().next().what, plan::What::sewLine);
}

/// Traced on Stitch, where all beneath it is fused, and stitched there among the edges.
TEST_F(Lines, ALineOfTheMachineIsARunOfStitch) {
    choose("Hurricane lamp", View::draw);
    m_asker.lineAnswer = [](const app::LineQuestion& question) {
        auto line = proposed(question);
        line.stitch = quilt::LineStitch::machineSatin;
        return std::optional(line);
    };
    click("draw.line");
    climb(View::stitch);
    EXPECT_SOON(session().next().what == plan::What::drawLines);
    window().mat().setFocus();
    key(Qt::Key_Space);
    EXPECT_TRUE(line().drawn);
    const auto isSewn = [&] { return line().sewn > 0; };
    for (int i = 0; i < 200 && !isSewn(); ++i) {
        EXPECT_SOON(session().derived().stitching().isNewest());
        ASSERT_EQ(session().next().what, plan::What::stitch) << "leg " << i;
        key(Qt::Key_Space);
    }
    EXPECT_TRUE(isSewn());
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(isSewn());
}

TEST_F(Lines, AClickOnWordsChoosesThem) {
    click("draw.line");
    session().choosePiece(block().pieces.front().id);
    EXPECT_FALSE(session().line());
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat(middleOf(line())));
    ASSERT_TRUE(session().line());
    EXPECT_FALSE(session().piece());
}

} // namespace
} // namespace up::test
