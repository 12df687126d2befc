// SPDX-License-Identifier: GPL-3.0-or-later
// Circles and ellipses as cubic Bézier curves. One cubic for each quarter turn or less: off by less than 0.03
// % of the radius.
#pragma once

#include "core/shape/path.hpp"

namespace up::shape {

/// An ellipse as four cubics, clockwise on the page from its rightmost point.
[[nodiscard]] Contour ellipse(Point centre, double rx, double ry);

/// From the contour's end along an ellipse with these radii, its own x turned by `turn`, to `end`; the longer
/// way round when `large`, from +x towards +y when `sweep`. Radii that cannot reach are enlarged. Source: SVG
/// 2, appendix B.2.4.
void arcTo(Contour& to, double rx, double ry, measure::Angle turn, bool large, bool sweep, Point end);

/// Appends an arc about `centre`: the point at angle t is centre + cos(t)·major + sin(t)·minor. The contour's
/// end must be the point at `start`. `span` in radians, either sign. Source: Riškus, "Approximation of a
/// cubic Bézier curve by circular arcs and vice versa", 2006.
void arcAbout(Contour& to, Point centre, Point major, Point minor, double start, double span);

} // namespace up::shape
