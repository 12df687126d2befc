// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/codec.hpp"
#include "core/store/migrate.hpp"
#include "core/store/quilt_file.hpp"

#include <algorithm>

namespace up::store {
namespace {

using namespace quilt;

template<class Items>
void expectDifferentIds(const Items& items, const std::string& place, std::uint32_t& highest) {
    std::set<std::uint32_t> seen;
    for (const auto& item : items) {
        if (!seen.insert(item.id.value).second)
            throw Damaged{place, "each id once, but " + std::to_string(item.id.value) + " stands twice"};
        highest = std::max(highest, item.id.value);
    }
}

/// A name for something that is not there becomes "none"; ids stand once.
void settle(Quilt& quilt) {
    std::uint32_t highest = 0;
    expectDifferentIds(quilt.fabrics, "fabrics", highest);
    expectDifferentIds(quilt.threads, "threads", highest);
    expectDifferentIds(quilt.webs, "webs", highest);
    expectDifferentIds(quilt.offCuts, "offCuts", highest);
    for (auto& offCut : quilt.offCuts)
        if (!find(quilt.webs, offCut.web)) offCut.web = {};
    expectDifferentIds(quilt.cloths, "cloths", highest);
    for (auto& cloth : quilt.cloths) {
        if (!find(quilt.fabrics, cloth.fabric)) cloth.fabric = {};
        if (!find(quilt.blocks, cloth.heldFor)) cloth.heldFor = {};
    }
    expectDifferentIds(quilt.supplies, "supplies", highest);
    expectDifferentIds(quilt.wants, "wants", highest);
    std::erase_if(quilt.wants, [&](const Want& want) { return !find(quilt.fabrics, want.fabric); });
    for (auto& want : quilt.wants)
        if (!find(quilt.blocks, want.block)) want.block = {};
    expectDifferentIds(quilt.irons, "irons", highest);
    for (const auto& iron : quilt.irons)
        if (iron.outline.size() != 1) throw Damaged{"irons", "an outline of one ring for " + iron.name};
    if (!find(quilt.irons, quilt.iron)) quilt.iron = {};
    if (!find(quilt.threads, quilt.machine.thread)) quilt.machine.thread = {};
    if (!find(quilt.fabrics, quilt.setting.strips)) quilt.setting.strips = {};
    for (auto& border : quilt.setting.borders)
        if (!find(quilt.fabrics, border.fabric)) border.fabric = {};
    expectDifferentIds(quilt.blocks, "blocks", highest);
    for (auto& block : quilt.blocks) {
        expectDifferentIds(block.pieces, "pieces of block " + block.name, highest);
        if (!find(quilt.fabrics, block.background)) block.background = {};
        if (!find(quilt.webs, block.web)) block.web = {};
        for (auto& piece : block.pieces) {
            if (!find(quilt.fabrics, piece.fabric)) piece.fabric = {};
            if (!find(quilt.threads, piece.thread)) piece.thread = {};
            if (!find(block.pieces, piece.liningOf)) piece.liningOf = {};
        }
        expectDifferentIds(block.lines, "lines of block " + block.name, highest);
        for (auto& line : block.lines) {
            if (!find(quilt.threads, line.thread)) line.thread = {};
            if (!find(block.pieces, line.on)) line.on = {};
        }
        std::erase_if(block.over, [&](const Over& o) {
            return !find(block.pieces, o.upper) || !find(block.pieces, o.lower);
        });
        for (auto& press : block.pressed)
            std::erase_if(press.pieces, [&](PieceId id) { return !find(block.pieces, id); });
        std::erase_if(block.pressed, [](const Pressed& press) { return press.pieces.empty(); });
        std::erase_if(block.onCloth, [&](const OnCloth& o) { return !find(quilt.cloths, o.cloth); });
        for (auto& strip : block.ground.strips) {
            if (strip.patches.empty())
                throw Damaged{"ground of block " + block.name, "at least one patch in each strip"};
            for (auto& patch : strip.patches)
                if (!find(quilt.fabrics, patch.fabric)) patch.fabric = {};
        }
    }
    quilt.nextId = std::max(quilt.nextId, highest + 1);
}

Quilt quiltFrom(const Node& node) {
    Quilt quilt;
    node.know("format");
    node.know("version");
    fromJson(node, {}, quilt);
    settle(quilt);
    return quilt;
}

} // namespace

Result<Quilt> readQuilt(const std::string& text, const std::string& file) {
    auto json = parseJson(text, file);
    if (!json) return tl::unexpected(json.error());
    if (auto ok = expectFormat(*json, file, "upstairs-quilt", quiltVersion); !ok)
        return tl::unexpected(ok.error());
    migrateQuilt(*json);
    try {
        return quiltFrom(Node(*json, ""));
    } catch (const Damaged& damage) {
        return failure(Code::damaged,
                       {file, damage.place.empty() ? "the top" : damage.place, damage.expected});
    }
}

Result<Quilt> loadQuilt(const std::string& path) {
    return readFile(path).and_then([&](const std::string& text) { return readQuilt(text, path); });
}

} // namespace up::store
