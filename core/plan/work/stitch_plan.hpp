// SPDX-License-Identifier: GPL-3.0-or-later
// A block through the stitching engine: which edges, in which order, with which thread, how long.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

struct StitchRun {
    PieceId piece;
    ThreadId thread;
    std::vector<shape::Polyline> edges; ///< what shows of its edge, cut off at the block's cut size
    measure::Length length;
    bool done = false;
};

struct StitchPlan {
    std::vector<StitchRun> runs; ///< in sewing order
    int threadChanges = 0;
    bool fewest = true;
};

/// Every piece with a visible edge, the lower before the upper, grouped by thread as far as that allows.
/// Pieces already stitched come first and don't count for thread changes.
[[nodiscard]] StitchPlan planStitching(const quilt::Block& block, const BlockPlan& plan);

/// Thread for a satin or blanket edge, needle and bobbin together, as a multiple of the seam. From memory.
inline constexpr int threadPerSeam = 3;

} // namespace up::plan
