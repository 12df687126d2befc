// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/fuse/block_heat.hpp"

#include <algorithm>

namespace up::plan {

using quilt::Step;

BlockHeat::BlockHeat(const quilt::Block& block, const BlockPlan& plan, const quilt::Web* web)
    : m_block(block), m_plan(plan), m_before(block.pieces.size(), 0), m_heatings(block.pieces.size()) {
    std::vector<bool> isRecorded(block.pieces.size(), false);
    for (const auto& press : block.pressed) {
        const auto under = shape::regionOf(press.under);
        for (const PieceId id : press.pieces) {
            const auto i = static_cast<std::size_t>(quilt::numberOf(block, id)) - 1;
            if (i >= block.pieces.size()) continue;
            m_heatings[i].push_back({under, press.seconds});
            isRecorded[i] = isRecorded[i] || press.fuses();
        }
    }
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        m_recorded.push_back(m_heatings[i].size());
        const auto step = block.pieces[i].work.step;
        if (!web || block.pieces[i].isOffWeb()) continue;
        if (step >= Step::bonded) m_before[i] += web->first.seconds;
        if (step >= Step::fused && !isRecorded[i]) m_before[i] += web->final.seconds;
    }
}

void BlockHeat::add(const shape::Region& under, double seconds, const std::vector<std::size_t>& pieces) {
    for (const auto i : pieces)
        m_heatings[i].push_back({under, seconds});
}

double BlockHeat::mostAfter(std::size_t piece, std::size_t presses) const {
    const auto& all = m_heatings[piece];
    const auto count = static_cast<std::ptrdiff_t>(m_recorded[piece] + presses);
    return m_before[piece] + press::heatOf(m_plan.regions[piece], {all.begin(), all.begin() + count}).most;
}

PieceHeat BlockHeat::of(std::size_t piece) const {
    PieceHeat out{m_block.pieces[piece].id,
                  m_before[piece],
                  0,
                  0,
                  0,
                  press::heatedParts(m_plan.regions[piece], m_heatings[piece])};
    for (auto& part : out.parts)
        part.seconds += m_before[piece];
    out.least = out.parts.empty() ? out.before : out.parts.front().seconds;
    out.most = out.parts.empty() ? out.before : out.parts.back().seconds;
    out.hadMost = m_recorded[piece] == m_heatings[piece].size() ? out.most : mostAfter(piece, 0);
    return out;
}

double BlockHeat::heatAt(std::size_t piece, shape::Point at) const {
    double out = 0;
    for (const auto& heating : m_heatings[piece])
        if (heating.where.contains(at)) out += heating.seconds;
    return out;
}

std::size_t BlockHeat::bearable(std::size_t piece, double limit) const {
    std::size_t least = 0, most = m_heatings[piece].size() - m_recorded[piece];
    while (least < most) { // heat only grows
        const auto middle = (least + most + 1) / 2;
        if (mostAfter(piece, middle) > limit + 1e-6)
            most = middle - 1;
        else
            least = middle;
    }
    return least;
}

} // namespace up::plan
