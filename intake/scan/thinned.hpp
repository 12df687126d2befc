// SPDX-License-Identifier: GPL-3.0-or-later
// Lines of ink to the lines along their middles.
#pragma once

#include "core/shape/ring.hpp"
#include "intake/scan/mask.hpp"

namespace up::intake {

/// What is left when lines are made one dot wide; every connected set stays connected. Source: Zhang & Suen,
/// "A Fast Parallel Algorithm for Thinning Digital Patterns", 1984.
[[nodiscard]] Mask thinned(const Mask& mask);

/// The lines of a thinned mask, in dots, from one end to the other; where lines cross, those that go
/// straight on are one. A line that comes back to itself ends where it began. Twigs shorter than `spur` dots
/// are what thinning leaves of rough edges, and are left out.
[[nodiscard]] std::vector<shape::Polyline> linesOf(const Mask& thin, double spur);

} // namespace up::intake
