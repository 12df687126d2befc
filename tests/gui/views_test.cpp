// SPDX-License-Identifier: GPL-3.0-or-later
// What the views compute and show.
#include "app/views/view.hpp"
#include "core/plan/work/progress.hpp"
#include "tests/gui/bench.hpp"

#include <QLabel>
#include <QListWidget>
#include <QPushButton>

namespace up::test {
namespace {

using app::Side;
using app::View;

class Views : public WindowTest {
protected:
    Views() { openSample(); }
    [[nodiscard]] const app::Scene& scene() { return window().mat().scene(); }
    [[nodiscard]] app::Rows rows() { return app::partsFor(session()).rows; }
};

TEST_F(Views, NoDrawingIsWithoutItsSide) {
    for (const View view : {View::draw, View::trace, View::bond, View::cut, View::lay, View::fuse,
                            View::stitch, View::finish}) {
        session().goTo(view);
        ASSERT_FALSE(scene().panels.empty()) << app::nameOf(view).toStdString();
        for (const auto& panel : scene().panels)
            EXPECT_NE(panel.side, Side::plain) << app::nameOf(view).toStdString();
    }
}

TEST_F(Views, PaperSideFlagsPointLeftAndFrontFlagsRight) {
    for (const View view : {View::draw, View::trace, View::bond, View::lay, View::fuse, View::stitch}) {
        session().goTo(view);
        for (const auto& panel : scene().panels)
            for (const auto& layer : panel.layers)
                for (const auto& item : layer.items)
                    if (const auto* flag = std::get_if<sheet::Flag>(&item)) {
                        EXPECT_EQ(flag->pointsLeft, panel.side == Side::paper)
                            << app::nameOf(view).toStdString();
                    }
    }
}

TEST_F(Views, DrawShowsTheBlockBesideItsReversal) {
    session().goTo(View::draw);
    ASSERT_EQ(scene().panels.size(), 2U);
    EXPECT_EQ(scene().panels[0].side, Side::front);
    EXPECT_EQ(scene().panels[1].side, Side::paper);
    click("draw.templates");
    EXPECT_EQ(scene().panels.size(), block().pieces.size());
    EXPECT_EQ(scene().badges, app::Badges::pair);
    EXPECT_EQ(scene().panels[0].below, "1 13/16 × 1 13/16 in");
}

TEST_F(Views, TraceTellsTheWebUsedAndEveryChunk) {
    session().goTo(View::trace);
    EXPECT_TRUE(QString::fromStdString(rows().title).contains("of the roll"));
    std::size_t pieces = 0;
    for (const auto& chunk : session().derived().trace().chunks)
        pieces += chunk.pieces.size();
    EXPECT_EQ(pieces, block().pieces.size());
    EXPECT_EQ(rows().rows.size(), session().derived().trace().chunks.size() + 1); // and which side to draw on
}

TEST_F(Views, BondShowsEachChunkAndWhatItNeeds) {
    session().goTo(View::bond);
    const auto list = rows().rows;
    EXPECT_EQ(list.size(), session().derived().trace().chunks.size());
    EXPECT_EQ(scene().panels.size(), 6U) << "what is done has made room for what is not";
    for (const auto& row : list) {
        EXPECT_NE(row.text.find(" on "), std::string::npos);
        EXPECT_TRUE(row.done || row.detail.find(" in of ") != std::string::npos) << row.detail;
    }
    EXPECT_EQ(std::count_if(list.begin(), list.end(), [](const auto& row) { return row.done; }), 5)
        << "half of the chunks of the narrowboat are bonded";
}

TEST_F(Views, StitchPutsTheLowestFirstAndNamesThreads) {
    choose("Hurricane lamp");
    session().goTo(View::stitch);
    EXPECT_SOON(session().derived().stitchHints().isNewest());
    const auto list = rows();
    const auto& plan = *session().derived().stitching().get();
    const auto legs = plan::legsOf(plan, plan.trails[0]);
    ASSERT_GT(legs.size(), 1U);
    EXPECT_NE(list.rows[0].text.find("straw"), std::string::npos) << list.rows[0].text;
    EXPECT_EQ(list.rows[0].tag, sheet::Tag(block().pieces[0].id)) << "the glow lies lowest";
    EXPECT_TRUE(list.rows[1].next) << "its first leg";
    EXPECT_GE(list.rows.size(), plan.trails.size() + legs.size());
    EXPECT_NE(list.title.find("thread change"), std::string::npos);
    ASSERT_GE(list.rows.size(), 2U);
    EXPECT_NE(list.rows.back().text.find("Widest without a stitch"), std::string::npos);
    EXPECT_TRUE(std::any_of(list.rows.begin(), list.rows.end(), [](const app::Row& row) {
        return row.detail.find("on the bobbin") != std::string::npos;
    }));
}

TEST_F(Views, FinishGivesTheTrimSize) {
    choose("Lock gate");
    session().goTo(View::finish);
    EXPECT_EQ(rows().rows[0].text, "Trim to 9 1/2 × 9 1/2 in");
    EXPECT_TRUE(rows().rows[0].done);
}

TEST_F(Views, TheLandingShowsTheQuiltInItsSetting) {
    EXPECT_EQ(scene().panels.size(), 9U);
    EXPECT_EQ(scene().columns, 3);
    EXPECT_TRUE(scene().panels[5].done) << "the lock gate is finished";
    EXPECT_DOUBLE_EQ(scene().panels[5].stair[7], 1.0);
    EXPECT_LT(scene().panels[0].stair[7], 1.0);
}

/// As the sample is described: one stitched, one fused, one laid, two cut, the rest earlier.
TEST_F(Views, TheSampleIsCaughtInMidWork) {
    std::map<quilt::Tread, int> at;
    for (const auto& candidate : session().quilt().blocks)
        ++at[plan::currentTread(candidate)];
    EXPECT_TRUE(std::any_of(session().quilt().blocks.begin(), session().quilt().blocks.end(),
                            [](const auto& b) { return b.trimmed; }));
    EXPECT_EQ(at[quilt::Tread::stitch], 1) << "fused, to be stitched";
    EXPECT_EQ(at[quilt::Tread::fuse], 1) << "laid, to be fused";
    EXPECT_EQ(at[quilt::Tread::cut] + at[quilt::Tread::lay], 2) << "cut, wholly or half";
}

TEST_F(Views, MetricChangesEveryMeasure) {
    session().apply(edit::setUnits(session().quilt(), measure::System::metric), "metric");
    choose("Lock gate");
    session().goTo(View::finish);
    EXPECT_EQ(rows().rows[0].text, "Trim to 24.1 × 24.1 cm");
}

TEST_F(Views, AnEmptyQuiltSaysWhatToDoFirst) {
    m_asker.saves = {app::SaveAnswer::discard};
    room().files.startNew();
    for (const View view : every<View>()) {
        session().goTo(view);
        if (scene().panels.empty() && view != View::logbook) {
            EXPECT_FALSE(scene().empty.empty()) << app::nameOf(view).toStdString();
        }
        EXPECT_FALSE(find<QPushButton>("now").text().isEmpty());
    }
}

TEST_F(Views, NothingIsCutOffAt1280By800) {
    EXPECT_EQ(window().size(), QSize(1280, 800));
    for (const auto& candidate : session().quilt().blocks) {
        session().chooseBlock(candidate.id);
        for (const View view : every<View>()) {
            session().goTo(view);
            EXPECT_SOON(!room().checker.isBusy()); // findings come aside and are laid out after that
            for (int i = 0; i < 3; ++i)
                QCoreApplication::processEvents();
            EXPECT_EQ(window().size(), QSize(1280, 800))
                << candidate.name << " " << app::nameOf(view).toStdString();
            for (auto* button : window().findChildren<QPushButton*>())
                if (button->isVisible()) {
                    EXPECT_GE(button->width(), button->sizeHint().width() - 2)
                        << button->text().toStdString();
                }
            for (auto* label : window().findChildren<QLabel*>())
                if (label->isVisible() && label->wordWrap()) {
                    EXPECT_GE(label->height() + 1, label->heightForWidth(label->width()))
                        << candidate.name << " " << app::nameOf(view).toStdString() << ": "
                        << label->text().toStdString();
                }
        }
    }
}

TEST_F(Views, WhatAPieceCoversIsKeptWhileOnlyTheWorkGoesOn) {
    const auto* before = session().derived().block().regions.data();
    const auto shapes = session().derived().block().regions;
    climb(app::View::bond);
    key(Qt::Key_Space);
    EXPECT_EQ(session().derived().block().regions.data(), before) << "a step done moves nothing";
    climb(app::View::lay);
    session().choosePiece(block().pieces.front().id);
    key(Qt::Key_Right);
    EXPECT_NE(session().derived().block().regions, shapes);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().derived().block().regions, shapes);
}

TEST_F(Views, ChecksWaitUntilChangesPause) {
    EXPECT_SOON(!room().checker.isBusy());
    int checked = 0;
    QObject::connect(&room().checker, &app::Checker::checked, [&] { ++checked; });
    climb(app::View::lay);
    session().choosePiece(block().pieces.front().id);
    for (int i = 0; i < 10; ++i)
        key(i % 2 ? Qt::Key_Right : Qt::Key_Left);
    EXPECT_TRUE(room().checker.isBusy());
    EXPECT_SOON(!room().checker.isBusy());
    EXPECT_EQ(checked, 1);
}

} // namespace
} // namespace up::test
