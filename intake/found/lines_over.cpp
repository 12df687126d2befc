// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/found/lines_over.hpp"

#include "core/shape/fitting.hpp"

#include <algorithm>
#include <cmath>

namespace up::intake {

using quilt::DrawnShape;
using quilt::Origin;
using shape::Box;
using shape::Contour;
using shape::Point;

namespace {

// A pen follows an edge that is no further off than this; less on small pages, which are enlarged later.
constexpr double follows = 0.8;         // mm
constexpr double followsOnPage = 0.005; // of the page's diagonal
constexpr double widestPen = 25.4 / 8;  // mm; wider ones count as this
constexpr double mostlyFilled = 0.5;    // of what a line encloses
constexpr double sameEdge = 0.3;        // mm between the boxes of shapes with one edge
constexpr double leastStray = 4;        // times the reach: shorter stretches are corners cut by hand

/// Points of the line no further than `step` mm apart; a closed line ends where it began.
shape::Polyline dense(const Contour& line, double tolerance, double step) {
    auto points = flattened(line, tolerance);
    if (line.closed && !points.empty()) points.push_back(points.front());
    shape::Polyline out;
    for (std::size_t i = 0; i < points.size(); ++i) {
        if (i > 0) {
            const Point from = points[i - 1], way = points[i] - from;
            const auto parts = static_cast<int>(std::min(std::ceil(std::hypot(way.x, way.y) / step), 1e5));
            for (int k = 1; k < parts; ++k)
                out.push_back(from + way * (static_cast<double>(k) / parts));
        }
        out.push_back(points[i]);
    }
    return out;
}

bool counts(const DrawnShape& drawn) {
    return drawn.origin != Origin::outline;
}

} // namespace

FilledShapes::FilledShapes(const std::vector<DrawnShape>& shapes, double page, bool paper, double tolerance)
    : m_shapes(shapes), m_tolerance(tolerance), m_follows(std::min(follows, page * followsOnPage)),
      m_edges(std::max(reachOf(widestPen), page / 2000)) {
    for (std::size_t i = paper ? 1 : 0; i < shapes.size(); ++i) {
        if (!counts(shapes[i])) continue;
        auto region = shape::regionOf(shapes[i].outline, tolerance);
        const double area = region.area();
        m_filled.push_back({i, region.bounds(), area, std::move(region)});
        for (const auto& ring : flattened(shapes[i].outline, tolerance))
            m_edges.add(ring);
    }
}

double FilledShapes::reachOf(double pen) const {
    return m_follows + std::min(pen, widestPen) / 2;
}

bool FilledShapes::hasTheEdgeOf(const Filled& filled, const Box& box, double area) const {
    const auto near = [&](double a, double b) { return std::abs(a - b) < std::min(sameEdge, m_follows); };
    return near(box.left, filled.box.left) && near(box.right, filled.box.right) &&
           near(box.top, filled.box.top) && near(box.bottom, filled.box.bottom) &&
           std::abs(area - filled.area) < area * 0.02;
}

bool FilledShapes::liesBeneath(std::size_t i) const {
    const auto whole = shape::regionOf(m_shapes[i].outline, m_tolerance);
    const auto box = whole.bounds();
    const double area = whole.area(), enough = area * mostlyFilled;
    std::vector<shape::Region> parts;
    double sum = 0;
    for (const auto& filled : m_filled) {
        if (!filled.box.meets(box)) continue;
        if (hasTheEdgeOf(filled, box, area)) return true;
        if (filled.index > i) continue;
        parts.push_back(shape::intersect(whole, filled.region));
        const double part = parts.back().area();
        if (part >= enough) return true;
        sum += part;
    }
    return sum >= enough && shape::unite(parts).area() >= enough;
}

std::vector<Contour> FilledShapes::strayingParts(const Contour& line, double pen) const {
    const double reach = reachOf(pen);
    const auto points = dense(line, m_tolerance, reach);
    std::vector<Contour> out;
    shape::Polyline run;
    const auto end = [&] {
        if (run.size() > 1 && shape::lengthOf(run) >= leastStray * reach) {
            auto part = shape::fittedLine(run, 2 * m_tolerance);
            part.closed = false;
            out.push_back(std::move(part));
        }
        run.clear();
    };
    std::size_t strays = 0;
    for (const Point p : points) {
        if (m_edges.isNear(p, reach)) {
            end();
            continue;
        }
        ++strays;
        run.push_back(p);
    }
    if (strays == points.size()) return {line};
    end();
    return out;
}

} // namespace up::intake
