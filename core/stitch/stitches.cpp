// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/stitches.hpp"

#include "core/shape/along.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::stitch {

using shape::Along;
namespace {

using shape::Point;

/// Of length 1, to the right of the line there.
Point rightOf(const Along& line, double at) {
    constexpr double reach = 0.05; // mm
    const Point way = line.point(at + reach) - line.point(at - reach);
    const double length = std::hypot(way.x, way.y);
    return length > 0 ? Point{-way.y / length, way.x / length} : Point{0, 0};
}

/// 1 when the piece lies to the right of the run, else -1.
double sideOf(const Along& line, const shape::Region& piece) {
    if (piece.isEmpty()) return 1;
    int right = 0;
    constexpr int looks = 7;
    constexpr double aside = 0.2; // mm
    for (int i = 1; i <= looks; ++i) {
        const double at = line.length() * i / (looks + 1);
        const Point to = rightOf(line, at) * aside, here = line.point(at);
        right += piece.contains(here + to) - piece.contains(here - to);
    }
    return right < 0 ? -1 : 1;
}

/// As far towards `to` as the piece goes.
Point within(const shape::Region& piece, Point from, Point to) {
    if (piece.isEmpty() || piece.contains(to)) return to;
    double in = 0, out = 1;
    for (int i = 0; i < 8; ++i) {
        const double middle = (in + out) / 2;
        (piece.contains(from + (to - from) * middle) ? in : out) = middle;
    }
    return from + (to - from) * in;
}

} // namespace

int repeatsAlong(double length, const Repeat& repeat) {
    return std::max(1, static_cast<int>(std::lround(length / repeat.length)));
}

shape::Polyline stitchesAlong(const shape::Polyline& run, const Repeat& repeat, const shape::Region& piece) {
    const Along line(run);
    const int count = repeatsAlong(line.length(), repeat);
    const double step = line.length() / count, stretch = step / repeat.length, side = sideOf(line, piece);
    shape::Polyline out;
    const auto add = [&](double start, Point hole) {
        const double at = std::clamp(start + hole.x * stretch, 0.0, line.length());
        const Point edge = line.point(at), to = edge + rightOf(line, at) * (side * hole.y);
        out.push_back(hole.y > 0 ? within(piece, edge, to) : to);
    };
    for (int i = 0; i < count; ++i)
        for (const Point hole : repeat.holes)
            add(step * i, hole);
    add(line.length(), {0, repeat.holes.front().y});
    return out;
}

std::vector<Pivot> pivotsAlong(const shape::Polyline& run, const Repeat& repeat, const shape::Region& piece) {
    constexpr double sharp = 35, aside = 0.15; // degrees, mm
    const auto [out, in] = std::minmax_element(repeat.holes.begin(), repeat.holes.end(),
                                               [](Point a, Point b) { return a.y < b.y; });
    const auto unit = [](Point p) {
        const double length = std::hypot(p.x, p.y);
        return length > 0 ? p * (1 / length) : p;
    };
    const bool closed = run.size() > 3 && shape::distance(run.front(), run.back()) < 1e-6;
    const std::size_t count = closed ? run.size() - 1 : run.size();
    std::vector<Pivot> pivots;
    for (std::size_t i = closed ? 0 : 1; i + (closed ? 0 : 1) < count; ++i) {
        const Point here = run[i], before = unit(here - run[(i + count - 1) % count]),
                    after = unit(run[(i + 1) % count] - here);
        const double turn =
            std::atan2(shape::cross({0, 0}, before, after), before.x * after.x + before.y * after.y);
        if (std::abs(turn) * 180 / std::numbers::pi <= sharp) continue;
        const Point within = unit(after - before); // between the two stretches, on the side it turns to
        const bool isOuter = piece.isEmpty() || piece.contains(here + within * aside);
        const double reach = isOuter ? out->y : in->y;
        pivots.push_back({here, here + within * (isOuter ? reach : -reach), isOuter});
    }
    return pivots;
}

} // namespace up::stitch
