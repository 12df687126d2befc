// SPDX-License-Identifier: GPL-3.0-or-later
// Closed rings of points: measures that need no boolean operation.
#pragma once

#include "core/shape/point.hpp"

#include <optional>
#include <vector>

namespace up::shape {

using Ring = std::vector<Point>; ///< closed without repeating the first point; under three points: empty
using Rings = std::vector<Ring>;
using Polyline = std::vector<Point>; ///< open

/// Signed, in mm²; positive when the ring runs from +x towards +y. Source: shoelace formula.
[[nodiscard]] double signedArea(const Ring& ring);
[[nodiscard]] Box boundsOf(const Ring& ring);
/// Whole way round, in mm.
[[nodiscard]] double perimeter(const Ring& ring);
/// From end to end, in mm.
[[nodiscard]] double lengthOf(const Polyline& line);
/// The point `along` mm from the start of the line; the ends beyond them. `line` is not empty.
[[nodiscard]] Point pointAlong(const Polyline& line, double along);
/// Inside by the even-odd rule; points on the edge go either way.
/// Source: crossing number, e.g. Haines, "Point in Polygon Strategies", Graphics Gems IV, 1994.
[[nodiscard]] bool contains(const Ring& ring, Point p);
/// Where an edge properly crosses another, of the same ring or of another one, if any does; edges that only
/// touch do not. Method: a line swept across the page, each edge tried with those it has reached.
[[nodiscard]] std::optional<Point> firstCrossing(const Rings& rings);
/// Distance from `p` to the nearest edge of the ring, in mm.
[[nodiscard]] double distanceTo(const Ring& ring, Point p);

} // namespace up::shape
