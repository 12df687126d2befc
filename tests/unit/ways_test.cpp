// SPDX-License-Identifier: GPL-3.0-or-later
// Ways through networks, held against all ways of small ones, Euler's count, and Boost's matching.
#include "core/base/random.hpp"
#include "core/stitch/ends.hpp"
#include "core/stitch/ways.hpp"

#include <algorithm>
#include <boost/graph/adjacency_list.hpp>
#include <boost/graph/maximum_weighted_matching.hpp>
#include <cmath>
#include <gtest/gtest.h>
#include <map>
#include <set>
#include <tuple>
#if defined(__SANITIZE_ADDRESS__)
#include <sanitizer/lsan_interface.h>
#endif

namespace up::stitch {
namespace {

using Cost = std::tuple<int, int, double>; // thread changes, ties, mm of jumps

double jumpBetween(const Network& network, std::size_t from, std::size_t to) {
    if (from == to) return 0;
    for (const auto& hop : network.hops[from])
        if (hop.to == to) return hop.jump;
    return -1;
}

bool isAllowed(const Arc& arc, int times) {
    return std::find(arc.passes.begin(), arc.passes.end(), times) != arc.passes.end();
}

/// The ways keep every rule; what they cost.
Cost costOf(const Network& network, const Ways& ways) {
    std::vector<int> times(network.arcs.size(), 0);
    Cost out{0, 0, 0};
    std::size_t here = 0;
    int on = -1;
    for (const auto& step : ways.steps) {
        const auto& arc = network.arcs[step.arc];
        const auto from = step.back ? arc.to : arc.from;
        if (step.begins) {
            std::get<0>(out) += on != -1 && on != arc.thread;
            ++std::get<1>(out);
        } else {
            EXPECT_EQ(on, arc.thread);
            const double jump = jumpBetween(network, here, from);
            EXPECT_GE(jump, 0) << "no way there";
            std::get<2>(out) += jump;
        }
        for (const auto first : arc.first)
            EXPECT_TRUE(isAllowed(network.arcs[first], times[first])) << step.arc << " before " << first;
        for (std::size_t k = 0; k < times.size(); ++k)
            if (const auto& first = network.arcs[k].first;
                std::find(first.begin(), first.end(), step.arc) != first.end()) {
                EXPECT_EQ(times[k], 0) << k << " was before " << step.arc << " was finished";
            }
        EXPECT_EQ(step.times % 2, 1);
        times[step.arc] += step.times;
        here = step.back ? arc.from : arc.to;
        on = arc.thread;
    }
    for (std::size_t k = 0; k < times.size(); ++k)
        EXPECT_TRUE(isAllowed(network.arcs[k], times[k])) << k << " stitched " << times[k] << " times";
    return out;
}

/// The least of all ways, by trying every one: states are worked off in the order of their cost.
Cost leastOf(const Network& network) {
    using State = std::tuple<std::vector<int>, std::size_t, int>; // times, place, thread
    const auto finished = [&](const std::vector<int>& times, std::size_t k) {
        return isAllowed(network.arcs[k], times[k]);
    };
    std::set<std::pair<Cost, State>> open{{{0, 0, 0.0}, {std::vector<int>(network.arcs.size(), 0), 0, -1}}};
    std::set<State> closed;
    while (!open.empty()) {
        const auto [cost, state] = *open.begin();
        open.erase(open.begin());
        if (!closed.insert(state).second) continue;
        const auto& [times, at, on] = state;
        bool all = true;
        for (std::size_t k = 0; k < times.size(); ++k)
            all = all && finished(times, k);
        if (all) return cost;
        for (std::size_t k = 0; k < times.size(); ++k) {
            const auto& arc = network.arcs[k];
            if (times[k] >= *std::max_element(arc.passes.begin(), arc.passes.end())) continue;
            bool may = true;
            for (const auto first : arc.first)
                may = may && finished(times, first);
            for (std::size_t j = 0; j < times.size(); ++j)
                if (const auto& first = network.arcs[j].first;
                    std::find(first.begin(), first.end(), k) != first.end())
                    may = may && times[j] == 0;
            if (!may) continue;
            for (const bool back : {false, true}) {
                auto after = times;
                ++after[k];
                const State next{after, back ? arc.from : arc.to, arc.thread};
                auto anew = cost;
                std::get<0>(anew) += on != -1 && on != arc.thread;
                ++std::get<1>(anew);
                open.insert({anew, next});
                const double jump =
                    on == arc.thread ? jumpBetween(network, at, back ? arc.to : arc.from) : -1;
                if (jump < 0) continue;
                auto on2 = cost;
                std::get<2>(on2) += jump;
                open.insert({on2, next});
            }
        }
    }
    return {};
}

Network randomNetwork(Random& random, std::size_t arcs, std::size_t places, bool jumps) {
    Network out;
    out.hops.resize(places);
    const std::vector<std::vector<int>> passes{{1}, {1}, {2}, {3}, {1, 2}, {3, 4}};
    for (std::size_t k = 0; k < arcs; ++k) {
        Arc arc{random.below(places),
                random.below(places),
                static_cast<int>(random.below(2)),
                passes[random.below(passes.size())],
                {}};
        for (std::size_t j = 0; j < k; ++j) // lower ones that end where it passes
            if (random.below(3) == 0 && (out.arcs[j].from == arc.from || out.arcs[j].to == arc.to))
                arc.first.push_back(j);
        out.arcs.push_back(std::move(arc));
    }
    if (!jumps) return out;
    for (std::size_t i = 0; i < places; ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (random.below(3) == 0) {
                const double mm = static_cast<double>(1 + random.below(12));
                out.hops[i].push_back({j, mm, 0}), out.hops[j].push_back({i, mm, 0});
            }
    for (auto& hops : out.hops)
        std::sort(hops.begin(), hops.end(), [](const Hop& a, const Hop& b) { return a.jump < b.jump; });
    return out;
}

TEST(WaysOf, AreTheBestOfAllWaysOfSmallNetworks) {
    Random random(61);
    int proved = 0, joined = 0, tight = 0;
    for (int round = 0; round < 300; ++round) {
        SCOPED_TRACE(round);
        const auto network = randomNetwork(random, 2 + random.below(4), 4, round % 2 == 0);
        const auto ways = waysOf(network);
        const auto cost = costOf(network, ways);
        const auto least = leastOf(network);
        EXPECT_EQ(std::get<0>(cost), ways.threadChanges);
        EXPECT_EQ(std::get<1>(cost), ways.ties);
        EXPECT_NEAR(std::get<2>(cost), ways.jump, 1e-9);
        EXPECT_EQ(std::get<0>(cost), std::get<0>(least));
        EXPECT_EQ(std::get<1>(cost), std::get<1>(least));
        EXPECT_NEAR(std::get<2>(cost), std::get<2>(least), 1e-9);
        EXPECT_LE(leastEnds(network), std::get<1>(least));
        tight += leastEnds(network) == std::get<1>(least);
        proved += ways.fewest;
        joined += ways.ties < static_cast<int>(network.arcs.size());
    }
    EXPECT_GT(proved, 290);
    EXPECT_GT(tight, 100);
    EXPECT_GT(joined, 100) << "hardly anything hung together";
}

/// Runs of one thread that hang together and wait for nothing; how many end at each place.
std::pair<Network, std::vector<int>> connected(Random& random, std::size_t places, std::size_t arcs) {
    Network network;
    network.hops.resize(places);
    std::vector<int> ends(places, 0);
    for (std::size_t k = 0; k < arcs; ++k) {
        const bool joins = k < places - 1; // one more place each
        const auto from = joins ? k + 1 : random.below(places), to = random.below(joins ? k + 1 : places);
        network.arcs.push_back({from, to, 0, {1}, {}});
        if (from != to) ++ends[from], ++ends[to];
    }
    return {std::move(network), std::move(ends)};
}

/// A network of one thread in which nothing waits: as many trails as half its odd places, one at least.
TEST(WaysOf, TakeAsManyTrailsAsEulerSays) {
    Random random(62);
    for (int round = 0; round < 40; ++round) {
        const auto [network, ends] = connected(random, 30, 60);
        const auto odd = std::count_if(ends.begin(), ends.end(), [](int n) { return n % 2 == 1; });
        const auto ways = waysOf(network);
        costOf(network, ways);
        EXPECT_EQ(ways.ties, std::max(1, static_cast<int>(odd) / 2)) << round;
        EXPECT_TRUE(ways.fewest);
    }
}

/// Where the needle may jump anywhere, one trail does, and its jumps are the cheapest pairs of odd places but one: the
/// Chinese postman's problem with two ends left open. Boost finds the pairs.
TEST(WaysOf, JumpAsLittleAsThePostman) {
    Random random(63);
    using Graph = boost::adjacency_list<boost::vecS, boost::vecS, boost::undirectedS, boost::no_property,
                                        boost::property<boost::edge_weight_t, double>>;
    for (int round = 0; round < 30; ++round) {
        const std::size_t places = 8;
        auto [network, ends] = connected(random, places, 10);
        std::vector<std::pair<double, double>> at;
        for (std::size_t i = 0; i < places; ++i)
            at.emplace_back(random.between(0, 100), random.between(0, 100));
        const auto mm = [&](std::size_t i, std::size_t j) {
            return std::hypot(at[i].first - at[j].first, at[i].second - at[j].second);
        };
        for (std::size_t i = 0; i < places; ++i) {
            for (std::size_t j = 0; j < places; ++j)
                if (i != j) network.hops[i].push_back({j, mm(i, j), 0});
            std::sort(network.hops[i].begin(), network.hops[i].end(),
                      [](const Hop& a, const Hop& b) { return a.jump < b.jump; });
        }
        std::vector<std::size_t> odd;
        for (std::size_t i = 0; i < places; ++i)
            if (ends[i] % 2 == 1) odd.push_back(i);
        // All pairs, and two more places that take the two ends, each at the same price.
        constexpr double large = 1000;
        double least = 0;
        if (!odd.empty()) {
            Graph graph(odd.size() + 2);
            for (std::size_t i = 0; i < odd.size(); ++i) {
                for (std::size_t j = 0; j < i; ++j)
                    boost::add_edge(i, j, large - mm(odd[i], odd[j]), graph);
                boost::add_edge(i, odd.size(), large, graph),
                    boost::add_edge(i, odd.size() + 1, large, graph);
            }
            std::vector<Graph::vertex_descriptor> mate(boost::num_vertices(graph));
#if defined(__SANITIZE_ADDRESS__)
            const __lsan::ScopedDisabler notOurs; // its blossoms hold each other for ever
#endif
            boost::maximum_weighted_matching(graph, mate.data());
            for (std::size_t i = 0; i < odd.size(); ++i)
                if (mate[i] < i) least += mm(odd[i], odd[mate[i]]);
        }
        const auto ways = waysOf(network);
        const auto cost = costOf(network, ways);
        EXPECT_EQ(std::get<1>(cost), 1);
        EXPECT_NEAR(std::get<2>(cost), least, 0.01) << round;
    }
}

/// Runs along so many walks over a grid, one walk after the other; of two that meet one may wait for the other.
Network walked(Random& random, int walks, std::size_t arcs) {
    constexpr std::size_t wide = 10, places = wide * wide;
    Network out;
    out.hops.resize(places);
    for (int walk = 0; walk < walks; ++walk) {
        auto at = random.below(places);
        for (std::size_t k = 0; k < arcs; ++k) {
            const bool across = random.below(2) == 0, back = random.below(2) == 0;
            const auto line = across ? at % wide : at / wide, step = across ? std::size_t{1} : wide;
            const bool turns = back ? line == 0 : line + 1 == wide;
            const auto to = back != turns ? at - step : at + step;
            Arc arc{at, to, 0, {1}, {}};
            for (std::size_t j = 0; j < out.arcs.size(); ++j)
                if (const auto& other = out.arcs[j]; other.from == at || other.to == at)
                    if (random.below(4) == 0) arc.first.push_back(j);
            if (random.below(2) == 0) std::swap(arc.from, arc.to);
            out.arcs.push_back(std::move(arc));
            at = to;
        }
    }
    return out;
}

TEST(WaysOf, FindLongTrailsAlthoughMuchWaits) {
    Random random(65);
    for (int round = 0; round < 8; ++round) {
        const int walks = 2 + round;
        const auto network = walked(random, walks, static_cast<std::size_t>(160 / walks));
        const auto ways = waysOf(network);
        costOf(network, ways);
        EXPECT_LE(ways.ties, walks + 1) << round;
        EXPECT_LE(ways.leastTies, walks) << round;
    }
}

TEST(WaysOf, AreTheSameEachTime) {
    Random random(64);
    const auto network = randomNetwork(random, 60, 25, true);
    const auto once = waysOf(network), again = waysOf(network);
    costOf(network, once);
    ASSERT_EQ(once.steps.size(), again.steps.size());
    for (std::size_t i = 0; i < once.steps.size(); ++i)
        EXPECT_EQ(once.steps[i].arc, again.steps[i].arc);
    EXPECT_TRUE(waysOf({}).steps.empty());
}

} // namespace
} // namespace up::stitch
