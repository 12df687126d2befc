// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of a block: words, veins, legs.
#pragma once

#include "core/plan/finish/line_plan.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

/// All of them as lines: on paper to be traced, else in the colour of their floss and as broad as its strands, paler until
/// they are on the cloth. mm on the block.
[[nodiscard]] sheet::Layer lines(const quilt::Quilt& quilt, const quilt::Block& block, For whom);

/// Every stitch: full where it is made, thin as it was traced where it is to come. Lines of the machine whole.
[[nodiscard]] sheet::Layer handStitches(const quilt::Quilt& quilt, const quilt::Block& block,
                                        const plan::LinesPlan& plan);

/// Nothing to be seen: what a click near a line means.
[[nodiscard]] sheet::Layer lineTargets(const quilt::Block& block);

/// mm across: strands of floss beside and on each other. From memory: one is about 0.25 mm thick.
[[nodiscard]] double flossWidth(int strands);

} // namespace up::drawn
