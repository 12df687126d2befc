// SPDX-License-Identifier: GPL-3.0-or-later
// Built-in shapes, copies and cuts, dotted edges, a lost label: the dialogs and what comes of them.
#include "app/dialogs/arrange_dialog.hpp"
#include "app/dialogs/edge_dialog.hpp"
#include "app/dialogs/shape_dialog.hpp"
#include "app/dialogs/turn_dialog.hpp"
#include "app/dialogs/which_dialog.hpp"
#include "app/pictures/arrange_picture.hpp"
#include "app/pictures/true_picture.hpp"
#include "app/pictures/turn_picture.hpp"
#include "core/pattern/pattern.hpp"
#include "core/shape/stretches.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSlider>
#include <QSpinBox>

namespace up::test {
namespace {

using quilt::RecipeKind;

class Shapes : public WindowTest {
protected:
    Shapes() {
        openWindow();
        m_asker.texts = {"Pond", "9"};
        click("block.new");
    }
    void add(RecipeKind kind) {
        m_asker.shapeAnswer = [kind](const app::ShapeQuestion& question) {
            auto recipe = pattern::usualRecipe(kind);
            recipe.at = shape::Transform::moveBy(90, 90);
            if (kind == RecipeKind::letter) recipe.text = "WREN", recipe.family = "Atkinson Hyperlegible";
            return app::ShapeAnswer{must(question.make(recipe, false))};
        };
        click("draw.shape");
    }
    template<class Widget> static Widget& in(QWidget& dialog, const char* name) {
        auto* found = dialog.findChild<Widget*>(name);
        if (!found) throw std::runtime_error(std::string("no such control: ") + name);
        return *found;
    }
    static void type(QLineEdit& field, const QString& text) {
        field.selectAll();
        QTest::keyClicks(&field, text);
    }
};

TEST_F(Shapes, AreAddedChosenAndChangedLater) {
    add(RecipeKind::leaf);
    ASSERT_EQ(block().pieces.size(), 1U);
    EXPECT_EQ(block().pieces[0].name, "Leaf");
    ASSERT_TRUE(session().piece());
    m_asker.shapeAnswer = [](const app::ShapeQuestion& question) {
        auto recipe = question.now.value();
        recipe.measures[0] = 50;
        return app::ShapeAnswer{must(question.make(recipe, false))};
    };
    room().shapes.changeMeasures();
    EXPECT_NEAR(boundsOf(*block().pieces[0].outline).height(), 50, 0.01);
    session().undo();
    EXPECT_NEAR(boundsOf(*block().pieces[0].outline).height(), 76.2, 0.01);
}

TEST_F(Shapes, AWordBecomesAPieceForEachLetter) {
    add(RecipeKind::letter);
    ASSERT_EQ(block().pieces.size(), 4U);
    EXPECT_EQ(block().pieces[0].name, "W");
}

TEST_F(Shapes, ADrawnPieceHasNoMeasures) {
    importInto("windlass.svg", 8);
    session().choosePiece(block().pieces.front().id);
    room().shapes.changeMeasures();
    EXPECT_TRUE(said().contains("Sizes")) << said().toStdString();
}

TEST_F(Shapes, CopiesCutsAndEdgesReachTheQuilt) {
    add(RecipeKind::leaf);
    const auto leaf = block().pieces[0].id;
    m_asker.arrangeAnswer = [](const app::ArrangeQuestion& question) {
        const auto& piece = question.quilt.blocks[0].pieces[0];
        return edit::usualArrangement(question.quilt.blocks[0], piece, edit::Arrange::round);
    };
    click("draw.arrange");
    EXPECT_EQ(block().pieces.size(), 6U);
    session().choosePiece(leaf);
    m_asker.edgesAnswer = [](const app::EdgeQuestion& question) {
        return shape::stretchesOf(question.quilt.blocks[0].pieces[0].outline->edge);
    };
    room().shapes.setEdges();
    EXPECT_EQ(block().pieces[0].dotted->size(), 2U); // a leaf has two corners
    room().shapes.mirror();
    EXPECT_EQ(block().pieces[0].dotted->size(), 2U);
}

TEST_F(Shapes, ALostPieceIsChosenInItsBlock) {
    m_asker.saves = {app::SaveAnswer::discard};
    openSample();
    const auto& other = session().quilt().blocks[1];
    m_asker.whichAnswer = plan::Candidate{other.id, other.pieces[2].id, 0, {}, true, 0, 0};
    climb(app::View::cut);
    click("cut.which");
    EXPECT_EQ(session().blockId(), other.id);
    ASSERT_TRUE(session().piece());
    EXPECT_EQ(session().piece()->id, other.pieces[2].id);
}

app::ShapeQuestion question() {
    app::ShapeQuestion out;
    out.units = measure::System::inches;
    out.width = out.height = measure::Length::ofInches(9, 1);
    out.families = {"Atkinson Hyperlegible", "Serif"};
    out.make = [](const quilt::Recipe& recipe, bool) -> Result<std::vector<edit::NewShape>> {
        if (recipe.kind == RecipeKind::letter) // enough for the dialog: a box as high as the letters
            return std::vector<edit::NewShape>(
                recipe.text.empty() ? 0 : recipe.text.size(),
                {"", {shape::contourThrough(square(0, 0, recipe.measures[0])), {}}});
        return pattern::outlineOf(recipe).map([&](const auto& outline) {
            return std::vector{edit::NewShape{"", outline, recipe}};
        });
    };
    return out;
}

TEST_F(Shapes, TheDialogTakesMeasuresAndSaysWhatCannotBe) {
    app::ShapeDialog dialog(question());
    in<QListWidget>(dialog, "shape.kind").setCurrentRow(2); // ring
    auto& band = in<QLineEdit>(dialog, "shape.band");
    type(band, "1/4");
    ASSERT_EQ(dialog.answer().shapes.size(), 1U);
    EXPECT_NEAR(dialog.answer().shapes[0].recipe->measures[1], 6.35, 0.01);
    type(band, "7");
    EXPECT_FALSE(in<QPushButton>(dialog, "shape.add").isEnabled());
    type(band, "nonsense");
    EXPECT_FALSE(in<QPushButton>(dialog, "shape.add").isEnabled());
    type(band, "3/8");
    EXPECT_TRUE(in<QPushButton>(dialog, "shape.add").isEnabled());
    in<QListWidget>(dialog, "shape.kind").setCurrentRow(8); // star
    in<QSpinBox>(dialog, "shape.points").setValue(7);
    EXPECT_EQ(flattened(dialog.answer().shapes[0].outline.edge).size(), 14U);
    in<QListWidget>(dialog, "shape.kind").setCurrentRow(11); // stem
    type(in<QLineEdit>(dialog, "shape.below"), "-1/2");
    EXPECT_NEAR(dialog.answer().shapes[0].recipe->measures[3], -12.7, 0.01);
}

TEST_F(Shapes, TheDialogAsksForLettersOnlyWhereThereAreSome) {
    app::ShapeDialog dialog(question());
    dialog.show();
    EXPECT_FALSE(in<QLineEdit>(dialog, "shape.text").isVisible());
    in<QListWidget>(dialog, "shape.kind").setCurrentRow(12);
    EXPECT_TRUE(in<QLineEdit>(dialog, "shape.text").isVisible());
    type(in<QLineEdit>(dialog, "shape.text"), "OAR");
    EXPECT_EQ(dialog.answer().shapes.size(), 3U);
    in<QLineEdit>(dialog, "shape.text").clear();
    EXPECT_FALSE(in<QPushButton>(dialog, "shape.add").isEnabled());
    EXPECT_FALSE(dialog.findChild<QSpinBox*>("shape.part"));
}

TEST_F(Shapes, CopiesAreSeenBeforeTheyAreMadeAndTheirHandlesDragged) {
    add(RecipeKind::heart);
    const auto id = block().pieces[0].id;
    app::ArrangeDialog dialog({session().quilt(), block().id, id});
    dialog.show();
    auto& picture = in<app::ArrangePicture>(dialog, "arrange.picture");
    in<QListWidget>(dialog, "arrange.what").setCurrentRow(2);
    in<QSpinBox>(dialog, "arrange.count").setValue(5);
    QTest::mousePress(&picture, Qt::LeftButton, {}, picture.pixelOf({150, 120}).toPoint());
    EXPECT_NEAR(dialog.answer().at.x, 150, 1);
    EXPECT_EQ(dialog.answer().count, 5);
    type(in<QLineEdit>(dialog, "arrange.right"), "4");
    EXPECT_NEAR(dialog.answer().at.x, 101.6, 0.01);
    EXPECT_NEAR(dialog.answer().at.y, 120, 1);
    in<QListWidget>(dialog, "arrange.what").setCurrentRow(5); // unfold: a heart has no straight edge
    EXPECT_FALSE(in<QPushButton>(dialog, "arrange.do").isEnabled());
    in<QListWidget>(dialog, "arrange.what").setCurrentRow(4);
    EXPECT_TRUE(in<QPushButton>(dialog, "arrange.do").isEnabled());
    EXPECT_EQ(
        must(edit::arranged(session().quilt(), block().id, id, dialog.answer())).blocks[0].pieces.size(), 2U);
}

TEST_F(Shapes, AStretchOfTheEdgeBecomesDottedWithAClick) {
    add(RecipeKind::leaf);
    app::EdgeDialog dialog({session().quilt(), block().id, block().pieces[0].id, {}});
    dialog.show();
    auto& picture = in<app::EdgePicture>(dialog, "edges.picture");
    const auto line = flattened(picture.stretches()[0]);
    const auto at = picture.pixelOf(shape::pointAlong(line, shape::lengthOf(line) / 2)).toPoint();
    QTest::mouseClick(&picture, Qt::LeftButton, {}, at);
    EXPECT_EQ(dialog.answer().size(), 1U);
    QTest::mouseClick(&picture, Qt::LeftButton, {}, at);
    EXPECT_TRUE(dialog.answer().empty());
    EXPECT_FALSE(in<QPushButton>(dialog, "edges.hidden").isEnabled());
}

TEST_F(Shapes, TheLostPieceIsRankedByWhatItMeasures) {
    add(RecipeKind::circle);
    add(RecipeKind::oval);
    app::WhichDialog dialog(session().quilt(), block().id);
    dialog.show();
    EXPECT_EQ(in<QListWidget>(dialog, "which.list").count(), 2);
    type(in<QLineEdit>(dialog, "which.width"), "3");
    type(in<QLineEdit>(dialog, "which.height"), "2");
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return dialog.answer().piece == block().pieces[1].id; }, test::patience));
    EXPECT_TRUE(in<QListWidget>(dialog, "which.list").item(0)->text().contains("fits"));
    EXPECT_GE(in<app::TruePicture>(dialog, "which.picture").reduction(), 1);
    type(in<QLineEdit>(dialog, "which.height"), "x");
    EXPECT_EQ(in<QListWidget>(dialog, "which.list").count(), 2);
}

TEST_F(Shapes, TheTurningGoesThroughItsFourParts) {
    add(RecipeKind::heart);
    app::TurnDialog dialog(session().quilt(), block().id, {});
    dialog.show();
    EXPECT_EQ(app::stageAt(0), app::TurnStage::traced);
    EXPECT_EQ(app::stageAt(0.3), app::TurnStage::ontoCloth);
    EXPECT_EQ(app::stageAt(0.5), app::TurnStage::cut);
    EXPECT_EQ(app::stageAt(1), app::TurnStage::toFront);
    EXPECT_SOON(dialog.progress() > 0.02); // it plays by itself
    dialog.setProgress(1);
    EXPECT_EQ(in<QSlider>(dialog, "turn.slider").value(), in<QSlider>(dialog, "turn.slider").maximum());
}

TEST_F(Shapes, EveryToolOfThePieceMenuAsksForAPieceFirst) {
    auto& tools = room().shapes;
    for (const auto& use : {&app::ShapeCommands::changeMeasures, &app::ShapeCommands::arrange,
                            &app::ShapeCommands::mirror, &app::ShapeCommands::setEdges}) {
        (tools.*use)();
        EXPECT_TRUE(said().contains("Choose a piece first")) << said().toStdString();
    }
    tools.showTurning(); // nothing to show yet
    EXPECT_TRUE(m_asker.asked.filter("turning").isEmpty());
    add(RecipeKind::star);
    tools.showTurning();
    EXPECT_EQ(m_asker.asked.filter("turning").size(), 1);
}

TEST_F(Shapes, ACancelledDialogChangesNothing) {
    add(RecipeKind::star);
    const auto before = session().quilt();
    m_asker.shapeAnswer = nullptr;
    m_asker.arrangeAnswer = nullptr;
    m_asker.edgesAnswer = nullptr;
    click("draw.shape");
    click("draw.arrange");
    room().shapes.changeMeasures();
    room().shapes.setEdges();
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(Shapes, HiddenEdgesAreOfferedAsDotted) {
    add(RecipeKind::circle);
    const auto lower = block().pieces[0].id;
    add(RecipeKind::leaf); // across the disc
    session().choosePiece(lower);
    std::size_t offered = 0;
    m_asker.edgesAnswer = [&](const app::EdgeQuestion& question) {
        offered = question.hidden.size();
        return std::optional(question.hidden);
    };
    room().shapes.setEdges();
    EXPECT_EQ(offered, 2U); // where the leaf crosses the disc's edge above and below
    EXPECT_EQ(block().pieces[0].dotted->size(), 2U);
    session().undo();
    EXPECT_TRUE(block().pieces[0].dotted->empty());
}

TEST_F(Shapes, MeasuresOfATurnedPieceChangeWhereItLies) {
    add(RecipeKind::strip);
    const auto id = block().pieces[0].id;
    session().apply(edit::turnPiece(session().quilt(), block().id, id, measure::Angle::ofDegrees(40)),
                    "turn");
    const auto middle = boundsOf(quilt::placed(block().pieces[0])).centre();
    m_asker.shapeAnswer = [](const app::ShapeQuestion& asked) {
        auto recipe = asked.now.value();
        recipe.measures[0] = 60;
        return app::ShapeAnswer{must(asked.make(recipe, false))};
    };
    room().shapes.changeMeasures();
    const auto box = boundsOf(quilt::placed(block().pieces[0]));
    EXPECT_NEAR(box.centre().x, middle.x, 0.01);
    EXPECT_NEAR(box.centre().y, middle.y, 0.01);
    EXPECT_NEAR(box.width(), 60 * std::cos(0.698132) + 12.7 * std::sin(0.698132), 0.1);
}

} // namespace
} // namespace up::test
