// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/ways.hpp"

#include "core/base/job.hpp"
#include "core/stitch/ends.hpp"
#include "core/stitch/reorder.hpp"
#include "core/stitch/walk.hpp"

#include <algorithm>
#include <map>
#include <optional>
#include <queue>
#include <unordered_map>

namespace up::stitch {
namespace {

/// Stands, each with the move that led to it, so that a way can be told from its end.
class Trace {
public:
    std::size_t add(std::size_t parent, const Move& move) {
        m_moves.push_back({parent, move});
        return m_moves.size();
    }
    [[nodiscard]] std::vector<Move> to(std::size_t at) const {
        std::vector<Move> out;
        for (; at != 0; at = m_moves[at - 1].first)
            out.push_back(m_moves[at - 1].second);
        std::reverse(out.begin(), out.end());
        return out;
    }

private:
    std::vector<std::pair<std::size_t, Move>> m_moves;
};

std::string keyOf(const Stand& stand) {
    auto out = stand.done;
    for (std::size_t at = stand.at; at != 0; at /= 256)
        out.push_back(static_cast<char>(at % 256));
    return out;
}

struct Found {
    std::vector<Move> moves;
    Stand end;
};

/// The best of all ways; nothing when it takes too long. A*, as Turns does.
std::optional<Found> bestOf(const Walk& walk, std::size_t mostStands, const std::optional<Cost>& under) {
    struct Node {
        Cost least;
        std::size_t deep, at;
        bool operator<(const Node& o) const {
            return std::tie(least, o.deep, at) > std::tie(o.least, deep, o.at);
        }
    };
    std::vector<std::pair<Stand, std::size_t>> stands{{walk.start(), 0}}; // and where it stands in the trace
    Trace trace;
    std::unordered_map<std::string, Cost> seen;
    std::priority_queue<Node> open;
    open.push({stands.front().first.atLeast(), 0, 0});
    while (!open.empty()) {
        const auto node = open.top();
        open.pop();
        const auto [stand, traced] = stands[node.at]; // a copy: the list grows
        if (const auto known = seen.find(keyOf(stand)); known != seen.end() && known->second < stand.cost)
            continue;
        if (walk.isDone(stand)) return Found{trace.to(traced), stand};
        breathe();
        auto moves = walk.goingOn(stand, nowhere / 2);
        for (const auto& move : walk.beginnings(stand))
            moves.push_back(move);
        for (const auto& move : moves) {
            auto next = walk.after(stand, move);
            if (under && next.atLeast() > *under) continue;
            const auto [known, isNew] = seen.emplace(keyOf(next), next.cost);
            if (!isNew && known->second <= next.cost) continue;
            known->second = next.cost;
            if (stands.size() >= mostStands) return std::nullopt;
            open.push({next.atLeast(), node.deep + 1, stands.size()});
            stands.emplace_back(std::move(next), trace.add(traced, move));
        }
    }
    return std::nullopt;
}

/// A way that is good: of all that go on from a number of stands the best ones are followed.
Found goodOne(const Walk& walk, std::size_t width) {
    struct Kept {
        Stand stand;
        std::size_t traced;
    };
    constexpr std::size_t others = 3, first = 24; // beginnings that are tried, and of the very first trail
    constexpr std::size_t hops = 8;
    Trace trace;
    std::vector<Kept> beam{{walk.start(), 0}};
    std::optional<Kept> best;
    for (bool isFirst = true; !beam.empty(); isFirst = false) {
        breathe();
        struct Next {
            Stand stand;
            std::size_t parent;
            Move move;
        };
        std::vector<Next> nexts;
        for (const auto& kept : beam) {
            const auto before = kept.stand.atLeast();
            bool goesOn = false;
            const auto tryOne = [&](const Move& move) {
                auto stand = walk.after(kept.stand, move);
                if (best && stand.atLeast() >= best->stand.cost) return;
                goesOn = goesOn || stand.atLeast().ties <= before.ties;
                nexts.push_back({std::move(stand), kept.traced, move});
            };
            for (const auto& move : walk.goingOn(kept.stand, hops))
                tryOne(move);
            if (goesOn) continue;
            auto anew = walk.beginnings(kept.stand);
            anew.resize(std::min(anew.size(), isFirst ? first : others));
            for (const auto& move : anew)
                tryOne(move);
        }
        std::stable_sort(nexts.begin(), nexts.end(),
                         [](const Next& a, const Next& b) { return a.stand.atLeast() < b.stand.atLeast(); });
        beam.clear();
        std::unordered_map<std::string, bool> seen;
        for (auto& next : nexts) {
            if (beam.size() >= width) break;
            if (!seen.emplace(keyOf(next.stand), true).second) continue;
            const auto traced = trace.add(next.parent, next.move);
            if (walk.isDone(next.stand) && (!best || next.stand.cost < best->stand.cost))
                best = Kept{next.stand, traced};
            beam.push_back({std::move(next.stand), traced});
        }
    }
    return {trace.to(best->traced), best->stand};
}

/// Those moves, or the same runs in a better order.
Found madeBetter(const Network& network, const Walk& walk, Found found, int leastTies, std::size_t tries) {
    Found other{reordered(network, found.moves, leastTies, tries), walk.start()};
    for (const auto& move : other.moves)
        other.end = walk.after(other.end, move);
    return other.end.cost < found.end.cost ? other : found;
}

bool mayJump(const Network& network) {
    return std::any_of(network.hops.begin(), network.hops.end(), [](const auto& hops) {
        return std::any_of(hops.begin(), hops.end(), [](const Hop& hop) { return hop.jump > 0; });
    });
}

bool mayRepeat(const Network& network) {
    return std::any_of(network.arcs.begin(), network.arcs.end(), [](const Arc& arc) {
        return std::any_of(arc.passes.begin(), arc.passes.end(), [](int passes) { return passes > 2; });
    });
}

} // namespace

int leastTiesOf(const Network& network) {
    return network.arcs.empty() ? 0 : Walk(network, false).start().left.ties;
}

Ways waysOf(const Network& network) {
    if (network.arcs.empty()) return {{}, 0, 0, 0, 0, true};
    const auto count = network.arcs.size();
    const Walk walk(network, false);
    auto least = walk.start().left;
    least.ties = std::max(least.ties, leastEnds(network));
    constexpr std::size_t wide = 120, narrow = 12;
    auto found = goodOne(walk, count <= 40 && !network.quick ? wide : narrow);
    if (count > fewArcs) {
        const std::size_t tries =
            network.quick ? 400 * count : std::min(7'000 * count, 300'000 + 2'500 * count);
        found = madeBetter(network, walk, std::move(found), least.ties, tries);
    }
    const auto isLeast = [&](const Stand& end) {
        return end.cost.threadChanges == least.threadChanges && end.cost.ties == least.ties;
    };
    bool proved = isLeast(found.end);
    constexpr std::size_t most = 60'000; // stands
    if (count <= fewArcs && (!proved || mayJump(network))) {
        if (auto best = bestOf(walk, most, found.end.cost)) {
            found = std::move(*best);
            proved = !mayRepeat(network);
        }
        if (!proved && !(proved = isLeast(found.end))) {
            const Walk every(network, true);
            if (auto best = bestOf(every, most, {})) {
                proved = true;
                if (best->end.cost < found.end.cost) {
                    auto out = every.told(best->moves, best->end);
                    out.leastTies = best->end.cost.ties, out.fewest = true;
                    return out;
                }
            }
        }
    }
    auto out = walk.told(found.moves, found.end);
    out.leastTies = proved ? out.ties : least.ties;
    out.fewest = proved;
    return out;
}

} // namespace up::stitch
