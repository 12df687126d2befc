// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/route.hpp"

#include <algorithm>
#include <map>
#include <set>

namespace up::stitch {
namespace {

using Done = std::vector<bool>;

struct Node {
    Done done;
    std::size_t parent;
    std::vector<std::size_t> run; ///< pieces stitched with the thread just put on
};

class Search {
public:
    explicit Search(const RouteJob& job) : m_below(job.thread.size()) {
        for (const auto& [first, second] : job.before)
            if (first < second && second < m_below.size()) m_below[second].push_back(first);
        m_threads.insert(job.thread.begin(), job.thread.end());
        for (std::size_t i = 0; i < job.thread.size(); ++i)
            m_of[job.thread[i]].push_back(i);
    }

    [[nodiscard]] Route run() const {
        std::vector<Node> nodes{{Done(m_below.size(), false), 0, {}}};
        std::set<Done> seen{nodes.front().done};
        for (std::size_t i = 0; i < nodes.size(); ++i) {
            if (allDone(nodes[i].done)) return traceBack(nodes, i);
            if (nodes.size() > mostNodes()) return greedy();
            for (const int thread : m_threads) {
                Node next{nodes[i].done, i, {}};
                next.run = stitchAll(thread, next.done);
                if (!next.run.empty() && seen.insert(next.done).second) nodes.push_back(std::move(next));
            }
        }
        return {};
    }

private:
    /// 20,000 states of up to 60 pieces; of more, fewer by the square: with hundreds the search ends early or never,
    /// and the window waits for it.
    [[nodiscard]] std::size_t mostNodes() const {
        constexpr std::size_t most = 20'000, usual = 60;
        const std::size_t count = std::max(m_below.size(), usual);
        return most * usual * usual / (count * count);
    }
    static bool allDone(const Done& done) { return std::find(done.begin(), done.end(), false) == done.end(); }

    /// In one pass upwards, since a piece only waits for lower ones.
    std::vector<std::size_t> stitchAll(int thread, Done& done) const {
        std::vector<std::size_t> run;
        for (const std::size_t i : m_of.at(thread)) {
            if (done[i]) continue;
            const bool free =
                std::all_of(m_below[i].begin(), m_below[i].end(), [&](std::size_t b) { return done[b]; });
            if (!free) continue;
            done[i] = true;
            run.push_back(i);
        }
        return run;
    }

    static Route traceBack(const std::vector<Node>& nodes, std::size_t last) {
        std::vector<const Node*> path;
        for (std::size_t i = last; i != 0; i = nodes[i].parent)
            path.push_back(&nodes[i]);
        Route route;
        for (auto it = path.rbegin(); it != path.rend(); ++it)
            route.order.insert(route.order.end(), (*it)->run.begin(), (*it)->run.end());
        route.threadChanges = path.empty() ? 0 : static_cast<int>(path.size()) - 1;
        return route;
    }

    [[nodiscard]] Route greedy() const {
        Route route;
        route.fewest = false;
        route.threadChanges = -1;
        Done done(m_below.size(), false);
        while (!allDone(done)) {
            Done bestDone;
            std::vector<std::size_t> best;
            for (const int thread : m_threads) {
                Done after = done;
                auto run = stitchAll(thread, after);
                if (run.size() > best.size()) best = std::move(run), bestDone = std::move(after);
            }
            done = bestDone;
            route.order.insert(route.order.end(), best.begin(), best.end());
            ++route.threadChanges;
        }
        return route;
    }

    std::vector<std::vector<std::size_t>> m_below;
    std::set<int> m_threads;
    std::map<int, std::vector<std::size_t>> m_of; ///< the pieces of each thread, lowest first
};

} // namespace

Route routeOf(const RouteJob& job) {
    return Search(job).run();
}

} // namespace up::stitch
