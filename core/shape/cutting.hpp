// SPDX-License-Identifier: GPL-3.0-or-later
// A shape cut in two by a straight line, curves kept.
#pragma once

#include "core/shape/path.hpp"

namespace up::shape {

struct CutParts {
    std::vector<Outline> left, right; ///< of the way from a to b as seen on the page, largest first
};

/// Cuts along the endless line through a and b (which differ). A shape that the line misses is whole on its
/// side. Method: each curve is split where it crosses the line; the crossings, in order along the line, are
/// joined in pairs, since the line is in the shape between the first and second, third and fourth, and so on.
[[nodiscard]] CutParts cutBy(const Outline& outline, Point a, Point b);

} // namespace up::shape
