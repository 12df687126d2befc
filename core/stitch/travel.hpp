// SPDX-License-Identifier: GPL-3.0-or-later
// From one place to another without stitching an edge: through the seam allowance, or by a jump in the open.
#pragma once

#include "core/shape/ring.hpp"

#include <optional>

namespace up::stitch {

struct Travel {
    bool throughSeam = false;
    shape::Polyline points;
};

/// Where needle and thread may go on a block.
struct Field {
    shape::Box finished;
    double jump = 0; ///< mm: longest in the open; 0: none
};

/// As good as on the finished edge, or beyond it, mm.
inline constexpr double onBorder = 0.1;
[[nodiscard]] bool isInSeam(const Field& field, shape::Point p);

struct Way {
    double jump = 0, seam = 0; ///< mm in all
    std::vector<Travel> travels;
};

/// The way with the least jumping: straight, or to the seam allowance and through it. None that is short enough:
/// nothing.
[[nodiscard]] std::optional<Way> wayBetween(const Field& field, shape::Point from, shape::Point to);

} // namespace up::stitch
