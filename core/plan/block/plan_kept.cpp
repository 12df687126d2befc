// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/plan_kept.hpp"

#include <algorithm>
#include <map>

namespace up::plan {
namespace {

constexpr auto none = PlanKept::none;

/// The most pieces that have kept their order among each other: the longest increasing run of positions.
/// Source: Schensted, "Longest increasing and decreasing subsequences", 1961 (patience sorting).
std::vector<bool> inOrder(const std::vector<std::size_t>& was) {
    std::vector<std::size_t> ends,
        before(was.size(), none); // of runs of each length: the piece that ends it lowest
    for (std::size_t i = 0; i < was.size(); ++i) {
        if (was[i] == none) continue;
        const auto at =
            std::lower_bound(ends.begin(), ends.end(), was[i],
                             [&](std::size_t end, std::size_t value) { return was[end] < value; });
        if (at != ends.begin()) before[i] = *(at - 1);
        if (at == ends.end())
            ends.push_back(i);
        else
            *at = i;
    }
    std::vector<bool> out(was.size(), false);
    for (auto i = ends.empty() ? none : ends.back(); i != none; i = before[i])
        out[i] = true;
    return out;
}

/// Pieces of which the user says another thing now.
std::vector<PieceId> saidAnew(const BlockPlan& now, const BlockPlan& before) {
    std::vector<PieceId> out;
    const auto add = [&](const std::vector<quilt::Over>& from, const std::vector<quilt::Over>& other) {
        for (const auto& over : from)
            if (std::find(other.begin(), other.end(), over) == other.end())
                out.push_back(over.upper), out.push_back(over.lower);
    };
    add(now.said, before.said);
    add(before.said, now.said);
    return out;
}

} // namespace

PlanKept::PlanKept(const BlockPlan& now, const BlockPlan& before)
    : was(now.from.size(), none), isNow(before.from.size(), none) {
    std::map<PieceId, std::size_t> places;
    for (std::size_t i = 0; i < before.from.size(); ++i)
        places[before.from[i].piece] = i;
    for (std::size_t i = 0; i < was.size(); ++i) {
        const auto place = places.find(now.from[i].piece);
        if (place == places.end() || !(before.from[place->second] == now.from[i])) continue;
        was[i] = place->second;
        isNow[was[i]] = i;
    }
    settled = inOrder(was);
    if (now.reach != before.reach) settled.assign(was.size(), false);
    for (const auto piece : saidAnew(now, before))
        for (std::size_t i = 0; i < was.size(); ++i)
            if (now.from[i].piece == piece) settled[i] = false;

    std::vector<shape::Box> changed;
    for (std::size_t i = 0; i < was.size(); ++i)
        if (!settled[i]) changed.push_back(now.regions[i].bounds());
    for (std::size_t i = 0; i < isNow.size(); ++i)
        if (isNow[i] == none || !settled[isNow[i]]) changed.push_back(before.regions[i].bounds());
    for (std::size_t i = 0; i < was.size(); ++i) {
        const auto near = now.regions[i].bounds().grownBy(now.reach);
        touched.push_back(!settled[i] || std::any_of(changed.begin(), changed.end(),
                                                     [&](const shape::Box& box) { return box.meets(near); }));
    }
}

} // namespace up::plan
