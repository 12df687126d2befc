// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/stretches.hpp"

#include <numbers>

namespace up::shape {
namespace {

constexpr double cornerTurn = std::numbers::pi / 6;

Point firstWay(Point from, const Cubic& c) {
    for (const Point p : {c.control1, c.control2, c.end})
        if (distance(from, p) > 1e-6) return p - from;
    return {};
}
Point lastWay(Point from, const Cubic& c) {
    for (const Point p : {c.control2, c.control1, from})
        if (distance(c.end, p) > 1e-6) return c.end - p;
    return {};
}

double turnBetween(Point a, Point b) {
    return std::abs(std::atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y));
}

double distanceToSegment(Point p, Point a, Point b) {
    const Point way = b - a;
    const double length2 = way.x * way.x + way.y * way.y;
    const double t =
        length2 > 0 ? std::clamp(((p.x - a.x) * way.x + (p.y - a.y) * way.y) / length2, 0.0, 1.0) : 0;
    return distance(p, a + way * t);
}

double distanceToLine(const Polyline& line, Point p) {
    double best = std::numeric_limits<double>::infinity();
    for (std::size_t i = 0; i + 1 < line.size(); ++i)
        best = std::min(best, distanceToSegment(p, line[i], line[i + 1]));
    return best;
}

/// Open, or closed with its last stretch.
Polyline wholeLine(const Contour& contour) {
    auto line = flattened(contour, 0.05);
    if (contour.closed && !line.empty()) line.push_back(line.front());
    return line;
}

/// Where to begin a new run: before these curves.
std::vector<std::size_t> breaksOf(const Contour& edge) {
    std::vector<std::size_t> corners;
    const auto n = edge.curves.size();
    const auto startOf = [&](std::size_t i) { return i == 0 ? edge.start : edge.curves[i - 1].end; };
    for (std::size_t i = 0; i < n; ++i) {
        const auto before = (i + n - 1) % n;
        if (turnBetween(lastWay(startOf(before), edge.curves[before]), firstWay(startOf(i), edge.curves[i])) >
            cornerTurn)
            corners.push_back(i);
    }
    if (corners.size() >= 2) return corners;
    corners.clear();
    for (std::size_t quarter = 0; quarter < 4; ++quarter)
        if (const auto at = quarter * n / 4; corners.empty() || corners.back() != at) corners.push_back(at);
    return corners;
}

} // namespace

std::vector<Contour> stretchesOf(const Contour& given) {
    Contour edge = given;
    if (distance(edge.end(), edge.start) > 1e-9) edge.lineTo(edge.start);
    const auto n = edge.curves.size();
    std::vector<Contour> out;
    if (n == 0) return out;
    const auto breaks = breaksOf(edge);
    for (std::size_t k = 0; k < breaks.size(); ++k) {
        const auto from = breaks[k], to = k + 1 < breaks.size() ? breaks[k + 1] : breaks[0] + n;
        Contour run{from == 0 ? edge.start : edge.curves[from - 1].end, {}, false};
        for (auto i = from; i < to; ++i)
            run.curves.push_back(edge.curves[i % n]);
        out.push_back(std::move(run));
    }
    return out;
}

bool liesAlong(const Contour& line, const std::vector<Contour>& others, double reach) {
    std::vector<Polyline> lines;
    for (const auto& other : others)
        lines.push_back(wholeLine(other));
    for (const Point p : wholeLine(line)) {
        const auto near = [&](const Polyline& other) { return distanceToLine(other, p) <= reach; };
        if (std::none_of(lines.begin(), lines.end(), near)) return false;
    }
    return true;
}

double distanceTo(const Contour& line, Point p) {
    return distanceToLine(wholeLine(line), p);
}

} // namespace up::shape
