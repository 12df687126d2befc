// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <set>

namespace up::plan {
namespace {

using quilt::Quilt;
using test::must;

const quilt::Block& block(const Quilt& quilt) {
    return quilt.blocks.front();
}

Quilt manyPieces(std::uint64_t seed, std::size_t count) {
    Random random(seed);
    std::vector<test::Drawn> drawn;
    for (std::size_t i = 0; i < count; ++i) {
        const auto c = static_cast<std::uint8_t>(40 * (i % 4));
        auto ring = test::randomStar(random);
        for (auto& p : ring)
            p = p * 0.5 + shape::Point{114, 114};
        drawn.push_back({"p" + std::to_string(i), ring, {c, 80, 120}});
    }
    return test::quiltOf(drawn);
}

Quilt laidOut(Quilt quilt, std::uint64_t seed = 1) {
    Job job;
    auto layout = must(layOut(quilt, block(quilt), {0, 3, seed}, job));
    return must(edit::setLayout(quilt, block(quilt).id, std::move(layout), 1));
}

FabricId fabricOf(const Quilt& quilt, PieceId id) {
    return find(block(quilt).pieces, id)->fabric;
}

TEST(LayOut, KeepsTwoRoughCutMarginsBetweenFabrics) {
    const auto quilt = laidOut(manyPieces(61, 14));
    const auto plan = planTrace(quilt, block(quilt));
    ASSERT_EQ(plan.lines.size(), 14U);
    for (std::size_t i = 0; i < plan.lines.size(); ++i)
        for (std::size_t j = 0; j < i; ++j) {
            const auto a = shape::regionOf(plan.lines[i].second), b = shape::regionOf(plan.lines[j].second);
            const bool same = fabricOf(quilt, plan.lines[i].first) == fabricOf(quilt, plan.lines[j].first);
            EXPECT_GE(test::geosDistance(a, b), (same ? scissorsWidth.mm() : 2 * roughCutMargin.mm()) - 0.05);
        }
}

TEST(LayOut, KeepsEverythingOnTheWeb) {
    const auto quilt = laidOut(manyPieces(62, 14));
    for (const auto& [id, outline] : planTrace(quilt, block(quilt)).lines) {
        const auto box = boundsOf(outline);
        EXPECT_GE(box.left, -0.02);
        EXPECT_GE(box.top, -0.02);
        EXPECT_LE(box.right, quilt.webs.front().width.mm() + 0.02);
    }
}

TEST(LayOut, ReversesEveryPieceAndNeverMirrorsItBack) {
    // An F-like shape: its reversal cannot be turned into itself, so the area of the difference tells them
    // apart.
    const shape::Ring ell{{20, 20}, {60, 20}, {60, 30}, {32, 30}, {32, 90}, {20, 90}};
    const auto quilt = laidOut(test::quiltOf({{"ell", ell, {1, 1, 1}}}));
    const auto& traced = block(quilt).layout->traced.front();
    const auto line = planTrace(quilt, block(quilt)).lines.front().second;
    EXPECT_LT(signedArea(line.edge) * signedArea(block(quilt).pieces.front().outline->edge), 0);
    const auto back = shape::Transform::turn(-traced.turn) * shape::Transform::moveBy(-traced.x, -traced.y);
    const auto seen = shape::Transform::mirrorAcross(0) * back;
    const auto again = shape::regionOf(transformed(line, seen)), drawn = shape::regionOf({ell});
    EXPECT_LT(shape::subtract(again, drawn).area() + shape::subtract(drawn, again).area(), 0.5);
}

TEST(LayOut, NamesPiecesLargerThanTheWeb) {
    auto quilt = test::quiltOf(
        {{"huge", test::square(0, 0, 228), {1, 1, 1}}, {"small", test::square(20, 20, 20), {1, 1, 1}}});
    quilt.webs.front().width = measure::Length::ofInches(6, 1);
    Job job;
    const auto layout = must(layOut(quilt, block(quilt), {0, 2, 1}, job));
    ASSERT_EQ(layout.unplaced.size(), 1U);
    EXPECT_EQ(layout.unplaced.front().piece, block(quilt).pieces.front().id);
    EXPECT_EQ(layout.unplaced.front().reason, quilt::WhyNot::largerThanSheet);
    EXPECT_EQ(layout.traced.size(), 1U);
}

TEST(LayOut, SpreadsOverSheetsAndSaysWhenTheyAreUsedUp) {
    auto quilt = manyPieces(63, 12);
    auto& web = quilt.webs.front();
    web.width = measure::Length::ofMm(130);
    web.stock = quilt::Packet{2, measure::Length::ofMm(130)};
    const auto laid = laidOut(quilt);
    const auto plan = planTrace(laid, block(laid));
    EXPECT_LE(plan.sheets.size(), 2U);
    EXPECT_EQ(plan.lines.size() + block(laid).layout->unplaced.size(), 12U);
    for (const auto& unplaced : block(laid).layout->unplaced)
        EXPECT_EQ(unplaced.reason, quilt::WhyNot::webUsedUp);
}

TEST(LayOut, LeavesTracedPiecesWhereTheyAre) {
    auto quilt = laidOut(manyPieces(64, 8));
    const auto before = block(quilt).layout->traced;
    const auto first = before.front().piece;
    quilt = must(edit::record(quilt, block(quilt).id, {first}, quilt::Step::traced, 2));
    const auto again = laidOut(quilt, 77);
    const auto& after = block(again).layout->traced;
    const auto kept =
        std::find_if(after.begin(), after.end(), [&](const auto& t) { return t.piece == first; });
    ASSERT_NE(kept, after.end());
    EXPECT_EQ(*kept, before.front());
    EXPECT_EQ(after.size(), before.size());
}

TEST(LayOut, NeedsPiecesAndAWeb) {
    auto quilt = manyPieces(65, 2);
    quilt.blocks.front().web = {};
    Job job;
    EXPECT_EQ(layOut(quilt, block(quilt), {0, 1, 1}, job).error().code, Code::nothingToDo);
}

TEST(PlanTrace, ChunksHoldOneFabricAndEveryPieceOnce) {
    const auto quilt = laidOut(manyPieces(66, 16));
    std::multiset<PieceId> seen;
    for (const auto& chunk : planTrace(quilt, block(quilt)).chunks)
        for (const auto id : chunk.pieces) {
            EXPECT_EQ(fabricOf(quilt, id), chunk.fabric);
            seen.insert(id);
        }
    EXPECT_EQ(seen.size(), 16U);
    EXPECT_EQ(std::set<PieceId>(seen.begin(), seen.end()).size(), 16U);
}

TEST(PlanTrace, RoughCutsHoldTheirPiecesWithTheMarginAndDoNotMeet) {
    const auto quilt = laidOut(manyPieces(67, 12));
    const auto plan = planTrace(quilt, block(quilt));
    for (std::size_t i = 0; i < plan.chunks.size(); ++i) {
        for (const auto& [id, outline] : plan.lines) {
            const auto& own = plan.chunks[i].pieces;
            if (std::find(own.begin(), own.end(), id) == own.end()) continue;
            const auto grown = shape::offset(shape::regionOf(outline), roughCutMargin.mm() - 0.1);
            EXPECT_LT(shape::subtract(grown, plan.chunks[i].roughCut).area(), 0.5);
        }
        for (std::size_t j = 0; j < i; ++j)
            EXPECT_LT(shape::intersect(plan.chunks[i].roughCut, plan.chunks[j].roughCut).area(), 2.0);
    }
}

TEST(PlanTrace, UsedReachesBelowTheLowestPiece) {
    const auto quilt = laidOut(manyPieces(68, 10));
    const auto plan = planTrace(quilt, block(quilt));
    double lowest = 0;
    for (const auto& line : plan.lines)
        lowest = std::max(lowest, boundsOf(line.second).bottom);
    EXPECT_GE(plan.sheets.front().used.mm(), lowest);
    EXPECT_LT(plan.sheets.front().used.mm(), lowest + 6.4);
}

TEST(PlanTrace, IsStaleWhenAPieceHasNoPlace) {
    auto quilt = laidOut(manyPieces(69, 5));
    EXPECT_FALSE(planTrace(quilt, block(quilt)).stale);
    quilt = must(edit::record(quilt, block(quilt).id, {block(quilt).pieces[0].id}, quilt::Step::traced, 2));
    quilt = must(edit::ruin(quilt, block(quilt).id, block(quilt).pieces[0].id, "lost", 3));
    EXPECT_TRUE(planTrace(quilt, block(quilt)).stale);
}

} // namespace
} // namespace up::plan
