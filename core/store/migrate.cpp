// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/migrate.hpp"

#include "core/quilt/quilt.hpp"
#include "core/store/quilt_file.hpp"

namespace up::store {
namespace {

/// The items of a list below `owner`; none when it is no list.
template<class See> void eachIn(Json& owner, const char* key, See see) {
    if (!owner.is_object() || !owner.contains(key) || !owner[key].is_array()) return;
    for (auto& item : owner[key])
        if (item.is_object()) see(item);
}

/// A web was a roll when it had no sheets; it is a roll or a packet now, each with its own measure.
void stockOfWeb(Json& web) {
    if (!web.contains("sheets") || !web["sheets"].is_number_integer() || !web.contains("length")) return;
    const Json sheets = web["sheets"], length = web["length"];
    web.erase("sheets"), web.erase("length");
    if (sheets == 0)
        web["roll"] = {{"length", length}};
    else
        web["packet"] = {{"sheets", sheets}, {"length", length}};
}

/// Any text could stand for why a piece had no place; now it is one of two words.
void whyUnplaced(Json& unplaced) {
    if (unplaced.contains("reason") && unplaced["reason"].is_string() &&
        !fromKey<quilt::WhyNot>(unplaced["reason"].get<std::string>()))
        unplaced["reason"] = keyOf(quilt::WhyNot::webUsedUp);
}

/// Any text could stand for what was done; now it is one of a list, or a note that holds the text.
void whatWasDone(Json& entry) {
    if (!entry.contains("what") || !entry["what"].is_string()) return;
    const auto what = entry["what"].get<std::string>();
    if (fromKey<quilt::Event>(what)) return;
    const bool noted = entry.contains("note") && entry["note"].is_string();
    entry["what"] = keyOf(quilt::Event::note);
    entry["note"] = what + (noted ? ": " + entry["note"].get<std::string>() : "");
}

void from1To2(Json& quilt) {
    eachIn(quilt, "webs", stockOfWeb);
    eachIn(quilt, "log", whatWasDone);
    eachIn(quilt, "blocks", [](Json& block) {
        if (block.contains("layout") && block["layout"].is_object())
            eachIn(block["layout"], "unplaced", whyUnplaced);
    });
}

} // namespace

void migrateQuilt(Json& quilt) {
    using Step = void (*)(Json&);
    constexpr Step steps[] = {from1To2};
    static_assert(std::size(steps) + 1 == quiltVersion, "one step for each version before the newest");
    for (auto version = quilt["version"].get<std::int64_t>(); version < quiltVersion; ++version)
        steps[version - 1](quilt);
    quilt["version"] = quiltVersion;
}

} // namespace up::store
