// SPDX-License-Identifier: GPL-3.0-or-later
// Where on a block that lies which is laid along a line or set at its places, and where the machine holds it.
#pragma once

#include "core/quilt/line.hpp"
#include "core/shape/region.hpp"

namespace up::quilt {

/// Where the machine stitches it, on the block, stroke by stroke: the stroke itself, or of what is laid along it the edges
/// that are held.
[[nodiscard]] std::vector<std::vector<shape::Polyline>> needleLines(const Line& line);
/// Of a stem, where its raw edges are laid: its seam is on its right as it runs.
[[nodiscard]] std::vector<shape::Polyline> rawEdges(const Line& line);
/// Where things are set: at strokes that are dots, and at equal distances along the others, those that are called for and
/// have no dot; two widths apart when nobody has counted.
[[nodiscard]] std::vector<shape::Point> thingsAt(const Line& line);
/// An edge as an open line that ends where it began and has what it goes round on its right; it begins at its lowest point,
/// so that its middle is at the top.
[[nodiscard]] shape::Contour alongEdge(const shape::Contour& edge);
/// What each of its strips covers, without its ends; none when none is laid along it.
[[nodiscard]] std::vector<shape::Region> laidAreas(const Line& line);
/// All together.
[[nodiscard]] shape::Region laidArea(const Line& line);

} // namespace up::quilt
