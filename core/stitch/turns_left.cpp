// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/turns_left.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <limits>
#include <optional>

namespace up::stitch {
namespace {
constexpr std::size_t mostKinds = 6, fewKnown = 4000, mostKnown = 200'000; // of ways that are tried
}

TurnsLeft::TurnsLeft(const Sorting& sorting) : m_sorting(sorting) {
    const auto count = sorting.kind.size();
    std::vector<ThingsDone> ofKind(sorting.kinds.size(), ThingsDone(count));
    for (const auto i : sorting.order)
        ofKind[sorting.kind[i]].add(i);
    m_waits.assign(count, ThingsDone(count));
    for (const auto i : sorting.order)
        for (const auto j : sorting.order)
            if (sorting.kind[j] != sorting.kind[i] && sorting.below[i].has(j)) {
                auto before = sorting.below[j];
                before.keepOnly(ofKind[sorting.kind[i]]);
                m_waits[i].add(j), m_waits[i].add(before);
            }
    m_sets = parted();
}

int TurnsLeft::after(const ThingsDone& done) const {
    int out = 0;
    for (const auto& set : m_sets) {
        auto own = done;
        own.keepOnly(set.things);
        out += left(set, own);
    }
    return out;
}

TurnsLeft::Set TurnsLeft::setOf(std::vector<std::size_t> kinds) const {
    Set out{std::move(kinds), ThingsDone(m_sorting.kind.size()), {}};
    for (const auto kind : out.kinds)
        for (const auto i : m_sorting.of[kind])
            out.things.add(i);
    for (const auto kind : out.kinds) {
        out.waits.emplace_back();
        for (const auto i : m_sorting.of[kind])
            out.waits.back().emplace_back(i, m_waits[i]).second.keepOnly(out.things);
    }
    return out;
}

/// Those come together of which more turns are known together than apart.
std::vector<TurnsLeft::Set> TurnsLeft::parted() const {
    const ThingsDone none(m_sorting.kind.size());
    std::vector<Set> out;
    for (std::size_t kind = 0; kind < m_sorting.kinds.size(); ++kind)
        if (!m_sorting.of[kind].empty()) out.push_back(setOf({kind}));
    for (bool joined = true; joined;) {
        joined = false;
        int most = 0;
        std::pair<std::size_t, std::size_t> best;
        std::optional<Set> together;
        for (std::size_t i = 0; i < out.size(); ++i)
            for (std::size_t j = i + 1; j < out.size(); ++j) {
                if (out[i].kinds.size() + out[j].kinds.size() > mostKinds) continue;
                auto kinds = out[i].kinds;
                kinds.insert(kinds.end(), out[j].kinds.begin(), out[j].kinds.end());
                auto set = setOf(std::move(kinds));
                const int more = left(set, none) - left(out[i], none) - left(out[j], none);
                if (more > most && set.known.size() < fewKnown)
                    most = more, best = {i, j}, together = std::move(set);
            }
        if (!together) break;
        joined = true;
        out.erase(out.begin() + static_cast<std::ptrdiff_t>(best.second));
        out[best.first] = std::move(*together);
    }
    return out;
}

namespace {

using Waits = std::vector<std::pair<std::size_t, ThingsDone>>;

/// With all of that kind that may be stitched then; whether none of it is left.
std::pair<ThingsDone, bool> stitched(const Waits& waits, const ThingsDone& done) {
    auto out = done;
    bool all = true;
    for (const auto& [thing, first] : waits) {
        if (done.has(thing)) continue;
        if (done.hasAll(first))
            out.add(thing);
        else
            all = false;
    }
    return {std::move(out), all};
}

bool anyLeft(const Waits& waits, const ThingsDone& done) {
    return std::any_of(waits.begin(), waits.end(), [&](const auto& wait) { return !done.has(wait.first); });
}

} // namespace

int TurnsLeft::left(const Set& set, const ThingsDone& done) {
    if (done == set.things) return 0;
    if (const auto known = set.known.find(done); known != set.known.end()) return known->second;
    if (set.known.size() >= mostKnown)
        return static_cast<int>(std::count_if(set.waits.begin(), set.waits.end(),
                                              [&](const Waits& waits) { return anyLeft(waits, done); }));
    breathe();
    int best = std::numeric_limits<int>::max() - 1;
    for (const auto& waits : set.waits) {
        const auto [next, all] = stitched(waits, done);
        if (next == done) continue;
        const int turns = left(set, next);
        best = all ? turns : std::min(best, turns); // what can be finished is: it costs that turn in any case
        if (all) break;
    }
    set.known[done] = best + 1;
    return best + 1;
}

} // namespace up::stitch
