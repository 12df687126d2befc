// SPDX-License-Identifier: GPL-3.0-or-later
// The boundary of a filled area in DXF.
#pragma once

#include "core/shape/path.hpp"

#include <vector>

struct DL_HatchEdgeData;

namespace up::intake {

/// One edge of a boundary path: a line, an arc, a part of an ellipse, a spline, or a whole polyline. Empty
/// when it is none of these. Source: DXF reference, HATCH, boundary path data; arcs and ellipses that run
/// clockwise have their angles counted clockwise.
[[nodiscard]] shape::Contour hatchEdge(const DL_HatchEdgeData& edge);

/// The edges of one boundary path, in any order, end to end; closed. Empty when there are none.
[[nodiscard]] shape::Contour hatchLoop(const std::vector<shape::Contour>& edges);

} // namespace up::intake
