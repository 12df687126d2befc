// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/arc.hpp"

#include <cmath>
#include <numbers>

namespace up::shape {

void arcAbout(Contour& to, Point centre, Point major, Point minor, double start, double span) {
    const int parts =
        std::max(1, static_cast<int>(std::ceil(std::abs(span) / (std::numbers::pi / 2) - 1e-9)));
    const double step = span / parts, k = 4.0 / 3 * std::tan(step / 4);
    const auto on = [&](double t, double along) {
        return centre + major * (std::cos(t) - along * std::sin(t)) +
               minor * (std::sin(t) + along * std::cos(t));
    };
    for (int i = 0; i < parts; ++i) {
        const double a = start + step * i, b = a + step;
        to.curveTo(on(a, k), on(b, -k), on(b, 0));
    }
}

void arcTo(Contour& to, double rx, double ry, measure::Angle turn, bool large, bool sweep, Point end) {
    const Point from = to.end();
    rx = std::abs(rx), ry = std::abs(ry);
    if (rx < 1e-12 || ry < 1e-12) return to.lineTo(end);
    if (distance(from, end) < 1e-12) return;
    const auto frame = Transform::turn(turn);
    const auto back = Transform::turn(measure::Angle::ofDegrees(-turn.degrees()));
    const Point half = back((from - end) * 0.5);
    const double wide = half.x * half.x / (rx * rx) + half.y * half.y / (ry * ry);
    if (wide > 1) rx *= std::sqrt(wide), ry *= std::sqrt(wide);
    const double below = rx * rx * half.y * half.y + ry * ry * half.x * half.x;
    const double root = std::sqrt(std::max(0.0, rx * rx * ry * ry / below - 1)) * (large == sweep ? -1 : 1);
    const Point c{root * rx * half.y / ry, -root * ry * half.x / rx};
    const double start = std::atan2((half.y - c.y) / ry, (half.x - c.x) / rx);
    double span = std::atan2((-half.y - c.y) / ry, (-half.x - c.x) / rx) - start;
    if (sweep && span < 0) span += 2 * std::numbers::pi;
    if (!sweep && span > 0) span -= 2 * std::numbers::pi;
    if (!std::isfinite(start) || !std::isfinite(span)) return to.lineTo(end); // beyond what can be computed
    arcAbout(to, frame(c) + (from + end) * 0.5, frame({rx, 0}), frame({0, ry}), start, span);
    to.curves.back().end = end;
}

Contour ellipse(Point centre, double rx, double ry) {
    Contour out{{centre.x + rx, centre.y}, {}, true};
    arcAbout(out, centre, {rx, 0}, {0, ry}, 0, 2 * std::numbers::pi);
    return out;
}

} // namespace up::shape
