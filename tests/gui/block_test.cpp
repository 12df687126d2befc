// SPDX-License-Identifier: GPL-3.0-or-later
// A new block on one form, and a window that opens within its screen.
#include "app/dialogs/block_dialog.hpp"
#include "app/window/opening.hpp"
#include "core/edit/edits.hpp"
#include "tests/gui/bench.hpp"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScreen>

namespace up::test {
namespace {

class BlockForm : public WindowTest {
protected:
    app::BlockDialog& open() {
        m_form = std::make_unique<app::BlockDialog>(app::BlockQuestion{session().quilt(), "Block 10"});
        m_form->show();
        return *m_form;
    }
    template<class Widget> Widget& field(const char* name) { return *m_form->findChild<Widget*>(name); }
    QString label(const char* name) {
        const auto& found = field<QLabel>(name);
        return found.isVisible() ? found.text() : QString();
    }
    std::unique_ptr<app::BlockDialog> m_form;
};

TEST_F(BlockForm, EnterAloneMakesABlockLikeTheOthers) {
    openSample();
    open();
    QTest::keyClick(&field<QLineEdit>("block.name"), Qt::Key_Return);
    ASSERT_EQ(m_form->result(), QDialog::Accepted);
    const auto answer = m_form->answer();
    EXPECT_EQ(answer.name, "Block 10");
    EXPECT_EQ(answer.width, measure::Length::ofInches(9, 1));
    EXPECT_EQ(answer.background, session().quilt().blocks.back().background);
    EXPECT_EQ(answer.web, session().quilt().blocks.back().web);
}

TEST_F(BlockForm, SaysHowLargeTheBackgroundIsCutAndWhatTheOthersMeasure) {
    openSample();
    open();
    EXPECT_TRUE(label("block.says").contains("cut 10 × 10 in")) << label("block.says").toStdString();
    EXPECT_FALSE(label("block.says").contains("Most blocks"));
    field<QLineEdit>("block.size").setText("12 x 6");
    EXPECT_TRUE(label("block.says").contains("cut 13 × 7 in")) << label("block.says").toStdString();
    EXPECT_TRUE(label("block.says").contains("Most blocks of this quilt finish at 9"));
}

TEST_F(BlockForm, WhatIsWrongIsSaidAndMendedAgain) {
    open();
    auto& make = field<QPushButton>("block.make");
    EXPECT_TRUE(make.isEnabled());
    for (const auto& [name, wrong, right] :
         {std::tuple{"block.size", "0", "9"}, std::tuple{"block.size", "nine", "9 1/2"},
          std::tuple{"block.name", "  ", "Pond"}}) {
        field<QLineEdit>(name).setText(wrong);
        EXPECT_FALSE(make.isEnabled()) << wrong;
        EXPECT_FALSE(label("block.trouble").isEmpty()) << wrong;
        field<QLineEdit>(name).setText(right);
        EXPECT_TRUE(make.isEnabled()) << right;
        EXPECT_TRUE(label("block.trouble").isEmpty()) << right;
    }
}

TEST_F(BlockForm, AnotherClothIsAddedWithTheBlockInOneStep) {
    m_asker.blockAnswer = [&](const app::BlockQuestion& question) {
        m_form = std::make_unique<app::BlockDialog>(question);
        m_form->show();
        auto& cloth = field<QComboBox>("block.background");
        cloth.setCurrentIndex(cloth.count() - 1);
        emit cloth.activated(cloth.count() - 1);
        EXPECT_FALSE(field<QPushButton>("block.make").isEnabled()) << "a cloth needs a name";
        QTest::keyClicks(&field<QLineEdit>("block.clothName"), "mist");
        return std::optional(m_form->answer());
    };
    click("block.new");
    ASSERT_TRUE(session().block());
    const auto* cloth = quilt::find(session().quilt().fabrics, block().background);
    ASSERT_TRUE(cloth);
    EXPECT_EQ(cloth->name, "mist");
    session().undo();
    EXPECT_TRUE(session().quilt().blocks.empty());
    EXPECT_TRUE(session().quilt().fabrics.empty());
}

TEST(Opening, AWindowAndItsFrameFitIntoWhatIsFree) {
    const QRect small(0, 0, 1280, 800), panel(0, 28, 1366, 740), wide(0, 0, 2560, 1440);
    for (const QRect& free : {small, panel}) {
        const QSize inside = app::insideFor({1280, 800}, free, app::usualFrame);
        EXPECT_LE(inside.height() + app::usualFrame.top() + app::usualFrame.bottom(), free.height());
        EXPECT_LE(inside.width() + app::usualFrame.left() + app::usualFrame.right(), free.width());
    }
    EXPECT_EQ(app::insideFor({1280, 800}, wide, app::usualFrame), QSize(1280, 800));
}

class OpenedWindow : public WindowTest {};

TEST_F(OpenedWindow, IsShownWithinTheScreen) {
    const QRect free(0, 0, 1280, 760);
    app::showWithin(window(), free);
    EXPECT_SOON(free.contains(window().frameGeometry()));
}

TEST_F(OpenedWindow, NoViewMakesItLargerThanASmallScreen) {
    openSample();
    window().resize(1272, 716);
    for (const char* name : {"Narrowboat", "Kingfisher", "Heron"})
        for (int pass = 0; pass < 2; ++pass)
            for (const auto view :
                 {app::View::trace, app::View::draw, app::View::landing, app::View::lay, app::View::cut,
                  app::View::stitch, app::View::stash, app::View::logbook, app::View::bond}) {
                choose(name, view);
                QTest::qWait(1);
                EXPECT_LE(window().width(), 1272) << name << " " << app::nameOf(view).toStdString();
                EXPECT_LE(window().height(), 716) << name << " " << app::nameOf(view).toStdString();
                EXPECT_LE(window().minimumSizeHint().height(), 716);
            }
}

} // namespace
} // namespace up::test
