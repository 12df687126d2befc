// SPDX-License-Identifier: GPL-3.0-or-later
// The dialogs of Lay by mouse and keys: background, what tucks under what, fabrics.
#include "app/dialogs/fabric_dialog.hpp"
#include "app/dialogs/ground_dialog.hpp"
#include "app/dialogs/underlap_dialog.hpp"
#include "app/pictures/layer_picture.hpp"
#include "core/edit/stacking.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"

#include <QAction>
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QRadioButton>
#include <QSlider>
#include <QTableWidget>

namespace up::test {
namespace {

constexpr Colour white{250, 250, 248}, navy{28, 44, 84};

/// Two squares that merely meet, light and dark, and one on both.
quilt::Quilt meeting() {
    auto quilt = quiltOf({{"light", square(40, 60, 50), white},
                          {"dark", square(90, 60, 50), navy},
                          {"knot", square(80, 75, 20), white}});
    quilt.blocks[0].background = quilt.fabrics.front().id;
    return quilt;
}

template<class Dialog> class DialogTest : public testing::Test {
protected:
    template<class Widget> Widget& find(const char* name) {
        auto* found = m_dialog->template findChild<Widget*>(name);
        if (!found) throw std::runtime_error(name);
        return *found;
    }
    void press(const char* name) { QTest::mouseClick(&find<QAbstractButton>(name), Qt::LeftButton); }
    void type(const char* name, const QString& words) {
        auto& field = find<QLineEdit>(name);
        field.setFocus();
        field.selectAll();
        QTest::keyClicks(&field, words);
    }
    QString text(const char* name) { return find<QLabel>(name).text(); }
    std::unique_ptr<Dialog> m_dialog;
};

// --- the background

class Grounds : public DialogTest<app::GroundDialog> {
protected:
    void open(const quilt::Quilt& quilt = meeting()) {
        m_dialog = std::make_unique<app::GroundDialog>(app::GroundQuestion{quilt, quilt.blocks[0].id});
        m_dialog->show();
    }
    void enter(int row, int column, const char* words) {
        find<QTableWidget>("ground.strips").item(row, column)->setText(words);
    }
};

TEST_F(Grounds, RoomToTrimAndCreasesAreSet) {
    open();
    type("ground.larger", "1 in");
    press("ground.diagonals");
    press("ground.halves");
    const auto answer = m_dialog->answer();
    EXPECT_EQ(answer.ground.oversize, measure::Length::ofInches(1, 1));
    EXPECT_TRUE(answer.ground.creases.diagonals);
    EXPECT_FALSE(answer.ground.creases.halves);
    EXPECT_TRUE(text("ground.says").contains("10 1/2 × 10 1/2 in")) << text("ground.says").toStdString();
}

TEST_F(Grounds, WhatCannotBeReadIsSaidAndNothingIsLost) {
    open();
    type("ground.larger", "a thumb");
    EXPECT_FALSE(find<QPushButton>("ground.set").isEnabled());
    EXPECT_TRUE(text("ground.trouble").contains("a thumb")) << text("ground.trouble").toStdString();
    EXPECT_EQ(m_dialog->answer().ground.oversize, measure::Length::ofInches(1, 2));
    type("ground.larger", "90 in");
    EXPECT_FALSE(find<QPushButton>("ground.set").isEnabled()) << "that is no room to trim";
    type("ground.larger", "3/4 in");
    EXPECT_TRUE(find<QPushButton>("ground.set").isEnabled());
    EXPECT_TRUE(find<QLabel>("ground.trouble").isHidden());
}

/// Source: arithmetic: two strips of 5¼ in less one seam of ½ in make 10 in.
TEST_F(Grounds, StripsAreProposedAndAddedUp) {
    open();
    EXPECT_TRUE(find<QTableWidget>("ground.strips").isHidden());
    auto& sewn = find<QComboBox>("ground.sewn");
    sewn.setFocus();
    QTest::keyClick(&sewn, Qt::Key_Down);
    ASSERT_EQ(m_dialog->answer().ground.strips.size(), 2U);
    EXPECT_EQ(m_dialog->answer().ground.strips[0].cut, measure::Length::ofInches(21, 4));
    EXPECT_TRUE(text("ground.says").contains("5 1/4 + 5 1/4 in less 1/2 in for the seam = 10 in"))
        << text("ground.says").toStdString();
    press("ground.addStrip");
    enter(2, 1, "3 in");
    EXPECT_EQ(m_dialog->answer().ground.strips[2].cut, measure::Length::ofInches(3, 1));
    EXPECT_TRUE(text("ground.says").contains("for each of 2 seams = 12 1/2 in"));
    press("ground.even");
    EXPECT_EQ(m_dialog->answer().ground.strips[0].cut, measure::Length::ofInches(15, 4));
    QTest::keyClick(&sewn, Qt::Key_Up);
    EXPECT_TRUE(m_dialog->answer().ground.strips.empty());
}

TEST_F(Grounds, PatchesAreAddedToAStripAndTakenOut) {
    open();
    find<QComboBox>("ground.sewn").setCurrentIndex(2);
    auto& table = find<QTableWidget>("ground.strips");
    table.selectRow(0);
    press("ground.addPatch");
    EXPECT_TRUE(m_dialog->answer().ground.rows);
    ASSERT_EQ(m_dialog->answer().ground.strips[0].patches.size(), 2U);
    press("ground.even");
    EXPECT_TRUE(text("ground.says").contains("Strip 1: ")) << text("ground.says").toStdString();
    table.selectRow(1);
    press("ground.remove");
    EXPECT_EQ(m_dialog->answer().ground.strips[0].patches.size(), 1U);
    enter(0, 1, "wide");
    EXPECT_FALSE(find<QPushButton>("ground.set").isEnabled());
}

// --- what tucks under what

class Underlaps : public DialogTest<app::UnderlapDialog> {
protected:
    Underlaps() : m_quilt(meeting()) {
        m_dialog =
            std::make_unique<app::UnderlapDialog>(app::UnderlapQuestion{m_quilt, m_quilt.blocks[0].id});
        m_dialog->show();
    }
    QString cell(int column) { return find<QTableWidget>("underlap.table").item(0, column)->text(); }
    PieceId id(std::size_t i) { return m_quilt.blocks[0].pieces[i].id; }
    quilt::Quilt m_quilt;
};

TEST_F(Underlaps, EachTwoSayWhichGoesBelowAndWhy) {
    EXPECT_EQ(find<QTableWidget>("underlap.table").rowCount(), 3);
    EXPECT_EQ(cell(0), "1 light") << "what merely meets comes first: there is a choice";
    EXPECT_EQ(cell(1), "2 dark");
    EXPECT_EQ(cell(2), "as drawn");
    find<QRadioButton>("underlap.lighter").click();
    EXPECT_EQ(cell(2), "it is the lighter one");
    EXPECT_EQ(m_dialog->answer().below, plan::Below::lighter);
}

TEST_F(Underlaps, TheOtherWayRoundIsSaidAndUnsaid) {
    press("underlap.turn");
    EXPECT_EQ(cell(0), "2 dark");
    EXPECT_EQ(cell(2), "as you said");
    EXPECT_EQ(m_dialog->answer().over, (std::vector<quilt::Over>{{id(0), id(1)}}));
    press("underlap.back");
    EXPECT_EQ(cell(0), "1 light");
    EXPECT_TRUE(m_dialog->answer().over.empty());
}

TEST_F(Underlaps, AnAbsurdAmountIsSaid) {
    type("underlap.amount", "3 in");
    EXPECT_FALSE(find<QPushButton>("underlap.set").isEnabled());
    EXPECT_TRUE(text("underlap.trouble").contains("underlap")) << text("underlap.trouble").toStdString();
    type("underlap.amount", "1/8 in");
    EXPECT_TRUE(find<QPushButton>("underlap.set").isEnabled());
    EXPECT_EQ(m_dialog->answer().underlap, measure::Length::ofInches(1, 8));
}

TEST_F(Underlaps, TheWindowDoesAsItSays) {
    EXPECT_SOON(!m_dialog->isLooking());
    const auto tucked = mend::tuckedUnder(m_quilt, m_quilt.blocks[0].id, m_dialog->answer());
    ASSERT_TRUE(tucked);
    const auto wide = boundsOf(quilt::placed(tucked->blocks[0].pieces[0])).width();
    EXPECT_NEAR(wide, 50 + 6.35, 0.1);
}

// --- fabrics

class Fabrics : public DialogTest<app::FabricDialog> {
protected:
    Fabrics() {
        auto quilt = quiltOf({{"dark", square(40, 60, 70), navy}, {"light", square(60, 70, 50), white}});
        m_dialog = std::make_unique<app::FabricDialog>(
            app::FabricQuestion{quilt, quilt.blocks[0].id, quilt.blocks[0].pieces[1].fabric});
        m_dialog->show();
    }
    bool says(const QString& words) {
        return QTest::qWaitFor([&] { return text("fabric.says").contains(words); }, test::patience);
    }
};

TEST_F(Fabrics, LessLightShinesLessThrough) {
    EXPECT_TRUE(says("1 dark through 2 light")) << text("fabric.says").toStdString();
    find<QSlider>("fabric.light").setValue(0);
    EXPECT_TRUE(says("Nothing dark shines through"));
    EXPECT_EQ(m_dialog->answer()[1].opacity, 1);
    EXPECT_EQ(m_dialog->answer()[0].opacity, quilt::usualOpacity) << "only the chosen one";
}

TEST_F(Fabrics, TheNameIsChangedButNeverTakenAway) {
    type("fabric.name", "bleached calico");
    EXPECT_EQ(m_dialog->answer()[1].name, "bleached calico");
    EXPECT_EQ(find<QListWidget>("fabric.list").currentItem()->text(), "bleached calico");
    find<QLineEdit>("fabric.name").selectAll();
    QTest::keyClick(&find<QLineEdit>("fabric.name"), Qt::Key_Delete);
    EXPECT_FALSE(find<QPushButton>("fabric.keep").isEnabled());
}

// --- in the window

class LayingQuestions : public WindowTest {
protected:
    LayingQuestions() {
        openSample();
        session().goTo(app::View::lay);
    }
    void act(const char* action) {
        find<QAction>(action).trigger();
        EXPECT_SOON(!room().mending.isBusy());
    }
};

TEST_F(LayingQuestions, TheBackgroundIsSetAsOneStep) {
    const auto before = session().quilt();
    m_asker.groundAnswer = [](const app::GroundQuestion& question) {
        auto ground = quilt::find(question.quilt.blocks, question.block)->ground;
        ground.creases.quarters = true;
        return app::GroundAnswer{question.quilt.fabrics[3].id, ground};
    };
    act("lay.ground");
    EXPECT_TRUE(block().ground.creases.quarters);
    EXPECT_EQ(block().background, session().quilt().fabrics[3].id);
    session().undo();
    EXPECT_TRUE(session().quilt() == before);
}

/// A first block of a new quilt has neither pieces nor cloth.
TEST_F(LayingQuestions, ABackgroundWithoutAnyFabricIsCreasedAllTheSame) {
    auto quilt = quilt::emptyQuilt("New");
    session().startNew(
        *edit::addBlock(quilt, "First", measure::Length::ofInches(9, 1), measure::Length::ofInches(9, 1)));
    m_asker.groundAnswer = [](const app::GroundQuestion& question) {
        app::GroundDialog dialog(question);
        dialog.show();
        dialog.findChild<QComboBox*>("ground.sewn")->setCurrentIndex(1);
        dialog.findChild<QComboBox*>("ground.sewn")->setCurrentIndex(0);
        QTest::mouseClick(dialog.findChild<QCheckBox*>("ground.diagonals"), Qt::LeftButton);
        return dialog.answer();
    };
    act("lay.ground");
    EXPECT_TRUE(block().ground.creases.diagonals);
    EXPECT_FALSE(said().contains("abric")) << said().toStdString();
}

TEST_F(LayingQuestions, TheListOfBackgroundsLeadsToStripsAndCreases) {
    int asked = 0;
    m_asker.groundAnswer = [&](const app::GroundQuestion&) {
        ++asked;
        return std::optional<app::GroundAnswer>();
    };
    auto& list = find<QComboBox>("lay.background");
    const auto before = block().background;
    emit list.activated(list.count() - 1);
    EXPECT_EQ(asked, 1);
    EXPECT_EQ(block().background, before);
    EXPECT_EQ(list.currentData().toUInt(), before.value) << "the list shows the cloth again";
}

TEST_F(LayingQuestions, UnderlapsAreDoneAsAnswered) {
    m_asker.underlapAnswer = [](const app::UnderlapQuestion&) {
        return app::UnderlapAnswer{measure::Length::ofInches(3, 16), plan::Below::drawn, {}};
    };
    act("stack.underlap");
    EXPECT_EQ(block().underlap, measure::Length::ofInches(3, 16));
    EXPECT_TRUE(said().contains("3/16 in")) << said().toStdString();
}

} // namespace
} // namespace up::test
