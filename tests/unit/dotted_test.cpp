// SPDX-License-Identifier: GPL-3.0-or-later
// Dotted edges from the drawing to the stitching, and letters that say which side is seen.
#include "core/edit/shapes.hpp"
#include "core/pattern/pattern.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/stitch/stitch_plan.hpp"
#include "core/shape/stretches.hpp"
#include "intake/any/any.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <gtest/gtest.h>

namespace up {
namespace {

using quilt::RecipeKind;
using test::must;

std::string page(const std::string& inside) {
    return "<svg xmlns='http://www.w3.org/2000/svg' width='9in' height='9in' viewBox='0 0 900 900'>" +
           inside + "</svg>";
}
quilt::Drawing read(const std::string& inside) {
    return must(intake::readSvg(page(inside), "t.svg"));
}
quilt::Quilt imported(const quilt::Drawing& drawing) {
    const auto side = measure::Length::ofInches(9, 1);
    const auto empty = must(edit::addBlock(quilt::emptyQuilt("Q"), "Pond", side, side));
    return must(edit::addDrawing(empty, empty.blocks[0].id, drawing, {}, 0));
}
std::vector<check::Finding> findingsOf(const quilt::Quilt& quilt, check::Kind kind) {
    auto out = plan::checkQuilt(quilt).open;
    std::erase_if(out, [&](const auto& finding) { return finding.kind != kind; });
    return out;
}
double stitched(const quilt::Block& block, std::size_t piece) {
    return plan::planStitching(block, plan::planBlock(block)).leftOf(block.pieces[piece].id).all.mm();
}

constexpr const char* leafAndDots =
    "<path d='M200 200H500V500H200Z' fill='#3a6'/>"
    "<path d='M202 498H499' fill='none' stroke='#000' stroke-dasharray='8 5'/>";

TEST(DottedEdges, ADashedLineAlongAnEdgeIsThatEdge) {
    const auto drawing = read(leafAndDots);
    ASSERT_EQ(drawing.shapes.size(), 1U);
    EXPECT_EQ(drawing.shapes[0].dotted.size(), 1U);
    EXPECT_TRUE(drawing.shapes[0].marks.empty());
}

TEST(DottedEdges, ADashedLineAcrossAShapeIsAMark) {
    const auto drawing = read("<path d='M200 200H500V500H200Z' fill='#3a6'/>"
                              "<path d='M250 300H450' fill='none' stroke='#000' stroke-dasharray='8 5'/>");
    EXPECT_TRUE(drawing.shapes[0].dotted.empty());
    EXPECT_EQ(drawing.shapes[0].marks.size(), 1U);
}

TEST(DottedEdges, AnOutlinePutTogetherKeepsItsDottedPart) {
    const auto drawing =
        read("<path d='M200 200H500V500' fill='none' stroke='#000'/>"
             "<path d='M500 500H200V200' fill='none' stroke='#000' stroke-dasharray='8 5'/>");
    ASSERT_EQ(drawing.shapes.size(), 1U);
    ASSERT_EQ(drawing.shapes[0].dotted.size(), 1U);
    EXPECT_NEAR(shape::lengthOf(flattened(drawing.shapes[0].dotted[0])), 600 * 0.254, 0.1);
}

TEST(DottedEdges, AreNotStitchedAndMustBeCovered) {
    auto quilt = imported(read(leafAndDots));
    const auto side = 300 * 0.254;
    EXPECT_NEAR(stitched(quilt.blocks[0], 0), 3 * side, 4);
    auto shows = findingsOf(quilt, check::Kind::dottedShows);
    ASSERT_EQ(shows.size(), 1U);
    EXPECT_TRUE(shows[0].spot);
    // Something above covers that edge.
    const shape::Outline cover{shape::contourThrough({{40, 115}, {140, 115}, {140, 140}, {40, 140}}), {}};
    quilt = must(edit::addShapes(quilt, quilt.blocks[0].id, {{"bank", cover}}, {}));
    EXPECT_TRUE(findingsOf(quilt, check::Kind::dottedShows).empty());
}

TEST(DottedEdges, GoWithThePieceWhenItIsTurnedAndScaled) {
    auto quilt = imported(read(leafAndDots));
    const auto block = quilt.blocks[0].id;
    const auto piece = quilt.blocks[0].pieces[0].id;
    quilt = must(edit::mirrorPiece(quilt, block, piece));
    quilt = must(edit::scalePiece(quilt, block, piece, 0.5));
    quilt = must(edit::turnPiece(quilt, block, piece, measure::Angle::ofDegrees(30)));
    const auto& changed = quilt.blocks[0].pieces[0];
    EXPECT_TRUE(shape::liesAlong((*changed.dotted)[0], {changed.outline->edge}, 0.6));
    EXPECT_NEAR(stitched(quilt.blocks[0], 0), 1.5 * 300 * 0.254, 4);
    quilt = must(edit::setDotted(quilt, block, piece, {}));
    EXPECT_NEAR(stitched(quilt.blocks[0], 0), 2 * 300 * 0.254, 0.5);
}

TEST(Bands, BecomeStemsThatCanBeMadeWider) {
    const auto drawing =
        read("<path d='M100 800C200 500 400 700 450 100' fill='none' stroke='#363' stroke-width='30'/>");
    ASSERT_EQ(drawing.shapes.size(), 1U);
    ASSERT_TRUE(drawing.shapes[0].recipe);
    auto quilt = imported(drawing);
    const auto& piece = quilt.blocks[0].pieces[0];
    ASSERT_TRUE(piece.recipe);
    const auto again = must(pattern::outlineOf(*piece.recipe));
    EXPECT_NEAR(std::abs(signedArea(again.edge)), std::abs(signedArea(piece.outline->edge)), 10);
    auto wider = *piece.recipe;
    wider.measures[0] *= 2;
    EXPECT_NEAR(std::abs(signedArea(must(pattern::outlineOf(wider)).edge)),
                2 * std::abs(signedArea(piece.outline->edge)), 40);
    // Larger, but as wide as before.
    const auto side = measure::Length::ofInches(18, 1);
    quilt = must(edit::resizeBlock(quilt, quilt.blocks[0].id, side, side, true));
    EXPECT_NEAR(std::abs(signedArea(quilt.blocks[0].pieces[0].outline->edge)),
                2 * std::abs(signedArea(again.edge)), 40);
}

TEST(Letters, ReversedTwiceAndNotAtAllAreCaught) {
    auto drawing = read("<text x='100' y='500' font-size='300' font-family='Sans'>GATE</text>");
    EXPECT_EQ(drawing.letters, quilt::Reading::asSeen);
    auto quilt = imported(drawing);
    const auto block = quilt.blocks[0].id;
    EXPECT_TRUE(findingsOf(quilt, check::Kind::reversedTwice).empty());
    quilt = must(edit::setGivenReversed(quilt, block, true));
    const auto twice = findingsOf(quilt, check::Kind::reversedTwice);
    ASSERT_EQ(twice.size(), 1U);
    EXPECT_EQ(twice[0].fixes, (std::vector{check::Fix::otherSide, check::Fix::leaveSo}));
    drawing.letters = quilt::Reading::mirrored;
    EXPECT_EQ(findingsOf(imported(drawing), check::Kind::cameReversed).size(), 1U);
}

TEST(Letters, ABuiltInLetterThatReadsBackwardsIsPointedOut) {
    const auto side = measure::Length::ofInches(9, 1);
    auto quilt = must(edit::addBlock(quilt::emptyQuilt("Q"), "Pond", side, side));
    const auto block = quilt.blocks[0].id;
    // An R's outline matters only in that it is no mirror image of itself.
    auto recipe = pattern::usualRecipe(RecipeKind::letter);
    recipe.text = "R", recipe.family = "Sans";
    const shape::Outline boot{
        shape::contourThrough({{50, 50}, {75, 50}, {75, 95}, {110, 102}, {116, 120}, {50, 120}}), {}};
    quilt = must(edit::addShapes(quilt, block, {{"R", boot, recipe}}, {}));
    EXPECT_TRUE(findingsOf(quilt, check::Kind::readsBackwards).empty());
    quilt = must(edit::mirrorPiece(quilt, block, quilt.blocks[0].pieces[0].id));
    EXPECT_EQ(findingsOf(quilt, check::Kind::readsBackwards).size(), 1U);
}

TEST(Stretches, GoFromCornerToCorner) {
    const auto heart = must(pattern::outlineOf(pattern::usualRecipe(RecipeKind::heart)));
    const auto parts = shape::stretchesOf(heart.edge);
    EXPECT_EQ(parts.size(), 2U); // its cleft and its point
    double all = 0;
    for (const auto& part : parts)
        all += shape::lengthOf(flattened(part, 0.01));
    EXPECT_NEAR(all, shape::perimeter(flattened(heart.edge, 0.01)), 0.1);
    EXPECT_EQ(shape::stretchesOf(shape::contourThrough(test::square(0, 0, 10))).size(), 4U);
    EXPECT_EQ(shape::stretchesOf(test::circle({0, 0}, 10)).size(), 4U);
    EXPECT_TRUE(shape::stretchesOf({}).empty());
    EXPECT_NEAR(shape::distanceTo(test::circle({0, 0}, 10), {3, 0}), 7, 0.05);
}

TEST(Packed, SvgIsReadAndBombsAreNot) {
    const test::TempDir dir;
    const auto file = dir.file("leaf.svg");
    test::writeAll(file, page("<path d='M200 200H500V500H200Z'/>"));
    ASSERT_EQ(test::tool("gzip -k '" + file + "'").code, 0);
    EXPECT_EQ(must(intake::readDrawing(test::readAll(file + ".gz"), "leaf.svgz")).shapes.size(), 1U);
    auto cut = test::readAll(file + ".gz");
    cut.resize(cut.size() / 2);
    EXPECT_EQ(intake::readDrawing(cut, "leaf.svgz").error().code, Code::unknownDrawing);
    // A hundred megabytes of blanks in a hundred kilobytes.
    ASSERT_EQ(test::tool("head -c 100000000 /dev/zero | gzip > '" + dir.file("bomb.gz") + "'").code, 0);
    EXPECT_EQ(intake::readDrawing(test::readAll(dir.file("bomb.gz")), "bomb.svgz").error().code,
              Code::unknownDrawing);
}

} // namespace
} // namespace up
