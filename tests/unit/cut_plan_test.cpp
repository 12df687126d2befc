// SPDX-License-Identifier: GPL-3.0-or-later
// What is cut out of each chunk, what is labelled, with which pen marks are drawn.
#include "core/edit/change.hpp"
#include "core/plan/cut/cut_plan.hpp"
#include "core/plan/cut/envelopes.hpp"
#include "tests/support/on_cloths.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using quilt::Step;
using test::must;
using test::OnCloths;
using test::square;

TEST_F(OnCloths, WhatIsBondedIsCutChunkByChunk) {
    EXPECT_TRUE(planCutting(quilt, of(), trace()).chunks.empty()) << "nothing is bonded";
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = Step::bonded;
    auto plan = planCutting(quilt, of(), trace());
    ASSERT_EQ(plan.chunks.size(), trace().chunks.size());
    EXPECT_FALSE(plan.learnt);
    for (const auto& chunk : plan.chunks) {
        EXPECT_FALSE(chunk.cuts.empty());
        EXPECT_NEAR(chunk.minutes, chunk.length / usualPace, 1e-9);
    }
    quilt.blocks[0].pieces[0].work.step = Step::cleanCut;
    plan = planCutting(quilt, of(), trace());
    for (const auto& chunk : plan.chunks)
        EXPECT_EQ(std::count(chunk.pieces.begin(), chunk.pieces.end(), of().pieces[0].id), 0);
}

TEST(CutPlan, ThePaceComesFromTheLog) {
    auto quilt = test::quiltOf({{"a", square(0, 0, 100), {1, 2, 3}},
                                {"b", square(110, 0, 100), {1, 2, 3}},
                                {"c", square(0, 110, 100), {1, 2, 3}},
                                {"d", square(110, 110, 100), {1, 2, 3}}});
    EXPECT_FALSE(paceOf(quilt));
    std::int64_t time = 1'000'000;
    for (const auto& piece : quilt.blocks[0].pieces) { // 400 mm every two minutes
        edit::note(quilt, {time, quilt.blocks[0].id, piece.id, quilt::Event::cleanCut, ""});
        time += 120;
    }
    ASSERT_TRUE(paceOf(quilt));
    EXPECT_NEAR(*paceOf(quilt), 200, 1e-6);
    edit::note(quilt,
               {time + 90'000, quilt.blocks[0].id, quilt.blocks[0].pieces[0].id, quilt::Event::cleanCut, ""});
    EXPECT_NEAR(*paceOf(quilt), 200, 1e-6) << "a night lay between";
}

TEST(CutPlan, PiecesThatLookAlikeWantALabelAndEqualOnesDoNot) {
    const auto quilt = test::quiltOf({
        {"left fin", {{0, 0}, {50, 0}, {20, 30}, {0, 30}}, {9, 9, 9}},
        {"right fin", {{100, 0}, {150, 0}, {150, 30}, {130, 30}}, {9, 9, 9}}, // its mirror image
        {"other cloth", {{0, 100}, {50, 100}, {20, 130}, {0, 130}}, {200, 9, 9}},
        {"wheel 1", square(100, 100, 20), {9, 9, 200}},
        {"wheel 2", square(130, 100, 20), {9, 9, 200}}, // the same: either will do
        {"long", {{0, 180}, {200, 180}, {200, 190}, {0, 190}}, {9, 9, 9}},
    });
    const auto& block = quilt.blocks[0];
    const auto plan = planCutting(quilt, block, TracePlan{});
    ASSERT_EQ(plan.alike.size(), 1U);
    EXPECT_EQ(plan.alike[0], (LookAlikes{block.pieces[0].id, block.pieces[1].id}));
}

TEST(CutPlan, MarksThatStayInSightWashOut) {
    // A mark in the middle of a square, then a piece that hides it, then stitching over it.
    auto quilt = test::quiltOf({{"wing", square(20, 20, 100), {9, 9, 9}, true}});
    const auto advice = [&] { return adviceForMarks(quilt.blocks[0], planBlock(quilt.blocks[0]), 0); };
    ASSERT_TRUE(quilt.blocks[0].pieces[0].hasMarks());
    EXPECT_EQ(advice().pen, Pen::washesOut);
    EXPECT_GT(advice().length, 0);
    auto hidden = test::quiltOf(
        {{"wing", square(20, 20, 100), {9, 9, 9}, true}, {"over", square(10, 10, 120), {1, 1, 1}}});
    EXPECT_EQ(adviceForMarks(hidden.blocks[0], planBlock(hidden.blocks[0]), 0).pen, Pen::permanent);
    quilt.blocks[0].pieces[0].marksStitched = true;
    EXPECT_EQ(advice().pen, Pen::permanent);
}

TEST(CutPlan, EnvelopesGoByUnitAndStep) {
    auto quilt = test::quiltOf({{"ground", square(0, 0, 100), {1, 1, 1}},
                                {"upon", square(20, 20, 40), {2, 2, 2}},
                                {"apart", square(150, 150, 30), {3, 3, 3}},
                                {"pair a", square(150, 20, 20), {4, 4, 4}},
                                {"pair b", square(180, 20, 20), {4, 4, 4}}});
    auto& pieces = quilt.blocks[0].pieces;
    pieces[3].unit = pieces[4].unit = 7;
    auto envelopes = envelopesOf(quilt.blocks[0]);
    ASSERT_EQ(envelopes.size(), 3U);
    EXPECT_EQ(envelopes[0].unit, 7);
    EXPECT_EQ(envelopes[0].pieces, (std::vector{pieces[3].id, pieces[4].id}));
    EXPECT_EQ(envelopes[1].pieces, (std::vector{pieces[0].id, pieces[2].id}));
    EXPECT_EQ(envelopes[2].step, 1);
    EXPECT_EQ(envelopes[2].pieces, std::vector{pieces[1].id});
    for (auto& piece : pieces)
        piece.work.step = Step::laid;
    EXPECT_TRUE(envelopesOf(quilt.blocks[0]).empty());
}

} // namespace
} // namespace up::plan
