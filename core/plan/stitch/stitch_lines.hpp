// SPDX-License-Identifier: GPL-3.0-or-later
// Every stitch of a block as it will lie.
#pragma once

#include "core/plan/stitch/stitch_plan.hpp"

namespace up::plan {

/// From hole to hole along that run of the block; of several passes that lie apart a line for each.
[[nodiscard]] std::vector<shape::Polyline> stitchLines(const quilt::Block& block, const BlockPlan& plan,
                                                       const StitchRun& run);

/// Part of a line of stitches in one colour of the thread.
struct Shaded {
    Colour colour;
    shape::Polyline line;
};
/// The lines one after the other in the colours in which the thread comes off the spool, whose length is taken as that of
/// the stitches; of one colour they are as they were.
[[nodiscard]] std::vector<Shaded> shaded(const std::vector<shape::Polyline>& lines,
                                         const std::vector<Colour>& shades, measure::Length each);

/// The thread's colours, its first among them.
[[nodiscard]] std::vector<Colour> shadesOf(const quilt::Thread& thread);

} // namespace up::plan
