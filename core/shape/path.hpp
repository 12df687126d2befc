// SPDX-License-Identifier: GPL-3.0-or-later
// Outlines as cubic Bézier curves: what a template is kept as.
#pragma once

#include "core/shape/ring.hpp"
#include "core/shape/transform.hpp"

#include <vector>

namespace up::shape {

/// Flattened lines stay this close to the true curve, in mm, unless said.
inline constexpr double defaultTolerance = 0.05;

struct Cubic {
    Point control1, control2, end;
    bool operator==(const Cubic&) const = default;
};

/// A run of cubic curves. Closed contours return to `start`; the last stretch is straight when the curves
/// don't.
struct Contour {
    Point start;
    std::vector<Cubic> curves;
    bool closed = true;
    bool operator==(const Contour&) const = default;

    void lineTo(Point p);
    void curveTo(Point control1, Point control2, Point end) { curves.push_back({control1, control2, end}); }
    [[nodiscard]] Point end() const { return curves.empty() ? start : curves.back().end; }
};

/// One template: an edge and the holes in it. The edge and each hole are closed.
struct Outline {
    Contour edge;
    std::vector<Contour> holes;
    bool operator==(const Outline&) const = default;
};

/// Points no further than `tolerance` mm from the curve, without repeating the start of a closed contour.
/// Source: Wang's bound on the number of steps (Goldman, "Pyramid Algorithms", 2003, ch. 5.6.3).
[[nodiscard]] Polyline flattened(const Contour& contour, double tolerance = defaultTolerance);

/// The edge first, then the holes; neighbouring equal points removed. Directions as drawn.
[[nodiscard]] Rings flattened(const Outline& outline, double tolerance = defaultTolerance);

[[nodiscard]] Contour transformed(const Contour& contour, const Transform& by);
[[nodiscard]] Outline transformed(const Outline& outline, const Transform& by);

/// The exact box of the curves, not of their control points.
[[nodiscard]] Box boundsOf(const Contour& contour);
[[nodiscard]] Box boundsOf(const Outline& outline);

/// Signed area of a closed contour in mm², exact for the curves (Green's theorem on each cubic).
[[nodiscard]] double signedArea(const Contour& contour);

/// Straight stretches through the points.
[[nodiscard]] Contour contourThrough(const Ring& ring);

} // namespace up::shape
