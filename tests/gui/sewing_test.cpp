// SPDX-License-Identifier: GPL-3.0-or-later
// At the sewing machine: the way of the needle leg by leg, how edges are stitched, every stitch shown; undone again.
#include "app/commands/sewing_commands.hpp"
#include "app/dialogs/stitch_dialog.hpp"
#include "tests/gui/bench.hpp"

#include <QComboBox>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <gtest/gtest.h>

namespace up::test {
namespace {

class Sewing : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        openSample();
        choose("Hurricane lamp");
        key(Qt::Key_7);
        known();
    }
    void known() { EXPECT_SOON(session().derived().stitching().isNewest()); }
    [[nodiscard]] const plan::StitchPlan& plan() { return *session().derived().stitching().get(); }
    [[nodiscard]] std::size_t stitched() {
        return static_cast<std::size_t>(
            std::count_if(block().pieces.begin(), block().pieces.end(),
                          [](const auto& p) { return p.work.step == quilt::Step::stitched; }));
    }
};

TEST_F(Sewing, SpaceGoesFromLegToLegAndEachIsWrittenDown) {
    window().mat().setFocus();
    const auto trails = plan().trails.size();
    const auto first = *session().next().stitch;
    EXPECT_EQ(first.at.leg, 0U);
    EXPECT_TRUE(first.newThread);
    const auto before = session().quilt();
    key(Qt::Key_Space);
    known();
    EXPECT_TRUE(plan().runs[first.leg.run].isDone());
    EXPECT_EQ(plan().trails.size(), trails) << "the trails stay while they are walked";
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
    known();
    EXPECT_EQ(session().next().stitch->at.leg, 0U);
    std::size_t legs = 0;
    while (session().next().what == plan::What::stitch) {
        ASSERT_LT(++legs, 400U);
        key(Qt::Key_Space);
        known();
    }
    EXPECT_GT(legs, trails) << "some trails have several legs";
    EXPECT_EQ(stitched(), block().pieces.size());
    EXPECT_EQ(session().next().what, plan::What::goOn);
}

TEST_F(Sewing, AWholeTrailAtOnceAndABreakIsNoLoss) {
    const auto now = *session().next().stitch;
    const auto legs = plan::legsOf(plan(), plan().trails[0]);
    ASSERT_GT(legs.size(), 1U);
    click("stitch.trail");
    known();
    for (const auto& leg : legs)
        EXPECT_TRUE(plan().runs[leg.run].isDone());
    EXPECT_EQ(session().next().stitch->at.trail, now.at.trail + 1);
    const auto path = QString::fromStdString(m_dir.file("lamp.upstairs"));
    m_asker.files = {path};
    key(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
    openWindow();
    room().files.openFile(path);
    choose("Hurricane lamp");
    key(Qt::Key_7);
    known();
    EXPECT_EQ(plan().trails.size() + 1, now.trails) << "what was stitched is in no trail";
}

TEST_F(Sewing, TheBlocksStitchIsAskedForAndUndone) {
    session().choosePiece({});
    std::optional<app::StitchQuestion> asked;
    m_asker.stitchAnswer = [&](const app::StitchQuestion& question) {
        asked = question;
        return app::StitchAnswer{quilt::usualStitch(quilt::StitchKind::sketched), quilt::Length()};
    };
    const auto before = block().edge;
    click("stitch.how");
    ASSERT_TRUE(asked && asked->isBlock);
    EXPECT_EQ(block().edge.kind, quilt::StitchKind::sketched);
    EXPECT_EQ(block().edge.passes, 3);
    EXPECT_EQ(block().jump, quilt::Length());
    known();
    EXPECT_EQ(plan().jump, quilt::Length()) << "never in the open";
    EXPECT_GT(session().next().stitch->leg.times, 1);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(block().edge == before);
    m_asker.stitchAnswer = nullptr;
    click("stitch.how");
    EXPECT_TRUE(block().edge == before) << "cancelled";
}

TEST_F(Sewing, APieceHasAStitchOfItsOwn) {
    session().choosePiece(block().pieces[2].id);
    m_asker.stitchAnswer = [](const app::StitchQuestion& question) {
        EXPECT_FALSE(question.isBlock);
        return app::StitchAnswer{quilt::usualStitch(quilt::StitchKind::blanket), question.jump};
    };
    click("stitch.how");
    ASSERT_TRUE(block().pieces[2].edge);
    EXPECT_EQ(block().pieces[2].edge->kind, quilt::StitchKind::blanket);
    m_asker.stitchAnswer = [](const app::StitchQuestion& question) {
        return app::StitchAnswer{std::nullopt, question.jump};
    };
    click("stitch.how");
    EXPECT_FALSE(block().pieces[2].edge) << "as the block's again";
}

TEST_F(Sewing, EveryStitchIsShownAndTheWayAgain) {
    const auto layers = [&] {
        QStringList out;
        for (const auto& layer : window().mat().scene().panels.at(0).layers)
            out << QString::fromStdString(layer.name);
        return out;
    };
    EXPECT_TRUE(layers().contains("edges"));
    key(Qt::Key_X);
    EXPECT_TRUE(layers().contains("stitches"));
    EXPECT_FALSE(layers().contains("edges"));
    click("stitch.stitches");
    EXPECT_TRUE(layers().contains("edges"));
}

TEST(StitchDialogs, OffersWhatIsUsualAndSaysWhatIsWrong) {
    app::StitchDialog dialog({measure::System::inches, "Heron", {}, true, {}, quilt::Length::ofInches(1, 2)});
    auto& kind = *dialog.findChild<QComboBox*>("sewing.kind");
    kind.setCurrentIndex(kind.findData(static_cast<int>(quilt::StitchKind::sketched)));
    emit kind.activated(kind.currentIndex());
    EXPECT_EQ(dialog.findChild<QSpinBox*>("sewing.passes")->value(), 3);
    EXPECT_EQ(dialog.answer().edge->mayBe, 4);
    EXPECT_TRUE(dialog.trouble().isEmpty());
    dialog.findChild<QLineEdit*>("sewing.width")->setText("0");
    EXPECT_FALSE(dialog.trouble().isEmpty());
    dialog.findChild<QLineEdit*>("sewing.width")->setText("1/16");
    dialog.findChild<QLineEdit*>("sewing.length")->setText("-2 mm");
    EXPECT_FALSE(dialog.trouble().isEmpty());
    dialog.findChild<QLineEdit*>("sewing.length")->setText("3 mm");
    dialog.findChild<QLineEdit*>("sewing.jump")->setText("0");
    EXPECT_TRUE(dialog.trouble().isEmpty());
    EXPECT_EQ(dialog.answer().jump, quilt::Length());
    EXPECT_EQ(dialog.answer().edge->length, quilt::Length::ofMm(3));
}

} // namespace
} // namespace up::test
