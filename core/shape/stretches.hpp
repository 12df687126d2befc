// SPDX-License-Identifier: GPL-3.0-or-later
// An edge in the parts that a hand would point at: from corner to corner.
#pragma once

#include "core/shape/path.hpp"

namespace up::shape {

/// Open runs of a closed edge between corners that turn by more than 30°; with fewer than two corners, four
/// runs of about equal length. In order round the edge; together they are all of it.
[[nodiscard]] std::vector<Contour> stretchesOf(const Contour& edge);

/// Whether each point of the line is within `reach` mm of one of the others.
[[nodiscard]] bool liesAlong(const Contour& line, const std::vector<Contour>& others, double reach);

/// mm from the point to the line.
[[nodiscard]] double distanceTo(const Contour& line, Point p);

} // namespace up::shape
