// SPDX-License-Identifier: GPL-3.0-or-later
// A piece that is let go near a crease is meant to lie on it.
#pragma once

#include "core/plan/block/ground_plan.hpp"
#include "core/shape/region.hpp"

namespace up::plan {

/// So near, 1/16 in, nobody means anything else. Common practice, no source.
inline constexpr Length snapReach = Length::ofInches(1, 16);

/// How far the piece must move so that its middle or one of its sides lies on an upright crease and on a
/// level one, whichever are within reach; nothing when none is, or when it lies there already. mm.
[[nodiscard]] std::optional<shape::Point> snapBy(const shape::Region& piece, const GroundPlan& ground);

} // namespace up::plan
