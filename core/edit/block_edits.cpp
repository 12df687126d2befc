// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/naming.hpp"
#include "core/measure/say.hpp"
#include "core/pattern/pattern.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Piece;
using shape::Transform;

namespace {

Result<void> sane(Length width, Length height, measure::System units) {
    for (const Length side : {width, height})
        if (side < leastSide || side > mostSide)
            return failure(Code::absurdSize, {spoken("finished size"), measure::say(side, units),
                                              measure::say(leastSide, units), measure::say(mostSide, units)});
    return {};
}

Length scaled(Length length, double by) {
    return Length::ofMm(length.mm() * by);
}

/// A direction turns and is mirrored with the piece.
measure::Angle remapped(measure::Angle grain, const Transform& by) {
    if (by.b == 0 && by.c == 0 && by.a == by.d && by.a > 0) return grain;
    const double x = std::cos(grain.radians()), y = std::sin(grain.radians());
    return measure::Angle::ofRadians(std::atan2(by.b * x + by.d * y, by.a * x + by.c * y)).normal();
}

/// What was traced before no longer matches the templates.
void beginAllAgain(Block& block) {
    for (auto& piece : block.pieces)
        beginAgain(piece);
    block.layout.reset();
    block.pressed.clear();
    notFinishedYet(block);
}

} // namespace

void remap(Piece& piece, const Transform& by, bool keepWidths) {
    const bool wasMade = piece.recipe && keepWidths && pattern::hasWidth(*piece.recipe);
    if (piece.recipe) piece.recipe = pattern::remapped(*piece.recipe, by, keepWidths);
    const auto remade = wasMade ? pattern::outlineOf(*piece.recipe) : failure(Code::noSuchShape);
    piece.outline = remade ? *remade : transformed(*piece.outline, by);
    std::vector<Shared<std::vector<shape::Contour>>*> all{&piece.marks, &piece.dotted, &piece.sewn};
    for (auto& stretch : piece.stretches)
        all.push_back(&stretch.along);
    for (auto* lines : all) {
        auto there = **lines;
        for (auto& line : there)
            line = transformed(line, by);
        *lines = std::move(there);
    }
    if (piece.grain) piece.grain = remapped(*piece.grain, by);
}

Edited renameQuilt(const Quilt& quilt, std::string name) {
    return properName(name).map([&](std::string&& proper) {
        Quilt out = quilt;
        out.name = std::move(proper);
        return out;
    });
}

Edited setUnits(const Quilt& quilt, measure::System units) {
    Quilt out = quilt;
    out.units = units;
    return out;
}

Edited addBlock(const Quilt& quilt, std::string name, Length width, Length height) {
    if (auto ok = sane(width, height, quilt.units); !ok) return tl::unexpected(ok.error());
    auto proper = properName(name);
    if (!proper) return tl::unexpected(proper.error());
    Quilt out = quilt;
    Block block{};
    block.id = BlockId{out.nextId++};
    block.name = std::move(*proper);
    block.width = width;
    block.height = height;
    if (!out.webs.empty()) block.web = out.webs.front().id;
    out.blocks.push_back(std::move(block));
    return out;
}

Edited removeBlock(const Quilt& quilt, BlockId id) {
    if (!find(quilt.blocks, id)) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    Quilt out = quilt;
    erase_if(out.blocks, [&](const Block& b) { return b.id == id; });
    for (auto& cloth : out.cloths)
        if (cloth.heldFor == id) cloth.heldFor = {};
    return out;
}

Edited renameBlock(const Quilt& quilt, BlockId id, std::string name) {
    return properName(name).and_then([&](const std::string& proper) {
        return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.name = proper; });
    });
}

Edited resizeBlock(const Quilt& quilt, BlockId id, Length width, Length height, bool keepWidths) {
    if (auto ok = sane(width, height, quilt.units); !ok) return tl::unexpected(ok.error());
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        if (block.width == width && block.height == height) return;
        const double by = std::min(width.mm() / block.width.mm(), height.mm() / block.height.mm());
        const Transform map = Transform::moveBy((width.mm() - block.width.mm() * by) / 2,
                                                (height.mm() - block.height.mm() * by) / 2) *
                              Transform::scale(by, by);
        for (auto& piece : block.pieces) {
            remap(piece, map, keepWidths);
            piece.place.right = scaled(piece.place.right, by);
            piece.place.down = scaled(piece.place.down, by);
        }
        remapLines(block, map);
        block.width = width;
        block.height = height;
        beginAllAgain(block);
    });
}

Edited setGivenReversed(const Quilt& quilt, BlockId id, bool reversed) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        if (block.givenReversed == reversed) return;
        block.givenReversed = reversed;
        remapLines(block, Transform::mirrorAcross(block.width.mm() / 2));
        for (auto& piece : block.pieces) {
            remap(piece, Transform::mirrorAcross(block.width.mm() / 2));
            piece.place.right = -piece.place.right;
            piece.place.turn = -piece.place.turn;
        }
        beginAllAgain(block);
    });
}

Edited setBackground(const Quilt& quilt, BlockId id, FabricId fabric) {
    if (!find(quilt.fabrics, fabric)) return failure(Code::noSuchFabric, {std::to_string(fabric.value)});
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.background = fabric; });
}

Edited setWeb(const Quilt& quilt, BlockId id, WebId web) {
    const Block* block = find(quilt.blocks, id);
    const auto begun = [](const Piece& piece) { return piece.work.step != quilt::Step::toTrace; };
    if (block && block->web != web && std::any_of(block->pieces.begin(), block->pieces.end(), begun))
        return failure(Code::alreadyTraced, {block->name});
    return changeBlock(quilt, id, [&](Quilt&, Block& changed) {
        if (changed.web != web) changed.layout.reset();
        changed.web = web;
    });
}

Edited putWeb(const Quilt& quilt, quilt::Web web) {
    for (const Length side : {web.width, web.length()})
        if (side < leastSide || side > mostWeb)
            return failure(Code::absurdSize,
                           {spoken("size of the web"), measure::say(side, quilt.units),
                            measure::say(leastSide, quilt.units), measure::say(mostWeb, quilt.units)});
    Quilt out = quilt;
    if (auto* known = find(out.webs, web.id)) {
        *known = std::move(web);
    } else {
        web.id = WebId{out.nextId++};
        out.webs.push_back(std::move(web));
    }
    return out;
}

Edited setEdge(const Quilt& quilt, BlockId id, quilt::EdgeStitch edge) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.edge = edge; });
}

Edited setLayout(const Quilt& quilt, BlockId id, quilt::Layout layout, std::int64_t time) {
    return changeBlock(quilt, id, [&](Quilt& out, Block& block) {
        block.layout = std::move(layout);
        keepOnCloth(block, quilt::Step::traced);
        note(out, {time, id, {}, quilt::Event::layout, ""});
    });
}

} // namespace up::edit
