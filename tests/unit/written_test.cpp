// SPDX-License-Identifier: GPL-3.0-or-later
// Words to be stitched.
#include "core/pattern/hand.hpp"
#include "core/pattern/written.hpp"
#include "intake/letters/written.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::pattern {
namespace {

using test::must;

shape::Box boxOf(const std::vector<shape::Contour>& strokes) {
    shape::Box box;
    for (const auto& stroke : strokes)
        box.take(boundsOf(stroke));
    return box;
}

TEST(SingleLines, ACapitalIsAsHighAsItIsAsked) {
    const auto box = boxOf(must(singleLines("H", 12)).front().strokes);
    EXPECT_NEAR(box.height(), 12, 1e-9);
    EXPECT_NEAR(box.bottom, 0, 1e-9) << "it stands on the line";
}

TEST(SingleLines, EveryLetterItKnowsStaysWithinItsPlace) {
    for (const auto letter : handKnows()) {
        const auto glyphs = must(singleLines(letter, 10));
        if (glyphs.empty()) continue; // a blank
        const auto box = boxOf(glyphs.front().strokes);
        EXPECT_GE(box.left, glyphs.front().from - 0.9) << letter;
        EXPECT_LE(box.right, glyphs.front().to + 0.9) << letter;
        EXPECT_GE(box.top, -14) << letter;
        EXPECT_LE(box.bottom, 4) << letter;
        for (const auto& stroke : glyphs.front().strokes)
            EXPECT_FALSE(stroke.closed) << letter;
    }
}

TEST(SingleLines, KnowsTheLettersOfItsNeighbours) {
    for (const char* text :
         {"Schleuse Grün & Äste", "écluse, où ça", "Año nuevo", "Kanał" /* ł is not there */}) {
        const auto glyphs = singleLines(text, 10);
        if (std::string(text) == "Kanał") {
            ASSERT_FALSE(glyphs);
            EXPECT_EQ(glyphs.error().code, Code::noSuchLetter);
            EXPECT_EQ(glyphs.error().args.at(0), "ł");
        } else {
            EXPECT_TRUE(glyphs) << text;
        }
    }
}

TEST(Bent, StraightWordsAreInTheMiddleAndReadLeftToRight) {
    const auto glyphs = must(singleLines("LI", 10));
    const auto strokes = bent(glyphs, {});
    const auto box = boxOf(strokes);
    EXPECT_NEAR(box.centre().x, 0, 1e-9);
    EXPECT_NEAR(box.centre().y, 0, 1e-9);
    EXPECT_LT(strokes.front().start.x, strokes.back().start.x);
}

/// Letters on an arc stand at equal turns along it: the first and the last differ by the bend less half a letter at either end.
TEST(Bent, TheEndsOfAnArchAreLower) {
    const auto glyphs = must(singleLines("HHHHHHH", 10));
    const auto strokes = bent(glyphs, measure::Angle::ofDegrees(90));
    const auto footOf = [&](std::size_t letter) { // three strokes a letter, the first its left post
        return strokes[3 * letter].end();
    };
    EXPECT_GT(footOf(0).y, footOf(3).y + 5);
    EXPECT_GT(footOf(6).y, footOf(3).y + 5);
    const auto post = strokes[0].end() - strokes[0].start, last = strokes[18].end() - strokes[18].start;
    const double turned = std::atan2(last.y, last.x) - std::atan2(post.y, post.x);
    EXPECT_NEAR(turned * 180 / std::numbers::pi, 90.0 * (6 * 9.0) / (6 * 9.0 + 7), 0.01);
    const auto other = bent(glyphs, measure::Angle::ofDegrees(-90));
    EXPECT_LT(other[0].end().y, other[9].end().y - 5);
}

/// A circle of 40 mm: letters on it stand 3 mm off, each upright on its own radius. Geometry.
TEST(Along, LettersStandOffTheLineAndTurnWithIt) {
    shape::Polyline circle;
    for (int i = 0; i <= 360; ++i) // from the lowest point, clockwise on the page
        circle.push_back(
            {-40 * std::sin(i * std::numbers::pi / 180), 40 * std::cos(i * std::numbers::pi / 180)});
    const auto strokes = along(must(singleLines("IIIII", 8)), circle, 0.5, 3);
    ASSERT_EQ(strokes.size(), 5u);
    for (const auto& stroke : strokes) {
        const auto head = stroke.start, foot = stroke.end();
        EXPECT_NEAR(std::hypot(foot.x, foot.y), 43, 0.05);
        EXPECT_NEAR(std::hypot(head.x, head.y), 51, 0.05);
    }
    EXPECT_NEAR(strokes[2].end().x, 0, 0.05) << "the middle one at the top";
    EXPECT_LT(strokes[2].end().y, -42);
    EXPECT_LT(strokes[0].end().x, strokes[4].end().x) << "they read left to right";
}

TEST(Along, WordsEndWithinAnOpenLine) {
    const shape::Polyline line{{0, 0}, {100, 0}};
    const auto box = boxOf(along(must(singleLines("HH", 10)), line, 1, 2));
    EXPECT_NEAR(box.right, 100, 1e-6);
    EXPECT_NEAR(box.bottom, -2, 1e-6);
    EXPECT_NEAR(boxOf(along(must(singleLines("HH", 10)), line, 0, 2)).left, 0, 1e-6);
    EXPECT_EQ(along(must(singleLines("HHHHHHHHHHHHHHHHHHHH", 10)), line, 0.5, 2).size(), 60u)
        << "too long: on both sides beyond";
}

TEST(Written, AFontGivesTheEdgesOfItsLetters) {
    quilt::Written what{"LT", "DejaVu Sans, Sans", measure::Length::ofMm(20), {}};
    const auto strokes = must(intake::written(what));
    EXPECT_EQ(strokes.size(), 2u);
    EXPECT_NEAR(boxOf(strokes).height(), 20, 0.5) << "capitals without round parts are as high as an H";
    for (const auto& stroke : strokes) {
        EXPECT_FALSE(stroke.closed);
        EXPECT_LT(shape::distance(stroke.start, stroke.end()), 1e-6) << "all round";
    }
    what.text = "  ";
    EXPECT_EQ(intake::written(what).error().code, Code::noLetters);
}

} // namespace
} // namespace up::pattern
