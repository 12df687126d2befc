// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/showing.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/mosaics.hpp"
#include "tests/support/raster.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numeric>

namespace up::stack {
namespace {

using shape::Region;
using test::randomStack;
using test::squareRegion;

TEST(VisibleParts, TogetherMakeTheWholeExactlyOnce) {
    const auto pieces = randomStack(32, 10);
    const auto visible = visibleParts(pieces);
    double sum = 0;
    for (const auto& part : visible)
        sum += part.area();
    EXPECT_NEAR(sum, shape::unite(pieces).area(), 0.5);
    EXPECT_EQ(visible.back(), pieces.back());
}

/// Every set is what it would be alone, also on a heap, where most sets are nearly all pieces.
TEST(AllTogether, IsEachSetTogether) {
    const auto pieces = randomStack(70, 5);
    std::vector<std::vector<std::size_t>> sets;
    for (std::size_t i = 0; i < pieces.size(); ++i) { // all above; all above but one; every third
        std::vector<std::size_t> above(pieces.size() - i - 1);
        std::iota(above.begin(), above.end(), i + 1);
        sets.push_back(above);
        if (above.size() > 3) above.erase(above.begin() + 2);
        sets.push_back(above);
        std::erase_if(above, [](std::size_t j) { return j % 3 != 0; });
        sets.push_back(above);
    }
    const auto all = allTogether(pieces, sets);
    for (std::size_t i = 0; i < sets.size(); ++i) {
        double largest = 0;
        for (const auto& part : sets[i])
            largest = std::max(largest, test::geosArea(pieces[part]));
        EXPECT_NEAR(test::geosArea(all[i]), test::geosArea(together(pieces, sets[i])), 0.05) << i;
        EXPECT_GE(test::geosArea(all[i]), largest - 0.05) << i;
        EXPECT_EQ(all[i].isEmpty(), sets[i].empty()) << i;
    }
}

TEST(VisibleEdges, LeaveOutWhatIsHidden) {
    const auto edges = visibleEdges({squareRegion(0, 0, 40), squareRegion(20, -10, 60)});
    double lower = 0;
    for (const auto& line : edges[0])
        lower += shape::lengthOf(line);
    EXPECT_NEAR(lower, 40 + 20 + 20, 0.01);
    ASSERT_EQ(edges[0].size(), 1U) << "stretches that meet are one";
    ASSERT_EQ(edges[1].size(), 1U);
    EXPECT_EQ(edges[1][0].front(), edges[1][0].back());
}

TEST(VisibleEdges, AreEmptyForAHiddenPiece) {
    EXPECT_TRUE(visibleEdges({squareRegion(10, 10, 10), squareRegion(0, 0, 40)})[0].empty());
}

TEST(VisibleEdges, LengthsAgreeWithGeos) {
    const auto pieces = randomStack(33, 9);
    const auto edges = visibleEdges(pieces);
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        double ours = 0, theirs = 0;
        for (const auto& line : edges[i])
            ours += shape::lengthOf(line);
        const Region above = shape::unite(
            std::vector<Region>(pieces.begin() + static_cast<std::ptrdiff_t>(i) + 1, pieces.end()));
        for (auto ring : pieces[i].rings) {
            ring.push_back(ring.front());
            theirs += shape::lengthOf(ring) - (above.isEmpty() ? 0 : test::geosLengthInside(ring, above));
        }
        EXPECT_NEAR(ours, theirs, 0.05) << i;
    }
}

/// The check that was asked for: 200 stacks against a painter's raster at 0.05 mm.
TEST(VisibleParts, AreWhatAPainterLeavesToBeSeen) {
    double worst = 0;
    for (std::uint64_t seed = 0; seed < 200; ++seed) {
        const auto pieces = randomStack(1000 + seed, 4 + seed % 8);
        const auto painted = test::paintedAreas(pieces, 0.05);
        const auto visible = visibleParts(pieces);
        double whole = 0, off = 0;
        for (std::size_t i = 0; i < pieces.size(); ++i) {
            whole += painted[i];
            off += std::abs(painted[i] - visible[i].area());
        }
        worst = std::max(worst, off / whole);
    }
    EXPECT_LT(worst, 0.002);
    RecordProperty("worst", std::to_string(worst));
}

TEST(VisibleParts, ATinyPieceHidesWhatItCovers) {
    const auto visible = visibleParts({squareRegion(0, 0, 10), squareRegion(5, 5, 0.3)});
    EXPECT_NEAR(visible[0].area(), 100 - 0.09, 0.001);
}

TEST(HiddenEdge, NamesThePieceThatTheEdgeIsTuckedUnder) {
    // A strip that runs beneath a square, which itself lies beneath a larger one.
    const std::vector<Region> pieces{squareRegion(0, 0, 40), squareRegion(20, -10, 60),
                                     squareRegion(30, -20, 80)};
    const auto hidden = hiddenEdge(pieces, 0, {1, 2});
    double beneath = 0;
    for (const auto& stretch : hidden) {
        EXPECT_EQ(stretch.by, 1U) << "the lowest of those that hide it";
        beneath += shape::lengthOf(stretch.line);
    }
    EXPECT_NEAR(beneath, 20 + 40 + 20, 0.01);
}

TEST(HiddenEdge, AndWhatShowsAreTheWholeEdge) {
    const auto pieces = randomStack(77, 8);
    const auto above = aboveOf(pieces);
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        double all = 0, parts = 0;
        for (const auto& ring : pieces[i].rings)
            all += shape::perimeter(ring);
        for (const auto& stretch : hiddenEdge(pieces, i, above[i]))
            parts += shape::lengthOf(stretch.line);
        for (const auto& line : visibleEdge(pieces[i], together(pieces, above[i])))
            parts += shape::lengthOf(line);
        EXPECT_NEAR(parts, all, 0.05) << i;
    }
}

TEST(AboveOf, WhatWasSaidTurnsAPairRound) {
    const std::vector<Region> pieces{squareRegion(0, 0, 40), squareRegion(20, 0, 40)};
    EXPECT_EQ(aboveOf(pieces)[0], (std::vector<std::size_t>{1}));
    const auto said = aboveOf(pieces, {{0, 1}});
    EXPECT_TRUE(said[0].empty());
    EXPECT_EQ(said[1], (std::vector<std::size_t>{0}));
}

TEST(LayersOf, CountsHowManyLieWhere) {
    const auto layers =
        layersOf({squareRegion(0, 0, 40), squareRegion(10, 10, 40), squareRegion(20, 20, 40)});
    ASSERT_EQ(layers.size(), 3U);
    EXPECT_NEAR(layers[2].area(), 20 * 20, 0.01);
    EXPECT_NEAR(layers[1].area(), 30 * 30 + 30 * 30 - 20 * 20, 0.01);
}

/// Areas of layers add up to the areas of the pieces [A].
TEST(LayersOf, AddUpToThePieces) {
    const auto pieces = randomStack(5, 14);
    double all = 0, layered = 0;
    for (const auto& piece : pieces)
        all += piece.area();
    const auto layers = layersOf(pieces);
    for (const auto& layer : layers)
        layered += layer.area();
    EXPECT_NEAR(layered, all, 0.5);
    EXPECT_NEAR(layers.front().area(), shape::unite(pieces).area(), 0.1);
}

} // namespace
} // namespace up::stack
