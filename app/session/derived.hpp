// SPDX-License-Identifier: GPL-3.0-or-later
// What the current block means: plans, worked out once per quilt and block, when first asked
// for.
#pragma once

#include "core/plan/block/doubts.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "core/plan/bond/bond_plan.hpp"
#include "core/plan/finish/bias_plan.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/stitch/hints.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/plan/work/now_plan.hpp"
#include "core/shape/deepest.hpp"

#include <map>
#include <memory>
#include <optional>

namespace up::app {

/// How the pieces of a block lie: what peeks out and what does not reach under, and how each is laid.
struct Placements {
    std::shared_ptr<const plan::BlockPlan> of;
    std::pair<shape::Box, quilt::Ground> on; ///< the ground that was measured on
    plan::Doubts doubts;
    std::vector<plan::PlacementStep> steps; ///< by position
};

/// What it takes to find that out, as values: to be asked aside.
struct PlacementQuestion {
    quilt::Block block;
    std::shared_ptr<const plan::BlockPlan> plan;
    plan::GroundPlan ground;
    std::shared_ptr<const Placements> before; ///< of the block as it was; may be null
};
[[nodiscard]] Placements placementsOf(const PlacementQuestion& question);

/// What was last found out aside: it may be of the state before the last change. Nothing while nothing is known, or when
/// pieces have come or gone since.
template<class Plan> class Found {
public:
    [[nodiscard]] const Plan* get() const { return m_fits ? m_plan.get() : nullptr; }
    [[nodiscard]] std::shared_ptr<const Plan> shared() const { return m_fits ? m_plan : nullptr; }
    /// Of the state as it is.
    [[nodiscard]] bool isNewest() const { return m_isNewest; }

    void set(std::shared_ptr<const Plan> plan, const quilt::Block* block) {
        m_plan = std::move(plan);
        m_pieces = piecesOf(block);
        m_isNewest = m_fits = true;
    }
    /// Something has changed.
    void growOld(const quilt::Block* block) {
        m_isNewest = false;
        m_fits = m_plan && m_pieces == piecesOf(block);
    }

private:
    static std::vector<PieceId> piecesOf(const quilt::Block* block) {
        std::vector<PieceId> out;
        if (block)
            for (const auto& piece : block->pieces)
                out.push_back(piece.id);
        return out;
    }
    std::shared_ptr<const Plan> m_plan;
    std::vector<PieceId> m_pieces; ///< of the block that it is of
    bool m_isNewest = false, m_fits = false;
};

class Derived {
public:
    /// Forgets what depends on the quilt; both outlive the next questions.
    void reset(const quilt::Quilt* quilt, const quilt::Block* block);

    /// Empty plans when there is no block.
    [[nodiscard]] const plan::BlockPlan& block();
    /// A plan of the block as it is about to be, worked out aside: taken over if it fits then.
    void foresee(std::shared_ptr<const plan::BlockPlan> plan);
    [[nodiscard]] const plan::GroundPlan& ground();
    /// What was last found out (aside, by `PlacementJob`): it may be of the state before the last change.
    /// Null while nothing is known, or when pieces have come, gone or changed places since.
    [[nodiscard]] std::shared_ptr<const Placements> placements();
    void setPlacements(std::shared_ptr<const Placements> placements) { m_placements = std::move(placements); }
    /// What is still to be found out; nothing when the newest state is known.
    [[nodiscard]] std::optional<PlacementQuestion> placementQuestion();
    [[nodiscard]] const plan::TracePlan& trace();
    /// A plan of the layout as it is about to be, worked out aside: what is the same then is taken from it.
    void foresee(plan::TracePlan plan);
    /// Of the layout that is chosen.
    [[nodiscard]] const std::vector<plan::TooClose>& tooClose();
    /// What lies on which cloth.
    [[nodiscard]] const plan::BondPlan& bonding();
    /// What is to be cut out of the chunks.
    [[nodiscard]] const plan::CutPlan& cutting();
    /// What the block is trimmed to, and its strips.
    [[nodiscard]] const plan::FinishPlan& finishing();
    /// Its lines, stitch by stitch.
    [[nodiscard]] const plan::LinesPlan& lines();
    /// Bias strips of the whole quilt that are still to be cut.
    [[nodiscard]] const std::vector<plan::BiasPlan>& bias();
    /// Where the iron goes, and where the needle goes (aside, by `PlanJob`).
    [[nodiscard]] Found<plan::PressPlan>& pressing() { return m_pressing; }
    [[nodiscard]] Found<plan::StitchPlan>& stitching() { return m_stitching; }
    [[nodiscard]] Found<plan::StitchHints>& stitchHints() { return m_stitchHints; }
    /// The plan of the block, to be handed to other threads.
    [[nodiscard]] std::shared_ptr<const plan::BlockPlan> sharedBlock();
    /// Where each piece's number stands best: deep inside what shows of it (or of all of it, when nothing
    /// shows).
    [[nodiscard]] const std::vector<shape::Deepest>& spots();

    /// What was last found out about the block's shapes (aside, by `Checker`): it may be of the state before
    /// the last change. Null while nothing is known, or when pieces have come or gone since.
    [[nodiscard]] std::shared_ptr<const plan::Judgement> judgement() const;
    void setJudgement(std::shared_ptr<const plan::Judgement> judged, std::vector<PieceId> pieces);

private:
    [[nodiscard]] plan::TracePlan planned() const;
    const quilt::Quilt* m_quilt = nullptr;
    const quilt::Block* m_block = nullptr;
    /// The present one first, then those before it: they outlive changes of anything else.
    std::vector<std::shared_ptr<const plan::BlockPlan>> m_plans;
    bool m_blockIsPlanned = false; ///< since the last reset
    std::shared_ptr<const Placements> m_placements;
    std::optional<plan::GroundPlan> m_ground;
    std::optional<plan::TracePlan> m_trace, m_traceBefore;
    std::optional<std::vector<plan::TooClose>> m_tooClose;
    std::optional<plan::BondPlan> m_bonding;
    std::optional<plan::CutPlan> m_cutting, m_cuttingBefore;
    std::optional<plan::FinishPlan> m_finishing;
    std::optional<plan::LinesPlan> m_lines;
    std::optional<std::vector<plan::BiasPlan>> m_bias;
    Found<plan::PressPlan> m_pressing;
    Found<plan::StitchPlan> m_stitching;
    Found<plan::StitchHints> m_stitchHints;
    std::optional<std::vector<shape::Deepest>> m_spots;
    /// Found before, with what they were found in: most pieces look the same after a change.
    std::map<PieceId, std::pair<shape::Region, shape::Deepest>> m_known;
    std::shared_ptr<const plan::Judgement> m_judged;
    std::vector<PieceId> m_judgedPieces;
};

} // namespace up::app
