// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/shapes.hpp"
#include "core/pattern/pattern.hpp"
#include "core/shape/likeness.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::edit {
namespace {

using quilt::RecipeKind;
using test::must;

quilt::Quilt withShape(RecipeKind kind, shape::Point at = {60, 60}) {
    auto empty = must(addBlock(quilt::emptyQuilt("Q"), "B", Length::ofInches(9, 1), Length::ofInches(9, 1)));
    auto recipe = pattern::usualRecipe(kind);
    recipe.at = shape::Transform::moveBy(at.x, at.y);
    return must(
        addShapes(empty, empty.blocks[0].id, {{"Leaf", must(pattern::outlineOf(recipe)), recipe}}, {}));
}
const std::vector<quilt::Piece>& pieces(const Quilt& quilt) {
    return quilt.blocks.at(0).pieces;
}
BlockId block(const Quilt& quilt) {
    return quilt.blocks.at(0).id;
}
shape::Region seen(const quilt::Piece& piece) {
    return shape::regionOf(placed(piece), 0.005);
}
double difference(const shape::Region& a, const shape::Region& b) {
    return subtract(a, b).area() + subtract(b, a).area();
}

TEST(AddShapes, MakesAFabricWhenThereIsNone) {
    const auto quilt = withShape(RecipeKind::leaf);
    ASSERT_EQ(pieces(quilt).size(), 1U);
    EXPECT_TRUE(find(quilt.fabrics, pieces(quilt)[0].fabric));
    EXPECT_TRUE(pieces(quilt)[0].recipe);
}

TEST(Recipe, StillMakesThePieceAfterResizingMirroringAndTurningTheDrawing) {
    auto quilt = withShape(RecipeKind::crescent);
    const auto id = pieces(quilt)[0].id;
    quilt = must(resizeBlock(quilt, block(quilt), Length::ofInches(12, 1), Length::ofInches(14, 1)));
    quilt = must(mirrorPiece(quilt, block(quilt), id));
    quilt = must(setGivenReversed(quilt, block(quilt), true));
    quilt = must(scalePiece(quilt, block(quilt), id, 0.7));
    const auto& piece = pieces(quilt)[0];
    const auto again = must(pattern::outlineOf(*piece.recipe));
    EXPECT_LT(difference(shape::regionOf(again, 0.005), shape::regionOf(*piece.outline, 0.005)), 1);
}

TEST(ResizeBlock, LetsStemsKeepTheirWidthWhenAsked) {
    const auto quilt = withShape(RecipeKind::strip);
    const auto side = Length::ofInches(18, 1);
    const auto all = must(resizeBlock(quilt, block(quilt), side, side));
    const auto kept = must(resizeBlock(quilt, block(quilt), side, side, true));
    EXPECT_NEAR(boundsOf(*pieces(all)[0].outline).height(), 25.4, 0.01);
    EXPECT_NEAR(boundsOf(*pieces(kept)[0].outline).height(), 12.7, 0.01);
    EXPECT_NEAR(boundsOf(*pieces(kept)[0].outline).width(), 12 * 25.4, 0.01);
    EXPECT_NEAR(boundsOf(*pieces(kept)[0].outline).centre().x, 120, 0.01);
}

TEST(CutPiece, CutsWhereThePieceLiesNotWhereItWasDrawn) {
    auto quilt = withShape(RecipeKind::circle);
    const auto id = pieces(quilt)[0].id;
    quilt = must(movePiece(quilt, block(quilt), id, Length::ofMm(30), Length::ofMm(0)));
    EXPECT_EQ(cutPiece(quilt, block(quilt), id, {60, 0}, {60, 9}).error().code, Code::lineMisses);
    const auto cut = must(cutPiece(quilt, block(quilt), id, {90, 0}, {90, 9}));
    ASSERT_EQ(pieces(cut).size(), 2U);
    EXPECT_EQ(pieces(cut)[0].id, id);
    EXPECT_EQ(pieces(cut)[1].name, "Leaf b");
    EXPECT_FALSE(pieces(cut)[0].recipe);
    EXPECT_NEAR(seen(pieces(cut)[0]).area(), seen(pieces(cut)[1]).area(), 1);
}

TEST(JoinHalves, PutsTogetherWhatWasCut) {
    const auto whole = withShape(RecipeKind::heart);
    const auto id = pieces(whole)[0].id;
    auto cut = must(cutPiece(whole, block(whole), id, {60, 0}, {60, 9}));
    const auto other = pieces(cut)[1].id;
    cut = must(movePiece(cut, block(cut), other, Length::ofMm(80), Length::ofMm(20)));
    cut = must(turnPiece(cut, block(cut), other, measure::Angle::ofDegrees(50)));
    const auto joined = must(joinHalves(cut, block(cut), id, other));
    ASSERT_EQ(pieces(joined).size(), 1U);
    EXPECT_LT(difference(seen(pieces(joined)[0]), seen(pieces(whole)[0])), 1);
    const auto unfolded = must(unfoldPiece(cut, block(cut), id));
    EXPECT_LT(difference(seen(pieces(unfolded)[0]), seen(pieces(whole)[0])), 1);
    EXPECT_EQ(unfoldPiece(whole, block(whole), id).error().code, Code::noStraightEdge);
    EXPECT_EQ(joinHalves(cut, block(cut), id, id).error().code, Code::noSuchPiece);
}

TEST(RepeatRound, LiesOnItselfWhenTurnedByOneStep) {
    const auto quilt = withShape(RecipeKind::leaf);
    const shape::Point centre{114.3, 114.3};
    const auto out = must(repeatRound(quilt, block(quilt), pieces(quilt)[0].id, centre, 5));
    ASSERT_EQ(pieces(out).size(), 5U);
    const auto step = shape::Transform::turnAbout(centre, measure::Angle::ofDegrees(72));
    for (std::size_t i = 0; i < 5; ++i)
        EXPECT_LT(difference(transformed(seen(pieces(out)[i]), step), seen(pieces(out)[(i + 1) % 5])), 1);
    EXPECT_EQ(pieces(out)[4].name, "Leaf 5");
}

TEST(RepeatAlong, EachIsThatMuchFurther) {
    const auto quilt = withShape(RecipeKind::leaf);
    const auto out =
        must(repeatAlong(quilt, block(quilt), pieces(quilt)[0].id, Length::ofMm(20), Length::ofMm(-5), 4));
    ASSERT_EQ(pieces(out).size(), 4U);
    EXPECT_NEAR(boundsOf(placed(pieces(out)[3])).left, boundsOf(placed(pieces(out)[0])).left + 60, 1e-6);
    EXPECT_NEAR(boundsOf(placed(pieces(out)[3])).top, boundsOf(placed(pieces(out)[0])).top - 15, 1e-6);
}

TEST(MirrorCopy, IsTheMirrorImageAcrossTheLineHoweverThePieceLies) {
    auto quilt = withShape(RecipeKind::crescent);
    const auto id = pieces(quilt)[0].id;
    quilt = must(turnPiece(quilt, block(quilt), id, measure::Angle::ofDegrees(33)));
    const auto middle = Length::ofMm(114.3);
    const auto upright = must(mirrorCopy(quilt, block(quilt), id, MirrorLine::upright, middle));
    EXPECT_LT(difference(transformed(seen(pieces(upright)[0]), shape::Transform::mirrorAcross(114.3)),
                         seen(pieces(upright)[1])),
              1);
    const auto level = must(mirrorCopy(quilt, block(quilt), id, MirrorLine::level, middle));
    EXPECT_LT(
        difference(transformed(seen(pieces(level)[0]), {1, 0, 0, -1, 0, 2 * 114.3}), seen(pieces(level)[1])),
        1);
    EXPECT_EQ(pieces(level)[1].work.step, quilt::Step::toTrace);
}

TEST(RemakePiece, SendsItBackToBeTracedAndRefusesFusedOnes) {
    auto quilt = withShape(RecipeKind::circle);
    const auto id = pieces(quilt)[0].id;
    quilt = must(record(quilt, block(quilt), {id}, quilt::Step::traced, 1));
    auto recipe = *pieces(quilt)[0].recipe;
    recipe.measures[0] = 30;
    const auto outline = must(pattern::outlineOf(recipe));
    const auto smaller = must(remakePiece(quilt, block(quilt), id, recipe, outline));
    EXPECT_NEAR(boundsOf(*pieces(smaller)[0].outline).width(), 30, 1e-6);
    EXPECT_EQ(pieces(smaller)[0].work.step, quilt::Step::toTrace);
    quilt.blocks[0].pieces[0].work.step = quilt::Step::fused;
    EXPECT_EQ(remakePiece(quilt, block(quilt), id, recipe, outline).error().code, Code::alreadyFused);
    EXPECT_EQ(cutPiece(quilt, block(quilt), id, {60, 0}, {60, 9}).error().code, Code::alreadyFused);
}

} // namespace
} // namespace up::edit
