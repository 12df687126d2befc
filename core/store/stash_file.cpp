// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/stash_file.hpp"

#include "core/quilt/cloth_shape.hpp"
#include "core/store/codec.hpp"

namespace up::store {
namespace {

using quilt::Stash;
using quilt::StashCloth;
using quilt::StashOffCut;

void writeOutline(const shape::Rings& rings, Json& out) {
    for (std::size_t i = 0; i < rings.size(); ++i)
        if (i == 0)
            out["outline"] = ringToJson(rings[i]);
        else
            out["holes"].push_back(ringToJson(rings[i]));
}

void addUnknown(const quilt::Extra& extra, Json& out) {
    if (extra.empty()) return;
    const Json more = Json::parse(extra);
    for (const auto& [key, value] : more.items())
        out[key] = value;
}

Json write(const StashCloth& cloth) {
    Json out{{"key", cloth.key},
             {"cloth", cloth.name},
             {"fabric", cloth.fabric},
             {"colour", toJson(cloth.colour)},
             {"print", toJson(cloth.print)},
             {"alike", cloth.alike},
             {"outline", Json::array()},
             {"holes", Json::array()},
             {"stripes", cloth.stripes ? Json(cloth.stripes->degrees()) : Json(nullptr)},
             {"scrap", cloth.scrap},
             {"washed", cloth.washed},
             {"from", cloth.from},
             {"heldFor", cloth.heldFor}};
    if (!cloth.swatch->picture.empty()) out["swatch"] = toJson(cloth.swatch);
    writeOutline(cloth.outline, out);
    addUnknown(cloth.extra, out);
    return out;
}

Json write(const StashOffCut& offCut) {
    Json out{{"key", offCut.key},
             {"web", offCut.web},
             {"outline", Json::array()},
             {"holes", Json::array()},
             {"from", offCut.from}};
    writeOutline(offCut.outline, out);
    addUnknown(offCut.extra, out);
    return out;
}

/// As in a quilt's file, without the id, which is each quilt's own.
template<class Thing> Json write(const Thing& thing) {
    Json out = toJson(thing);
    out.erase("id");
    return out;
}

template<class T> void readIf(const Node& node, const char* key, T& out) {
    if (node.has(key) && !node.at(key).raw().is_null()) fromJson(node.at(key), {}, out);
}

Result<void> readOutline(const Node& node, const std::string& name, shape::Rings& out) {
    auto area = quilt::clothShape(ringsFrom(node), name);
    if (!area) return tl::unexpected(area.error());
    out = std::move(area->rings);
    return {};
}

Result<void> read(const Node& node, StashCloth& out) {
    out.name = node.at("cloth").text();
    out.key = out.name;
    readIf(node, "key", out.key);
    out.fabric = node.at("fabric").text();
    readIf(node, "colour", out.colour);
    readIf(node, "print", out.print);
    readIf(node, "alike", out.alike);
    if (auto ok = readOutline(node, out.name, out.outline); !ok) return ok;
    readIf(node, "swatch", out.swatch);
    node.know("stripes");
    if (node.has("stripes") && !node.at("stripes").raw().is_null())
        fromJson(node.at("stripes"), {-360, 360}, out.stripes.emplace());
    readIf(node, "scrap", out.scrap);
    readIf(node, "washed", out.washed);
    readIf(node, "from", out.from);
    readIf(node, "heldFor", out.heldFor);
    out.extra = node.rest();
    return {};
}

Result<void> read(const Node& node, StashOffCut& out) {
    out.key = node.at("key").text();
    readIf(node, "web", out.web);
    readIf(node, "from", out.from);
    if (auto ok = readOutline(node, out.key, out.outline); !ok) return ok;
    out.extra = node.rest();
    return {};
}

/// Its id is each quilt's own and stands in no stash.
template<class Thing> Result<void> read(const Node& node, Thing& out) {
    if (!node.raw().is_object()) node.complain("an object");
    Json withId = node.raw();
    withId["id"] = 1;
    fromJson(Node(withId, node.place()), {}, out);
    out.id = {};
    if (out.key.empty()) out.key = out.name;
    if constexpr (std::is_same_v<Thing, quilt::Iron>)
        if (out.outline.size() != 1) node.complain("an outline of one ring");
    return {};
}

/// Under that key, if it is there: each once.
template<class Thing> Result<void> readList(const Node& node, const char* name, std::vector<Thing>& out) {
    if (!node.has(name)) return {};
    std::set<std::string> seen;
    for (const auto& item : node.at(name).items()) {
        if (auto ok = read(item, out.emplace_back()); !ok) return ok;
        if (!seen.insert(out.back().key).second)
            item.complain("each once, but \"" + out.back().key + "\" stands twice");
    }
    return {};
}

/// How files call them.
template<class See> void eachList(See&& see) {
    see("cloths", &Stash::cloths);
    see("webs", &Stash::webs);
    see("offCuts", &Stash::offCuts);
    see("threads", &Stash::threads);
    see("irons", &Stash::irons);
    see("supplies", &Stash::supplies);
}

} // namespace

std::string writeStash(const Stash& stash) {
    Json out{{"format", "upstairs-stash"}, {"version", stashVersion}};
    if (!stash.id.empty()) out["id"] = stash.id;
    out["cloths"] = Json::array();
    eachList([&](const char* name, auto list) {
        for (const auto& thing : stash.*list)
            out[name].push_back(write(thing));
    });
    addUnknown(stash.extra, out);
    return dumpReadably(out);
}

Result<Stash> readStash(const std::string& text, const std::string& file) {
    const auto json = parseJson(text, file);
    if (!json) return tl::unexpected(json.error());
    if (auto ok = expectFormat(*json, file, "upstairs-stash", stashVersion); !ok)
        return tl::unexpected(ok.error());
    try {
        const Node node(*json, "");
        node.know("format");
        node.know("version");
        Stash out;
        readIf(node, "id", out.id);
        (void)node.at("cloths");
        Result<void> ok;
        eachList([&](const char* name, auto list) {
            if (ok) ok = readList(node, name, out.*list);
        });
        if (!ok) return tl::unexpected(ok.error());
        out.extra = node.rest();
        return out;
    } catch (const Damaged& damage) {
        return failure(Code::damaged,
                       {file, damage.place.empty() ? "the top" : damage.place, damage.expected});
    }
}

} // namespace up::store
