// SPDX-License-Identifier: GPL-3.0-or-later
// Contours drawn over filled shapes: the usual coloured picture with a black pen line round everything.
#include "core/shape/region.hpp"
#include "intake/any/any.hpp"
#include "intake/pages/pages.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::intake {
namespace {

using quilt::Drawing;
using quilt::Origin;
using quilt::Remark;

/// A 10 in page of 1000 units: 100 to the inch.
Drawing read(const std::string& body, const std::string& page = "10in") {
    return test::must(readSvg("<svg xmlns='http://www.w3.org/2000/svg' width='" + page + "' height='" + page +
                                  "' viewBox='0 0 1000 1000'>" + body + "</svg>",
                              "picture.svg"));
}
int remarked(const Drawing& drawing, Remark what) {
    for (const auto& warning : drawing.warnings)
        if (warning.remark == what) return std::stoi(warning.args.at(0));
    return 0;
}

const std::string colours = "<rect x='100' y='300' width='600' height='200' fill='#27496d'/>"
                            "<circle cx='300' cy='250' r='90' fill='#b5523b'/>";
const std::string pen = "fill='none' stroke='black' stroke-width='4' ";

TEST(LinesOver, ContoursOfColouredShapesAreTheirPenLines) {
    const auto d = read(colours + "<rect x='100' y='300' width='600' height='200' " + pen +
                        "/><circle cx='301' cy='250' r='91' " + pen + "/>");
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_EQ(d.shapes[0].fill, (Colour{0x27, 0x49, 0x6d}));
    EXPECT_EQ(d.shapes[1].fill, (Colour{0xb5, 0x52, 0x3b}));
    EXPECT_TRUE(d.shapes[0].marks.empty() && d.shapes[1].marks.empty());
    EXPECT_EQ(remarked(d, Remark::penLines), 2);
}

TEST(LinesOver, WhereNothingFilledLiesBeneathTheyArePieces) {
    const auto d = read(colours + "<circle cx='800' cy='800' r='90' " + pen +
                        "/><rect x='640' y='440' width='200' height='200' " + pen + "/>");
    ASSERT_EQ(d.shapes.size(), 4U) << "a corner of the square alone lies on cloth";
    EXPECT_EQ(d.shapes[2].origin, Origin::outline);
    EXPECT_TRUE(d.linesOver.empty());
    EXPECT_EQ(
        read("<circle cx='500' cy='500' r='90' " + pen + "/><circle cx='500' cy='500' r='40' " + pen + "/>")
            .shapes.size(),
        2U);
}

TEST(LinesOver, WhatFollowsNoEdgeIsAnInnerMarkOfWhatLiesThere) {
    const auto d = read(colours + "<circle cx='300' cy='240' r='20' " + pen + "/>");
    ASSERT_EQ(d.shapes.size(), 2U);
    ASSERT_EQ(d.shapes[1].marks.size(), 1U) << "an eye on the round one";
    EXPECT_TRUE(d.shapes[1].marks[0].closed);
    EXPECT_EQ(remarked(d, Remark::linesAreMarks), 1);
    EXPECT_EQ(remarked(d, Remark::penLines), 0);
}

TEST(LinesOver, OnlyTheStretchThatLeavesTheEdgeIsAMark) {
    // The left half of the long shape, closed by a line across it.
    const auto d = read(colours + "<rect x='100' y='300' width='300' height='200' " + pen + "/>");
    ASSERT_EQ(d.shapes[0].marks.size(), 1U);
    const auto box = boundsOf(d.shapes[0].marks[0]);
    EXPECT_NEAR(box.left, 400 * 0.254, 0.3);
    EXPECT_LT(box.width(), 0.5) << "straight across";
    EXPECT_GT(box.height(), 170 * 0.254);
    EXPECT_FALSE(d.shapes[0].marks[0].closed);
}

TEST(LinesOver, ALineRoundAHoleAndOneRoundSeveralShapesArePenLinesToo) {
    const auto ring =
        read("<path fill='#27496d' fill-rule='evenodd' d='M100 100H500V500H100Z M200 200H400V400H200Z'/>"
             "<rect x='200' y='200' width='200' height='200' " +
             pen + "/>");
    EXPECT_EQ(ring.shapes.size(), 1U);
    const auto both = read(
        "<rect x='100' y='100' width='200' height='200' fill='#27496d'/><rect x='300' y='100' width='200' "
        "height='200' fill='#b5523b'/><rect x='100' y='100' width='400' height='200' " +
        pen + "/>");
    ASSERT_EQ(both.shapes.size(), 2U);
    EXPECT_TRUE(both.shapes[0].marks.empty() && both.shapes[1].marks.empty());
}

TEST(LinesOver, AWideLineAcrossClothIsABandNotAMark) {
    const auto d = read("<rect x='100' y='100' width='800' height='800' fill='#27496d'/>"
                        "<circle cx='500' cy='500' r='200' fill='none' stroke='#202020' stroke-width='40'/>");
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_EQ(d.shapes[1].origin, Origin::band);
    EXPECT_EQ(d.shapes[1].outline.holes.size(), 1U) << "a tyre";
}

TEST(LinesOver, WhitePaperUnderALineDrawingIsNoCloth) {
    const auto d =
        read("<rect width='1000' height='1000' fill='white'/><circle cx='500' cy='500' r='90' " + pen + "/>");
    EXPECT_EQ(d.shapes.size(), 2U);
    EXPECT_TRUE(d.linesOver.empty());
}

TEST(LinesOver, TinyPagesHaveTinyReach) {
    // An icon 1/4 in wide: the eye is a hundredth of an inch from the edge, and still no part of it.
    const auto d = read(
        "<circle cx='500' cy='500' r='400' fill='#27496d'/><circle cx='500' cy='500' r='340' " + pen + "/>",
        "0.25in");
    ASSERT_EQ(d.shapes.size(), 1U);
    EXPECT_EQ(d.shapes[0].marks.size(), 1U);
}

TEST(LinesOver, TurnedIntoPiecesTheyLieWhereTheyWereDrawn) {
    const auto d =
        read("<rect x='100' y='300' width='600' height='200' fill='#27496d'/><rect x='150' y='350' "
             "width='100' height='100' " +
             pen + "/><circle cx='600' cy='400' r='50' fill='#b5523b'/><path d='M300 400H500' " + pen + "/>");
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_EQ(d.shapes[0].marks.size(), 2U);
    const auto pieces = quilt::withLinesAsPieces(d);
    ASSERT_EQ(pieces.shapes.size(), 3U);
    EXPECT_EQ(pieces.shapes[1].origin, Origin::outline) << "between what lies beneath and above it";
    EXPECT_EQ(pieces.shapes[0].marks.size(), 1U) << "the open line stays a mark";
    EXPECT_TRUE(pieces.linesOver.empty());
    EXPECT_EQ(remarked(pieces, Remark::linesAreMarks), 0) << "what was said of them no longer holds";
}

TEST(LinesOver, ASpeckBeneathThemDoesNotShiftTheirPlace) {
    const auto d = read("<rect x='0' y='0' width='1' height='1' fill='red'/>" + colours +
                        "<circle cx='300' cy='240' r='20' " + pen + "/>");
    ASSERT_EQ(d.linesOver.size(), 1U);
    EXPECT_EQ(d.linesOver[0].above, 2U);
}

TEST(LinesOver, JoinedPagesAskAgain) {
    const auto page = read(colours + "<circle cx='300' cy='240' r='20' " + pen + "/>");
    const auto joined = test::must(joinPages({page, page}, {2, 0, 0, {}}));
    EXPECT_EQ(joined.linesOver.size(), 2U);
    EXPECT_EQ(quilt::withLinesAsPieces(joined).shapes.size(), joined.shapes.size() + 2);
}

} // namespace
} // namespace up::intake
