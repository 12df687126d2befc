// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/colour.hpp"

#include "core/base/spoken.hpp"

#include <array>
#include <charconv>
#include <cmath>

namespace up {
namespace {

struct Named {
    Colour colour;
    const char* name;
};
constexpr std::array clothColours{
    Named{{20, 20, 24}, UP_SPOKEN("black")},     Named{{250, 250, 248}, UP_SPOKEN("white")},
    Named{{243, 234, 210}, UP_SPOKEN("cream")},  Named{{128, 128, 128}, UP_SPOKEN("grey")},
    Named{{200, 202, 204}, UP_SPOKEN("silver")}, Named{{74, 86, 98}, UP_SPOKEN("slate")},
    Named{{178, 44, 44}, UP_SPOKEN("red")},      Named{{178, 90, 44}, UP_SPOKEN("rust")},
    Named{{226, 130, 50}, UP_SPOKEN("orange")},  Named{{200, 150, 50}, UP_SPOKEN("brass")},
    Named{{240, 205, 80}, UP_SPOKEN("yellow")},  Named{{120, 140, 60}, UP_SPOKEN("moss")},
    Named{{50, 110, 60}, UP_SPOKEN("green")},    Named{{30, 70, 60}, UP_SPOKEN("bottle")},
    Named{{40, 140, 150}, UP_SPOKEN("teal")},    Named{{110, 175, 210}, UP_SPOKEN("sky")},
    Named{{45, 95, 170}, UP_SPOKEN("blue")},     Named{{28, 44, 84}, UP_SPOKEN("navy")},
    Named{{110, 70, 140}, UP_SPOKEN("purple")},  Named{{220, 150, 165}, UP_SPOKEN("pink")},
    Named{{110, 72, 46}, UP_SPOKEN("brown")},    Named{{196, 164, 124}, UP_SPOKEN("tan")}};

int nibble(char c) {
    if (c >= '0' && c <= '9') return c - '0';
    if (c >= 'a' && c <= 'f') return c - 'a' + 10;
    if (c >= 'A' && c <= 'F') return c - 'A' + 10;
    return -1;
}

} // namespace

std::string hex(Colour c) {
    constexpr char digits[] = "0123456789abcdef";
    std::string out = "#";
    for (const unsigned v : {c.red, c.green, c.blue}) {
        out += digits[v / 16];
        out += digits[v % 16];
    }
    return out;
}

std::optional<Colour> colourFromHex(std::string_view text) {
    if (text.size() != 7 && text.size() != 4) return std::nullopt;
    if (text.front() != '#') return std::nullopt;
    std::array<int, 3> v{};
    for (std::size_t i = 0; i < 3; ++i) {
        const int high = nibble(text.size() == 7 ? text[1 + 2 * i] : text[1 + i]);
        const int low = nibble(text.size() == 7 ? text[2 + 2 * i] : text[1 + i]);
        if (high < 0 || low < 0) return std::nullopt;
        v[i] = high * 16 + low;
    }
    return Colour{static_cast<std::uint8_t>(v[0]), static_cast<std::uint8_t>(v[1]),
                  static_cast<std::uint8_t>(v[2])};
}

std::string nameFor(Colour c) {
    const Named* best = &clothColours.front();
    double least = 1e9;
    for (const auto& named : clothColours) {
        const double r = c.red - named.colour.red, g = c.green - named.colour.green,
                     b = c.blue - named.colour.blue;
        const double away = 2 * r * r + 4 * g * g + 3 * b * b;
        if (away < least) least = away, best = &named;
    }
    return spoken(best->name);
}

double luminance(Colour c) {
    const auto linear = [](std::uint8_t v) {
        const double s = v / 255.0;
        return s <= 0.04045 ? s / 12.92 : std::pow((s + 0.055) / 1.055, 2.4);
    };
    return 0.2126 * linear(c.red) + 0.7152 * linear(c.green) + 0.0722 * linear(c.blue);
}

} // namespace up
