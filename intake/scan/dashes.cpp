// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/dashes.hpp"

#include "core/shape/fitting.hpp"

#include <algorithm>
#include <cmath>

namespace up::intake {
namespace {

using shape::Point;
using shape::Polyline;

// In mm.
constexpr double apart = 0.15; // of what is looked at along the edge
constexpr double leastGap = 0.35, mostGap = 3, mostDash = 8;
constexpr int leastGaps = 3;

/// Points along a closed line, evenly apart.
Polyline evenly(const shape::Contour& outline, double step) {
    auto points = flattened(outline, 0.2);
    if (points.size() < 3) return {};
    points.push_back(points.front());
    const double length = shape::lengthOf(points);
    const int count = static_cast<int>(length / step);
    Polyline out;
    std::size_t i = 1;
    double before = 0; // the length up to points[i - 1]
    for (int k = 0; k < count; ++k) {
        const double along = length * k / count;
        while (i + 1 < points.size() && before + shape::distance(points[i - 1], points[i]) < along)
            before += shape::distance(points[i - 1], points[i]), ++i;
        const double stretch = std::max(shape::distance(points[i - 1], points[i]), 1e-9);
        out.push_back(points[i - 1] +
                      (points[i] - points[i - 1]) * std::min(1.0, (along - before) / stretch));
    }
    return out;
}

/// Whether there is ink straight across the line, up to `reach` to each side.
bool hasInk(const Mask& ink, Point p, Point along, double reach) {
    const double size = std::max(std::hypot(along.x, along.y), 1e-9);
    const Point across{-along.y / size, along.x / size};
    for (double off = -reach; off <= reach; off += 0.7) {
        const Point q = p + across * off;
        const int x = static_cast<int>(std::floor(q.x)), y = static_cast<int>(std::floor(q.y));
        if (x >= 0 && y >= 0 && x < ink.width && y < ink.height && ink.in[ink.at(x, y)]) return true;
    }
    return false;
}

struct Run {
    bool gap;
    std::size_t from, count; ///< of the points
};

/// Round the outline from the start of its longest dash; gaps too short to be meant are ink.
std::vector<Run> runsOf(std::vector<bool> inked, std::size_t least, std::size_t& first) {
    const auto n = inked.size();
    const auto split = [&](std::size_t from) {
        std::vector<Run> out;
        for (std::size_t k = 0; k < n; ++k) {
            const bool gap = !inked[(from + k) % n];
            if (out.empty() || out.back().gap != gap) out.push_back({gap, k, 0});
            ++out.back().count;
        }
        return out;
    };
    const auto start = std::find(inked.begin(), inked.end(), true);
    first = static_cast<std::size_t>(start - inked.begin()) % n;
    for (const auto& run : split(first))
        if (run.gap && run.count < least)
            for (std::size_t k = 0; k < run.count; ++k)
                inked[(first + run.from + k) % n] = true;
    auto runs = split(first);
    if (runs.size() > 1 && !runs.back().gap) { // goes on at the start: begin where it begins
        first = (first + runs.back().from) % n;
        runs = split(first);
    }
    const auto longest = std::max_element(runs.begin(), runs.end(), [](const Run& a, const Run& b) {
        return (a.gap ? 0 : a.count) < (b.gap ? 0 : b.count);
    });
    first = (first + longest->from) % n;
    return split(first);
}

} // namespace

std::vector<shape::Contour> dashedStretches(const Mask& ink, const shape::Contour& outline, double lineWidth,
                                            double perMm) {
    const auto points = evenly(outline, apart * perMm);
    if (points.size() < 20) return {};
    std::vector<bool> inked;
    const auto n = points.size();
    for (std::size_t i = 0; i < n; ++i)
        inked.push_back(hasInk(ink, points[i], points[(i + 3) % n] - points[(i + n - 3) % n], lineWidth));
    std::size_t first = 0;
    const auto runs = runsOf(std::move(inked), static_cast<std::size_t>(leastGap / apart), first);
    const auto atMost = [](const Run& run, double mm) {
        return static_cast<double>(run.count) * apart <= mm;
    };
    std::vector<shape::Contour> out;
    for (std::size_t i = 1; i < runs.size();) {
        if (!runs[i].gap || !atMost(runs[i], mostGap)) {
            ++i;
            continue;
        }
        auto last = i; // gap, dash, gap …
        while (last + 2 < runs.size() && atMost(runs[last + 1], mostDash) && atMost(runs[last + 2], mostGap))
            last += 2;
        if (last - i >= 2 * (leastGaps - 1)) {
            Polyline line;
            for (auto k = runs[i].from; k < runs[last].from + runs[last].count; ++k)
                line.push_back(points[(first + k) % n]);
            out.push_back(shape::fittedLine(line, 0.5));
        }
        i = last + 1;
    }
    return out;
}

} // namespace up::intake
