// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/parallel.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::shape {
namespace {

constexpr double sharp = std::numbers::pi / 6;

double turnBetween(Point a, Point b) {
    return std::atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y);
}

/// Without points that lie on each other.
Polyline thinned(const Polyline& line) {
    constexpr double same = 1e-6; // mm
    Polyline out;
    for (const auto p : line)
        if (out.empty() || distance(out.back(), p) > same) out.push_back(p);
    return out;
}

double distanceToLine(const Polyline& line, Point p) {
    double least = distance(line.front(), p);
    for (std::size_t i = 1; i < line.size(); ++i) {
        const auto way = line[i] - line[i - 1], from = p - line[i - 1];
        const double along =
            std::clamp((way.x * from.x + way.y * from.y) / (way.x * way.x + way.y * way.y), 0.0, 1.0);
        least = std::min(least, distance(line[i - 1] + way * along, p));
    }
    return least;
}

/// 0 when the three lie in a line.
double curvature(Point a, Point b, Point c) {
    const auto u = b - a, v = c - b;
    const double sides = distance(a, b) * distance(b, c) * distance(a, c);
    return sides > 0 ? 2 * std::abs(u.x * v.y - u.y * v.x) / sides : 0;
}

std::optional<Bend> tightestOf(const Polyline& smooth, double reach) {
    const double length = lengthOf(smooth);
    const double h = std::min(reach, length / 2);
    if (h < 1e-3) return {};
    std::optional<Bend> out;
    const int steps = std::max(1, static_cast<int>(std::ceil((length - 2 * h) / (h / 2))));
    for (int i = 0; i <= steps; ++i) {
        const double at = h + (length - 2 * h) * i / steps;
        const auto middle = pointAlong(smooth, at);
        const double bent = curvature(pointAlong(smooth, at - h), middle, pointAlong(smooth, at + h));
        if (bent > 1e-4 && (!out || 1 / bent < out->radius)) out = Bend{middle, 1 / bent};
    }
    return out;
}

} // namespace

Polyline parallel(const Polyline& line, double off) {
    const auto points = thinned(line);
    if (points.size() < 2) return {};
    std::vector<Point> sides;
    for (std::size_t i = 1; i < points.size(); ++i) {
        const auto way = points[i] - points[i - 1];
        const double far = std::hypot(way.x, way.y);
        sides.push_back(Point{-way.y, way.x} * (1 / far));
    }
    Polyline out{points.front() + sides.front() * off};
    for (std::size_t i = 1; i + 1 < points.size(); ++i) {
        const auto both = sides[i - 1] + sides[i];
        const double square = both.x * both.x + both.y * both.y;
        constexpr double longest = 0.5; // of |both|²: a mitre of four widths at most
        out.push_back(points[i] + both * (2 * off / std::max(square, longest)));
    }
    out.push_back(points.back() + sides.back() * off);
    constexpr double slack = 0.02; // mm
    std::erase_if(out, [&](Point p) { return distanceToLine(points, p) < std::abs(off) - slack; });
    return out;
}

Bends bendsOf(const Polyline& line, double reach) {
    Bends out;
    const auto points = thinned(line);
    if (points.size() < 2) return out;
    Polyline smooth{points.front()};
    const auto look = [&] {
        if (const auto bend = tightestOf(smooth, reach);
            bend && (!out.tightest || bend->radius < out.tightest->radius))
            out.tightest = bend;
    };
    for (std::size_t i = 1; i < points.size(); ++i) {
        smooth.push_back(points[i]);
        if (i + 1 == points.size()) break;
        const double turn = turnBetween(points[i] - points[i - 1], points[i + 1] - points[i]);
        if (std::abs(turn) <= sharp) {
            out.turned += turn;
            continue;
        }
        ++out.corners;
        look();
        smooth = {points[i]};
    }
    look();
    return out;
}

} // namespace up::shape
