// SPDX-License-Identifier: GPL-3.0-or-later
// What becomes of a stash at which several have been.
#include "core/quilt/stash.hpp"
#include "core/shape/region.hpp"

#include <algorithm>

namespace up::quilt {
namespace {

template<class Items> auto* byKey(Items& items, const std::string& key) {
    const auto at = std::find_if(items.begin(), items.end(), [&](const auto& i) { return i.key == key; });
    return at == items.end() ? nullptr : &*at;
}

// Both have changed it, `out` is what is mine: what both used of it is gone.

Length bothUsed(Length before, Length mine, Length theirs) {
    return std::max(Length{}, mine - (before - theirs));
}

void together(const StashCloth& before, StashCloth& out, const StashCloth& theirs) {
    if (out.outline == before.outline)
        out.outline = theirs.outline;
    else if (theirs.outline != before.outline && theirs.outline != out.outline)
        out.outline = shape::intersect({out.outline}, {theirs.outline}).rings;
}

void together(const Web& before, Web& out, const Web& theirs) {
    if (before.roll() && out.roll() && theirs.roll()) {
        out.stock = Roll{bothUsed(before.length(), out.length(), theirs.length())};
    } else if (before.packet() && out.packet() && theirs.packet()) {
        auto packet = *out.packet();
        packet.sheets = std::max(0, packet.sheets - (before.packet()->sheets - theirs.packet()->sheets));
        out.stock = packet;
    }
}

void together(const StashOffCut&, StashOffCut&, const StashOffCut&) {}

void together(const Thread& before, Thread& out, const Thread& theirs) {
    for (const auto part : {&Thread::spool, &Thread::bobbin})
        if (before.*part && out.*part && theirs.*part)
            out.*part = bothUsed(*(before.*part), *(out.*part), *(theirs.*part));
}

void together(const Iron&, Iron&, const Iron&) {}

void together(const Supply& before, Supply& out, const Supply& theirs) {
    out.length = bothUsed(before.length, out.length, theirs.length);
}

bool isNothing(const StashCloth& cloth) {
    return cloth.outline.empty();
}
template<class Thing> bool isNothing(const Thing&) {
    return false;
}

template<class Thing>
std::vector<Thing> mergedList(const std::vector<Thing>& before, const std::vector<Thing>& mine,
                              const std::vector<Thing>& theirs) {
    std::vector<Thing> out;
    for (const auto& now : theirs) {
        const auto* was = byKey(before, now.key);
        const auto* own = byKey(mine, now.key);
        if (!own) {
            if (!was || *was != now) out.push_back(now); // new to me, or changed while I threw it away
        } else if (was && *was != now && *was != *own) {
            auto both = *own;
            together(*was, both, now);
            if (!isNothing(both)) out.push_back(std::move(both));
        } else {
            out.push_back(was && *was == *own ? now : *own);
        }
    }
    for (const auto& own : mine) {
        if (byKey(theirs, own.key)) continue;
        const auto* was = byKey(before, own.key);
        if (!was || *was != own) out.push_back(own);
    }
    return out;
}

/// Whether something with that key is in the stash, or was when this came off it.
bool comesFrom(const Stash& stash, const std::string& key) {
    bool found = false;
    eachKind([&](auto list) {
        found = found || std::any_of((stash.*list).begin(), (stash.*list).end(), [&](const auto& thing) {
                    return key == thing.key || key.starts_with(thing.key + "/");
                });
    });
    return found;
}

} // namespace

Stash merged(const Stash& before, const Stash& mine, const Stash& theirs) {
    Stash out;
    out.id = theirs.id.empty() ? mine.id : theirs.id;
    out.extra = theirs.extra;
    eachKind([&](auto list) { out.*list = mergedList(before.*list, mine.*list, theirs.*list); });
    return out;
}

Stash uncut(const Stash& before, const Stash& now) {
    Stash out = before;
    eachKind([&](auto list) {
        for (const auto& thing : now.*list)
            if (!comesFrom(before, thing.key)) (out.*list).push_back(thing);
    });
    return out;
}

} // namespace up::quilt
