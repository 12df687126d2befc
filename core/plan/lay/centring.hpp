// SPDX-License-Identifier: GPL-3.0-or-later
// Whether a design sits in the middle of its block, and how far it must move to do so.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

/// From the finished edges to the design's box, mm; negative where it reaches over.
struct Gaps {
    double left = 0, right = 0, top = 0, bottom = 0;
};
/// Nothing for a block without pieces.
[[nodiscard]] std::optional<Gaps> gapsOf(const quilt::Block& block, const BlockPlan& plan);

enum class Centre : std::uint8_t {
    box,   ///< equal gaps on either side, above and below
    weight ///< the middle of the area that shows lies in the middle of the block
};

/// How far the design must move, mm. By weight it never comes so high that the gap at the top is smaller than
/// the one at the bottom: it would look as if it slipped up. Source of that rule: common practice. Nothing
/// for a design that runs off the block, which lies where its edges are, and for one without pieces.
[[nodiscard]] std::optional<shape::Point> centring(const quilt::Block& block, const BlockPlan& plan,
                                                   Centre how);

} // namespace up::plan
