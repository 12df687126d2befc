// SPDX-License-Identifier: GPL-3.0-or-later
// All checks of a block or a quilt, most serious first.
#pragma once

#include "core/check/finding.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/judge_plan.hpp"

namespace up::plan {

[[nodiscard]] std::vector<check::Finding> checkBlock(const quilt::Quilt& quilt, const quilt::Block& block,
                                                     const BlockPlan& plan, const Judgement& judged,
                                                     const Doubts& doubts);
[[nodiscard]] std::vector<check::Finding> checkQuilt(const quilt::Quilt& quilt);

/// How far the piece must move to lie inside the finished edge; nothing when it is too large for that.
[[nodiscard]] std::optional<shape::Point> moveInside(const quilt::Block& block, const shape::Region& piece);

} // namespace up::plan
