// SPDX-License-Identifier: GPL-3.0-or-later
// How wide a shape is, place by place: the true width across, not that of its box.
#pragma once

#include "core/shape/region.hpp"

#include <vector>

namespace up::shape {

/// The largest circle within the shape that touches its edge at `from`; `to` is where else it touches.
struct Across {
    Point from, to, middle;
    double width = 0; ///< its diameter, mm
    double facing =
        0; ///< radians between the two touching points, seen from the middle; π when straight across
};

/// A corner of the edge, turns within a short stretch taken together.
struct Corner {
    Point at;
    double opening = 0; ///< radians between its sides, measured in the shape: under π it points outwards
    Point inwards{};    ///< unit vector along the middle of the opening, into the shape
};

/// Where the edge turns by more than 60° within a millimetre, or less on small shapes.
[[nodiscard]] std::vector<Corner> cornersOf(const Region& region);

/// Widths measured from points of the edge at most `step` mm apart (less on small shapes), and the corners.
struct Widths {
    std::vector<Across> across; ///< only those that lie between opposite edges
    Across widest;              ///< the largest circle of all
    std::vector<Corner> corners;
    double length = 0; ///< of the shape: the longer side of its box, mm
};

/// Method: a circle is shrunk from the inside onto each point of the edge until nothing of the edge is within
/// it: Ma, Bae & Choi, "3D medial axis point approximation using nearest neighbors and the normal field",
/// 2012, in the plane and against edges instead of points.
[[nodiscard]] Widths widthsOf(const Region& region, double step = 1.0);

/// A part narrower than was asked for.
struct Narrow {
    Across narrowest;
    double length = 0;  ///< how far the narrow part reaches, mm
    bool isTip = false; ///< it ends in a point
};

/// Everything about `widths` scales with the shape; a tip may taper to nothing over `tip` mm (or a third of a
/// shorter shape) and doesn't count there. `scale` asks about the shape at another size, in lengths of that
/// size.
[[nodiscard]] std::vector<Narrow> narrowParts(const Widths& widths, double limit, double tip,
                                              double scale = 1);

/// The narrowest place of all, tips aside.
[[nodiscard]] Across narrowest(const Widths& widths, double tip, double scale = 1);

} // namespace up::shape
