// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/stash_file.hpp"

#include "core/quilt/cloth_shape.hpp"
#include "core/store/codec.hpp"

namespace up::store {
namespace {

using quilt::Stash;
using quilt::StashCloth;

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
    for (std::size_t i = 0; i < cloth.outline.size(); ++i)
        if (i == 0)
            out["outline"] = ringToJson(cloth.outline[i]);
        else
            out["holes"].push_back(ringToJson(cloth.outline[i]));
    if (cloth.extra.empty()) return out;
    const Json more = Json::parse(cloth.extra);
    for (const auto& [key, value] : more.items())
        out[key] = value;
    return out;
}

template<class T> void readIf(const Node& node, const char* key, T& out) {
    if (node.has(key) && !node.at(key).raw().is_null()) fromJson(node.at(key), {}, out);
}

Result<StashCloth> readCloth(const Node& node) {
    StashCloth out;
    out.name = node.at("cloth").text();
    out.key = out.name;
    readIf(node, "key", out.key);
    out.fabric = node.at("fabric").text();
    readIf(node, "colour", out.colour);
    readIf(node, "print", out.print);
    readIf(node, "alike", out.alike);
    const auto rings = ringsFrom(node);
    node.know("stripes");
    if (node.has("stripes") && !node.at("stripes").raw().is_null())
        fromJson(node.at("stripes"), {-360, 360}, out.stripes.emplace());
    readIf(node, "scrap", out.scrap);
    readIf(node, "washed", out.washed);
    readIf(node, "from", out.from);
    readIf(node, "heldFor", out.heldFor);
    out.extra = node.rest();
    auto area = quilt::clothShape(rings, out.name);
    if (!area) return tl::unexpected(area.error());
    out.outline = std::move(area->rings);
    return out;
}

} // namespace

std::string writeStash(const Stash& stash) {
    Json out{{"format", "upstairs-stash"}, {"version", stashVersion}};
    if (!stash.id.empty()) out["id"] = stash.id;
    out["cloths"] = Json::array();
    for (const auto& cloth : stash.cloths)
        out["cloths"].push_back(write(cloth));
    if (!stash.extra.empty()) {
        const Json more = Json::parse(stash.extra);
        for (const auto& [key, value] : more.items())
            out[key] = value;
    }
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
        std::set<std::string> seen;
        for (const auto& item : node.at("cloths").items()) {
            auto cloth = readCloth(item);
            if (!cloth) return tl::unexpected(cloth.error());
            if (!seen.insert(cloth->key).second)
                item.complain("each cloth once, but \"" + cloth->key + "\" stands twice");
            out.cloths.push_back(std::move(*cloth));
        }
        out.extra = node.rest();
        return out;
    } catch (const Damaged& damage) {
        return failure(Code::damaged,
                       {file, damage.place.empty() ? "the top" : damage.place, damage.expected});
    }
}

} // namespace up::store
