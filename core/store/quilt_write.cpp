// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/pattern.hpp"
#include "core/store/json.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/time.hpp"

namespace up::store {
namespace {

using namespace quilt;

void addExtra(Json& out, const Extra& extra) {
    if (extra.empty()) return;
    const Json more = Json::parse(extra);
    for (const auto& [key, value] : more.items())
        out[key] = value;
}

Json thread(const Thread& t) {
    Json out{{"id", t.id.value}, {"name", t.name}, {"colour", hex(t.colour)}};
    addExtra(out, t.extra);
    return out;
}

Json fabric(const Fabric& f) {
    Json out{{"id", f.id.value}, {"name", f.name}, {"colour", hex(f.colour)}};
    if (f.print != Print::plain) {
        out["print"] = printKeys[static_cast<std::size_t>(f.print)];
        out["stripesWithin"] = f.tolerance.degrees();
    }
    if (f.opacity != usualOpacity) out["opacity"] = f.opacity;
    addExtra(out, f.extra);
    return out;
}

Json rings(const shape::Rings& all) {
    Json out = Json::array();
    for (const auto& ring : all) {
        Json points = Json::array();
        for (const auto& p : ring)
            points.push_back({p.x, p.y});
        out.push_back(std::move(points));
    }
    return out;
}

Json offCut(const OffCut& o) {
    Json out{{"id", o.id.value}, {"web", o.web.value}, {"outline", rings(o.outline)}};
    if (!o.from.empty()) out["from"] = o.from;
    addExtra(out, o.extra);
    return out;
}

Json pressing(const Pressing& p) {
    return {{"seconds", p.seconds}, {"steam", p.steam}, {"heat", p.heat}};
}

Json web(const Web& w) {
    Json out{{"id", w.id.value},           {"name", w.name},
             {"papers", w.papers},         {"width", w.width.mm()},
             {"length", w.length.mm()},    {"sheets", w.sheets},
             {"first", pressing(w.first)}, {"final", pressing(w.final)}};
    addExtra(out, w.extra);
    return out;
}

Json contours(const std::vector<shape::Contour>& all) {
    Json out = Json::array();
    for (const auto& contour : all)
        out.push_back(contourToJson(contour));
    return out;
}

/// Measures by name: those that a kind gets later do not shift the others.
Json recipe(const Recipe& r) {
    Json out{{"kind", recipeKeys[static_cast<std::size_t>(r.kind)]}, {"measures", Json::object()}};
    const auto measures = pattern::measuresOf(r.kind);
    for (std::size_t i = 0; i < measures.size() && i < r.measures.size(); ++i)
        out["measures"][std::string(measures[i].key)] = r.measures[i];
    if (r.kind == RecipeKind::letter)
        out["letter"] = {{"text", r.text}, {"family", r.family}, {"bold", r.bold}, {"italic", r.italic}};
    if (r.kind == RecipeKind::line) out["line"] = contourToJson(r.line);
    out["at"] = Json::array({r.at.a, r.at.b, r.at.c, r.at.d, r.at.e, r.at.f});
    return out;
}

Json piece(const Piece& p) {
    Json out{{"id", p.id.value},
             {"name", p.name},
             {"fabric", p.fabric.value},
             {"thread", p.thread.value},
             {"runsOff", p.runsOff},
             {"place",
              {{"right", p.place.right.mm()}, {"down", p.place.down.mm()}, {"turn", p.place.turn.degrees()}}},
             {"step", std::string(keyOf(p.work.step))},
             {"marksDrawn", p.work.marksDrawn},
             {"remade", p.work.remade},
             {"outline", contourToJson(p.outline->edge)},
             {"holes", contours(p.outline->holes)},
             {"marks", contours(*p.marks)}};
    if (!p.dotted->empty()) out["dotted"] = contours(*p.dotted);
    if (p.recipe) out["recipe"] = recipe(*p.recipe);
    if (p.grain) out["grain"] = p.grain->degrees();
    if (!p.mayHaveWindow) out["mayHaveWindow"] = false;
    if (p.liningOf) out["liningOf"] = p.liningOf.value;
    if (p.shine != Shine::ask) out["shine"] = shineKeys[static_cast<std::size_t>(p.shine)];
    if (p.unit != 0) out["unit"] = p.unit;
    if (p.locked) out["locked"] = true;
    if (p.counted) out["counted"] = true;
    addExtra(out, p.extra);
    return out;
}

Json layout(const Layout& l) {
    Json out{{"web", l.web.value}, {"traced", Json::array()}, {"unplaced", Json::array()}};
    for (const auto& t : l.traced) {
        out["traced"].push_back({{"piece", t.piece.value},
                                 {"sheet", t.sheet},
                                 {"chunk", t.chunk},
                                 {"x", t.x},
                                 {"y", t.y},
                                 {"turn", t.turn.degrees()}});
        if (t.pinned) out["traced"].back()["pinned"] = true;
        if (t.window) out["traced"].back()["window"] = true;
    }
    for (const auto& u : l.unplaced)
        out["unplaced"].push_back({{"piece", u.piece.value}, {"reason", u.reason}});
    for (const auto& s : l.sheets) {
        Json sheet{{"putAway", s.putAway}};
        if (s.offCut) sheet["offCut"] = s.offCut.value;
        if (!s.outline.empty()) sheet["outline"] = rings(s.outline);
        out["sheets"].push_back(std::move(sheet));
    }
    for (const auto& s : l.strips)
        out["strips"].push_back({{"chunk", s.chunk}, {"height", s.height.mm()}, {"count", s.count}});
    return out;
}

Json ground(const Ground& g) {
    Json out{{"oversize", g.oversize.mm()},
             {"creases", {{"halves", g.halves}, {"diagonals", g.diagonals}, {"quarters", g.quarters}}}};
    if (g.grain) out["grain"] = g.grain->degrees();
    if (g.strips.empty()) return out;
    out["rows"] = g.rows;
    for (const auto& strip : g.strips) {
        Json patches = Json::array();
        for (const auto& patch : strip.patches)
            patches.push_back({{"fabric", patch.fabric.value}, {"cut", patch.cut.mm()}});
        out["strips"].push_back({{"cut", strip.cut.mm()}, {"patches", std::move(patches)}});
    }
    return out;
}

Json block(const Block& b) {
    Json out{{"id", b.id.value},
             {"name", b.name},
             {"width", b.width.mm()},
             {"height", b.height.mm()},
             {"background", b.background.value},
             {"web", b.web.value},
             {"givenReversed", b.givenReversed},
             {"trimmed", b.trimmed},
             {"edge",
              {{"stitch", stitchKeys[static_cast<std::size_t>(b.edge.kind)]}, {"width", b.edge.width.mm()}}},
             {"pieces", Json::array()}};
    for (const auto& p : b.pieces)
        out["pieces"].push_back(piece(p));
    if (b.letters != Reading::unknown) out["letters"] = b.letters == Reading::asSeen ? "asSeen" : "mirrored";
    if (!b.layout.empty()) out["layout"] = layout(b.layout.front());
    if (b.school != School::byFabric) out["school"] = schoolKeys[static_cast<std::size_t>(b.school)];
    if (b.ground != Ground{}) out["ground"] = ground(b.ground);
    for (const auto& o : b.over)
        out["over"].push_back({{"upper", o.upper.value}, {"lower", o.lower.value}});
    if (b.underlap != Block{}.underlap) out["underlap"] = b.underlap.mm();
    addExtra(out, b.extra);
    return out;
}

Json entry(const LogEntry& e) {
    Json out{{"time", writeTime(e.time)}, {"block", e.block.value}};
    if (e.piece) out["piece"] = e.piece.value;
    out["what"] = e.what;
    if (!e.note.empty()) out["note"] = e.note;
    return out;
}

} // namespace

std::string writeQuilt(const Quilt& q) {
    Json out{{"format", "upstairs-quilt"},
             {"version", quiltVersion},
             {"name", q.name},
             {"units", q.units == measure::System::inches ? "inches" : "metric"},
             {"columns", q.columns},
             {"sashing", q.sashing.mm()},
             {"nextId", q.nextId}};
    for (const char* list : {"fabrics", "threads", "webs", "blocks", "log"})
        out[list] = Json::array();
    for (const auto& f : q.fabrics)
        out["fabrics"].push_back(fabric(f));
    for (const auto& t : q.threads)
        out["threads"].push_back(thread(t));
    for (const auto& w : q.webs)
        out["webs"].push_back(web(w));
    for (const auto& o : q.offCuts)
        out["offCuts"].push_back(offCut(o));
    if (q.leastOffCut != Quilt{}.leastOffCut) out["leastOffCut"] = q.leastOffCut.mm();
    for (const auto& b : q.blocks)
        out["blocks"].push_back(block(b));
    for (const auto& e : *q.log)
        out["log"].push_back(entry(e));
    addExtra(out, q.extra);
    return dumpReadably(out);
}

Result<void> saveQuilt(const std::string& path, const Quilt& quilt, const WriteCall& write) {
    return writeFile(path, writeQuilt(quilt), write);
}

} // namespace up::store
