// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces joined otherwise than with web, by mouse and keys: asked for, turned, sewn down, cut away, taken back.
#include "app/dialogs/choice.hpp"
#include "app/dialogs/fastening_dialog.hpp"
#include "app/views/view.hpp"
#include "core/quilt/holes.hpp"
#include "tests/gui/bench.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>

namespace up::test {
namespace {

using app::View;
using quilt::Join;
using quilt::Step;

class Fastened : public WindowTest {
protected:
    void SetUp() override {
        openSample();
        find<QAction>("file.otherSample").trigger();
    }
    [[nodiscard]] const quilt::Piece& piece(const std::string& name) {
        return the(block().pieces, named(name));
    }
    [[nodiscard]] std::string nowSays() { return find<QLabel>("now.do").text().toStdString(); }
    [[nodiscard]] std::string why() { return find<QLabel>("now.because").text().toStdString(); }
    void space() {
        window().mat().setFocus();
        key(Qt::Key_Space);
    }
};

TEST_F(Fastened, SpaceCutsAwayBehindTheFlowerThenTheRestIsDoneByHand) {
    choose("Lily pond", View::stitch);
    EXPECT_NE(nowSays().find("cut away the background behind 4 flower"), std::string::npos) << nowSays();
    const auto shown = app::partsFor(session());
    EXPECT_EQ(shown.scene.panels.at(0).side, app::Side::back) << "it is cut from the back";
    const auto before = session().quilt();
    space();
    EXPECT_FALSE(piece("flower").next());
    EXPECT_EQ(session().quilt().log->back().what, quilt::Event::cutAway);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
    space();
    climb(View::cut);
    EXPECT_NE(nowSays().find("Gather 3 bud"), std::string::npos) << nowSays();
    space();
    EXPECT_EQ(piece("bud").work.step, Step::turned);
    climb(View::lay);
    space(), space();
    EXPECT_EQ(piece("bud").work.step, Step::laid);
    climb(View::stitch);
    EXPECT_NE(nowSays().find("Sew down the edge of 2 right pad by hand"), std::string::npos) << nowSays();
    space(), space();
    EXPECT_FALSE(piece("right pad").next());
    EXPECT_FALSE(piece("bud").next());
    space(); // on to Finish
    EXPECT_EQ(session().view(), View::finish);
}

TEST_F(Fastened, TheBoatWaitsUntilTheHoleForTheMoonIsCut) {
    choose("Night mooring", View::lay);
    EXPECT_NE(find<QLabel>("now.because").text().toStdString().find("Stitch"), std::string::npos) << why();
    session().choosePiece(named("hull"));
    click("piece.step");
    EXPECT_NE(said().toStdString().find("cut away"), std::string::npos) << said().toStdString();
    EXPECT_EQ(piece("hull").work.step, Step::cleanCut);
    climb(View::stitch);
    EXPECT_NE(nowSays().find("From the front"), std::string::npos) << nowSays();
    space();
    EXPECT_FALSE(quilt::holeBefore(block(), 1));
    climb(View::lay);
    space();
    EXPECT_EQ(piece("far bank").work.step, Step::laid);
}

TEST_F(Fastened, TheBackgroundIsQuiltedBeforeTheDucksAreHeldByGlue) {
    choose("Duck family", View::lay);
    EXPECT_NE(nowSays().find("Quilt the background"), std::string::npos) << nowSays();
    space();
    EXPECT_EQ(block().quilting, quilt::Quilting::done);
    EXPECT_NE(nowSays().find("glue or pins"), std::string::npos) << nowSays();
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(block().quilting, quilt::Quilting::first);
}

TEST_F(Fastened, CtrlJAsksAboutWhatIsChosenOrAboutAll) {
    choose("Bramble", View::draw);
    std::size_t asked = 0;
    m_asker.fasteningAnswer = [&](const app::FasteningQuestion& question) {
        asked = question.pieces.size();
        return std::optional(app::FasteningAnswer{edit::Joining{Join::held, true}, true});
    };
    session().choosePieces({}, {});
    const auto fused = session().quilt();
    find<QAction>("stack.joined").trigger();
    EXPECT_EQ(asked, block().pieces.size()) << "none is chosen: all";
    EXPECT_TRUE(session().quilt() == fused);
    EXPECT_NE(said().toStdString().find("ruined"), std::string::npos) << said().toStdString();
    choose("Duck family", View::draw);
    const auto before = session().quilt();
    session().choosePiece(block().pieces[1].id);
    window().mat().setFocus();
    key(Qt::Key_J, Qt::ControlModifier);
    EXPECT_EQ(asked, 1u);
    EXPECT_EQ(block().pieces[1].join, Join::held);
    EXPECT_EQ(block().pieces[1].shine, quilt::Shine::cutAway);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(Fastened, TheDialogSaysTheStepsAndWhatIsMadeAnew) {
    choose("Night mooring", View::draw);
    app::FasteningDialog dialog({session().quilt(), block().id, {named("hull")}, "3 hull"});
    dialog.show();
    auto& join = *dialog.findChild<QComboBox*>("fastening.join");
    const auto says = [&] { return dialog.findChild<QLabel*>("fastening.says")->text().toStdString(); };
    EXPECT_NE(says().find("Bond"), std::string::npos);
    app::choose(join, Join::turned);
    EXPECT_EQ(says().find("Bond,"), std::string::npos) << says();
    EXPECT_NE(says().find("Turn the edge"), std::string::npos) << says();
    EXPECT_NE(says().find("made anew"), std::string::npos) << "it is cut out already";
    EXPECT_EQ(dialog.answer().how->join, Join::turned);
    app::choose(join, Join::reverse);
    EXPECT_FALSE(dialog.findChild<QCheckBox*>("fastening.behind")->isEnabled());
    dialog.findChild<QCheckBox*>("fastening.first")->click();
    EXPECT_TRUE(dialog.answer().quiltedFirst);
}

TEST_F(Fastened, TheBackgroundMayBeQuiltedFirstWhateverThePiecesAre) {
    choose("Night mooring", View::draw);
    std::vector<PieceId> all;
    for (const auto& one : block().pieces)
        all.push_back(one.id);
    app::FasteningDialog dialog({session().quilt(), block().id, all, "all"});
    dialog.show();
    EXPECT_FALSE(dialog.answer().how) << "one comes from behind, the others are fused: each stays as it is";
    dialog.findChild<QCheckBox*>("fastening.first")->click();
    EXPECT_TRUE(dialog.acceptButton()->isEnabled()) << dialog.trouble().toStdString();
    app::choose(*dialog.findChild<QComboBox*>("fastening.join"), Join::held);
    EXPECT_FALSE(dialog.acceptButton()->isEnabled()) << "the moon is stitched";
}

TEST_F(Fastened, WhatIsStitchedIsNotJoinedAnotherWay) {
    choose("Lily pond", View::draw);
    app::FasteningDialog dialog({session().quilt(), block().id, {named("flower")}, "4 flower"});
    dialog.show();
    app::choose(*dialog.findChild<QComboBox*>("fastening.join"), Join::held);
    EXPECT_TRUE(dialog.trouble().contains("ruined")) << dialog.trouble().toStdString();
    EXPECT_FALSE(dialog.acceptButton()->isEnabled());
}

TEST_F(Fastened, TemplatesAreShownFromTheFrontAndPrinted) {
    choose("Lily pond", View::trace);
    const auto shown = app::partsFor(session());
    ASSERT_EQ(shown.scene.panels.size(), 3u);
    for (const auto& panel : shown.scene.panels)
        EXPECT_EQ(panel.side, app::Side::front) << "without web nothing is reversed";
    EXPECT_TRUE(find<QPushButton>("trace.pages").isEnabled());
    const auto pages = output::templatePages(session().quilt(), block(), {});
    ASSERT_TRUE(pages);
    EXPECT_FALSE(pages->empty());
    choose("Bramble", View::draw);
    EXPECT_FALSE(output::templatePages(session().quilt(), block(), {})) << "all of it is fused";
}

} // namespace
} // namespace up::test
