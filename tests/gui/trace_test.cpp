// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out by mouse and keys: the ways compared, chunks dragged, turned and pinned, web put away.
#include "app/commands/trace_commands.hpp"
#include "app/dialogs/stripes_dialog.hpp"
#include "app/window/ways_strip.hpp"
#include "core/edit/tracing.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/plan/trace/remains.hpp"
#include "core/shape/deepest.hpp"
#include "tests/gui/bench.hpp"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>

namespace up::test {
namespace {

using app::View;
using quilt::Step;

class Trace : public WindowTest {
protected:
    Trace() {
        importInto("ducks.svg", 24);
        climb(View::trace);
    }
    void layOut() {
        click("trace.layout");
        awaitLayout();
    }
    /// Stopped early: the best so far counts, and nothing is compared.
    void layOutQuickly() {
        click("trace.layout");
        if (room().layout.isRunning()) click("trace.layout");
        awaitLayout();
    }
    void compare() { EXPECT_SOON(!room().layout.isRunning() && !room().layout.isComparing()); }
    [[nodiscard]] const quilt::Layout& layout() { return *block().layout; }
    [[nodiscard]] const quilt::Traced& traced(PieceId piece) {
        const auto& all = layout().traced;
        return *std::find_if(all.begin(), all.end(), [&](const auto& t) { return t.piece == piece; });
    }
    /// Well within the piece, where its own flag stands, on the mat.
    [[nodiscard]] QPoint inside(PieceId piece) {
        const auto& trace = session().derived().trace();
        for (std::size_t panel = 0; panel < trace.sheets.size(); ++panel)
            for (const auto& [id, outline] : trace.lines)
                if (id == piece && trace.sheets[panel].number == traced(piece).sheet)
                    return window()
                        .mat()
                        .pixelOf(panel, shape::deepestPoint(shape::regionOf(outline)).at)
                        .toPoint();
        return {};
    }
    void drag(QPoint from, QPoint by, Qt::KeyboardModifiers keys = Qt::NoModifier) {
        auto& mat = window().mat();
        QTest::mousePress(&mat, Qt::LeftButton, keys, from);
        for (int i = 1; i <= 5; ++i) {
            QMouseEvent move(QEvent::MouseMove, QPointF(from + by * i / 5),
                             mat.mapToGlobal(from + by * i / 5), Qt::NoButton, Qt::LeftButton, keys);
            QApplication::sendEvent(&mat, &move);
        }
        QTest::mouseRelease(&mat, Qt::LeftButton, keys, from + by);
    }
    QList<app::WayCard*> cards() {
        auto all = window().findChildren<app::WayCard*>();
        all.erase(
            std::remove_if(all.begin(), all.end(), [&](auto* card) { return !card->isVisibleTo(&window()); }),
            all.end());
        return all;
    }
    void record(Step step) {
        std::vector<PieceId> all;
        for (const auto& piece : block().pieces)
            all.push_back(piece.id);
        session().apply(edit::record(session().quilt(), session().blockId(), all, step, m_time), "step");
    }
};

TEST_F(Trace, TheCardsStayAndTheChosenOneShowsWhatWasMovedByHand) {
    layOut();
    compare();
    EXPECT_SOON(cards().size() >= 3);
    const auto before = cards();
    const auto chosen = *std::find_if(before.begin(), before.end(),
                                      [&](const auto* card) { return card->way().school == block().school; });
    const auto* other = before.front() == chosen ? before.back() : before.front();
    const auto laid = chosen->way().layout, others = other->way().layout;
    EXPECT_EQ(laid, layout());
    session().choosePiece(block().pieces.front().id);
    find<QPushButton>("trace.pin").click();
    ASSERT_NE(layout(), laid) << "pinned";
    EXPECT_EQ(cards(), before) << "the same widgets: focus stays, nothing is painted anew";
    EXPECT_EQ(chosen->way().layout, layout());
    EXPECT_EQ(other->way().layout, others);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(chosen->way().layout, laid);
    EXPECT_TRUE(other->accessibleDescription().contains(" in"))
        << other->accessibleDescription().toStdString();
    session().apply(edit::setUnits(session().quilt(), measure::System::metric), "units");
    EXPECT_EQ(cards(), before);
    EXPECT_TRUE(other->accessibleDescription().contains("cm"))
        << other->accessibleDescription().toStdString();
}

TEST_F(Trace, ComparesTheWaysAndOneClickTakesOne) {
    layOut();
    EXPECT_EQ(block().school, quilt::School::byFabric);
    compare();
    const auto shown = static_cast<int>(room().layout.ways()->size());
    EXPECT_SOON(cards().size() == shown);
    EXPECT_GE(shown, 3);
    const auto before = layout();
    for (auto* card : cards())
        if (card->way().school == quilt::School::windowed) {
            QTest::mouseClick(card, Qt::LeftButton);
            break;
        }
    ASSERT_EQ(block().school, quilt::School::windowed);
    EXPECT_TRUE(
        std::any_of(layout().traced.begin(), layout().traced.end(), [](const auto& t) { return t.window; }));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(block().school, quilt::School::byFabric);
    EXPECT_EQ(layout(), before);
    EXPECT_EQ(room().layout.ways()->size(), static_cast<std::size_t>(shown)) << "still known";
}

TEST_F(Trace, ADraggedChunkMovesAsOneIsPinnedAndUndoneInOneStep) {
    layOutQuickly();
    const auto before = layout();
    const auto& trace = session().derived().trace();
    const auto chunk = *std::find_if(trace.chunks.begin(), trace.chunks.end(),
                                     [](const auto& c) { return c.pieces.size() > 1; });
    // By its largest piece: flags of others may lie over a small one.
    const auto area = [&](PieceId piece) {
        return shape::regionOf(*quilt::find(block().pieces, piece)->outline).area();
    };
    const auto largest = *std::max_element(chunk.pieces.begin(), chunk.pieces.end(),
                                           [&](PieceId a, PieceId b) { return area(a) < area(b); });
    // Down onto the paper below everything.
    const double down = trace.sheets.front().used.mm() + 12 - chunk.roughCut.bounds().top;
    const auto scale = window().mat().pixelOf(0, {0, 100}) - window().mat().pixelOf(0, {0, 0});
    drag(inside(largest), QPoint(0, static_cast<int>(down * scale.y() / 100)));
    for (const auto piece : chunk.pieces) {
        const auto& was = *std::find_if(before.traced.begin(), before.traced.end(),
                                        [&](const auto& t) { return t.piece == piece; });
        EXPECT_NEAR(traced(piece).y - was.y, down, 3);
        EXPECT_NEAR(traced(piece).x, was.x, 0.01);
        EXPECT_TRUE(traced(piece).pinned);
    }
    EXPECT_EQ(find<QPushButton>("trace.pin").text(), "Let go");
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(layout(), before);
}

TEST_F(Trace, AChunkDraggedPastAnotherOfItsFabricLeavesThatWhereItIs) {
    layOutQuickly();
    // Two pieces of one fabric that are not rough cut together: one goes past the other and out of its way.
    const auto chunkOf = [&](PieceId piece) { return traced(piece).chunk; };
    const auto& trace = session().derived().trace();
    const double clear = trace.sheets.front().used.mm() + 40;
    const auto one = block().pieces[12].id;
    quilt::Piece other;
    for (const auto& piece : block().pieces)
        if (piece.fabric == block().pieces[12].fabric && piece.id != one) other = piece;
    ASSERT_TRUE(other.id);
    const auto at = [&](PieceId id) { // however the layout has turned it
        const auto outline = quilt::reversed(quilt::the(block().pieces, id));
        return boundsOf(transformed(outline, quilt::onSheet(traced(id)))).centre();
    };
    auto& mat = window().mat();
    const auto drag = [&](PieceId piece, bool alone, double down, int times) {
        session().choosePiece(piece);
        ASSERT_TRUE(mat.take({piece, alone, false}));
        for (int i = 0; i < times; ++i, QCoreApplication::processEvents())
            mat.carry(0, down);
        mat.letGo();
    };
    drag(one, true, clear - at(one).y, 1); // below everything
    drag(other.id, true, clear + 60 - at(other.id).y, 1);
    ASSERT_NE(chunkOf(one), chunkOf(other.id));
    const auto still = at(other.id);
    drag(one, false, 15, 12); // through the other and out below it
    EXPECT_NEAR(shape::distance(at(other.id), still), 0, 1e-6);
    EXPECT_NE(chunkOf(one), chunkOf(other.id));
    session().undo();
    EXPECT_NEAR(at(one).y, clear, 0.01) << "one step";
}

TEST_F(Trace, WhatIsDroppedTooCloseGoesBackAndIsNamed) {
    layOutQuickly();
    const auto before = layout();
    const auto& chunks = session().derived().trace().chunks;
    const auto a = chunks[0].pieces.front(), b = chunks[1].pieces.front();
    drag(inside(a), inside(b) - inside(a));
    EXPECT_TRUE(session().derived().tooClose().empty());
    EXPECT_TRUE(said().contains("last had room")) << said().toStdString();
    EXPECT_EQ(layout().traced.size(), before.traced.size());
}

TEST_F(Trace, ShiftTakesOnePieceOutOfItsChunk) {
    layOutQuickly();
    const auto& trace = session().derived().trace();
    const auto chunk = *std::find_if(trace.chunks.begin(), trace.chunks.end(),
                                     [](const auto& c) { return c.pieces.size() > 1; });
    const auto piece = chunk.pieces.back();
    const double down = trace.sheets.front().used.mm() + 30 - chunk.roughCut.bounds().top;
    const auto scale = window().mat().pixelOf(0, {0, 100}) - window().mat().pixelOf(0, {0, 0});
    drag(inside(piece), QPoint(0, static_cast<int>(down * scale.y() / 100)), Qt::ShiftModifier);
    EXPECT_EQ(plan::chunkAround(layout(), piece).size(), 1U);
    EXPECT_FALSE(traced(chunk.pieces.front()).pinned);
}

TEST_F(Trace, KeysNudgeTurnAndPin) {
    layOutQuickly();
    const auto piece = block().pieces.back().id;
    session().choosePiece(piece);
    window().mat().setFocus();
    const auto was = traced(piece);
    key(Qt::Key_Down, Qt::ShiftModifier);
    EXPECT_NEAR(traced(piece).y - was.y, 25.4 / 4, 1e-6);
    key(Qt::Key_Period);
    EXPECT_NEAR(traced(piece).turn.degrees(), (was.turn + measure::Angle::ofDegrees(5)).normal().degrees(),
                1e-9);
    EXPECT_TRUE(traced(piece).pinned);
    key(Qt::Key_P);
    EXPECT_FALSE(traced(piece).pinned);
    key(Qt::Key_P);
    EXPECT_TRUE(traced(piece).pinned);
    const auto pinned = traced(piece);
    layOutQuickly(); // the rest flows round it
    EXPECT_EQ(traced(piece), pinned);
}

TEST_F(Trace, StripesAreSetForFabricAndPieceAndOneUndoTakesThemBack) {
    layOutQuickly();
    const auto before = session().quilt();
    session().choosePiece(block().pieces.front().id);
    m_asker.stripesAnswer = app::StripesAnswer{quilt::Print::striped, measure::Angle::ofDegrees(3),
                                               measure::Angle::ofDegrees(40)};
    key(Qt::Key_G, Qt::ControlModifier);
    EXPECT_EQ(block().pieces.front().grain, measure::Angle::ofDegrees(40));
    EXPECT_EQ(quilt::find(session().quilt().fabrics, block().pieces.front().fabric)->print,
              quilt::Print::striped);
    EXPECT_EQ(session().next().what, plan::What::layOut) << "its place is given up";
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt(), before);
}

TEST_F(Trace, TheStripesDialogTurnsByMouseInTheMirrorToo) {
    app::StripesDialog dialog({session().quilt(), session().blockId(), block().pieces.front().id});
    dialog.resize(720, 640);
    dialog.show();
    auto& picture = *dialog.findChild<app::StripesPicture*>();
    const auto middle = picture.middle();
    QTest::mouseClick(&picture, Qt::LeftButton, {}, (middle + QPointF(70, 70)).toPoint());
    ASSERT_TRUE(dialog.answer().grain);
    EXPECT_NEAR(dialog.answer().grain->degrees(), 45, 1);
    const QPointF mirror(picture.width() - middle.x(), middle.y());
    QTest::mouseClick(&picture, Qt::LeftButton, {}, (mirror + QPointF(-70, 70)).toPoint());
    EXPECT_NEAR(dialog.answer().grain->degrees(), 45, 1) << "left on the paper side is right on the front";
    dialog.findChild<QComboBox*>("stripes.print")->setCurrentIndex(0);
    EXPECT_FALSE(dialog.answer().grain) << "a plain fabric has none";
}

TEST_F(Trace, WhatIsTracedStaysAndSaysSo) {
    layOutQuickly();
    record(Step::traced);
    const auto before = layout();
    session().choosePiece(block().pieces.front().id);
    window().mat().setFocus();
    key(Qt::Key_Down);
    EXPECT_EQ(layout(), before);
    EXPECT_TRUE(said().contains("on paper already")) << said().toStdString();
    EXPECT_FALSE(find<QPushButton>("trace.layout").isEnabled());
}

TEST_F(Trace, PutsAwayWhatIsLeftAndLaysTheNextBlockOnIt) {
    layOutQuickly();
    record(Step::traced);
    record(Step::roughCut);
    EXPECT_EQ(session().next().what, plan::What::putAway);
    m_asker.texts = {"3/4 in"};
    find<QAction>("trace.least").trigger();
    EXPECT_EQ(session().quilt().leastOffCut, measure::Length::ofInches(3, 4));
    const auto roll = session().quilt().webs.front().length();
    const auto used = session().derived().trace().sheets.front().used;
    click("now");
    EXPECT_NEAR(session().quilt().webs.front().length().mm(), (roll - used).mm(), 1e-6);
    ASSERT_FALSE(session().quilt().offCuts.empty());
    EXPECT_TRUE(said().contains("stash")) << said().toStdString();
    EXPECT_EQ(session().next().what, plan::What::goOn);
    // Another block: the off-cuts come first.
    m_asker.texts = {"Reeds", "3 in"};
    climb(View::landing);
    click("block.new");
    m_asker.files = {drawing("bulrushes.svg")};
    climb(View::draw);
    click("now");
    EXPECT_SOON(block().pieces.size() == 16);
    climb(View::trace);
    layOutQuickly();
    EXPECT_TRUE(std::any_of(layout().sheets.begin(), layout().sheets.end(),
                            [](const auto& s) { return static_cast<bool>(s.offCut); }));
}

TEST_F(Trace, LeavingTheBlockWhileWaysAreComparedIsSafe) {
    layOut();
    EXPECT_TRUE(room().layout.isComparing());
    climb(View::lay);
    session().apply(edit::removePiece(session().quilt(), session().blockId(), block().pieces[0].id),
                    "remove");
    climb(View::trace);
    compare();
    EXPECT_FALSE(room().layout.ways()) << "of a block that is another one now";
}

} // namespace
} // namespace up::test
