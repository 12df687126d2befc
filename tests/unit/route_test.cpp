// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/random.hpp"
#include "core/stitch/route.hpp"

#include <algorithm>
#include <gtest/gtest.h>
#include <numeric>

namespace up::stitch {
namespace {

int changesOf(const RouteJob& job, const std::vector<std::size_t>& order) {
    int changes = 0;
    for (std::size_t i = 1; i < order.size(); ++i)
        changes += job.thread[order[i]] != job.thread[order[i - 1]];
    return changes;
}

bool keepsOrder(const RouteJob& job, const std::vector<std::size_t>& order) {
    const auto at = [&](std::size_t piece) {
        return std::find(order.begin(), order.end(), piece) - order.begin();
    };
    return std::all_of(job.before.begin(), job.before.end(),
                       [&](const auto& pair) { return at(pair.first) < at(pair.second); });
}

RouteJob randomJob(Random& random, std::size_t pieces, int threads) {
    RouteJob job;
    for (std::size_t i = 0; i < pieces; ++i)
        job.thread.push_back(static_cast<int>(random.below(static_cast<std::size_t>(threads))));
    for (std::size_t i = 0; i < pieces; ++i)
        for (std::size_t j = i + 1; j < pieces; ++j)
            if (random.below(4) == 0) job.before.emplace_back(i, j);
    return job;
}

TEST(RouteOf, GroupsOneThreadWhenNothingMinds) {
    const auto route = routeOf({{1, 2, 1, 2, 1}, {}});
    EXPECT_EQ(route.threadChanges, 1);
    EXPECT_EQ(route.order, (std::vector<std::size_t>{0, 2, 4, 1, 3}));
}

TEST(RouteOf, StitchesTheLowerBeforeTheUpper) {
    // A lower piece of the second thread must come before an upper one of the first.
    const auto route = routeOf({{1, 2, 1}, {{1, 2}}});
    EXPECT_EQ(route.threadChanges, 1);
    EXPECT_EQ(route.order, (std::vector<std::size_t>{1, 0, 2}));
}

TEST(RouteOf, FindsTheFewestChangesOfAllOrders) {
    Random random(51);
    for (int round = 0; round < 60; ++round) {
        const auto job = randomJob(random, 7, 3);
        std::vector<std::size_t> order(7);
        std::iota(order.begin(), order.end(), 0);
        int fewest = 99;
        do {
            if (keepsOrder(job, order)) fewest = std::min(fewest, changesOf(job, order));
        } while (std::next_permutation(order.begin(), order.end()));
        const auto route = routeOf(job);
        EXPECT_TRUE(route.fewest);
        EXPECT_EQ(route.threadChanges, fewest) << round;
        EXPECT_EQ(changesOf(job, route.order), route.threadChanges);
        EXPECT_TRUE(keepsOrder(job, route.order));
    }
}

TEST(RouteOf, KeepsTheOrderEvenWhenTheSearchIsCutShort) {
    Random random(52);
    const auto job = randomJob(random, 120, 14);
    const auto route = routeOf(job);
    EXPECT_EQ(route.order.size(), 120U);
    EXPECT_TRUE(keepsOrder(job, route.order));
    EXPECT_EQ(changesOf(job, route.order), route.threadChanges);
}

TEST(RouteOf, HasNothingToDoWithoutPieces) {
    const auto route = routeOf({});
    EXPECT_TRUE(route.order.empty());
    EXPECT_EQ(route.threadChanges, 0);
}

} // namespace
} // namespace up::stitch
