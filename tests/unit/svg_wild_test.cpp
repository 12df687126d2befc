// SPDX-License-Identifier: GPL-3.0-or-later
// SVG as programs of all kinds export it. Expected areas by arithmetic; the rules from W3C, SVG 2 and
// CSS 2.1.
#include "core/base/random.hpp"
#include "core/shape/region.hpp"
#include "intake/svg/stylesheet.hpp"
#include "intake/svg/svg.hpp"
#include "intake/svg/values.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <numbers>

namespace up::intake {
namespace {

using quilt::Drawing;
using quilt::Origin;
using quilt::Remark;

/// A 10 in page of 1000 units: 100 to the inch.
Drawing read(const std::string& body, Options options = {}) {
    return test::must(readSvg("<svg xmlns='http://www.w3.org/2000/svg' "
                              "xmlns:xlink='http://www.w3.org/1999/xlink' width='10in' height='10in' "
                              "viewBox='0 0 1000 1000'>" +
                                  body + "</svg>",
                              "wild.svg", options));
}
/// In square user units of that page.
double area(const Drawing& drawing, std::size_t i = 0) {
    return shape::regionOf(drawing.shapes.at(i).outline, 0.005).area() / (0.254 * 0.254);
}
shape::Box box(const Drawing& drawing, std::size_t i = 0) {
    const auto b = boundsOf(drawing.shapes.at(i).outline);
    return {b.left / 0.254, b.top / 0.254, b.right / 0.254, b.bottom / 0.254};
}
Colour fill(const std::string& body) {
    return read(body).shapes.at(0).fill;
}
bool remarked(const Drawing& drawing, Remark what) {
    return std::any_of(drawing.warnings.begin(), drawing.warnings.end(),
                       [&](const auto& w) { return w.remark == what; });
}
const std::string square = "width='100' height='100'";

TEST(SvgStyleSheets, TheMoreSpecificRuleWins) {
    const std::string css =
        "<style>rect{fill:#010101} .a{fill:#020202} #one{fill:#030303} g > .b{fill:#040404} "
        "/* .a{fill:red} */ .c, .d{fill:#050505} @media print{rect{fill:red}} "
        "rect[width='50']{fill:#060606}</style>";
    EXPECT_EQ(fill(css + "<rect " + square + "/>"), (Colour{1, 1, 1}));
    EXPECT_EQ(fill(css + "<rect fill='red' " + square + "/>"), (Colour{1, 1, 1}));
    EXPECT_EQ(fill(css + "<rect class='x a' " + square + "/>"), (Colour{2, 2, 2}));
    EXPECT_EQ(fill(css + "<rect class='a' id='one' " + square + "/>"), (Colour{3, 3, 3}));
    EXPECT_EQ(fill(css + "<g><rect class='b' " + square + "/></g>"), (Colour{4, 4, 4}));
    EXPECT_EQ(fill(css + "<g><a><rect class='b' " + square + "/></a></g>"), (Colour{1, 1, 1}));
    EXPECT_EQ(fill(css + "<rect class='d' " + square + "/>"), (Colour{5, 5, 5}));
    EXPECT_EQ(fill(css + "<rect width='50' height='90'/>"), (Colour{6, 6, 6}));
    EXPECT_EQ(fill(css + "<rect class='a' style='fill:#070707' " + square + "/>"), (Colour{7, 7, 7}));
}

TEST(SvgStyleSheets, ImportantWinsOverTheStyleAttribute) {
    EXPECT_EQ(fill("<style>rect{fill:#010101 !important}</style><rect style='fill:#020202' " + square + "/>"),
              (Colour{1, 1, 1}));
}

TEST(SvgUse, CopiesAreShapesOfTheirOwn) {
    const auto d =
        read("<defs><rect id='leaf' " + square +
             "/><symbol id='sign' viewBox='0 0 10 10'><rect width='10' height='10'/></symbol></defs>"
             "<use xlink:href='#leaf' x='200'/><use href='#leaf' transform='scale(2)' fill='#0000ff'/>"
             "<use href='#sign' x='500' y='500' width='50' height='50'/>");
    ASSERT_EQ(d.shapes.size(), 3U);
    EXPECT_NEAR(box(d, 0).left, 200, 1e-6);
    EXPECT_EQ(d.shapes[0].name, "leaf");
    EXPECT_NEAR(area(d, 1), 4e4, 1);
    EXPECT_EQ(d.shapes[1].fill, (Colour{0, 0, 255}));
    EXPECT_NEAR(area(d, 2), 2500, 1);
    EXPECT_NEAR(box(d, 2).top, 500, 1e-6);
}

TEST(SvgUse, CopiesOfCopiesComeToAnEnd) {
    std::string bomb = "<defs><g id='a0'><rect " + square + "/></g>";
    for (int i = 1; i < 12; ++i) {
        bomb += "<g id='a" + std::to_string(i) + "'>";
        for (int k = 0; k < 10; ++k)
            bomb += "<use href='#a" + std::to_string(i - 1) + "'/>";
        bomb += "</g>";
    }
    const auto answer =
        readSvg("<svg width='9in' height='9in'>" + bomb + "</defs><use href='#a11'/></svg>", "bomb.svg");
    ASSERT_FALSE(answer);
    EXPECT_EQ(answer.error().code, Code::tooLarge);
    const auto self = read("<g id='g'><rect " + square + "/><use href='#g'/></g>");
    EXPECT_TRUE(remarked(self, Remark::endlessLeftOut));
    EXPECT_LE(self.shapes.size(), 30U);
}

TEST(SvgPages, NestedPagesScaleAndCutOff) {
    const auto d = read("<svg x='100' y='100' width='200' height='100' viewBox='0 0 10 10' "
                        "preserveAspectRatio='xMinYMid meet'><rect width='20' height='5'/></svg>");
    EXPECT_NEAR(box(d).left, 100, 1e-4);
    EXPECT_NEAR(box(d).right, 300, 1e-3) << "20 units of 10 each, from 100";
    EXPECT_NEAR(area(read("<svg width='100' height='100'><rect width='500' height='500'/></svg>")), 1e4, 1);
    EXPECT_NEAR(area(read("<svg width='100' height='100' overflow='visible'><rect width='500' "
                          "height='500'/></svg>")),
                25e4, 1);
    EXPECT_NEAR(
        area(read("<svg width='200' height='100' viewBox='0 0 10 10' preserveAspectRatio='none'><rect "
                  "width='10' height='10'/></svg>")),
        2e4, 1);
}

TEST(SvgPages, WithoutViewBoxPointsOnlySetThePage) {
    const auto d =
        test::must(readSvg("<svg width='72pt' height='72pt'><rect width='48' height='48'/></svg>", "p"));
    EXPECT_NEAR(d.width, 25.4, 1e-6);
    EXPECT_NEAR(boundsOf(d.shapes[0].outline).width(), 12.7, 1e-6) << "96 units to the inch all the same";
}

TEST(SvgColours, OfEveryKind) {
    EXPECT_EQ(colourIn("hsl(120, 100%, 25%)"), (Colour{0, 128, 0}));
    EXPECT_EQ(colourIn("rgba(10,20,30,.5)"), (Colour{10, 20, 30}));
    EXPECT_EQ(colourIn("RebeccaPurple"), (Colour{0x66, 0x33, 0x99}));
    EXPECT_EQ(colourIn("#11223300"), std::nullopt);
    EXPECT_EQ(colourIn("#abc8"), (Colour{0xaa, 0xbb, 0xcc}));
    EXPECT_EQ(colourIn("nonsense"), std::nullopt);
    EXPECT_EQ(fill("<g color='#123456'><rect fill='currentColor' " + square + "/></g>"),
              (Colour{0x12, 0x34, 0x56}));
}

TEST(SvgColours, AGradientGivesTheMeanOfItsStops) {
    const std::string defs =
        "<defs><linearGradient id='g'><stop offset='0' stop-color='#000'/><stop offset='100%' "
        "style='stop-color:#c80064'/></linearGradient><radialGradient id='h' "
        "xlink:href='#g'/><linearGradient id='gone'><stop stop-opacity='0'/></linearGradient>"
        "</defs>";
    EXPECT_EQ(fill(defs + "<rect fill='url(#g)' " + square + "/>"), (Colour{100, 0, 50}));
    EXPECT_EQ(fill(defs + "<rect style='fill:url(\"#h\")' " + square + "/>"), (Colour{100, 0, 50}));
    EXPECT_EQ(fill(defs + "<rect fill='url(#gone)' " + square + "/><rect fill='url(#nowhere) #010203' " +
                   square + "/>"),
              (Colour{1, 2, 3}))
        << "a gradient that is clear all over paints nothing";
}

TEST(SvgHidden, StaysOut) {
    const auto d =
        read("<g display='none'><rect " + square + "/></g><rect style='display:none' " + square +
             "/><rect opacity='0' " + square + "/><rect fill-opacity='0' " + square +
             "/><g visibility='hidden'><rect " + square + "/><rect id='back' visibility='visible' " + square +
             "/></g><switch><rect requiredExtensions='x' " + square + "/><rect id='shown' " + square +
             "/><rect " + square + "/></switch>");
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_EQ(d.shapes[0].name, "back");
    EXPECT_EQ(d.shapes[1].name, "shown");
}

TEST(SvgClips, LetThroughWhatTheySay) {
    const std::string defs =
        "<defs><clipPath id='c'><circle cx='100' cy='100' r='50'/></clipPath><clipPath id='half' "
        "clipPathUnits='objectBoundingBox'><rect width='.5' height='1'/></clipPath><clipPath "
        "id='both' clip-path='url(#c)'><rect width='100' height='500'/></clipPath></defs>";
    const double circle = std::numbers::pi * 2500;
    const auto whole = read(defs + "<rect clip-path='url(#c)' width='500' height='500'/>");
    EXPECT_NEAR(area(whole), circle, 5);
    EXPECT_EQ(whole.shapes[0].outline.edge.curves.size(), 4U) << "the clip's own curves";
    EXPECT_NEAR(area(read(defs + "<rect clip-path='url(#half)' x='100' width='300' height='10'/>")), 1500, 1);
    EXPECT_NEAR(area(read(defs + "<g clip-path='url(#both)'><rect width='500' height='500'/></g>")),
                circle / 2, 6)
        << "flattened within 0.02 mm";
    EXPECT_NEAR(area(read(defs + "<rect clip-path='url(#nowhere)' " + square + "/>")), 1e4, 1);
}

TEST(SvgMasks, LetLightThrough) {
    const std::string mask =
        "<mask id='m'><rect width='100' height='100' fill='#fff'/><rect width='50' height='50' "
        "fill='#000'/></mask>";
    EXPECT_NEAR(area(read(mask + "<rect mask='url(#m)' width='500' height='500'/>")), 7500, 1);
}

TEST(SvgLines, FollowTheOneRule) {
    const auto d =
        read("<rect id='board' width='400' height='400' fill='red' stroke='black' stroke-width='40'/>"
             "<path id='ring' d='M500 500h100v100h-100z' fill='none' stroke='blue'/>"
             "<path id='stem' d='M500 100h300' fill='none' stroke='green' stroke-width='20'/>"
             "<path id='vein' d='M50 50h100' fill='none' stroke='green' stroke-width='2'/>");
    ASSERT_EQ(d.shapes.size(), 3U);
    EXPECT_NEAR(area(d, 0), 16e4, 1) << "its pen is ignored";
    EXPECT_EQ(d.shapes[0].marks.size(), 1U);
    EXPECT_EQ(d.shapes[1].origin, Origin::outline);
    EXPECT_NEAR(area(d, 1), 1e4, 1);
    EXPECT_EQ(d.shapes[2].origin, Origin::band);
    EXPECT_NEAR(area(d, 2), 6000, 1);
    EXPECT_EQ(d.shapes[2].fill, (Colour{0, 128, 0}));
}

TEST(SvgLines, AWideBorderIsAPieceWhenAskedFor) {
    const std::string body =
        "<rect x='100' y='100' width='400' height='400' stroke='black' stroke-width='40' "
        "fill='red' stroke-linejoin='miter'/>";
    EXPECT_EQ(read(body).shapes.size(), 1U);
    const auto d = read(body, {true});
    ASSERT_EQ(d.shapes.size(), 2U);
    EXPECT_NEAR(area(d, 1), 440.0 * 440 - 360.0 * 360, 1);
}

TEST(SvgLines, ThatMeetEndToEndAreOneOutline) {
    const auto d =
        read("<rect width='900' height='900'/><g fill='none' stroke='black'><path d='M100 100H200'/><path "
             "d='M200 100.2V200'/><path d='M100 100L200 200.1'/><path d='M300 300H400'/></g>");
    ASSERT_EQ(d.shapes.size(), 1U);
    EXPECT_EQ(d.shapes[0].marks.size(), 2U) << "the outline on cloth, and the line that meets no other";
    const auto pieces = quilt::withLinesAsPieces(d);
    ASSERT_EQ(pieces.shapes.size(), 2U);
    EXPECT_NEAR(area(pieces, 1), 5000, 30);
    EXPECT_EQ(pieces.shapes[0].marks.size(), 1U) << "the line that meets no other";
}

TEST(SvgText, BecomesALetterAPiece) {
    const auto d =
        read("<text x='500' y='500' font-size='200' font-family='sans-serif' text-anchor='middle'>W<tspan "
             "fill='red'>R</tspan>\n EN</text>");
    ASSERT_EQ(d.shapes.size(), 4U);
    EXPECT_EQ(d.shapes[0].name, "W");
    EXPECT_EQ(d.shapes[1].fill, (Colour{255, 0, 0}));
    EXPECT_FALSE(d.shapes[1].outline.holes.empty()) << "the eye of the R";
    EXPECT_LT(box(d, 0).left, 400);
    EXPECT_GT(box(d, 3).right, 600) << "anchored in the middle";
    EXPECT_NEAR(box(d, 0).bottom, 500, 10) << "stands on its line";
}

TEST(SvgNames, ComeFromLabelsTitlesIdsAndGroups) {
    const auto d =
        read("<g id='heron_wing'><path id='path1234-5' d='M0 0h90v90z'/><path label='tip' d='M0 0h90v90z'/>"
             "<path id='x1' d='M0 0h90v90z'><title>quill</title></path></g><path id='path77' "
             "d='M0 0h90v90z'/><path d='M0 0h90v90z'/>");
    std::vector<std::string> names;
    for (const auto& drawn : d.shapes)
        names.push_back(drawn.name);
    EXPECT_EQ(names, (std::vector<std::string>{"heron wing", "tip", "quill", "path77", ""}));
}

TEST(SvgEntities, ArePutInOnceAndDoNotMultiply) {
    const std::string head =
        "<!DOCTYPE svg [<!ENTITY red 'fill:#ff0000'><!ENTITY lol 'lollollollol'><!ENTITY lol2 "
        "'&lol;&lol;&lol;&lol;&lol;&lol;'>]>";
    const auto d = test::must(
        readSvg(head + "<svg width='9in' height='9in'><rect id='&lol2;' style='&red;' " + square + "/></svg>",
                "entities.svg"));
    EXPECT_EQ(d.shapes[0].fill, (Colour{255, 0, 0}));
    EXPECT_LT(d.shapes[0].name.size(), 100U);
}

TEST(SvgHugeNumbers, AreLeftOutAndSaid) {
    const auto d =
        read("<rect " + square + "/><rect width='1e9' height='1e9'/><path d='M0 0L1e308 1e308L1e400 0Z'/>");
    EXPECT_EQ(d.shapes.size(), 1U);
    EXPECT_TRUE(remarked(d, Remark::absurdLeftOut));
}

TEST(SvgTangles, AreGivenUpAndSaid) {
    Random random(9);
    std::string scribble = "M0 0";
    for (int i = 0; i < 20'000; ++i)
        scribble += "L" + std::to_string(random.below(900)) + " " + std::to_string(random.below(900));
    const std::string head = "<svg width='9in' height='9in'>", path = "<path d='" + scribble + "Z'/>";
    EXPECT_EQ(readSvg(head + path + "</svg>", "tangle.svg").error().code, Code::crossing);
    const auto rest = test::must(readSvg(head + path + "<rect " + square + "/></svg>", "tangle.svg"));
    EXPECT_EQ(rest.shapes.size(), 1U);
    EXPECT_TRUE(remarked(rest, Remark::tangledLeftOut));
}

TEST(SvgTouchingShapes, AreNoHolesInEachOther) {
    const auto d =
        read("<path d='m307-20v10l-7-5zm-7 5v5l-7-5 7-5z' transform='translate(-2900 300) scale(10)'/>");
    double sum = 0;
    for (std::size_t i = 0; i < d.shapes.size(); ++i)
        sum += area(d, i);
    EXPECT_NEAR(sum, 100 * (35 + 35), 1);
}

} // namespace
} // namespace up::intake
