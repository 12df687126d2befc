// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/colour.hpp"
#include "core/base/job.hpp"
#include "core/base/random.hpp"
#include "core/base/shared.hpp"
#include "core/base/text.hpp"

#include <clocale>
#include <gtest/gtest.h>

namespace up {
namespace {

TEST(PlainNumber, DropsZerosBehindThePoint) {
    EXPECT_EQ(plainNumber(3.1000, 4), "3.1");
    EXPECT_EQ(plainNumber(3.0, 4), "3");
    EXPECT_EQ(plainNumber(-0.00001, 3), "0");
    EXPECT_EQ(plainNumber(100, 0), "100");
}

TEST(PlainNumber, MakesNoNumberOfWhatIsNone) {
    EXPECT_EQ(plainNumber(std::numeric_limits<double>::quiet_NaN(), 3), "0");
    EXPECT_EQ(plainNumber(std::numeric_limits<double>::infinity(), 3), "0");
}

TEST(NumberIn, TakesTheWholeTextOrNothing) {
    EXPECT_EQ(numberIn("3.5"), 3.5);
    EXPECT_EQ(numberIn("+2"), 2.0);
    EXPECT_EQ(numberIn(".5"), 0.5);
    EXPECT_EQ(numberIn("1e3"), 1000.0);
    EXPECT_FALSE(numberIn("3.5x"));
    EXPECT_FALSE(numberIn(""));
    EXPECT_FALSE(numberIn("1e999"));
    EXPECT_FALSE(numberIn("nan"));
}

TEST(NumberIn, DoesNotAskTheLocale) {
    if (!std::setlocale(LC_NUMERIC, "de_DE.UTF-8")) std::setlocale(LC_NUMERIC, "");
    EXPECT_EQ(numberIn("3.5"), 3.5);
    EXPECT_EQ(plainNumber(3.5, 2), "3.5");
    std::setlocale(LC_NUMERIC, "C");
}

TEST(Trimmed, TakesBlanksOffBothEnds) {
    EXPECT_EQ(trimmed("  a b\t\n"), "a b");
    EXPECT_EQ(trimmed(" \t"), "");
}

TEST(ColourFromHex, ReadsWhatHexWrites) {
    Random random(7);
    for (int i = 0; i < 200; ++i) {
        const auto byte = [&] { return static_cast<std::uint8_t>(random.below(256)); };
        const Colour colour{byte(), byte(), byte()};
        EXPECT_EQ(colourFromHex(hex(colour)), colour);
    }
    EXPECT_EQ(colourFromHex("#abc"), (Colour{0xaa, 0xbb, 0xcc}));
    EXPECT_FALSE(colourFromHex("abc"));
    EXPECT_FALSE(colourFromHex("#abcg00"));
    EXPECT_FALSE(colourFromHex("#abcd"));
}

// Source: WCAG 2.1, definition of relative luminance; white is 1, black 0, and sRGB (119,119,119) about
// 0.1845.
TEST(Luminance, AgreesWithTheStandardsExamples) {
    EXPECT_DOUBLE_EQ(luminance({0, 0, 0}), 0.0);
    EXPECT_NEAR(luminance({255, 255, 255}), 1.0, 1e-9);
    EXPECT_NEAR(luminance({119, 119, 119}), 0.1845, 0.0005);
}

TEST(NameFor, CallsPlainColoursByTheirNames) {
    EXPECT_EQ(nameFor({0, 0, 0}), nameFor({8, 8, 8}));
    EXPECT_NE(nameFor({255, 255, 255}), nameFor({0, 0, 0}));
    EXPECT_FALSE(nameFor({12, 200, 90}).empty());
}

// Source: the reference implementation's first outputs for seed 1234567 (Steele, Lea & Flood 2014; from
// memory).
TEST(Random, GivesThePublishedSequence) {
    Random random(1234567);
    EXPECT_EQ(random.next(), 6457827717110365317ULL);
    EXPECT_EQ(random.next(), 3203168211198807973ULL);
}

TEST(Random, ShufflesWithoutLosingAnything) {
    Random random(3);
    std::vector<int> items{1, 2, 3, 4, 5, 6, 7, 8};
    random.shuffle(items);
    EXPECT_NE(items, (std::vector{1, 2, 3, 4, 5, 6, 7, 8}));
    std::sort(items.begin(), items.end());
    EXPECT_EQ(items, (std::vector{1, 2, 3, 4, 5, 6, 7, 8}));
}

TEST(Shared, ComparesByValueAndKnowsItsCopies) {
    const Shared<std::string> a(std::string("hull")), b = a, c(std::string("hull")), d(std::string("roof"));
    EXPECT_TRUE(a.same(b));
    EXPECT_FALSE(a.same(c));
    EXPECT_EQ(a, c);
    EXPECT_FALSE(a == d);
}

TEST(Job, RemembersThatItWasStopped) {
    Job job;
    EXPECT_FALSE(job.stopped());
    job.progress(0.25);
    job.stop();
    EXPECT_TRUE(job.stopped());
    EXPECT_EQ(job.progress(), 0.25);
}

TEST(AsUtf8, KeepsWhatIsValidAndTakesTheRestForLatin1) {
    EXPECT_EQ(asUtf8("reed — ¾ 🦆"), "reed — ¾ 🦆");
    EXPECT_EQ(asUtf8("Schl\xFCssel"), "Schlüssel");
    EXPECT_EQ(asUtf8("cut off \xE2\x82"), "cut off â\u0082");
    EXPECT_EQ(asUtf8("tab\tand\nline"), "tab and line");
    // Not UTF-8 by RFC 3629: too long, surrogates, beyond the last character.
    for (const char* wrong :
         {"\xC0\xAF", "\xE0\x80\xAF", "\xED\xA0\x80", "\xF4\x90\x80\x80", "\xF8\x88\x80\x80\x80"})
        EXPECT_EQ(asUtf8(wrong).size(), 2 * std::string(wrong).size());
}

} // namespace
} // namespace up
