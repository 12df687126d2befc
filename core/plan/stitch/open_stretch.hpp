// SPDX-License-Identifier: GPL-3.0-or-later
// How far it is from stitch to stitch: batting must be held closer than its maker says.
#pragma once

#include "core/plan/stitch/stitch_plan.hpp"

namespace up::plan {

/// The largest circle without a stitch in it.
struct OpenStretch {
    PieceId piece; ///< in what shows of it; none: on the background
    shape::Point at;
    measure::Length across;
};

/// Of each piece that shows and of the background within the finished block, whose own edge is sewn, the widest first;
/// to a twentieth of an inch. Edges and marks are taken as stitched once all is done; edges that are not stitched one by
/// one (all-over quilting) give none.
[[nodiscard]] std::vector<OpenStretch> openStretches(const quilt::Block& block, const BlockPlan& plan,
                                                     const StitchPlan& stitching);

} // namespace up::plan
