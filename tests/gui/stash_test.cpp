// SPDX-License-Identifier: GPL-3.0-or-later
// Webs, fabrics and threads through the window.
#include "app/dialogs/web_dialog.hpp"
#include "app/window/press_timer.hpp"
#include "tests/gui/bench.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QSpinBox>

namespace up::test {
namespace {

using app::View;
using measure::Length;

class Stash : public WindowTest {
protected:
    Stash() { importInto("windlass.svg", 8); }
};

TEST_F(Stash, TheWebsLeafletSetsTheTimer) {
    climb(View::trace);
    m_asker.webAnswer = [](quilt::Web& web) {
        web.first.seconds = 2, web.final.seconds = 9, web.width = Length::ofInches(12, 1);
    };
    click("trace.editWeb");
    EXPECT_EQ(session().quilt().webs[0].width, Length::ofInches(12, 1));
    auto& timer = room().presses;
    climb(View::bond);
    EXPECT_DOUBLE_EQ(timer.seconds(), 2);
    climb(View::fuse);
    EXPECT_DOUBLE_EQ(timer.seconds(), 9);
}

TEST_F(Stash, ANewWebIsUsedForABlockThatIsNotTraced) {
    m_asker.webAnswer = [](quilt::Web& web) {
        web.name = "Feather", web.stock = quilt::Packet{4, Length::ofInches(12, 1)};
    };
    room().commands.newWeb();
    ASSERT_EQ(session().quilt().webs.size(), 2U);
    EXPECT_EQ(block().web, session().quilt().webs[1].id);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().webs.size(), 1U);
}

TEST_F(Stash, AnAbsurdWebIsRefused) {
    m_asker.webAnswer = [](quilt::Web& web) { web.width = Length(); };
    room().commands.editWeb();
    EXPECT_TRUE(said().contains("size of the web")) << said().toStdString();
    EXPECT_EQ(session().quilt().webs[0].width, Length::ofInches(17, 1));
}

TEST_F(Stash, FabricsAndThreadsAreAddedAndRenamed) {
    session().choosePiece(block().pieces[0].id);
    m_asker.texts = {"barn red"};
    room().commands.newFabric();
    EXPECT_EQ(quilt::find(session().quilt().fabrics, block().pieces[0].fabric)->name, "barn red");
    m_asker.fabricAnswer = [](const app::FabricQuestion& question) {
        auto fabrics = question.quilt.fabrics;
        quilt::find(fabrics, question.fabric)->name = "old barn red"; // of the chosen piece
        return fabrics;
    };
    room().commands.editFabrics();
    EXPECT_EQ(quilt::find(session().quilt().fabrics, block().pieces[0].fabric)->name, "old barn red");
    m_asker.texts = {"gold"};
    room().commands.newThread();
    EXPECT_EQ(quilt::find(session().quilt().threads, block().pieces[0].thread)->name, "gold");
}

TEST_F(Stash, AThreadIsChosenForOnePieceWhileStitching) {
    climb(View::stitch);
    auto& thread = find<QComboBox>("stitch.thread");
    EXPECT_FALSE(thread.isEnabled()) << "no piece is chosen";
    session().choosePiece(block().pieces[0].id);
    const auto wanted = session().quilt().threads.back().id;
    thread.setCurrentIndex(thread.findData(wanted.value));
    emit thread.activated(thread.currentIndex());
    EXPECT_EQ(block().pieces[0].thread, wanted);
}

TEST(WebDialog, GivesBackWhatIsEntered) {
    const auto web = quilt::emptyQuilt("").webs.front();
    app::WebDialog dialog(web, measure::System::inches);
    EXPECT_EQ(dialog.findChild<QLineEdit*>("web.width")->text(), "17 in");
    dialog.findChild<QLineEdit*>("web.width")->setText("8 1/2");
    dialog.findChild<QLineEdit*>("web.length")->setText("28cm");
    dialog.findChild<QComboBox*>("web.kind")->setCurrentIndex(1);
    dialog.findChild<QSpinBox*>("web.sheets")->setValue(7);
    dialog.findChild<QComboBox*>("web.papers")->setCurrentIndex(1);
    dialog.findChild<QDoubleSpinBox*>("web.first.seconds")->setValue(2.5);
    dialog.findChild<QCheckBox*>("web.final.steam")->setChecked(true);
    dialog.accept();
    EXPECT_EQ(dialog.result(), QDialog::Accepted);
    EXPECT_EQ(dialog.web().width, Length::ofInches(17, 2));
    EXPECT_EQ(dialog.web().length(), Length::ofMm(280));
    ASSERT_TRUE(dialog.web().packet());
    EXPECT_EQ(dialog.web().packet()->sheets, 7);
    EXPECT_EQ(dialog.web().papers, 2);
    EXPECT_DOUBLE_EQ(dialog.web().first.seconds, 2.5);
    EXPECT_TRUE(dialog.web().final.steam);
}

TEST(WebDialog, StaysOpenWithASentenceWhenALengthIsNone) {
    app::WebDialog dialog(quilt::emptyQuilt("").webs.front(), measure::System::inches);
    dialog.show();
    dialog.findChild<QLineEdit*>("web.width")->setText("wide");
    dialog.accept();
    EXPECT_TRUE(dialog.isVisible());
    EXPECT_TRUE(dialog.findChild<QLabel*>("web.trouble")->text().contains("“wide” is not a length"));
}

TEST_F(Stash, AnOffCutThatIsNotThereAnyMoreIsThrownAway) {
    m_asker.saves = {app::SaveAnswer::discard};
    openSample();
    climb(View::stash);
    const auto before = session().quilt().offCuts;
    ASSERT_GE(before.size(), 2U);
    const auto middle = shape::Region{before[1].outline}.bounds().centre();
    const auto panel = session().quilt().cloths.size() + 1; // after all cloth, the second off-cut
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat(middle, panel));
    EXPECT_EQ(session().quilt().offCuts, before) << "the answer was no";
    m_asker.yeses = {true};
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat(middle, panel));
    ASSERT_EQ(session().quilt().offCuts.size(), before.size() - 1);
    EXPECT_NE(session().quilt().offCuts[1].id, before[1].id);
    session().undo();
    EXPECT_EQ(session().quilt().offCuts, before);
}

} // namespace
} // namespace up::test
