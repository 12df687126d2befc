// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/random.hpp"
#include "core/stitch/alike_things.hpp"
#include "core/stitch/later.hpp"
#include "core/stitch/turns.hpp"

#include <algorithm>
#include <gtest/gtest.h>
#include <numeric>

namespace up::stitch {
namespace {

std::vector<std::size_t> orderOf(const Turns& turns) {
    std::vector<std::size_t> out;
    for (const auto& turn : turns.turns)
        out.insert(out.end(), turn.things.begin(), turn.things.end());
    return out;
}

int changesOf(const TurnsJob& job, const std::vector<std::size_t>& order) {
    int changes = 0;
    for (std::size_t i = 1; i < order.size(); ++i)
        changes += job.thread[order[i]] != job.thread[order[i - 1]];
    return changes;
}

bool keepsOrder(const TurnsJob& job, const std::vector<std::size_t>& order) {
    const auto at = [&](std::size_t thing) {
        return std::find(order.begin(), order.end(), thing) - order.begin();
    };
    return std::all_of(job.before.begin(), job.before.end(),
                       [&](const auto& pair) { return at(pair.first) < at(pair.second); });
}

TurnsJob randomJob(Random& random, std::size_t things, int threads, std::size_t oneIn) {
    TurnsJob job;
    for (std::size_t i = 0; i < things; ++i)
        job.thread.push_back(static_cast<int>(random.below(static_cast<std::size_t>(threads))));
    for (std::size_t i = 0; i < things; ++i)
        for (std::size_t j = i + 1; j < things; ++j)
            if (random.below(oneIn) == 0) job.before.emplace_back(i, j);
    return job;
}

TEST(TurnsOf, GroupsOneThreadWhenNothingMinds) {
    const auto turns = turnsOf({{1, 2, 1, 2, 1}, {}});
    EXPECT_EQ(turns.turns.size(), 2U);
    EXPECT_EQ(turns.turns[0].things.size() + turns.turns[1].things.size(), 5U);
}

TEST(TurnsOf, StitchesTheLowerBeforeTheUpper) {
    // A lower piece of the second thread must come before an upper one of the first.
    const auto turns = turnsOf({{1, 2, 1}, {{1, 2}}});
    EXPECT_EQ(orderOf(turns), (std::vector<std::size_t>{1, 0, 2}));
    EXPECT_EQ(turns.turns.size(), 2U);
}

TEST(TurnsOf, FindsTheFewestChangesOfAllOrders) {
    Random random(51);
    for (int round = 0; round < 60; ++round) {
        const auto job = randomJob(random, 7, 3, 4);
        std::vector<std::size_t> order(7);
        std::iota(order.begin(), order.end(), 0);
        int fewest = 99;
        do {
            if (keepsOrder(job, order)) fewest = std::min(fewest, changesOf(job, order));
        } while (std::next_permutation(order.begin(), order.end()));
        const auto turns = turnsOf(job);
        EXPECT_TRUE(turns.fewest);
        EXPECT_EQ(static_cast<int>(turns.turns.size()) - 1, fewest) << round;
        EXPECT_TRUE(keepsOrder(job, orderOf(turns)));
    }
}

/// Dynamic programming over all sets of things and the thread that is on.
std::size_t fewestTurns(const TurnsJob& job) {
    const std::size_t count = job.thread.size(), sets = std::size_t{1} << count;
    const auto threads =
        static_cast<std::size_t>(*std::max_element(job.thread.begin(), job.thread.end())) + 1;
    std::vector<std::size_t> below(count, 0);
    for (const auto& [first, then] : job.before)
        below[then] |= std::size_t{1} << first;
    constexpr std::size_t never = 1000;
    std::vector<std::vector<std::size_t>> turns(sets, std::vector<std::size_t>(threads, never));
    for (auto& none : turns[0])
        none = 0;
    for (std::size_t set = 0; set < sets; ++set)
        for (std::size_t on = 0; on < threads; ++on)
            for (std::size_t i = 0; i < count && turns[set][on] < never; ++i) {
                if ((set >> i & 1) != 0 || (below[i] & ~set) != 0) continue;
                const auto thread = static_cast<std::size_t>(job.thread[i]);
                auto& best = turns[set | std::size_t{1} << i][thread];
                best = std::min(best, turns[set][on] + (set == 0 || thread != on));
            }
    return *std::min_element(turns.back().begin(), turns.back().end());
}

TEST(TurnsOf, FindsTheFewestTurnsThatDynamicProgrammingFinds) {
    Random random(54);
    for (int round = 0; round < 60; ++round) {
        const auto job = randomJob(random, 13, 3 + round % 4, 3 + static_cast<std::size_t>(round) % 5);
        const auto turns = turnsOf(job);
        EXPECT_TRUE(turns.fewest);
        EXPECT_EQ(turns.turns.size(), fewestTurns(job)) << round;
        EXPECT_LE(leastTurnsOf(job), turns.turns.size()) << round;
        for (const auto& other : turns.others) {
            EXPECT_EQ(other.size(), turns.turns.size());
            EXPECT_TRUE(keepsOrder(job, orderOf({other}))) << round;
        }
        auto quick = job;
        quick.quick = true;
        EXPECT_TRUE(keepsOrder(job, orderOf(turnsOf(quick)))) << round;
    }
}

TEST(AlikeThings, AreThoseThatWaitForTheSameOfOtherThreads) {
    // 0 and 1 wait for nothing, 3 for 0, of its own thread; 4 for 2, of another.
    const auto alike = alikeThings({{1, 1, 2, 1, 1}, {{0, 3}, {2, 4}, {3, 4}}});
    ASSERT_EQ(alike.groups.size(), 3U);
    EXPECT_EQ(alike.groups[0], (std::vector<std::size_t>{0, 1, 3}));
    EXPECT_EQ(alike.groups[2], (std::vector<std::size_t>{4}));
    EXPECT_EQ(alike.job.before, (std::vector<std::pair<std::size_t, std::size_t>>{{0, 2}, {1, 2}}));
}

TEST(TurnsOf, KeepsTheOrderEvenWhenTheSearchIsCutShort) {
    Random random(52);
    const auto job = randomJob(random, 400, 20, 60);
    const auto turns = turnsOf(job);
    const auto order = orderOf(turns);
    EXPECT_FALSE(turns.fewest) << "it was not so hard: nothing is tested";
    EXPECT_EQ(order.size(), 400U);
    EXPECT_TRUE(keepsOrder(job, order));
    EXPECT_EQ(changesOf(job, order) + 1, static_cast<int>(turns.turns.size()));
}

TEST(TurnsOf, ThreadThatIsOnComesFirstWhereThatCostsNothing) {
    EXPECT_EQ(turnsOf({{1, 2, 3}, {}, 3}).turns.front().thread, 3);
    EXPECT_EQ(turnsOf({{1, 2}, {{0, 1}}, 2}).turns.front().thread, 1) << "it must wait";
    EXPECT_EQ(turnsOf({{1, 2}, {}, 7}).turns.size(), 2U) << "nothing is stitched with it";
    Random random(53);
    int first = 0;
    for (int round = 0; round < 60; ++round) {
        auto job = randomJob(random, 12, 4, 5);
        const auto fewest = turnsOf(job).turns.size();
        job.on = 2;
        const auto turns = turnsOf(job);
        EXPECT_EQ(turns.turns.size(), fewest) << round;
        EXPECT_EQ(orderOf(turns).size(), 12U);
        EXPECT_TRUE(keepsOrder(job, orderOf(turns)));
        EXPECT_LE(leastTurnsOf(job), fewest) << round;
        first += turns.turns.front().thread == 2;
    }
    EXPECT_GT(first, 10);
}

TEST(TurnsOf, LeavesOutWhatWaitsForItself) {
    const auto turns = turnsOf({{1, 1, 2}, {{0, 1}, {1, 0}, {9, 2}}});
    EXPECT_EQ(orderOf(turns), (std::vector<std::size_t>{2}));
    EXPECT_TRUE(turnsOf({}).turns.empty());
}

/// A part that might go with a later turn goes there when that saves a trail, and not when something waits for it.
TEST(WithPutOff, JoinsWhatBelongsTogether) {
    const std::vector<Turn> turns{{1, {0, 1}}, {2, {2}}, {1, {3}}};
    // 1 and 3 take one trail together.
    const TiesOf ties = [](const std::vector<std::size_t>& things) {
        const auto has = [&](std::size_t k) {
            return std::find(things.begin(), things.end(), k) != things.end();
        };
        return static_cast<int>(things.size()) - (has(1) && has(3) ? 1 : 0);
    };
    const PartsOf parts = [](const std::vector<std::size_t>& things) {
        std::vector<std::vector<std::size_t>> out;
        for (const auto thing : things)
            out.push_back({thing});
        return out;
    };
    const auto later = withPutOff(turns, {}, ties, parts);
    EXPECT_EQ(later[0].things, (std::vector<std::size_t>{0}));
    EXPECT_EQ(later[2].things, (std::vector<std::size_t>{3, 1}));
    const auto waiting = withPutOff(turns, {{1, 2}}, ties, parts);
    EXPECT_EQ(waiting[0].things, (std::vector<std::size_t>{0, 1})) << "2 waits for it";
}

} // namespace
} // namespace up::stitch
