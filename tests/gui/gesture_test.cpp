// SPDX-License-Identifier: GPL-3.0-or-later
// A gesture is begun once and ended once: what becomes of it when a hand changes its mind.
#include "core/edit/tracing.hpp"
#include "core/pattern/pattern.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"

#include <QAction>
#include <QPushButton>

namespace up::test {
namespace {

using app::View;

class Gestures : public WindowTest {
protected:
    Gestures() { openSample(); }
    /// The sample quilt before anything was traced.
    void beginAllAgain() {
        auto quilt = session().quilt();
        for (auto& owner : quilt.blocks) {
            owner.layout.reset();
            for (auto& piece : owner.pieces)
                piece.work = {};
        }
        session().startNew(std::move(quilt));
    }
    [[nodiscard]] app::Mat& mat() { return window().mat(); }
    [[nodiscard]] shape::Point middleOf(PieceId piece) {
        return boundsOf(quilt::placed(*quilt::find(block().pieces, piece))).centre();
    }
    void layOut() {
        Job job;
        auto layout = must(plan::layOut(session().quilt(), block(), {0, 2, 1}, job));
        session().apply(edit::setLayout(session().quilt(), session().blockId(), std::move(layout), 1),
                        "lay out");
    }
};

TEST_F(Gestures, EscapeTakesADragBackAsIfItHadNeverBeen) {
    choose("Water can", View::lay);
    const auto id = named("body");
    const auto before = session().quilt();
    const auto from = onMat(middleOf(id));
    QTest::mousePress(&mat(), Qt::LeftButton, {}, from);
    QTest::mouseMove(&mat(), from + QPoint(30, 10));
    QTest::mouseMove(&mat(), from + QPoint(60, 20));
    ASSERT_TRUE(mat().holds());
    EXPECT_FALSE(session().quilt() == before);
    QTest::keyClick(&mat(), Qt::Key_Escape);
    EXPECT_TRUE(session().quilt() == before);
    QTest::mouseMove(&mat(), from + QPoint(90, 20));
    QTest::mouseRelease(&mat(), Qt::LeftButton, {}, from + QPoint(90, 20));
    EXPECT_TRUE(session().quilt() == before) << "nothing is held any more";
    EXPECT_FALSE(session().isDirty());
}

TEST_F(Gestures, TheRightButtonTakesADragBack) {
    choose("Water can", View::lay);
    const auto before = session().quilt();
    const auto from = onMat(middleOf(named("body")));
    QTest::mousePress(&mat(), Qt::LeftButton, {}, from);
    QTest::mouseMove(&mat(), from + QPoint(40, 0));
    QTest::mouseMove(&mat(), from + QPoint(60, 0));
    QTest::mousePress(&mat(), Qt::RightButton, {}, from + QPoint(60, 0));
    EXPECT_FALSE(mat().holds());
    EXPECT_TRUE(session().quilt() == before);
    QTest::mouseRelease(&mat(), Qt::RightButton, {}, from);
    QTest::mouseRelease(&mat(), Qt::LeftButton, {}, from);
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(Gestures, TwoDragsAreTwoSteps) {
    choose("Water can", View::lay);
    const auto id = named("body");
    const auto first = middleOf(id);
    for (int i = 0; i < 2; ++i) {
        session().choosePiece(id);
        ASSERT_TRUE(mat().take({id, false, false}));
        mat().carry(0, 20);
        mat().letGo();
    }
    session().undo();
    EXPECT_NEAR(middleOf(id).y, first.y + 20, 0.01);
    session().undo();
    EXPECT_NEAR(middleOf(id).y, first.y, 0.01);
}

TEST_F(Gestures, ASeriesOfArrowsIsOneStepUntilAnotherThingIsDone) {
    choose("Water can", View::lay);
    const auto id = named("body");
    const auto first = middleOf(id);
    session().choosePiece(id);
    mat().setFocus();
    for (int i = 0; i < 4; ++i)
        QTest::keyClick(&mat(), Qt::Key_Right);
    EXPECT_NEAR(middleOf(id).x, first.x + 25.4 / 4, 0.01);
    session().goTo(View::draw);
    session().goTo(View::lay);
    QTest::keyClick(&mat(), Qt::Key_Right);
    session().undo();
    EXPECT_NEAR(middleOf(id).x, first.x + 25.4 / 4, 0.01);
    session().undo();
    EXPECT_NEAR(middleOf(id).x, first.x, 0.01);
}

/// A held key comes faster than 300 pieces can be drawn: what has come meanwhile is one move.
TEST_F(Gestures, AHeldArrowIsAddedUp) {
    choose("Water can", View::lay);
    const auto id = named("body");
    const auto first = middleOf(id);
    session().choosePiece(id);
    int changes = 0;
    QObject::connect(&session(), &app::Session::changed, [&] { ++changes; });
    for (int i = 0; i < 20; ++i) {
        QKeyEvent held(QEvent::KeyPress, Qt::Key_Down, Qt::NoModifier, {}, true);
        QApplication::sendEvent(&mat(), &held);
    }
    EXPECT_EQ(changes, 0);
    EXPECT_SOON(std::abs(middleOf(id).y - first.y - 20 * 25.4 / 16) < 0.01);
    EXPECT_LE(changes, 2);
}

/// A layout was kept from block A by a nudge there, and put into block B by a drop too close.
TEST_F(Gestures, ADropInOneBlockNeverBringsBackTheLayoutOfAnother) {
    beginAllAgain();
    choose("Heron", View::trace);
    layOut();
    session().choosePiece(block().pieces[0].id);
    mat().setFocus();
    QTest::keyClick(&mat(), Qt::Key_Right);
    choose("Windlass", View::trace);
    layOut();
    const auto pieces = [&] {
        std::vector<PieceId> out;
        for (const auto& traced : block().layout->traced)
            out.push_back(traced.piece);
        std::sort(out.begin(), out.end());
        return out;
    };
    const auto own = pieces();
    const auto one = block().layout->traced[0], other = block().layout->traced[1];
    session().choosePiece(one.piece);
    ASSERT_TRUE(mat().take({one.piece, true, false}));
    mat().carry(other.x - one.x, other.y - one.y);
    mat().letGo();
    EXPECT_EQ(pieces(), own);
    EXPECT_TRUE(said().contains("back where it last had room")) << said().toStdString();
    EXPECT_EQ(block().layout->traced[0], one);
}

TEST_F(Gestures, AnotherLayoutEndsADragAndStays) {
    beginAllAgain();
    choose("Windlass", View::trace);
    layOut();
    const auto piece = block().layout->traced[0].piece;
    session().choosePiece(piece);
    ASSERT_TRUE(mat().take({piece, true, false}));
    mat().carry(5, 0);
    auto other = *block().layout;
    other.traced[0].x += 200;
    session().apply(edit::setLayout(session().quilt(), session().blockId(), other, 2), "lay out");
    mat().carry(5, 0);
    mat().letGo();
    EXPECT_TRUE(*block().layout == other);
}

TEST_F(Gestures, TheEndOfTheSectionMovesNoPieceOntoACrease) {
    choose("Water can", View::lay);
    const auto id = named("body");
    // The piece lies just beside the crease through the middle.
    const double off = block().width.mm() / 2 - middleOf(id).x + 1;
    session().apply(
        edit::movePiece(session().quilt(), session().blockId(), id, measure::Length::ofMm(off), {}), "move");
    session().choosePiece(id);
    const auto before = session().quilt();
    ASSERT_TRUE(mat().take({sheet::Handle::sectionFrom, false, false}));
    mat().carry(3, 12);
    mat().letGo();
    EXPECT_TRUE(session().quilt() == before);
    ASSERT_TRUE(mat().take({sheet::Handle::sectionTo, false, false}));
    const auto section = session().section();
    mat().carry(0, 12);
    mat().cancel();
    EXPECT_EQ(session().section().to, section.to);
}

/// Laying out goes on while a question is open: the answer is an edit of what is there by then.
TEST_F(Gestures, AnAnswerKeepsWhatCameMeanwhile) {
    beginAllAgain();
    choose("Windlass", View::trace);
    const auto meanwhile = [&] { layOut(); };
    m_asker.fabricAnswer = [&](const app::FabricQuestion& question) {
        auto fabric = question.quilt.fabrics.front();
        meanwhile();
        fabric.name = "renamed in the question";
        return std::optional<app::FabricAnswer>({fabric});
    };
    ASSERT_FALSE(block().layout);
    find<QAction>("edit.fabrics").trigger();
    EXPECT_TRUE(block().layout);
    EXPECT_EQ(session().quilt().fabrics.front().name, "renamed in the question");
    m_asker.shapeAnswer = [&](const app::ShapeQuestion& question) {
        session().apply(edit::renameBlock(session().quilt(), session().blockId(), "Renamed"), "rename");
        app::ShapeAnswer answer;
        auto made = question.make(pattern::usualRecipe(quilt::RecipeKind::circle), false);
        answer.shapes = *made;
        return std::optional(answer);
    };
    find<QAction>("piece.shape").trigger();
    EXPECT_EQ(block().name, "Renamed");
    EXPECT_EQ(block().pieces.size(), 9U);
}

TEST_F(Gestures, AnotherQuiltOpensAsNobodyHasLookedAtItYet) {
    choose("Heron", View::lay);
    session().turnOver();
    session().setLayMode(app::LayMode::count);
    session().setSection({{1, 2}, {3, 4}});
    session().startNew(smallQuilt());
    EXPECT_FALSE(session().turnedOver());
    EXPECT_EQ(session().layMode(), app::LayMode::block);
    EXPECT_NE(session().section().from, (shape::Point{1, 2}));
}

TEST_F(Gestures, EveryViewNumbersAPieceAlike) {
    choose("Kingfisher", View::lay);
    session().choosePiece(named("eye"));
    find<QAction>("stack.unit").trigger();
    EXPECT_SOON(!room().mending.isBusy());
    const auto label = quilt::calledOf(block(), *quilt::find(block().pieces, block().pieces.back().id));
    for (const auto view : {View::cut, View::lay, View::draw}) {
        session().goTo(view);
        session().showTemplates(view == View::draw);
        QTest::qWait(1);
        bool found = false;
        for (const auto& panel : mat().scene().panels) {
            found = found || panel.caption == label;
            for (const auto& layer : panel.layers)
                for (const auto& item : layer.items)
                    if (const auto* flag = std::get_if<sheet::Flag>(&item))
                        found = found || flag->label == quilt::labelOf(block(), block().pieces.back().id);
        }
        EXPECT_TRUE(found) << label << " in " << app::nameOf(view).toStdString();
    }
}

} // namespace
} // namespace up::test
