// SPDX-License-Identifier: GPL-3.0-or-later
// The outlines themselves, upright about the origin, mm. Measures are sane (see pattern::validate). For the
// .cpp files of this room only.
#pragma once

#include "core/shape/path.hpp"

namespace up::pattern {

[[nodiscard]] shape::Outline ring(double across, double band);
/// Pointed at both ends; `fullest` from 0 at the top to 1.
[[nodiscard]] shape::Outline leaf(double length, double width, double fullest);
/// Pointed below, round above.
[[nodiscard]] shape::Outline petal(double length, double width);
/// Round below, straight sides that meet above.
[[nodiscard]] shape::Outline teardrop(double length, double width);
[[nodiscard]] shape::Outline heart(double width, double height);
/// Between two equal circles; its horns point right.
[[nodiscard]] shape::Outline crescent(double across, double thick);
/// The first point at the top; `inner` across the inner corners.
[[nodiscard]] shape::Outline star(int points, double across, double inner);
/// Scallops all round; `depth` from the top of a scallop down to the notch.
[[nodiscard]] shape::Outline flower(int scallops, double across, double depth);
[[nodiscard]] shape::Outline strip(double length, double width, double corner);
/// Upright; `below` and `above`: how far its line is bent to the right in its lower and upper half.
[[nodiscard]] shape::Outline stem(double length, double width, double tip, double below, double above);

} // namespace up::pattern
