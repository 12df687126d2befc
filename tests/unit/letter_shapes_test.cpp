// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/pattern.hpp"
#include "intake/letters/letter_shapes.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::intake {
namespace {

using test::must;

constexpr double height = 50.8;
const Typeface plain{"Atkinson Hyperlegible", true, false};

TEST(LetterShapes, MakeAPieceForEachLetterAsHighAsAsked) {
    const auto word = letterShapes("HER ON", plain, height, false, {100, 60});
    ASSERT_EQ(word.size(), 5U); // the blank is none
    EXPECT_EQ(word[0].name, "H");
    EXPECT_NEAR(boundsOf(word[0].outline).height(), height, 0.01);
    shape::Box all;
    for (const auto& letter : word)
        all.take(boundsOf(letter.outline));
    EXPECT_NEAR(all.centre().x, 100, 0.01);
    EXPECT_NEAR(all.centre().y, 60, 0.01);
    EXPECT_EQ(word[2].outline.holes.size(), 1U); // R
}

TEST(LetterShapes, TheRecipeMakesTheSameLetterInTheSamePlace) {
    for (const auto& letter : letterShapes("WiR", plain, height, false, {80, 80})) {
        const auto again = must(recipeOutline(letter.recipe));
        const auto a = boundsOf(again), b = boundsOf(letter.outline);
        EXPECT_NEAR(a.left, b.left, 0.05) << letter.name;
        EXPECT_NEAR(a.top, b.top, 0.05) << letter.name;
        EXPECT_NEAR(a.right, b.right, 0.05) << letter.name;
        EXPECT_NEAR(std::abs(signedArea(again.edge)), std::abs(signedArea(letter.outline.edge)), 1)
            << letter.name;
    }
}

TEST(LetterShapes, AnIHasItsDotAsASecondPiece) {
    const auto parts = letterShapes("i", plain, height, false, {});
    ASSERT_EQ(parts.size(), 2U);
    EXPECT_EQ(parts[1].name, "i 2");
    auto gone = parts[1].recipe;
    gone.measures[1] = 7;
    EXPECT_EQ(recipeOutline(gone).error().code, Code::noSuchShape);
}

TEST(LetterShapes, TogetherIsOnePieceWhereLettersTouch) {
    // The bold k's foot and the x meet; two dashes do not.
    const auto joined = letterShapes("kx", plain, height, true, {});
    ASSERT_EQ(joined.size(), 1U);
    EXPECT_EQ(joined.front().recipe.text, "kx");
    EXPECT_EQ(letterShapes("kx", plain, height, false, {}).size(), 2U);
    EXPECT_EQ(letterShapes("--", plain, height, true, {}).size(), 2U);
    EXPECT_TRUE(letterShapes("", plain, height, true, {}).empty());
    EXPECT_TRUE(letterShapes("  ", plain, height, false, {}).empty());
}

TEST(RecipeOutline, MakesFiguresAsWell) {
    const auto star = pattern::usualRecipe(quilt::RecipeKind::star);
    EXPECT_EQ(must(recipeOutline(star)), must(pattern::outlineOf(star)));
}

} // namespace
} // namespace up::intake
