// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/pattern.hpp"
#include "core/store/json.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/time.hpp"

#include <algorithm>
#include <array>

namespace up::store {
namespace {

using namespace quilt;

constexpr std::int64_t mostId = 0xFFFFFFFF;

template<class I> I idFrom(const Node& node, const char* key, std::int64_t least = 1) {
    return I{static_cast<std::uint32_t>(node.at(key).whole(least, mostId))};
}

Length lengthFrom(const Node& node, double least, double most) {
    return Length::ofMm(node.number(least, most));
}

Colour colourFrom(const Node& node) {
    const auto colour = colourFromHex(node.text());
    if (!colour) node.complain("a colour such as #27496d");
    return *colour;
}

/// One of those words, by its place among them.
template<class Word, std::size_t n>
Word wordFrom(const Node& node, const std::array<std::string_view, n>& keys, const char* expected) {
    const auto at = std::find(keys.begin(), keys.end(), node.text());
    if (at == keys.end()) node.complain(expected);
    return static_cast<Word>(at - keys.begin());
}

Thread threadFrom(const Node& node) {
    Thread out{idFrom<ThreadId>(node, "id"), node.at("name").text(), colourFrom(node.at("colour")), ""};
    out.extra = node.rest();
    return out;
}

Fabric fabricFrom(const Node& node) {
    Fabric out{};
    out.id = idFrom<FabricId>(node, "id");
    out.name = node.at("name").text();
    out.colour = colourFrom(node.at("colour"));
    if (node.has("print"))
        out.print = wordFrom<Print>(node.at("print"), printKeys, "plain, striped or oneWay");
    if (node.has("opacity")) out.opacity = node.at("opacity").number(0, 1);
    if (node.has("stripesWithin")) out.tolerance = Angle::ofDegrees(node.at("stripesWithin").number(0, 45));
    out.extra = node.rest();
    return out;
}

Pressing pressingFrom(const Node& node) {
    return {node.at("seconds").number(0, 3600), node.at("steam").yes(), node.at("heat").text()};
}

Web webFrom(const Node& node) {
    Web web{};
    web.id = idFrom<WebId>(node, "id");
    web.name = node.at("name").text();
    web.papers = static_cast<int>(node.at("papers").whole(1, 2));
    web.width = lengthFrom(node.at("width"), 1, 10'000);
    web.length = lengthFrom(node.at("length"), 1, 100'000);
    web.sheets = static_cast<int>(node.at("sheets").whole(0, 10'000));
    web.first = pressingFrom(node.at("first"));
    web.final = pressingFrom(node.at("final"));
    web.extra = node.rest();
    return web;
}

shape::Rings rawRings(const Node& node) {
    shape::Rings out;
    for (const auto& ring : node.items()) {
        out.emplace_back();
        for (const auto& point : ring.items()) {
            const auto at = point.items();
            if (at.size() != 2) point.complain("two numbers");
            out.back().push_back({at[0].number(-1e5, 1e5), at[1].number(-1e5, 1e5)});
        }
        if (out.back().size() < 3) ring.complain("at least three points");
    }
    return out;
}

OffCut offCutFrom(const Node& node) {
    OffCut out{};
    out.id = idFrom<OffCutId>(node, "id");
    out.web = idFrom<WebId>(node, "web", 0);
    out.outline = rawRings(node.at("outline"));
    if (out.outline.empty()) node.at("outline").complain("at least one ring");
    if (node.has("from")) out.from = node.at("from").text();
    out.extra = node.rest();
    return out;
}

std::vector<shape::Contour> contoursFrom(const Node& node, bool closed) {
    std::vector<shape::Contour> out;
    for (const auto& item : node.items())
        out.push_back(contourFrom(item, closed));
    return out;
}

/// A recipe of a kind that this version does not know stays among the keys it does not know.
bool knowsRecipe(const Json& piece) {
    const auto recipe = piece.find("recipe");
    if (recipe == piece.end() || !recipe->is_object() || !recipe->contains("kind")) return false;
    const auto& kind = (*recipe)["kind"];
    return !kind.is_string() ||
           std::find(recipeKeys.begin(), recipeKeys.end(), kind.get<std::string>()) != recipeKeys.end();
}

Recipe recipeFrom(const Node& node) {
    const auto known = std::find(recipeKeys.begin(), recipeKeys.end(), node.at("kind").text());
    if (known == recipeKeys.end()) node.at("kind").complain("the kind of a built-in shape");
    auto recipe = pattern::usualRecipe(static_cast<RecipeKind>(known - recipeKeys.begin()));
    const auto measures = pattern::measuresOf(recipe.kind);
    const auto given = node.at("measures");
    for (std::size_t i = 0; i < measures.size(); ++i)
        if (const std::string key(measures[i].key); given.has(key.c_str()))
            recipe.measures[i] = given.at(key.c_str()).number();
    if (recipe.kind == RecipeKind::letter) {
        const auto letter = node.at("letter");
        recipe.text = letter.at("text").text(), recipe.family = letter.at("family").text();
        recipe.bold = letter.at("bold").yes(), recipe.italic = letter.at("italic").yes();
    }
    if (recipe.kind == RecipeKind::line) recipe.line = contourFrom(node.at("line"), false);
    const auto at = node.at("at").items();
    if (at.size() != 6) node.at("at").complain("six numbers");
    recipe.at = {at[0].number(), at[1].number(), at[2].number(),
                 at[3].number(), at[4].number(), at[5].number()};
    return recipe;
}

Piece pieceFrom(const Node& node) {
    Piece piece{};
    piece.id = idFrom<PieceId>(node, "id");
    piece.name = node.at("name").text();
    piece.fabric = idFrom<FabricId>(node, "fabric", 0);
    piece.thread = idFrom<ThreadId>(node, "thread", 0);
    piece.runsOff = node.at("runsOff").yes();
    const auto place = node.at("place");
    piece.place = {lengthFrom(place.at("right"), -1e5, 1e5), lengthFrom(place.at("down"), -1e5, 1e5),
                   Angle::ofDegrees(place.at("turn").number(-360, 360))};
    const auto step = node.at("step");
    const auto known = stepFromKey(step.text());
    if (!known) step.complain("a step such as roughCut");
    piece.work = {*known, node.at("marksDrawn").yes(), static_cast<int>(node.at("remade").whole(0, 100'000))};
    piece.outline =
        shape::Outline{contourFrom(node.at("outline"), true), contoursFrom(node.at("holes"), true)};
    if (piece.outline->edge.curves.empty()) node.at("outline").complain("a closed outline");
    piece.marks = contoursFrom(node.at("marks"), false);
    if (node.has("dotted")) piece.dotted = contoursFrom(node.at("dotted"), false);
    if (knowsRecipe(node.raw())) piece.recipe = recipeFrom(node.at("recipe"));
    if (node.has("grain")) piece.grain = Angle::ofDegrees(node.at("grain").number(-360, 360));
    if (node.has("mayHaveWindow")) piece.mayHaveWindow = node.at("mayHaveWindow").yes();
    if (node.has("liningOf")) piece.liningOf = idFrom<PieceId>(node, "liningOf", 0);
    if (node.has("shine"))
        piece.shine = wordFrom<Shine>(node.at("shine"), shineKeys, "ask, cutAway or accepted");
    if (node.has("unit")) piece.unit = static_cast<int>(node.at("unit").whole(0, 100'000));
    if (node.has("locked")) piece.locked = node.at("locked").yes();
    if (node.has("counted")) piece.counted = node.at("counted").yes();
    piece.extra = node.rest();
    return piece;
}

Layout layoutFrom(const Node& node) {
    Layout layout{idFrom<WebId>(node, "web"), {}, {}, {}, {}};
    for (const auto& t : node.at("traced").items())
        layout.traced.push_back(
            {idFrom<PieceId>(t, "piece"), static_cast<int>(t.at("sheet").whole(0, 10'000)),
             static_cast<int>(t.at("chunk").whole(0, 100'000)), t.at("x").number(-1e5, 1e5),
             t.at("y").number(-1e5, 1e5), Angle::ofDegrees(t.at("turn").number(-360, 360)),
             t.has("pinned") && t.at("pinned").yes(), t.has("window") && t.at("window").yes()});
    if (node.has("sheets"))
        for (const auto& s : node.at("sheets").items())
            layout.sheets.push_back({s.has("offCut") ? idFrom<OffCutId>(s, "offCut", 0) : OffCutId{},
                                     s.has("outline") ? rawRings(s.at("outline")) : shape::Rings{},
                                     s.at("putAway").yes()});
    if (node.has("strips"))
        for (const auto& s : node.at("strips").items())
            layout.strips.push_back({static_cast<int>(s.at("chunk").whole(0, 100'000)),
                                     lengthFrom(s.at("height"), 0.1, 10'000),
                                     static_cast<int>(s.at("count").whole(1, 10'000))});
    for (const auto& u : node.at("unplaced").items())
        layout.unplaced.push_back({idFrom<PieceId>(u, "piece"), u.at("reason").text()});
    return layout;
}

/// Files before the edge stitch was kept have none: the usual one.
quilt::EdgeStitch edgeFrom(const Node& node) {
    return {wordFrom<StitchKind>(node.at("stitch"), stitchKeys, "satin, zigzag, blanket or straight"),
            lengthFrom(node.at("width"), 0.1, 25.4)};
}

Reading readingFrom(const Node& node) {
    const auto name = node.text();
    if (name != "asSeen" && name != "mirrored") node.complain("asSeen or mirrored");
    return name == "asSeen" ? Reading::asSeen : Reading::mirrored;
}

Ground groundFrom(const Node& node) {
    Ground ground;
    ground.oversize = lengthFrom(node.at("oversize"), 0, 1000);
    const auto creases = node.at("creases");
    ground.halves = creases.at("halves").yes();
    ground.diagonals = creases.at("diagonals").yes();
    ground.quarters = creases.at("quarters").yes();
    if (node.has("grain")) ground.grain = Angle::ofDegrees(node.at("grain").number(-360, 360));
    if (!node.has("strips")) return ground;
    ground.rows = node.at("rows").yes();
    for (const auto& strip : node.at("strips").items()) {
        ground.strips.push_back({lengthFrom(strip.at("cut"), 1, 10'000), {}});
        for (const auto& patch : strip.at("patches").items())
            ground.strips.back().patches.push_back(
                {idFrom<FabricId>(patch, "fabric", 0), lengthFrom(patch.at("cut"), 1, 10'000)});
        if (ground.strips.back().patches.empty()) strip.at("patches").complain("at least one patch");
    }
    return ground;
}

Block blockFrom(const Node& node) {
    Block block{};
    block.id = idFrom<BlockId>(node, "id");
    block.name = node.at("name").text();
    block.width = lengthFrom(node.at("width"), 1, 10'000);
    block.height = lengthFrom(node.at("height"), 1, 10'000);
    block.background = idFrom<FabricId>(node, "background", 0);
    block.web = idFrom<WebId>(node, "web", 0);
    block.givenReversed = node.at("givenReversed").yes();
    block.trimmed = node.at("trimmed").yes();
    if (node.has("letters")) block.letters = readingFrom(node.at("letters"));
    if (node.has("edge")) block.edge = edgeFrom(node.at("edge"));
    for (const auto& p : node.at("pieces").items())
        block.pieces.push_back(pieceFrom(p));
    if (node.has("layout")) block.layout.push_back(layoutFrom(node.at("layout")));
    if (node.has("school"))
        block.school =
            wordFrom<School>(node.at("school"), schoolKeys, "oneByOne, byFabric, windowed or strip");
    if (node.has("ground")) block.ground = groundFrom(node.at("ground"));
    if (node.has("over"))
        for (const auto& o : node.at("over").items())
            block.over.push_back({idFrom<PieceId>(o, "upper"), idFrom<PieceId>(o, "lower")});
    if (node.has("underlap")) block.underlap = lengthFrom(node.at("underlap"), 0.1, 100);
    block.extra = node.rest();
    return block;
}

LogEntry entryFrom(const Node& node) {
    LogEntry entry{};
    const auto time = readTime(node.at("time").text());
    if (!time) node.at("time").complain("a time such as 2026-03-01T19:30:00Z");
    entry.time = *time;
    entry.block = idFrom<BlockId>(node, "block", 0);
    if (node.has("piece")) entry.piece = idFrom<PieceId>(node, "piece", 0);
    entry.what = node.at("what").text();
    if (node.has("note")) entry.note = node.at("note").text();
    return entry;
}

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
        std::erase_if(block.over, [&](const Over& o) {
            return !find(block.pieces, o.upper) || !find(block.pieces, o.lower);
        });
        for (auto& strip : block.ground.strips)
            for (auto& patch : strip.patches)
                if (!find(quilt.fabrics, patch.fabric)) patch.fabric = {};
    }
    quilt.nextId = std::max(quilt.nextId, highest + 1);
}

Quilt quiltFrom(const Node& node) {
    Quilt quilt;
    node.know("format");
    node.know("version");
    quilt.name = node.at("name").text();
    const auto units = node.at("units").text();
    if (units != "inches" && units != "metric") node.at("units").complain("inches or metric");
    quilt.units = units == "metric" ? measure::System::metric : measure::System::inches;
    quilt.columns = static_cast<int>(node.at("columns").whole(1, 1000));
    quilt.sashing = lengthFrom(node.at("sashing"), 0, 10'000);
    quilt.nextId = static_cast<std::uint32_t>(node.at("nextId").whole(1, mostId));
    for (const auto& f : node.at("fabrics").items())
        quilt.fabrics.push_back(fabricFrom(f));
    for (const auto& t : node.at("threads").items())
        quilt.threads.push_back(threadFrom(t));
    for (const auto& w : node.at("webs").items())
        quilt.webs.push_back(webFrom(w));
    if (node.has("offCuts"))
        for (const auto& o : node.at("offCuts").items())
            quilt.offCuts.push_back(offCutFrom(o));
    if (node.has("leastOffCut")) quilt.leastOffCut = lengthFrom(node.at("leastOffCut"), 1, 1000);
    for (const auto& b : node.at("blocks").items())
        quilt.blocks.push_back(blockFrom(b));
    std::vector<LogEntry> log;
    for (const auto& e : node.at("log").items())
        log.push_back(entryFrom(e));
    quilt.log = std::move(log);
    quilt.extra = node.rest();
    settle(quilt);
    return quilt;
}

} // namespace

Result<Quilt> readQuilt(const std::string& text, const std::string& file) {
    auto json = parseJson(text, file);
    if (!json) return tl::unexpected(json.error());
    if (auto ok = expectFormat(*json, file, "upstairs-quilt", quiltVersion); !ok)
        return tl::unexpected(ok.error());
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
