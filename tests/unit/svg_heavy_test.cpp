// SPDX-License-Identifier: GPL-3.0-or-later
// Drawings that are small to send and large to work out. How long they take is measured in benchmarks/intake;
// here it is counted what is done.
#include "intake/svg/stylesheet.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::intake {
namespace {

using quilt::Remark;

std::string page(const std::string& body) {
    return "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='10in' "
           "height='10in' viewBox='0 0 1000 1000'>" +
           body + "</svg>";
}
int endless(const quilt::Drawing& drawing) {
    for (const auto& warning : drawing.warnings)
        if (warning.remark == Remark::endlessLeftOut) return std::stoi(warning.args.at(0));
    return 0;
}

// What refers to itself is an error there: W3C, SVG 2, 5.6 and CSS Masking 1, 3.5. It is tried once, and
// told.
TEST(SvgHeavy, ClipsMasksAndCopiesThatReferToThemselvesAreTriedOnce) {
    std::string clip = "<clipPath id='c'>";
    for (int i = 0; i < 6; ++i)
        clip += "<rect width='" + std::to_string(100 + i) + "' height='50' clip-path='url(#c)'/>";
    const auto clipped = test::must(
        readSvg(page(clip + "</clipPath><rect width='500' height='500' clip-path='url(#c)'/>"), "a"));
    ASSERT_EQ(clipped.shapes.size(), 1U);
    EXPECT_EQ(endless(clipped), 0) << "what is amiss within a clip is not told";
    EXPECT_NEAR(boundsOf(clipped.shapes[0].outline).width(), 105 * 0.254, 1e-3);
    const auto copied = test::must(readSvg(page("<g id='u'><use xlink:href='#u' x='1'/><use xlink:href='#u' "
                                                "x='2'/><rect width='50' height='50'/></g>"),
                                           "b"));
    EXPECT_EQ(copied.shapes.size(), 1U);
    EXPECT_EQ(endless(copied), 2);
}

TEST(SvgHeavy, RoundAboutReferencesComeToAnEnd) {
    const auto d = test::must(
        readSvg(page("<defs><g id='a'><rect width='50' height='50'/><use xlink:href='#b'/></g><g id='b'>"
                     "<use xlink:href='#a' x='9'/></g></defs><use xlink:href='#a'/>"),
                "c"));
    EXPECT_EQ(d.shapes.size(), 1U);
    EXPECT_EQ(endless(d), 1);
}

// W3C, CSS Cascade 4, 6.1: importance before specificity, specificity before order.
TEST(SvgHeavy, AmongThousandsOfRulesTheStrongestStillWins) {
    std::string css;
    for (int i = 0; i < 5000; ++i)
        css += "rect{fill:#0000ff;stroke:none} .x{fill:#00ff00}\n";
    const auto fill = [&](const std::string& more, const std::string& rect) {
        return test::must(readSvg(page("<style>" + css + more + "</style>" + rect), "d")).shapes.at(0).fill;
    };
    const std::string rect = "<g class='k'><rect class='x' width='50' height='50'/></g>";
    EXPECT_EQ(fill("", rect), (Colour{0, 255, 0}));
    EXPECT_EQ(fill("rect{fill:#ff0000 !important}", rect), (Colour{255, 0, 0}));
    EXPECT_EQ(fill("rect{fill:#ff0000 !important} .x{fill:#112233 !important}", rect),
              (Colour{0x11, 0x22, 0x33}));
    EXPECT_EQ(fill(".k > .x{fill:#445566}", rect), (Colour{0x44, 0x55, 0x66}));
    EXPECT_EQ(fill(".other .x{fill:#445566}", rect), (Colour{0, 255, 0}))
        << "nothing of that class lies around it";
    EXPECT_EQ(fill("rect{fill:#ff0000 !important}", "<rect style='fill:#778899' width='50' height='50'/>"),
              (Colour{255, 0, 0}));
    EXPECT_EQ(fill("", "<rect style='fill:#778899' width='50' height='50'/>"), (Colour{0x77, 0x88, 0x99}));
}

} // namespace
} // namespace up::intake
