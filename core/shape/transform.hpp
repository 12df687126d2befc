// SPDX-License-Identifier: GPL-3.0-or-later
// Affine maps of the page: move, turn, scale, mirror.
#pragma once

#include "core/measure/angle.hpp"
#include "core/shape/point.hpp"

namespace up::shape {

/// x' = a·x + c·y + e,  y' = b·x + d·y + f (the order of SVG's matrix()).
struct Transform {
    double a = 1, b = 0, c = 0, d = 1, e = 0, f = 0;
    bool operator==(const Transform&) const = default;

    [[nodiscard]] Point operator()(Point p) const { return {a * p.x + c * p.y + e, b * p.x + d * p.y + f}; }
    /// First `inner`, then this one.
    [[nodiscard]] Transform operator*(const Transform& inner) const {
        return {a * inner.a + c * inner.b, b * inner.a + d * inner.b,     a * inner.c + c * inner.d,
                b * inner.c + d * inner.d, a * inner.e + c * inner.f + e, b * inner.e + d * inner.f + f};
    }
    [[nodiscard]] double determinant() const { return a * d - b * c; }

    /// Undoes it. The determinant is not 0.
    [[nodiscard]] Transform inverse() const {
        const double k = 1 / determinant();
        return {d * k, -b * k, -c * k, a * k, (c * f - d * e) * k, (b * e - a * f) * k};
    }

    [[nodiscard]] static Transform moveBy(double dx, double dy) { return {1, 0, 0, 1, dx, dy}; }
    [[nodiscard]] static Transform scale(double sx, double sy) { return {sx, 0, 0, sy, 0, 0}; }
    /// Turns by `angle` about the origin, from +x towards +y.
    [[nodiscard]] static Transform turn(measure::Angle angle) {
        const double co = std::cos(angle.radians()), si = std::sin(angle.radians());
        return {co, si, -si, co, 0, 0};
    }
    [[nodiscard]] static Transform turnAbout(Point centre, measure::Angle angle) {
        return moveBy(centre.x, centre.y) * turn(angle) * moveBy(-centre.x, -centre.y);
    }
    /// Left for right about the line x = `axis`: what tracing on the paper side does.
    [[nodiscard]] static Transform mirrorAcross(double axis) { return {-1, 0, 0, 1, 2 * axis, 0}; }
};

} // namespace up::shape
