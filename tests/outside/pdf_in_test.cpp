// SPDX-License-Identifier: GPL-3.0-or-later
// PDF pages read back: sizes and areas of pages written by cairo and by hand.
#include "core/shape/region.hpp"
#include "intake/any/any.hpp"
#include "intake/pdf/pdf.hpp"
#include "intake/tool/tool.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <cairo-pdf.h>
#include <gtest/gtest.h>
#include <numbers>

namespace up::intake {
namespace {

/// A PDF of one-stream pages. Source: ISO 32000-1, 7.5, for the file's structure.
std::string pdfOf(const std::vector<std::pair<std::string, std::string>>& pages) {
    std::vector<std::string> objects{"<< /Type /Catalog /Pages 2 0 R >>", ""};
    std::string kids;
    for (const auto& [attributes, content] : pages) {
        const auto number = objects.size() + 1;
        kids += std::to_string(number) + " 0 R ";
        objects.push_back("<< /Type /Page /Parent 2 0 R " + attributes +
                          " /Resources << /Font << /F << /Type /Font "
                          "/Subtype /Type1 /BaseFont /Helvetica >> >> >> /Contents " +
                          std::to_string(number + 1) + " 0 R >>");
        objects.push_back("<< /Length " + std::to_string(content.size()) + " >>\nstream\n" + content +
                          "\nendstream");
    }
    objects[1] = "<< /Type /Pages /Count " + std::to_string(pages.size()) + " /Kids [" + kids + "] >>";
    std::string out = "%PDF-1.4\n", table;
    for (std::size_t i = 0; i < objects.size(); ++i) {
        char row[24];
        std::snprintf(row, sizeof row, "%010zu 00000 n \n", out.size());
        table += row;
        out += std::to_string(i + 1) + " 0 obj\n" + objects[i] + "\nendobj\n";
    }
    return out + "xref\n0 " + std::to_string(objects.size() + 1) + "\n0000000000 65535 f \n" + table +
           "trailer << /Size " + std::to_string(objects.size() + 1) + " /Root 1 0 R >>\nstartxref\n" +
           std::to_string(out.size()) + "\n%%EOF\n";
}

class PdfIn : public testing::Test {
protected:
    Result<quilt::Drawing> read(const std::string& bytes, int page = 1) {
        const auto path = m_dir.file("pattern.pdf");
        test::writeAll(path, bytes);
        return readDrawing(bytes, path, {page, 0, {}});
    }
    test::TempDir m_dir;
};

const std::string letter = "/MediaBox [0 0 612 792]";
double area(const quilt::DrawnShape& drawn) {
    return shape::regionOf(drawn.outline, 0.005).area();
}
shape::Box box(const quilt::DrawnShape& drawn) {
    return boundsOf(drawn.outline);
}

// 72 points are an inch: ISO 32000-1, 8.3.2.3. Letter 8.5 × 11 in (ANSI/ASME Y14.1), A4 210 × 297 mm (ISO
// 216).
TEST_F(PdfIn, PagesHaveTheirTrueSize) {
    const auto drawing =
        test::must(read(pdfOf({{letter, "1 0 0 rg 72 72 216 144 re f"},
                               {"/MediaBox [0 0 595.276 841.89]", "0 0 1 rg 0 0 72 72 re f"}})));
    EXPECT_NEAR(drawing.width, 8.5 * 25.4, 0.01);
    EXPECT_NEAR(drawing.height, 11 * 25.4, 0.01);
    ASSERT_EQ(drawing.shapes.size(), 1U);
    EXPECT_NEAR(box(drawing.shapes[0]).width(), 3 * 25.4, 0.01);
    EXPECT_NEAR(box(drawing.shapes[0]).left, 25.4, 0.01);
    EXPECT_NEAR(box(drawing.shapes[0]).bottom, 10 * 25.4, 0.01) << "y points down on our pages";
    EXPECT_EQ(drawing.shapes[0].fill, (Colour{255, 0, 0}));
    const auto second = test::must(
        read(pdfOf({{letter, ""}, {"/MediaBox [0 0 595.276 841.89]", "0 0 1 rg 0 0 72 72 re f"}}), 2));
    EXPECT_NEAR(second.width, 210, 0.01);
    EXPECT_NEAR(second.height, 297, 0.01);
    EXPECT_NEAR(area(second.shapes.at(0)), 25.4 * 25.4, 2) << "poppler cuts off 0.06 mm at the page's edge";
}

struct PageBox {
    const char* attributes;
    double width, height, left, top; ///< points, of the page as it is seen, and of a box at 100, 200 on it
};

// A4 is 595.276 × 841.89 points, a crop box is what is seen of a page, turned pages turn clockwise: ISO 216
// and ISO 32000-1, 7.7.3.3 and 14.11.2.
TEST_F(PdfIn, PagesOfAnySizeTurnedAndCroppedLieTrueToAHundredthOfAMillimetre) {
    constexpr double mm = 25.4 / 72;
    for (const PageBox& page :
         {PageBox{"/MediaBox [0 0 595.276 841.89]", 595.276, 841.89, 100, 841.89 - 230},
          PageBox{"/MediaBox [0 0 612 792]", 612, 792, 100, 792 - 230},
          PageBox{"/MediaBox [0 0 433.3 517.77]", 433.3, 517.77, 100, 517.77 - 230},
          PageBox{"/MediaBox [10 20 605.276 861.89]", 595.276, 841.89, 90, 861.89 - 230},
          PageBox{"/MediaBox [0 0 595.276 841.89] /Rotate 90", 841.89, 595.276, 200, 100},
          PageBox{"/MediaBox [0 0 595.276 841.89] /Rotate 180", 595.276, 841.89, 595.276 - 150, 200},
          PageBox{"/MediaBox [0 0 595.276 841.89] /CropBox [50.5 100.25 400.3 700.7]", 349.8, 600.45, 49.5,
                  700.7 - 230},
          PageBox{"/MediaBox [0 0 595.276 841.89] /CropBox [50.5 100.25 400.3 700.7] /Rotate 90", 600.45,
                  349.8, 99.75, 49.5}}) {
        const auto drawing = test::must(read(pdfOf(
            {{page.attributes, "1 0 0 rg 100 200 50 30 re f 0 g BT /F 8 Tf 105 210 Td (beak) Tj ET"}})));
        EXPECT_NEAR(drawing.width, page.width * mm, 0.01) << page.attributes;
        EXPECT_NEAR(drawing.height, page.height * mm, 0.01) << page.attributes;
        ASSERT_EQ(drawing.shapes.size(), 1U) << page.attributes;
        EXPECT_NEAR(box(drawing.shapes[0]).left, page.left * mm, 0.01) << page.attributes;
        EXPECT_NEAR(box(drawing.shapes[0]).top, page.top * mm, 0.01) << page.attributes;
        EXPECT_NEAR(area(drawing.shapes[0]), 50 * 30 * mm * mm, 0.1) << page.attributes;
        EXPECT_EQ(drawing.shapes[0].name, "beak") << page.attributes;
    }
}

TEST_F(PdfIn, TurnedPagesAreReadAsTheyAreSeen) {
    const auto drawing = test::must(read(pdfOf({{letter + " /Rotate 90", "0 0 72 36 re f"}})));
    EXPECT_NEAR(drawing.width, 11 * 25.4, 0.01);
    EXPECT_NEAR(box(drawing.shapes.at(0)).width(), 12.7, 0.01);
    EXPECT_NEAR(box(drawing.shapes.at(0)).left, 0, 0.01) << "its lower left corner is now above left";
    EXPECT_NEAR(box(drawing.shapes.at(0)).top, 0, 0.01);
}

TEST_F(PdfIn, ThePenOfAFilledShapeAndAWhitePageAreNoPieces) {
    const auto drawing = test::must(read(pdfOf({{letter, "1 1 1 rg 0 0 612 792 re f 1 0 0 rg 0 0 0 RG 2 w "
                                                         "100 100 200 200 re B 400 400 100 100 re S"}})));
    ASSERT_EQ(drawing.shapes.size(), 2U);
    EXPECT_EQ(drawing.shapes[0].origin, quilt::Origin::fill);
    EXPECT_EQ(drawing.shapes[1].origin, quilt::Origin::outline);
}

TEST_F(PdfIn, WordsInAShapeAreItsNameAndLargeLettersAreShapes) {
    const auto drawing = test::must(read(
        pdfOf({{letter, "0.9 0.9 0.5 rg 100 100 200 200 re f 0 g BT /F 14 Tf 150 200 Td (near wing) Tj ET "
                        "BT /F 144 Tf 100 400 Td (W) Tj ET"}})));
    ASSERT_EQ(drawing.shapes.size(), 2U);
    EXPECT_EQ(drawing.shapes[0].name, "near wing");
    EXPECT_GT(box(drawing.shapes[1]).height(), 30) << "a W two inches high";
}

TEST_F(PdfIn, PagesThatAreNotThereAndPagesWithOnlyAPicture) {
    EXPECT_EQ(read(pdfOf({{letter, "0 0 9 9 re f"}}), 2).error().code, Code::noSuchPage);
    const std::string picture = "q 200 0 0 200 100 100 cm BI /W 2 /H 2 /CS /G /BPC 8 ID abcd EI Q";
    test::writeAll(m_dir.file("pattern.pdf"), pdfOf({{letter, picture}}));
    EXPECT_EQ(readPdf(m_dir.file("pattern.pdf"), 1).error().code, Code::onlyPicture);
    EXPECT_EQ(read(pdfOf({{letter, "0 0 m 100 100 l S"}})).error().code, Code::emptyDrawing);
}

TEST_F(PdfIn, CutOffAnywhereItIsReadOrRefusedWithASentence) {
    const auto whole = pdfOf({{letter, "1 0 0 rg 72 72 216 144 re f"}});
    for (const double share : {0.05, 0.3, 0.6, 0.8, 0.97}) {
        const auto answer =
            read(whole.substr(0, static_cast<std::size_t>(static_cast<double>(whole.size()) * share)));
        if (answer) continue;
        EXPECT_TRUE(answer.error().code == Code::notPdf || answer.error().code == Code::emptyDrawing ||
                    answer.error().code == Code::unknownDrawing)
            << share << " " << static_cast<int>(answer.error().code);
    }
}

TEST_F(PdfIn, CurvesWrittenByCairoKeepTheirArea) {
    const auto path = m_dir.file("disc.pdf");
    auto* surface = cairo_pdf_surface_create(path.c_str(), 612, 792);
    auto* on = cairo_create(surface);
    cairo_arc(on, 300, 400, 144, 0, 2 * std::numbers::pi);
    cairo_set_source_rgb(on, 0, 0.5, 0);
    cairo_fill(on);
    cairo_destroy(on);
    cairo_surface_destroy(surface);
    const auto drawing = test::must(readPdf(path, 1));
    ASSERT_EQ(drawing.shapes.size(), 1U);
    EXPECT_NEAR(area(drawing.shapes[0]), std::numbers::pi * 50.8 * 50.8, 8)
        << "two inches across, within 0.1 %";
    EXPECT_LE(drawing.shapes[0].outline.edge.curves.size(), 8U);
}

TEST(RunTool, StopsWhatTakesTooLongAndSaysWhatIsMissing) {
    EXPECT_EQ(runTool({"sh", "-c", "while :; do :; done"}, {1, 100}).end, ToolAnswer::End::stopped);
    EXPECT_EQ(runTool({"no-such-program-anywhere"}).end, ToolAnswer::End::missing);
    const auto said = runTool({"sh", "-c", "echo out; echo first >&2; echo second >&2; exit 3"});
    EXPECT_EQ(said.end, ToolAnswer::End::failed);
    EXPECT_EQ(said.out, "out\n");
    EXPECT_EQ(said.err, "first");
    EXPECT_EQ(runTool({"printf", "%s", "a b; rm $x"}).out, "a b; rm $x") << "nothing is interpreted";
}

TEST(KindOf, IsToldByTheContent) {
    EXPECT_EQ(kindOf("<?xml version='1.0'?><svg/>"), DrawingKind::svg);
    EXPECT_EQ(kindOf("\xEF\xBB\xBF  <svg/>"), DrawingKind::svg);
    EXPECT_EQ(kindOf("junk\n%PDF-1.7"), DrawingKind::pdf);
    EXPECT_EQ(kindOf("  0\r\nSECTION\r\n"), DrawingKind::dxf);
    EXPECT_EQ(kindOf("\x89PNG\r\n\x1a\n"), DrawingKind::picture);
    EXPECT_EQ(kindOf("Dear quilter,"), DrawingKind::other);
    EXPECT_EQ(kindOf(""), DrawingKind::other);
}

} // namespace
} // namespace up::intake
