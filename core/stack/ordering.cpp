// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/ordering.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace up::stack {
namespace {

using Graph = std::vector<std::vector<std::size_t>>; // from lower to upper

Graph graphOf(std::size_t count, const std::vector<Pair>& pairs) {
    Graph graph(count);
    for (const auto& pair : pairs)
        graph[pair.lower].push_back(pair.upper);
    return graph;
}

/// Tarjan's search, with its own stack of calls: a thousand pieces may lie on each other.
class Components {
public:
    explicit Components(const Graph& graph)
        : m_graph(graph), m_index(graph.size(), 0), m_low(graph.size(), 0), m_open(graph.size(), false) {}

    std::vector<std::vector<std::size_t>> run() {
        for (std::size_t i = 0; i < m_graph.size(); ++i)
            if (m_index[i] == 0) from(i);
        return std::move(m_found);
    }

private:
    struct Call {
        std::size_t node, next;
    };

    void enter(std::size_t node) {
        m_index[node] = m_low[node] = ++m_count;
        m_waiting.push_back(node);
        m_open[node] = true;
        m_calls.push_back({node, 0});
    }

    void from(std::size_t start) {
        enter(start);
        while (!m_calls.empty()) {
            auto& call = m_calls.back();
            const std::size_t node = call.node;
            if (call.next < m_graph[node].size()) {
                const std::size_t to = m_graph[node][call.next++];
                if (m_index[to] == 0)
                    enter(to);
                else if (m_open[to])
                    m_low[node] = std::min(m_low[node], m_index[to]);
                continue;
            }
            m_calls.pop_back();
            if (!m_calls.empty())
                m_low[m_calls.back().node] = std::min(m_low[m_calls.back().node], m_low[node]);
            if (m_low[node] == m_index[node]) close(node);
        }
    }

    void close(std::size_t root) {
        std::vector<std::size_t> component;
        std::size_t node = 0;
        do {
            node = m_waiting.back();
            m_waiting.pop_back();
            m_open[node] = false;
            component.push_back(node);
        } while (node != root);
        std::sort(component.begin(), component.end());
        m_found.push_back(std::move(component));
    }

    const Graph& m_graph;
    std::vector<std::size_t> m_index, m_low, m_waiting;
    std::vector<bool> m_open;
    std::vector<Call> m_calls;
    std::size_t m_count = 0;
    std::vector<std::vector<std::size_t>> m_found;
};

/// A growing set of pairs without a knot.
class Wishes {
public:
    explicit Wishes(std::size_t count) : m_graph(count) {}

    /// False when it would tie a knot: then it is not taken.
    bool take(std::size_t upper, std::size_t lower) {
        if (leads(upper, lower)) return false;
        m_graph[lower].push_back(upper);
        m_pairs.push_back({upper, lower});
        return true;
    }
    [[nodiscard]] const std::vector<Pair>& pairs() const { return m_pairs; }

private:
    [[nodiscard]] bool leads(std::size_t from, std::size_t to) const {
        std::vector<bool> seen(m_graph.size(), false);
        std::vector<std::size_t> next{from};
        while (!next.empty()) {
            const std::size_t at = next.back();
            next.pop_back();
            if (at == to) return true;
            if (seen[at]) continue;
            seen[at] = true;
            next.insert(next.end(), m_graph[at].begin(), m_graph[at].end());
        }
        return false;
    }
    Graph m_graph;
    std::vector<Pair> m_pairs;
};

bool wasSaid(const std::vector<Pair>& said, std::size_t upper, std::size_t lower) {
    return std::find(said.begin(), said.end(), Pair{upper, lower}) != said.end();
}

/// A border with how it should be decided; the most binding first.
struct Wish {
    Decision decision;
    double weight; ///< among those of one reason
};

Wish wishFor(const Border& border, const std::vector<Pair>& said, const std::vector<double>& lightness) {
    if (wasSaid(said, border.one, border.other)) return {{border.one, border.other, Reason::said}, 0};
    if (wasSaid(said, border.other, border.one)) return {{border.other, border.one, Reason::said}, 0};
    if (border.overlap) return {{border.other, border.one, Reason::overlap}, 0};
    if (lightness.empty()) return {{border.other, border.one, Reason::drawn}, 0};
    const double by = lightness[border.one] - lightness[border.other];
    if (std::abs(by) < 1) return {{border.other, border.one, Reason::drawn}, 0};
    return by > 0 ? Wish{{border.other, border.one, Reason::lighter}, by}
                  : Wish{{border.one, border.other, Reason::lighter}, -by};
}

} // namespace

std::vector<std::vector<std::size_t>> knotsOf(std::size_t count, const std::vector<Pair>& pairs) {
    const Graph graph = graphOf(count, pairs);
    auto found = Components(graph).run();
    std::erase_if(found, [](const auto& component) { return component.size() < 2; });
    std::sort(found.begin(), found.end());
    return found;
}

std::vector<std::size_t> bottomFirst(std::size_t count, const std::vector<Pair>& pairs,
                                     const Before& before) {
    const Graph graph = graphOf(count, pairs);
    std::vector<std::size_t> waits(count, 0), out;
    for (const auto& pair : pairs)
        ++waits[pair.upper];
    const auto first = [&](std::size_t a, std::size_t b) {
        if (before && before(a, b)) return true;
        if (before && before(b, a)) return false;
        return a < b;
    };
    std::vector<std::size_t> left(count);
    std::iota(left.begin(), left.end(), std::size_t{0});
    std::stable_sort(left.begin(), left.end(), first);
    while (!left.empty()) {
        auto next = std::find_if(left.begin(), left.end(), [&](std::size_t i) { return waits[i] == 0; });
        if (next == left.end()) next = left.begin(); // a knot
        const std::size_t taken = *next;
        left.erase(next);
        out.push_back(taken);
        for (const std::size_t upper : graph[taken])
            if (waits[upper] > 0) --waits[upper];
    }
    return out;
}

Ordered decided(std::size_t count, const std::vector<Border>& borders, const std::vector<Pair>& said,
                const std::vector<double>& lightness) {
    std::vector<Wish> wishes;
    for (const auto& border : borders)
        wishes.push_back(wishFor(border, said, lightness));
    std::stable_sort(wishes.begin(), wishes.end(), [](const Wish& a, const Wish& b) {
        return a.decision.reason != b.decision.reason ? a.decision.reason < b.decision.reason
                                                      : a.weight > b.weight;
    });
    Wishes taken(count);
    Ordered out;
    for (const auto& wish : wishes) {
        Decision decision = wish.decision;
        if (!taken.take(decision.upper, decision.lower)) {
            std::swap(decision.upper, decision.lower);
            decision.reason = Reason::forced;
            taken.take(decision.upper, decision.lower);
        }
        out.decisions.push_back(decision);
    }
    out.order = bottomFirst(count, taken.pairs());
    return out;
}

} // namespace up::stack
