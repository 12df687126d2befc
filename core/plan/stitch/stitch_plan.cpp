// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/stitch_plan.hpp"

#include "core/quilt/holes.hpp"
#include "core/quilt/laying.hpp"
#include "core/shape/stretches.hpp"
#include "core/stack/showing.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace up::plan {
namespace {

using quilt::Piece;
using shape::Polyline;

constexpr double sameLine = 0.6; // mm: a run that was stitched, though its neighbours have moved a hair

std::vector<int> passesOf(const quilt::EdgeStitch& stitch) {
    if (stitch.kind == quilt::StitchKind::allOver) return {0};
    std::vector<int> out{stitch.passes};
    if (stitch.mayBe && *stitch.mayBe != stitch.passes) out.push_back(*stitch.mayBe);
    return out;
}

/// What lies beneath what is laid, and is held by it.
struct LaidCover {
    shape::Region ofEdges; ///< edges of pieces
    /// By line of the block and stroke of it: what the machine holds and is laid after that.
    std::vector<std::vector<shape::Region>> later;
};
LaidCover coverOf(const quilt::Block& block) {
    LaidCover out;
    out.later.resize(block.lines.size());
    shape::Region later;
    for (std::size_t i = block.lines.size(); i-- > 0;) {
        const auto& line = block.lines[i];
        out.later[i].resize(line.strokes->size());
        const auto areas = laidAreas(line);
        using enum quilt::Trim;
        if (line.laid && (line.laid->trim == tape || line.laid->trim == chenille || line.laid->trim == yarn))
            out.ofEdges = shape::unite(out.ofEdges, shape::unite(areas));
        if (!quilt::isOfMachine(line)) continue;
        for (std::size_t stroke = areas.size(); stroke-- > 0;) {
            out.later[i][stroke] = later;
            later = shape::unite(later, areas[stroke]);
        }
    }
    return out;
}

std::vector<Polyline> freeOf(const Polyline& line, const shape::Region& cover) {
    if (cover.isEmpty()) return {line};
    constexpr double least = 1; // mm: shorter ones are no stitch
    auto out = stack::joined(shape::outside(line, cover));
    std::erase_if(out, [](const Polyline& part) { return shape::lengthOf(part) < least; });
    return out;
}

/// What is stitched of the pieces of a block, as the engine takes it.
class Gathered {
public:
    Gathered(const quilt::Block& block, const BlockPlan& plan)
        : m_block(block), m_finished(shape::rectangle(quilt::finishedBox(block))) {
        const auto laid = coverOf(block);
        for (std::size_t i = 0; i < block.pieces.size(); ++i) {
            const auto dotted = alongDotted(block.pieces[i]);
            if (stitchOf(block, block.pieces[i]).kind != quilt::StitchKind::allOver &&
                block.pieces[i].join != quilt::Join::turned) // by hand
                for (const auto& edge : plan.visibleEdges[i])
                    for (const auto& open : freeOf(edge, laid.ofEdges))
                        add(i, true, open, dotted);
            if (!block.pieces[i].marksStitched) continue;
            for (const auto& mark : *block.pieces[i].marks)
                add(i, false, flattened(transformed(mark, placing(block.pieces[i]))), plan.cover[i]);
        }
        for (std::size_t i = 0; i < block.lines.size(); ++i)
            if (quilt::isOfMachine(block.lines[i])) addLines(i, laid.later[i], plan);
    }
    [[nodiscard]] const std::vector<stitch::Line>& lines() const { return m_lines; }
    /// By line of these: which one of the block it is of; nothing, or past its end: it is of a piece.
    [[nodiscard]] const std::vector<std::optional<std::size_t>>& ofBlock() const { return m_ofBlock; }
    /// By line of the block, the pieces beneath it.
    [[nodiscard]] const std::vector<std::set<std::size_t>>& beneath() const { return m_beneath; }

private:
    void addLines(std::size_t of, const std::vector<shape::Region>& later, const BlockPlan& plan) {
        const auto strokes = needleLines(m_block.lines[of]);
        for (std::size_t stroke = 0; stroke < strokes.size(); ++stroke)
            for (const auto& line : strokes[stroke])
                for (const auto& open : freeOf(line, later[stroke]))
                    addLine(of, open, plan);
    }
    void addLine(std::size_t of, const Polyline& line, const BlockPlan& plan) {
        std::set<std::size_t> beneath;
        shape::Box box;
        for (const auto p : line)
            box.take(p);
        for (std::size_t i = 0; i < plan.regions.size(); ++i)
            if (box.meets(plan.regions[i].bounds()) && !shape::inside(line, plan.regions[i]).empty())
                beneath.insert(i);
        m_beneath.resize(m_block.lines.size());
        m_beneath[of].insert(beneath.begin(), beneath.end());
        const auto piece = beneath.empty() ? stitch::noPiece : *beneath.rbegin();
        auto parts = stack::joined(shape::inside(line, m_finished));
        if (parts.empty()) parts.push_back(line); // nobody wanted it there, but it is wanted
        for (auto& part : parts) {
            m_lines.push_back(
                {std::move(part), piece, false, static_cast<int>(m_block.lines[of].thread.value), {1}});
            m_ofBlock.resize(m_lines.size() - 1);
            m_ofBlock.emplace_back(of);
        }
    }
    void add(std::size_t piece, bool isEdge, const Polyline& line, const shape::Region& without) {
        std::vector<Polyline> parts{line};
        const auto box = quilt::finishedBox(m_block);
        if (!std::all_of(line.begin(), line.end(), [&](shape::Point p) { return box.holds(p); }))
            parts = stack::joined(shape::inside(line, m_finished));
        for (const auto& part : parts)
            for (auto& rest : without.isEmpty() ? std::vector<Polyline>{part}
                                                : stack::joined(shape::outside(part, without)))
                m_lines.push_back({std::move(rest), piece, isEdge, threadOf(piece), passesOf(piece)});
    }
    [[nodiscard]] int threadOf(std::size_t piece) const {
        return static_cast<int>(m_block.pieces[piece].thread.value);
    }
    [[nodiscard]] std::vector<int> passesOf(std::size_t piece) const {
        return plan::passesOf(stitchOf(m_block, m_block.pieces[piece]));
    }

    const quilt::Block& m_block;
    shape::Region m_finished;
    std::vector<stitch::Line> m_lines;
    std::vector<std::optional<std::size_t>> m_ofBlock;
    std::vector<std::set<std::size_t>> m_beneath;
};

/// With points so close to each other that those between its corners count too.
shape::Contour openLine(const Polyline& line) {
    constexpr double apart = 3; // mm
    Polyline close{line.front()};
    for (std::size_t i = 1; i < line.size(); ++i) {
        const auto way = line[i] - line[i - 1];
        const int parts =
            std::max(1, static_cast<int>(std::ceil(shape::distance(line[i - 1], line[i]) / apart)));
        for (int k = 1; k <= parts; ++k)
            close.push_back(line[i - 1] + way * (static_cast<double>(k) / parts));
    }
    auto out = shape::contourThrough(close);
    out.closed = false;
    return out;
}

/// A piece's stretches where it lies on the block.
struct Along {
    std::vector<shape::Contour> sewn;
    std::vector<std::pair<std::vector<shape::Contour>, quilt::EdgeStitch>> otherwise;
};

Along alongOf(const Piece& piece) {
    Along out;
    for (const auto& stretch : *piece.sewn)
        out.sewn.push_back(transformed(stretch, placing(piece)));
    for (const auto& [along, edge] : piece.stretches) {
        out.otherwise.emplace_back(std::vector<shape::Contour>(), edge);
        for (const auto& stretch : *along)
            out.otherwise.back().first.push_back(transformed(stretch, placing(piece)));
    }
    return out;
}

/// How it is stitched, and how often it was.
void look(StitchRun& run, const quilt::Block& block, const Piece& piece, const Along& along) {
    run.edge = stitchOf(block, piece);
    if (!along.sewn.empty() || !along.otherwise.empty()) {
        const auto line = openLine(run.line);
        for (const auto& [stretches, edge] : along.otherwise)
            if (shape::liesAlong(line, stretches, sameLine)) run.edge = edge;
        run.sewn = static_cast<int>(
            std::count_if(along.sewn.begin(), along.sewn.end(), [&](const shape::Contour& stretch) {
                return shape::liesAlong(line, {stretch}, sameLine);
            }));
    }
    run.allowed = passesOf(run.edge);
    if (piece.work.step >= quilt::Step::stitched) run.sewn = run.allowed.front();
    run.sewnBefore = run.sewn;
}

quilt::EdgeStitch machineStitch(const quilt::Line& line) {
    quilt::EdgeStitch out;
    const bool isSatin = line.stitch == quilt::LineStitch::machineSatin;
    const auto swings = line.laid ? quilt::StitchKind::zigzag : quilt::StitchKind::satin;
    out.kind = isSatin ? swings : quilt::StitchKind::straight;
    out.width = isSatin ? line.width : measure::Length(); // a straight one lies on its line
    out.length = line.length;
    return out;
}

StitchRun runOfLine(const quilt::Block& block, const quilt::Line& line, const std::set<std::size_t>& on,
                    const stitch::Run& run) {
    StitchRun out{{}, line.thread, false, run.points, run.closed};
    out.of = line.id;
    for (const auto piece : on)
        out.on.push_back(block.pieces[piece].id);
    out.edge = machineStitch(line), out.allowed = {1};
    const auto open = openLine(out.line);
    const bool isSewn =
        std::any_of(line.stitched->begin(), line.stitched->end(), [&](const shape::Contour& stretch) {
            return shape::liesAlong(open, {transformed(stretch, placing(line))}, sameLine);
        });
    out.sewn = line.sewn > 0 || isSewn ? 1 : 0;
    out.sewnBefore = out.sewn;
    return out;
}

std::vector<StitchRun> runsFor(const quilt::Block& block, const Gathered& gathered,
                               const stitch::Runs& runs) {
    std::vector<Along> along; // by piece
    for (const auto& piece : block.pieces)
        along.push_back(alongOf(piece));
    std::vector<StitchRun> out;
    for (const auto& run : runs.runs) {
        const auto& line = gathered.lines()[run.line];
        if (run.line < gathered.ofBlock().size() && gathered.ofBlock()[run.line]) {
            const auto of = *gathered.ofBlock()[run.line];
            out.push_back(runOfLine(block, block.lines[of], gathered.beneath()[of], run));
            continue;
        }
        const auto& piece = block.pieces[line.piece];
        out.push_back({piece.id, piece.thread, line.isEdge, run.points, run.closed});
        look(out.back(), block, piece, along[line.piece]);
        out.back().waits = piece.work.step < quilt::Step::stitched && waitsToBeStitched(block, line.piece);
    }
    return out;
}

/// The same runs, of which none is stitched less often than it was when they were planned.
bool isStillPlanned(const StitchPlan& before, const std::vector<StitchRun>& now, measure::Length jump) {
    return before.mayJump == jump && std::equal(now.begin(), now.end(), before.runs.begin(),
                                                before.runs.end(), [](auto a, const auto& b) {
                                                    if (a.sewn < b.sewnBefore) return false;
                                                    a.sewnBefore = b.sewnBefore, a.passes = b.passes,
                                                    a.sewn = b.sewn, a.edge = b.edge;
                                                    return a == b;
                                                });
}

/// Passes that are still to come; none: it is done.
std::vector<int> stillToSew(const StitchRun& run) {
    std::vector<int> out;
    for (const int passes : run.allowed) {
        if (passes <= run.sewn) return {};
        out.push_back(passes - run.sewn);
    }
    return out;
}

/// All but what may be stitched while that thread stays on counts as done.
void keepOnly(ThreadId thread, const quilt::Block& block, const std::vector<StitchRun>& runs,
              const std::vector<stitch::Before>& before, std::vector<bool>& done) {
    auto there = done; // by then
    for (bool more = true; more;) {
        more = false;
        for (std::size_t i = 0; i < runs.size(); ++i) {
            if (there[i] || runs[i].thread != thread || !isReady(block, runs[i])) continue;
            if (std::any_of(before.begin(), before.end(),
                            [&](const stitch::Before& b) { return b.then == i && !there[b.first]; }))
                continue;
            there[i] = more = true;
        }
    }
    for (std::size_t i = 0; i < runs.size(); ++i)
        done[i] = done[i] || !there[i];
}

} // namespace

StitchPlan planStitching(const quilt::Block& block, const BlockPlan& plan, const StitchOptions& options) {
    const auto* before = options.before;
    const Gathered gathered(block, plan);
    const auto& lines = gathered.lines();
    auto runs = stitch::runsOf(lines, {plan.regions, plan.above}, block.jump.mm());
    auto now = runsFor(block, gathered, runs);
    if (before && isStillPlanned(*before, now, block.jump)) {
        auto out = *before;
        for (std::size_t i = 0; i < now.size(); ++i)
            out.runs[i].sewn = now[i].sewn, out.runs[i].edge = now[i].edge;
        return out;
    }
    StitchPlan out;
    out.mayJump = block.jump;
    std::vector<bool> done;
    std::vector<stitch::Line> left; // a line for each run: some are stitched once already
    for (std::size_t i = 0; i < now.size(); ++i) {
        left.push_back(lines[runs.runs[i].line]);
        const auto passes = stillToSew(now[i]);
        done.push_back(passes.empty() || now[i].waits);
        if (!passes.empty()) left.back().passes = passes;
        runs.runs[i].line = i;
    }
    if (options.only) keepOnly(options.only, block, now, runs.before, done);
    const stitch::Wishes wishes{options.on ? std::optional(static_cast<int>(options.on.value)) : std::nullopt,
                                options.quick};
    auto way = stitch::stitchingOf(runs, left, done, {quilt::finishedBox(block), block.jump.mm()}, wishes);
    for (const auto& trail : way.trails)
        for (const auto& step : trail.steps)
            if (const auto* stitched = std::get_if<stitch::Stitched>(&step)) ++now[stitched->run].passes;
    out.runs = std::move(now);
    out.before = std::move(runs.before);
    out.trails = std::move(way.trails);
    out.threadChanges = way.threadChanges;
    out.jump = measure::Length::ofMm(way.jump);
    out.fewest = way.fewestChanges;
    out.fewestTies = way.fewestTies;
    out.leastTies = way.leastTies;
    out.quick = options.quick && !(way.fewestChanges && way.fewestTies);
    return out;
}

bool isReady(const quilt::Block& block, PieceId id) {
    const auto& piece = the(block.pieces, id);
    const auto index = static_cast<std::size_t>(&piece - block.pieces.data());
    return piece.next() == quilt::Step::stitched && !waitsToBeStitched(block, index);
}

bool mayTrace(const quilt::Block& block, const StitchRun& run) {
    return std::all_of(run.on.begin(), run.on.end(),
                       [&](PieceId id) { return the(block.pieces, id).isPast(quilt::Step::tested); });
}

bool isReady(const quilt::Block& block, const StitchRun& run) {
    if (!run.of) return isReady(block, run.piece);
    const auto& line = the(block.lines, run.of);
    return isTraced(line) && isAllLaid(line) && mayTrace(block, run);
}

std::vector<PieceId> StitchPlan::order() const {
    std::vector<PieceId> out;
    for (const auto& trail : trails)
        for (const auto& step : trail.steps)
            if (const auto* stitched = std::get_if<stitch::Stitched>(&step)) {
                const auto piece = runs[stitched->run].piece;
                if (piece && !runs[stitched->run].isDone() &&
                    std::find(out.begin(), out.end(), piece) == out.end())
                    out.push_back(piece);
            }
    return out;
}

StitchPlan::Left StitchPlan::leftOf(PieceId piece) const {
    Left out;
    for (const auto& run : runs) {
        if (run.piece != piece) continue;
        out.all = out.all + run.length();
        if (!run.isDone()) out.open = out.open + run.length();
    }
    return out;
}

} // namespace up::plan
