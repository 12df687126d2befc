// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/derived.hpp"

#include <algorithm>

namespace up::app {

void Derived::reset(const quilt::Quilt* quilt, const quilt::Block* block) {
    Derived fresh;
    fresh.m_known = std::move(m_known);
    fresh.m_judged = std::move(m_judged);
    fresh.m_traceBefore = m_trace ? std::move(m_trace) : std::move(m_traceBefore);
    fresh.m_cuttingBefore = m_cutting ? std::move(m_cutting) : std::move(m_cuttingBefore);
    fresh.m_plans = std::move(m_plans);
    fresh.m_placements = std::move(m_placements);
    fresh.m_judgedPieces = std::move(m_judgedPieces);
    fresh.m_pressing = std::move(m_pressing);
    fresh.m_stitching = std::move(m_stitching);
    fresh.m_stitchHints = std::move(m_stitchHints);
    *this = std::move(fresh);
    m_quilt = quilt;
    m_block = block;
    m_pressing.growOld(block);
    m_stitching.growOld(block);
    m_stitchHints.growOld(block);
}

namespace {
bool isOf(const plan::BlockPlan& plan, const quilt::Block& block) {
    return plan.said == block.over && plan.underlap == block.underlap &&
           std::equal(plan.from.begin(), plan.from.end(), block.pieces.begin(), block.pieces.end(),
                      [](const plan::PlannedFrom& from, const quilt::Piece& piece) {
                          return from.piece == piece.id && from.outline == piece.outline &&
                                 from.place == piece.place;
                      });
}
} // namespace

void Derived::foresee(std::shared_ptr<const plan::BlockPlan> plan) {
    constexpr std::size_t most = 4; // a few steps back and forth
    m_plans.insert(m_plans.begin(), std::move(plan));
    if (m_plans.size() > most) m_plans.pop_back();
    m_blockIsPlanned = false;
}

/// A plan that fits is known already when something else has changed, or when a step was taken back.
const plan::BlockPlan& Derived::block() {
    if (std::exchange(m_blockIsPlanned, true)) return *m_plans.front();
    const auto known = std::find_if(m_plans.begin(), m_plans.end(),
                                    [&](const auto& plan) { return m_block && isOf(*plan, *m_block); });
    if (known != m_plans.end()) {
        std::rotate(m_plans.begin(), known, known + 1);
        return *m_plans.front();
    }
    const auto* before = m_plans.empty() ? nullptr : m_plans.front().get();
    foresee(std::make_shared<const plan::BlockPlan>(m_block ? plan::planBlock(*m_block, before)
                                                            : plan::BlockPlan{}));
    m_blockIsPlanned = true;
    return *m_plans.front();
}

std::shared_ptr<const plan::BlockPlan> Derived::sharedBlock() {
    static_cast<void>(block());
    return m_plans.front();
}

const plan::GroundPlan& Derived::ground() {
    if (!m_ground) m_ground = m_block ? plan::planGround(*m_block) : plan::GroundPlan{};
    return *m_ground;
}

std::shared_ptr<const Placements> Derived::placements() {
    const auto& now = block().from;
    if (!m_placements) return nullptr;
    const auto& then = m_placements->of->from;
    const bool same = std::equal(now.begin(), now.end(), then.begin(), then.end(),
                                 [](const auto& a, const auto& b) { return a.piece == b.piece; });
    return same ? m_placements : nullptr;
}

std::optional<PlacementQuestion> Derived::placementQuestion() {
    if (!m_block || block().regions.empty()) return std::nullopt;
    const std::pair on(ground().box, m_block->ground);
    if (m_placements && m_placements->of == m_plans.front() && m_placements->on == on) return std::nullopt;
    return PlacementQuestion{*m_block, m_plans.front(), ground(), m_placements};
}

Placements placementsOf(const PlacementQuestion& q) {
    Placements out{q.plan, {q.ground.box, q.block.ground}, {}, {}};
    const auto* before = q.before.get();
    out.doubts = before ? plan::doubtsOf(q.block, *q.plan, before->of.get(), &before->doubts)
                        : plan::doubtsOf(q.block, *q.plan);
    out.steps = before && before->on == out.on
                    ? plan::placementSteps(*q.plan, q.ground, before->of.get(), &before->steps)
                    : plan::placementSteps(*q.plan, q.ground);
    return out;
}

/// From the plan before where nothing has changed: a drag works out one chunk at a time.
plan::TracePlan Derived::planned() const {
    if (!m_block->layout) return {};
    return plan::planTrace(*m_quilt, *m_block, *m_block->layout, m_traceBefore ? &*m_traceBefore : nullptr);
}

void Derived::foresee(plan::TracePlan plan) {
    m_trace.reset();
    m_traceBefore = std::move(plan);
}

const plan::TracePlan& Derived::trace() {
    if (!m_trace) m_trace = m_block ? planned() : plan::TracePlan{};
    return *m_trace;
}

const std::vector<plan::TooClose>& Derived::tooClose() {
    if (!m_tooClose)
        m_tooClose = m_block && m_block->layout ? plan::tooClose(*m_quilt, *m_block, *m_block->layout)
                                                : std::vector<plan::TooClose>{};
    return *m_tooClose;
}

const plan::BondPlan& Derived::bonding() {
    if (!m_bonding) m_bonding = m_block ? plan::planBonding(*m_quilt, *m_block, trace()) : plan::BondPlan{};
    return *m_bonding;
}

const plan::FinishPlan& Derived::finishing() {
    if (!m_finishing) m_finishing = m_block ? plan::planFinish(*m_quilt, *m_block) : plan::FinishPlan();
    return *m_finishing;
}

const plan::LinesPlan& Derived::lines() {
    if (!m_lines) m_lines = m_block ? plan::planLines(*m_block) : plan::LinesPlan();
    return *m_lines;
}

const std::vector<plan::BiasPlan>& Derived::bias() {
    if (!m_bias) m_bias = m_quilt ? plan::planBias(*m_quilt) : std::vector<plan::BiasPlan>();
    return *m_bias;
}

const plan::CutPlan& Derived::cutting() {
    if (!m_cutting)
        m_cutting = m_block ? plan::planCutting(*m_quilt, *m_block, trace(),
                                                m_cuttingBefore ? &*m_cuttingBefore : nullptr)
                            : plan::CutPlan{};
    return *m_cutting;
}

namespace {
bool areOf(const quilt::Block* block, const std::vector<PieceId>& pieces) {
    return block && std::equal(block->pieces.begin(), block->pieces.end(), pieces.begin(), pieces.end(),
                               [](const auto& piece, PieceId id) { return piece.id == id; });
}
} // namespace

std::shared_ptr<const plan::Judgement> Derived::judgement() const {
    return areOf(m_block, m_judgedPieces) ? m_judged : nullptr;
}

void Derived::setJudgement(std::shared_ptr<const plan::Judgement> judged, std::vector<PieceId> pieces) {
    m_judged = std::move(judged);
    m_judgedPieces = std::move(pieces);
}

const std::vector<shape::Deepest>& Derived::spots() {
    if (m_spots) return *m_spots;
    m_spots.emplace();
    std::erase_if(m_known,
                  [this](const auto& known) { return !m_block || !find(m_block->pieces, known.first); });
    for (std::size_t i = 0; i < block().regions.size(); ++i) {
        const auto& shows = block().visible[i].isEmpty() ? block().regions[i] : block().visible[i];
        auto& [region, spot] = m_known[m_block->pieces[i].id];
        if (region.isEmpty() || !(region == shows)) region = shows, spot = shape::deepestPoint(shows, 1.0);
        m_spots->push_back(spot);
    }
    return *m_spots;
}

} // namespace up::app
