// SPDX-License-Identifier: GPL-3.0-or-later
// The curves of DXF as cubics. y up, in drawing units.
#pragma once

#include "core/shape/path.hpp"

namespace up::intake {

struct Vertex {
    shape::Point at;
    double bulge =
        0; ///< tangent of a quarter of the arc's angle to the next vertex, positive counter-clockwise
};

/// Straight stretches and arcs. Source: DXF reference, LWPOLYLINE, group 42.
[[nodiscard]] shape::Contour polyline(const std::vector<Vertex>& vertices, bool closed);

/// Part of an ellipse about `centre`, counter-clockwise from one parameter to the other, radians; closed when
/// it is all of it, as when both are the same.
[[nodiscard]] shape::Contour ellipseArc(shape::Point centre, shape::Point major, shape::Point minor,
                                        double start, double end);

struct Spline {
    int degree = 3;
    std::vector<double> knots;
    std::vector<shape::Point> points;
    std::vector<double> weights; ///< as many as points
    bool closed = false;
};

/// Each span between knots as one cubic: exact up to degree 3 with equal weights, else eight to a span, from
/// positions and directions at their ends. Empty when knots and points don't belong together. Source: de
/// Boor's algorithm on homogeneous points; Piegl & Tiller, "The NURBS Book", 1997, ch. 3 and 4.
[[nodiscard]] shape::Contour curveOf(const Spline& spline);

/// A smooth curve through points, each passed in the direction of its neighbours. Source: Catmull & Rom,
/// 1974.
[[nodiscard]] shape::Contour curveThrough(const std::vector<shape::Point>& points, bool closed);

} // namespace up::intake
