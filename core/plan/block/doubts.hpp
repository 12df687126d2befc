// SPDX-License-Identifier: GPL-3.0-or-later
// What is doubtful about how a block's pieces lie: what peeks out, and what does not reach far enough under.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/stack/peeking.hpp"
#include "core/stack/underlap.hpp"

namespace up::plan {

/// Of each piece as the lower one; indices as in the block.
struct Doubts {
    std::vector<std::vector<stack::Peek>> peeks;
    std::vector<std::vector<stack::Short>> shorts;
};

/// `before` are the doubts of `planBefore`, a plan of the block as it was: only what is touched since is
/// looked at anew. Linings lie just inside what covers them on purpose: of them nothing is doubtful.
[[nodiscard]] Doubts doubtsOf(const quilt::Block& block, const BlockPlan& plan,
                              const BlockPlan* planBefore = nullptr, const Doubts* before = nullptr);

/// One piece among the others, as the stack's rooms want it.
[[nodiscard]] inline stack::Tucked tuckedIn(const BlockPlan& plan, std::size_t piece) {
    return {plan.regions, piece, plan.above[piece], plan.cover[piece], plan.visible[piece]};
}

} // namespace up::plan
