// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/lab.hpp"

#include <array>
#include <gtest/gtest.h>

namespace up {
namespace {

struct Pair {
    Lab one, other;
    double apart;
};

/// Source: Sharma, Wu & Dalal, "The CIEDE2000 Color-Difference Formula: Implementation Notes, Supplementary
/// Test Data, and Mathematical Observations", Color Research & Application 30 (2005), table 1; the rows from
/// memory, each proved by the sum coming out to four digits.
constexpr std::array published{Pair{{50, 2.6772, -79.7751}, {50, 0, -82.7485}, 2.0425},
                               Pair{{50, 3.1571, -77.2803}, {50, 0, -82.7485}, 2.8615},
                               Pair{{50, 2.8361, -74.0200}, {50, 0, -82.7485}, 3.4412},
                               Pair{{50, -1.3802, -84.2814}, {50, 0, -82.7485}, 1.0000},
                               Pair{{50, -1.1848, -84.8006}, {50, 0, -82.7485}, 1.0000},
                               Pair{{50, -0.9009, -85.5211}, {50, 0, -82.7485}, 1.0000},
                               Pair{{50, 0, 0}, {50, -1, 2}, 2.3669},
                               Pair{{50, -1, 2}, {50, 0, 0}, 2.3669},
                               Pair{{50, 2.4900, -0.0010}, {50, -2.4900, 0.0009}, 7.1792},
                               Pair{{50, 2.4900, -0.0010}, {50, -2.4900, 0.0010}, 7.1792},
                               Pair{{50, 2.4900, -0.0010}, {50, -2.4900, 0.0011}, 7.2195},
                               Pair{{50, 2.4900, -0.0010}, {50, -2.4900, 0.0012}, 7.2195},
                               Pair{{50, -0.0010, 2.4900}, {50, 0.0009, -2.4900}, 4.8045},
                               Pair{{50, -0.0010, 2.4900}, {50, 0.0010, -2.4900}, 4.8045},
                               Pair{{50, -0.0010, 2.4900}, {50, 0.0011, -2.4900}, 4.7461},
                               Pair{{50, 2.5000, 0}, {50, 0, -2.5000}, 4.3065},
                               Pair{{50, 2.5000, 0}, {73, 25, -18}, 27.1492},
                               Pair{{50, 2.5000, 0}, {61, -5, 29}, 22.8977},
                               Pair{{50, 2.5000, 0}, {56, -27, -3}, 31.9030},
                               Pair{{50, 2.5000, 0}, {58, 24, 15}, 19.4535},
                               Pair{{50, 2.5000, 0}, {50, 3.1736, 0.5854}, 1.0000},
                               Pair{{50, 2.5000, 0}, {50, 3.2972, 0}, 1.0000},
                               Pair{{50, 2.5000, 0}, {50, 1.8634, 0.5757}, 1.0000},
                               Pair{{50, 2.5000, 0}, {50, 3.2592, 0.3350}, 1.0000},
                               Pair{{60.2574, -34.0099, 36.2677}, {60.4626, -34.1751, 39.4387}, 1.2644},
                               Pair{{63.0109, -31.0961, -5.8663}, {62.8187, -29.7946, -4.0864}, 1.2630},
                               Pair{{61.2901, 3.7196, -5.3901}, {61.4292, 2.2480, -4.9620}, 1.8731},
                               Pair{{35.0831, -44.1164, 3.7933}, {35.0232, -40.0716, 1.5901}, 1.8645},
                               Pair{{22.7233, 20.0904, -46.6940}, {23.0331, 14.9730, -42.5619}, 2.0373},
                               Pair{{36.4612, 47.8580, 18.3852}, {36.2715, 50.5065, 21.2231}, 1.4146},
                               Pair{{90.8027, -2.0831, 1.4410}, {91.1528, -1.6435, 0.0447}, 1.4441},
                               Pair{{90.9257, -0.5406, -0.9208}, {88.6381, -0.8985, -0.7239}, 1.5381},
                               Pair{{6.7747, -0.2908, -2.4247}, {5.8714, -0.0985, -2.2286}, 0.6377},
                               Pair{{2.0776, 0.0795, -1.1350}, {0.9033, -0.0636, -0.5514}, 0.9082}};

TEST(Difference, AgreesWithThePublishedPairs) {
    for (const auto& pair : published) {
        EXPECT_NEAR(difference(pair.one, pair.other), pair.apart, 0.00005);
        EXPECT_NEAR(difference(pair.other, pair.one), pair.apart, 0.00005) << "the same both ways";
    }
}

/// Source: IEC 61966-2-1 (white is D65, so it has no hue); lightness of middle grey: CIE 15.
TEST(LabOf, WhiteBlackAndGrey) {
    const auto white = labOf(Colour{255, 255, 255});
    EXPECT_NEAR(white.lightness, 100, 0.01);
    EXPECT_NEAR(white.a, 0, 0.02);
    EXPECT_NEAR(white.b, 0, 0.02);
    EXPECT_NEAR(labOf(Colour{0, 0, 0}).lightness, 0, 1e-9);
    // L* is 116·Y^(1/3) − 16: 50 at 18.42 % of white's light. Source: CIE 15 [A].
    EXPECT_NEAR(labOf(Light{0.18419, 0.18419, 0.18419}).lightness, 50, 0.01);
}

TEST(Light, GoesThereAndBack) {
    for (int v = 0; v < 256; ++v) {
        const auto c = static_cast<std::uint8_t>(v);
        EXPECT_EQ(colourOf(lightOf(Colour{c, c, c})), (Colour{c, c, c}));
    }
}

TEST(SeenThrough, IsTheClothItselfWhenNothingComesThrough) {
    const Light cream = lightOf({245, 236, 215}), navy = lightOf({34, 51, 77});
    EXPECT_EQ(seenThrough(cream, 1, navy), cream);
    EXPECT_EQ(seenThrough(cream, 0, navy), navy);
    EXPECT_LT(labOf(seenThrough(cream, 0.85, navy)).lightness, labOf(cream).lightness - 2);
}

} // namespace
} // namespace up
