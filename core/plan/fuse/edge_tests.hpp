// SPDX-License-Identifier: GPL-3.0-or-later
// Where edges are most likely to lift once a block is pressed.
#pragma once

#include "core/plan/fuse/block_heat.hpp"

#include <numbers>

namespace up::plan {

/// Of each of those pieces its sharpest tip that shows, or its edge where it lies thick: what gets least heat first,
/// then the sharper ones, then those on more layers. Others have no such place.
[[nodiscard]] std::vector<EdgeTest> edgeTests(const quilt::Block& block, const BlockPlan& plan,
                                              const BlockHeat& heat, const std::vector<std::size_t>& pieces);

/// A corner that opens less, in radians, is a tip. Source: common practice.
inline constexpr double sharpCorner = std::numbers::pi / 3;

} // namespace up::plan
