// SPDX-License-Identifier: GPL-3.0-or-later
// The narrowboat from a drawing to "stitched", by mouse and keys.
#include "core/store/quilt_file.hpp"
#include "tests/gui/bench.hpp"

#include <QCheckBox>
#include <QLineEdit>
#include <QPushButton>

namespace up::test {
namespace {

using app::View;
using quilt::Step;

class Path : public WindowTest {
protected:
    [[nodiscard]] bool all(Step step) {
        return std::all_of(block().pieces.begin(), block().pieces.end(),
                           [&](const auto& p) { return p.work.step >= step; });
    }
    void layOut() {
        climb(View::trace);
        click("now");
        awaitLayout();
        ASSERT_TRUE(block().layout);
    }
    void workTo(View last) {
        for (int view = static_cast<int>(View::trace); view <= static_cast<int>(last); ++view)
            doTread(static_cast<View>(view));
    }
};

TEST_F(Path, NarrowboatFromDrawingToStitched) {
    m_asker.texts = {"Narrowboat", "9 in"};
    click("now"); // an empty quilt asks for its first block
    m_asker.files = {drawing("narrowboat.svg")};
    click("now"); // an empty block asks for its drawing
    EXPECT_SOON(block().pieces.size() == 22);
    EXPECT_EQ(session().view(), View::draw);
    EXPECT_TRUE(said().contains("22 pieces imported")) << said().toStdString();
    layOut();
    EXPECT_TRUE(block().layout->unplaced.empty());
    doTread(View::trace);
    EXPECT_TRUE(all(Step::traced));
    doTread(View::bond);
    EXPECT_TRUE(all(Step::bonded));
    doTread(View::cut);
    EXPECT_TRUE(all(Step::cleanCut));
    doTread(View::lay);
    EXPECT_TRUE(all(Step::laid));
    doTread(View::fuse);
    EXPECT_TRUE(all(Step::tested));
    doTread(View::stitch);
    EXPECT_TRUE(all(Step::stitched));
    climb(View::finish);
    EXPECT_EQ(session().next().what, plan::What::trim);
    click("now");
    EXPECT_TRUE(block().trimmed);
    EXPECT_EQ(session().quilt().log->back().what, quilt::Event::trimmed);

    const auto path = QString::fromStdString(m_dir.file("boat.upstairs"));
    m_asker.files = {path};
    key(Qt::Key_S, Qt::ControlModifier);
    EXPECT_FALSE(session().isDirty());
    const auto before = session().quilt();
    openWindow();
    room().files.openFile(path);
    EXPECT_TRUE(session().quilt() == before) << "everything is where it was";
}

TEST_F(Path, EveryStepIsLoggedWithItsTime) {
    importInto("windlass.svg", 8);
    layOut();
    workTo(View::stitch);
    int steps = 0;
    std::int64_t last = 0;
    for (const auto& entry : *session().quilt().log) {
        EXPECT_GE(entry.time, last);
        last = entry.time;
        steps += quilt::stepOf(entry.what).has_value();
    }
    EXPECT_EQ(steps, 8 * 8); // eight pieces without marks: traced … stitched less "marked"
}

TEST_F(Path, EverythingCanBeUndoneBackToTheEmptyQuilt) {
    importInto("windlass.svg", 8);
    layOut();
    workTo(View::cut);
    const auto done = session().quilt();
    int undone = 0;
    while (session().history().canUndo() && undone < 500)
        key(Qt::Key_Z, Qt::ControlModifier), ++undone;
    EXPECT_TRUE(session().quilt().blocks.empty());
    while (session().history().canRedo())
        key(Qt::Key_Y, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == done);
}

TEST_F(Path, TheFinishedSizeScalesTheTemplates) {
    importInto("windlass.svg", 8);
    const auto before = boundsOf(*block().pieces[0].outline).width();
    auto& size = find<QLineEdit>("draw.size");
    size.setFocus();
    size.selectAll();
    QTest::keyClicks(&size, "4 1/2");
    QTest::keyClick(&size, Qt::Key_Return);
    EXPECT_EQ(block().width, measure::Length::ofInches(9, 2));
    EXPECT_NEAR(boundsOf(*block().pieces[0].outline).width(), before / 2, 1e-6);
}

TEST_F(Path, AnotherSizeSaysWhatBecomesOfTracedPieces) {
    importInto("windlass.svg", 8);
    layOut();
    doTread(View::trace);
    room().commands.resize("6");
    EXPECT_TRUE(said().contains("8 traced pieces")) << said().toStdString();
    EXPECT_EQ(block().pieces[0].work.step, Step::toTrace);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(block().pieces[0].work.step, Step::traced);
    room().commands.resize("9");
    EXPECT_TRUE(said().isEmpty()) << "the same size changes nothing";
}

TEST_F(Path, AZeroSizeIsRefusedWithASentence) {
    importInto("windlass.svg", 8);
    for (const char* bad : {"0", "huge", "9999999", "-2"}) {
        auto& size = find<QLineEdit>("draw.size");
        size.setFocus();
        size.selectAll();
        QTest::keyClicks(&size, bad);
        QTest::keyClick(&size, Qt::Key_Return);
        EXPECT_EQ(block().width, measure::Length::ofInches(9, 1)) << bad;
        EXPECT_TRUE(said().startsWith("✖")) << bad;
        EXPECT_EQ(size.text(), "9 in") << "the field shows the truth again";
    }
}

TEST_F(Path, ADrawingThatCameReversedIsTurnedRound) {
    importInto("narrowboat.svg", 22);
    const auto before = boundsOf(*block().pieces[0].outline);
    QTest::mouseClick(&find<QCheckBox>("draw.reversed"), Qt::LeftButton, {},
                      QPoint(10, find<QCheckBox>("draw.reversed").height() / 2));
    const auto after = boundsOf(*block().pieces[0].outline);
    EXPECT_NEAR(after.left, 228.6 - before.right, 1e-6);
    EXPECT_TRUE(block().givenReversed);
}

TEST_F(Path, MarksAreAskedForBeforeThePaperComesOff) {
    importInto("watercan.svg", 20);
    layOut();
    workTo(View::bond);
    climb(View::cut);
    bool sawMarks = false;
    for (int i = 0; i < 100 && session().next().what == plan::What::step; ++i) {
        sawMarks = sawMarks || session().next().step == Step::marked;
        key(Qt::Key_Space);
    }
    EXPECT_TRUE(sawMarks);
    for (const auto& piece : block().pieces)
        EXPECT_EQ(piece.work.marksDrawn, piece.hasMarks());
}

TEST_F(Path, SkippedMarksAreLostOnlyAfterAYes) {
    importInto("watercan.svg", 20);
    layOut();
    workTo(View::bond);
    std::vector<PieceId> ids;
    PieceId marked;
    for (const auto& piece : block().pieces) {
        ids.push_back(piece.id);
        if (piece.hasMarks() && !marked) marked = piece.id;
    }
    ASSERT_TRUE(marked);
    room().commands.doStep(ids, Step::cleanCut);
    ASSERT_TRUE(all(Step::cleanCut));
    room().commands.doStep(ids, Step::laid);
    EXPECT_TRUE(m_asker.asked.back().contains("Marks would be lost"));
    EXPECT_FALSE(all(Step::laid)) << "no answer is no";
    m_asker.yeses = {true, true, true, true};
    room().commands.doStep(ids, Step::laid);
    EXPECT_TRUE(all(Step::laid));
}

TEST_F(Path, ARuinedPieceGoesBackToTraceWithItsReason) {
    importInto("windlass.svg", 8);
    layOut();
    workTo(View::bond);
    const auto id = block().pieces[2].id;
    session().choosePiece(id);
    m_asker.choices = {"heated too long"};
    click("piece.ruined");
    EXPECT_EQ(quilt::find(block().pieces, id)->work.step, Step::toTrace);
    EXPECT_EQ(session().quilt().log->back().note, "heated too long");
    climb(View::trace);
    EXPECT_EQ(session().next().what, plan::What::layOut) << "it needs a new place on the web";
    click("now");
    awaitLayout();
    EXPECT_EQ(session().next().pieces, std::vector{id});
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(quilt::find(block().pieces, id)->work.step, Step::bonded) << "undone";
}

TEST_F(Path, AnUpperPieceIsNotLaidBeforeTheOneBeneathIt) {
    importInto("windlass.svg", 8);
    layOut();
    workTo(View::cut);
    session().choosePiece(block().pieces[1].id);
    click("piece.step");
    EXPECT_EQ(block().pieces[1].work.step, Step::cleanCut);
    EXPECT_TRUE(said().contains("lies on")) << said().toStdString();
}

TEST_F(Path, LayingOutCanBeStoppedAndKeepsTheBest) {
    importInto("narrowboat.svg", 22);
    room().layout.start({600, 0, 1});
    climb(View::trace);
    EXPECT_SOON(find<QPushButton>("trace.layout").text().startsWith("Stop  "));
    EXPECT_EQ(find<QPushButton>("now").text(), "Stop");
    click("trace.layout");
    awaitLayout();
    ASSERT_TRUE(block().layout);
    EXPECT_EQ(block().layout->traced.size() + block().layout->unplaced.size(), 22U);
}

TEST_F(Path, APieceLargerThanTheWebIsNamed) {
    importInto("windlass.svg", 8);
    auto quilt = session().quilt();
    quilt.webs.front().width = measure::Length::ofInches(5, 1);
    session().apply(quilt, "narrow web");
    layOut();
    EXPECT_EQ(block().layout->unplaced.size(), 2U); // roundel and inner disc
    EXPECT_SOON(!room().checker.isBusy());
    const auto& rows = room().checker.rows();
    ASSERT_FALSE(rows.empty());
    EXPECT_EQ(rows[0].worst().kind, check::Kind::larger);
    EXPECT_EQ(rows[0].count(), 2U);
}

TEST_F(Path, SheetsAreWrittenFromTheWindow) {
    importInto("windlass.svg", 8);
    layOut();
    const auto pdf = m_dir.file("t.pdf");
    m_asker.files = {QString::fromStdString(pdf)};
    click("trace.pages");
    EXPECT_SOON(said().contains("Written"));
    EXPECT_TRUE(readAll(pdf).starts_with("%PDF"));
    climb(View::lay);
    m_asker.files = {"/no/such/folder/p.pdf"};
    click("lay.sheet");
    EXPECT_SOON(said().startsWith("✖"));
}

} // namespace
} // namespace up::test
