// SPDX-License-Identifier: GPL-3.0-or-later
// What is cut away once a piece is stitched: behind it, or over it within its line.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

/// Inside the stitching, from the back. Source: common practice.
inline constexpr measure::Length behindMargin = measure::Length::ofInches(1, 4);
/// Inside the stitching of a piece from behind, from the front. Source: common practice.
inline constexpr measure::Length holeMargin = measure::Length::ofInches(1, 16);

struct CutAway {
    PieceId piece;
    bool fromBack = true;         ///< else from the front: a hole over a piece that lies behind
    shape::Region where;          ///< on the block, as seen from the front; empty: it is too narrow
    std::vector<PieceId> through; ///< besides the background, lowest first
};

/// Nothing for a piece of which nothing is to be cut. From the back the scissors keep as far from all stitching of pieces
/// above it that is done.
[[nodiscard]] std::optional<CutAway> cutAwayOf(const quilt::Block& block, const BlockPlan& plan,
                                               std::size_t index);

} // namespace up::plan
