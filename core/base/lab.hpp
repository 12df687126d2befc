// SPDX-License-Identifier: GPL-3.0-or-later
// How colours look beside and through each other: lightness, difference, light through cloth.
#pragma once

#include "core/base/colour.hpp"

namespace up {

/// Linear light of the three channels, each 0…1.
struct Light {
    double red = 0, green = 0, blue = 0;
    bool operator==(const Light&) const = default;
};

/// The channels of sRGB as light. Source: IEC 61966-2-1.
[[nodiscard]] Light lightOf(Colour colour);
[[nodiscard]] Colour colourOf(const Light& light);

/// What is seen of cloth that lets `1 - opacity` of what lies beneath through.
[[nodiscard]] Light seenThrough(const Light& cloth, double opacity, const Light& beneath);

/// CIE 1976 L*a*b* under D65: lightness 0…100, red to green, yellow to blue.
struct Lab {
    double lightness = 0, a = 0, b = 0;
};
/// Source: CIE 15; sRGB's primaries and white as in IEC 61966-2-1.
[[nodiscard]] Lab labOf(const Light& light);
[[nodiscard]] inline Lab labOf(Colour colour) {
    return labOf(lightOf(colour));
}

/// The other way; beyond sRGB where there is no such colour in it.
[[nodiscard]] Light lightOfLab(const Lab& lab);

/// CIEDE2000: about 1 is just seen side by side. Source: Sharma, Wu & Dalal, "The CIEDE2000 Color-Difference
/// Formula: Implementation Notes, Supplementary Test Data, and Mathematical Observations", 2005.
[[nodiscard]] double difference(const Lab& one, const Lab& other);

} // namespace up
