// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/doubts.hpp"

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

} // namespace

Doubts doubtsOf(const quilt::Block& block, const BlockPlan& plan, const BlockPlan* planBefore,
                const Doubts* before) {
    const std::size_t count = block.pieces.size();
    const bool known = planBefore && before && before->peeks.size() == count;
    const auto anew = known ? touched(plan, *planBefore) : std::vector<bool>(count, true);
    const auto within = shape::rectangle(finishedBox(block));
    Doubts out;
    out.peeks.resize(count), out.shorts.resize(count);
    for (std::size_t i = 0; i < count; ++i) {
        if (block.pieces[i].liningOf) continue;
        if (!anew[i]) {
            out.peeks[i] = before->peeks[i], out.shorts[i] = before->shorts[i];
            continue;
        }
        out.shorts[i] = stack::shortfalls(tuckedIn(plan, i), block.underlap.mm());
        // What nobody sees is told of as a whole.
        if (plan.visible[i].area() < stack::leastOverlap) continue;
        out.peeks[i] = stack::peeksOf(plan.regions, i, plan.above[i], plan.cover[i], plan.visible[i], within);
        dropTheSame(out.peeks[i], out.shorts[i]);
    }
    return out;
}

} // namespace up::plan
