// SPDX-License-Identifier: GPL-3.0-or-later
// Scanned pages drawn with Pillow: areas within 2 % whatever the scanner and the light did to them.
#include "intake/any/any.hpp"
#include "intake/scan/flatten.hpp"
#include "intake/scan/scan.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <gtest/gtest.h>
#include <sstream>

namespace up::intake {
namespace {

struct Page {
    const char *name, *options;
    bool square = true;
    double skew = 0; ///< degrees
};

class Scans : public testing::TestWithParam<Page> {};

bool remarked(const quilt::Drawing& drawing, quilt::Remark what) {
    return std::any_of(drawing.warnings.begin(), drawing.warnings.end(),
                       [&](const auto& w) { return w.remark == what; });
}

TEST_P(Scans, AreasAreWithinTwoPercent) {
    const test::TempDir dir;
    const auto file = dir.file("page.png");
    const auto said = test::tool("/usr/bin/python3 '" + test::source("tests/outside/make_scan.py") + "' '" +
                                 file + "' " + GetParam().options);
    ASSERT_EQ(said.code, 0) << said.out;
    const auto drawing = test::must(readDrawing(test::readAll(file), file));
    std::istringstream areas(said.out);
    std::size_t i = 0;
    for (double area = 0; areas >> area; ++i) {
        ASSERT_LT(i, drawing.shapes.size());
        EXPECT_NEAR(std::abs(signedArea(drawing.shapes[i].outline.edge)), area, area * 0.02) << i;
    }
    EXPECT_EQ(drawing.shapes.size(), i) << "and nothing else";
    EXPECT_EQ(remarked(drawing, quilt::Remark::squareFound), GetParam().square);
    EXPECT_EQ(remarked(drawing, quilt::Remark::straightened), GetParam().skew != 0);
    for (const auto& drawn :
         drawing.shapes) { // the board, 80 × 50 mm with square corners, lies straight again
        if (std::abs(std::abs(signedArea(drawn.outline.edge)) - 4000) > 100) continue;
        EXPECT_NEAR(boundsOf(drawn.outline).width(), 80, 0.8);
        EXPECT_NEAR(boundsOf(drawn.outline).height(), 50, 0.8);
    }
}

INSTANTIATE_TEST_SUITE_P(
    Pages, Scans,
    testing::Values(Page{"coarse", "150 --skew 1.7 --noise 6 --shade .3", true, 1.7},
                    Page{"usualPencil", "300 --skew -2.3 --noise 8 --shade .35 --pencil 120", true, -2.3},
                    Page{"fine", "600 --skew 3 --noise 10 --shade .3", true, 3},
                    Page{"brokenLinesPrintedSmall", "200 --gap 1.5 --noise 5 --print-at 0.97"},
                    Page{"noResolution", "200 --no-resolution"},
                    Page{"photographed", "200 --photo 0.15 --noise 4 --shade .1 --no-resolution"},
                    Page{"photographedSteeply", "250 --photo 0.3 --noise 3 --no-resolution"},
                    Page{"noSquare", "200 --square 0 --noise 4 --skew 1", false, 1}),
    [](const auto& page) { return page.param.name; });

TEST(FlattenedPage, OnlyPagesOnATableAreFlattened) {
    const test::TempDir dir;
    const auto make = [&](const char* options) {
        const auto file = dir.file("page.png");
        const auto said = test::tool("/usr/bin/python3 '" + test::source("tests/outside/make_scan.py") +
                                     "' '" + file + "' " + options);
        EXPECT_EQ(said.code, 0) << said.out;
        return test::must(decodePicture(test::readAll(file), file));
    };
    EXPECT_FALSE(flattenedPage(make("100 --shade .4")));
    EXPECT_FALSE(flattenedPage(make("100 --skew 2 --noise 9")));
    const auto page = flattenedPage(make("100 --photo .2"));
    ASSERT_TRUE(page);
    EXPECT_NEAR(page->width / page->dpi, 8.5, 0.02);
    EXPECT_NEAR(page->height / page->dpi, 11, 0.02);
    EXPECT_FALSE(flattenedPage({300, 300, std::vector<std::uint8_t>(90'000, 128), 0}));
}

TEST(ScansHostile, AreRefusedWithASentence) {
    EXPECT_EQ(readDrawing("\x89PNG\r\n\x1a\nrubbish", "bad.png").error().code, Code::notPicture);
    // A PNG head that claims 20,000 × 20,000 dots. Source: W3C, PNG (Second Edition), 11.2.2.
    const std::string head(
        "\x89PNG\r\n\x1a\n\0\0\0\rIHDR\0\0\x4e\x20\0\0\x4e\x20\x08\0\0\0\0\x72\x1f\x49\x65", 33);
    const auto answer = readDrawing(head, "huge.png");
    ASSERT_FALSE(answer);
    EXPECT_TRUE(answer.error().code == Code::tooManyDots || answer.error().code == Code::notPicture);
}

TEST(ScansBlank, HoldNothing) {
    Picture white{400, 400, std::vector<std::uint8_t>(160'000, 250), 150};
    EXPECT_EQ(readScan(white, "white.png").error().code, Code::emptyDrawing);
    Picture black{400, 400, std::vector<std::uint8_t>(160'000, 0), 150};
    EXPECT_EQ(readScan(black, "black.png").error().code, Code::emptyDrawing);
    Picture dot{1, 1, {0}, 150};
    EXPECT_EQ(readScan(dot, "dot.png").error().code, Code::emptyDrawing);
}

} // namespace
} // namespace up::intake
