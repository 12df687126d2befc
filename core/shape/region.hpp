// SPDX-License-Identifier: GPL-3.0-or-later
// Areas of the plane: booleans, offsets, clipping of lines. The one bridge to the polygon clipping library.
#pragma once

#include "core/shape/path.hpp"
#include "core/shape/ring.hpp"

#include <cstdint>

namespace up::shape {

/// A set of points with straight edges. Rings do not cross; outer ones have positive area, holes negative.
/// Coordinates are held to 0.0001 mm; beyond ±50 m points are clamped.
struct Region {
    Rings rings;
    bool operator==(const Region&) const = default;
    [[nodiscard]] bool isEmpty() const { return rings.empty(); }
    /// In mm².
    [[nodiscard]] double area() const;
    [[nodiscard]] Box bounds() const;
    [[nodiscard]] bool contains(Point p) const;
};

enum class Fill : std::uint8_t { evenOdd, nonZero };

/// What rings of any direction, crossing themselves or each other, cover. Empty and flat rings vanish.
[[nodiscard]] Region regionOf(const Rings& rings, Fill rule = Fill::evenOdd);
[[nodiscard]] Region regionOf(const Outline& outline, double tolerance = defaultTolerance);

[[nodiscard]] Region unite(const std::vector<Region>& regions);
[[nodiscard]] Region unite(const Region& a, const Region& b);
[[nodiscard]] Region intersect(const Region& a, const Region& b);
[[nodiscard]] Region subtract(const Region& from, const Region& what);

/// Grows (`by` > 0) or shrinks (`by` < 0) by that many mm; round corners stay within `sag` mm of the true
/// arc, on its inner side. Shrinking past the middle leaves nothing. Source: Chen & McMains, "Polygon
/// Offsetting by Computing Winding Numbers", 2005; done by Clipper 6.
[[nodiscard]] Region offset(const Region& region, double by, double sag = defaultTolerance);

enum class Cap : std::uint8_t { butt, square, round };
enum class Join : std::uint8_t { round, mitre, bevel };

/// The band a pen of that width, in mm, draws along a line; `closed` lines have no ends.
[[nodiscard]] Region band(const Polyline& line, bool closed, double width, Cap cap = Cap::butt,
                          Join join = Join::round, double sag = defaultTolerance);

/// Each outer ring with the holes directly in it.
[[nodiscard]] std::vector<Region> islands(const Region& region);

/// An outline of straight stretches for each island.
[[nodiscard]] std::vector<Outline> outlinesOf(const Region& region);

[[nodiscard]] Region transformed(const Region& region, const Transform& by);

/// The stretches of an open line that lie in the region, or outside it; in no particular order.
[[nodiscard]] std::vector<Polyline> inside(const Polyline& line, const Region& region);
[[nodiscard]] std::vector<Polyline> outside(const Polyline& line, const Region& region);

[[nodiscard]] Region rectangle(const Box& box);

/// Fewer points, each old point within `tolerance` mm of the new edge. Steps smaller than that vanish. Source:
/// Douglas & Peucker, "Algorithms for the Reduction of the Number of Points…", 1973.
[[nodiscard]] Region simplified(const Region& region, double tolerance);

/// Fewer points, each old point within `tolerance` mm of the new edge and no piece of the region lost:
/// grown by the tolerance first, so the result covers the region.
[[nodiscard]] Region coveringSimplified(const Region& region, double tolerance);

} // namespace up::shape
