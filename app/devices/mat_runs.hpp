// SPDX-License-Identifier: GPL-3.0-or-later
// A block on the mats of a cutting machine, and what the machine makes of each.
#pragma once

#include "app/devices/cutter.hpp"
#include "core/plan/trace/machine_plan.hpp"
#include "core/sheet/sheet.hpp"

namespace up::app {

/// One mat with what is cut from it and the blade's way.
struct MatRun {
    plan::Mat mat;
    sheet::Page page;
    Result<CutRun> run;
    std::vector<std::pair<std::string, shape::Point>> numbers; ///< of the pieces, and where they stand
    bool cut = false;                                          ///< the machine has been through it
};

/// The pieces on the mat that the machine does not refuse.
[[nodiscard]] std::vector<PieceId> cutBy(const MatRun& run);

struct MatRuns {
    plan::MachinePlan plan;
    std::vector<MatRun> mats;
};

/// Lays the block's pieces out on mats of the cutter's size and asks it what it makes of them. Takes as long as
/// plan::planMachine, whose errors it has.
[[nodiscard]] Result<MatRuns> matRunsOf(const quilt::Quilt& quilt, BlockId block,
                                        plan::MachineOptions options, Cutter& cutter, Job& job);

} // namespace up::app
