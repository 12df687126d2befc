// SPDX-License-Identifier: GPL-3.0-or-later
// What an older plan of a block still says about it, whatever has been moved, added, taken away or restacked since.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

struct PlanKept {
    static constexpr std::size_t none = static_cast<std::size_t>(-1);

    std::vector<std::size_t>
        was; ///< of each piece: its position in the older plan; `none` when it is new or changed
    std::vector<std::size_t>
        isNow; ///< of each position in the older plan; `none` when that piece is gone or changed
    std::vector<bool> settled; ///< of each piece: neither it nor its place among the settled ones has changed
    std::vector<bool> touched; ///< of each piece: not settled, or near what is not: it may look different

    /// Everything is new: there is no older plan.
    explicit PlanKept(std::size_t count) : was(count, none), settled(count, false), touched(count, true) {}
    /// Two plans whose regions are known.
    PlanKept(const BlockPlan& now, const BlockPlan& before);
};

} // namespace up::plan
