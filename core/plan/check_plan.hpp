// SPDX-License-Identifier: GPL-3.0-or-later
// All checks of a block or a quilt, most serious first.
#pragma once

#include "core/check/finding.hpp"
#include "core/plan/block_plan.hpp"

namespace up::plan {

/// Narrower parts are too thin for a satin edge of about 1/8 in with fabric between. Source: common practice.
inline constexpr measure::Length thinnest = measure::Length::ofInches(3, 32);
/// A tip may taper to nothing over this length (a leaf); longer is a thin part. Source: common practice.
inline constexpr measure::Length longestPoint = measure::Length::ofInches(1, 2);

[[nodiscard]] std::vector<check::Finding> checkBlock(const quilt::Quilt& quilt, const quilt::Block& block,
                                                     const BlockPlan& plan);
[[nodiscard]] std::vector<check::Finding> checkQuilt(const quilt::Quilt& quilt);

/// How far the piece must move to lie inside the finished edge; nothing when it is too large for that.
[[nodiscard]] std::optional<shape::Point> moveInside(const quilt::Block& block, const shape::Region& piece);

} // namespace up::plan
