// SPDX-License-Identifier: GPL-3.0-or-later
// Angles that people read, in degrees; turns are clockwise on a page whose y runs down.
#pragma once

#include <cmath>
#include <compare>
#include <numbers>

namespace up::measure {

class Angle {
public:
    constexpr Angle() = default;
    [[nodiscard]] static constexpr Angle ofDegrees(double degrees) { return Angle(degrees); }
    [[nodiscard]] static constexpr Angle ofRadians(double radians) {
        return Angle(radians * 180.0 / std::numbers::pi);
    }
    [[nodiscard]] constexpr double degrees() const { return m_degrees; }
    [[nodiscard]] constexpr double radians() const { return m_degrees * std::numbers::pi / 180.0; }
    /// The same direction in [0, 360).
    [[nodiscard]] Angle normal() const {
        const double rest = std::fmod(m_degrees, 360.0);
        return Angle(rest < 0 ? rest + 360.0 : rest);
    }
    [[nodiscard]] constexpr Angle operator+(Angle o) const { return Angle(m_degrees + o.m_degrees); }
    [[nodiscard]] constexpr Angle operator-() const { return Angle(-m_degrees); }
    constexpr auto operator<=>(const Angle&) const = default;

private:
    explicit constexpr Angle(double degrees) : m_degrees(degrees) {}
    double m_degrees = 0;
};

} // namespace up::measure
