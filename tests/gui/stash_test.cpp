// SPDX-License-Identifier: GPL-3.0-or-later
// Webs, fabrics and threads through the window.
#include "app/dialogs/thread_dialog.hpp"
#include "app/dialogs/web_dialog.hpp"
#include "app/views/view.hpp"
#include "app/window/press_timer.hpp"
#include "core/edit/stashing.hpp"
#include "tests/gui/bench.hpp"
#include "tests/gui/patience.hpp"
#include "tests/support/files.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFile>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QSpinBox>
#include <QtTest>

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
    room().shelf.newWeb();
    ASSERT_EQ(session().quilt().webs.size(), 2U);
    EXPECT_EQ(block().web, session().quilt().webs[1].id);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().webs.size(), 1U);
}

TEST_F(Stash, AnAbsurdWebIsRefused) {
    m_asker.webAnswer = [](quilt::Web& web) { web.width = Length(); };
    room().shelf.editWeb();
    EXPECT_TRUE(said().contains("size of the web")) << said().toStdString();
    EXPECT_EQ(session().quilt().webs[0].width, Length::ofInches(17, 1));
}

TEST_F(Stash, FabricsAndThreadsAreAddedAndRenamed) {
    session().choosePiece(block().pieces[0].id);
    m_asker.texts = {"barn red"};
    room().shelf.newFabric();
    EXPECT_EQ(quilt::find(session().quilt().fabrics, block().pieces[0].fabric)->name, "barn red");
    m_asker.fabricAnswer = [](const app::FabricQuestion& question) {
        auto fabrics = question.quilt.fabrics;
        quilt::find(fabrics, question.fabric)->name = "old barn red"; // of the chosen piece
        return fabrics;
    };
    room().shelf.editFabrics();
    EXPECT_EQ(quilt::find(session().quilt().fabrics, block().pieces[0].fabric)->name, "old barn red");
    m_asker.threadAnswer = [](app::ThreadAnswer& answer) { answer.thread.name = "gold"; };
    room().shelf.newThread();
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
    const auto& panels = window().mat().scene().panels;
    const auto panel = static_cast<std::size_t>(
        std::find_if(panels.begin(), panels.end(),
                     [&](const auto& one) { return one.tag == sheet::Tag(before[1].id); }) -
        panels.begin());
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat(middle, panel));
    EXPECT_EQ(session().quilt().offCuts, before) << "the answer was no";
    m_asker.yeses = {true};
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat(middle, panel));
    ASSERT_EQ(session().quilt().offCuts.size(), before.size() - 1);
    EXPECT_NE(session().quilt().offCuts[1].id, before[1].id);
    session().undo();
    EXPECT_EQ(session().quilt().offCuts, before);
}

class SampleStash : public WindowTest {
protected:
    SampleStash() {
        m_asker.saves = {app::SaveAnswer::discard};
        openSample();
        climb(View::stash);
    }
    const std::vector<app::Panel>& panels() { return window().mat().scene().panels; }
    std::vector<app::Row> rows() { return app::partsFor(session()).rows.rows; }
    void clickRow(const std::string& text) {
        const auto all = rows();
        const auto at = std::find_if(all.begin(), all.end(), [&](const auto& row) {
            return row.text.find(text) != std::string::npos;
        });
        ASSERT_NE(at, all.end()) << text;
        auto& list = find<QListWidget>("rows");
        auto* item = list.item(static_cast<int>(at - all.begin()));
        list.scrollToItem(item);
        QTest::mouseClick(list.viewport(), Qt::LeftButton, {}, list.visualItemRect(item).center());
    }
    template<class Items> const auto& named(const Items& items, const std::string& name) {
        return *std::find_if(items.begin(), items.end(), [&](const auto& one) { return one.name == name; });
    }
};

TEST_F(SampleStash, IsSearchedByColourAndSize) {
    const auto all = panels().size();
    auto& search = find<QLineEdit>("stash.search");
    search.setFocus();
    QTest::keyClicks(&search, "brick red");
    EXPECT_LT(panels().size(), all);
    ASSERT_FALSE(panels().empty());
    EXPECT_NE(panels().front().caption.find("brick red"), std::string::npos) << panels().front().caption;
    const auto some = panels().size();
    QTest::keyClicks(&search, ", at least 9 x 9");
    EXPECT_LT(panels().size(), some);
    search.clear();
    QTest::keyClicks(&search, "elephant");
    EXPECT_TRUE(panels().empty());
    EXPECT_NE(window().mat().scene().empty.find("elephant"), std::string::npos);
    search.clear();
    EXPECT_EQ(panels().size(), all);
}

TEST_F(SampleStash, AThreadThatIsWeighedSaysHowMuchIsLeft) {
    app::ThreadDialog dialog(named(session().quilt().threads, "moss"));
    dialog.findChild<QDoubleSpinBox*>("thread.tex")->setValue(40);
    dialog.findChild<QDoubleSpinBox*>("thread.grams")->setValue(10);
    dialog.accept();
    // 40 tex: 40 g weigh 1000 m. Source: ISO 1144.
    EXPECT_EQ(dialog.answer().thread.spool, Length::ofMm(250'000));
    m_asker.threadAnswer = [&](app::ThreadAnswer& answer) { answer = dialog.answer(); };
    clickRow("moss, thread");
    EXPECT_EQ(named(session().quilt().threads, "moss").spool, Length::ofMm(250'000));
    m_asker.threadAnswer = [](app::ThreadAnswer& answer) { answer.gone = true; };
    clickRow("moss, thread");
    EXPECT_EQ(named(session().quilt().threads, "moss").spool, Length()) << "pieces need it: it stays, empty";
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(named(session().quilt().threads, "moss").spool, Length::ofMm(250'000));
}

TEST_F(SampleStash, StabiliserAndBattingComeAndGo) {
    m_asker.supplyAnswer = [](app::SupplyAnswer& answer) { answer.supply.name = "wash-away"; };
    click("stash.supply");
    ASSERT_EQ(session().quilt().supplies.size(), 3U);
    EXPECT_FALSE(session().quilt().supplies.back().key.empty()) << "for all quilts";
    m_asker.supplyAnswer = [](app::SupplyAnswer& answer) { answer.gone = true; };
    const auto panel =
        static_cast<std::size_t>(std::find_if(panels().begin(), panels().end(),
                                              [](const auto& one) { return one.caption == "wash-away"; }) -
                                 panels().begin());
    ASSERT_LT(panel, panels().size());
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat({100, 100}, panel));
    EXPECT_EQ(session().quilt().supplies.size(), 2U);
}

TEST_F(SampleStash, WhatIsBoughtComesIntoTheStash) {
    const auto fabric = session().quilt().fabrics.front().id;
    session().apply(edit::putWant(session().quilt(),
                                  {{}, fabric, Length::ofInches(9, 1), Length::ofInches(2, 1), {}, ""}),
                    "want");
    m_asker.decisions = {0};
    clickRow("To buy: 9 × 2 in");
    EXPECT_EQ(session().quilt().wants.size(), 1U) << "not yet";
    const auto cloths = session().quilt().cloths.size();
    m_asker.decisions = {1};
    m_asker.clothAnswer = [](const app::ClothQuestion& question) {
        app::ClothAnswer answer{question.cloth};
        answer.cloth.name = "new";
        return answer;
    };
    clickRow("To buy: 9 × 2 in");
    EXPECT_TRUE(session().quilt().wants.empty());
    ASSERT_EQ(session().quilt().cloths.size(), cloths + 1);
    EXPECT_NEAR(shape::Region{session().quilt().cloths.back().outline}.area(), 228.6 * 50.8, 0.1);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().wants.size(), 1U) << "in one step";
    m_asker.decisions = {2};
    clickRow("To buy");
    EXPECT_TRUE(session().quilt().wants.empty());
}

TEST_F(SampleStash, ThisQuiltsOwnThingsAreKeptForAllQuilts) {
    room().shelf.keepForAll();
    for (const auto& web : session().quilt().webs)
        EXPECT_FALSE(web.key.empty());
    for (const auto& thread : session().quilt().threads)
        EXPECT_FALSE(thread.key.empty());
    const auto webs = session().quilt().webs.size();
    EXPECT_SOON(room().stash.place().read() && room().stash.place().read()->webs.size() == webs);
    room().shelf.keepForAll();
    EXPECT_TRUE(said().contains("already")) << said().toStdString();
    m_asker.saves = {app::SaveAnswer::discard};
    key(Qt::Key_N, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().webs.size(), webs) << "of one name once";
    EXPECT_FALSE(session().quilt().webs.front().key.empty()) << "a new quilt begins with what is at hand";
}

TEST_F(SampleStash, APhotographGivesAFabricItsColourAndPicture) {
    const TempDir dir;
    QImage photo(300, 200, QImage::Format_RGB32);
    photo.fill(QColor(250, 249, 244));
    for (int y = 40; y < 160; ++y)
        for (int x = 60; x < 240; ++x)
            photo.setPixelColor(x, y, QColor(90, 20, 140));
    const auto file = QString::fromStdString(dir.file("plum.png"));
    ASSERT_TRUE(photo.save(file));
    const auto fabrics = session().quilt().fabrics.size();
    m_asker.files = {file};
    m_asker.choices = {"plum"};
    room().shelf.pictureFabric();
    EXPECT_SOON(session().quilt().fabrics.size() == fabrics + 1);
    const auto& plum = session().quilt().fabrics.back();
    EXPECT_EQ(plum.colour, (Colour{90, 20, 140}));
    QImage kept;
    ASSERT_TRUE(kept.loadFromData(QByteArray::fromBase64(QByteArray::fromStdString(plum.swatch->picture))));
    EXPECT_EQ(kept.pixelColor(kept.width() / 2, kept.height() / 2), QColor(90, 20, 140));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().fabrics.size(), fabrics);
    QFile wrong(file);
    ASSERT_TRUE(wrong.open(QIODevice::WriteOnly));
    wrong.write("no picture");
    wrong.close();
    m_asker.files = {file};
    room().shelf.pictureFabric();
    EXPECT_SOON(said().contains("plum.png")) << said().toStdString();
}

} // namespace
} // namespace up::test
