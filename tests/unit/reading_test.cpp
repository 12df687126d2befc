// SPDX-License-Identifier: GPL-3.0-or-later
// Which way round the letters of a drawing read.
#include "intake/any/any.hpp"
#include "intake/letters/letter_shapes.hpp"
#include "intake/reading/reading.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::intake {
namespace {

using quilt::Reading;
using test::must;

/// A large board with a name on it, from the front or mirrored.
quilt::Drawing board(const std::string& name, bool mirrored) {
    quilt::Drawing out;
    out.width = out.height = 228.6;
    const auto side = mirrored ? shape::Transform::mirrorAcross(114.3) : shape::Transform{};
    const auto add = [&](const shape::Outline& outline) {
        quilt::DrawnShape drawn{};
        drawn.outline = transformed(outline, side);
        out.shapes.push_back(drawn);
    };
    add({shape::contourThrough({{10, 60}, {218, 60}, {218, 160}, {10, 160}}), {}});
    for (const auto& letter :
         letterShapes(name, {"Atkinson Hyperlegible", true, false}, 25, false, {114, 110}))
        add(letter.outline);
    return out;
}

TEST(ReadingOf, ShapesThatAreLetters) {
    EXPECT_EQ(readingOf(board("BARGE", false)), Reading::asSeen);
    EXPECT_EQ(readingOf(board("BARGE", true)), Reading::mirrored);
    EXPECT_EQ(readingOf(board("", false)), Reading::unknown);
}

TEST(ReadingOf, PagesWithoutPrintSayNothing) {
    Picture blank;
    blank.width = 600, blank.height = 400;
    blank.grey.assign(600U * 400U, 250);
    EXPECT_EQ(readingOf(blank), Reading::unknown);
    EXPECT_EQ(readingOf(Picture{}), Reading::unknown);
}

TEST(LettersOf, TextElementsNeedNoRecognition) {
    const auto with = [](const std::string& transform) {
        const std::string svg =
            "<svg xmlns='http://www.w3.org/2000/svg' width='9in' height='9in' viewBox='0 0 900 900'>"
            "<text x='100' y='300' font-size='200' transform='" +
            transform + "'>LOCK</text></svg>";
        return must(readSvg(svg, "t.svg")).letters;
    };
    EXPECT_EQ(with(""), Reading::asSeen);
    EXPECT_EQ(with("translate(900 0) scale(-1 1)"), Reading::mirrored);
    EXPECT_EQ(with("rotate(90 450 450)"), Reading::asSeen);
}

} // namespace
} // namespace up::intake
