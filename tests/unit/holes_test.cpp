// SPDX-License-Identifier: GPL-3.0-or-later
// Room between pieces, pieces in bays, and first layouts.
#include "core/layout/clash.hpp"
#include "core/layout/construct.hpp"
#include "core/layout/holes.hpp"
#include "tests/support/layouts.hpp"

#include <gtest/gtest.h>

namespace up::layout {
namespace {

using shape::Point;

/// Squares of 40 in one bay of 200 × 200, or in two.
struct Squares {
    Form form = formOf(test::squareRegion(0, 0, 40));
    std::vector<Piece> pieces;
    std::vector<Place> places;
    std::vector<Bay> bays{{200, 200, {}}, {100, 100, {}}};
    void add(Point at, std::size_t bay = 0) {
        pieces.push_back({&form, {}, false});
        places.push_back({bay, turnOf(0), at});
    }
    [[nodiscard]] Arrangement arranged() const { return {pieces, places}; }
};

TEST(HolesOf, AnEmptyBayIsOneHoleInItsMiddle) {
    const Squares none;
    const auto holes = holesOf(none.arranged(), {{200, 200, {}}});
    ASSERT_FALSE(holes.empty());
    EXPECT_NEAR(holes.back().radius, 100, 8);
    EXPECT_LT(shape::distance(holes.back().at, {100, 100}), 12);
}

TEST(HolesOf, NothingLiesInAHole) {
    Random random(41);
    for (int round = 0; round < 20; ++round) {
        Squares squares;
        for (int i = 0; i < 9; ++i)
            squares.add({random.between(0, 160), random.between(0, 160)}, 0);
        const auto in = squares.arranged();
        const double cell = std::sqrt((200 * 200 + 100 * 100) / 8000.0);
        double before = 0;
        for (const auto& hole : holesOf(in, squares.bays)) {
            EXPECT_GE(hole.radius, before) << "the narrowest first";
            before = hole.radius;
            const auto& bay = squares.bays[hole.bay];
            EXPECT_TRUE((shape::Box{0, 0, bay.width, bay.height}).holds(hole.at));
            for (std::size_t i = 0; i < in.count() && hole.bay == 0; ++i) {
                const auto box = in.laid(i).box();
                const double away = std::hypot(std::max({box.left - hole.at.x, 0.0, hole.at.x - box.right}),
                                               std::max({box.top - hole.at.y, 0.0, hole.at.y - box.bottom}));
                EXPECT_GE(away, hole.radius * 0.9 - 2 * cell)
                    << "to a cell, and what steps of 1 and 1.4 lack";
            }
        }
    }
}

TEST(ArrangementOf, CostIsWhatTheClashesAre) {
    Random random(42);
    Squares squares;
    for (int i = 0; i < 12; ++i)
        squares.add({random.between(0, 160), random.between(0, 160)});
    const auto in = squares.arranged();
    const Weights equal(squares.pieces.size());
    constexpr double infinite = std::numeric_limits<double>::infinity();
    std::vector<double> sums(squares.pieces.size());
    for (const auto& clash : in.clashes(squares.bays))
        sums[clash.i] += clash.depth, sums[clash.j] += clash.depth;
    for (std::size_t i = 0; i < sums.size(); ++i)
        EXPECT_NEAR(in.costOf(i, in.laid(i), 0, squares.bays, equal, infinite), sums[i],
                    1e-3 + sums[i] * 1e-3)
            << i;
}

TEST(ArrangementOf, PiecesOfOtherBaysAreNotMet) {
    Squares squares;
    squares.add({10, 10}, 0);
    squares.add({10, 10}, 1);
    EXPECT_TRUE(squares.arranged().clashes(squares.bays).empty());
    squares.add({20, 20}, 1);
    EXPECT_EQ(squares.arranged().clashes(squares.bays).size(), 1U);
    squares.add({80, 10}, 1); // reaches 20 mm over the edge of its bay
    const auto clashes = squares.arranged().clashes(squares.bays);
    EXPECT_TRUE(std::any_of(clashes.begin(), clashes.end(), [](const Clash& clash) {
        return clash.i == 3 && clash.j == 3 && std::abs(clash.depth - 20) < 1e-6;
    }));
    EXPECT_EQ(squares.arranged().usedOf(0), 50);
    EXPECT_EQ(squares.arranged().usedOf(1), 60);
}

TEST(Constructed, QuickIsAsValidAsFull) {
    for (const std::uint64_t seed : {51U, 52U, 53U}) {
        const auto job = test::randomJob(seed, 20);
        const Job control;
        const auto quick = constructor(job, seed, Care::quick)(0, control, false);
        const auto full = constructor(job, seed)(0, control, false);
        test::expectValid(job, quick);
        test::expectValid(job, full);
        EXPECT_TRUE(quick.unplaced.empty());
        EXPECT_LT(full.usedHeight, quick.usedHeight * 1.1);
    }
}

TEST(Arrangement, ClashesOfSomeAreTheClashesWithOneOfThemInIt) {
    Random random(43);
    for (int round = 0; round < 40; ++round) {
        Squares squares;
        for (int i = 0; i < 12; ++i)
            squares.add({random.between(-20, 180), random.between(-20, 180)}, random.below(2));
        squares.pieces[3].fixed = squares.pieces[8].fixed = true;
        const auto in = squares.arranged();
        std::vector<std::size_t> some;
        for (std::size_t i = 0; i < 12; ++i)
            if (random.below(3) == 0) some.push_back(i);
        const auto isAsked = [&](std::size_t i) {
            return std::find(some.begin(), some.end(), i) != some.end();
        };
        std::vector<std::tuple<std::size_t, std::size_t, double>> expected, found;
        for (const auto& clash : in.clashes(squares.bays))
            if (isAsked(clash.i) || isAsked(clash.j)) expected.emplace_back(clash.i, clash.j, clash.depth);
        for (const auto& clash : in.clashesOf(some, squares.bays))
            found.emplace_back(clash.i, clash.j, clash.depth);
        std::sort(expected.begin(), expected.end());
        std::sort(found.begin(), found.end());
        EXPECT_EQ(found, expected) << round;
    }
}

} // namespace
} // namespace up::layout
