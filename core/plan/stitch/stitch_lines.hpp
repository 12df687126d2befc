// SPDX-License-Identifier: GPL-3.0-or-later
// Every stitch of a block as it will lie.
#pragma once

#include "core/plan/stitch/stitch_plan.hpp"

namespace up::plan {

/// From hole to hole along that run of the block.
[[nodiscard]] shape::Polyline stitchLine(const quilt::Block& block, const BlockPlan& plan,
                                         const StitchRun& run);

} // namespace up::plan
