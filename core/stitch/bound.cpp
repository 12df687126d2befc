// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/bound.hpp"

#include <algorithm>
#include <numeric>
#include <set>

namespace up::stitch {
namespace {

std::size_t rootOf(std::vector<std::size_t>& forest, std::size_t node) {
    while (forest[node] != node)
        node = forest[node] = forest[forest[node]];
    return node;
}
void join(std::vector<std::size_t>& forest, std::size_t a, std::size_t b) {
    forest[rootOf(forest, a)] = rootOf(forest, b);
}

} // namespace

Bound::Bound(const Network& network, Options options) : m_network(network), m_options(std::move(options)) {
    std::set<int> threads;
    for (const auto& arc : network.arcs)
        threads.insert(arc.thread);
    m_threads.assign(threads.begin(), threads.end());
    for (const auto& arc : network.arcs)
        m_thread.push_back(static_cast<std::size_t>(
            std::lower_bound(m_threads.begin(), m_threads.end(), arc.thread) - m_threads.begin()));
    const auto places = network.hops.size();
    std::vector<std::size_t> forest(places);
    std::iota(forest.begin(), forest.end(), 0);
    for (std::size_t i = 0; i < places; ++i)
        for (const auto& hop : network.hops[i])
            join(forest, i, hop.to);
    std::vector<std::size_t> name(places, nowhere);
    for (std::size_t i = 0; i < places; ++i) {
        auto& group = name[rootOf(forest, i)];
        if (group == nowhere) group = m_groups++;
        m_group.push_back(group);
    }
    const auto nodes = m_groups * m_threads.size();
    m_whole.resize(nodes), m_even.resize(nodes), m_parity.resize(nodes), m_odd.resize(nodes),
        m_used.resize(nodes);
}

Least Bound::least(const Counts& done, std::size_t at, int thread) const {
    std::iota(m_whole.begin(), m_whole.end(), 0);
    std::iota(m_even.begin(), m_even.end(), 0);
    std::fill(m_parity.begin(), m_parity.end(), 0);
    std::fill(m_odd.begin(), m_odd.end(), 0);
    std::fill(m_used.begin(), m_used.end(), 0);
    for (std::size_t k = 0; k < m_network.arcs.size(); ++k) {
        const auto& options = m_options[k];
        if (done[k] >= options.back()) continue;
        const auto& arc = m_network.arcs[k];
        const auto a = nodeOf(arc.from, m_thread[k]), b = nodeOf(arc.to, m_thread[k]);
        join(m_whole, a, b);
        bool isOdd = false, isEven = false, must = true;
        for (const char count : options) {
            if (count < done[k]) continue;
            ((count - done[k]) % 2 ? isOdd : isEven) = true;
            must = must && count != done[k];
        }
        if (isOdd && isEven)
            join(m_even, a, b);
        else if (isOdd && a != b)
            m_parity[a] ^= 1, m_parity[b] ^= 1;
        if (must) m_used[a] = 1;
    }
    const auto nodes = m_whole.size();
    for (std::size_t i = 0; i < nodes; ++i)
        if (m_used[i] != 0) m_used[rootOf(m_whole, i)] = 2;
    std::size_t atWhole = nowhere, atEven = nowhere;
    if (at != nowhere) {
        const auto which = static_cast<std::size_t>(
            std::lower_bound(m_threads.begin(), m_threads.end(), thread) - m_threads.begin());
        atWhole = rootOf(m_whole, nodeOf(at, which)), atEven = rootOf(m_even, nodeOf(at, which));
    }
    for (std::size_t i = 0; i < nodes; ++i)
        if (const auto root = rootOf(m_even, i); m_parity[i] != 0 && root != i) m_parity[root] ^= 1;
    Least out;
    const bool atOdd = atEven != nowhere && m_parity[atEven] != 0;
    for (std::size_t i = 0; i < nodes; ++i)
        if (rootOf(m_even, i) == i && m_parity[i] != 0) ++m_odd[rootOf(m_whole, i)];
    std::vector<char> threadLeft(m_threads.size(), 0);
    for (std::size_t i = 0; i < nodes; ++i) {
        if (m_used[i] != 2 || rootOf(m_whole, i) != i) continue;
        threadLeft[i / m_groups] = 1;
        out.ties += std::max(1, m_odd[i] / 2);
        if (i == atWhole && (atOdd || m_odd[i] == 0)) --out.ties;
    }
    const auto threads = static_cast<int>(std::count(threadLeft.begin(), threadLeft.end(), 1));
    if (at == nowhere) {
        out.threadChanges = std::max(0, threads - 1);
    } else {
        const auto own = std::lower_bound(m_threads.begin(), m_threads.end(), thread) - m_threads.begin();
        out.threadChanges = threads - threadLeft[static_cast<std::size_t>(own)];
    }
    return out;
}

} // namespace up::stitch
