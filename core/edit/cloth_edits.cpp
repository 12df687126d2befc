// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/cloths.hpp"
#include "core/edit/naming.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Cloth;
using quilt::ClothLeft;
using quilt::OnCloth;

namespace {

template<class Change> Edited changeCloth(const Quilt& quilt, ClothId id, Change change) {
    Quilt out = quilt;
    auto* cloth = find(out.cloths, id);
    if (!cloth) return failure(Code::noSuchCloth, {std::to_string(id.value)});
    change(out, *cloth);
    return out;
}

void forgetWaiting(Quilt& quilt, ClothId cloth) {
    const auto isOn = [&](const OnCloth& on) { return on.cloth == cloth; };
    for (std::size_t i = 0; i < quilt.blocks.size(); ++i) {
        const auto& waiting = std::as_const(quilt.blocks)[i].onCloth;
        if (std::any_of(waiting.begin(), waiting.end(), isOn)) std::erase_if(quilt.blocks[i].onCloth, isOn);
    }
}

/// "slate scrap 2", "slate scrap 2 b": a letter more for what comes off it.
std::string partName(const Quilt& quilt, const std::string& name) {
    for (char letter = 'b'; letter <= 'z'; ++letter) {
        auto out = name + " " + letter;
        if (std::none_of(quilt.cloths.begin(), quilt.cloths.end(),
                         [&](const Cloth& c) { return c.name == out; }))
            return out;
    }
    return name + " z";
}

/// Chunks that waited on the cloth wait on that part of it now.
void waitOn(Quilt& quilt, const ClothLeft::Part& part, ClothId cloth) {
    for (const auto& [blockId, chunk] : part.waiting)
        if (auto* block = find(quilt.blocks, blockId))
            for (auto& on : block->onCloth)
                if (on.chunk == chunk) on.cloth = cloth;
}

void cut(Quilt& quilt, const ClothLeft& left, const std::string& from, std::int64_t time) {
    auto* cloth = find(quilt.cloths, left.cloth);
    if (!cloth) return;
    if (left.parts.empty()) {
        forgetWaiting(quilt, left.cloth);
        std::erase_if(quilt.cloths, [&](const Cloth& c) { return c.id == left.cloth; });
        return;
    }
    cloth->outline = left.parts.front().outline;
    cloth->scrap = true;
    const Cloth whole = *cloth;
    for (std::size_t i = 1; i < left.parts.size(); ++i) {
        Cloth part = whole;
        part.id = ClothId{quilt.nextId++};
        part.name = partName(quilt, whole.name);
        if (!whole.key.empty()) part.key = partKey(whole.key, time, part.id.value);
        part.outline = left.parts[i].outline;
        part.from = from;
        quilt.cloths.push_back(part);
        waitOn(quilt, left.parts[i], part.id);
    }
}

} // namespace

Edited putCloth(const Quilt& quilt, Cloth cloth) {
    auto name = properName(cloth.name);
    if (!name) return tl::unexpected(name.error());
    cloth.name = std::move(*name);
    if (!find(quilt.fabrics, cloth.fabric))
        return failure(Code::noSuchFabric, {std::to_string(cloth.fabric.value)});
    if (cloth.outline.empty()) return failure(Code::clothNoArea, {cloth.name});
    Quilt out = quilt;
    if (!cloth.id) {
        cloth.id = ClothId{out.nextId++};
        out.cloths.push_back(std::move(cloth));
        return out;
    }
    auto* there = find(out.cloths, cloth.id);
    if (!there) return failure(Code::noSuchCloth, {cloth.name});
    *there = std::move(cloth);
    return out;
}

Edited removeCloth(const Quilt& quilt, ClothId id) {
    return changeCloth(quilt, id, [&](Quilt& out, const Cloth&) {
        forgetWaiting(out, id);
        std::erase_if(out.cloths, [&](const Cloth& c) { return c.id == id; });
    });
}

Edited holdCloth(const Quilt& quilt, ClothId id, BlockId block) {
    if (block && !find(quilt.blocks, block)) return failure(Code::noSuchBlock, {std::to_string(block.value)});
    return changeCloth(quilt, id, [&](Quilt& out, Cloth& cloth) {
        cloth.heldFor = block;
        for (std::size_t i = 0; block && i < out.blocks.size(); ++i)
            if (std::as_const(out.blocks)[i].id != block)
                std::erase_if(out.blocks[i].onCloth, [&](const OnCloth& on) { return on.cloth == id; });
    });
}

Edited layOnCloth(const Quilt& quilt, BlockId id, std::vector<OnCloth> onCloth) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.onCloth = std::move(onCloth); });
}

Edited bondOnCloth(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces,
                   const std::vector<ClothLeft>& left, std::int64_t time) {
    return record(quilt, id, pieces, quilt::Step::bonded, time).and_then([&](const Quilt& bonded) {
        return changeBlock(bonded, id, [&](Quilt& out, Block& block) {
            if (block.layout)
                std::erase_if(block.onCloth, [&](const OnCloth& on) {
                    return std::any_of(
                        block.layout->traced.begin(), block.layout->traced.end(), [&](const auto& traced) {
                            return traced.chunk == on.chunk &&
                                   std::find(pieces.begin(), pieces.end(), traced.piece) != pieces.end();
                        });
                });
            const auto name = block.name;
            for (const auto& rest : left)
                cut(out, rest, name, time);
        });
    });
}

} // namespace up::edit
