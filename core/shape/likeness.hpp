// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes that are the same but for turning or mirroring; shapes that are their own mirror image.
#pragma once

#include "core/shape/region.hpp"

#include <optional>
#include <vector>

namespace up::shape {

/// A shape prepared for comparing: its edge as points at equal distances, about its centre of area.
class Profile {
public:
    Profile() = default;
    /// `region` is one island; only its outer ring is compared point by point, holes count when a match is
    /// proved.
    explicit Profile(const Region& region);

    [[nodiscard]] Point centre() const { return m_centre; }
    [[nodiscard]] double area() const { return m_area; }
    /// From the centre to the farthest point of the edge, mm.
    [[nodiscard]] double reach() const { return m_reach; }
    /// mm between two points of the edge.
    [[nodiscard]] double step() const { return m_step; }
    [[nodiscard]] bool isEmpty() const { return m_edge.empty(); }
    [[nodiscard]] const std::vector<Point>& edge() const { return m_edge; } ///< relative to the centre
    [[nodiscard]] const Region& region() const { return m_region; }
    /// Distances of the edge points from the centre, the smallest first: the same however the shape is
    /// turned.
    [[nodiscard]] const std::vector<double>& radii() const { return m_radii; }
    /// How far the edge is from the centre all round point `i`: there any point is looked for that comes to
    /// lie on it, however the shape is turned.
    struct Band {
        double own = 0, low = 0, high = 0; ///< mm: of the point itself, of the edge near it
    };
    [[nodiscard]] const std::vector<Band>& bands() const { return m_bands; }
    /// The same, each of the three sorted by itself.
    [[nodiscard]] const std::vector<Band>& sortedBands() const { return m_sorted; }
    [[nodiscard]] const Ring& outer() const { return m_outer; }
    /// The edge of `outer` that point `i` of `edge` lies on.
    [[nodiscard]] std::size_t segmentOf(std::size_t i) const { return m_segment[i]; }

private:
    [[nodiscard]] std::vector<Band> bandsOf() const;
    Region m_region;
    Ring m_outer;
    std::vector<Point> m_edge;
    std::vector<double> m_radii;
    std::vector<Band> m_bands, m_sorted;
    std::vector<std::size_t> m_segment;
    Point m_centre;
    double m_area = 0, m_reach = 0, m_step = 0;
};

/// 1/32 in, less on pieces so small that everything would be alike. Source: common practice.
[[nodiscard]] double likenessTolerance(const Profile& profile);

struct Axis {
    Point through;
    double direction = 0; ///< radians from +x towards +y, 0 ≤ direction < π
    double worst = 0;     ///< mm: how far the mirrored edge is from the edge where it is farthest
};

/// The axis about which the shape is its own mirror image within `tolerance` mm everywhere, if there is one:
/// the best of them, the most upright one among equals. Such a shape, reversed, is itself again after
/// turning. Method: the edge is correlated with its own mirror image over all starting points, as in Wolter,
/// Woo & Volz, "Optimal Algorithms for Symmetry Detection in Two and Three Dimensions", 1985, with sums
/// instead of words; the best candidates are proved by the distance between edge and mirrored edge.
[[nodiscard]] std::optional<Axis> mirrorAxis(const Profile& profile, double tolerance);

struct Match {
    bool mirrored = false;
    double turn = 0;  ///< radians, from +x towards +y: what `a` (mirrored left for right first) is turned by
                      ///< to lie on `b`
    double worst = 0; ///< mm
};

/// Whether `b` is `a` moved and turned, or moved, turned and mirrored, within `tolerance` mm everywhere. When
/// both hold (a symmetric shape) it is not mirrored.
[[nodiscard]] std::optional<Match> match(const Profile& a, const Profile& b, double tolerance);

} // namespace up::shape
