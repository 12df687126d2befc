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

/// Both have changed it: cut from it, perhaps.
StashCloth together(const StashCloth& before, const StashCloth& mine, const StashCloth& theirs) {
    StashCloth out = mine;
    if (mine.outline == before.outline)
        out.outline = theirs.outline;
    else if (theirs.outline != before.outline)
        out.outline = shape::intersect({mine.outline}, {theirs.outline}).rings;
    return out;
}

} // namespace

Stash stashOf(const Quilt& quilt, const std::string& id) {
    Stash out;
    out.id = id;
    for (const auto& cloth : quilt.cloths) {
        if (!isOf(id, cloth.key)) continue;
        const auto* fabric = find(quilt.fabrics, cloth.fabric);
        StashCloth item;
        item.key = cloth.key, item.name = cloth.name, item.outline = cloth.outline;
        if (fabric)
            item.fabric = fabric->name, item.colour = fabric->colour, item.print = fabric->print,
            item.alike = fabric->alike;
        item.stripes = cloth.stripes, item.scrap = cloth.scrap, item.washed = cloth.washed;
        item.from = cloth.from, item.heldFor = holdOf(quilt, cloth);
        item.extra = cloth.extra;
        out.cloths.push_back(std::move(item));
    }
    return out;
}

Quilt withStash(Quilt quilt, const Stash& stash) {
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
    return quilt;
}

Quilt carried(Quilt quilt, const std::string& stash) {
    if (stash.empty()) return quilt;
    std::set<FabricId> fabrics, stay;
    std::set<ClothId> waited;
    for (const auto& block : std::as_const(quilt).blocks) {
        fabrics.insert(block.background);
        for (const auto& piece : block.pieces)
            fabrics.insert(piece.fabric);
        for (const auto& strip : block.ground.strips)
            for (const auto& patch : strip.patches)
                fabrics.insert(patch.fabric);
        for (const auto& on : block.onCloth)
            waited.insert(on.cloth);
    }
    std::erase_if(quilt.cloths, [&](const Cloth& cloth) {
        if (!isOf(stash, cloth.key) || fabrics.contains(cloth.fabric) || waited.contains(cloth.id) ||
            cloth.heldFor)
            return false;
        stay.insert(cloth.fabric);
        return true;
    });
    for (const auto& cloth : quilt.cloths)
        stay.erase(cloth.fabric);
    std::erase_if(quilt.fabrics, [&](const Fabric& fabric) { return stay.contains(fabric.id); });
    return quilt;
}

Stash merged(const Stash& before, const Stash& mine, const Stash& theirs) {
    Stash out;
    out.id = theirs.id.empty() ? mine.id : theirs.id;
    out.extra = theirs.extra;
    for (const auto& now : theirs.cloths) {
        const auto* was = byKey(before.cloths, now.key);
        const auto* own = byKey(mine.cloths, now.key);
        if (!own) {
            if (!was || *was != now) out.cloths.push_back(now); // new to me, or changed while I threw it away
        } else if (was && *was != now && *was != *own) {
            auto both = together(*was, *own, now);
            if (!both.outline.empty()) out.cloths.push_back(std::move(both));
        } else {
            out.cloths.push_back(was && *was == *own ? now : *own);
        }
    }
    for (const auto& own : mine.cloths) {
        if (byKey(theirs.cloths, own.key)) continue;
        const auto* was = byKey(before.cloths, own.key);
        if (!was || *was != own) out.cloths.push_back(own);
    }
    return out;
}

} // namespace up::quilt
