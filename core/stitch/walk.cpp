// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/walk.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace up::stitch {
namespace {

Options optionsOf(const Network& network, bool all) {
    Options out;
    for (const auto& arc : network.arcs) {
        std::set<char> counts;
        for (const int passes : arc.passes)
            counts.insert(static_cast<char>(all ? passes : passes % 2 ? 1 : 2));
        out.emplace_back(counts.begin(), counts.end());
    }
    return out;
}

std::int64_t micro(double mm) {
    return std::llround(mm * 1000);
}

} // namespace

Walk::Walk(const Network& network, bool all)
    : m_network(network), m_options(optionsOf(network, all)), m_all(all), m_then(network.arcs.size()),
      m_at(network.hops.size()), m_bound(network, m_options) {
    for (std::size_t k = 0; k < network.arcs.size(); ++k) {
        for (const auto first : network.arcs[k].first)
            m_then[first].push_back(k);
        m_at[network.arcs[k].from].push_back(k);
        if (network.arcs[k].to != network.arcs[k].from) m_at[network.arcs[k].to].push_back(k);
    }
}

Stand Walk::start() const {
    Stand out;
    out.done.assign(m_network.arcs.size(), 0);
    out.left = m_bound.least(out.done, nowhere, 0);
    return out;
}

bool Walk::isFinished(const Stand& stand, std::size_t arc) const {
    const auto& options = m_options[arc];
    return std::find(options.begin(), options.end(), stand.done[arc]) != options.end();
}

bool Walk::isDone(const Stand& stand) const {
    for (std::size_t k = 0; k < m_options.size(); ++k)
        if (!isFinished(stand, k)) return false;
    return true;
}

bool Walk::mayStitch(const Stand& stand, std::size_t arc) const {
    if (stand.done[arc] >= m_options[arc].back()) return false;
    for (const auto first : m_network.arcs[arc].first)
        if (!isFinished(stand, first)) return false;
    return std::all_of(m_then[arc].begin(), m_then[arc].end(),
                       [&](std::size_t k) { return stand.done[k] == 0; });
}

std::vector<Move> Walk::goingOn(const Stand& stand, std::size_t mostHops) const {
    std::vector<Move> out;
    if (stand.at == nowhere) return out;
    const auto from = [&](const Hop& hop) {
        for (const auto k : m_at[hop.to]) {
            const auto& arc = m_network.arcs[k];
            if (arc.thread != stand.thread || !mayStitch(stand, k)) continue;
            if (arc.from == hop.to) out.push_back({k, false, false, hop});
            if (arc.to == hop.to) out.push_back({k, true, false, hop});
        }
    };
    from({stand.at, 0, 0});
    const auto most = out.size() + mostHops;
    for (const auto& hop : m_network.hops[stand.at]) {
        if (out.size() >= most) break;
        from(hop);
    }
    return out;
}

std::vector<Move> Walk::beginnings(const Stand& stand) const {
    std::vector<int> ends(m_at.size(), 0);
    for (std::size_t k = 0; k < m_options.size(); ++k)
        if (!isFinished(stand, k) && m_network.arcs[k].from != m_network.arcs[k].to)
            ++ends[m_network.arcs[k].from], ++ends[m_network.arcs[k].to];
    std::vector<std::pair<int, Move>> found;
    for (std::size_t k = 0; k < m_options.size(); ++k) {
        if (!mayStitch(stand, k)) continue;
        for (const bool back : {false, true}) {
            const Move move{k, back, true, {}};
            const auto place = back ? m_network.arcs[k].to : m_network.arcs[k].from;
            found.emplace_back((ends[place] % 2 ? 0 : 2) + showsAt(move, true), move);
        }
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<Move> out;
    for (const auto& [_, move] : found)
        out.push_back(move);
    return out;
}

bool Walk::showsAt(const Move& move, bool start) const {
    const auto& arc = m_network.arcs[move.arc];
    return !(start == move.back ? arc.hiddenTo : arc.hiddenFrom);
}

Stand Walk::after(const Stand& stand, const Move& move) const {
    const auto& arc = m_network.arcs[move.arc];
    constexpr std::int64_t knot = 10'000;        // that shows: as much as ten metres through the seam
    constexpr std::int64_t another = 100 * knot; // thread than the one that is on
    Stand out = stand;
    ++out.done[move.arc];
    out.at = move.back ? arc.from : arc.to;
    out.thread = arc.thread;
    if (move.begins) {
        out.cost.threadChanges += stand.at != nowhere && stand.thread != arc.thread;
        if (stand.at == nowhere && m_network.on && *m_network.on != arc.thread) out.cost.trifle += another;
        ++out.cost.ties;
        out.cost.trifle += knot * showsAt(move, true);
    } else { // the trail ends somewhere else
        out.cost.jump += micro(move.hop.jump);
        out.cost.trifle += std::llround(move.hop.seam);
    }
    const double wrong = move.back ? arc.length - arc.wrongSide : arc.wrongSide;
    out.cost.trifle += std::llround(wrong);
    if (out.done[move.arc] > m_options[move.arc].front()) out.cost.trifle += std::llround(10 * arc.length);
    out.left = m_bound.least(out.done, out.at, out.thread);
    return out;
}

/// Which number of passes was taken, and where those that are to and fro are stitched: when the run comes first.
Ways Walk::told(const std::vector<Move>& moves, const Stand& end) const {
    std::vector<int> toAndFro(m_options.size(), 0);
    if (!m_all)
        for (std::size_t k = 0; k < m_options.size(); ++k)
            for (const int passes : m_network.arcs[k].passes)
                if (passes % 2 == end.done[k] % 2) {
                    toAndFro[k] = passes - end.done[k];
                    break;
                }
    Ways out;
    for (const auto& move : moves) {
        out.steps.push_back({move.arc, move.back, 1 + toAndFro[move.arc], move.begins});
        toAndFro[move.arc] = 0;
        out.jump += move.hop.jump;
    }
    out.threadChanges = end.cost.threadChanges;
    out.ties = end.cost.ties;
    return out;
}

} // namespace up::stitch
