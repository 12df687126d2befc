// SPDX-License-Identifier: GPL-3.0-or-later
// How near two regions come to each other, without making either larger.
#pragma once

#include "core/shape/region.hpp"

namespace up::shape {

/// Whether some point of one and some point of the other are less than `distance` apart, mm; so too when they
/// overlap, or one lies within the other. Nothing is near what is empty. Method: edges against edges, boxes
/// first; edges that do not cross are nearest at one of their ends.
[[nodiscard]] bool areNearer(const Region& a, const Region& b, double distance);

} // namespace up::shape
