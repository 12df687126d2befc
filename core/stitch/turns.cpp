// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/turns.hpp"

#include "core/base/job.hpp"
#include "core/stitch/alike_things.hpp"
#include "core/stitch/things_in_order.hpp"
#include "core/stitch/turns_left.hpp"

#include <algorithm>
#include <cstdint>
#include <optional>
#include <queue>
#include <set>
#include <tuple>
#include <unordered_map>
#include <unordered_set>

namespace up::stitch {
namespace {

using Done = ThingsDone;

Sorting sorted(const TurnsJob& job) {
    const auto count = job.thread.size();
    Sorting out;
    const std::set<int> kinds(job.thread.begin(), job.thread.end());
    out.kinds.assign(kinds.begin(), kinds.end());
    for (const auto thread : job.thread)
        out.kind.push_back(static_cast<std::size_t>(std::distance(kinds.begin(), kinds.find(thread))));
    out.below.assign(count, Done(count));
    out.of.resize(out.kinds.size());
    const auto inOrder = thingsInOrder(count, job.before);
    out.order = inOrder.order;
    for (const auto i : out.order) {
        out.of[out.kind[i]].push_back(i);
        for (const auto first : inOrder.below[i])
            out.below[i].add(first), out.below[i].add(out.below[first]);
    }
    return out;
}

/// Of a job whose pairs stand there once, without circles.
class Search {
public:
    explicit Search(const TurnsJob& job) : m_sorting(sorted(job)), m_left(m_sorting), m_quick(job.quick) {}
    Search(const Search&) = delete;
    Search& operator=(const Search&) = delete;

    [[nodiscard]] Turns run(std::optional<int> on) const {
        const Done none(m_sorting.kind.size());
        if (m_sorting.order.empty()) return {};
        const auto found = goingOn(on, good(none));
        const auto turns = static_cast<int>(found.front().size());
        if (turns > m_left.after(none)) {
            const auto [fewer, sure] = better(turns);
            if (fewer || !sure) return turnsFor(fewer ? std::vector<Way>{*fewer} : found, sure);
        }
        return turnsFor(found, true);
    }

    [[nodiscard]] std::size_t least() const {
        return static_cast<std::size_t>(m_left.after(Done(m_sorting.kind.size())));
    }

private:
    using Way = std::vector<std::size_t>; ///< kinds, as put on

    /// With that thread first, if no more turns come of it.
    [[nodiscard]] std::vector<Way> goingOn(std::optional<int> on, std::vector<Way> found) const {
        if (!on || !std::binary_search(m_sorting.kinds.begin(), m_sorting.kinds.end(), *on)) return found;
        const auto first = kindOf(*on);
        Done done(m_sorting.kind.size());
        const auto stitched = stitchAll(first, done).size();
        if (stitched == 0) return found;
        auto after = stitched == m_sorting.order.size() ? std::vector<Way>{{}} : good(done);
        for (auto& way : after)
            way.insert(way.begin(), first);
        return after.front().size() <= found.front().size() ? after : found;
    }

    [[nodiscard]] std::size_t kindOf(int thread) const {
        return static_cast<std::size_t>(
            std::lower_bound(m_sorting.kinds.begin(), m_sorting.kinds.end(), thread) -
            m_sorting.kinds.begin());
    }

    /// All that may be stitched with that thread, in one pass upwards.
    std::vector<std::size_t> stitchAll(std::size_t kind, Done& done) const {
        std::vector<std::size_t> out;
        for (const auto i : m_sorting.of[kind]) {
            if (done.has(i) || !done.hasAll(m_sorting.below[i])) continue;
            done.add(i);
            out.push_back(i);
        }
        return out;
    }

    /// Looks at so many things of so many states at most.
    [[nodiscard]] std::size_t mostStates() const {
        const std::size_t most = m_quick ? 40'000'000 : 800'000'000;
        return most / (m_sorting.order.size() * (m_sorting.kinds.size() + 2)) + 1;
    }

    struct Follower {
        std::size_t kind, stitched; ///< so many things
        Done done;
    };
    /// What one more turn makes of it. A thread that can be finished is: it must be on once more in any case, and what is
    /// done earlier only lets more be done.
    [[nodiscard]] std::vector<Follower> followers(const Done& done) const {
        std::vector<Follower> out;
        for (std::size_t kind = 0; kind < m_sorting.kinds.size(); ++kind) {
            Follower next{kind, 0, done};
            next.stitched = stitchAll(kind, next.done).size();
            if (next.stitched == 0) continue;
            const auto left = std::count_if(m_sorting.of[kind].begin(), m_sorting.of[kind].end(),
                                            [&](std::size_t i) { return !next.done.has(i); });
            if (left == 0) return {std::move(next)};
            out.push_back(std::move(next));
        }
        return out;
    }

    /// One with fewer turns than that, the fewest; none. And whether that is sure.
    [[nodiscard]] std::pair<std::optional<Way>, bool> better(int turns) const {
        struct Node {
            int total;        ///< turns so far and those that are left at least
            std::size_t open; ///< things that are not done
            std::size_t at;   ///< in `states`
            bool operator<(const Node& o) const {
                return std::tie(total, open, at) > std::tie(o.total, o.open, o.at);
            }
        };
        struct State {
            Done done;
            std::size_t parent, kind;
            int turns;
        };
        const Done none(m_sorting.kind.size());
        std::vector<State> states{{none, 0, 0, 0}};
        std::unordered_map<Done, int, Done::Hash> seen{{none, 0}};
        std::priority_queue<Node> open;
        if (m_left.after(none) < turns) open.push({m_left.after(none), m_sorting.order.size(), 0});
        while (!open.empty()) {
            const auto node = open.top();
            open.pop();
            if (node.open == 0) return {wayTo(states, node.at), true};
            const auto here = states[node.at]; // a copy: the list grows
            if (seen[here.done] < here.turns) continue;
            breathe();
            for (auto& next : followers(here.done)) {
                const int soFar = here.turns + 1;
                const int total = soFar + m_left.after(next.done);
                if (total >= turns) continue;
                const auto [known, isNew] = seen.emplace(next.done, soFar);
                if (!isNew && known->second <= soFar) continue;
                known->second = soFar;
                if (states.size() > mostStates()) return {std::nullopt, false};
                open.push({total, node.open - next.stitched, states.size()});
                states.push_back({std::move(next.done), node.at, next.kind, soFar});
            }
        }
        return {std::nullopt, true};
    }
    template<class States> static Way wayTo(const States& states, std::size_t at) {
        Way out;
        for (; at != 0; at = states[at].parent)
            out.push_back(states[at].kind);
        std::reverse(out.begin(), out.end());
        return out;
    }

    /// Turn by turn the states that leave least to do are followed, so many of them.
    [[nodiscard]] std::vector<Way> good(const Done& begin) const {
        constexpr std::size_t mostOthers = 12;
        const std::size_t width = m_quick ? 60 : 150;
        struct State {
            Done done;
            Way way;
            std::size_t open; ///< things that are not done
            int left;         ///< turns at least
        };
        std::size_t still = 0;
        for (const auto i : m_sorting.order)
            still += !begin.has(i);
        std::vector<State> beam{{begin, {}, still, 0}};
        while (beam.front().open > 0) {
            breathe();
            std::vector<State> next;
            std::unordered_set<Done, Done::Hash> seen;
            for (const auto& state : beam)
                for (std::size_t kind = 0; kind < m_sorting.kinds.size(); ++kind) {
                    auto done = state.done;
                    const auto stitched = stitchAll(kind, done).size();
                    if (stitched == 0) continue;
                    const bool isLast = stitched == state.open;
                    if (!seen.insert(done).second && !isLast) continue;
                    const int left = m_left.after(done);
                    next.push_back({std::move(done), state.way, state.open - stitched, left});
                    next.back().way.push_back(kind);
                }
            std::stable_sort(next.begin(), next.end(), [](const State& a, const State& b) {
                return std::pair(a.left, a.open) < std::pair(b.left, b.open);
            });
            if (next.size() > width)
                next.erase(next.begin() + static_cast<std::ptrdiff_t>(width), next.end());
            beam = std::move(next);
        }
        std::vector<Way> out;
        for (const auto& state : beam)
            if (state.open == 0 && out.size() < mostOthers) out.push_back(state.way);
        return out;
    }

    [[nodiscard]] Turns turnsFor(const std::vector<Way>& ways, bool fewest) const {
        Turns out;
        out.fewest = fewest;
        for (const auto& way : ways) {
            std::vector<Turn> turns;
            Done done(m_sorting.kind.size());
            for (const auto kind : way)
                turns.push_back({m_sorting.kinds[kind], stitchAll(kind, done)});
            (out.turns.empty() ? out.turns : out.others.emplace_back()) = std::move(turns);
        }
        return out;
    }

    Sorting m_sorting;
    TurnsLeft m_left;
    bool m_quick;
};

} // namespace

std::size_t leastTurnsOf(const TurnsJob& job) {
    return Search(alikeThings(job).job).least();
}

Turns turnsOf(const TurnsJob& job) {
    const auto alike = alikeThings(job);
    auto out = Search(alike.job).run(alike.job.on);
    const auto unfold = [&](std::vector<Turn>& turns) {
        for (auto& turn : turns) {
            std::vector<std::size_t> things;
            for (const auto group : turn.things)
                things.insert(things.end(), alike.groups[group].begin(), alike.groups[group].end());
            turn.things = std::move(things);
        }
    };
    unfold(out.turns);
    for (auto& other : out.others)
        unfold(other);
    return out;
}

} // namespace up::stitch
