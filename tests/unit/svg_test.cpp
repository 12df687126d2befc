// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/region.hpp"
#include "intake/svg/path_data.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::intake {
namespace {

using quilt::Drawing;
using quilt::Remark;

/// A 9 in page with 100 units to the inch.
Drawing read(const std::string& body,
             const std::string& head = "width='9in' height='9in' viewBox='0 0 900 900'") {
    return test::must(
        readSvg("<svg xmlns='http://www.w3.org/2000/svg' " + head + ">" + body + "</svg>", "test.svg"));
}

shape::Box box(const Drawing& drawing, std::size_t i) {
    return boundsOf(drawing.shapes.at(i).outline);
}
double area(const Drawing& drawing, std::size_t i) {
    return shape::regionOf(drawing.shapes.at(i).outline, 0.005).area();
}
constexpr double inch = 25.4;

bool remarked(const Drawing& drawing, Remark what) {
    return std::any_of(drawing.warnings.begin(), drawing.warnings.end(),
                       [&](const auto& w) { return w.remark == what; });
}

TEST(ReadSvg, BringsShapesInPaintingOrderWithNamesAndColours) {
    const auto d = read("<rect id='hull_side' width='100' height='50' fill='#27496d'/><circle cx='300' "
                        "cy='300' r='50' fill='red'/>");
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_EQ(d.shapes[0].name, "hull side");
    EXPECT_EQ(d.shapes[0].fill, (Colour{0x27, 0x49, 0x6d}));
    EXPECT_EQ(d.shapes[1].fill, (Colour{255, 0, 0}));
    EXPECT_TRUE(d.warnings.empty());
}

TEST(ReadSvg, KeepsThePhysicalSize) {
    const auto d = read("<rect x='100' y='200' width='300' height='100'/>");
    EXPECT_NEAR(d.width, 9 * inch, 1e-6);
    EXPECT_NEAR(box(d, 0).left, inch, 1e-6);
    EXPECT_NEAR(box(d, 0).top, 2 * inch, 1e-6);
    EXPECT_NEAR(box(d, 0).width(), 3 * inch, 1e-6);
}

struct Unit {
    const char* head;
    double mm; ///< of 96 user units
};
class ReadSvgUnits : public testing::TestWithParam<Unit> {};

// Source: W3C, CSS Values and Units 3, 6.2: 1in = 2.54cm = 96px = 72pt = 6pc.
TEST_P(ReadSvgUnits, AgreeWithTheStandard) {
    EXPECT_NEAR(box(read("<rect width='96' height='96'/>", GetParam().head), 0).width(), GetParam().mm, 1e-6);
}

INSTANTIATE_TEST_SUITE_P(Heads, ReadSvgUnits,
                         testing::Values(Unit{"width='96px' height='96px'", inch},
                                         Unit{"width='72pt' height='72pt' viewBox='0 0 96 96'", inch},
                                         Unit{"width='6pc' height='6pc' viewBox='0 0 96 96'", inch},
                                         Unit{"width='2.54cm' height='2.54cm' viewBox='0 0 96 96'", inch},
                                         Unit{"width='50mm' height='50mm' viewBox='0 0 96 96'", 50},
                                         Unit{"width='72pt' height='72pt'", inch},
                                         Unit{"width='1in' viewBox='0 0 96 96'", inch},
                                         Unit{"viewBox='0 0 960 960'", inch},
                                         Unit{"width='2in' height='1in' viewBox='0 0 96 96'", inch}));

TEST(ReadSvg, SaysWhenItHadToAssumeTheSize) {
    EXPECT_TRUE(remarked(read("<rect width='96' height='96'/>", ""), Remark::sizeAssumed));
    EXPECT_FALSE(remarked(read("<rect width='96' height='96'/>"), Remark::sizeAssumed));
}

// Source: areas of the basic shapes.
TEST(ReadSvg, KnowsTheBasicShapes) {
    const double unit = 0.254 * 0.254;
    EXPECT_NEAR(area(read("<circle cx='200' cy='200' r='100'/>"), 0), std::numbers::pi * 1e4 * unit, 2.0);
    EXPECT_NEAR(area(read("<ellipse cx='200' cy='200' rx='100' ry='50'/>"), 0), std::numbers::pi * 5e3 * unit,
                2.0);
    EXPECT_NEAR(area(read("<polygon points='0,0 100,0 0,100'/>"), 0), 5e3 * unit, 1e-3);
    EXPECT_NEAR(area(read("<rect width='200' height='100' rx='20'/>"), 0),
                (2e4 - (4 - std::numbers::pi) * 400) * unit, 0.5);
}

TEST(ReadSvg, AppliesNestedTransforms) {
    const auto d = read("<g transform='translate(100 0)'><g transform='scale(2)'><rect "
                        "transform='rotate(90)' x='0' y='-50' width='30' height='50'/></g></g>");
    EXPECT_NEAR(box(d, 0).left, inch, 1e-6);
    EXPECT_NEAR(box(d, 0).width(), inch, 1e-6);
    EXPECT_NEAR(box(d, 0).height(), 0.6 * inch, 1e-6);
}

TEST(ReadSvg, TurnsAboutAPointAndSkews) {
    const auto turned =
        read("<rect transform='rotate(180 450 450)' x='100' y='100' width='100' height='100'/>");
    EXPECT_NEAR(box(turned, 0).left, 7 * inch, 1e-6);
    const auto skewed = read("<rect transform='skewX(45)' y='100' width='100' height='100'/>");
    EXPECT_NEAR(box(skewed, 0).left, inch, 1e-6);
    EXPECT_NEAR(box(skewed, 0).width(), 2 * inch, 1e-6);
}

TEST(ReadSvg, FillRuleDecidesAboutHoles) {
    const std::string two = "d='M0 0H100V100H0Z M20 20H80V80H20Z'";
    EXPECT_EQ(read("<path fill-rule='evenodd' " + two + "/>").shapes[0].outline.holes.size(), 1U);
    EXPECT_EQ(read("<path " + two + "/>").shapes[0].outline.holes.size(), 0U);
    EXPECT_EQ(read("<path d='M0 0H100V100H0Z M20 20V80H80V20Z'/>").shapes[0].outline.holes.size(), 1U)
        << "drawn the other way";
}

TEST(ReadSvg, MakesOnePieceOfEachIsland) {
    const auto d = read("<path id='dots' d='M0 0H50V50H0Z M200 0H300V100H200Z'/>");
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_EQ(d.shapes[0].name, "dots");
    EXPECT_EQ(d.shapes[1].name, "dots 2");
}

TEST(ReadSvg, LeavesHiddenThingsOut) {
    const auto d = read("<rect width='90' height='90' display='none'/><g style='display:none'><rect "
                        "width='90' height='90'/></g>"
                        "<rect width='90' height='90' visibility='hidden'/><defs><rect width='90' "
                        "height='90'/></defs><rect id='seen' width='90' height='90'/>");
    ASSERT_EQ(d.shapes.size(), 1U);
    EXPECT_EQ(d.shapes[0].name, "seen");
}

TEST(ReadSvg, StyleOverrulesAttributesAndIsHandedDown) {
    const auto d = read("<g fill='#010203'><rect width='90' height='90'/><rect width='90' height='90' "
                        "fill='red' style='fill: #040506 !important'/></g>");
    EXPECT_EQ(d.shapes[0].fill, (Colour{1, 2, 3}));
    EXPECT_EQ(d.shapes[1].fill, (Colour{4, 5, 6}));
}

TEST(ReadSvg, AnOpenLineOnAPieceIsItsMark) {
    const auto d = read("<rect width='300' height='300'/><path fill='none' stroke='white' d='M100 100L200 "
                        "200'/><path fill='none' stroke='white' d='M600 600L700 700'/>");
    ASSERT_EQ(d.shapes.size(), 1U);
    EXPECT_EQ(d.shapes[0].marks.size(), 1U);
    EXPECT_TRUE(remarked(d, Remark::openLinesLeftOut));
}

TEST(ReadSvg, AClosedOutlineWithoutFillIsAPieceOfItsPensColour) {
    const auto d = read("<path fill='none' stroke='#123456' d='M0 0H100V100H0Z'/>");
    ASSERT_EQ(d.shapes.size(), 1U);
    EXPECT_EQ(d.shapes[0].fill, (Colour{0x12, 0x34, 0x56}));
}

TEST(ReadSvg, ClosesAnOpenFilledShapeAndSaysSo) {
    const auto d = read("<path id='sail' d='M0 0H100V100'/>");
    EXPECT_NEAR(area(d, 0), 5e3 * 0.254 * 0.254, 1e-3);
    EXPECT_TRUE(remarked(d, Remark::openShapeClosed));
}

TEST(ReadSvg, CountsWhatItLeavesOut) {
    const auto d = read("<rect width='90' height='90'/><text/><image href='x.png'/><use "
                        "href='#a'/><flowRoot/><rect width='1' height='1'/>");
    for (const auto what : {Remark::textLeftOut, Remark::imageLeftOut, Remark::unknownLeftOut,
                            Remark::tooSmallLeftOut, Remark::missingLeftOut})
        EXPECT_TRUE(remarked(d, what));
}

TEST(ReadSvg, KeepsPiecesBeyondThePageAndSaysSo) {
    EXPECT_TRUE(remarked(read("<rect x='-100' width='300' height='300'/>"), Remark::beyondPage));
}

TEST(ReadSvg, NeedsNoNamespaceAndTakesAPrefix) {
    EXPECT_EQ(test::must(readSvg("<svg width='1in' height='1in'><rect width='96' height='96'/></svg>", "x"))
                  .shapes.size(),
              1U);
    EXPECT_EQ(test::must(readSvg("<s:svg xmlns:s='http://www.w3.org/2000/svg' width='1in' "
                                 "height='1in'><s:rect width='96' height='96'/></s:svg>",
                                 "x"))
                  .shapes.size(),
              1U);
}

TEST(ReadSvg, HasNoEndOfGroups) {
    std::string deep = "<rect width='90' height='90'/>";
    for (int i = 0; i < 5000; ++i)
        deep = "<g>" + deep + "</g>";
    const auto answer =
        readSvg("<svg width='9in' height='9in' viewBox='0 0 900 900'>" + deep + "</svg>", "deep.svg");
    EXPECT_TRUE(answer.has_value() || answer.error().code == Code::emptyDrawing);
}

// Source: W3C SVG 2, 9.3.9 (grammar) and B.2.4/B.2.5 (arcs): a half circle of radius 50 reaches 50 beyond its
// chord.
TEST(PathData, ReadsArcsWithFlagsRunTogether) {
    for (const char* data : {"M0 0A50 50 0 0 1 100 0Z", "M0,0a50,50,0,01100,0z", "M0 0A1 1 0 0 1 100 0Z"}) {
        const auto contours = contoursIn(data);
        ASSERT_EQ(contours.size(), 1U) << data;
        EXPECT_NEAR(boundsOf(contours[0]).height(), 50, 0.02) << data;
        EXPECT_NEAR(std::abs(signedArea(contours[0])), std::numbers::pi * 1250, 2) << data;
    }
}

TEST(PathData, ReadsEveryCommandRelativeAndAbsolute) {
    const auto absolute = contoursIn("M10 10 H60 V60 L10 60 Z M100 100 C110 80 140 80 150 100 S190 120 200 "
                                     "100 Q210 80 220 100 T240 100 L240 150 Z");
    const auto relative =
        contoursIn("m10 10h50v50l-50 0zm90 90c10-20 40-20 50 0s40 20 50 0q10-20 20 0t20 0l0 50z");
    ASSERT_EQ(absolute.size(), 2U);
    ASSERT_EQ(relative.size(), 2U);
    for (std::size_t i = 0; i < 2; ++i)
        EXPECT_NEAR(signedArea(absolute[i]), signedArea(relative[i]), 1e-6);
}

TEST(PathData, KeepsWhatCameBeforeAMistake) {
    const auto contours = contoursIn("M0 0 H10 V10 Z M20 20 L30 oops");
    ASSERT_FALSE(contours.empty());
    EXPECT_NEAR(std::abs(signedArea(contours[0])), 50, 1e-9);
}

TEST(PathData, RandomTextNeverCrashes) {
    Random random(81);
    const std::string letters = "MmLlHhVvCcSsQqTtAaZz0123456789.-+eE, ";
    for (int i = 0; i < 5000; ++i) {
        std::string text;
        for (std::size_t k = 0, n = random.below(60); k < n; ++k)
            text += letters[random.below(letters.size())];
        for (const auto& contour : contoursIn(text))
            EXPECT_TRUE(std::isfinite(contour.start.x)) << text;
    }
}

} // namespace
} // namespace up::intake
