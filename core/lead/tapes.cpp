// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/lead/tapes.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <numbers>
#include <set>

namespace up::lead {
namespace {

constexpr std::size_t none = std::numeric_limits<std::size_t>::max();

/// Away from its end, seen over a little of it.
double headingOf(const shape::Polyline& line, bool atStart) {
    constexpr double reach = 2; // mm
    const double length = shape::lengthOf(line), far = std::min(reach, length / 2);
    const auto from = atStart ? line.front() : line.back();
    const auto to = shape::pointAlong(line, atStart ? far : length - far);
    return std::atan2(to.y - from.y, to.x - from.x);
}

struct Matched {
    Pairs pairs;
    double turned = 0;
    [[nodiscard]] bool isBetterThan(const Matched& other) const {
        if (pairs.size() != other.pairs.size()) return pairs.size() > other.pairs.size();
        return turned < other.turned - 1e-9;
    }
};

void tryPairs(const std::vector<End>& ends, std::vector<bool>& used, std::size_t from, Matched& now,
              Matched& best) {
    if (now.isBetterThan(best)) best = now;
    for (std::size_t a = from; a < ends.size(); ++a) {
        if (used[a]) continue;
        used[a] = true;
        for (std::size_t b = a + 1; b < ends.size(); ++b) {
            const double turn = turnOf(ends[a], ends[b]);
            if (used[b] || turn > mostTurn) continue;
            used[b] = true;
            now.pairs.emplace_back(a, b), now.turned += turn;
            tryPairs(ends, used, a + 1, now, best);
            now.pairs.pop_back(), now.turned -= turn;
            used[b] = false;
        }
        used[a] = false;
    }
}

/// The straightest one of all, however sharp.
Pairs straightest(const std::vector<End>& ends) {
    Pairs out;
    double least = std::numeric_limits<double>::infinity();
    for (std::size_t a = 0; a < ends.size(); ++a)
        for (std::size_t b = a + 1; b < ends.size(); ++b)
            if (const double turn = turnOf(ends[a], ends[b]); turn < least) least = turn, out = {{a, b}};
    return out;
}

/// Which end of which border each end of a border runs on into.
struct Onward {
    std::vector<std::array<std::pair<std::size_t, bool>, 2>> next; ///< by border, [at start]
    explicit Onward(std::size_t borders) : next(borders, {std::pair{none, false}, std::pair{none, false}}) {}
    void join(const End& a, const End& b) {
        next[a.border][a.atStart ? 1 : 0] = {b.border, b.atStart};
        next[b.border][b.atStart ? 1 : 0] = {a.border, a.atStart};
    }
    [[nodiscard]] std::pair<std::size_t, bool> after(std::size_t border, bool atStart) const {
        return next[border][atStart ? 1 : 0];
    }
};

/// From that end of a border on until it ends, or comes round.
Tape follow(const Borders& all, const Onward& onward, std::size_t border, bool fromStart,
            std::vector<bool>& done) {
    Tape out;
    out.from = fromStart ? all.borders[border].from : all.borders[border].to;
    const std::size_t first = border;
    while (true) {
        done[border] = true;
        out.borders.push_back(border);
        auto line = all.borders[border].line;
        if (!fromStart) std::reverse(line.begin(), line.end());
        out.line.insert(out.line.end(), line.begin() + (out.line.empty() ? 0 : 1), line.end());
        out.to = fromStart ? all.borders[border].to : all.borders[border].from;
        const auto [next, atStart] = onward.after(border, !fromStart);
        if (next == none) return out;
        if (next == first && done[next] && out.borders.front() == next) {
            out.closed = true;
            return out;
        }
        if (done[next]) return out;
        border = next, fromStart = atStart;
    }
}

std::vector<Tape> tapesOf(const Borders& all, const Onward& onward) {
    std::vector<Tape> out;
    std::vector<bool> done(all.borders.size());
    for (std::size_t i = 0; i < all.borders.size(); ++i)
        for (const bool atStart : {true, false})
            if (!done[i] && onward.after(i, atStart).first == none)
                out.push_back(follow(all, onward, i, atStart, done));
    for (std::size_t i = 0; i < all.borders.size(); ++i)
        if (!done[i]) out.push_back(follow(all, onward, i, true, done));
    return out;
}

/// By tape, by its ends that must be covered, what may: those that pass there.
struct Needs {
    struct Of {
        bool atStart;
        std::vector<std::size_t> by;
    };
    std::vector<std::vector<Of>> of;
};

Needs needsOf(const Borders& all, const std::vector<Tape>& tapes, const std::vector<std::vector<End>>& ends,
              const std::vector<Pairs>& pairs) {
    std::vector<std::size_t> tapeOf(all.borders.size());
    for (std::size_t i = 0; i < tapes.size(); ++i)
        for (const auto border : tapes[i].borders)
            tapeOf[border] = i;
    Needs out;
    out.of.resize(tapes.size());
    for (std::size_t i = 0; i < tapes.size(); ++i) {
        if (tapes[i].closed) continue; // its end lies on its start
        for (const bool atStart : {true, false}) {
            const auto place = atStart ? tapes[i].from : tapes[i].to;
            if (all.atEdge[place]) continue;
            std::set<std::size_t> by;
            bool itself = false;
            for (const auto& [a, b] : pairs[place]) {
                const auto over = tapeOf[ends[place][a].border];
                if (over == i)
                    itself = true;
                else
                    by.insert(over);
            }
            if (itself && atStart) continue; // what is laid of it later lies over its start
            out.of[i].push_back({atStart, {by.begin(), by.end()}});
        }
    }
    return out;
}

/// Each waits for the first of those that may cover it; follows them until one comes again.
std::vector<std::size_t> circleFrom(const Needs& needs, const std::vector<bool>& later, std::size_t tape) {
    std::vector<std::size_t> way;
    while (std::find(way.begin(), way.end(), tape) == way.end()) {
        way.push_back(tape);
        std::size_t next = none;
        for (const auto& end : needs.of[tape])
            if (std::none_of(end.by.begin(), end.by.end(), [&](auto by) { return later[by]; }) &&
                !end.by.empty())
                next = end.by.front();
        if (next == none) return {}; // nothing passes there at all
        tape = next;
    }
    way.erase(way.begin(), std::find(way.begin(), way.end(), tape));
    return way;
}

/// The last first: a tape is laid before those that cover its ends.
std::vector<std::size_t> ordered(const Needs& needs, std::vector<std::pair<std::size_t, bool>>& bare,
                                 std::vector<std::vector<std::size_t>>& circles) {
    const std::size_t count = needs.of.size();
    std::vector<bool> later(count);
    std::vector<std::size_t> fromLast;
    const auto openOf = [&](std::size_t tape) {
        std::vector<bool> open; // which ends, by at start
        for (const auto& end : needs.of[tape])
            if (std::none_of(end.by.begin(), end.by.end(), [&](auto by) { return later[by]; }))
                open.push_back(end.atStart);
        return open;
    };
    while (fromLast.size() < count) {
        std::size_t best = none;
        std::size_t fewest = none;
        for (std::size_t i = count; i-- > 0;) { // the last of those that may: borders keep their order
            if (later[i]) continue;
            if (const auto open = openOf(i).size(); open < fewest) best = i, fewest = open;
        }
        if (fewest > 0) {
            for (const bool atStart : openOf(best))
                bare.emplace_back(best, atStart);
            if (auto circle = circleFrom(needs, later, best); circle.size() > 1)
                circles.push_back(std::move(circle));
        }
        later[best] = true;
        fromLast.push_back(best);
    }
    std::reverse(fromLast.begin(), fromLast.end());
    return fromLast;
}

} // namespace

double turnOf(const End& a, const End& b) {
    // straight on: they head away from each other
    const double between = std::abs(std::remainder(a.heading - b.heading, 2 * std::numbers::pi));
    return std::numbers::pi - between;
}

std::vector<std::vector<End>> endsOf(const Borders& borders) {
    std::vector<std::vector<End>> out(borders.places.size());
    for (std::size_t i = 0; i < borders.borders.size(); ++i) {
        const auto& border = borders.borders[i];
        out[border.from].push_back({i, true, headingOf(border.line, true)});
        out[border.to].push_back({i, false, headingOf(border.line, false)});
    }
    return out;
}

Pairs pairsAt(const std::vector<End>& ends) {
    if (ends.size() < 2) return {};
    Matched now, best;
    std::vector<bool> used(ends.size());
    constexpr std::size_t most = 8;
    if (ends.size() > 2 && ends.size() <= most) tryPairs(ends, used, 0, now, best);
    return best.pairs.empty() ? straightest(ends) : best.pairs;
}

Leading leadingOf(const Borders& borders) {
    const auto ends = endsOf(borders);
    std::vector<Pairs> pairs;
    Onward onward(borders.borders.size());
    Leading out;
    for (const auto& at : ends) {
        pairs.push_back(pairsAt(at));
        for (const auto& [a, b] : pairs.back()) {
            onward.join(at[a], at[b]);
            if (at.size() > 2) out.turned += turnOf(at[a], at[b]);
        }
    }
    auto tapes = tapesOf(borders, onward);
    const auto needs = needsOf(borders, tapes, ends, pairs);
    std::vector<std::pair<std::size_t, bool>> bare;
    const auto order = ordered(needs, bare, out.circles);
    std::vector<std::size_t> number(tapes.size());
    for (std::size_t i = 0; i < order.size(); ++i) {
        number[order[i]] = i;
        out.tapes.push_back(std::move(tapes[order[i]]));
    }
    for (const auto& [tape, atStart] : bare)
        out.bare.push_back({number[tape], atStart});
    for (auto& circle : out.circles)
        for (auto& tape : circle)
            tape = number[tape];
    return out;
}

} // namespace up::lead
