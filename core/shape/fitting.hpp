// SPDX-License-Identifier: GPL-3.0-or-later
// Smooth curves through points that lie close together.
#pragma once

#include "core/shape/path.hpp"

namespace up::shape {

/// A closed contour of cubics no further than `tolerance` mm from the ring's points and edges. Corners that
/// turn by more than 25° stay corners. Rings of under five points come back as they are. Source: Schneider,
/// "An Algorithm for Automatically Fitting Digitized Curves", Graphics Gems, 1990.
[[nodiscard]] Contour fitted(const Ring& ring, double tolerance);

/// The same for an open line of two points or more; its ends stay.
[[nodiscard]] Contour fittedLine(const Polyline& line, double tolerance);

/// Edge and holes of an outline of straight stretches. An outline with curves comes back as it is.
[[nodiscard]] Outline fitted(const Outline& outline, double tolerance);

} // namespace up::shape
