// SPDX-License-Identifier: GPL-3.0-or-later
// A plan that starts from an older one is the plan made from nothing, whatever has been done to the block between.
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "core/plan/block/plan_kept.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "tests/support/blobs.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::test {
namespace {

using quilt::Quilt;

std::vector<std::pair<std::size_t, std::size_t>> pairsOf(const stack::Stack& stack) {
    std::vector<std::pair<std::size_t, std::size_t>> out;
    for (const auto& overlap : stack.overlaps)
        out.emplace_back(overlap.lower, overlap.upper);
    return out;
}

void expectSame(const Quilt& before, const Quilt& now) {
    const auto &was = before.blocks[0], &is = now.blocks[0];
    const auto older = plan::planBlock(was);
    const auto kept = plan::planBlock(is, &older), fresh = plan::planBlock(is);
    EXPECT_EQ(kept.regions, fresh.regions);
    EXPECT_EQ(pairsOf(kept.stack), pairsOf(fresh.stack));
    EXPECT_EQ(kept.stack.step, fresh.stack.step);
    EXPECT_EQ(kept.above, fresh.above);
    EXPECT_EQ(kept.visible, fresh.visible);
    EXPECT_EQ(kept.visibleEdges, fresh.visibleEdges);
    const auto oldDoubts = plan::doubtsOf(was, older);
    const auto doubts = plan::doubtsOf(is, kept, &older, &oldDoubts), anew = plan::doubtsOf(is, fresh);
    EXPECT_EQ(doubts.peeks, anew.peeks);
    EXPECT_EQ(doubts.shorts, anew.shorts);
    const auto ground = plan::planGround(is);
    const auto oldSteps = plan::placementSteps(older, ground);
    const auto steps = plan::placementSteps(kept, ground, &older, &oldSteps),
               newSteps = plan::placementSteps(fresh, ground);
    ASSERT_EQ(steps.size(), newSteps.size());
    for (std::size_t i = 0; i < steps.size(); ++i) {
        EXPECT_EQ(steps[i].piece, newSteps[i].piece);
        EXPECT_EQ(steps[i].guide, newSteps[i].guide) << i;
        ASSERT_EQ(steps[i].tucks.size(), newSteps[i].tucks.size()) << i;
        for (std::size_t k = 0; k < steps[i].tucks.size(); ++k)
            EXPECT_EQ(steps[i].tucks[k].upper, newSteps[i].tucks[k].upper) << i;
    }
}

void expectSameJudgement(const plan::Judgement& kept, const plan::Judgement& fresh) {
    EXPECT_EQ(kept.smallestScale, fresh.smallestScale);
    ASSERT_EQ(kept.groups.size(), fresh.groups.size());
    for (std::size_t i = 0; i < kept.groups.size(); ++i) {
        EXPECT_EQ(kept.groups[i].pieces, fresh.groups[i].pieces);
        EXPECT_EQ(kept.groups[i].otherHand, fresh.groups[i].otherHand);
    }
    for (std::size_t i = 0; i < kept.pieces.size(); ++i) {
        EXPECT_EQ(kept.pieces[i].otherHand, fresh.pieces[i].otherHand) << i;
        EXPECT_EQ(kept.pieces[i].axis.has_value(), fresh.pieces[i].axis.has_value()) << i;
        EXPECT_EQ(kept.pieces[i].thin.size(), fresh.pieces[i].thin.size()) << i;
        EXPECT_EQ(kept.pieces[i].narrowest.width, fresh.pieces[i].narrowest.width) << i;
    }
    EXPECT_EQ(kept.oneHand.size(), fresh.oneHand.size());
}

void judgedTheSame(const Quilt& before, const Quilt& now) {
    const auto &was = before.blocks[0], &is = now.blocks[0];
    const auto older = plan::planBlock(was), plan = plan::planBlock(is);
    const auto judged = plan::judge(was, older);
    const plan::JudgedBefore from{older, was.edge, judged};
    expectSameJudgement(plan::judge(is, plan, &from), plan::judge(is, plan));
}

class KeptPlan : public testing::Test {
protected:
    Quilt m_quilt = blobs(60, 3);
    [[nodiscard]] const quilt::Block& block() const { return m_quilt.blocks[0]; }
    [[nodiscard]] PieceId piece(std::size_t i) const { return block().pieces[i].id; }
};

TEST_F(KeptPlan, WhenAPieceIsTakenAway) {
    for (const std::size_t i : {0U, 17U, 59U})
        expectSame(m_quilt, must(edit::removePiece(m_quilt, block().id, piece(i))));
}

TEST_F(KeptPlan, WhenPiecesAreAdded) {
    const auto fewer = must(edit::removePiece(m_quilt, block().id, piece(30)));
    expectSame(fewer, m_quilt); // as undo brings it back
}

TEST_F(KeptPlan, WhenPiecesAreRestacked) {
    for (const int by : {1, -1, 12, -20})
        expectSame(m_quilt, must(edit::restack(m_quilt, block().id, piece(30), by)));
}

TEST_F(KeptPlan, WhenOneIsSaidToGoOverAnother) {
    const auto plan = plan::planBlock(block());
    ASSERT_FALSE(plan.stack.overlaps.empty());
    auto said = m_quilt;
    const auto& pair = plan.stack.overlaps[5];
    auto changed = said.blocks[0];
    changed.over.push_back({piece(pair.lower), piece(pair.upper)});
    said.blocks[0] = changed;
    expectSame(m_quilt, said);
    expectSame(said, m_quilt);
    expectSame(said, must(edit::removePiece(said, block().id, piece(2))));
}

TEST_F(KeptPlan, WhenManyThingsHappenAtOnce) {
    auto quilt = must(edit::movePiece(m_quilt, block().id, piece(10), measure::Length::ofMm(9),
                                      measure::Length::ofMm(-14)));
    quilt = must(edit::restack(quilt, block().id, piece(40), -7));
    quilt = must(edit::removePiece(quilt, block().id, piece(25)));
    expectSame(m_quilt, quilt);
}

/// Of each four two are alike, and a third is their mirror image.
TEST_F(KeptPlan, WhatWasJudgedBefore) {
    auto alike = block();
    for (std::size_t i = 0; i + 3 < alike.pieces.size(); i += 4) {
        alike.pieces[i + 1].outline = alike.pieces[i].outline;
        alike.pieces[i + 3].outline = quilt::reversed(alike.pieces[i]);
    }
    m_quilt.blocks[0] = alike;
    ASSERT_EQ(plan::judge(block(), plan::planBlock(block())).groups.size(), 30U);
    judgedTheSame(m_quilt, m_quilt);
    for (const std::size_t first : {0U, 8U, 59U})
        judgedTheSame(m_quilt, must(edit::removePiece(m_quilt, block().id, piece(first))));
    for (const int by : {1, -1, 12, -20})
        judgedTheSame(m_quilt, must(edit::restack(m_quilt, block().id, piece(21), by)));
    judgedTheSame(m_quilt,
                  must(edit::movePiece(m_quilt, block().id, piece(12), measure::Length::ofMm(9), {})));
    judgedTheSame(must(edit::removePiece(m_quilt, block().id, piece(12))), m_quilt);
    auto wider = m_quilt;
    alike.edge.width = measure::Length::ofMm(9);
    wider.blocks[0] = alike;
    judgedTheSame(m_quilt, wider);
}

/// A change far away is worked out from what lies near it alone.
TEST_F(KeptPlan, OnlyWhatLiesNearIsTouched) {
    const auto fewer = must(edit::removePiece(m_quilt, block().id, piece(30)));
    const auto before = plan::planBlock(block()), now = plan::planBlock(fewer.blocks[0], &before);
    const plan::PlanKept kept(now, before);
    const auto touched = std::count(kept.touched.begin(), kept.touched.end(), true);
    EXPECT_GT(touched, 0);
    EXPECT_LT(touched, 25) << "of 59";
}

} // namespace
} // namespace up::test
