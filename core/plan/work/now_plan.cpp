// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/work/now_plan.hpp"

#include "core/plan/trace/remains.hpp"
#include "core/plan/work/progress.hpp"
#include "core/quilt/holes.hpp"
#include "core/quilt/laying.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using quilt::Block;
using quilt::Step;
using quilt::Tread;

const quilt::Piece& pieceOf(const Block& block, PieceId id) {
    return the(block.pieces, id);
}

std::optional<Step> nextOf(const quilt::Piece& piece) {
    return piece.next();
}

Now onTread(Tread tread, const Block& block) {
    Now now;
    now.tread = tread;
    now.left = countOf(block, tread).left();
    return now;
}

Now goOn(Tread from, const Block& block) {
    Now now = onTread(currentTread(block), block);
    const bool done = now.tread == Tread::finish && block.trimmed;
    now.what = done ? What::allDone : What::goOn;
    // Nothing can be done here yet, or any more: the way leads to the first tread with work left.
    if (!done && now.tread == from) now.tread = Tread::draw;
    return now;
}

Now stepFor(Tread tread, const Block& block, Step step, std::vector<PieceId> pieces) {
    Now now = onTread(tread, block);
    now.what = What::step;
    now.step = step;
    now.pieces = std::move(pieces);
    const auto& first = pieceOf(block, now.pieces.front());
    now.join = first.join;
    now.caution = step == Step::laid && first.isOffWeb() ? Caution::glue : cautionFor(step);
    const bool one = std::all_of(now.pieces.begin(), now.pieces.end(),
                                 [&](PieceId id) { return pieceOf(block, id).fabric == first.fabric; });
    now.fabric = one ? first.fabric : FabricId{};
    now.thread = first.thread;
    return now;
}

/// Pieces without web, of one cloth and joined one way, that come to the same step on this tread; edges are turned one by
/// one.
Now byTemplate(Tread tread, const Block& block) {
    std::vector<PieceId> pieces;
    const quilt::Piece* first = nullptr;
    for (const auto& piece : block.pieces) {
        const auto next = piece.next();
        if (!piece.isOffWeb() || !next || quilt::treadOf(*next) != tread) continue;
        if (!first) first = &piece;
        if (piece.fabric != first->fabric || piece.join != first->join || next != first->next()) continue;
        if (pieces.empty() || next != Step::turned) pieces.push_back(piece.id);
    }
    return first ? stepFor(tread, block, *first->next(), std::move(pieces)) : goOn(tread, block);
}

/// The first chunk with pieces whose next step is on this tread; those pieces with that step.
Now chunkWise(Tread tread, const Block& block, const TracePlan& trace) {
    for (const auto& chunk : trace.chunks) {
        std::optional<Step> step;
        std::vector<PieceId> pieces;
        for (const PieceId id : chunk.pieces) {
            const auto next = nextOf(pieceOf(block, id));
            if (!next || quilt::treadOf(*next) != tread || (step && *step != *next)) continue;
            step = next;
            pieces.push_back(id);
        }
        if (step) return stepFor(tread, block, *step, std::move(pieces));
    }
    return byTemplate(tread, block);
}

bool waitsForCloth(const BondPlan& bonding) {
    return std::any_of(bonding.missing.begin(), bonding.missing.end(),
                       [](const ChunkShort& one) { return one.why == WhyShort::notLaid; });
}

/// What all of them allow: one mark in sight, and the pen washes out.
Pen penFor(const Block& block, const BlockPlan& plan, const std::vector<PieceId>& pieces) {
    for (const auto id : pieces)
        if (const auto i = static_cast<std::size_t>(numberOf(block, id)) - 1;
            block.pieces[i].hasMarks() && adviceForMarks(block, plan, i).pen == Pen::washesOut)
            return Pen::washesOut;
    return Pen::permanent;
}

bool hasWebToTrace(const Block& block) {
    return std::any_of(block.pieces.begin(), block.pieces.end(), [](const quilt::Piece& piece) {
        return !piece.isOffWeb() && piece.work.step == Step::toTrace;
    });
}

Now cutting(const Block& block, const Known& known) {
    Now now = chunkWise(Tread::cut, block, known.trace);
    if (now.what != What::step) return now;
    if (now.step == Step::marked) now.pen = penFor(block, known.plan, now.pieces);
    if (now.step != Step::cleanCut || !known.cutting) return now;
    const auto& plan = known.cutting();
    for (const auto& chunk : plan.chunks) {
        const auto isNow = [&](PieceId id) {
            return std::find(now.pieces.begin(), now.pieces.end(), id) != now.pieces.end();
        };
        if (std::none_of(chunk.pieces.begin(), chunk.pieces.end(), isNow)) continue;
        CutNow cut{chunk.cuts.size(), 0, chunk.minutes, plan.learnt, {}};
        for (const auto& one : chunk.cuts)
            cut.byRuler += one.why == cut::Why::ruler ? 1 : 0;
        for (const auto& alike : plan.alike)
            for (const auto id : alike)
                if (isNow(id)) cut.alike.push_back(id);
        now.cut = std::move(cut);
        break;
    }
    return now;
}

bool isAnyLaid(const Block& block) {
    return std::any_of(block.pieces.begin(), block.pieces.end(),
                       [](const quilt::Piece& piece) { return piece.work.step >= Step::laid; });
}

/// The lowest piece that may be laid; its marks first, while the paper is still on. Before all the background is quilted,
/// as you go.
Now laying(const Block& block, const BlockPlan& plan) {
    if (block.quilting == quilt::Quilting::first && !isAnyLaid(block)) {
        Now now = onTread(Tread::lay, block);
        now.what = What::quiltGround, now.caution = Caution::needle;
        return now;
    }
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        if (!mayDo(block, plan, i, Step::laid)) continue;
        const auto& piece = block.pieces[i];
        const bool marksFirst = quilt::losesMarks(piece.work, Step::laid, piece.way());
        auto now = stepFor(Tread::lay, block, marksFirst ? Step::marked : Step::laid, {piece.id});
        if (marksFirst) now.pen = penFor(block, plan, now.pieces);
        now.lay = layStep(plan, planGround(block), i);
        return now;
    }
    return goOn(Tread::lay, block);
}

/// Every piece, bottom first, that may take the step now, together with those beneath it.
std::vector<PieceId> allThatMay(const Block& block, const BlockPlan& plan, Step step) {
    Block after = block;
    std::vector<PieceId> pieces;
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        if (!mayDo(after, plan, i, step)) continue;
        pieces.push_back(block.pieces[i].id);
        after.pieces[i].work.step = step;
    }
    return pieces;
}

Now pressing(const Block& block, const PressPlan& plan, std::pair<std::size_t, std::size_t> next) {
    const auto& stage = plan.stages[next.first];
    const auto& press = stage.presses[next.second];
    Now now = stepFor(Tread::fuse, block, Step::fused, press.pieces.empty() ? stage.pieces : press.pieces);
    now.what = What::press;
    now.press = PressNow{stage.kind,           stage.unit, stage.layer,   stage.fromBack,  next.second + 1,
                         stage.presses.size(), press.left, press.tooMuch, next.second == 0};
    return now;
}

/// Press by press as it is planned; then the edges that are likely to lift, one by one; then the others.
Now fusing(const Block& block, const BlockPlan& plan, const Known& known) {
    const auto mayFuse = allThatMay(block, plan, Step::fused),
               mayTest = allThatMay(block, plan, Step::tested);
    if (mayFuse.empty() && mayTest.empty()) return goOn(Tread::fuse, block);
    const auto* planned = known.pressing ? known.pressing() : nullptr;
    if (known.pressing && !planned) {
        Now now = onTread(Tread::fuse, block);
        now.what = What::findPresses;
        return now;
    }
    if (planned)
        if (const auto next = planned->next()) return pressing(block, *planned, *next);
    if (!mayFuse.empty()) return stepFor(Tread::fuse, block, Step::fused, mayFuse);
    if (planned)
        for (const auto& test : planned->tests)
            if (std::find(mayTest.begin(), mayTest.end(), test.piece) != mayTest.end()) {
                Now now = stepFor(Tread::fuse, block, Step::tested, {test.piece});
                now.test = test;
                return now;
            }
    return stepFor(Tread::fuse, block, Step::tested, mayTest);
}

Now legOf(const Block& block, const StitchPlan& planned, AtLeg at) {
    const auto& trail = planned.trails[at.trail];
    auto legs = legsOf(planned, trail);
    const auto& run = planned.runs[legs[at.leg].run];
    Now now = onTread(Tread::stitch, block);
    if (run.piece) now = stepFor(Tread::stitch, block, Step::stitched, {run.piece});
    now.what = What::stitch, now.step = Step::stitched, now.thread = run.thread;
    now.caution = cautionFor(Step::stitched);
    StitchNow stitch{at, planned.trails.size(), legs.size(), std::move(legs[at.leg]), run};
    stitch.begin = knotOf(planned, trail, true), stitch.end = knotOf(planned, trail, false);
    const auto threadOf = [&](std::size_t other) { return planned.trails[other].thread; };
    stitch.newThread = at.leg == 0 && (at.trail == 0 || threadOf(at.trail - 1) != trail.thread);
    stitch.anotherAfter = at.trail + 1 < planned.trails.size() && threadOf(at.trail + 1) != trail.thread;
    now.stitch = std::move(stitch);
    return now;
}

/// Lines of the machine that are not on the cloth, though all beneath them is fused.
std::vector<LineId> toTrace(const Block& block, const StitchPlan& plan) {
    std::vector<LineId> out;
    for (const auto& line : block.lines) {
        const bool isDot = std::none_of(plan.runs.begin(), plan.runs.end(),
                                        [&](const StitchRun& run) { return run.of == line.id; });
        if (quilt::isOfMachine(line) && !isTraced(line) && isDot) out.push_back(line.id);
    }
    for (const auto& run : plan.runs)
        if (run.of && !isTraced(the(block.lines, run.of)) && mayTrace(block, run) &&
            std::find(out.begin(), out.end(), run.of) == out.end())
            out.push_back(run.of);
    return out;
}

/// All that go with one pen are traced at once.
LineNow drawing(const Block& block, const std::vector<LineId>& lines) {
    LineNow now;
    now.pen = the(block.lines, lines.front()).pen;
    for (const auto id : lines)
        if (the(block.lines, id).pen == now.pen) now.draw.push_back(id);
    return now;
}

bool hasLinesToSew(const Block& block) {
    return std::any_of(block.lines.begin(), block.lines.end(),
                       [](const quilt::Line& line) { return quilt::isOfMachine(line) && line.sewn == 0; });
}

/// No way of the needle has it: a dot.
bool isTooShort(const quilt::Line& line, const StitchPlan& plan) {
    return quilt::isOfMachine(line) && line.sewn == 0 && isTraced(line) && isAllLaid(line) &&
           std::none_of(plan.runs.begin(), plan.runs.end(),
                        [&](const StitchRun& run) { return run.of == line.id; });
}

Caution cautionOf(const quilt::Line& line) {
    const auto& laid = *line.laid;
    if (laid.trim == quilt::Trim::stem) return Caution::iron; // it is pressed over its seam
    if (laid.begin == quilt::LaidEnd::sealed || laid.end == quilt::LaidEnd::sealed) return Caution::flame;
    return laid.glued ? Caution::glue : Caution::handNeedle;
}

Now laying(Tread tread, const Block& block, const quilt::Line& line) {
    Now now = onTread(tread, block);
    now.what = What::layLine, now.caution = cautionOf(line), now.thread = line.thread;
    LaidNow laid{line.id, isAllLaid(line), cutWide(*line.laid)};
    laid.things = thingsAt(line).size();
    const auto stroke = static_cast<std::size_t>(line.laid->done);
    if (const auto plan = planLaid(block); const auto* strip = plan.find(line.id, stroke))
        laid.strip = *strip, laid.number = stroke + 1, laid.of = line.strokes->size();
    now.laid = std::move(laid);
    return now;
}

/// What the machine will hold, traced and not laid yet.
const quilt::Line* toLay(const Block& block) {
    for (const auto& line : block.lines)
        if (line.laid && quilt::isOfMachine(line) && !isAllLaid(line) && line.sewn == 0 && isTraced(line) &&
            mayLay(block, line))
            return &line;
    return nullptr;
}

/// What is cut away once a piece is stitched; then an edge that is sewn by hand.
std::optional<Now> byHand(const Block& block, const BlockPlan& plan) {
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        if (block.pieces[i].next() != Step::cutAway) continue;
        Now now = stepFor(Tread::stitch, block, Step::cutAway, {block.pieces[i].id});
        now.cutAway = cutAwayOf(block, plan, i);
        return now;
    }
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (block.pieces[i].join == quilt::Join::turned && mayDo(block, plan, i, Step::stitched)) {
            Now now = stepFor(Tread::stitch, block, Step::stitched, {block.pieces[i].id});
            now.caution = Caution::handNeedle;
            return now;
        }
    return {};
}

/// Leg by leg as it is planned, lines traced before them; then pieces of which nothing shows.
Now stitching(const Block& block, const BlockPlan& plan, const Known& known) {
    if (auto now = byHand(block, plan)) return *now;
    if (allThatMay(block, plan, Step::stitched).empty() && !hasLinesToSew(block))
        return goOn(Tread::stitch, block);
    const auto* planned = known.stitching ? known.stitching() : nullptr;
    if (known.stitching && !planned) {
        Now now = onTread(Tread::stitch, block);
        now.what = What::findWays;
        return now;
    }
    std::vector<PieceId> waiting;
    if (planned) {
        if (const auto lines = toTrace(block, *planned); !lines.empty()) {
            Now now = onTread(Tread::stitch, block);
            now.what = What::drawLines, now.line = drawing(block, lines);
            return now;
        }
        if (const auto* line = toLay(block)) return laying(Tread::stitch, block, *line);
        if (const auto at = nextLeg(block, *planned)) return legOf(block, *planned, *at);
        waiting = planned->order();
    }
    if (planned)
        for (const auto& line : block.lines)
            if (isTooShort(line, *planned)) {
                Now now = onTread(Tread::stitch, block);
                now.what = What::sewLine, now.caution = Caution::needle;
                now.line = LineNow{}, now.line->part.line = line.id;
                return now;
            }
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto id = block.pieces[i].id;
        const bool waits = std::find(waiting.begin(), waiting.end(), id) != waiting.end();
        if (!waits && !quilt::waitsToBeStitched(block, i) && mayDo(block, plan, i, Step::stitched))
            return stepFor(Tread::stitch, block, Step::stitched, {id});
    }
    return goOn(Tread::stitch, block);
}

LineNow sewing(const LinesPlan& lines, const AtPart& at) {
    const auto& use = lines.floss[at.floss];
    LineNow now;
    now.part = lines.parts[at.part], now.needleful = use.plan.needlefuls[at.needleful];
    now.floss = use.thread, now.newNeedle = at.newNeedle;
    for (const auto demand : now.needleful.demands)
        if (use.parts[demand] != at.part) now.others.push_back(use.parts[demand]);
    const auto isThreaded = [&](const hand::Needleful& needleful) {
        return std::any_of(needleful.demands.begin(), needleful.demands.end(),
                           [&](std::size_t demand) { return lines.parts[use.parts[demand]].sewn; });
    };
    for (const auto& split : now.needleful.from) {
        const auto isCut = [&](const hand::Needleful& other) {
            return isThreaded(other) &&
                   std::any_of(other.from.begin(), other.from.end(),
                               [&](const hand::Split& of) { return of.cut == split.cut; });
        };
        now.cuts.emplace_back(quilt::Length::ofMm(use.plan.cuts[split.cut]),
                              std::none_of(use.plan.needlefuls.begin(), use.plan.needlefuls.end(), isCut));
    }
    for (const auto& other : lines.floss)
        for (const auto& needleful : other.plan.needlefuls)
            now.left +=
                std::any_of(needleful.demands.begin(), needleful.demands.end(),
                            [&](std::size_t demand) { return !lines.parts[other.parts[demand]].sewn; })
                    ? 1
                    : 0;
    return now;
}

/// Lines are traced, then stitched, one length of floss after the other; then what is laid on; none is left: nothing.
std::optional<Now> lining(const Block& block, const Known& known) {
    if (block.trimmed || !known.lines || block.lines.empty()) return {};
    const auto& lines = known.lines();
    Now now = onTread(Tread::finish, block);
    if (!lines.toDraw.empty()) {
        now.what = What::drawLines;
        now.line = drawing(block, lines.toDraw);
        return now;
    }
    const auto at = lines.next();
    if (!at) {
        const auto* line = nextLaid(block);
        return line ? std::optional(laying(Tread::finish, block, *line)) : std::nullopt;
    }
    now.what = What::sewLine, now.caution = Caution::handNeedle;
    now.line = sewing(lines, *at);
    return now;
}

/// Trimmed; then, if it is time for them, its strips one after the other.
Now finishing(const Block& block, const Known& known) {
    if (currentTread(block) != Tread::finish) return goOn(Tread::finish, block);
    if (auto now = lining(block, known)) return *now;
    Now now = onTread(Tread::finish, block);
    const auto seams = quilt::seamAllowance * 2;
    now.finish = FinishNow{{block.width + seams, block.height + seams}, {}};
    const auto plan = known.finishing ? std::optional(known.finishing()) : std::nullopt;
    if (plan) now.finish = FinishNow{plan->trimTo, plan->trimming.lacking, plan->has.has_value()};
    if (!block.trimmed) {
        now.what = What::trim, now.caution = Caution::rotary;
        return now;
    }
    const auto* strip = plan && plan->stripsNow ? plan->next() : nullptr;
    if (!strip) return goOn(Tread::finish, block);
    now.what = What::sewStrip, now.caution = Caution::needle;
    now.finish->strip = *strip;
    now.finish->number = static_cast<std::size_t>(strip - plan->strips.data()) + 1;
    now.finish->of = plan->strips.size();
    return now;
}

} // namespace

Caution cautionFor(Step step) {
    switch (step) {
    case Step::bonded:
    case Step::turned:
    case Step::fused: return Caution::iron;
    case Step::roughCut:
    case Step::cutAway:
    case Step::cleanCut: return Caution::scissors;
    case Step::stitched: return Caution::needle;
    case Step::toTrace:
    case Step::traced:
    case Step::marked:
    case Step::laid:
    case Step::tested: return Caution::none;
    }
    return Caution::none;
}

Now nowOn(Tread tread, const Block& block, const Known& known) {
    const auto& plan = known.plan;
    const auto& trace = known.trace;
    Now now = onTread(tread, block);
    if (block.pieces.empty()) {
        now.what = What::importDrawing;
        now.tread = Tread::draw;
        return now;
    }
    switch (tread) {
    case Tread::draw: return goOn(tread, block);
    case Tread::trace:
        if (now.left > 0 && (!block.layout || trace.stale) && hasWebToTrace(block)) {
            now.what = What::layOut;
            return now;
        }
        now = chunkWise(tread, block, trace);
        if (now.what == What::goOn && !cutSheets(block, trace).empty()) {
            now = onTread(tread, block);
            now.what = What::putAway;
        }
        return now;
    case Tread::bond:
        if (now.left > 0 && waitsForCloth(known.bonding())) {
            now.what = What::layOnCloth;
            return now;
        }
        return chunkWise(tread, block, trace);
    case Tread::cut: return cutting(block, known);
    case Tread::lay: return laying(block, plan);
    case Tread::fuse: return fusing(block, plan, known);
    case Tread::stitch: return stitching(block, plan, known);
    case Tread::finish: return finishing(block, known);
    }
    return now;
}

} // namespace up::plan
