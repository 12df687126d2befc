// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/doubts.hpp"

#include "core/base/job.hpp"
#include "core/plan/block/plan_kept.hpp"

#include <algorithm>

namespace up::plan {
namespace {

/// Where two pieces fall short of each other anyway, an edge that nearly shows there is the same matter.
void dropTheSame(std::vector<stack::Peek>& peeks, const std::vector<stack::Short>& shorts) {
    std::erase_if(peeks, [&](const stack::Peek& peek) {
        return std::any_of(shorts.begin(), shorts.end(), [&](const stack::Short& s) {
            return s.upper == peek.upper && peek.where.bounds().grownBy(stack::peekLimit).holds(s.spot);
        });
    });
}

/// As it was, by the positions that the pieces have now.
void take(Doubts& out, std::size_t i, const Doubts& before, const PlanKept& kept) {
    out.peeks[i] = before.peeks[kept.was[i]], out.shorts[i] = before.shorts[kept.was[i]];
    for (auto& peek : out.peeks[i])
        peek.lower = kept.isNow[peek.lower], peek.upper = kept.isNow[peek.upper];
    for (auto& one : out.shorts[i])
        one.lower = kept.isNow[one.lower], one.upper = kept.isNow[one.upper];
}

} // namespace

Doubts doubtsOf(const quilt::Block& block, const BlockPlan& plan, const BlockPlan* planBefore,
                const Doubts* before) {
    const std::size_t count = block.pieces.size();
    const bool known = planBefore && before && before->peeks.size() == planBefore->regions.size();
    const auto kept = known ? PlanKept(plan, *planBefore) : PlanKept(count);
    const auto within = shape::rectangle(finishedBox(block));
    Doubts out;
    out.peeks.resize(count), out.shorts.resize(count);
    for (std::size_t i = 0; i < count; ++i) {
        if (block.pieces[i].liningOf) continue;
        if (!kept.touched[i]) {
            take(out, i, *before, kept);
            continue;
        }
        breathe();
        out.shorts[i] = stack::shortfalls(tuckedIn(plan, i), block.underlap.mm());
        // What nobody sees is told of as a whole.
        if (plan.visible[i].area() < stack::leastOverlap) continue;
        out.peeks[i] = stack::peeksOf(plan.regions, i, plan.above[i], plan.cover[i], plan.visible[i], within);
        dropTheSame(out.peeks[i], out.shorts[i]);
    }
    return out;
}

} // namespace up::plan
