// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/trace_plan.hpp"

#include "core/layout/clumps.hpp"
#include "core/plan/trace/remains.hpp"
#include "core/plan/trace/web_left.hpp"
#include "core/plan/trace/windows.hpp"
#include "core/shape/parting.hpp"

#include <algorithm>
#include <map>

namespace up::plan {
namespace {

using quilt::Block;
using quilt::Layout;
using quilt::Traced;
using shape::Region;

const Traced* tracedOf(const Layout& layout, PieceId piece) {
    const auto it = std::find_if(layout.traced.begin(), layout.traced.end(),
                                 [&](const Traced& t) { return t.piece == piece; });
    return it == layout.traced.end() ? nullptr : &*it;
}

bool isUnplaced(const Layout& layout, PieceId piece) {
    return std::any_of(layout.unplaced.begin(), layout.unplaced.end(),
                       [&](const auto& u) { return u.piece == piece; });
}

SheetUse sheetUse(const quilt::Quilt& quilt, const Block& block, const Layout& layout, int number) {
    SheetUse out;
    out.number = number;
    out.from = sheetOf(layout, number);
    out.used = usedLength(block, layout, number);
    const auto* web = find(quilt.webs, layout.web);
    if (!out.from.outline.empty()) {
        out.area = {out.from.outline};
    } else if (web) {
        out.roll = web->roll() != nullptr;
        out.area = shape::rectangle({0, 0, web->width.mm(), out.roll ? out.used.mm() : web->length().mm()});
    }
    return out;
}

/// A chunk's rough cut and windows, once all its pieces are known. Gaps narrower than two margins close by
/// themselves, since the margins on both sides meet.
void cutOut(Chunk& chunk, const std::vector<Region>& shapes, const Layout& layout) {
    const double margin = roughCutMargin.mm();
    constexpr double sag = 0.1; // mm
    chunk.roughCut = layout::withoutHoles(shape::offset(shape::unite(shapes), margin, sag));
    chunk.clipped = false;
    chunk.patch = press::patchFor(chunk.roughCut);
    for (std::size_t i = 0; i < chunk.pieces.size(); ++i)
        if (const auto* traced = tracedOf(layout, chunk.pieces[i]); traced && traced->window)
            if (auto window = windowIn(shapes[i]); !window.isEmpty())
                chunk.windows.emplace_back(chunk.pieces[i], std::move(window));
}

const Chunk* sameChunk(const TracePlan& before, const Chunk& chunk) {
    for (const auto& old : before.chunks)
        if (old.made == chunk.made && !old.clipped) return &old;
    return nullptr;
}

/// What is on the sheet, chunk by chunk.
std::vector<const Chunk*> chunksOn(const TracePlan& plan, int sheet) {
    std::vector<const Chunk*> out;
    for (const auto& chunk : plan.chunks)
        if (chunk.sheet == sheet) out.push_back(&chunk);
    std::sort(out.begin(), out.end(), [](const Chunk* a, const Chunk* b) { return a->number < b->number; });
    return out;
}

/// The sheet in the plan before, when it is the same and all that lies on it as well.
const SheetUse* sameSheet(const TracePlan& before, const TracePlan& plan, const SheetUse& sheet) {
    for (const auto& old : before.sheets) {
        if (old.number != sheet.number || old.area != sheet.area || old.least != sheet.least) continue;
        const auto was = chunksOn(before, sheet.number), now = chunksOn(plan, sheet.number);
        if (std::equal(was.begin(), was.end(), now.begin(), now.end(),
                       [](const Chunk* a, const Chunk* b) { return a->made == b->made; }))
            return &old;
    }
    return nullptr;
}

/// Two so close to each other that their rough cuts meet are parted halfway.
void partMeeting(std::pair<Chunk, std::vector<Region>>& one, std::pair<Chunk, std::vector<Region>>& other) {
    constexpr double dust = 1; // mm²
    auto &a = one.first, &b = other.first;
    if (a.sheet != b.sheet || !a.roughCut.bounds().meets(b.roughCut.bounds()) ||
        shape::intersect(a.roughCut, b.roughCut).area() < dust)
        return;
    shape::part(a.roughCut, b.roughCut, one.second, other.second);
    for (auto* chunk : {&a, &b}) {
        chunk->clipped = true;
        chunk->patch = press::patchFor(chunk->roughCut);
    }
}

double perimeterOf(const Region& region) {
    double out = 0;
    for (const auto& ring : region.rings)
        out += shape::perimeter(ring);
    return out;
}

} // namespace

TracePlan planTrace(const quilt::Quilt& quilt, const Block& block, const Layout& layout,
                    const TracePlan* before) {
    TracePlan plan;
    std::map<int, std::pair<Chunk, std::vector<Region>>> chunks;
    for (const auto& piece : block.pieces) {
        const auto* traced = tracedOf(layout, piece.id);
        if (!traced) {
            plan.stale = plan.stale || (!piece.isOffWeb() && !isUnplaced(layout, piece.id));
            continue;
        }
        plan.lines.emplace_back(piece.id, transformed(quilt::reversed(piece), quilt::onSheet(*traced)));
        auto& [chunk, shapes] = chunks[traced->chunk];
        chunk.fabric = piece.fabric, chunk.number = traced->chunk, chunk.sheet = traced->sheet;
        chunk.pieces.push_back(piece.id);
        chunk.made.emplace_back(*traced, piece.outline);
        shapes.push_back(shape::regionOf(plan.lines.back().second));
    }
    for (auto& [number, entry] : chunks) {
        auto& [chunk, shapes] = entry;
        if (const auto* same = before ? sameChunk(*before, chunk) : nullptr)
            chunk.roughCut = same->roughCut, chunk.windows = same->windows, chunk.patch = same->patch;
        else
            cutOut(chunk, shapes, layout);
    }
    for (auto one = chunks.begin(); one != chunks.end(); ++one)
        for (auto other = std::next(one); other != chunks.end(); ++other)
            partMeeting(one->second, other->second);
    std::map<int, SheetUse> sheets;
    for (auto& [number, entry] : chunks) {
        auto& chunk = entry.first;
        for (const auto& strip : layout.strips)
            if (strip.chunk == chunk.number) chunk.strip = strip;
        if (!sheets.contains(chunk.sheet)) sheets[chunk.sheet] = sheetUse(quilt, block, layout, chunk.sheet);
        auto& taken = sheets[chunk.sheet].taken;
        taken += chunk.roughCut.area();
        for (const auto& [piece, window] : chunk.windows)
            taken -= window.area();
        plan.chunks.push_back(std::move(chunk));
    }
    for (auto& [number, use] : sheets) {
        use.least = quilt.leastOffCut;
        const auto* same = before ? sameSheet(*before, plan, use) : nullptr;
        use.offCuts = same ? same->offCuts : offCutsOf(plan, use, use.least);
        plan.sheets.push_back(std::move(use));
    }
    std::stable_sort(plan.chunks.begin(), plan.chunks.end(),
                     [](const Chunk& a, const Chunk& b) { return a.fabric < b.fabric; });
    return plan;
}

std::pair<Chunk, Chunk> inTwo(const TracePlan& plan, const Layout& layout, const Chunk& chunk,
                              const std::vector<std::size_t>& away, int number) {
    std::pair<Chunk, std::vector<Region>> stays, goes;
    for (std::size_t i = 0; i < chunk.pieces.size(); ++i) {
        const bool isAway = std::find(away.begin(), away.end(), i) != away.end();
        auto& [part, shapes] = isAway ? goes : stays;
        part.fabric = chunk.fabric, part.sheet = chunk.sheet;
        part.number = isAway ? number : chunk.number;
        part.pieces.push_back(chunk.pieces[i]);
        part.made.push_back(chunk.made[i]);
        for (const auto& [piece, line] : plan.lines)
            if (piece == chunk.pieces[i]) shapes.push_back(shape::regionOf(line));
    }
    cutOut(stays.first, stays.second, layout);
    cutOut(goes.first, goes.second, layout);
    partMeeting(stays, goes);
    return {std::move(stays.first), std::move(goes.first)};
}

TracePlan planTrace(const quilt::Quilt& quilt, const Block& block) {
    return block.layout ? planTrace(quilt, block, *block.layout) : TracePlan{};
}

TraceCost costOf(const TracePlan& plan, const Layout& layout) {
    TraceCost out;
    for (const auto& use : plan.sheets) {
        if (use.from.offCut)
            ++out.offCuts;
        else if (use.roll)
            out.roll = out.roll + use.used;
        else
            ++out.sheets;
    }
    double cuts = 0;
    for (const auto& chunk : plan.chunks) {
        out.chunks += 1 + static_cast<int>(chunk.windows.size());
        cuts += perimeterOf(chunk.roughCut);
        for (const auto& [piece, window] : chunk.windows)
            cuts += perimeterOf(window);
    }
    out.cuts = measure::Length::ofMm(cuts);
    out.unplaced = static_cast<int>(layout.unplaced.size());
    return out;
}

} // namespace up::plan
