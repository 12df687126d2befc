// SPDX-License-Identifier: GPL-3.0-or-later
// A fabric's colour and picture out of a photograph.
#include "core/base/lab.hpp"
#include "intake/scan/swatch.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::intake {
namespace {

using test::must;

/// A picture as plain text: PPM, of the Netpbm project; `colour(x, y)`.
template<class ColourAt> std::string picture(int width, int height, ColourAt colour) {
    std::string out = "P6\n" + std::to_string(width) + " " + std::to_string(height) + "\n255\n";
    for (int y = 0; y < height; ++y)
        for (int x = 0; x < width; ++x) {
            const Colour dot = colour(x, y);
            out.push_back(static_cast<char>(dot.red));
            out.push_back(static_cast<char>(dot.green));
            out.push_back(static_cast<char>(dot.blue));
        }
    return out;
}

bool isIn(int x, int y, int left, int top, int right, int bottom) {
    return x >= left && y >= top && x < right && y < bottom;
}

constexpr Colour paper{250, 249, 244}, moss{60, 100, 60}, rose{200, 80, 110};

TEST(Swatch, LeavesThePaperRoundItOut) {
    const auto read = must(readSwatch(
        picture(300, 200, [](int x, int y) { return isIn(x, y, 60, 40, 220, 150) ? moss : paper; }), "p"));
    EXPECT_TRUE(read.paper);
    EXPECT_EQ(read.colour, moss);
    const auto again = must(readSwatch(read.png, "its picture"));
    EXPECT_FALSE(again.paper) << "no paper is in it";
    EXPECT_EQ(again.colour, moss);
}

TEST(Swatch, APhotographFilledByTheClothIsAllOfIt) {
    const auto read = must(readSwatch(picture(200, 200, [](int, int) { return rose; }), "p"));
    EXPECT_FALSE(read.paper);
    EXPECT_EQ(read.colour, rose);
}

TEST(Swatch, WhiteClothIsWhite) {
    const auto read = must(readSwatch(picture(200, 200, [](int, int) { return paper; }), "p"));
    EXPECT_FALSE(read.paper);
    EXPECT_EQ(read.colour, paper);
}

TEST(Swatch, TheColourIsTheMeanAsTheEyeSeesIt) {
    const auto read = must(
        readSwatch(picture(256, 256,
                           [](int x, int y) {
                               return (x / 32 + y / 32) % 2 == 0 ? Colour{0, 0, 0} : Colour{255, 255, 255};
                           }),
                   "p"));
    // Half black, half white: L* 50, which is sRGB 119. Source: CIE 15 and IEC 61966-2-1, by hand.
    EXPECT_NEAR(read.colour.red, 119, 1);
    EXPECT_NEAR(labOf(read.colour).lightness, 50, 0.5);
}

TEST(Swatch, LabAndBackIsTheSameColour) {
    for (int red = 0; red < 256; red += 51)
        for (int green = 0; green < 256; green += 51)
            for (int blue = 0; blue < 256; blue += 51) {
                const auto channel = [](int v) { return static_cast<std::uint8_t>(v); };
                const Colour colour{channel(red), channel(green), channel(blue)};
                EXPECT_EQ(colourOf(lightOfLab(labOf(colour))), colour);
            }
}

TEST(Swatch, WhatIsNoPictureIsSaid) {
    EXPECT_EQ(readSwatch("no picture at all", "p").error().code, Code::notPicture);
    EXPECT_EQ(readSwatch("", "p").error().code, Code::notPicture);
}

} // namespace
} // namespace up::intake
