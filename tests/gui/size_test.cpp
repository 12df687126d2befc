// SPDX-License-Identifier: GPL-3.0-or-later
// Another size: the dialog by itself, and what the window does with its answer.
#include "app/dialogs/size_dialog.hpp"
#include "app/pictures/size_picture.hpp"
#include "core/pattern/pattern.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"

#include <QAbstractItemModel>
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSlider>
#include <QTableView>
#include <QTest>

namespace up::test {
namespace {

using app::SizeDialog;

/// A 9 in block with a bar of 60 × 6 mm and a square of 30 mm.
app::SizeQuestion question(bool chosen = false) {
    const auto quilt =
        quiltOf({{"bar", {{20, 20}, {80, 20}, {80, 26}, {20, 26}}}, {"square", square(100, 100, 30)}});
    const auto& block = quilt.blocks[0];
    return {quilt.units, block, chosen ? block.pieces[0].id : PieceId{},
            std::make_shared<const plan::Judgement>(plan::judge(block, plan::planBlock(block)))};
}

class Sizes : public testing::Test {
protected:
    void open(bool chosen = false) {
        m_dialog = std::make_unique<SizeDialog>(question(chosen));
        m_dialog->show();
    }
    template<class Widget> Widget& find(const char* name) {
        auto* found = m_dialog->findChild<Widget*>(name);
        if (!found) throw std::runtime_error(name);
        return *found;
    }
    QString text(const char* name) { return find<QLineEdit>(name).text(); }
    void type(const char* name, const QString& words) {
        auto& field = find<QLineEdit>(name);
        field.setFocus();
        field.selectAll();
        QTest::keyClicks(&field, words);
    }
    QString cell(int row, int column) {
        return find<QTableView>("size.table").model()->index(row, column).data().toString();
    }
    bool says(const QString& words) {
        return QTest::qWaitFor([&] { return find<QLabel>("size.verdict").text().contains(words); },
                               test::patience);
    }
    std::unique_ptr<SizeDialog> m_dialog;
};

TEST_F(Sizes, EveryFieldFollowsTheOthers) {
    open();
    find<QDoubleSpinBox>("size.percent").setValue(50);
    EXPECT_EQ(text("size.width"), "4 1/2 in");
    EXPECT_EQ(cell(1, 1), "1 3/16 × 1 3/16 in");
    EXPECT_EQ(cell(1, 2), "9/16 × 9/16 in");
    type("size.width", "12");
    EXPECT_NEAR(find<QDoubleSpinBox>("size.percent").value(), 133.3, 0.05);
    EXPECT_EQ(text("size.height"), "12 in");
    EXPECT_EQ(text("size.width"), "12") << "not rewritten while it is typed";
    type("size.height", "rubbish");
    EXPECT_NEAR(m_dialog->answer().factor, 12.0 / 9, 1e-6) << "what is no length changes nothing";
    find<QSlider>("size.slider").setValue(0);
    EXPECT_NEAR(m_dialog->answer().factor, 0.25, 1e-9);
}

TEST_F(Sizes, AMarkedLengthBecomesAnother) {
    open();
    auto& picture = find<app::SizePicture>("size.picture");
    // Dragged straight across: as long as the block is wide within a pixel or two.
    const double before = picture.marked();
    const QPoint middle = picture.rect().center();
    QTest::mousePress(&picture, Qt::LeftButton, {}, {middle.x() + 60, middle.y()});
    QTest::mouseMove(&picture, {middle.x() + 100, middle.y()});
    QTest::mouseRelease(&picture, Qt::LeftButton, {}, {middle.x() + 100, middle.y()});
    EXPECT_NE(picture.marked(), before);
    const double marked = picture.marked();
    type("size.mark", "2");
    EXPECT_NEAR(m_dialog->answer().factor * marked, 50.8, 1e-6);
}

TEST_F(Sizes, SaysWhatGetsTooThinAndOffersTheSmallestSize) {
    open();
    EXPECT_TRUE(says("Nothing is too thin"));
    find<QDoubleSpinBox>("size.percent").setValue(25);
    EXPECT_TRUE(says("One piece is too thin"));
    EXPECT_TRUE(cell(0, 3).startsWith("⚠")) << cell(0, 3).toStdString();
    QTest::mouseClick(&find<QPushButton>("size.smallest"), Qt::LeftButton);
    EXPECT_TRUE(says("Nothing is too thin"));
    EXPECT_LT(m_dialog->answer().factor, 0.4);
    EXPECT_GT(m_dialog->answer().factor, 0.35) << "6 mm × 0.36 are 3/32 in but for a pencil line";
}

TEST_F(Sizes, TheEdgeStitchDecidesWhatIsThin) {
    open();
    find<QDoubleSpinBox>("size.percent").setValue(60); // the bar is 3.6 mm, under 3/16 in
    EXPECT_TRUE(says("Nothing is too thin"));
    type("size.stitchWidth", "3/16");
    EXPECT_TRUE(says("One piece is too thin"));
    EXPECT_EQ(m_dialog->answer().edge.width, measure::Length::ofInches(3, 16));
}

TEST_F(Sizes, OnePieceAlone) {
    open(true);
    auto& which = find<QComboBox>("size.which");
    ASSERT_EQ(which.count(), 2);
    which.setCurrentIndex(1);
    emit which.activated(1);
    type("size.width", "120mm");
    EXPECT_NEAR(m_dialog->answer().factor, 2, 1e-6);
    EXPECT_FALSE(m_dialog->answer().wholeBlock);
    EXPECT_EQ(cell(1, 2), cell(1, 1)) << "the other keeps its size";
}

class SizesInTheWindow : public WindowTest {};

TEST_F(SizesInTheWindow, TheAnswerScalesTheBlockAndUndoBringsItBack) {
    openSample();
    session().goTo(app::View::draw);
    const auto before = session().quilt();
    ASSERT_TRUE(QTest::qWaitFor([&] { return session().derived().judgement() != nullptr; }, test::patience));
    m_asker.sizeAnswer =
        app::SizeAnswer{true, 0.5, {quilt::StitchKind::zigzag, measure::Length::ofInches(1, 8)}};
    QTest::mouseClick(&find<QPushButton>("draw.sizes"), Qt::LeftButton);
    EXPECT_NEAR(block().width.inches(), 4.5, 1e-6);
    EXPECT_EQ(block().edge.kind, quilt::StitchKind::zigzag);
    session().undo();
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(SizesInTheWindow, TheAnswerScalesThePieceAlone) {
    openSample();
    session().goTo(app::View::draw);
    for (const auto& one : session().quilt().blocks)
        if (one.pieces[0].work.step < quilt::Step::laid) session().chooseBlock(one.id);
    ASSERT_TRUE(QTest::qWaitFor([&] { return session().derived().judgement() != nullptr; }, test::patience));
    session().choosePiece(block().pieces[1].id);
    const auto before = boundsOf(*block().pieces[1].outline), other = boundsOf(*block().pieces[0].outline);
    m_asker.sizeAnswer = app::SizeAnswer{false, 2, block().edge};
    QTest::mouseClick(&find<QPushButton>("draw.sizes"), Qt::LeftButton);
    EXPECT_NEAR(boundsOf(*block().pieces[1].outline).width(), before.width() * 2, 1e-6);
    EXPECT_EQ(boundsOf(*block().pieces[0].outline), other);
}

TEST_F(Sizes, StemsMayKeepTheirWidth) {
    open();
    EXPECT_FALSE(find<QCheckBox>("size.keep").isVisible()) << "drawn shapes know no width of their own";
    auto asked = question();
    auto strip = pattern::usualRecipe(quilt::RecipeKind::strip);
    asked.block.pieces[0].recipe = strip;
    m_dialog = std::make_unique<SizeDialog>(asked);
    m_dialog->show();
    EXPECT_TRUE(find<QCheckBox>("size.keep").isVisible());
    EXPECT_FALSE(m_dialog->answer().keepWidths);
    find<QCheckBox>("size.keep").click();
    EXPECT_TRUE(m_dialog->answer().keepWidths);
}

} // namespace
} // namespace up::test
