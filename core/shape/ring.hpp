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
struct Crossings {
    std::size_t count = 0;        ///< up to what was asked for
    std::optional<Point> first{}; ///< one of them
    bool tooMany = false;         ///< `most` were found, or it took too long to look at all
};
/// Where edges properly cross, of the same ring or of different ones; edges that only touch do not. Looks
/// until `most` are found. Method: a line swept across the page, each edge tried with those it has reached.
[[nodiscard]] Crossings crossingsOf(const Rings& rings, std::size_t most);
/// One crossing, if there is any.
[[nodiscard]] inline std::optional<Point> firstCrossing(const Rings& rings) {
    return crossingsOf(rings, 1).first;
}
/// Distance from `p` to the nearest edge of the ring, in mm.
[[nodiscard]] double distanceTo(const Ring& ring, Point p);

} // namespace up::shape
