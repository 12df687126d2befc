// SPDX-License-Identifier: GPL-3.0-or-later
// Printed sheets, measured with poppler's tools: page boxes, fonts, words, and the one-inch square on the
// rendered page.
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "output/pages/pages.hpp"
#include "output/pdf/pdf.hpp"
#include "tests/outside/narrowboat.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <cmath>
#include <gtest/gtest.h>

namespace up::output {
namespace {

using test::must;
using test::narrowboat;
using test::tool;

constexpr int dpi = 600;

struct Printed {
    test::TempDir dir;
    std::string path;
    std::size_t pages = 0;
};

void print(Printed& printed, const std::vector<sheet::Page>& pages) {
    printed.path = printed.dir.file("sheet.pdf");
    printed.pages = pages.size();
    test::writeAll(printed.path, must(writePdf(pages, "Test")));
}

/// A page as grey pixels.
struct Picture {
    int width = 0, height = 0;
    std::string pixels;
    [[nodiscard]] bool dark(int x, int y) const {
        return static_cast<unsigned char>(
                   pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) +
                          static_cast<std::size_t>(x)]) < 140;
    }
};

/// As a printer makes it that prints everything at `scale`.
Picture rendered(const Printed& printed, double scale = 1) {
    const auto name = printed.dir.file("page");
    const auto said = tool("pdftoppm -gray -r " + std::to_string(std::lround(dpi * scale)) +
                           " -f 1 -l 1 -singlefile '" + printed.path + "' '" + name + "'");
    EXPECT_EQ(said.code, 0) << said.out;
    const auto bytes = test::readAll(name + ".pgm");
    Picture out;
    std::sscanf(bytes.c_str(), "P5 %d %d", &out.width, &out.height);
    out.pixels = bytes.substr(bytes.size() -
                              static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
    return out;
}

/// Middles of the dark stretches along a row or column of pixels, in mm.
std::vector<double> linesAlong(const Picture& picture, bool row, int at, int from, int to) {
    std::vector<double> out;
    int start = -1;
    for (int i = from; i < to; ++i) {
        const bool dark = row ? picture.dark(i, at) : picture.dark(at, i);
        if (dark && start < 0) start = i;
        if (!dark && start >= 0) out.push_back((start + i) / 2.0 * 25.4 / dpi), start = -1;
    }
    return out;
}

void expectInchSquare(const Printed& printed, double scale = 1) {
    const auto picture = rendered(printed, scale);
    // The square stands in the lower left corner, 10 mm from the edges; its words are in the middle of it.
    const auto pixel = [](double mm) { return static_cast<int>(mm / 25.4 * dpi); };
    const double high = picture.height * 25.4 / dpi;
    const auto across = linesAlong(picture, true, pixel(high - 10 - 5), pixel(5), pixel(10 + 25.4 + 3));
    const auto down = linesAlong(picture, false, pixel(10 + 4), pixel(high - 10 - 25.4 - 3), pixel(high - 5));
    ASSERT_EQ(across.size(), 2U);
    ASSERT_EQ(down.size(), 2U);
    EXPECT_NEAR(across[1] - across[0], 25.4, 0.05);
    EXPECT_NEAR(down[1] - down[0], 25.4, 0.05);
}

void expectPages(const Printed& printed, double widthPt, double heightPt) {
    const auto info = tool("pdfinfo -box '" + printed.path + "'");
    EXPECT_EQ(info.code, 0) << info.out;
    EXPECT_EQ(test::numberAfter(info.out, "Pages:"), static_cast<double>(printed.pages));
    // Upright or on its side.
    const double width = test::numberAfter(info.out, "Page size:"),
                 height = test::numberAfter(info.out, " x ");
    EXPECT_NEAR(std::min(width, height), widthPt, 0.01);
    EXPECT_NEAR(std::max(width, height), heightPt, 0.01);
}

// Source: ANSI/ASME Y14.1: 8.5 × 11 in, 612 × 792 pt.
TEST(TracingPdf, IsLetterSizedWithATrueInch) {
    const auto quilt = narrowboat();
    Printed printed;
    print(printed, must(tracingPages(quilt, quilt.blocks[0], {measure::letter})));
    EXPECT_GT(printed.pages, 1U);
    expectPages(printed, 612, 792);
    expectInchSquare(printed);
}

TEST(TracingPdf, CorrectsAPrinterByItsMeasuredSquare) {
    const auto quilt = narrowboat();
    for (const double scale : {0.97, 1.04}) {
        Printed printed;
        print(printed, must(tracingPages(quilt, quilt.blocks[0], {measure::letter, 25.4 * scale})));
        expectPages(printed, 612, 792);
        expectInchSquare(printed, scale);
    }
}

// Source: ISO 216: 210 × 297 mm, 595.276 × 841.890 pt.
TEST(PlacementPdf, IsA4SizedWithATrueInch) {
    const auto quilt = narrowboat();
    Printed printed;
    print(printed, must(placementPages(quilt, quilt.blocks[0], {measure::a4})));
    expectPages(printed, 595.276, 841.890);
    expectInchSquare(printed);
}

/// A point left of the middle comes right of it, and what is written stays readable.
TEST(PlacementPdf, MirroredIsTheSameTheOtherWayRound) {
    const auto side = measure::Length::ofInches(5, 1); // on one page
    const auto big = narrowboat();
    const auto quilt = must(edit::resizeBlock(big, big.blocks[0].id, side, side));
    const auto& block = quilt.blocks[0];
    const auto plain = must(placementPages(quilt, block, {measure::letter}));
    const auto mirrored = must(mirroredPlacementPages(quilt, block, {measure::letter}));
    ASSERT_EQ(plain.size(), 1U);
    ASSERT_EQ(mirrored.size(), 1U);
    const auto middle = [&](const sheet::Page& page, std::size_t piece) {
        shape::Box box;
        for (const auto& layer : page.layers)
            for (const auto& item : layer.items)
                if (const auto* drawn = std::get_if<sheet::Shape>(&item);
                    drawn && sheet::pieceOf(drawn->tag) == block.pieces[piece].id)
                    for (const auto& contour : drawn->contours)
                        box.take(boundsOf(transformed(contour, layer.place)));
        return box.centre();
    };
    const auto seen = middle(plain[0], 3) - middle(plain[0], 0),
               turned = middle(mirrored[0], 3) - middle(mirrored[0], 0);
    EXPECT_LT(seen.x, -20) << "the tiller is left of the sun";
    EXPECT_NEAR(turned.x, -seen.x, 0.01);
    EXPECT_NEAR(turned.y, seen.y, 0.01);
    Printed printed;
    print(printed, mirrored);
    expectInchSquare(printed);
    const auto text = tool("pdftotext -layout '" + printed.path + "' -").out;
    EXPECT_NE(text.find("mirrored"), std::string::npos);
    EXPECT_NE(text.find("Tape it to a window"), std::string::npos);
}

/// What larger pieces hide is left out; all that shows is there, and the block's corners.
TEST(PlacementPdf, LinesThatGuideLeaveOutWhatIsHidden) {
    const auto quilt = narrowboat();
    const auto& block = quilt.blocks[0];
    const auto plan = plan::planBlock(block);
    const auto lengthOf = [&](const std::vector<sheet::Page>& pages, bool dashed) {
        double length = 0;
        for (const auto& page : pages)
            for (const auto& layer : page.layers)
                for (const auto& item : layer.items)
                    if (const auto* drawn = std::get_if<sheet::Shape>(&item);
                        drawn && drawn->pen && sheet::pieceOf(drawn->tag) &&
                        (drawn->pen->dash == sheet::Dash::dashed) == dashed)
                        for (const auto& contour : drawn->contours)
                            length += shape::lengthOf(flattened(contour));
        return length;
    };
    const auto all = must(placementPages(quilt, block, {measure::letter}));
    const auto guides = must(guidePages(quilt, block, {measure::letter}));
    EXPECT_GT(lengthOf(all, true), 100);
    EXPECT_EQ(lengthOf(guides, true), 0);
    EXPECT_NEAR(lengthOf(guides, false), lengthOf(all, false), 1e-6);
    Printed printed;
    print(printed, guides);
    expectInchSquare(printed);
    EXPECT_NE(tool("pdftotext -layout '" + printed.path + "' -").out.find("left out"), std::string::npos);
}

TEST(TracingPdf, SaysTheSideTheNumbersAndTheFabrics) {
    const auto quilt = narrowboat();
    Printed printed;
    print(printed, must(tracingPages(quilt, quilt.blocks[0], {measure::letter})));
    const auto text = tool("pdftotext -layout '" + printed.path + "' -").out;
    EXPECT_NE(text.find("Paper side: reversed"), std::string::npos);
    EXPECT_NE(text.find("Row 1 of"), std::string::npos);
    EXPECT_NE(text.find("Print at 100 %"), std::string::npos);
    EXPECT_NE(text.find("22"), std::string::npos);
}

TEST(PlacementPdf, SaysThatItIsNotReversed) {
    const auto quilt = narrowboat();
    Printed printed;
    print(printed, must(placementPages(quilt, quilt.blocks[0], {measure::letter})));
    EXPECT_NE(tool("pdftotext '" + printed.path + "' -").out.find("not reversed"), std::string::npos);
}

TEST(Pdf, CarriesItsFonts) {
    const auto quilt = narrowboat();
    Printed printed;
    print(printed, must(placementPages(quilt, quilt.blocks[0], {measure::letter})));
    const auto fonts = tool("pdffonts '" + printed.path + "'").out;
    EXPECT_NE(fonts.find("Hyperlegible"), std::string::npos) << fonts;
    EXPECT_EQ(fonts.find(" no  no"), std::string::npos) << "a font is not embedded:\n" << fonts;
}

TEST(Pdf, OutlinesMeasureTrue) {
    // One square of exactly 3 in, alone on a placement sheet of a 4 in block.
    const auto side = measure::Length::ofInches(4, 1);
    auto quilt = must(edit::addBlock(quilt::emptyQuilt("Q"), "B", side, side));
    auto drawing = test::drawingOf({{"square", test::square(12.7, 12.7, 76.2)}});
    drawing.width = drawing.height = 101.6;
    quilt = must(edit::addDrawing(quilt, quilt.blocks[0].id, drawing, {}, 1));
    Printed printed;
    print(printed, must(placementPages(quilt, quilt.blocks[0], {measure::letter})));
    const auto picture = rendered(printed);
    // A row through the upper part of the square crosses: raw edge, finished edge, square, diagonals, square,
    // …
    const int y = static_cast<int>((10 + 15 + 6.35 + 12.7 + 25) / 25.4 * dpi);
    const auto lines = linesAlong(picture, true, y, 0, picture.width);
    bool found = false;
    for (const double a : lines)
        for (const double b : lines)
            found = found || std::abs(b - a - 76.2) < 0.05;
    EXPECT_TRUE(found);
}

TEST(WritePdf, NeedsAPage) {
    EXPECT_EQ(writePdf({}, "x").error().code, Code::nothingToDo);
}

} // namespace
} // namespace up::output
