// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/stitch_lines.hpp"

#include "core/plan/stitch/stitch_kind.hpp"
#include "core/stitch/stitches.hpp"

namespace up::plan {

shape::Polyline stitchLine(const quilt::Block& block, const BlockPlan& plan, const StitchRun& run) {
    const auto at = static_cast<std::size_t>(quilt::numberOf(block, run.piece)) - 1;
    return stitch::stitchesAlong(run.line, repeatOf(run.edge),
                                 run.isEdge ? plan.regions[at] : shape::Region());
}

} // namespace up::plan
