// SPDX-License-Identifier: GPL-3.0-or-later
// Which cut pieces are kept together until they are laid.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

struct Envelope {
    int unit = 0; ///< pieces that are fused together first; 0: pieces of one step, each by itself
    int step = 0; ///< from 0: in which of the stack's steps they go onto the block; a unit's lowest
    std::vector<PieceId> pieces; ///< bottom first
};

/// By step, units before the other pieces of theirs. Pieces that lie on the block already are in none.
[[nodiscard]] std::vector<Envelope> envelopesOf(const quilt::Block& block, const BlockPlan& plan);
[[nodiscard]] std::vector<Envelope> envelopesOf(const quilt::Block& block);

} // namespace up::plan
