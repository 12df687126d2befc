// SPDX-License-Identifier: GPL-3.0-or-later
// A cut piece without its label, told by what it measures.
#include "core/edit/shapes.hpp"
#include "core/pattern/pattern.hpp"
#include "tests/support/shapes.hpp"
#include "words/which_words.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::RecipeKind;
using test::must;

/// Shapes of these kinds and measures in a row, all of one fabric.
quilt::Quilt with(const std::vector<std::pair<RecipeKind, std::vector<double>>>& shapes) {
    auto quilt = must(edit::addBlock(quilt::emptyQuilt("Q"), "B", measure::Length::ofInches(9, 1),
                                     measure::Length::ofInches(9, 1)));
    quilt = must(edit::addFabric(quilt, "reed green", Colour{60, 120, 60}));
    for (const auto& [kind, measures] : shapes) {
        auto recipe = pattern::usualRecipe(kind);
        recipe.measures = measures;
        recipe.at = shape::Transform::moveBy(100, 100);
        quilt = must(edit::addShapes(quilt, quilt.blocks[0].id,
                                     {{"s" + std::to_string(quilt.blocks[0].pieces.size() + 1),
                                       must(pattern::outlineOf(recipe)), recipe}},
                                     quilt.fabrics[0].id));
    }
    return quilt;
}
std::string nameOf(const quilt::Quilt& quilt, const Candidate& candidate) {
    return find(find(quilt.blocks, candidate.block)->pieces, candidate.piece)->name;
}
std::vector<Candidate> asked(const quilt::Quilt& quilt, double width, double height) {
    return whichPiece(quilt, quilt.blocks[0].id, width, height);
}

TEST(WhichPiece, IsFoundEitherWayUpAndLyingAskew) {
    auto quilt =
        with({{RecipeKind::oval, {40, 70}}, {RecipeKind::strip, {60, 20, 0}}, {RecipeKind::heart, {50, 45}}});
    for (const auto& [w, h] : {std::pair{41.0, 69.0}, {70.0, 40.0}}) {
        const auto found = asked(quilt, w, h);
        ASSERT_EQ(found.size(), 3U);
        EXPECT_EQ(nameOf(quilt, found[0]), "s1");
        EXPECT_TRUE(found[0].fits);
        EXPECT_FALSE(found[1].fits);
        EXPECT_NEAR(found[0].width, w, 1.1);
    }
    // Drawn askew on the block, laid straight on the table.
    auto& piece = quilt.blocks[0].pieces[1];
    piece.outline = transformed(*piece.outline, shape::Transform::turn(measure::Angle::ofDegrees(31)));
    EXPECT_EQ(nameOf(quilt, asked(quilt, 60, 20).front()), "s2");
    EXPECT_NEAR(asked(quilt, 60, 20).front().off, 0, 0.1);
    EXPECT_NEAR(asked(quilt, 20, 60).front().off, 0, 0.1);
}

TEST(WhichPiece, PutsTheOwnBlockFirstAmongEquals) {
    auto quilt = with({{RecipeKind::circle, {30}}});
    quilt =
        must(edit::addBlock(quilt, "C", measure::Length::ofInches(9, 1), measure::Length::ofInches(9, 1)));
    quilt = must(edit::addShapes(quilt, quilt.blocks[1].id, {{"theirs", *quilt.blocks[0].pieces[0].outline}},
                                 quilt.fabrics[0].id));
    EXPECT_EQ(nameOf(quilt, whichPiece(quilt, quilt.blocks[1].id, 30, 30).front()), "theirs");
    EXPECT_EQ(nameOf(quilt, whichPiece(quilt, quilt.blocks[0].id, 30, 30).front()), "s1");
}

TEST(TellApart, NamesWhatDiffers) {
    auto quilt =
        with({{RecipeKind::circle, {30}}, {RecipeKind::ring, {30, 5}}, {RecipeKind::star, {5, 30, 12}}});
    quilt = must(edit::addFabric(quilt, "canal blue", Colour{60, 80, 160}));
    quilt =
        must(edit::setFabric(quilt, quilt.blocks[0].id, quilt.blocks[0].pieces[2].id, quilt.fabrics[1].id));
    const auto found = asked(quilt, 30, 30);
    const auto facts = tellApart(quilt, found);
    const auto said = [&](const std::string& name) {
        for (std::size_t i = 0; i < found.size(); ++i)
            if (nameOf(quilt, found[i]) == name) return words::factsWords(facts[i]);
        return std::string();
    };
    EXPECT_NE(said("s1").find("no holes"), std::string::npos) << said("s1");
    EXPECT_NE(said("s2").find("1 hole"), std::string::npos) << said("s2");
    EXPECT_NE(said("s3").find("fabric canal blue"), std::string::npos) << said("s3");
    EXPECT_NE(said("s3").find("5 corners"), std::string::npos) << said("s3");
}

TEST(TellApart, KnowsTwinsAndMirrorImages) {
    const shape::Ring boot{{0, 0}, {25, 0}, {25, 45}, {60, 52}, {66, 70}, {0, 70}};
    shape::Ring other = boot;
    for (auto& p : other)
        p.x = 150 - p.x;
    const auto quilt = test::quiltOf({{"left", boot}, {"right", other}, {"twin", boot}});
    const auto facts = tellApart(quilt, asked(quilt, 66, 70));
    const auto has = [&](std::size_t i, Trait trait, const std::string& which) {
        return std::find(facts[i].begin(), facts[i].end(), Fact{trait, {which}}) != facts[i].end();
    };
    EXPECT_TRUE(has(0, Trait::mirrorOf, "2 right"));
    EXPECT_TRUE(has(0, Trait::sameAs, "3 twin"));
    EXPECT_TRUE(has(1, Trait::mirrorOf, "1 left"));
}

TEST(FitWords, SayHowFarOff) {
    Candidate candidate{};
    candidate.fits = true;
    EXPECT_EQ(words::fitWords(candidate, measure::System::inches), "fits");
    candidate.fits = false, candidate.off = 25.4 / 4;
    EXPECT_EQ(words::fitWords(candidate, measure::System::inches), "1/4 in off");
}

} // namespace
} // namespace up::plan
