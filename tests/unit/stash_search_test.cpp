// SPDX-License-Identifier: GPL-3.0-or-later
// Looking for something at hand: what is typed, what suits it.
#include "core/plan/stash/stash_search.hpp"
#include "words/stash_words.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using measure::Length;
using measure::Size;

std::vector<ColourWord> wordsFor(Colour colour) {
    std::vector<ColourWord> out;
    for (const auto word : every<ColourWord>())
        if (isCalled(colour, word)) out.push_back(word);
    return out;
}

/// Source: CSS Color Module Level 4, the named colours.
TEST(ColourWords, CallNamedColoursWhatTheyAreCalled) {
    struct Named {
        const char* name;
        Colour colour;
        ColourWord word;
    };
    for (const auto& [name, colour, word] :
         std::vector<Named>{{"white", {255, 255, 255}, ColourWord::white},
                            {"gray", {128, 128, 128}, ColourWord::grey},
                            {"black", {0, 0, 0}, ColourWord::black},
                            {"red", {255, 0, 0}, ColourWord::red},
                            {"firebrick", {178, 34, 34}, ColourWord::red},
                            {"orange", {255, 165, 0}, ColourWord::orange},
                            {"yellow", {255, 255, 0}, ColourWord::yellow},
                            {"gold", {255, 215, 0}, ColourWord::yellow},
                            {"green", {0, 128, 0}, ColourWord::green},
                            {"lime", {0, 255, 0}, ColourWord::green},
                            {"olivedrab", {107, 142, 35}, ColourWord::green},
                            {"seagreen", {46, 139, 87}, ColourWord::green},
                            {"turquoise", {64, 224, 208}, ColourWord::turquoise},
                            {"teal", {0, 128, 128}, ColourWord::turquoise},
                            {"blue", {0, 0, 255}, ColourWord::blue},
                            {"navy", {0, 0, 128}, ColourWord::blue},
                            {"skyblue", {135, 206, 235}, ColourWord::blue},
                            {"purple", {128, 0, 128}, ColourWord::purple},
                            {"indigo", {75, 0, 130}, ColourWord::purple},
                            {"pink", {255, 192, 203}, ColourWord::pink},
                            {"hotpink", {255, 105, 180}, ColourWord::pink},
                            {"saddlebrown", {139, 69, 19}, ColourWord::brown},
                            {"sienna", {160, 82, 45}, ColourWord::brown},
                            {"tan", {210, 180, 140}, ColourWord::brown},
                            {"olive", {128, 128, 0}, ColourWord::green},
                            {"beige", {245, 245, 220}, ColourWord::white}}) {
        EXPECT_TRUE(isCalled(colour, word)) << name;
        EXPECT_LE(wordsFor(colour).size(), 2U) << name;
    }
}

TEST(ColourWords, EveryColourHasOne) {
    for (int red = 0; red < 256; red += 15)
        for (int green = 0; green < 256; green += 15)
            for (int blue = 0; blue < 256; blue += 15) {
                const auto channel = [](int v) { return static_cast<std::uint8_t>(v); };
                EXPECT_FALSE(wordsFor({channel(red), channel(green), channel(blue)}).empty())
                    << red << " " << green << " " << blue;
            }
}

TEST(StashSearch, ReadsColoursSizesAndWords) {
    const auto read = [](const char* text) { return words::searchOf(text, measure::System::inches); };
    const auto green = read("green, at least 9 × 2");
    ASSERT_EQ(green.colours.size(), 1U);
    EXPECT_EQ(green.colours[0].second, ColourWord::green);
    ASSERT_TRUE(green.atLeast);
    EXPECT_EQ(green.atLeast->width, Length::ofInches(9, 1));
    EXPECT_EQ(green.atLeast->height, Length::ofInches(2, 1));
    EXPECT_TRUE(green.words.empty());
    const auto scrap = read("Dark slate scrap 2");
    EXPECT_FALSE(scrap.atLeast) << "a number alone is a word";
    EXPECT_EQ(scrap.words, (std::vector<std::string>{"slate", "scrap", "2"}));
    EXPECT_EQ(scrap.light, std::optional(false));
    EXPECT_EQ(read("at least 4").atLeast->height, Length::ofInches(4, 1));
    EXPECT_EQ(read("oak 12cm x 9 cm").atLeast->width, Length::ofMm(120));
    EXPECT_EQ(read("½ x 3in").atLeast->width, Length::ofInches(1, 2));
    EXPECT_TRUE(read("  ").isEmpty());
}

TEST(StashSearch, AllOfItMustBeSo) {
    const AtHand moss{"moss scrap", Colour{60, 100, 60}, shape::rectangle({0, 0, 240, 60})};
    const auto finds = [&](const char* text) {
        return suits(words::searchOf(text, measure::System::inches), moss);
    };
    EXPECT_TRUE(finds("green, at least 9 × 2"));
    EXPECT_TRUE(finds("2 × 9 in")) << "turned";
    EXPECT_TRUE(finds("MOSS"));
    EXPECT_TRUE(finds("dark green scrap"));
    EXPECT_FALSE(finds("light green"));
    EXPECT_FALSE(finds("green, at least 9 × 3"));
    EXPECT_FALSE(finds("red"));
    EXPECT_FALSE(finds("washed"));
    EXPECT_TRUE(
        suits(words::searchOf("red", measure::System::inches), {"old red barn", Colour{60, 100, 60}, {}}))
        << "it is called so";
}

TEST(StashSearch, ARectangleFitsTurnedAnyWay) {
    const auto size = [](double w, double h) { return Size{Length::ofMm(w), Length::ofMm(h)}; };
    const auto corner =
        shape::subtract(shape::rectangle({0, 0, 100, 100}), shape::rectangle({40, 40, 100, 100}));
    EXPECT_TRUE(holds(corner, size(100, 39)));
    EXPECT_TRUE(holds(corner, size(39, 100)));
    EXPECT_FALSE(holds(corner, size(100, 42)));
    EXPECT_FALSE(holds(corner, size(60, 60)));
    EXPECT_FALSE(holds({}, size(1, 1)));
    const shape::Region kite = shape::regionOf(shape::Rings{{{0, -70}, {70, 0}, {0, 70}, {-70, 0}}});
    EXPECT_TRUE(holds(kite, size(97, 97))) << "a square that stands on its corner, 99 mm wide";
    EXPECT_FALSE(holds(kite, size(101, 99)));
}

} // namespace
} // namespace up::plan
