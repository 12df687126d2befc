// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/cut/envelopes.hpp"

#include <algorithm>
#include <tuple>

namespace up::plan {

std::vector<Envelope> envelopesOf(const quilt::Block& block, const BlockPlan& plan) {
    std::vector<Envelope> out;
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto& piece = block.pieces[i];
        if (piece.work.step >= quilt::Step::laid) continue;
        const int step = plan.stack.step[i];
        const auto at = std::find_if(out.begin(), out.end(), [&](const Envelope& one) {
            return one.unit == piece.unit && (piece.unit != 0 || one.step == step);
        });
        if (at == out.end())
            out.push_back({piece.unit, step, {piece.id}});
        else
            at->pieces.push_back(piece.id), at->step = std::min(at->step, step);
    }
    std::stable_sort(out.begin(), out.end(), [](const Envelope& a, const Envelope& b) {
        return std::tuple(a.step, a.unit == 0, a.unit) < std::tuple(b.step, b.unit == 0, b.unit);
    });
    return out;
}

std::vector<Envelope> envelopesOf(const quilt::Block& block) {
    return envelopesOf(block, planBlock(block));
}

} // namespace up::plan
