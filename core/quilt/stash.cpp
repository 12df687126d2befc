// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/stash.hpp"

#include "core/base/text.hpp"
#include "core/shape/region.hpp"

#include <algorithm>
#include <set>

namespace up::quilt {
namespace {

std::string holdOf(const Quilt& quilt, const Cloth& cloth) {
    const auto* block = find(quilt.blocks, cloth.heldFor);
    return block ? quilt.name + ": " + block->name : cloth.heldElsewhere;
}

BlockId holderOf(const Quilt& quilt, const std::string& held) {
    for (const auto& block : quilt.blocks)
        if (held == quilt.name + ": " + block.name) return block.id;
    return {};
}

FabricId fabricFor(Quilt& quilt, const StashCloth& cloth) {
    const auto at = std::find_if(quilt.fabrics.begin(), quilt.fabrics.end(),
                                 [&](const auto& fabric) { return sameName(fabric.name, cloth.fabric); });
    if (at != quilt.fabrics.end()) return at->id;
    Fabric fabric{};
    fabric.id = FabricId{quilt.nextId++};
    fabric.name = cloth.fabric, fabric.colour = cloth.colour;
    fabric.print = cloth.print, fabric.alike = cloth.alike;
    fabric.swatch = cloth.swatch;
    quilt.fabrics.push_back(std::move(fabric));
    return quilt.fabrics.back().id;
}

template<class Items> auto* byKey(Items& items, const std::string& key) {
    const auto at = std::find_if(items.begin(), items.end(), [&](const auto& i) { return i.key == key; });
    return at == items.end() ? nullptr : &*at;
}

bool isOf(const std::string& id, const std::string& key) {
    return id.empty() ? !key.empty() : key.starts_with(id + "/");
}

/// What the quilt makes use of.
struct InUse {
    std::set<WebId> webs;
    std::set<ThreadId> threads;
    std::set<IronId> irons;
    std::set<FabricId> fabrics;
    std::set<ClothId> cloths; ///< waited on

    explicit InUse(const Quilt& quilt) {
        irons.insert(quilt.iron);
        for (const auto& block : quilt.blocks)
            look(block);
    }
    [[nodiscard]] bool has(WebId id) const { return webs.contains(id); }
    [[nodiscard]] bool has(ThreadId id) const { return threads.contains(id); }
    [[nodiscard]] bool has(IronId id) const { return irons.contains(id); }
    [[nodiscard]] static bool has(SupplyId) { return false; }

private:
    void look(const Block& block) {
        webs.insert(block.web);
        if (block.layout) webs.insert(block.layout->web);
        fabrics.insert(block.background);
        for (const auto& piece : block.pieces)
            fabrics.insert(piece.fabric), threads.insert(piece.thread);
        for (const auto& strip : block.ground.strips)
            for (const auto& patch : strip.patches)
                fabrics.insert(patch.fabric);
        for (const auto& on : block.onCloth)
            cloths.insert(on.cloth);
    }
};

template<class Thing> std::vector<Thing> keyed(const std::vector<Thing>& things, const std::string& id) {
    std::vector<Thing> out;
    for (const auto& thing : things)
        if (isOf(id, thing.key)) out.emplace_back(thing).id = {};
    return out;
}

/// As in `with` are those of that stash; what is gone and in use stays without a key.
template<class Thing>
void bring(Quilt& quilt, std::vector<Thing> Quilt::*list, const std::vector<Thing>& with,
           const std::string& stash, const InUse& inUse) {
    auto& things = quilt.*list;
    const auto isGone = [&](const Thing& thing) { return isOf(stash, thing.key) && !byKey(with, thing.key); };
    std::erase_if(things, [&](const Thing& thing) { return isGone(thing) && !inUse.has(thing.id); });
    for (auto& thing : things)
        if (isGone(thing)) thing.key.clear();
    for (auto thing : with) {
        auto* there = byKey(things, thing.key);
        thing.id = there ? there->id : decltype(thing.id){quilt.nextId++};
        if (there)
            *there = std::move(thing);
        else
            things.push_back(std::move(thing));
    }
}

std::vector<StashOffCut> keyedOffCuts(const Quilt& quilt, const std::string& id) {
    std::vector<StashOffCut> out;
    for (const auto& offCut : quilt.offCuts) {
        const auto* web = find(quilt.webs, offCut.web);
        if (isOf(id, offCut.key))
            out.push_back({offCut.key, web ? web->key : "", offCut.outline, offCut.from, offCut.extra});
    }
    return out;
}

/// After the webs that they are of.
void bringOffCuts(Quilt& quilt, const Stash& stash) {
    std::erase_if(quilt.offCuts, [&](const OffCut& offCut) {
        return isOf(stash.id, offCut.key) && !byKey(stash.offCuts, offCut.key);
    });
    for (const auto& item : stash.offCuts) {
        auto* offCut = byKey(quilt.offCuts, item.key);
        if (!offCut) {
            quilt.offCuts.emplace_back().id = OffCutId{quilt.nextId++};
            offCut = &quilt.offCuts.back();
        }
        const auto* web = item.web.empty() ? nullptr : byKey(quilt.webs, item.web);
        offCut->key = item.key, offCut->outline = item.outline;
        offCut->web = web ? web->id : WebId{};
        offCut->from = item.from, offCut->extra = item.extra;
    }
}

} // namespace

bool holdTheSame(const Stash& one, const Stash& other) {
    bool same = true;
    eachKind([&](auto list) { same = same && one.*list == other.*list; });
    return same;
}

Stash stashOf(const Quilt& quilt, const std::string& id) {
    Stash out;
    out.id = id;
    out.webs = keyed(quilt.webs, id);
    out.offCuts = keyedOffCuts(quilt, id);
    out.threads = keyed(quilt.threads, id);
    out.irons = keyed(quilt.irons, id);
    out.supplies = keyed(quilt.supplies, id);
    for (const auto& cloth : quilt.cloths) {
        if (!isOf(id, cloth.key)) continue;
        const auto* fabric = find(quilt.fabrics, cloth.fabric);
        StashCloth item;
        item.key = cloth.key, item.name = cloth.name, item.outline = cloth.outline;
        if (fabric)
            item.fabric = fabric->name, item.colour = fabric->colour, item.print = fabric->print,
            item.alike = fabric->alike, item.swatch = fabric->swatch;
        item.stripes = cloth.stripes, item.scrap = cloth.scrap, item.washed = cloth.washed;
        item.from = cloth.from, item.heldFor = holdOf(quilt, cloth);
        item.extra = cloth.extra;
        out.cloths.push_back(std::move(item));
    }
    return out;
}

namespace {

void bringCloths(Quilt& quilt, const Stash& stash) {
    std::vector<Cloth> cloths;
    for (auto& cloth : quilt.cloths)
        if (!isOf(stash.id, cloth.key) || byKey(stash.cloths, cloth.key)) cloths.push_back(std::move(cloth));
    for (const auto& item : stash.cloths) {
        auto* cloth = byKey(cloths, item.key);
        if (!cloth) {
            cloths.emplace_back();
            cloth = &cloths.back();
            cloth->id = ClothId{quilt.nextId++};
        }
        cloth->key = item.key, cloth->name = item.name, cloth->outline = item.outline;
        cloth->fabric = fabricFor(quilt, item);
        cloth->stripes = item.stripes, cloth->scrap = item.scrap, cloth->washed = item.washed;
        cloth->from = item.from, cloth->heldFor = holderOf(quilt, item.heldFor);
        cloth->heldElsewhere = cloth->heldFor ? "" : item.heldFor;
        cloth->extra = item.extra;
    }
    quilt.cloths = std::move(cloths);
    for (std::size_t i = 0; i < quilt.blocks.size(); ++i) {
        const auto isGone = [&](const OnCloth& on) { return !find(quilt.cloths, on.cloth); };
        const auto& waiting = std::as_const(quilt.blocks)[i].onCloth;
        if (std::any_of(waiting.begin(), waiting.end(), isGone))
            std::erase_if(quilt.blocks[i].onCloth, isGone);
    }
}

/// Those at hand come first; its own of the same name is the same, if nothing is left of it.
void beginWithWebs(Quilt& quilt, const Stash& stash) {
    std::erase_if(quilt.webs, [&](const Web& own) {
        const auto isSame = [&](const Web& web) { return sameName(web.name, own.name); };
        const auto isOfIt = [&](const OffCut& offCut) { return offCut.web == own.id; };
        return own.key.empty() && std::any_of(stash.webs.begin(), stash.webs.end(), isSame) &&
               std::none_of(quilt.offCuts.begin(), quilt.offCuts.end(), isOfIt);
    });
    std::stable_partition(quilt.webs.begin(), quilt.webs.end(),
                          [&](const Web& web) { return isOf(stash.id, web.key); });
}

} // namespace

Quilt withStash(Quilt quilt, const Stash& stash) {
    const InUse inUse(quilt);
    bringCloths(quilt, stash);
    bring(quilt, &Quilt::webs, stash.webs, stash.id, inUse);
    if (quilt.blocks.empty()) beginWithWebs(quilt, stash);
    bringOffCuts(quilt, stash);
    bring(quilt, &Quilt::threads, stash.threads, stash.id, inUse);
    bring(quilt, &Quilt::irons, stash.irons, stash.id, inUse);
    bring(quilt, &Quilt::supplies, stash.supplies, stash.id, inUse);
    return quilt;
}

Quilt carried(Quilt quilt, const std::string& stash) {
    if (stash.empty()) return quilt;
    const InUse inUse(quilt);
    std::set<FabricId> stay;
    std::erase_if(quilt.cloths, [&](const Cloth& cloth) {
        if (!isOf(stash, cloth.key) || inUse.fabrics.contains(cloth.fabric) ||
            inUse.cloths.contains(cloth.id) || cloth.heldFor)
            return false;
        stay.insert(cloth.fabric);
        return true;
    });
    for (const auto& cloth : quilt.cloths)
        stay.erase(cloth.fabric);
    for (const auto& want : quilt.wants)
        stay.erase(want.fabric);
    std::erase_if(quilt.fabrics, [&](const Fabric& fabric) { return stay.contains(fabric.id); });
    const auto stays = [&](const auto& thing) { return isOf(stash, thing.key) && !inUse.has(thing.id); };
    std::erase_if(quilt.webs, stays);
    std::erase_if(quilt.offCuts, [&](const OffCut& offCut) {
        return isOf(stash, offCut.key) && !find(quilt.webs, offCut.web);
    });
    std::erase_if(quilt.threads, stays);
    std::erase_if(quilt.irons, stays);
    std::erase_if(quilt.supplies, stays);
    return quilt;
}

} // namespace up::quilt
