// SPDX-License-Identifier: GPL-3.0-or-later
// Files that end too early, letters in the wrong encoding, outlines and holes of which nothing is left.
#include "core/base/text.hpp"
#include "core/store/exchange.hpp"
#include "intake/any/any.hpp"
#include "intake/scan/picture.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <cairo.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace up::intake {
namespace {

using quilt::Remark;

bool remarked(const quilt::Drawing& drawing, Remark what) {
    return std::any_of(drawing.warnings.begin(), drawing.warnings.end(),
                       [&](const auto& w) { return w.remark == what; });
}
std::string page(const std::string& body, const std::string& head = "") {
    return head +
           "<svg xmlns='http://www.w3.org/2000/svg' width='10in' height='10in' viewBox='0 0 1000 1000'>" +
           body + "</svg>";
}

/// A page of 6 × 6 in at 100 dots to the inch, a square drawn in each half.
std::string scannedPage() {
    auto* surface = cairo_image_surface_create(CAIRO_FORMAT_RGB24, 600, 600);
    auto* c = cairo_create(surface);
    cairo_set_source_rgb(c, 1, 1, 1);
    cairo_paint(c);
    cairo_set_source_rgb(c, 0.2, 0.2, 0.2);
    cairo_set_line_width(c, 3);
    for (const double y : {60.0, 380.0}) {
        cairo_rectangle(c, 180, y, 160, 150);
        cairo_stroke(c);
    }
    cairo_destroy(c);
    std::string out;
    const auto append = [](void* to, const unsigned char* data, unsigned length) {
        static_cast<std::string*>(to)->append(reinterpret_cast<const char*>(data), length);
        return CAIRO_STATUS_SUCCESS;
    };
    cairo_surface_write_to_png_stream(surface, append, &out);
    cairo_surface_destroy(surface);
    return out;
}

TEST(CutShort, AScanIsReadAsFarAsItGoes) {
    const auto whole = scannedPage();
    const auto complete = test::must(readDrawing(whole, "page.png", {1, 100, {}}));
    ASSERT_EQ(complete.shapes.size(), 2U);
    EXPECT_FALSE(remarked(complete, Remark::cutShort));
    const auto half =
        test::must(readDrawing(whole.substr(0, whole.size() * 6 / 10), "page.png", {1, 100, {}}));
    ASSERT_EQ(half.shapes.size(), 1U);
    EXPECT_TRUE(remarked(half, Remark::cutShort));
    EXPECT_NEAR(boundsOf(half.shapes[0].outline).width(), 40.6, 1);
    EXPECT_FALSE(readDrawing(whole.substr(0, 60), "page.png", {1, 100, {}})) << "nothing of a page is left";
}

TEST(CutShort, WhatIsMissingOfAJpegIsWhite) {
    const auto whole = test::readAll(test::share("demo/scanned-page.jpg"));
    const auto complete = test::must(decodePicture(whole, "page.jpg"));
    EXPECT_FALSE(complete.cutShort);
    const auto half = test::must(decodePicture(whole.substr(0, whole.size() / 2), "page.jpg"));
    EXPECT_TRUE(half.cutShort);
    ASSERT_EQ(half.height, complete.height);
    for (int x = 0; x < half.width; x += 50) {
        EXPECT_EQ(half.at(x, half.height - 1), 255) << "not the grey that the library fills in";
        EXPECT_EQ(half.at(x, half.height / 4), complete.at(x, half.height / 4));
    }
}

TEST(CutShort, AnSvgIsReadUpToItsLastWholeShape) {
    const auto whole =
        page("<rect id='hull' width='500' height='100'/><rect id='cabin' y='200' width='90' height='50'/>");
    for (auto length = whole.find("<rect id='cabin'"); length < whole.size(); ++length) {
        const auto cut = readDrawing(whole.substr(0, length), "cut.svg", {});
        ASSERT_TRUE(cut) << length;
        EXPECT_TRUE(remarked(*cut, Remark::cutShort)) << length;
        EXPECT_EQ(cut->shapes.at(0).name, "hull");
    }
    const auto none = readDrawing(whole.substr(0, whole.find("hull")), "cut.svg", {});
    ASSERT_FALSE(none);
    EXPECT_EQ(none.error().code, Code::notSvg);
    EXPECT_FALSE(readDrawing(page("<rect width='5' height='9'></g>"), "bad.svg", {}))
        << "bad in the middle stays bad";
}

// é is E9 in ISO 8859-1 and C3 A9 in UTF-8.
TEST(WrongLetters, AreTakenForWhatTheyAreAndTold) {
    const std::string latin = "h\xE9ron", utf8 = "h\xC3\xA9ron";
    const auto shape = [](const std::string& name) {
        return "<rect id='" + name + "' width='500' height='100'/>";
    };
    const auto read = [&](const std::string& text) { return test::must(readDrawing(text, "x.svg", {})); };
    const std::string saysLatin = "<?xml version='1.0' encoding='ISO-8859-1'?>\n",
                      saysUtf8 = "<?xml version='1.0' encoding='UTF-8'?>\n";
    for (const auto& [text, told] :
         {std::pair{page(shape(utf8), saysUtf8), false}, std::pair{page(shape(latin), saysLatin), false},
          std::pair{page(shape(latin), saysUtf8), true}, std::pair{page(shape(utf8), saysLatin), true}}) {
        const auto drawing = read(text);
        EXPECT_EQ(drawing.shapes.at(0).name, utf8);
        EXPECT_EQ(remarked(drawing, Remark::wrongLetters), told);
    }
    auto zeros = page(shape("hull") + shape("cabin"));
    zeros[zeros.find("cabin")] = '\0';
    EXPECT_EQ(read(zeros).shapes.size(), 2U);
}

TEST(WrongLetters, WideOnesWithoutTheirMarkAreReadToo) {
    std::string wide;
    for (const char c : page("<rect width='500' height='100'/>"))
        wide += {c, '\0'};
    EXPECT_EQ(test::must(readDrawing(wide, "wide.svg", {})).shapes.size(), 1U);
}

TEST(Utf8, IsToldFromOtherBytes) {
    EXPECT_TRUE(isUtf8("plain\n"));
    EXPECT_TRUE(isUtf8("h\xC3\xA9ron"));
    EXPECT_FALSE(isUtf8("h\xE9ron"));
    EXPECT_FALSE(isUtf8("cut \xE2\x82"));
    EXPECT_EQ(latinWhereNotUtf8("a\n\xE9"), "a\n\xC3\xA9") << "line ends stay";
}

TEST(FlatHoles, AreLeftOutAndCounted) {
    const auto drawing =
        test::must(readDrawing(page("<path fill-rule='evenodd' d='M100 100H500V500H100Z M200 "
                                    "200h0.05v0.05h-0.05z M300 300H310V310H300Z M350 350h0.1l-0.1 0.001z'/>"),
                               "holes.svg", {}));
    ASSERT_EQ(drawing.shapes.size(), 1U);
    EXPECT_EQ(drawing.shapes[0].outline.holes.size(), 1U);
    EXPECT_TRUE(remarked(drawing, Remark::tooSmallLeftOut));
}

TEST(FlatHoles, NoRingOfAPiecesFileHasFewerThanThreePoints) {
    // A hole that is seen on its page, but lost when it is flattened to 0.05 mm.
    auto drawing = test::must(readDrawing(page("<rect width='500' height='500'/>"), "x.svg", {}));
    drawing.shapes[0].outline.holes.push_back(test::circle({50, 50}, 0.045));
    const auto pieces = nlohmann::json::parse(store::writePieces(drawing, {})).at("pieces");
    ASSERT_EQ(pieces.at(0).at("holes").size(), 1U);
    EXPECT_GE(pieces.at(0).at("holes").at(0).size(), 3U);
}

} // namespace
} // namespace up::intake
