// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/lay_out.hpp"

#include "core/layout/nest.hpp"
#include "core/plan/trace/gather.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "core/plan/trace/web_left.hpp"
#include "core/plan/trace/windows.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>
#include <tuple>

namespace up::plan {
namespace {

using layout::Clump;
using layout::Member;
using layout::NestJob;
using layout::NestLayout;
using measure::Angle;
using quilt::Block;
using quilt::Layout;
using quilt::Piece;
using quilt::School;
using quilt::Traced;
using shape::Region;
using shape::Transform;

struct Gathered {
    std::vector<Clump> clumps;
    NestLayout nested;
};

bool better(const Gathered& a, const Gathered& b) {
    return std::tuple(a.nested.unplaced.size(), a.nested.lastSheet, a.nested.usedHeight) <
           std::tuple(b.nested.unplaced.size(), b.nested.lastSheet, b.nested.usedHeight);
}

/// The fabrics of pieces as numbers.
std::vector<std::size_t> groupsOf(const std::vector<const Piece*>& pieces) {
    std::vector<std::size_t> out;
    std::map<FabricId, std::size_t> seen;
    for (const auto* piece : pieces)
        out.push_back(seen.try_emplace(piece->fabric, seen.size()).first->second);
    return out;
}

class LayingOut {
public:
    LayingOut(const quilt::Quilt& quilt, const Block& block, const TraceOptions& options, up::Job& control)
        : m_block(block), m_options(options), m_control(control), m_kept(keptOf(block)),
          m_left(webLeft(quilt, block, m_kept, options.offCuts)),
          m_school(options.school.value_or(block.school)) {
        for (const auto& piece : block.pieces)
            if (!m_kept.has(piece.id) && !piece.isOffWeb())
                (isTooLarge(piece) ? m_tooLarge : m_free).push_back(&piece);
        m_parts = partsOf(quilt, m_free);
        m_groups = groupsOf(m_free);
    }
    [[nodiscard]] bool hasWork() const { return !m_free.empty() || !m_tooLarge.empty(); }
    Layout run();

private:
    /// Longer than any sheet's diagonal: the engine need not find out, which takes memory by the metre.
    [[nodiscard]] bool isTooLarge(const Piece& piece) const;
    void findWindows();
    [[nodiscard]] std::vector<layout::Part> fixedBodies() const;
    Gathered attempt(double width, double seconds);
    [[nodiscard]] std::vector<double> widths() const;
    Layout layoutFrom(const Gathered& best);
    int sheetNumber(Layout& out, const layout::Spot& spot);
    void addTraced(Layout& out, std::size_t part, int sheet, int chunk, const Transform& where, double turn);
    void addInside(Layout& out);

    const Block& m_block;
    TraceOptions m_options;
    up::Job& m_control;
    Kept m_kept;
    WebLeft m_left;
    School m_school;
    std::vector<const Piece*> m_free, m_tooLarge;
    NestJob m_parts;
    std::vector<std::size_t> m_groups;
    Windows m_windows;
    std::map<std::pair<std::size_t, int>, int> m_numbers; ///< engine's sheets to the layout's
    struct Where {
        Transform map;
        double turn;
        int sheet;
    };
    std::map<std::size_t, Where> m_where; ///< of parts that are placed
    int m_chunks = 0;
};

bool LayingOut::isTooLarge(const Piece& piece) const {
    const auto box = boundsOf(*piece.outline);
    return !m_left.sheets.empty() &&
           std::none_of(m_left.sheets.begin(), m_left.sheets.end(), [&](const layout::Sheet& sheet) {
               return std::max(box.width(), box.height()) <= std::hypot(sheet.width, sheet.height);
           });
}

void LayingOut::findWindows() {
    std::vector<bool> mayHost;
    for (const auto* piece : m_free)
        mayHost.push_back(piece->mayHaveWindow);
    m_windows = fillWindows(m_parts, m_groups, mayHost, roughCutMargin.mm(), m_control);
}

/// What is on paper already, chunk by chunk, where nothing else may go.
std::vector<layout::Part> LayingOut::fixedBodies() const {
    std::map<std::pair<int, int>, std::vector<Region>> shapes; // by sheet and chunk
    for (const auto& traced : m_kept.traced)
        if (const auto* piece = find(m_block.pieces, traced.piece))
            shapes[{traced.sheet, traced.chunk}].push_back(
                shape::regionOf(transformed(quilt::reversed(*piece), quilt::onSheet(traced))));
    std::vector<layout::Part> out;
    for (const auto& [key, regions] : shapes) {
        const auto origin = std::find_if(m_left.origins.begin(), m_left.origins.end(),
                                         [&](const WebLeft::Origin& o) { return o.kept == key.first; });
        if (origin == m_left.origins.end()) continue; // put away
        const auto sheet = static_cast<std::size_t>(origin - m_left.origins.begin());
        out.push_back({"",
                       layout::closedUp(regions, 2 * roughCutMargin.mm()),
                       1,
                       {0},
                       layout::Spot{sheet, 0, 0, 0, 0}});
    }
    return out;
}

/// Strips to gather fabrics on: all of the web's width, halves, thirds and quarters.
std::vector<double> LayingOut::widths() const {
    double full = 0;
    for (const auto& sheet : m_left.sheets)
        full = std::max(full, sheet.width);
    if (m_school == School::oneByOne) return {full};
    return {full, full * 0.5, full * 0.34, full * 0.25};
}

Gathered LayingOut::attempt(double width, double seconds) {
    std::vector<std::size_t> wanted;
    for (std::size_t i = 0; i < m_free.size(); ++i)
        if (!m_windows.isInside(i)) wanted.push_back(i);
    // A share of the time; counted steps where the answer must be the same every time.
    constexpr double share = 0.3;
    const int steps = std::clamp(600 / std::max(1, static_cast<int>(wanted.size())), 1, 30);
    const layout::NestOptions each{seconds * share, m_options.rounds > 0 ? steps : 0, m_options.seed};
    Gathered out;
    out.clumps = gathered(m_parts, m_groups, wanted, {m_school, width, each}, m_control);
    NestJob job;
    job.spacing = roughCutMargin.mm() * 2;
    job.sheets = m_left.sheets;
    for (const auto& clump : out.clumps)
        job.parts.push_back({"", clump.body, 1, {}});
    for (auto& fixed : fixedBodies())
        job.parts.push_back(std::move(fixed));
    if (job.sheets.empty()) { // all web is used up
        for (std::size_t i = 0; i < out.clumps.size(); ++i)
            out.nested.unplaced.push_back({i, 0, layout::WhyNot::noRoomLeft});
        return out;
    }
    out.nested = layout::nest(job, {seconds * (1 - share), m_options.rounds, m_options.seed}, m_control);
    return out;
}

int LayingOut::sheetNumber(Layout& out, const layout::Spot& spot) {
    const auto& origin = m_left.origins[spot.sheet];
    if (origin.kept >= 0) return origin.kept;
    const auto [it, fresh] =
        m_numbers.try_emplace({spot.sheet, spot.sheetIndex}, static_cast<int>(out.sheets.size()));
    if (fresh) out.sheets.push_back(origin.sheet);
    return it->second;
}

void LayingOut::addTraced(Layout& out, std::size_t part, int sheet, int chunk, const Transform& where,
                          double turn) {
    const auto at = where(shape::Point{0, 0});
    const bool window = m_school == School::windowed && m_windows.hosts[part];
    out.traced.push_back(
        {m_free[part]->id, sheet, chunk, at.x, at.y, Angle::ofDegrees(turn).normal(), false, window});
    m_where[part] = {where, turn, sheet};
}

Transform placing(double degrees, double x, double y) {
    return Transform::moveBy(x, y) * Transform::turn(Angle::ofDegrees(degrees));
}

/// A host is placed before what lies in its window.
void LayingOut::addInside(Layout& out) {
    std::map<int, int> chunkOf;
    for (const auto& inside : m_windows.inside) {
        const auto host = m_where.find(inside.host);
        if (host == m_where.end()) {
            out.unplaced.push_back({m_free[inside.member.part]->id, quilt::WhyNot::webUsedUp});
            continue;
        }
        const auto [chunk, fresh] = chunkOf.try_emplace(inside.clump, m_chunks);
        if (fresh) ++m_chunks;
        const auto& m = inside.member;
        addTraced(out, m.part, host->second.sheet, chunk->second,
                  host->second.map * placing(m.rotation, m.x, m.y), host->second.turn + m.rotation);
    }
}

Layout LayingOut::layoutFrom(const Gathered& best) {
    Layout out{m_block.web, m_kept.traced, {}, m_kept.sheets, m_kept.strips};
    m_chunks = m_kept.chunks;
    auto placed = best.nested.placed; // sheets are numbered in the order in which they are used
    std::stable_sort(placed.begin(), placed.end(), [](const auto& a, const auto& b) {
        return std::tie(a.sheet, a.sheetIndex) < std::tie(b.sheet, b.sheetIndex);
    });
    for (const auto& p : placed) {
        if (p.part >= best.clumps.size()) continue; // fixed
        const auto& clump = best.clumps[p.part];
        const int sheet = sheetNumber(out, p), chunk = m_chunks++;
        const auto whole = placing(p.rotation, p.x, p.y);
        for (const auto& m : clump.members)
            addTraced(out, m.part, sheet, chunk, whole * placing(m.rotation, m.x, m.y),
                      m.rotation + p.rotation);
        if (clump.strips > 0)
            out.strips.push_back({chunk, measure::Length::ofMm(clump.stripHeight), clump.strips});
    }
    for (const auto& u : best.nested.unplaced)
        for (const auto& m : best.clumps[u.part].members)
            out.unplaced.push_back({m_free[m.part]->id, u.why == layout::WhyNot::largerThanEverySheet
                                                            ? quilt::WhyNot::largerThanSheet
                                                            : quilt::WhyNot::webUsedUp});
    addInside(out);
    for (const auto* piece : m_tooLarge)
        out.unplaced.push_back({piece->id, quilt::WhyNot::largerThanSheet});
    return out;
}

Layout LayingOut::run() {
    if (m_free.empty()) return layoutFrom({});
    if (m_school == School::windowed) findWindows();
    const auto strips = widths();
    const double share = m_options.seconds / static_cast<double>(strips.size());
    Gathered best = attempt(strips.front(), share);
    for (std::size_t i = 1; i < strips.size() && !m_control.stopped(); ++i) {
        Gathered other = attempt(strips[i], share);
        if (better(other, best)) best = std::move(other);
    }
    return layoutFrom(best);
}

} // namespace

Result<Layout> layOut(const quilt::Quilt& quilt, const Block& block, const TraceOptions& options,
                      up::Job& control) {
    if (block.pieces.empty() || !find(quilt.webs, block.web)) return failure(Code::nothingToDo, {block.name});
    LayingOut work(quilt, block, options, control);
    if (!work.hasWork()) return block.layout.value_or(Layout{block.web, {}});
    return work.run();
}

std::vector<School> schoolsFor(const quilt::Quilt& quilt, const Block& block) {
    std::vector<const Piece*> pieces;
    for (const auto& piece : block.pieces)
        if (!piece.isOffWeb()) pieces.push_back(&piece);
    const auto parts = partsOf(quilt, pieces);
    const auto groups = groupsOf(pieces);
    std::vector<School> out;
    if (pieces.size() > 1) out.push_back(School::oneByOne);
    out.push_back(School::byFabric);
    for (std::size_t i = 0; i < pieces.size() && pieces.size() > 1; ++i)
        if (pieces[i]->mayHaveWindow && !windowIn(parts.parts[i].shape).isEmpty()) {
            out.push_back(School::windowed);
            break;
        }
    std::map<std::size_t, std::vector<std::size_t>> byGroup;
    for (std::size_t i = 0; i < groups.size(); ++i)
        byGroup[groups[i]].push_back(i);
    if (std::any_of(byGroup.begin(), byGroup.end(), [&](const auto& entry) {
            return entry.second.size() >= leastForStrip && !equalShapes(parts, entry.second).empty();
        }))
        out.push_back(School::strip);
    return out;
}

} // namespace up::plan
