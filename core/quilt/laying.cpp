// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/laying.hpp"

#include "core/shape/parallel.hpp"

#include <algorithm>
#include <cmath>

namespace up::quilt {
namespace {

/// How far from the middle of what is laid the machine stitches, mm; its strokes, when nothing is.
std::vector<double> heldAt(const Line& line) {
    if (!line.laid || line.stitch == LineStitch::machineSatin) return {0};
    constexpr double inside = 25.4 / 16; // mm from its edges. Common practice, no source
    const double half = line.laid->width.mm() / 2, edge = half - std::min(inside, half / 2);
    switch (line.laid->trim) {
    case Trim::stem: return {-edge}; // its other side is sewn on already
    case Trim::tape:
    case Trim::ribbon: return {edge, -edge};
    default: return {0};
    }
}

bool isDot(const shape::Polyline& line) {
    constexpr double dot = 0.5; // mm
    return shape::lengthOf(line) < dot;
}

} // namespace

std::vector<std::vector<shape::Polyline>> needleLines(const Line& line) {
    std::vector<std::vector<shape::Polyline>> out;
    for (const auto& stroke : placed(line)) {
        out.emplace_back();
        for (const double off : heldAt(line)) {
            auto points = flattened(stroke);
            if (off != 0) points = shape::parallel(points, off);
            if (points.size() > 1) out.back().push_back(std::move(points));
        }
    }
    return out;
}

std::vector<shape::Polyline> rawEdges(const Line& line) {
    std::vector<shape::Polyline> out;
    if (!line.laid || line.laid->trim != Trim::stem) return out;
    const double off = line.laid->width.mm() / 2 - stemSeam.mm();
    for (const auto& stroke : placed(line))
        if (auto edge = shape::parallel(flattened(stroke), off); edge.size() > 1)
            out.push_back(std::move(edge));
    return out;
}

std::vector<shape::Point> thingsAt(const Line& line) {
    std::vector<shape::Point> out;
    if (!line.laid || !isThing(line.laid->trim)) return out;
    std::vector<shape::Polyline> lines;
    double length = 0;
    for (const auto& stroke : placed(line)) {
        auto points = flattened(stroke);
        if (points.empty()) continue;
        if (isDot(points)) {
            out.push_back(points.front());
            continue;
        }
        length += shape::lengthOf(points);
        lines.push_back(std::move(points));
    }
    if (lines.empty()) return out;
    const auto called = static_cast<std::size_t>(line.laid->called);
    const std::size_t all =
        called > out.size() ? called - out.size()
        : called > 0
            ? 0
            : std::max<std::size_t>(1, static_cast<std::size_t>(length / (2 * line.laid->width.mm())));
    // one in the middle of each of so many equal stretches, the lines taken end to end
    for (std::size_t i = 0; i < all; ++i) {
        double at = length * (static_cast<double>(i) + 0.5) / static_cast<double>(all);
        std::size_t of = 0;
        for (; of + 1 < lines.size() && at > shape::lengthOf(lines[of]); ++of)
            at -= shape::lengthOf(lines[of]);
        out.push_back(shape::pointAlong(lines[of], at));
    }
    return out;
}

shape::Contour alongEdge(const shape::Contour& edge) {
    auto ring = flattened(edge);
    if (shape::signedArea(ring) < 0) std::reverse(ring.begin(), ring.end());
    std::rotate(ring.begin(),
                std::max_element(ring.begin(), ring.end(), [](auto a, auto b) { return a.y < b.y; }),
                ring.end());
    ring.push_back(ring.front());
    auto out = shape::contourThrough(ring);
    out.closed = false;
    return out;
}

std::vector<shape::Region> laidAreas(const Line& line) {
    std::vector<shape::Region> out;
    if (!line.laid || isThing(line.laid->trim)) return out;
    for (const auto& stroke : placed(line)) {
        const auto points = flattened(stroke);
        out.push_back(points.size() < 2 ? shape::Region()
                                        : shape::band(points, false, line.laid->width.mm(), shape::Cap::butt,
                                                      shape::Join::mitre));
    }
    return out;
}

shape::Region laidArea(const Line& line) {
    return shape::unite(laidAreas(line));
}

} // namespace up::quilt
