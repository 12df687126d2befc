// SPDX-License-Identifier: GPL-3.0-or-later
// At the ironing board: press by press with the clock, pauses, edges, irons, heat.
#include "app/views/view.hpp"
#include "tests/gui/bench.hpp"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <fstream>

namespace up::test {
namespace {

using app::View;
using quilt::Step;

/// The kingfisher lies in its place; a press takes a fifth of a second.
class Fuse : public WindowTest {
protected:
    Fuse() {
        openSample();
        chooseBlock("Kingfisher");
        auto quilt = session().quilt();
        for (auto& web : quilt.webs)
            web.final.seconds = 0.2;
        session().apply(quilt, "short");
        climb(View::fuse);
        known();
    }
    void chooseBlock(const std::string& name) {
        for (const auto& one : session().quilt().blocks)
            if (one.name == name) session().chooseBlock(one.id);
    }
    void known() { EXPECT_SOON(session().derived().pressing().isNewest()); }
    [[nodiscard]] const plan::PressPlan& plan() { return *session().derived().pressing().get(); }
    /// Space, and the time it takes.
    void press() {
        known();
        const auto done = block().pressed.size();
        key(Qt::Key_Space);
        EXPECT_TRUE(room().presses.clock().isRunning());
        EXPECT_SOON(block().pressed.size() == done + 1);
        known();
    }
    void choose(int iron) {
        auto& box = find<QComboBox>("fuse.iron");
        box.setCurrentIndex(iron);
        emit box.activated(iron);
        known();
    }
};

TEST_F(Fuse, SpaceGoesFromPressToPressAndEachIsWrittenDown) {
    const auto presses = plan().stages[0].presses.size();
    ASSERT_GE(presses, 2U);
    EXPECT_EQ(session().next().press->number, 1U);
    press();
    EXPECT_EQ(session().next().press->number, 2U);
    EXPECT_EQ(find<QLabel>("timer.left").text(), "Lift the iron");
    EXPECT_DOUBLE_EQ(block().pressed[0].seconds, 0.2);
    for (std::size_t i = 1; i < presses; ++i)
        press();
    for (const auto& piece : block().pieces)
        EXPECT_EQ(piece.work.step, Step::fused) << piece.name;
    EXPECT_TRUE(session().next().press->fromBack);
    for (std::size_t i = 0; i < presses; ++i)
        press();
    EXPECT_EQ(session().next().what, plan::What::step);
    EXPECT_EQ(session().next().step, Step::tested);
    while (session().history().canUndo() && !block().pressed.empty())
        key(Qt::Key_Z, Qt::ControlModifier);
    for (const auto& piece : block().pieces)
        EXPECT_EQ(piece.work.step, Step::laid) << piece.name;
}

TEST_F(Fuse, ABreakInTheMiddleLosesNothing) {
    press();
    const auto left = plan().stages[0].presses.size() - 1;
    const auto path = QString::fromStdString(m_dir.file("pressed.upstairs"));
    m_asker.files = {path};
    room().files.saveAs();
    openWindow();
    room().files.openFile(path);
    chooseBlock("Kingfisher");
    climb(View::fuse);
    known();
    std::size_t open = 0;
    for (const auto& one : plan().stages[0].presses)
        open += one.left > 0 ? 1 : 0;
    EXPECT_EQ(open, left) << "the same plan, but for the one that is done";
    EXPECT_EQ(session().next().press->number, 2U);
}

TEST_F(Fuse, LiftedEarlyTheRestIsStillToBePressed) {
    auto quilt = session().quilt();
    for (auto& web : quilt.webs)
        web.final.seconds = 60;
    session().apply(quilt, "long");
    known();
    key(Qt::Key_Space);
    ASSERT_TRUE(room().presses.clock().isRunning());
    EXPECT_EQ(find<QPushButton>("now").text(), "Lift the iron early");
    QTest::qWait(700);
    key(Qt::Key_Space);
    EXPECT_FALSE(room().presses.clock().isRunning());
    ASSERT_EQ(block().pressed.size(), 1U);
    const double stood = block().pressed[0].seconds;
    EXPECT_GE(stood, 0.6);
    known();
    EXPECT_NEAR(session().next().press->seconds, 60 - stood, 1e-6);
    EXPECT_EQ(session().next().press->number, 1U);
}

TEST_F(Fuse, AllPressedWritesDownWhatTheClockDidNotCount) {
    const auto presses = plan().stages[0].presses.size();
    press();
    click("fuse.stage");
    known();
    EXPECT_EQ(block().pressed.size(), presses);
    EXPECT_EQ(block().pieces[0].work.step, Step::fused);
    click("fuse.stage"); // from the back
    known();
    click("fuse.stage");
    EXPECT_TRUE(said().contains("Nothing is left")) << said().toStdString();
}

TEST_F(Fuse, EdgesAreTestedOneByOneAndWhatLiftsIsPressedAgain) {
    for (int i = 0; i < 2; ++i)
        click("fuse.stage"), known();
    ASSERT_TRUE(session().next().test) << "the beak has thin tips";
    const auto first = session().next().test->piece;
    key(Qt::Key_E);
    EXPECT_TRUE(the(block().pieces, first).lifts);
    known();
    ASSERT_TRUE(session().next().press);
    EXPECT_EQ(session().next().press->kind, plan::StageKind::again);
    press();
    EXPECT_FALSE(the(block().pieces, first).lifts);
    EXPECT_EQ(block().pressed.back().pieces.empty(), false);
    const auto& tests = plan().tests;
    EXPECT_TRUE(std::any_of(tests.begin(), tests.end(), [&](const auto& test) {
        return test.piece == first;
    })) << "it is tested again";
    for (int i = 0; i < 40 && session().next().what == plan::What::step; ++i)
        key(Qt::Key_Space), known();
    for (const auto& piece : block().pieces)
        EXPECT_EQ(piece.work.step, Step::tested) << piece.name;
}

TEST_F(Fuse, ASmallerIronNeedsMorePresses) {
    const auto large = plan().stages[0].presses.size();
    choose(1);
    EXPECT_GT(plan().stages[0].presses.size(), large);
    ASSERT_EQ(session().quilt().irons.size(), 1U);
    choose(0);
    EXPECT_EQ(plan().stages[0].presses.size(), large);
    choose(1);
    EXPECT_EQ(session().quilt().irons.size(), 1U) << "the same one again";
}

TEST_F(Fuse, LayerByLayerHasAStageForEach) {
    click("fuse.layers");
    known();
    EXPECT_GT(plan().stages.size(), 2U);
    EXPECT_EQ(plan().stages[0].layer, 0);
    click("fuse.layers");
    known();
    EXPECT_EQ(plan().stages.size(), 2U);
}

TEST_F(Fuse, HeatIsShownAndWarnedOfBeforeItIsTooMuch) {
    const auto texts = [&] {
        std::vector<std::string> out;
        for (const auto& item : window().mat().scene().panels[0].layers.back().items)
            if (const auto* words = std::get_if<sheet::Words>(&item)) out.push_back(words->text);
        return out;
    };
    auto quilt = session().quilt();
    for (auto& web : quilt.webs)
        web.first.seconds = 5, web.final.seconds = 10, web.longest = 26;
    session().apply(quilt, "leaflet");
    known();
    key(Qt::Key_H);
    const auto seconds = texts();
    EXPECT_NE(std::find(seconds.begin(), seconds.end(), "25"), seconds.end()) << "5 + 10 + 10";
    EXPECT_NE(std::find(seconds.begin(), seconds.end(), "45!"), seconds.end()) << "beneath two presses";
    key(Qt::Key_H);
    click("fuse.stage");
    known();
    bool warned = false;
    for (std::size_t i = plan().stages[0].presses.size(); i > 0 && !warned; --i) {
        warned = find<QLabel>("now.caution").text().contains("Too much heat");
        click("fuse.stage"), known();
    }
    EXPECT_TRUE(warned);
}

TEST_F(Fuse, WhatMeltsIsFastenedWithoutTheIron) {
    auto quilt = session().quilt();
    auto& owner = quilt::the(quilt.blocks, session().blockId());
    for (auto& piece : owner.pieces)
        piece.melts = true;
    session().apply(quilt, "all melts");
    known();
    EXPECT_EQ(session().next().what, plan::What::step);
    EXPECT_TRUE(find<QLabel>("now.do").text().contains("without the iron"))
        << find<QLabel>("now.do").text().toStdString();
}

TEST_F(Fuse, OnesOwnIronIsTracedFromADrawingOfItsSoleplate) {
    // Drawn round on paper, lying on its side: 200 mm long with a pointed tip, 90 mm wide.
    const auto path = m_dir.file("my iron.svg");
    std::ofstream(path) << R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="200mm"
        viewBox="0 0 300 200"><path d="M40 50 L160 50 L240 95 L160 140 L40 140 Z" fill="#333"/></svg>)";
    m_asker.files = {QString::fromStdString(path)};
    choose(3);
    EXPECT_SOON(session().quilt().irons.size() == 1);
    known();
    const auto& iron = session().quilt().irons[0];
    EXPECT_EQ(iron.name, "my iron");
    const auto box = boundsOf(iron.outline.front());
    EXPECT_NEAR(box.height(), 200, 0.5);
    EXPECT_NEAR(box.width(), 90, 0.5);
    EXPECT_NEAR(box.centre().x, 0, 1e-6);
    EXPECT_EQ(plan().iron.outline, iron.outline.front());
    EXPECT_EQ(find<QComboBox>("fuse.iron").currentText(), "my iron");
}

TEST_F(Fuse, ASoleplateWithHolesOrOfNoSizeIsRefusedInOneSentence) {
    const auto refused = [&](const char* drawn) {
        const auto path = m_dir.file("bad.svg");
        std::ofstream(path) << R"(<svg xmlns="http://www.w3.org/2000/svg" width="900mm" height="900mm"
            viewBox="0 0 900 900"><path fill-rule="evenodd" d=")"
                            << drawn << R"("/></svg>)";
        m_asker.files = {QString::fromStdString(path)};
        room().presses.traceIron();
        EXPECT_SOON(said().contains("That is no iron")) << said().toStdString();
        EXPECT_TRUE(session().quilt().irons.empty());
    };
    refused("M10 10 H110 V210 H10 Z M40 40 H80 V90 H40 Z");
    refused("M10 10 H20 V24 H10 Z");
    refused("M10 10 H510 V810 H10 Z");
}

TEST_F(Fuse, TheLeafletsFormSaysWhetherTheBackIsPressed) {
    m_asker.webAnswer = [](quilt::Web& web) { web.fromBack = false; };
    room().shelf.editWeb();
    known();
    for (const auto& stage : plan().stages)
        EXPECT_FALSE(stage.fromBack);
}

TEST_F(Fuse, APressThatIsRunningIsNotWrittenIntoAnotherQuilt) {
    auto quilt = session().quilt();
    for (auto& web : quilt.webs)
        web.final.seconds = 0.6;
    session().apply(quilt, "longer");
    known();
    key(Qt::Key_Space);
    ASSERT_TRUE(room().presses.clock().isRunning());
    session().startNew(session().quilt()); // the very same blocks, of another quilt
    EXPECT_FALSE(room().presses.clock().isRunning());
    QTest::qWait(800);
    for (const auto& one : session().quilt().blocks)
        EXPECT_TRUE(one.pressed.empty());
}

TEST_F(Fuse, ABlockWithoutAWebIsPressedByTheUsualSeconds) {
    auto quilt = session().quilt();
    quilt::the(quilt.blocks, session().blockId()).web = {};
    session().apply(quilt, "no web");
    known();
    ASSERT_EQ(session().next().what, plan::What::press);
    key(Qt::Key_Space);
    EXPECT_TRUE(room().presses.clock().isRunning());
    key(Qt::Key_Space);
}

} // namespace
} // namespace up::test
