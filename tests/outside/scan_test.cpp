// SPDX-License-Identifier: GPL-3.0-or-later
// Scanned pages drawn with Pillow: areas within 2 % whatever the scanner and the light did to them.
#include "intake/any/any.hpp"
#include "intake/scan/flatten.hpp"
#include "intake/scan/scan.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <gtest/gtest.h>
#include <numbers>
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

double lengthOf(const shape::Contour& line) {
    return shape::lengthOf(flattened(line, 0.02));
}

quilt::Drawing readPage(const std::string& options) {
    const test::TempDir dir;
    const auto file = dir.file("page.png");
    const auto said = test::tool("/usr/bin/python3 '" + test::source("tests/outside/make_scan.py") + "' '" +
                                 file + "' " + options);
    EXPECT_EQ(said.code, 0) << said.out;
    return test::must(readDrawing(test::readAll(file), file));
}

class ScannedMarks : public testing::TestWithParam<const char*> {};

TEST_P(ScannedMarks, VeinsAreMarksAndWhatLiesOnNothingIsLeftOut) {
    const auto drawing = readPage(GetParam());
    ASSERT_EQ(drawing.shapes.size(), 7U) << "a line within one makes no pieces of it";
    std::vector<double> lengths;
    for (const auto& drawn : drawing.shapes)
        for (const auto& mark : drawn.marks) {
            lengths.push_back(lengthOf(mark));
            EXPECT_NEAR(std::abs(signedArea(drawn.outline.edge)), 2 * 2 * 40 * 28 * 2 / std::numbers::pi, 60)
                << "all on the leaf";
        }
    std::sort(lengths.begin(), lengths.end());
    ASSERT_EQ(lengths.size(), 2U);
    EXPECT_NEAR(lengths[0], std::hypot(12, 10), 1.3) << "less what lies under the other vein";
    EXPECT_NEAR(lengths[1], 50.78, 1.0) << "of a half wave 50 long and 4 high, by its elliptic integral";
    ASSERT_EQ(drawing.loose.size(), 1U);
    EXPECT_NEAR(lengthOf(drawing.loose[0].line), 80, 1.0);
    EXPECT_TRUE(remarked(drawing, quilt::Remark::openLinesLeftOut));
    EXPECT_EQ(std::count(drawing.warnings.begin(), drawing.warnings.end(),
                         quilt::Warning{quilt::Remark::smallMarksLeftOut, {"3"}}),
              1);
}

INSTANTIATE_TEST_SUITE_P(Pages, ScannedMarks,
                         testing::Values("150 --marks --noise 4 --skew 1.2",
                                         "300 --marks --shade .3 --noise 8 --pencil 110",
                                         "600 --marks --skew -2"));

class ScannedDashes : public testing::TestWithParam<const char*> {};

TEST_P(ScannedDashes, ADashedEdgeIsDottedAndNoOther) {
    const auto drawing = readPage(GetParam());
    ASSERT_EQ(drawing.shapes.size(), 7U);
    for (const auto& drawn : drawing.shapes) {
        const bool board = std::abs(std::abs(signedArea(drawn.outline.edge)) - 4000) < 80;
        ASSERT_EQ(drawn.dotted.size(), board ? 1U : 0U) << drawn.name;
        if (!board) continue;
        EXPECT_NEAR(lengthOf(drawn.dotted[0]), 80 - 3 - 3, 2.5) << "from the first gap to the last";
    }
}

INSTANTIATE_TEST_SUITE_P(Pages, ScannedDashes,
                         testing::Values("150 --dashes --noise 4 --skew 1.2",
                                         "300 --dashes --shade .3 --noise 8",
                                         "200 --dashes --gap 1.5 --pencil 110"));

TEST(ScansStopped, SayHowFarTheyAreAndEndWhenAsked) {
    const test::TempDir dir;
    const auto file = dir.file("page.png");
    ASSERT_EQ(
        test::tool("/usr/bin/python3 '" + test::source("tests/outside/make_scan.py") + "' '" + file + "' 100")
            .code,
        0);
    const auto bytes = test::readAll(file);
    ReadOptions options;
    options.job = std::make_shared<Job>();
    EXPECT_TRUE(readDrawing(bytes, file, options));
    EXPECT_GT(options.job->progress(), 0.8);
    EXPECT_LE(options.job->progress(), 1.0);
    options.job->stop();
    EXPECT_EQ(readDrawing(bytes, file, options).error().code, Code::stopped);
}

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
    Job job;
    Picture white{400, 400, std::vector<std::uint8_t>(160'000, 250), 150};
    EXPECT_EQ(readScan(white, "white.png", 0, job).error().code, Code::emptyDrawing);
    Picture black{400, 400, std::vector<std::uint8_t>(160'000, 0), 150};
    EXPECT_EQ(readScan(black, "black.png", 0, job).error().code, Code::emptyDrawing);
    Picture dot{1, 1, {0}, 150};
    EXPECT_EQ(readScan(dot, "dot.png", 0, job).error().code, Code::emptyDrawing);
}

} // namespace
} // namespace up::intake
