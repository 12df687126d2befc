// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/turns.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <cstdint>
#include <map>
#include <optional>
#include <queue>
#include <set>
#include <tuple>

namespace up::stitch {
namespace {

using Done = std::vector<bool>;

class Search {
public:
    explicit Search(const TurnsJob& job) : m_below(job.thread.size()), m_thread(job.thread.size()) {
        std::vector<std::vector<std::size_t>> above(job.thread.size());
        const std::set<std::pair<std::size_t, std::size_t>> pairs(job.before.begin(), job.before.end());
        for (const auto& [first, then] : pairs)
            if (first < above.size() && then < above.size())
                above[first].push_back(then), m_below[then].push_back(first);
        const std::set<int> kinds(job.thread.begin(), job.thread.end());
        m_kinds.assign(kinds.begin(), kinds.end());
        for (std::size_t i = 0; i < job.thread.size(); ++i)
            m_thread[i] = static_cast<std::size_t>(
                std::lower_bound(m_kinds.begin(), m_kinds.end(), job.thread[i]) - m_kinds.begin());
        sort(above);
        lookAhead(above);
    }

    [[nodiscard]] Turns run() const {
        const Done none(m_thread.size(), false);
        if (m_order.empty()) return {};
        if (auto ways = best(none)) return turnsFor(*ways, true);
        return turnsFor(greedy(none), false);
    }

private:
    using Way = std::vector<std::size_t>; ///< kinds, as put on

    /// Those that wait come after what they wait for; what waits in a circle is left out.
    void sort(const std::vector<std::vector<std::size_t>>& above) {
        std::vector<std::size_t> waits(m_below.size());
        std::priority_queue<std::size_t, std::vector<std::size_t>, std::greater<>> free;
        for (std::size_t i = 0; i < m_below.size(); ++i)
            if ((waits[i] = m_below[i].size()) == 0) free.push(i);
        while (!free.empty()) {
            const auto i = free.top();
            free.pop();
            m_order.push_back(i);
            for (const auto then : above[i])
                if (--waits[then] == 0) free.push(then);
        }
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
        for (const auto i : m_order)
            if (!done[i])
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
        for (const auto i : m_order) {
            if (done[i] || m_thread[i] != kind) continue;
            if (!std::all_of(m_below[i].begin(), m_below[i].end(), [&](std::size_t b) { return done[b]; }))
                continue;
            done[i] = true;
            out.push_back(i);
        }
        return out;
    }

    /// Looks at so many things of so many states at most.
    [[nodiscard]] std::size_t mostStates() const {
        constexpr std::size_t most = 60'000'000;
        return most / (m_order.size() * (m_kinds.size() + 2)) + 1;
    }

    [[nodiscard]] std::optional<Way> best(const Done& none) const {
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
        std::map<Done, int> seen{{none, 0}};
        std::priority_queue<Node> open;
        open.push({turnsLeft(none), m_order.size(), 0});
        while (!open.empty()) {
            const auto node = open.top();
            open.pop();
            if (node.open == 0) return wayTo(states, node.at);
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
                if (states.size() > mostStates()) return std::nullopt;
                open.push({next.turns + turnsLeft(next.done), node.open - stitched, states.size()});
                states.push_back(std::move(next));
            }
        }
        return std::nullopt;
    }
    template<class States> static Way wayTo(const States& states, std::size_t at) {
        Way out;
        for (; at != 0; at = states[at].parent)
            out.push_back(states[at].kind);
        std::reverse(out.begin(), out.end());
        return out;
    }

    [[nodiscard]] Way greedy(Done done) const {
        Way out;
        for (std::size_t left = m_order.size(); left > 0;) {
            std::tuple<int, std::size_t, std::size_t> best{std::numeric_limits<int>::max(), 0, 0};
            Done after;
            std::size_t most = 0;
            for (std::size_t kind = 0; kind < m_kinds.size(); ++kind) {
                auto next = done;
                const auto stitched = stitchAll(kind, next).size();
                if (stitched == 0) continue;
                const std::tuple is{turnsLeft(next), left - stitched, kind};
                if (is < best) best = is, after = std::move(next), most = stitched;
            }
            done = std::move(after);
            left -= most;
            out.push_back(std::get<2>(best));
        }
        return out;
    }

    [[nodiscard]] Turns turnsFor(const Way& way, bool fewest) const {
        Turns out;
        out.fewest = fewest;
        Done done(m_thread.size(), false);
        for (const auto kind : way)
            out.turns.push_back({m_kinds[kind], stitchAll(kind, done)});
        return out;
    }

    std::vector<std::vector<std::size_t>> m_below;
    std::vector<std::size_t> m_thread; ///< which of `m_kinds`
    std::vector<int> m_kinds;
    std::vector<std::size_t> m_order;
    std::vector<std::vector<int>> m_ahead; ///< by thing, by kind
};

} // namespace

Turns turnsOf(const TurnsJob& job) {
    return Search(job).run();
}

} // namespace up::stitch
