// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/base/text.hpp"
#include "core/edit/change.hpp"
#include "core/edit/naming.hpp"
#include "core/edit/stashing.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Supply;
using quilt::Thread;
using quilt::Want;

namespace {

/// Replaces the one with its id; with none, adds it under a new one.
template<class Thing> Edited put(const Quilt& quilt, std::vector<Thing> Quilt::*list, Thing thing) {
    auto name = properName(thing.name);
    if (!name) return tl::unexpected(name.error());
    thing.name = std::move(*name);
    Quilt out = quilt;
    if (!thing.id) {
        thing.id = decltype(thing.id){out.nextId++};
        (out.*list).push_back(std::move(thing));
        return out;
    }
    auto* there = find(out.*list, thing.id);
    if (!there) return failure(Code::noSuchSupply, {thing.name});
    *there = std::move(thing);
    return out;
}

template<class Thing, class ThingId>
Edited removed(const Quilt& quilt, std::vector<Thing> Quilt::*list, ThingId id) {
    Quilt out = quilt;
    if (std::erase_if(out.*list, [&](const Thing& thing) { return thing.id == id; }) == 0)
        return failure(Code::noSuchSupply, {std::to_string(id.value)});
    return out;
}

/// Those without a key get one, but for those of which there is one of that name with a key.
template<class Thing> void keepNamed(std::vector<Thing>& things, const std::function<std::string()>& newKey) {
    const auto isThere = [&](const Thing& own) {
        return std::any_of(things.begin(), things.end(), [&](const Thing& other) {
            return !other.key.empty() && sameName(other.name, own.name);
        });
    };
    for (auto& thing : things)
        if (thing.key.empty() && !isThere(thing)) thing.key = newKey();
}

bool isStitchedWith(const Quilt& quilt, ThreadId thread) {
    return std::any_of(quilt.blocks.begin(), quilt.blocks.end(), [&](const auto& block) {
        return std::any_of(block.pieces.begin(), block.pieces.end(),
                           [&](const auto& piece) { return piece.thread == thread; });
    });
}

} // namespace

std::string partKey(const std::string& whole, std::int64_t time, std::uint32_t id) {
    return whole + "/" + std::to_string(time) + "-" + std::to_string(id);
}

Edited putThread(const Quilt& quilt, Thread thread) {
    return put(quilt, &Quilt::threads, std::move(thread));
}

Edited usedUp(const Quilt& quilt, ThreadId id) {
    if (!isStitchedWith(quilt, id)) return removed(quilt, &Quilt::threads, id);
    Quilt out = quilt;
    auto& thread = the(out.threads, id);
    thread.spool = thread.bobbin = Length{};
    return out;
}

Edited putSupply(const Quilt& quilt, Supply supply) {
    for (const Length side : {supply.width, supply.length})
        if (side < leastSide || side > mostWeb)
            return failure(Code::absurdSize,
                           {supply.name, measure::say(side, quilt.units),
                            measure::say(leastSide, quilt.units), measure::say(mostWeb, quilt.units)});
    return put(quilt, &Quilt::supplies, std::move(supply));
}

Edited removeSupply(const Quilt& quilt, SupplyId supply) {
    return removed(quilt, &Quilt::supplies, supply);
}

Edited keepForAll(const Quilt& quilt, const std::function<std::string()>& newKey) {
    Quilt out = quilt;
    keepNamed(out.webs, newKey);
    keepNamed(out.threads, newKey);
    keepNamed(out.irons, newKey);
    for (auto& offCut : out.offCuts) {
        const auto* web = find(out.webs, offCut.web);
        if (offCut.key.empty() && web && !web->key.empty()) offCut.key = newKey();
    }
    return out;
}

Edited putWant(const Quilt& quilt, Want want) {
    if (!find(quilt.fabrics, want.fabric))
        return failure(Code::noSuchFabric, {std::to_string(want.fabric.value)});
    Quilt out = quilt;
    const auto same = [&](const Want& other) {
        return other.fabric == want.fabric && other.block == want.block && other.width == want.width &&
               other.height == want.height;
    };
    if (std::any_of(out.wants.begin(), out.wants.end(), same)) return out;
    want.id = WantId{out.nextId++};
    out.wants.push_back(std::move(want));
    return out;
}

Edited removeWant(const Quilt& quilt, WantId want) {
    return removed(quilt, &Quilt::wants, want);
}

} // namespace up::edit
