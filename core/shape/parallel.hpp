// SPDX-License-Identifier: GPL-3.0-or-later
// Lines beside a line, and how it bends.
#pragma once

#include "core/shape/ring.hpp"

#include <optional>

namespace up::shape {

/// `off` mm to the right of the line's way (y runs down: clockwise of it), mitred at corners; where it bends more tightly than that the points that
/// would come nearer to the line are left out. A line of fewer than two points has nothing beside it.
[[nodiscard]] Polyline parallel(const Polyline& line, double off);

struct Bend {
    Point at;
    double radius = 0; ///< mm
};
struct Bends {
    std::optional<Bend> tightest; ///< between corners and ends; none: it is straight there
    std::size_t corners = 0;      ///< where it turns by more than 30° at once
    double turned = 0;            ///< radians from start to end between corners, > 0 clockwise
};

/// Seen over `reach` mm to either side of each place, so that no roughness of the line counts: the radius of the circle
/// through three points.
[[nodiscard]] Bends bendsOf(const Polyline& line, double reach);

} // namespace up::shape
