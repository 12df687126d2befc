// SPDX-License-Identifier: GPL-3.0-or-later
// Layouts by the trade's schools, on off-cuts, round what is fixed, with stripes.
#include "core/edit/saying.hpp"
#include "core/edit/tracing.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/plan/trace/gather.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/remains.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "core/plan/trace/web_left.hpp"
#include "core/plan/trace/windows.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <cmath>
#include <gtest/gtest.h>
#include <set>

namespace up::plan {
namespace {

using measure::Angle;
using measure::Length;
using quilt::Quilt;
using quilt::School;
using test::must;

const quilt::Block& block(const Quilt& quilt) {
    return quilt.blocks.front();
}

PieceId idOf(const Quilt& quilt, std::size_t index) {
    return block(quilt).pieces[index].id;
}

Quilt laidOut(const Quilt& quilt, School school, std::uint64_t seed = 1) {
    Job job;
    TraceOptions options{0, 3, seed, school};
    auto layout = must(layOut(quilt, block(quilt), options, job));
    return must(edit::chooseLayout(quilt, block(quilt).id, school, std::move(layout), 1));
}

shape::Ring boxAt(double x, double y, double w, double h) {
    return {{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}};
}

/// A large red square, a blue one that fits into its window, and small ones of three fabrics.
Quilt nested() {
    std::vector<test::Drawn> drawn{{"large", boxAt(10, 10, 180, 180), {200, 0, 0}},
                                   {"middle", boxAt(40, 40, 140, 140), {0, 0, 200}}};
    for (int i = 0; i < 6; ++i)
        drawn.push_back({"small" + std::to_string(i),
                         boxAt(20.0 + 25 * i, 195, 22, 22),
                         {0, static_cast<std::uint8_t>(80 * (i % 3)), 40}});
    auto quilt = test::quiltOf(drawn);
    quilt.webs.front().width = Length::ofMm(200);
    return quilt;
}

TEST(Schools, OneByOneCutsEveryPieceAlone) {
    const auto quilt = laidOut(nested(), School::oneByOne);
    const auto plan = planTrace(quilt, block(quilt));
    EXPECT_EQ(plan.chunks.size(), block(quilt).pieces.size());
    EXPECT_TRUE(tooClose(quilt, block(quilt), *block(quilt).layout).empty());
}

TEST(Schools, ByFabricGathersEachFabricAndNeedsFewerCuts) {
    const auto quilt = laidOut(nested(), School::byFabric);
    const auto plan = planTrace(quilt, block(quilt));
    EXPECT_EQ(plan.chunks.size(), 5U); // five fabrics
    EXPECT_TRUE(tooClose(quilt, block(quilt), *block(quilt).layout).empty());
    const auto single = planTrace(quilt, block(laidOut(nested(), School::oneByOne)));
    EXPECT_LT(costOf(plan, *block(quilt).layout).chunks, static_cast<int>(single.chunks.size()));
}

/// The chunks' own outlines keep their distance: none reaches into another's gaps.
TEST(Schools, ChunksOfDifferentFabricsAreNeverInterleaved) {
    Random random(5);
    std::vector<test::Drawn> drawn;
    for (std::size_t i = 0; i < 16; ++i) {
        auto ring = test::randomStar(random);
        for (auto& p : ring)
            p = p * 0.5 + shape::Point{114, 114};
        drawn.push_back({"p", ring, {static_cast<std::uint8_t>(60 * (i % 4)), 80, 120}});
    }
    const auto quilt = laidOut(test::quiltOf(drawn), School::byFabric);
    const auto plan = planTrace(quilt, block(quilt));
    for (std::size_t i = 0; i < plan.chunks.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (plan.chunks[i].sheet == plan.chunks[j].sheet) {
                EXPECT_LT(test::geosArea(plan.chunks[i].roughCut, plan.chunks[j].roughCut,
                                         test::Boolean::intersect),
                          2.0);
            }
}

TEST(Schools, WindowsHoldSmallerPiecesSeveralDeep) {
    const auto quilt = laidOut(nested(), School::windowed);
    const auto& layout = *block(quilt).layout;
    ASSERT_EQ(layout.traced.size(), block(quilt).pieces.size());
    EXPECT_TRUE(tooClose(quilt, block(quilt), layout).empty());
    const auto plan = planTrace(quilt, block(quilt));
    std::map<PieceId, shape::Region> lies;
    for (const auto& [id, outline] : plan.lines)
        lies[id] = shape::regionOf(outline);
    const auto isWithin = [&](std::size_t inner, std::size_t outer) {
        return test::geosArea(lies[idOf(quilt, inner)], lies[idOf(quilt, outer)], test::Boolean::subtract) <
               1e-3;
    };
    EXPECT_TRUE(isWithin(1, 0)) << "the middle one lies in the large one's window";
    int inMiddle = 0;
    for (std::size_t i = 2; i < 8; ++i)
        inMiddle += isWithin(i, 1) ? 1 : 0;
    EXPECT_GT(inMiddle, 0) << "small ones lie in the middle one's window";
    // Rim and rough-cut margin: half an inch from any line round it. By arithmetic.
    EXPECT_GE(
        test::geosDistance(lies[idOf(quilt, 1)],
                           shape::subtract(shape::rectangle({-500, -500, 900, 900}), lies[idOf(quilt, 0)])),
        12.7 - 0.05);
    const auto plain = laidOut(nested(), School::byFabric);
    EXPECT_LT(costOf(plan, layout).roll, costOf(planTrace(plain, block(plain)), *block(plain).layout).roll);
}

TEST(Schools, WindowsAreTheUsersToForbid) {
    auto quilt = nested();
    const auto pieces = block(quilt).pieces; // the quilt they are in goes away
    for (const auto& piece : pieces)
        quilt = must(edit::set(quilt, block(quilt).id, {piece.id}, &quilt::Piece::mayHaveWindow, false));
    for (const auto school : schoolsFor(quilt, block(quilt)))
        EXPECT_NE(school, School::windowed);
    const auto laid = laidOut(quilt, School::windowed);
    for (const auto& traced : block(laid).layout->traced)
        EXPECT_FALSE(traced.window);
}

TEST(Windows, LeaveARimOfAQuarterInch) {
    const auto window = windowIn(test::squareRegion(0, 0, 100));
    EXPECT_NEAR(window.area(), (100 - 12.7) * (100 - 12.7), 0.01);
    EXPECT_TRUE(windowIn(test::squareRegion(0, 0, 36)).isEmpty()) << "less than an inch across";
}

/// Equal triangles, some turned: strips as high as they are, the web as wide as seven half bases.
TEST(Schools, StripsAreExactlyAsHighAsTheShapes) {
    std::vector<test::Drawn> drawn;
    for (int i = 0; i < 6; ++i) {
        shape::Ring ring{{0, 0}, {40, 0}, {20, 50}};
        if (i % 2)
            for (auto& p : ring)
                p = {-p.x, -p.y};
        for (auto& p : ring)
            p = p + shape::Point{30.0 + 30 * i, 100};
        drawn.push_back({"t", ring, {9, 9, 9}});
    }
    auto quilt = test::quiltOf(drawn);
    quilt.webs.front().width = Length::ofMm(145);
    const auto schools = schoolsFor(quilt, block(quilt));
    EXPECT_NE(std::find(schools.begin(), schools.end(), School::strip), schools.end());
    const auto laid = laidOut(quilt, School::strip);
    const auto& layout = *block(laid).layout;
    ASSERT_EQ(layout.traced.size(), 6U);
    ASSERT_EQ(layout.strips.size(), 1U);
    EXPECT_LE(layout.strips.front().height.mm(), 50.001);
    EXPECT_EQ(layout.strips.front().count, 1); // 6 triangles up and down: 7 half bases, 140 mm
    std::vector<shape::Region> lines;
    for (const auto& line : planTrace(laid, block(laid)).lines)
        lines.push_back(shape::regionOf(line.second));
    // None lies on another by more than a few hundredths of a millimetre along the five edges they share.
    EXPECT_NEAR(shape::unite(lines).area(), 6 * 40 * 50 / 2.0, 5 * 54 * 0.03);
    EXPECT_LT(costOf(planTrace(laid, block(laid)), layout).roll, Length::ofMm(60));
}

/// Reversing mirrors the wanted direction: a becomes 180° − a. By arithmetic.
TEST(Stripes, RunAlikeThroughEachChunkAndNoFreePieceIsHeld) {
    Random random(8);
    std::vector<test::Drawn> drawn;
    for (int i = 0; i < 9; ++i) {
        auto ring = test::randomStar(random);
        for (auto& p : ring)
            p = p * 0.5 + shape::Point{114, 114};
        drawn.push_back({"p", ring, {50, 80, 120}});
    }
    auto quilt = test::quiltOf(drawn);
    const auto fabric = block(quilt).pieces.front().fabric;
    quilt = must(edit::setPrint(quilt, fabric, quilt::Print::striped, Angle::ofDegrees(4)));
    for (std::size_t i = 0; i < 7; ++i)
        quilt = must(edit::setGrain(quilt, block(quilt).id, idOf(quilt, i),
                                    Angle::ofDegrees(25.0 * static_cast<double>(i))));
    for (const auto print : {quilt::Print::striped, quilt::Print::oneWay}) {
        quilt = must(edit::setPrint(quilt, fabric, print, Angle::ofDegrees(4)));
        const auto laid = laidOut(quilt, School::byFabric);
        std::map<int, std::vector<double>> byChunk;
        for (const auto& traced : block(laid).layout->traced) {
            const auto* piece = find(block(laid).pieces, traced.piece);
            if (piece->grain)
                byChunk[traced.chunk].push_back(180 - piece->grain->degrees() + traced.turn.degrees());
        }
        const double half = print == quilt::Print::striped ? 180 : 360;
        for (const auto& [chunk, ways] : byChunk)
            for (const double way : ways)
                EXPECT_LE(std::abs(std::remainder(way - ways.front(), half)), 8.001) << chunk;
    }
}

TEST(LayOut, UsesOffCutsFirstAndSaysThatNoNewWebIsNeeded) {
    auto quilt = nested();
    quilt.offCuts.push_back({OffCutId{quilt.nextId++}, block(quilt).web, {boxAt(0, 0, 440, 300)}, "", ""});
    quilt.offCuts.push_back({OffCutId{quilt.nextId++}, block(quilt).web, {boxAt(0, 0, 70, 70)}, "", ""});
    const auto laid = laidOut(quilt, School::byFabric);
    const auto& layout = *block(laid).layout;
    const auto cost = costOf(planTrace(laid, block(laid)), layout);
    EXPECT_FALSE(cost.needsNewWeb());
    EXPECT_EQ(cost.offCuts, 2);
    EXPECT_TRUE(tooClose(laid, block(laid), layout).empty());
    Job job;
    const auto without = must(layOut(quilt, block(quilt), {0, 2, 1, School::byFabric, false}, job));
    EXPECT_TRUE(costOf(planTrace(quilt, block(quilt), without), without).needsNewWeb());
}

TEST(LayOut, LeavesOffCutsAloneThatAnotherBlockLiesOn) {
    auto quilt = nested();
    quilt.offCuts.push_back({OffCutId{quilt.nextId++}, block(quilt).web, {boxAt(0, 0, 300, 300)}, "", ""});
    quilt = laidOut(quilt, School::byFabric);
    auto other = quilt.blocks.front();
    other.id = BlockId{quilt.nextId++};
    other.layout.reset();
    quilt.blocks.push_back(other);
    Job job;
    const auto layout = must(layOut(quilt, quilt.blocks.back(), {0, 2, 1}, job));
    EXPECT_EQ(costOf(planTrace(quilt, quilt.blocks.back(), layout), layout).offCuts, 0);
    const auto reserved = reservedBy(quilt, other.web, other.id);
    EXPECT_EQ(reserved.offCuts.size(), 1U);
}

TEST(LayOut, ARedonePieceGoesIntoWhatIsLeft) {
    auto quilt = nested();
    quilt.webs.front().width = Length::ofInches(17, 1);
    quilt = laidOut(quilt, School::byFabric);
    std::vector<PieceId> all;
    for (const auto& piece : block(quilt).pieces)
        all.push_back(piece.id);
    const auto before = costOf(planTrace(quilt, block(quilt)), *block(quilt).layout).roll;
    quilt = must(edit::record(quilt, block(quilt).id, all, quilt::Step::traced, 2));
    const auto ruined = idOf(quilt, 4);
    quilt = must(edit::ruin(quilt, block(quilt).id, ruined, "lost", 3));
    const auto kept = block(quilt).layout->traced;
    quilt = laidOut(quilt, School::byFabric);
    const auto& layout = *block(quilt).layout;
    ASSERT_EQ(layout.traced.size(), all.size());
    for (const auto& traced : kept)
        EXPECT_NE(std::find(layout.traced.begin(), layout.traced.end(), traced), layout.traced.end());
    EXPECT_LE(costOf(planTrace(quilt, block(quilt)), layout).roll, before);
    EXPECT_TRUE(tooClose(quilt, block(quilt), layout).empty());
}

TEST(ByHand, MovesTheChunkPinsItAndTheRestFlowsRoundIt) {
    auto quilt = laidOut(nested(), School::byFabric);
    const auto& before = *block(quilt).layout;
    const auto chunk = chunkAround(before, idOf(quilt, 2));
    EXPECT_EQ(chunk.size(), 2U);
    shape::Box box;
    for (const auto& [id, outline] : planTrace(quilt, block(quilt)).lines)
        if (std::find(chunk.begin(), chunk.end(), id) != chunk.end()) box.take(boundsOf(outline));
    const auto to = shape::Point{100, 60} - box.centre(); // where the large ones were
    auto moved = movedByHand(block(quilt), before, chunk, to.x, to.y, Angle::ofDegrees(30));
    for (const auto& traced : moved.traced)
        EXPECT_EQ(traced.pinned, std::find(chunk.begin(), chunk.end(), traced.piece) != chunk.end());
    quilt = must(edit::changeLayout(quilt, block(quilt).id, moved));
    quilt = laidOut(quilt, School::byFabric);
    const auto& after = *block(quilt).layout;
    EXPECT_EQ(after.traced.size(), block(quilt).pieces.size());
    for (const auto& traced : moved.traced)
        if (traced.pinned) {
            const auto it = std::find_if(after.traced.begin(), after.traced.end(),
                                         [&](const auto& t) { return t.piece == traced.piece; });
            EXPECT_EQ(it->x, traced.x);
            EXPECT_EQ(it->turn, traced.turn);
        }
    EXPECT_TRUE(tooClose(quilt, block(quilt), after).empty());
}

TEST(ByHand, APieceTakenOutOfItsChunkIsCutAloneAndBackAgainIsNot) {
    const auto quilt = laidOut(nested(), School::byFabric);
    const auto& before = *block(quilt).layout;
    const auto one = idOf(quilt, 2);
    const auto apart = movedByHand(block(quilt), before, {one}, 0, 400, {});
    EXPECT_EQ(chunkAround(apart, one).size(), 1U);
    const auto back = movedByHand(block(quilt), apart, {one}, 0, -400, {});
    EXPECT_EQ(chunkAround(back, one).size(), 2U);
}

/// T11: a piece 33 m long took minutes and gigabytes to be found too long.
TEST(LayOut, WhatIsLongerThanAnyWebIsSetAsideAtOnce) {
    auto quilt = laidOut(nested(), School::byFabric);
    auto longOne = quilt.blocks[0].pieces[0];
    longOne.id = PieceId{quilt.nextId++};
    longOne.outline =
        shape::Outline{shape::contourThrough(shape::rectangle({0, 0, 33'000, 60}).rings[0]), {}};
    auto changed = quilt.blocks[0];
    changed.layout.reset();
    changed.pieces.push_back(longOne);
    quilt.blocks[0] = changed;
    for (const auto school : {School::oneByOne, School::byFabric, School::windowed}) {
        const auto out = laidOut(quilt, school);
        const auto& layout = *block(out).layout;
        ASSERT_EQ(layout.unplaced.size(), 1U);
        EXPECT_EQ(layout.unplaced[0].piece, longOne.id);
        EXPECT_EQ(layout.unplaced[0].reason, quilt::WhyNot::largerThanSheet);
        EXPECT_EQ(layout.traced.size(), quilt.blocks[0].pieces.size() - 1);
    }
}

/// B3: a packet with fewer sheets left than were used is empty, and never becomes a roll.
TEST(PutAway, TakesSheetsOutOfThePacketAndNeverBelowNone) {
    auto quilt = laidOut(nested(), School::byFabric);
    quilt.webs.front().stock = quilt::Packet{1, Length::ofInches(12, 1)};
    const quilt::Remains one{0, Length::ofInches(12, 1), {}}, two{1, Length::ofInches(12, 1), {}};
    const auto once = must(edit::putAway(quilt, block(quilt).id, {one}, 3));
    ASSERT_TRUE(std::holds_alternative<quilt::Packet>(once.webs.front().stock));
    EXPECT_EQ(std::get<quilt::Packet>(once.webs.front().stock).sheets, 0);
    const auto both = must(edit::putAway(quilt, block(quilt).id, {one, two}, 3));
    ASSERT_TRUE(std::holds_alternative<quilt::Packet>(both.webs.front().stock));
    EXPECT_EQ(std::get<quilt::Packet>(both.webs.front().stock).sheets, 0);
    EXPECT_EQ(std::get<quilt::Packet>(must(edit::putAway(once, block(quilt).id, {one}, 4)).webs.front().stock)
                  .sheets,
              0)
        << "the same sheet is put away once";
}

TEST(ByHand, NamesWhatLiesTooClose) {
    const auto quilt = laidOut(nested(), School::byFabric);
    const auto& before = *block(quilt).layout;
    const auto find = [&](const quilt::Layout& layout, PieceId piece) {
        return std::find_if(layout.traced.begin(), layout.traced.end(),
                            [&](const auto& t) { return t.piece == piece; });
    };
    const auto a = find(before, idOf(quilt, 2)), b = find(before, idOf(quilt, 3));
    const auto onTop = movedByHand(block(quilt), before, {a->piece}, b->x - a->x, b->y - a->y, {});
    const auto pairs = tooClose(quilt, block(quilt), onTop);
    ASSERT_FALSE(pairs.empty());
    const auto off = movedByHand(block(quilt), before, {a->piece}, -500, 0, {});
    const auto over = tooClose(quilt, block(quilt), off);
    ASSERT_EQ(over.size(), 1U);
    EXPECT_EQ(over.front(), (TooClose{a->piece, {}}));
}

TEST(Remains, AreInsideTheSheetOutsideTheCutsAndWideEnough) {
    const auto quilt = laidOut(nested(), School::windowed);
    const auto plan = planTrace(quilt, block(quilt));
    const auto least = Length::ofInches(3, 2);
    double kept = 0;
    for (const auto& sheet : plan.sheets)
        for (const auto& part : offCutsOf(plan, sheet, least)) {
            kept += part.area();
            EXPECT_LT(test::geosArea(part, sheet.area, test::Boolean::subtract), 1e-3);
            EXPECT_FALSE(shape::offset(part, -least.mm() / 2 + 1.2).isEmpty());
            for (const auto& chunk : plan.chunks) {
                auto cut = chunk.roughCut;
                for (const auto& [piece, window] : chunk.windows)
                    cut = shape::subtract(cut, window);
                EXPECT_LT(test::geosArea(part, cut, test::Boolean::intersect), 1e-3);
            }
        }
    EXPECT_GT(kept, 0);
}

TEST(PutAway, TakesWebOffTheRollAndKeepsWhatIsLeft) {
    auto quilt = laidOut(nested(), School::byFabric);
    std::vector<PieceId> all;
    for (const auto& piece : block(quilt).pieces)
        all.push_back(piece.id);
    EXPECT_TRUE(cutSheets(block(quilt), planTrace(quilt, block(quilt))).empty());
    for (const auto step : {quilt::Step::traced, quilt::Step::roughCut})
        quilt = must(edit::record(quilt, block(quilt).id, all, step, 2));
    const auto plan = planTrace(quilt, block(quilt));
    const auto cut = cutSheets(block(quilt), plan);
    ASSERT_EQ(cut.size(), 1U);
    const quilt::Remains rest{cut.front()->number, cut.front()->used, {{boxAt(0, 0, 50, 50)}}};
    const auto away = must(edit::putAway(quilt, block(quilt).id, {rest}, 3));
    EXPECT_NEAR(away.webs.front().length().mm(), quilt.webs.front().length().mm() - rest.used.mm(), 1e-9);
    ASSERT_EQ(away.offCuts.size(), 1U);
    EXPECT_EQ(away.offCuts.front().from, block(quilt).name);
    EXPECT_TRUE(cutSheets(block(away), planTrace(away, block(away))).empty());
    // A piece redone later goes on the off-cut, since the rest of that sheet is gone.
    const auto ruined = must(edit::ruin(away, block(away).id, idOf(away, 5), "lost", 4));
    const auto again = laidOut(ruined, School::byFabric);
    const auto& layout = *block(again).layout;
    EXPECT_EQ(layout.traced.back().sheet, 1);
    EXPECT_EQ(sheetOf(layout, 1).offCut, away.offCuts.front().id);
    EXPECT_TRUE(sheetOf(layout, 0).putAway);
}

TEST(ByHand, NamesWhatComesOverTheEdgeOfItsSheet) {
    const auto quilt = laidOut(nested(), School::oneByOne);
    auto layout = *block(quilt).layout;
    const auto piece = idOf(quilt, 4);
    const auto overEdge = [&](const quilt::Layout& now) {
        const auto found = tooClose(quilt, block(quilt), now);
        return std::any_of(found.begin(), found.end(),
                           [&](const auto& t) { return t.piece == piece && !t.other; });
    };
    shape::Box box;
    for (const auto& [id, outline] : planTrace(quilt, block(quilt)).lines)
        if (id == piece) box = boundsOf(outline);
    EXPECT_FALSE(overEdge(layout));
    EXPECT_FALSE(overEdge(movedByHand(block(quilt), layout, {piece}, -box.left - 0.05, 0, {}))) << "a hair";
    EXPECT_TRUE(overEdge(movedByHand(block(quilt), layout, {piece}, -box.left - 1, 0, {})));
    EXPECT_TRUE(overEdge(movedByHand(block(quilt), layout, {piece}, 0, -box.top - 1, {})));
    const auto* web = find(quilt.webs, layout.web);
    EXPECT_TRUE(overEdge(movedByHand(block(quilt), layout, {piece}, web->width.mm() - box.right + 1, 0, {})));
    // The same on an off-cut with a corner missing: there its box says too little.
    const double w = web->width.mm();
    const shape::Ring triangle{{0, 0}, {w, 0}, {0, 4000}};
    for (auto& sheet : layout.sheets)
        sheet.outline = {triangle};
    if (layout.sheets.empty()) layout.sheets.push_back({{}, {triangle}, false});
    const auto inCorner = movedByHand(block(quilt), layout, {piece}, w - box.right - 1, 1 - box.top, {});
    EXPECT_TRUE(overEdge(inCorner));
}

} // namespace
} // namespace up::plan
