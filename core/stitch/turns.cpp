// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/turns.hpp"

#include "core/base/job.hpp"

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

/// Which things are done.
class Done {
public:
    explicit Done(std::size_t count) : m_words((count + 63) / 64, 0) {}
    [[nodiscard]] bool has(std::size_t i) const { return (m_words[i / 64] >> (i % 64) & 1) != 0; }
    void add(std::size_t i) { m_words[i / 64] |= std::uint64_t{1} << (i % 64); }
    [[nodiscard]] bool hasAll(const Done& those) const {
        for (std::size_t w = 0; w < m_words.size(); ++w)
            if ((those.m_words[w] & ~m_words[w]) != 0) return false;
        return true;
    }
    bool operator==(const Done&) const = default;
    /// FNV-1a over words. Source: Fowler, Noll & Vo.
    struct Hash {
        std::size_t operator()(const Done& done) const {
            std::uint64_t out = 0xcbf29ce484222325ULL;
            for (const auto word : done.m_words)
                out = (out ^ word ^ (word >> 29)) * 0x100000001b3ULL;
            return static_cast<std::size_t>(out ^ (out >> 32));
        }
    };

private:
    std::vector<std::uint64_t> m_words;
};

class Search {
public:
    explicit Search(const TurnsJob& job)
        : m_below(job.thread.size(), Done(job.thread.size())), m_thread(job.thread.size()),
          m_waits(job.thread.size(), 0) {
        std::vector<std::vector<std::size_t>> above(job.thread.size());
        const std::set<std::pair<std::size_t, std::size_t>> pairs(job.before.begin(), job.before.end());
        for (const auto& [first, then] : pairs)
            if (first < above.size() && then < above.size())
                above[first].push_back(then), m_below[then].add(first), ++m_waits[then];
        const std::set<int> kinds(job.thread.begin(), job.thread.end());
        m_kinds.assign(kinds.begin(), kinds.end());
        for (std::size_t i = 0; i < job.thread.size(); ++i)
            m_thread[i] = static_cast<std::size_t>(
                std::lower_bound(m_kinds.begin(), m_kinds.end(), job.thread[i]) - m_kinds.begin());
        sort(above);
        lookAhead(above);
    }

    [[nodiscard]] Turns run(std::optional<int> on) const {
        const Done none(m_thread.size());
        if (m_order.empty()) return {};
        const auto found = goingOn(on, good(none));
        const auto turns = static_cast<int>(found.front().size());
        if (turns > turnsLeft(none)) {
            const auto [fewer, sure] = better(none, turns);
            if (fewer || !sure) return turnsFor(fewer ? std::vector<Way>{*fewer} : found, sure);
        }
        return turnsFor(found, true);
    }

    [[nodiscard]] std::size_t least() const {
        return static_cast<std::size_t>(turnsLeft(Done(m_thread.size())));
    }

private:
    using Way = std::vector<std::size_t>; ///< kinds, as put on

    /// With that thread first, if no more turns come of it.
    [[nodiscard]] std::vector<Way> goingOn(std::optional<int> on, std::vector<Way> found) const {
        const auto kind = on ? std::find(m_kinds.begin(), m_kinds.end(), *on) : m_kinds.end();
        if (kind == m_kinds.end()) return found;
        const auto first = static_cast<std::size_t>(kind - m_kinds.begin());
        Done done(m_thread.size());
        const auto stitched = stitchAll(first, done).size();
        if (stitched == 0) return found;
        auto after = stitched == m_order.size() ? std::vector<Way>{{}} : good(done);
        for (auto& way : after)
            way.insert(way.begin(), first);
        return after.front().size() <= found.front().size() ? after : found;
    }

    /// Those that wait come after what they wait for; what waits in a circle is left out.
    void sort(const std::vector<std::vector<std::size_t>>& above) {
        auto waits = m_waits;
        std::priority_queue<std::size_t, std::vector<std::size_t>, std::greater<>> free;
        for (std::size_t i = 0; i < m_below.size(); ++i)
            if (waits[i] == 0) free.push(i);
        while (!free.empty()) {
            const auto i = free.top();
            free.pop();
            m_order.push_back(i);
            for (const auto then : above[i])
                if (--waits[then] == 0) free.push(then);
        }
        m_of.resize(m_kinds.size());
        for (const auto i : m_order)
            m_of[m_thread[i]].push_back(i);
    }

    /// How often each thread must be put on along the worst chain that begins there: when it is not on yet.
    void lookAhead(const std::vector<std::vector<std::size_t>>& above) {
        const auto kinds = m_kinds.size();
        m_ahead.assign(m_thread.size(), std::vector<int>(kinds, 0));
        auto goingOn = m_ahead; // when it was on for what comes before
        for (auto at = m_order.rbegin(); at != m_order.rend(); ++at) {
            auto &off = m_ahead[*at], &on = goingOn[*at];
            const auto own = m_thread[*at];
            int still = 0;
            for (const auto then : above[*at]) {
                for (std::size_t k = 0; k < kinds; ++k)
                    off[k] = std::max(off[k], m_ahead[then][k]);
                still = std::max(still, goingOn[then][own]);
            }
            on = off;
            on[own] = still;
            off[own] = still + 1;
        }
    }

    [[nodiscard]] int turnsLeft(const Done& done) const {
        std::vector<int> most(m_kinds.size(), 0);
        // What waits for something asks for no more than what it waits for.
        for (const auto i : m_order)
            if (!done.has(i) && done.hasAll(m_below[i]))
                for (std::size_t k = 0; k < most.size(); ++k)
                    most[k] = std::max(most[k], m_ahead[i][k]);
        int out = 0;
        for (const int turns : most)
            out += turns;
        return out;
    }

    /// All that may be stitched with that thread, in one pass upwards.
    std::vector<std::size_t> stitchAll(std::size_t kind, Done& done) const {
        std::vector<std::size_t> out;
        for (const auto i : m_of[kind]) {
            if (done.has(i) || !done.hasAll(m_below[i])) continue;
            done.add(i);
            out.push_back(i);
        }
        return out;
    }

    /// Looks at so many things of so many states at most.
    [[nodiscard]] std::size_t mostStates() const {
        constexpr std::size_t most = 300'000'000;
        return most / (m_order.size() * (m_kinds.size() + 2)) + 1;
    }

    /// One with fewer turns than that, the fewest; none. And whether that is sure.
    [[nodiscard]] std::pair<std::optional<Way>, bool> better(const Done& none, int turns) const {
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
        std::vector<State> states{{none, 0, 0, 0}};
        std::unordered_map<Done, int, Done::Hash> seen{{none, 0}};
        std::priority_queue<Node> open;
        open.push({turnsLeft(none), m_order.size(), 0});
        while (!open.empty()) {
            const auto node = open.top();
            open.pop();
            if (node.open == 0) return {wayTo(states, node.at), true};
            const auto here = states[node.at]; // a copy: the list grows
            if (seen[here.done] < here.turns) continue;
            breathe();
            for (std::size_t kind = 0; kind < m_kinds.size(); ++kind) {
                State next{here.done, node.at, kind, here.turns + 1};
                const auto stitched = stitchAll(kind, next.done).size();
                if (stitched == 0) continue;
                const auto [known, isNew] = seen.emplace(next.done, next.turns);
                if (!isNew && known->second <= next.turns) continue;
                known->second = next.turns;
                const int total = next.turns + turnsLeft(next.done);
                if (total >= turns) continue;
                if (states.size() > mostStates()) return {std::nullopt, false};
                open.push({total, node.open - stitched, states.size()});
                states.push_back(std::move(next));
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
        constexpr std::size_t width = 150, mostOthers = 12;
        struct State {
            Done done;
            Way way;
            std::size_t open; ///< things that are not done
            int left;         ///< turns at least
        };
        std::size_t still = 0;
        for (const auto i : m_order)
            still += !begin.has(i);
        std::vector<State> beam{{begin, {}, still, 0}};
        while (beam.front().open > 0) {
            breathe();
            std::vector<State> next;
            std::unordered_set<Done, Done::Hash> seen;
            for (const auto& state : beam)
                for (std::size_t kind = 0; kind < m_kinds.size(); ++kind) {
                    auto done = state.done;
                    const auto stitched = stitchAll(kind, done).size();
                    if (stitched == 0) continue;
                    const bool isLast = stitched == state.open;
                    if (!seen.insert(done).second && !isLast) continue;
                    const int left = turnsLeft(done);
                    next.push_back({std::move(done), state.way, state.open - stitched, left});
                    next.back().way.push_back(kind);
                }
            std::stable_sort(next.begin(), next.end(), [](const State& a, const State& b) {
                return std::pair(a.left, a.open) < std::pair(b.left, b.open);
            });
            if (next.size() > width) next.erase(next.begin() + width, next.end());
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
            Done done(m_thread.size());
            for (const auto kind : way)
                turns.push_back({m_kinds[kind], stitchAll(kind, done)});
            (out.turns.empty() ? out.turns : out.others.emplace_back()) = std::move(turns);
        }
        return out;
    }

    std::vector<Done> m_below;         ///< by thing: what it waits for
    std::vector<std::size_t> m_thread; ///< which of `m_kinds`
    std::vector<int> m_kinds;
    std::vector<std::size_t> m_waits; ///< by thing: for how many
    std::vector<std::size_t> m_order;
    std::vector<std::vector<std::size_t>> m_of; ///< in that order, by kind
    std::vector<std::vector<int>> m_ahead;      ///< by thing, by kind
};

} // namespace

std::size_t leastTurnsOf(const TurnsJob& job) {
    return Search(job).least();
}

Turns turnsOf(const TurnsJob& job) {
    return Search(job).run(job.on);
}

} // namespace up::stitch
