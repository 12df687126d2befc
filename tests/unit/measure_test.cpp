// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/random.hpp"
#include "core/measure/paper.hpp"
#include "core/measure/say.hpp"

#include <gtest/gtest.h>

namespace up::measure {
namespace {

// Source: international yard and pound agreement, 1959.
TEST(Length, AnInchIsExactly25Point4Millimetres) {
    EXPECT_EQ(Length::ofInches(1, 1), Length::ofMm(25.4));
    EXPECT_EQ(Length::ofInches(1, 1).nanometres(), 25'400'000);
}

TEST(Length, SixtyFourthsAreExact) {
    Length sum;
    for (int i = 0; i < 64; ++i)
        sum = sum + Length::ofInches(1, 64);
    EXPECT_EQ(sum, Length::ofInches(1, 1));
}

// Source: ANSI/ASME Y14.1 size A, and ISO 216 A4.
TEST(Paper, HasTheSizesOfTheStandards) {
    EXPECT_EQ(letter.width, Length::ofMm(215.9));
    EXPECT_EQ(letter.height, Length::ofMm(279.4));
    EXPECT_EQ(a4.width, Length::ofMm(210));
    EXPECT_EQ(a4.height, Length::ofMm(297));
}

struct Spelling {
    const char* text;
    std::int64_t numerator, denominator;
};

class ReadLength : public testing::TestWithParam<Spelling> {};

TEST_P(ReadLength, UnderstandsHowQuiltersWriteInches) {
    const auto& [text, numerator, denominator] = GetParam();
    const auto length = readLength(text);
    ASSERT_TRUE(length) << text;
    EXPECT_EQ(*length, Length::ofInches(numerator, denominator)) << text;
}

INSTANTIATE_TEST_SUITE_P(Spellings, ReadLength,
                         testing::Values(Spelling{"3 1/8", 25, 8}, Spelling{"3-1/8", 25, 8},
                                         Spelling{"3.125", 25, 8}, Spelling{"3⅛", 25, 8},
                                         Spelling{"3 ⅛ in", 25, 8}, Spelling{"½", 1, 2},
                                         Spelling{"9 1/2in", 19, 2}, Spelling{"9½\"", 19, 2},
                                         Spelling{" 12 ", 12, 1}, Spelling{"1/64", 1, 64},
                                         Spelling{"0", 0, 1}, Spelling{"-1/4", -1, 4},
                                         Spelling{"2,5 in", 5, 2}, Spelling{"6 inches", 6, 1}));

TEST(ReadMetric, UnderstandsCentimetresAndMillimetres) {
    EXPECT_EQ(readLength("8cm").value(), Length::ofMm(80));
    EXPECT_EQ(readLength("228.6 mm").value(), Length::ofMm(228.6));
    EXPECT_EQ(readLength("0,5 m").value(), Length::ofMm(500));
    EXPECT_EQ(readLength("8", System::metric).value(), Length::ofMm(80));
    EXPECT_EQ(readLength("8in", System::metric).value(), Length::ofInches(8, 1));
}

class NoLength : public testing::TestWithParam<const char*> {};

TEST_P(NoLength, IsRefusedWithItsOwnWords) {
    const auto length = readLength(GetParam());
    ASSERT_FALSE(length) << GetParam();
    EXPECT_EQ(length.error().code, Code::badLength);
    EXPECT_EQ(length.error().args.front(), GetParam());
}

INSTANTIATE_TEST_SUITE_P(Texts, NoLength,
                         testing::Values("", "abc", "3 1/0", "3/", "/8", "1 2", "3 1/8 ft", "1e400",
                                         "99999999", "3..5", "in", "1/2/3"));

TEST(SayInches, NamesTheFraction) {
    EXPECT_EQ(sayInches(Length::ofInches(25, 8)), "3 1/8 in");
    EXPECT_EQ(sayInches(Length::ofInches(9, 1)), "9 in");
    EXPECT_EQ(sayInches(Length::ofInches(1, 2)), "1/2 in");
    EXPECT_EQ(sayInches(Length()), "0 in");
}

TEST(SayInches, IsScantOrGenerousWhenTheTruthIsOff) {
    EXPECT_EQ(sayInches(Length::ofInches(25, 8) + Length::ofInches(1, 64)), "generous 3 1/8 in");
    EXPECT_EQ(sayInches(Length::ofInches(25, 8) - Length::ofInches(1, 64)), "scant 3 1/8 in");
    EXPECT_EQ(sayInches(Length::ofInches(25, 8) + Length::ofInches(1, 128)), "3 1/8 in");
}

TEST(SayInches, ReadsBackWithinHalfASixteenth) {
    Random random(11);
    for (int i = 0; i < 500; ++i) {
        const auto length = Length::ofMm(random.between(0, 2000));
        const auto again = readLength(fraction(length));
        ASSERT_TRUE(again);
        EXPECT_LE(std::abs((*again - length).nanometres()), nanometresPerInch / 32);
    }
}

TEST(SayMetric, ChangesToCentimetresAtTen) {
    EXPECT_EQ(sayMetric(Length::ofMm(79.375)), "79.4 mm");
    EXPECT_EQ(sayMetric(Length::ofMm(228.6)), "22.9 cm");
}

TEST(ReadSize, TakesOneSideForASquare) {
    const auto size = readSize("9 1/2");
    ASSERT_TRUE(size);
    EXPECT_EQ(size->width, Length::ofInches(19, 2));
    EXPECT_EQ(size->height, size->width);
}

TEST(ReadSize, TakesTwoSidesWithOneUnit) {
    for (const char* text : {"9x12", "9 x 12 in", "9 × 12in", "9in*12in", "9\" x 12\""}) {
        const auto size = readSize(text);
        ASSERT_TRUE(size) << text;
        EXPECT_EQ(size->width, Length::ofInches(9, 1)) << text;
        EXPECT_EQ(size->height, Length::ofInches(12, 1)) << text;
    }
    const auto metric = readSize("20 x 30 cm");
    ASSERT_TRUE(metric);
    EXPECT_EQ(metric->width, Length::ofMm(200));
}

TEST(ReadSize, RefusesHalfASize) {
    for (const char* text : {"9x", "x9", "", "9 by 12"})
        EXPECT_FALSE(readSize(text)) << text;
}

TEST(SaySize, ReadsBackAsTheSameSize) {
    const auto width = Length::ofInches(25, 8), height = Length::ofInches(12, 1);
    const auto again = readSize(saySize(width, height, System::inches));
    ASSERT_TRUE(again);
    EXPECT_EQ(again->width, width);
    EXPECT_EQ(again->height, height);
}

TEST(RoundedUp, NeverGivesLess) {
    EXPECT_EQ(roundedUp(Length::ofInches(1, 4), 4), Length::ofInches(1, 4));
    EXPECT_EQ(roundedUp(Length::ofInches(1, 4) + Length::ofNanometres(1), 4), Length::ofInches(1, 2));
}

// Common practice, no source: strips of 6, 6 and 5 in sewn end to end lose 1/4 in on both sides of two seams.
TEST(StripArithmetic, SixSixAndFiveMakeSixteen) {
    const auto seams = Length::ofInches(1, 4) * 2 * 2;
    const auto sewn = Length::ofInches(6, 1) + Length::ofInches(6, 1) + Length::ofInches(5, 1) - seams;
    EXPECT_EQ(sewn, Length::ofInches(16, 1));
    EXPECT_EQ(sayInches(sewn), "16 in");
}

} // namespace
} // namespace up::measure
