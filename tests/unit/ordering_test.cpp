// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/ordering.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <boost/graph/adjacency_list.hpp>
#include <boost/graph/dag_shortest_paths.hpp>
#include <boost/graph/strong_components.hpp>
#include <gtest/gtest.h>
#include <numeric>

namespace up::stack {
namespace {

using Graph = boost::adjacency_list<boost::vecS, boost::vecS, boost::directedS, boost::no_property,
                                    boost::property<boost::edge_weight_t, int>>;

std::vector<Pair> randomPairs(Random& random, std::size_t count, std::size_t pairs, bool upwards) {
    std::vector<Pair> out;
    for (std::size_t i = 0; i < pairs; ++i) {
        auto a = random.below(count), b = random.below(count);
        if (a == b) continue;
        if (upwards && a < b) std::swap(a, b);
        out.push_back({a, b});
    }
    return out;
}

/// The longest way down from each piece, by Boost.Graph: shortest paths with every step counted as −1.
std::vector<int> longestPaths(std::size_t count, const std::vector<Overlap>& overlaps) {
    Graph graph(count);
    for (const auto& o : overlaps)
        add_edge(o.upper, o.lower, -1, graph);
    std::vector<int> out(count);
    for (std::size_t i = 0; i < count; ++i) {
        std::vector<int> distance(count);
        dag_shortest_paths(graph, i, boost::distance_map(distance.data()));
        int least = 0;
        for (const int d : distance)
            if (d <= 0) least = std::min(least, d);
        out[i] = -least;
    }
    return out;
}

/// Source of the comparison: Boost.Graph, dag_shortest_paths.
TEST(Steps, AreTheLongestWaysDown) {
    for (std::uint64_t seed = 0; seed < 40; ++seed) {
        Random random(seed);
        std::vector<shape::Region> pieces;
        for (std::size_t i = 0; i < 25; ++i)
            pieces.push_back(
                test::squareRegion(random.between(0, 100), random.between(0, 100), random.between(5, 40)));
        const auto stack = stackOf(pieces);
        EXPECT_EQ(stack.step, longestPaths(pieces.size(), stack.overlaps)) << seed;
    }
}

/// Source of the comparison: Boost.Graph, strong_components.
TEST(Knots, AreFoundWheneverBoostFindsThem) {
    int tied = 0;
    for (std::uint64_t seed = 0; seed < 300; ++seed) {
        Random random(seed);
        const std::size_t count = 3 + random.below(20);
        const auto pairs = randomPairs(random, count, count + random.below(count), false);
        Graph graph(count);
        for (const auto& pair : pairs)
            add_edge(pair.lower, pair.upper, 1, graph);
        std::vector<int> component(count);
        const int number = boost::strong_components(graph, component.data());
        std::vector<std::vector<std::size_t>> theirs(static_cast<std::size_t>(number));
        for (std::size_t i = 0; i < count; ++i)
            theirs[static_cast<std::size_t>(component[i])].push_back(i);
        std::erase_if(theirs, [](const auto& c) { return c.size() < 2; });
        std::sort(theirs.begin(), theirs.end());
        tied += theirs.empty() ? 0 : 1;
        EXPECT_EQ(knotsOf(count, pairs), theirs) << seed;
    }
    EXPECT_GT(tied, 50) << "the pairs must tie knots now and then";
}

TEST(BottomFirst, KeepsEveryPair) {
    for (std::uint64_t seed = 0; seed < 50; ++seed) {
        Random random(seed);
        const auto pairs = randomPairs(random, 30, 60, true);
        const auto order = bottomFirst(30, pairs);
        std::vector<std::size_t> place(30);
        for (std::size_t i = 0; i < order.size(); ++i)
            place[order[i]] = i;
        for (const auto& pair : pairs)
            EXPECT_LT(place[pair.lower], place[pair.upper]);
    }
}

TEST(BottomFirst, ChangesNothingThatNeedNotChange) {
    EXPECT_EQ(bottomFirst(4, {{1, 0}, {3, 2}}), (std::vector<std::size_t>{0, 1, 2, 3}));
    EXPECT_EQ(bottomFirst(4, {{0, 3}}), (std::vector<std::size_t>{1, 2, 3, 0}));
}

TEST(BottomFirst, GivesEveryPieceOnceEvenInAKnot) {
    auto order = bottomFirst(4, {{0, 1}, {1, 2}, {2, 0}});
    std::sort(order.begin(), order.end());
    EXPECT_EQ(order, (std::vector<std::size_t>{0, 1, 2, 3}));
}

TEST(Decided, TheLighterGoesBelowUnlessTheyOverlap) {
    // 0 is dark, 1 light, 2 light: 0 and 1 meet, 2 overlaps 0.
    const auto out = decided(3, {{0, 1, false}, {0, 2, true}}, {}, {20, 90, 95});
    EXPECT_EQ(out.order, (std::vector<std::size_t>{1, 0, 2}));
    ASSERT_EQ(out.decisions.size(), 2U);
    EXPECT_EQ(out.decisions[0].reason, Reason::overlap);
    EXPECT_EQ(out.decisions[1].reason, Reason::lighter);
    EXPECT_EQ(out.decisions[1].lower, 1U);
}

TEST(Decided, WhatTheUserSaysGoesBeforeAll) {
    const auto out = decided(2, {{0, 1, true}}, {{0, 1}}, {20, 90});
    EXPECT_EQ(out.order, (std::vector<std::size_t>{1, 0}));
    EXPECT_EQ(out.decisions[0].reason, Reason::said);
}

TEST(Decided, AWishThatWouldTieAKnotGivesWay) {
    // 1 overlaps 0, 2 overlaps 1; 0 is darker than 2 and meets it: 2 below 0 would go round.
    const auto out = decided(3, {{0, 1, true}, {1, 2, true}, {0, 2, false}}, {}, {10, 50, 90});
    EXPECT_EQ(out.order, (std::vector<std::size_t>{0, 1, 2}));
    EXPECT_EQ(out.decisions[2].reason, Reason::forced);
    EXPECT_EQ(out.decisions[2].lower, 0U);
}

TEST(Stack, AKnotIsFoundAndStepsStillHold) {
    // Three bars, each over the next.
    const auto bar = [](double x, double y, double w, double h) {
        return shape::rectangle({x, y, x + w, y + h});
    };
    const std::vector<shape::Region> bars{bar(0, 0, 60, 10), bar(50, -5, 10, 60), bar(-5, 40, 70, 10),
                                          bar(5, -5, 10, 60)};
    const auto overlaps = overlapsOf(bars);
    ASSERT_EQ(overlaps.size(), 4U);
    const auto stack = stackOf(bars, {{0, 3}}); // 3 lies under 0, 1 over 0, 2 over 1, 3 over 2
    ASSERT_EQ(stack.knots.size(), 1U);
    EXPECT_EQ(stack.knots[0], (std::vector<std::size_t>{0, 1, 2, 3}));
    EXPECT_EQ(stack.step.size(), 4U);
}

} // namespace
} // namespace up::stack
