// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/dxf/hatch.hpp"

#include "core/shape/joining.hpp"
#include "intake/dxf/curves.hpp"

#include <algorithm>
#include <cmath>
#include <dxflib/dl_entities.h>
#include <numbers>

namespace up::intake {

using shape::Contour;
using shape::Point;

namespace {

/// The parameter of an ellipse at which its point lies in that direction from the centre.
double parameterAt(double angle, double ratio) {
    return std::atan2(std::sin(angle), std::cos(angle) * std::max(std::abs(ratio), 1e-9));
}

Contour splineOf(const DL_HatchEdgeData& edge) {
    const auto pointsOf = [](const std::vector<std::vector<double>>& rows) {
        std::vector<Point> out;
        for (const auto& row : rows)
            if (row.size() > 1) out.push_back({row[0], row[1]});
        return out;
    };
    const auto points = pointsOf(edge.controlPoints);
    if (points.empty()) return curveThrough(pointsOf(edge.fitPoints), false);
    return curveOf({static_cast<int>(edge.degree), edge.knots, points, edge.weights, false});
}

Contour polylineOf(const DL_HatchEdgeData& edge) {
    std::vector<Vertex> vertices;
    for (const auto& row : edge.vertices)
        if (row.size() > 1) vertices.push_back({{row[0], row[1]}, row.size() > 2 ? row[2] : 0});
    return polyline(vertices, true);
}

} // namespace

Contour hatchEdge(const DL_HatchEdgeData& edge) {
    if (!edge.vertices.empty()) return polylineOf(edge);
    const double from = edge.ccw ? edge.angle1 : -edge.angle2, to = edge.ccw ? edge.angle2 : -edge.angle1;
    const Point centre{edge.cx, edge.cy};
    switch (edge.type) {
    case 1: {
        Contour out{{edge.x1, edge.y1}, {}, false};
        out.lineTo({edge.x2, edge.y2});
        return out;
    }
    case 2: return ellipseArc(centre, {edge.radius, 0}, {0, edge.radius}, from, to);
    case 3: {
        const Point major{edge.mx, edge.my}, minor = Point{-major.y, major.x} * edge.ratio;
        const double turn = 2 * std::numbers::pi, all = std::abs(to - from);
        if (all > turn - 1e-6) return ellipseArc(centre, major, minor, 0, turn);
        return ellipseArc(centre, major, minor, parameterAt(from, edge.ratio), parameterAt(to, edge.ratio));
    }
    case 4: return splineOf(edge);
    default: return {};
    }
}

Contour hatchLoop(const std::vector<Contour>& edges) {
    shape::Box box;
    for (const auto& edge : edges)
        box.take(boundsOf(edge));
    if (box.isEmpty()) return {};
    const double reach = std::max(std::hypot(box.width(), box.height()) * 1e-4, 1e-9);
    auto chains = shape::joinEnds(edges, reach);
    auto best = std::max_element(chains.begin(), chains.end(), [](const auto& a, const auto& b) {
        return a.parts.size() < b.parts.size();
    });
    best->contour.closed = true;
    return std::move(best->contour);
}

} // namespace up::intake
