// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/derived.hpp"

namespace up::app {

void Derived::reset(const quilt::Block* block) {
    auto known = std::move(m_known);
    *this = {};
    m_known = std::move(known);
    m_block = block;
}

const plan::BlockPlan& Derived::block() {
    if (!m_blockPlan) m_blockPlan = m_block ? plan::planBlock(*m_block) : plan::BlockPlan{};
    return *m_blockPlan;
}

const plan::TracePlan& Derived::trace() {
    if (!m_trace) m_trace = m_block ? plan::planTrace(*m_block) : plan::TracePlan{};
    return *m_trace;
}

const plan::StitchPlan& Derived::stitch() {
    if (!m_stitch) m_stitch = m_block ? plan::planStitching(*m_block, block()) : plan::StitchPlan{};
    return *m_stitch;
}

const std::vector<shape::Deepest>& Derived::spots() {
    if (m_spots) return *m_spots;
    m_spots.emplace();
    for (std::size_t i = 0; i < block().regions.size(); ++i) {
        const auto& shows = block().visible[i].isEmpty() ? block().regions[i] : block().visible[i];
        auto& [region, spot] = m_known[m_block->pieces[i].id];
        if (region.isEmpty() || !(region == shows)) region = shows, spot = shape::deepestPoint(shows, 1.0);
        m_spots->push_back(spot);
    }
    return *m_spots;
}

} // namespace up::app
