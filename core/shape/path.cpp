// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/path.hpp"

#include <array>
#include <cmath>

namespace up::shape {
namespace {

Point at(Point p0, const Cubic& c, double t) {
    const double s = 1 - t;
    return p0 * (s * s * s) + c.control1 * (3 * s * s * t) + c.control2 * (3 * s * t * t) +
           c.end * (t * t * t);
}

int stepsFor(Point p0, const Cubic& c, double tolerance) {
    const Point d1 = p0 - c.control1 * 2 + c.control2, d2 = c.control1 - c.control2 * 2 + c.end;
    const double bend = std::max(std::hypot(d1.x, d1.y), std::hypot(d2.x, d2.y));
    constexpr double most = 2000;
    const double steps = std::ceil(std::sqrt(0.75 * bend / tolerance));
    return static_cast<int>(steps < most ? std::max(steps, 1.0) : most); // not a number: most
}

/// Where one coordinate of the curve turns back: the roots in (0,1) of its derivative.
std::array<double, 2> turns(double p0, double p1, double p2, double p3) {
    const double a = p3 - 3 * p2 + 3 * p1 - p0, b = 2 * (p2 - 2 * p1 + p0), c = p1 - p0;
    if (std::abs(a) < 1e-12) return {std::abs(b) < 1e-12 ? -1 : -c / b, -1};
    const double under = b * b - 4 * a * c;
    if (under < 0) return {-1, -1};
    return {(-b + std::sqrt(under)) / (2 * a), (-b - std::sqrt(under)) / (2 * a)};
}

/// ∫ x dy − y dx along the curve, halved. Source: closed form of Green's theorem for a cubic in Bernstein
/// form.
double areaUnder(Point p0, const Cubic& c) {
    const Point p1 = c.control1, p2 = c.control2, p3 = c.end;
    const auto wedge = [](Point a, Point b) { return a.x * b.y - a.y * b.x; };
    return (6 * wedge(p0, p1) + 3 * wedge(p0, p2) + wedge(p0, p3) + 3 * wedge(p1, p2) + 3 * wedge(p1, p3) +
            6 * wedge(p2, p3)) /
           20;
}

} // namespace

void Contour::lineTo(Point p) {
    const Point from = end();
    curves.push_back({from + (p - from) * (1.0 / 3), from + (p - from) * (2.0 / 3), p});
}

Polyline flattened(const Contour& contour, double tolerance) {
    Polyline line{contour.start};
    Point from = contour.start;
    for (const auto& curve : contour.curves) {
        const int steps = stepsFor(from, curve, tolerance);
        for (int i = 1; i < steps; ++i)
            line.push_back(at(from, curve, static_cast<double>(i) / steps));
        line.push_back(curve.end);
        from = curve.end;
    }
    Polyline out;
    for (const Point p : line)
        if (out.empty() || distance(out.back(), p) > 1e-9) out.push_back(p);
    while (contour.closed && out.size() > 1 && distance(out.back(), out.front()) <= 1e-9)
        out.pop_back();
    return out;
}

Rings flattened(const Outline& outline, double tolerance) {
    Rings rings{flattened(outline.edge, tolerance)};
    for (const auto& hole : outline.holes)
        rings.push_back(flattened(hole, tolerance));
    return rings;
}

Contour transformed(const Contour& contour, const Transform& by) {
    Contour out{by(contour.start), {}, contour.closed};
    out.curves.reserve(contour.curves.size());
    for (const auto& c : contour.curves)
        out.curveTo(by(c.control1), by(c.control2), by(c.end));
    return out;
}

Outline transformed(const Outline& outline, const Transform& by) {
    Outline out{transformed(outline.edge, by), {}};
    for (const auto& hole : outline.holes)
        out.holes.push_back(transformed(hole, by));
    return out;
}

Box boundsOf(const Contour& contour) {
    Box box;
    box.take(contour.start);
    Point from = contour.start;
    for (const auto& c : contour.curves) {
        box.take(c.end);
        for (const double t : turns(from.x, c.control1.x, c.control2.x, c.end.x))
            if (t > 0 && t < 1) box.take(at(from, c, t));
        for (const double t : turns(from.y, c.control1.y, c.control2.y, c.end.y))
            if (t > 0 && t < 1) box.take(at(from, c, t));
        from = c.end;
    }
    return box;
}

Box boundsOf(const Outline& outline) {
    return boundsOf(outline.edge);
}

double signedArea(const Contour& contour) {
    double sum = 0;
    Point from = contour.start;
    for (const auto& c : contour.curves) {
        sum += areaUnder(from - contour.start,
                         {c.control1 - contour.start, c.control2 - contour.start, c.end - contour.start});
        from = c.end;
    }
    return sum;
}

Contour contourThrough(const Ring& ring) {
    Contour contour;
    if (ring.empty()) return contour;
    contour.start = ring.front();
    for (std::size_t i = 1; i < ring.size(); ++i)
        contour.lineTo(ring[i]);
    return contour;
}

} // namespace up::shape
