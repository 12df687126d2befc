// SPDX-License-Identifier: GPL-3.0-or-later
// A colour as screens and drawings write it: sRGB, eight bits a channel (IEC 61966-2-1).
#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>

namespace up {

struct Colour {
    std::uint8_t red = 0, green = 0, blue = 0;
    auto operator<=>(const Colour&) const = default;
};

/// "#27496d".
[[nodiscard]] std::string hex(Colour colour);
/// Reads "#27496d" and "#abc"; nothing for anything else.
[[nodiscard]] std::optional<Colour> colourFromHex(std::string_view text);
/// A plain word for the nearest of some twenty cloth colours: "rust", "slate", "cream".
[[nodiscard]] std::string nameFor(Colour colour);
/// Relative luminance 0..1. Source: WCAG 2.1, after IEC 61966-2-1.
[[nodiscard]] double luminance(Colour colour);

} // namespace up
