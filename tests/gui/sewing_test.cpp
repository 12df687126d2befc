// SPDX-License-Identifier: GPL-3.0-or-later
// At the sewing machine: the way of the needle leg by leg, how edges are stitched, every stitch shown; undone again.
#include "app/commands/sewing_commands.hpp"
#include "app/dialogs/stitch_dialog.hpp"
#include "app/dialogs/threads_dialog.hpp"
#include "app/pictures/repeat_picture.hpp"
#include "app/pictures/threads_picture.hpp"
#include "app/views/view.hpp"
#include "core/mend/mend.hpp"
#include "tests/gui/bench.hpp"
#include "tests/gui/every_dialog.hpp"
#include "words/stitch_words.hpp"

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

TEST_F(Sewing, TheNextStretchHasAStitchOfItsOwn) {
    const auto now = *session().next().stitch;
    m_asker.stitchAnswer = [&](const app::StitchQuestion& question) {
        EXPECT_TRUE(question.isStretch);
        EXPECT_TRUE(question.asBlock == block().edge);
        app::StitchAnswer answer;
        answer.edge = quilt::usualStitch(quilt::StitchKind::zigzag);
        return answer;
    };
    const auto before = session().quilt();
    find<QAction>("stitch.stretch").trigger();
    known();
    EXPECT_EQ(session().next().stitch->run.edge.kind, quilt::StitchKind::zigzag);
    EXPECT_EQ(plan().runs[now.leg.run].edge.kind, quilt::StitchKind::zigzag);
    EXPECT_TRUE(block().edge == before.blocks[0].edge);
    m_asker.stitchAnswer = [](const app::StitchQuestion&) { return app::StitchAnswer{}; };
    find<QAction>("stitch.stretch").trigger();
    known();
    EXPECT_TRUE(session().next().stitch->run.edge == block().edge) << "as its piece's edge again";
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(Sewing, TheThreadThatIsOnAndTheNeedlesHoursAreKept) {
    EXPECT_FALSE(session().quilt().machine.thread);
    const auto first = *session().next().stitch;
    key(Qt::Key_Space);
    known();
    EXPECT_EQ(session().quilt().machine.thread, first.run.thread);
    const double minutes = session().quilt().machine.needleMinutes;
    EXPECT_GT(minutes, 0.1);
    find<QAction>("stitch.needle").trigger();
    EXPECT_EQ(session().quilt().machine.needleMinutes, 0);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().machine.needleMinutes, minutes);
}

/// From the check that says it to the bobbin that is wound, by a click, and back.
TEST_F(Sewing, ABobbinThatRunsOutIsToldOfAndWound) {
    auto quilt = session().quilt();
    const auto thread = session().next().stitch->run.thread;
    quilt::find(quilt.threads, thread)->bobbin = quilt::Length::ofMm(300);
    ASSERT_TRUE(session().apply(quilt, "thread"));
    known();
    const auto told = [&]() -> const check::Row* {
        for (const auto& row : room().checker.rows())
            if (row.worst().kind == check::Kind::bobbinEnds)
                for (const auto& finding : row.findings)
                    if (finding.args.at(1) == check::Arg(thread)) return &row;
        return nullptr;
    };
    EXPECT_SOON(!room().checker.isBusy() && told());
    const auto before = quilt::find(session().quilt().threads, thread)->bobbin;
    session().apply(mend::mended(session().quilt(), told()->findings, check::Fix::windBobbin), "wound");
    EXPECT_GT(quilt::find(session().quilt().threads, thread)->bobbin->mm(), before->mm() + 500);
    EXPECT_SOON(!room().checker.isBusy() && !told());
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(quilt::find(session().quilt().threads, thread)->bobbin, before);
}

TEST_F(Sewing, WhatElseGoesWithTheThreadAndWhatAnotherWouldSaveAreListed) {
    EXPECT_SOON(session().derived().stitchHints().isNewest());
    const auto& hints = *session().derived().stitchHints().get();
    EXPECT_EQ(hints.thread, session().next().stitch->run.thread);
    ASSERT_FALSE(hints.savings.empty());
    const auto parts = app::partsFor(session());
    const auto row = std::find_if(parts.rows.rows.begin(), parts.rows.rows.end(), [](const app::Row& r) {
        return r.detail.find("fewer, about") != std::string::npos;
    });
    ASSERT_NE(row, parts.rows.rows.end());
    EXPECT_EQ(sheet::pieceOf(row->tag), hints.savings.front().piece);
    // Its thread changed so, there are as many changes fewer.
    const auto changes = plan().threadChanges;
    const auto saving = hints.savings.front();
    session().choosePiece(saving.piece);
    room().sewing.setThread(saving.thread);
    known();
    EXPECT_EQ(plan().threadChanges, changes - saving.changes);
}

TEST_F(Sewing, WithoutAThreadOneIsAskedFor) {
    auto quilt = session().quilt();
    for (auto& piece : quilt::the(quilt.blocks, session().blockId()).pieces)
        piece.thread = {};
    ASSERT_TRUE(session().apply(quilt, "no thread"));
    known();
    const auto said = words::legSaid(session().quilt(), block(), *session().next().stitch).because;
    EXPECT_NE(said.find("Choose a thread"), std::string::npos) << said;
    EXPECT_EQ(said.find("Put on"), std::string::npos) << said;
}

TEST_F(Sewing, TheWaysArePrinted) {
    QString name;
    std::size_t pages = 0;
    std::string text;
    m_asker.printAnswer = [&](const app::PrintQuestion& question) {
        const auto& kind = question.kinds[question.first];
        name = kind.name;
        const auto made = kind.make({});
        ASSERT_TRUE(made);
        pages = made->size();
        for (const auto& page : *made)
            for (const auto& layer : page.layers)
                for (const auto& item : layer.items)
                    if (const auto* words = std::get_if<sheet::Words>(&item)) text += words->text + "\n";
    };
    find<QAction>("stitch.sheet").trigger();
    EXPECT_EQ(name, "Ways of the needle");
    EXPECT_GE(pages, 1U);
    for (std::size_t t = 0; t < plan().trails.size(); ++t)
        EXPECT_NE(text.find("Trail " + std::to_string(t + 1) + ":"), std::string::npos) << t;
}

TEST_F(Sewing, ThreadsAreTriedSideBySideAndOneIsTaken) {
    const auto id = session().next().stitch->run.piece;
    const auto of = [&] { return quilt::the(block().pieces, id).thread; };
    ThreadId other;
    m_asker.threadsAnswer = [&](const app::ThreadsQuestion& question) {
        EXPECT_EQ(question.chosen, of());
        EXPECT_FALSE(question.stitches.empty());
        EXPECT_TRUE(std::is_sorted(question.threads.begin(), question.threads.end(),
                                   [](const auto& a, const auto& b) { return a.off < b.off; }));
        other = question.threads.back().thread;
        return std::optional(other);
    };
    const auto before = of();
    click("stitch.threads");
    EXPECT_EQ(of(), other);
    EXPECT_NE(before, other);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(of(), before);
}

TEST(ThreadsDialogs, ATileIsClickedOrTheThreadFarthestOffComesFirst) {
    const auto form = dialogNamed("threads");
    auto& dialog = dynamic_cast<app::ThreadsDialog&>(*form);
    dialog.show();
    auto& thread = *dialog.findChild<QComboBox*>("threads.thread");
    auto& order = *dialog.findChild<QComboBox*>("threads.order");
    auto& picture = *dialog.findChild<app::ThreadsPicture*>("threads.picture");
    EXPECT_EQ(dialog.answer(), ThreadId{2});
    QTest::mouseClick(&picture, Qt::LeftButton, {}, picture.tile(4).center().toPoint());
    EXPECT_EQ(dialog.answer(), ThreadId{5});
    EXPECT_EQ(thread.currentData().toUInt(), 5U);
    order.setCurrentIndex(1);
    emit order.activated(1);
    EXPECT_EQ(dialog.answer(), ThreadId{5}) << "what is chosen stays";
    EXPECT_EQ(thread.itemData(0).toUInt(), 8U);
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

TEST(StitchDialogs, ADecorativeRepeatIsDrawnHoleByHole) {
    app::StitchQuestion question;
    question.edge = quilt::usualStitch(quilt::StitchKind::decorative);
    app::StitchDialog dialog(question);
    dialog.show();
    auto& picture = *dialog.findChild<app::RepeatPicture*>("sewing.repeat");
    ASSERT_TRUE(picture.isVisible());
    EXPECT_TRUE(dialog.answer().edge->unit.empty()) << "the feather";
    const auto clickAt = [&](double x, double y) {
        QTest::mouseClick(&picture, Qt::LeftButton, {}, picture.pixelOf({x, y}).toPoint());
    };
    clickAt(0, 4), clickAt(6, 8), clickAt(12, 0);
    const std::vector<shape::Point> zag{{0, 0}, {0.5, 1}, {1, -1}};
    EXPECT_EQ(dialog.answer().edge->unit, zag);
    clickAt(30, 4);
    EXPECT_EQ(dialog.answer().edge->unit, zag) << "beyond the grid nothing is drawn";
    QTest::keyClick(&picture, Qt::Key_Backspace);
    EXPECT_EQ(dialog.answer().edge->unit.size(), 2U);
    QTest::mouseClick(dialog.findChild<QPushButton*>("sewing.lastHole"), Qt::LeftButton);
    EXPECT_EQ(dialog.answer().edge->unit.size(), 1U);
    auto& kind = *dialog.findChild<QComboBox*>("sewing.kind");
    kind.setCurrentIndex(kind.findData(static_cast<int>(quilt::StitchKind::satin)));
    emit kind.activated(kind.currentIndex());
    EXPECT_FALSE(picture.isVisible());
    EXPECT_TRUE(dialog.answer().edge->unit.empty());
}

TEST(StitchDialogs, WhatWasSetInMillimetresIsReadAgain) {
    for (const auto units : {measure::System::inches, measure::System::metric})
        for (const double mm : {0.3, 1.0, 2.38125, 5.0, 12.7}) {
            app::StitchQuestion question;
            question.units = units;
            question.edge.width = quilt::Length::ofMm(mm);
            app::StitchDialog dialog(question);
            EXPECT_TRUE(dialog.trouble().isEmpty()) << dialog.trouble().toStdString();
            EXPECT_NEAR(dialog.answer().edge->width.mm(), mm, 0.06) << mm;
        }
}

TEST(StitchDialogs, OffersWhatIsUsualAndSaysWhatIsWrong) {
    app::StitchQuestion question;
    question.of = "Heron", question.jump = quilt::Length::ofInches(1, 2);
    app::StitchDialog dialog(question);
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
    dialog.findChild<QLineEdit*>("sewing.apart")->setText("1/16");
    EXPECT_EQ(dialog.answer().edge->apart, quilt::Length::ofInches(1, 16));
    dialog.findChild<QLineEdit*>("sewing.apart")->setText("0");
    EXPECT_FALSE(dialog.answer().edge->apart) << "one upon the other";
    auto& beneath = *dialog.findChild<QComboBox*>("sewing.beneath");
    EXPECT_FALSE(dialog.findChild<QLineEdit*>("sewing.holds")->isEnabled()) << "no batting is beneath";
    beneath.setCurrentIndex(beneath.findData(static_cast<int>(quilt::Beneath::batting)));
    EXPECT_TRUE(dialog.findChild<QLineEdit*>("sewing.holds")->isEnabled());
    dialog.findChild<QLineEdit*>("sewing.holds")->setText("a lot");
    EXPECT_FALSE(dialog.trouble().isEmpty());
    dialog.findChild<QLineEdit*>("sewing.holds")->setText("8");
    EXPECT_TRUE(dialog.trouble().isEmpty());
    EXPECT_EQ(dialog.answer().battingHolds, quilt::Length::ofInches(8, 1));
    EXPECT_EQ(dialog.answer().beneath, quilt::Beneath::batting);
}

} // namespace
} // namespace up::test
