// SPDX-License-Identifier: GPL-3.0-or-later
// What the pieces of a drawing without names are called, and how a drawing comes to the block's size.
#include "core/edit/edits.hpp"
#include "core/edit/naming.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::edit {
namespace {

using quilt::Drawing;

const Colour brown{0x4a, 0x32, 0x22}, rust{0xa8, 0x4a, 0x2a};

quilt::DrawnShape shapeOf(const shape::Ring& ring, Colour fill, const std::string& name = "") {
    quilt::DrawnShape out{};
    out.name = name, out.fill = fill;
    out.outline.edge = shape::contourThrough(ring);
    return out;
}
shape::Ring leaf(double x, double tip) { // a triangle that leans towards its tip
    return {{x, 100}, {x + tip, 40}, {x + tip / 2, 110}};
}
Drawing drawingOf(std::vector<quilt::DrawnShape> shapes) {
    Drawing out;
    out.width = out.height = 200;
    out.shapes = std::move(shapes);
    return out;
}

TEST(Naming, IsByFabricAndNumberInTheOrderOfThePieces) {
    const auto drawing = drawingOf({shapeOf({{0, 0}, {200, 0}, {100, 50}}, brown),
                                    shapeOf({{10, 150}, {40, 150}, {40, 190}}, rust),
                                    shapeOf({{60, 150}, {70, 150}, {70, 190}}, brown),
                                    shapeOf({{80, 150}, {90, 150}, {90, 190}}, brown, "hull")});
    EXPECT_EQ(namesFor(drawing, {{FabricId{1}, "bark", brown, ""}, {FabricId{2}, "brick", rust, ""}}),
              (std::vector<std::string>{"bark 1", "brick 1", "bark 2", "hull"}));
    EXPECT_EQ(namesFor(drawing)[0], nameFor(brown) + " 1") << "without a fabric the colour's own word";
}

TEST(Naming, MirroredPairsShareANumberAndHaveASide) {
    const std::vector<quilt::Fabric> fabrics{{FabricId{1}, "dark brown", brown, ""},
                                             {FabricId{2}, "rust", rust, ""}};
    const auto drawing = drawingOf({shapeOf({{90, 20}, {110, 20}, {110, 180}, {90, 180}}, brown),
                                    shapeOf(leaf(20, 40), brown), shapeOf(leaf(180, -40), brown),
                                    shapeOf(leaf(30, 20), rust), shapeOf(leaf(130, 20), rust)});
    EXPECT_EQ(namesFor(drawing, fabrics),
              (std::vector<std::string>{"dark brown 1", "dark brown 2 left", "dark brown 2 right", "rust 1",
                                        "rust 2"}))
        << "two that lean the same way are no pair";
    EXPECT_EQ(namesFor(drawing, fabrics, true)[1], "dark brown 2 right")
        << "as seen from the front once it is turned over";
}

TEST(Naming, NamesThatProgramsMakeUpAreNoneAndNumbersGoOn) {
    const auto drawing = drawingOf({shapeOf({{0, 0}, {200, 0}, {100, 50}}, rust, "path1234"),
                                    shapeOf({{0, 90}, {20, 90}, {10, 150}}, rust, "SVGID_4_"),
                                    shapeOf({{50, 90}, {70, 90}, {60, 150}}, rust, "path to the lock")});
    EXPECT_EQ(namesFor(drawing, {{FabricId{2}, "rust", rust, ""}}, false, {"rust 3 left", "rust", "rusty 9"}),
              (std::vector<std::string>{"rust 4", "rust 5", "path to the lock"}));
}

TEST(Naming, TwoFabricsOfOneWordAreToldApartAndTheListSaysWhatTheBlockWillSay) {
    const Colour near{0x4b, 0x33, 0x22};
    ASSERT_EQ(nameFor(near), nameFor(brown));
    const auto drawing = drawingOf({shapeOf({{0, 0}, {200, 0}, {100, 50}}, brown),
                                    shapeOf({{10, 150}, {40, 150}, {40, 190}}, near),
                                    shapeOf({{60, 150}, {70, 150}, {70, 190}}, brown)});
    const auto word = nameFor(brown);
    const std::vector<std::string> expected{word + " 1", word + " 2, 1", word + " 2"};
    EXPECT_EQ(namesFor(drawing), expected);
    const auto nine = Length::ofInches(9, 1);
    const auto empty = test::must(addBlock(quilt::emptyQuilt("Q"), "Pond", nine, nine));
    const auto made = test::must(addDrawing(empty, empty.blocks[0].id, drawing, {}, 0));
    for (std::size_t i = 0; i < expected.size(); ++i)
        EXPECT_EQ(made.blocks[0].pieces[i].name, expected[i]);
}

TEST(Naming, ABlockFromANamelessDrawingHasNamesThatTell) {
    const auto empty =
        test::must(addBlock(quilt::emptyQuilt("Q"), "Pond", Length::ofInches(9, 1), Length::ofInches(9, 1)));
    const auto drawing = drawingOf({shapeOf(leaf(20, 40), rust), shapeOf(leaf(180, -40), rust)});
    const auto once = test::must(addDrawing(empty, empty.blocks[0].id, drawing, {}, 0));
    EXPECT_EQ(once.blocks[0].pieces[0].name, once.fabrics[0].name + " 1 left");
    const auto twice = test::must(addDrawing(once, empty.blocks[0].id, drawing, {}, 0));
    EXPECT_EQ(twice.blocks[0].pieces[3].name, once.fabrics[0].name + " 2 right");
}

shape::Box boxIn(const Drawing& drawing, const ImportOptions& options, double side = 9) {
    const auto length = Length::ofMm(side * 25.4);
    const auto empty = test::must(addBlock(quilt::emptyQuilt("Q"), "Pond", length, length));
    return boundsOf(
        *test::must(addDrawing(empty, empty.blocks[0].id, drawing, options, 0)).blocks[0].pieces[0].outline);
}

TEST(Margin, IsLeftWhereAPageThatIsAllDrawingIsScaled) {
    const auto full = drawingOf({shapeOf({{0, 0}, {200, 0}, {200, 200}, {0, 200}}, rust)});
    EXPECT_NEAR(boxIn(full, {}).left, 12.7, 1e-6) << "half an inch at first";
    EXPECT_NEAR(boxIn(full, {}).width(), 228.6 - 25.4, 1e-6);
    EXPECT_NEAR(boxIn(full, {false, Fit::page, Length::ofInches(1, 1)}).width(), 228.6 - 50.8, 1e-6);
    EXPECT_NEAR(boxIn(full, {false, Fit::page, Length{}}).width(), 228.6, 1e-6)
        << "none, when none is wanted";
    EXPECT_NEAR(boxIn(full, {false, Fit::shapes, Length::ofInches(1, 1)}).width(), 228.6 - 50.8, 1e-6);
    EXPECT_NEAR(boxIn(full, {false, Fit::own}).width(), 200, 1e-6) << "what keeps its size keeps it";
    EXPECT_NEAR(scaleFor(full, Length::ofInches(9, 1), Length::ofInches(9, 1), {}), (228.6 - 25.4) / 200,
                1e-9);
}

TEST(Margin, ThatThePageHasAlreadyIsNotAddedTo) {
    const auto inner = drawingOf({shapeOf({{60, 60}, {140, 60}, {140, 140}, {60, 140}}, rust)});
    EXPECT_NEAR(boxIn(inner, {}).width(), 80 * 228.6 / 200, 1e-6) << "its page becomes the block";
    auto drawn = drawingOf({shapeOf({{0, 0}, {228.6, 0}, {228.6, 228.6}}, rust)});
    drawn.width = drawn.height = 228.6;
    EXPECT_NEAR(boxIn(drawn, {}).width(), 228.6, 1e-6) << "drawn for this block to its very edge";
    drawn.width = drawn.height = 230.7;
    EXPECT_NEAR(boxIn(drawn, {false, Fit::page, Length::ofInches(8, 1)}, 1).right, 25.4 * 0.875, 0.2)
        << "never more than an eighth of a small block";
}

} // namespace
} // namespace up::edit
