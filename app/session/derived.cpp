// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/derived.hpp"

#include <algorithm>

namespace up::app {

void Derived::reset(const quilt::Quilt* quilt, const quilt::Block* block) {
    Derived fresh;
    fresh.m_known = std::move(m_known);
    fresh.m_judged = std::move(m_judged);
    fresh.m_traceBefore = m_trace ? std::move(m_trace) : std::move(m_traceBefore);
    fresh.m_blockPlan = std::move(m_blockPlan);
    fresh.m_planned = std::move(m_planned);
    fresh.m_doubts = std::move(m_doubts);
    fresh.m_steps = std::move(m_steps);
    fresh.m_stepsOn = m_stepsOn;
    fresh.m_judgedPieces = std::move(m_judgedPieces);
    *this = std::move(fresh);
    m_quilt = quilt;
    m_block = block;
}

const plan::BlockPlan& Derived::block() {
    if (std::exchange(m_blockIsPlanned, true)) return *m_blockPlan;
    std::vector<std::pair<Shared<shape::Outline>, quilt::Placement>> from;
    if (m_block)
        for (const auto& piece : m_block->pieces)
            from.emplace_back(piece.outline, piece.place);
    const bool sameWishes = m_blockPlan && m_block && m_blockPlan->said == m_block->over &&
                            m_blockPlan->underlap == m_block->underlap;
    if (from == m_planned && sameWishes) return *m_blockPlan;
    m_planned = std::move(from);
    m_blockPlan = std::make_shared<const plan::BlockPlan>(
        m_block ? plan::planBlock(*m_block, m_blockPlan.get()) : plan::BlockPlan{});
    return *m_blockPlan;
}

const plan::Doubts& Derived::doubts() {
    const auto& plan = block();
    if (m_doubts && m_doubts->of == m_blockPlan) return m_doubts->found;
    auto found = !m_block  ? plan::Doubts{}
                 : m_doubts ? plan::doubtsOf(*m_block, plan, m_doubts->of.get(), &m_doubts->found)
                            : plan::doubtsOf(*m_block, plan);
    m_doubts = {m_blockPlan, std::move(found)};
    return m_doubts->found;
}

const plan::GroundPlan& Derived::ground() {
    if (!m_ground) m_ground = m_block ? plan::planGround(*m_block) : plan::GroundPlan{};
    return *m_ground;
}

const std::vector<plan::LayStep>& Derived::laySteps() {
    const auto& plan = block();
    const auto on = std::pair(ground().box, m_block ? m_block->ground : quilt::Ground{});
    const bool sameGround = m_steps && m_stepsOn == on;
    if (sameGround && m_steps->of == m_blockPlan) return m_steps->found;
    auto found = sameGround
                     ? plan::laySteps(plan, ground(), m_steps->of.get(), &m_steps->found)
                     : plan::laySteps(plan, ground());
    m_steps = {m_blockPlan, std::move(found)};
    m_stepsOn = on;
    return m_steps->found;
}

/// From the plan before where nothing has changed: a drag works out one chunk at a time.
plan::TracePlan Derived::planned() const {
    if (m_block->layout.empty()) return {};
    return plan::planTrace(*m_quilt, *m_block, m_block->layout.front(),
                           m_traceBefore ? &*m_traceBefore : nullptr);
}

const plan::TracePlan& Derived::trace() {
    if (!m_trace) m_trace = m_block ? planned() : plan::TracePlan{};
    return *m_trace;
}

const std::vector<plan::TooClose>& Derived::tooClose() {
    if (!m_tooClose)
        m_tooClose = m_block && !m_block->layout.empty()
                         ? plan::tooClose(*m_quilt, *m_block, m_block->layout.front())
                         : std::vector<plan::TooClose>{};
    return *m_tooClose;
}

const plan::StitchPlan& Derived::stitch() {
    if (!m_stitch) m_stitch = m_block ? plan::planStitching(*m_block, block()) : plan::StitchPlan{};
    return *m_stitch;
}

std::shared_ptr<const plan::Judgement> Derived::judgement() const {
    if (!m_block || !m_judged) return nullptr;
    const auto& pieces = m_block->pieces;
    const bool same = std::equal(pieces.begin(), pieces.end(), m_judgedPieces.begin(), m_judgedPieces.end(),
                                 [](const auto& piece, PieceId id) { return piece.id == id; });
    return same ? m_judged : nullptr;
}

void Derived::setJudgement(std::shared_ptr<const plan::Judgement> judged, std::vector<PieceId> pieces) {
    m_judged = std::move(judged);
    m_judgedPieces = std::move(pieces);
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
