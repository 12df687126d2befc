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
    fresh.m_lying = std::move(m_lying);
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

const plan::GroundPlan& Derived::ground() {
    if (!m_ground) m_ground = m_block ? plan::planGround(*m_block) : plan::GroundPlan{};
    return *m_ground;
}

std::shared_ptr<const Lying> Derived::lying() {
    const auto& now = block().from;
    if (!m_lying) return nullptr;
    const auto& then = m_lying->of->from;
    const bool same = std::equal(now.begin(), now.end(), then.begin(), then.end(),
                                 [](const auto& a, const auto& b) { return a.piece == b.piece; });
    return same ? m_lying : nullptr;
}

std::optional<LyingQuestion> Derived::lyingQuestion() {
    if (!m_block || block().regions.empty()) return std::nullopt;
    const std::pair on(ground().box, m_block->ground);
    if (m_lying && m_lying->of == m_blockPlan && m_lying->on == on) return std::nullopt;
    return LyingQuestion{*m_block, m_blockPlan, ground(), m_lying};
}

Lying lyingOf(const LyingQuestion& q) {
    Lying out{q.plan, {q.ground.box, q.block.ground}, {}, {}};
    const auto* before = q.before.get();
    out.doubts = before ? plan::doubtsOf(q.block, *q.plan, before->of.get(), &before->doubts)
                        : plan::doubtsOf(q.block, *q.plan);
    out.steps = before && before->on == out.on
                    ? plan::laySteps(*q.plan, q.ground, before->of.get(), &before->steps)
                    : plan::laySteps(*q.plan, q.ground);
    return out;
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
