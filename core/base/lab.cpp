// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/lab.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up {
namespace {

double toLight(std::uint8_t v) {
    const double s = v / 255.0;
    return s <= 0.04045 ? s / 12.92 : std::pow((s + 0.055) / 1.055, 2.4);
}

std::uint8_t toChannel(double light) {
    const double l = std::clamp(light, 0.0, 1.0);
    const double s = l <= 0.0031308 ? l * 12.92 : 1.055 * std::pow(l, 1 / 2.4) - 0.055;
    return static_cast<std::uint8_t>(std::lround(s * 255));
}

/// The cube root that L*a*b* is made with; straight near black.
double root(double t) {
    constexpr double d = 6.0 / 29;
    return t > d * d * d ? std::cbrt(t) : t / (3 * d * d) + 4.0 / 29;
}

constexpr double full = 360;

double degrees(double radians) {
    return radians * 180 / std::numbers::pi;
}
double radians(double degrees) {
    return degrees * std::numbers::pi / 180;
}

double hueOf(double a, double b) {
    if (a == 0 && b == 0) return 0;
    const double h = degrees(std::atan2(b, a));
    return h < 0 ? h + full : h;
}

/// The middle of two hues, the short way round; their sum when one of the colours has none.
double meanHue(double h1, double h2, bool grey) {
    if (grey) return h1 + h2;
    if (std::abs(h1 - h2) <= full / 2) return (h1 + h2) / 2;
    return h1 + h2 < full ? (h1 + h2 + full) / 2 : (h1 + h2 - full) / 2;
}

double hueStep(double h1, double h2, bool grey) {
    if (grey) return 0;
    const double step = h2 - h1;
    return step > full / 2 ? step - full : step < -full / 2 ? step + full : step;
}

double seventh(double c) {
    const double c7 = std::pow(c, 7);
    return std::sqrt(c7 / (c7 + std::pow(25.0, 7)));
}

} // namespace

Light lightOf(Colour colour) {
    return {toLight(colour.red), toLight(colour.green), toLight(colour.blue)};
}

Colour colourOf(const Light& light) {
    return {toChannel(light.red), toChannel(light.green), toChannel(light.blue)};
}

Light seenThrough(const Light& cloth, double opacity, const Light& beneath) {
    const auto mix = [&](double own, double under) { return own * opacity + under * (1 - opacity); };
    return {mix(cloth.red, beneath.red), mix(cloth.green, beneath.green), mix(cloth.blue, beneath.blue)};
}

Lab labOf(const Light& c) {
    const double x = 0.4124 * c.red + 0.3576 * c.green + 0.1805 * c.blue;
    const double y = 0.2126 * c.red + 0.7152 * c.green + 0.0722 * c.blue;
    const double z = 0.0193 * c.red + 0.1192 * c.green + 0.9505 * c.blue;
    const double fx = root(x / 0.9505), fy = root(y), fz = root(z / 1.0890);
    return {116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)};
}

Light lightOfLab(const Lab& lab) {
    const auto cubed = [](double t) {
        constexpr double d = 6.0 / 29;
        return t > d ? t * t * t : 3 * d * d * (t - 4.0 / 29);
    };
    const double fy = (lab.lightness + 16) / 116;
    const double x = 0.9505 * cubed(fy + lab.a / 500), y = cubed(fy), z = 1.0890 * cubed(fy - lab.b / 200);
    // The inverse of the matrix above, to ten places.
    return {3.2406254773 * x - 1.5372079722 * y - 0.4986285987 * z,
            -0.9689307147 * x + 1.8757560609 * y + 0.0415175238 * z,
            0.0557101204 * x - 0.2040210506 * y + 1.0569959423 * z};
}

/// Names as in the paper; the weights kL, kC and kH are 1.
double difference(const Lab& one, const Lab& other) {
    const double g = (1 - seventh((std::hypot(one.a, one.b) + std::hypot(other.a, other.b)) / 2)) / 2;
    const double a1 = one.a * (1 + g), a2 = other.a * (1 + g);
    const double c1 = std::hypot(a1, one.b), c2 = std::hypot(a2, other.b);
    const double h1 = hueOf(a1, one.b), h2 = hueOf(a2, other.b);
    const bool grey = c1 * c2 == 0;

    const double dL = other.lightness - one.lightness, dC = c2 - c1;
    const double dH = 2 * std::sqrt(c1 * c2) * std::sin(radians(hueStep(h1, h2, grey) / 2));
    const double l = (one.lightness + other.lightness) / 2, c = (c1 + c2) / 2, h = meanHue(h1, h2, grey);
    const double t = 1 - 0.17 * std::cos(radians(h - 30)) + 0.24 * std::cos(radians(2 * h)) +
                     0.32 * std::cos(radians(3 * h + 6)) - 0.20 * std::cos(radians(4 * h - 63));
    const double l50 = (l - 50) * (l - 50);
    const double sL = 1 + 0.015 * l50 / std::sqrt(20 + l50);
    const double sC = 1 + 0.045 * c, sH = 1 + 0.015 * c * t;
    const double turn = 30 * std::exp(-std::pow((h - 275) / 25, 2));
    const double rT = -2 * seventh(c) * std::sin(radians(2 * turn));
    const double pL = dL / sL, pC = dC / sC, pH = dH / sH;
    return std::sqrt(std::max(0.0, pL * pL + pC * pC + pH * pH + rT * pC * pH));
}

} // namespace up
