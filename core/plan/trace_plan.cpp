// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace_plan.hpp"

#include "core/layout/nest.hpp"

#include <algorithm>
#include <map>
#include <tuple>

namespace up::plan {
namespace {

using quilt::Block;
using quilt::Layout;
using quilt::Piece;
using quilt::Traced;
using quilt::Web;
using shape::Region;
using shape::Transform;

/// Pieces already laid close together, which move as one on the sheet.
struct Clump {
    std::vector<const Piece*> pieces;
    std::vector<Transform> where; ///< of each reversed piece within the clump
    std::vector<double> turn;
    Region body; ///< all of it with gaps and holes closed, so that nothing else is laid in between
};

Region withoutHoles(const Region& region) {
    Region out;
    for (const auto& ring : region.rings)
        if (signedArea(ring) > 0) out.rings.push_back(ring);
    return out;
}

/// Covers everything nearer than twice `gap` to two pieces.
Region closedUp(const std::vector<Region>& pieces, double gap) {
    const Region all = shape::unite(pieces);
    return withoutHoles(shape::unite(all, shape::offset(shape::offset(all, gap), -gap)));
}

layout::Sheet sheetOf(const Web& web, double width) {
    return {std::to_string(web.id.value), width, web.length.mm(), web.sheets > 0 ? web.sheets : 1, {}};
}

/// The pieces of one fabric as clumps: nested on a strip `width` mm wide, then split where they lie far
/// apart.
std::vector<Clump> clumpsOf(const std::vector<const Piece*>& pieces, const Web& web, double width,
                            const TraceOptions& options, up::Job& control) {
    layout::NestJob job;
    job.spacing = scissorsWidth.mm();
    job.sheets = {sheetOf(web, width)};
    job.sheets.front().count = static_cast<int>(pieces.size());
    for (const auto* piece : pieces)
        job.parts.push_back(
            {std::to_string(piece->id.value), shape::regionOf(quilt::reversed(*piece)), 1, {}});
    // Fewer steps for many pieces: this comes on top of the time that was asked for.
    const int steps = std::clamp(600 / std::max(1, static_cast<int>(pieces.size())), 1, 30);
    const auto nested = layout::nest(job, {0, steps, options.seed}, control);
    std::map<int, std::vector<const layout::Placed*>> bySheet;
    for (const auto& placed : nested.placed)
        bySheet[placed.sheetIndex].push_back(&placed);
    std::vector<Clump> out;
    const auto addPiece = [&](Clump& clump, const layout::Placed& p) {
        clump.pieces.push_back(pieces[p.part]);
        clump.turn.push_back(p.rotation);
        clump.where.push_back(Transform::moveBy(p.x, p.y) *
                              Transform::turn(measure::Angle::ofDegrees(p.rotation)));
    };
    for (const auto& [sheet, members] : bySheet) {
        std::vector<Region> shapes;
        for (const auto* p : members) {
            const auto where =
                Transform::moveBy(p->x, p->y) * Transform::turn(measure::Angle::ofDegrees(p->rotation));
            shapes.push_back(shape::transformed(job.parts[p->part].shape, where));
        }
        for (const auto& body : shape::islands(closedUp(shapes, roughCutMargin.mm()))) {
            Clump clump;
            clump.body = withoutHoles(body);
            for (std::size_t i = 0; i < members.size(); ++i)
                if (body.contains(shapes[i].rings.front().front()) ||
                    shape::intersect(body, shapes[i]).area() > shapes[i].area() / 2)
                    addPiece(clump, *members[i]);
            if (!clump.pieces.empty()) out.push_back(std::move(clump));
        }
    }
    for (const auto& missing : nested.unplaced) {
        Clump alone;
        alone.body = withoutHoles(job.parts[missing.part].shape);
        addPiece(alone, {missing.part, 0, 0, 0, 0, 0, 0});
        out.push_back(std::move(alone));
    }
    return out;
}

struct Attempt {
    std::vector<Clump> clumps;
    layout::NestLayout nested;
};

bool better(const layout::NestLayout& a, const layout::NestLayout& b) {
    return std::tuple(a.unplaced.size(), a.sheetsUsed, a.usedHeight) <
           std::tuple(b.unplaced.size(), b.sheetsUsed, b.usedHeight);
}

Attempt attempt(const std::vector<std::vector<const Piece*>>& groups, const Web& web, double strip,
                const TraceOptions& options, up::Job& control) {
    Attempt out;
    for (const auto& group : groups)
        for (auto& clump : clumpsOf(group, web, strip, options, control))
            out.clumps.push_back(std::move(clump));
    layout::NestJob job;
    job.spacing = roughCutMargin.mm() * 2;
    job.sheets = {sheetOf(web, web.width.mm())};
    for (std::size_t i = 0; i < out.clumps.size(); ++i)
        job.parts.push_back({std::to_string(i), out.clumps[i].body, 1, {}});
    out.nested = layout::nest(job, {options.seconds, options.rounds, options.seed}, control);
    return out;
}

Layout layoutFrom(const Attempt& best, WebId web) {
    Layout out{web, {}, {}};
    for (const auto& p : best.nested.placed) {
        const auto& clump = best.clumps[p.part];
        const auto onSheet =
            Transform::moveBy(p.x, p.y) * Transform::turn(measure::Angle::ofDegrees(p.rotation));
        for (std::size_t i = 0; i < clump.pieces.size(); ++i) {
            const auto at = onSheet(clump.where[i](shape::Point{0, 0}));
            out.traced.push_back({clump.pieces[i]->id, p.sheetIndex, static_cast<int>(p.part), at.x, at.y,
                                  measure::Angle::ofDegrees(clump.turn[i] + p.rotation).normal()});
        }
    }
    for (const auto& u : best.nested.unplaced)
        for (const auto* piece : best.clumps[u.part].pieces)
            out.unplaced.push_back(
                {piece->id, u.why == layout::WhyNot::largerThanEverySheet ? "largerThanSheet" : "webUsedUp"});
    return out;
}

/// Strips to clump fabrics on: one piece a clump (narrow as can be), thirds and halves of the web, all of it.
std::vector<double> stripsFor(const Web& web) {
    const double full = web.width.mm();
    return {full, full * 0.5, full * 0.34, full * 0.25};
}

/// What is on paper already and must not move.
struct Kept {
    std::vector<Traced> traced;
    int sheets = 0, chunks = 0;
    double lowest = 0; ///< mm down the roll, with room for both rough-cut margins
    [[nodiscard]] bool has(PieceId id) const {
        return std::any_of(traced.begin(), traced.end(), [&](const Traced& t) { return t.piece == id; });
    }
};

Kept keptOf(const Block& block) {
    Kept kept;
    if (block.layout.empty() || block.layout.front().web != block.web) return kept;
    for (const auto& traced : block.layout.front().traced) {
        const auto* piece = find(block.pieces, traced.piece);
        if (!piece || piece->work.step == quilt::Step::toTrace) continue;
        const auto box = boundsOf(transformed(quilt::reversed(*piece), quilt::onSheet(traced)));
        kept.lowest = std::max(kept.lowest, box.bottom + 2 * roughCutMargin.mm());
        kept.sheets = std::max(kept.sheets, traced.sheet + 1);
        kept.chunks = std::max(kept.chunks, traced.chunk + 1);
        kept.traced.push_back(traced);
    }
    return kept;
}

} // namespace

Result<Layout> layOut(const quilt::Quilt& quilt, const Block& block, const TraceOptions& options,
                      up::Job& control) {
    const Web* web = find(quilt.webs, block.web);
    if (block.pieces.empty() || !web) return failure(Code::nothingToDo, {block.name});
    const Kept kept = keptOf(block);
    Web left = *web;
    if (web->sheets > 0)
        left.sheets = std::max(0, web->sheets - kept.sheets);
    else
        left.length = web->length - measure::Length::ofMm(kept.lowest);
    std::vector<std::vector<const Piece*>> groups;
    std::map<FabricId, std::size_t> groupOf;
    for (const auto& piece : block.pieces) {
        if (kept.has(piece.id)) continue;
        const auto [it, fresh] = groupOf.try_emplace(piece.fabric, groups.size());
        if (fresh) groups.emplace_back();
        groups[it->second].push_back(&piece);
    }
    if (groups.empty()) return block.layout.front();
    const auto strips = stripsFor(left);
    TraceOptions share = options;
    share.seconds = options.seconds / static_cast<double>(strips.size());
    Attempt best = attempt(groups, left, strips.front(), share, control);
    for (std::size_t i = 1; i < strips.size() && !control.stopped(); ++i) {
        Attempt other = attempt(groups, left, strips[i], share, control);
        if (better(other.nested, best.nested)) best = std::move(other);
    }
    Layout found = layoutFrom(best, block.web);
    for (auto& traced : found.traced) {
        traced.chunk += kept.chunks;
        if (web->sheets > 0)
            traced.sheet += kept.sheets;
        else
            traced.y += kept.lowest;
    }
    found.traced.insert(found.traced.begin(), kept.traced.begin(), kept.traced.end());
    return found;
}

TracePlan planTrace(const Block& block) {
    TracePlan plan;
    if (block.layout.empty()) return plan;
    const Layout& layout = block.layout.front();
    std::map<int, std::pair<Chunk, std::vector<Region>>> chunks;
    double lowest = 0;
    for (const auto& piece : block.pieces) {
        const auto it = std::find_if(layout.traced.begin(), layout.traced.end(),
                                     [&](const Traced& t) { return t.piece == piece.id; });
        if (it == layout.traced.end()) {
            plan.stale = plan.stale || std::none_of(layout.unplaced.begin(), layout.unplaced.end(),
                                                    [&](const auto& u) { return u.piece == piece.id; });
            continue;
        }
        plan.lines.emplace_back(piece.id, transformed(quilt::reversed(piece), quilt::onSheet(*it)));
        auto& [chunk, shapes] = chunks[it->chunk];
        chunk.fabric = piece.fabric;
        chunk.sheet = it->sheet;
        chunk.pieces.push_back(piece.id);
        shapes.push_back(shape::regionOf(plan.lines.back().second));
        plan.sheets = std::max(plan.sheets, it->sheet + 1);
    }
    for (auto& [key, entry] : chunks) {
        auto& [chunk, shapes] = entry;
        chunk.roughCut =
            withoutHoles(shape::offset(closedUp(shapes, roughCutMargin.mm()), roughCutMargin.mm()));
        chunk.patch = press::patchFor(chunk.roughCut);
        if (chunk.sheet == plan.sheets - 1)
            for (const auto& region : shapes)
                lowest = std::max(lowest, region.bounds().bottom);
        plan.chunks.push_back(std::move(chunk));
    }
    std::stable_sort(plan.chunks.begin(), plan.chunks.end(),
                     [](const Chunk& a, const Chunk& b) { return a.fabric < b.fabric; });
    plan.used = measure::roundedUp(measure::Length::ofMm(lowest), 4);
    return plan;
}

} // namespace up::plan
