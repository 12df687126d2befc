// SPDX-License-Identifier: GPL-3.0-or-later
// The way of the needle: the trail that is next with its legs, where it begins and ends; the others quiet; what is
// stitched in moss.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/stitch/stitch_kind.hpp"
#include "core/plan/stitch/stitch_lines.hpp"
#include "core/sheet/figures.hpp"
#include "core/stitch/stitches.hpp"
#include "words/join_words.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace up::app {
namespace {

using plan::Leg;
using plan::StitchPlan;
using plan::StitchRun;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

std::vector<shape::Contour> lineOf(const StitchRun& run) {
    return sheet::contoursOf(std::vector<shape::Polyline>{run.line});
}

/// What a click on it means.
sheet::Tag tagOf(const StitchRun& run) {
    return run.of ? sheet::Tag(run.of) : sheet::Tag(run.piece);
}

/// The trail that is next.
const stitch::Trail* trailShown(const Look& look) {
    const auto* plan = look.derived.stitching().get();
    return plan && look.next.stitch && look.next.stitch->at.trail < plan->trails.size()
               ? &plan->trails[look.next.stitch->at.trail]
               : nullptr;
}

void addQuiet(std::vector<sheet::Item>& items, const Look& look, const StitchRun& run) {
    const bool done = run.isDone();
    items.push_back(sheet::Shape{lineOf(run), std::nullopt, Pen{look::panel, 1.8}, tagOf(run), 0.7});
    items.push_back(sheet::Shape{lineOf(run), std::nullopt,
                                 done ? Pen{look::moss, 1.0} : Pen{threadColour(look.quilt, run.thread), 0.9},
                                 tagOf(run), done ? 0.9 : 0.6});
}

/// Where the needle goes along there: a barb in the middle of the leg.
void addDirection(std::vector<sheet::Item>& items, const StitchRun& run, bool back, const Pen& pen) {
    constexpr double tail = 2.2; // mm
    const double middle = run.length().mm() * (back ? 0.38 : 0.62);
    if (run.length().mm() < 4 * tail) return;
    const Point tip = shape::pointAlong(run.line, middle),
                from = shape::pointAlong(run.line, middle + (back ? tail : -tail));
    items.push_back(sheet::arrow(from, tip, tail, false, pen));
}

void addNumber(std::vector<sheet::Item>& items, const StitchRun& run, const Leg& leg, std::size_t number,
               bool isNext) {
    const Point at = shape::pointAlong(run.line, run.length().mm() / 2);
    const double radius = isNext ? 4.2 : 3.2;
    const auto colour = leg.done ? look::moss : look::brass;
    items.push_back(
        sheet::Shape{{sheet::disc(at, radius)}, isNext ? look::brass : look::panel, Pen{colour, 0.6}});
    items.push_back(sheet::Words{std::to_string(number),
                                 {at.x, at.y + radius * 0.4},
                                 radius * 1.15,
                                 isNext ? look::panel : colour,
                                 sheet::Align::centre,
                                 true});
    if (leg.times > 1)
        items.push_back(sheet::Words{"×" + std::to_string(leg.times),
                                     {at.x + radius + 0.8, at.y + radius * 0.4},
                                     radius,
                                     colour,
                                     sheet::Align::left,
                                     true});
}

void addTrail(std::vector<sheet::Item>& items, const Look& look, const StitchPlan& plan,
              const stitch::Trail& trail) {
    const auto legs = plan::legsOf(plan, trail);
    const auto next = look.next.stitch->at.leg;
    for (const auto& leg : legs)
        for (const auto& travel : leg.before)
            sheet::addHaloed(items, sheet::contoursOf(std::vector<shape::Polyline>{travel.points}),
                             Pen{look::panel, 2}, Pen{look::brass, 0.8, Dash::dashed});
    const auto add = [&](std::size_t i) {
        const auto& run = plan.runs[legs[i].run];
        const auto colour = legs[i].done ? look::moss : threadColour(look.quilt, run.thread);
        const bool isNext = i == next;
        items.push_back(sheet::Shape{lineOf(run), std::nullopt,
                                     Pen{isNext ? look::brassBright : look::panel, isNext ? 4.6 : 3.2},
                                     tagOf(run)});
        items.push_back(sheet::Shape{lineOf(run), std::nullopt, Pen{colour, 1.6}, tagOf(run)});
        addDirection(items, run, legs[i].back, Pen{isNext ? look::brass : colour, 0.9});
    };
    for (std::size_t i = 0; i < legs.size(); ++i)
        if (i != next) add(i);
    add(next);
    for (std::size_t i = 0; i < legs.size(); ++i)
        addNumber(items, plan.runs[legs[i].run], legs[i], i + 1, i == next);
}

Point endOf(const StitchPlan& plan, const stitch::Stitched& step, bool last) {
    const auto& line = plan.runs[step.run].line;
    return last == step.back ? line.front() : line.back();
}

/// A dot where it begins, a ring where it is tied off.
void addKnots(std::vector<sheet::Item>& items, const StitchPlan& plan, const stitch::Trail& trail) {
    const auto begin = endOf(plan, std::get<stitch::Stitched>(trail.steps.front()), false),
               end = endOf(plan, std::get<stitch::Stitched>(trail.steps.back()), true);
    sheet::addHaloed(items, {sheet::disc(end, 2.6)}, Pen{look::panel, 2}, Pen{look::brass, 1});
    items.push_back(sheet::Shape{{sheet::disc(begin, 2)}, look::brass, Pen{look::panel, 0.6}});
}

/// Thread of 40 weight as it lies, mm; darker at its rims, so that stitches of the cloth's own colour are seen.
constexpr double threadWidth = 0.22;

/// A dot where the needle stays down while the block is turned.
void addPivots(std::vector<sheet::Item>& items, const Look& look, const StitchRun& run) {
    constexpr double radius = 1.1; // mm
    if (!run.isEdge || run.isDone()) return;
    const auto at = static_cast<std::size_t>(quilt::numberOf(look.block, run.piece)) - 1;
    for (const auto& pivot :
         stitch::pivotsAlong(run.line, plan::repeatOf(run.edge), look.derived.block().regions[at]))
        items.push_back(
            sheet::Shape{{sheet::disc(pivot.needle, radius)}, look::brass, Pen{look::panel, 0.4}});
}

void addStitches(std::vector<sheet::Item>& items, const Look& look, const StitchRun& run) {
    const auto* thread = find(look.quilt.threads, run.thread);
    const auto shades = thread ? plan::shadesOf(*thread) : std::vector<Colour>{look::slate};
    const auto lines = plan::stitchLines(look.block, look.derived.block(), run);
    for (const auto& [colour, line] :
         plan::shaded(lines, shades, thread ? thread->shadeLength : measure::Length())) {
        const auto path = sheet::contoursOf(std::vector<shape::Polyline>{line});
        items.push_back(sheet::Shape{
            path, std::nullopt, Pen{look::mixed(colour, look::ink, 0.45), threadWidth * 1.7}, tagOf(run)});
        items.push_back(sheet::Shape{path, std::nullopt,
                                     Pen{look::mixed(colour, look::panel, 0.12), threadWidth}, tagOf(run)});
    }
}

/// Every stitch as it will lie, on what shows of the piece.
sheet::Layer stitchLayer(const Look& look, const StitchPlan& plan) {
    sheet::Layer layer{"stitches", {}, {}, quilt::cutBox(look.block)};
    for (const auto& run : plan.runs) {
        addStitches(layer.items, look, run);
    }
    for (const auto& run : plan.runs)
        addPivots(layer.items, look, run);
    return layer;
}

sheet::Layer wayLayer(const Look& look, const StitchPlan& plan) {
    sheet::Layer layer{"edges", {}, {}, quilt::cutBox(look.block).grownBy(4)};
    const auto* trail = trailShown(look);
    std::set<std::size_t> strong;
    if (trail)
        for (const auto& leg : plan::legsOf(plan, *trail))
            strong.insert(leg.run);
    for (std::size_t i = 0; i < plan.runs.size(); ++i)
        if (!strong.contains(i)) addQuiet(layer.items, look, plan.runs[i]);
    if (!trail) return layer;
    addTrail(layer.items, look, plan, *trail);
    addKnots(layer.items, plan, *trail);
    return layer;
}

std::string trailSaid(const Look& look, const StitchPlan& plan, const std::vector<Leg>& legs,
                      const stitch::Trail& trail) {
    double mm = 0;
    for (const auto& leg : legs)
        mm += plan.runs[leg.run].length().mm() * leg.times;
    return words::said(N2_("{1} in one go, {2}", "{0} legs, {1}, {2}"), legs.size(),
                       {near(look.quilt, mm), words::knotsWords(plan::knotOf(plan, trail, true),
                                                                plan::knotOf(plan, trail, false))});
}

void addLegRows(const Look& look, const StitchPlan& plan, const std::vector<Leg>& legs, Rows& rows) {
    for (std::size_t i = 0; i < legs.size(); ++i) {
        const auto& run = plan.runs[legs[i].run];
        Row row{words::said(N_("{0}: {1}"), {std::to_string(i + 1),
                                             words::legWords(look.quilt, look.block, run, legs[i].times)}),
                "", tagOf(run)};
        row.done = legs[i].done;
        row.next = i == look.next.stitch->at.leg;
        rows.rows.push_back(std::move(row));
    }
}

void addTrailRows(const Look& look, const StitchPlan& plan, Rows& rows) {
    for (std::size_t t = 0; t < plan.trails.size(); ++t) {
        const auto& trail = plan.trails[t];
        const auto legs = plan::legsOf(plan, trail);
        const auto& run = plan.runs[legs.front().run];
        const bool isNext = look.next.stitch && look.next.stitch->at.trail == t;
        Row row{words::said(N_("Trail {0}: {1}"),
                            {std::to_string(t + 1), words::threadWords(look.quilt, run.thread)}),
                trailSaid(look, plan, legs, trail), tagOf(run)};
        row.swatch = threadColour(look.quilt, run.thread);
        row.done = std::all_of(legs.begin(), legs.end(), [](const Leg& leg) { return leg.done; });
        row.next = isNext && legs.size() == 1;
        rows.rows.push_back(std::move(row));
        if (isNext && legs.size() > 1) addLegRows(look, plan, legs, rows);
    }
}

void addThreadRows(const Look& look, const plan::StitchAmounts& amounts, Rows& rows) {
    for (const auto& use : amounts.threads) {
        Row row{words::threadWords(look.quilt, use.thread), words::useWords(look.quilt, look.block, use), {}};
        row.swatch = threadColour(look.quilt, use.thread);
        rows.rows.push_back(std::move(row));
    }
}

void addElsewhere(const Look& look, const plan::StitchHints& hints, Rows& rows) {
    for (const auto& there : hints.elsewhere) {
        Row row{words::said(N_("Also {0}: {1}"), {words::threadWords(look.quilt, hints.thread),
                                                  the(look.quilt.blocks, there.block).name}),
                words::elsewhereWords(look.quilt, there), there.block};
        row.swatch = threadColour(look.quilt, hints.thread);
        rows.rows.push_back(std::move(row));
    }
}

void addHints(const Look& look, const plan::StitchHints& hints, Rows& rows) {
    addElsewhere(look, hints, rows);
    for (const auto& saving : hints.savings) {
        if (!find(look.block.pieces, saving.piece)) continue;
        Row row{words::said(N_("{0} in {1}"), {words::piecesWords(look.block, {saving.piece}),
                                               words::threadWords(look.quilt, saving.thread)}),
                words::savingWords(saving), saving.piece};
        row.swatch = threadColour(look.quilt, saving.thread);
        rows.rows.push_back(std::move(row));
    }
    if (const auto minutes = std::lround(look.quilt.machine.needleMinutes); minutes > 0)
        rows.rows.push_back({words::said(N_("The needle has stitched for {0} h {1} min"),
                                         {std::to_string(minutes / 60), std::to_string(minutes % 60)}),
                             words::tr("after about eight hours put in a new one"),
                             {}});
    if (!hints.widest) return;
    const auto across = near(look.quilt, hints.widest->across.mm());
    rows.rows.push_back(
        {hints.widest->piece ? words::said(N_("Widest without a stitch: {0}, on {1}"),
                                           {across, words::piecesWords(look.block, {hints.widest->piece})})
                             : words::said(N_("Widest without a stitch: {0}, on the background"), {across}),
         words::tr("batting is held 4 to 10 in apart, by its maker's leaflet"), hints.widest->piece});
}

std::string titleOf(const StitchPlan& plan) {
    if (std::all_of(plan.runs.begin(), plan.runs.end(), [](const StitchRun& run) { return run.isDone(); }))
        return words::tr("All stitched");
    return words::said(N2_("{0} thread change", "{0} thread changes"),
                       static_cast<std::size_t>(plan.threadChanges));
}

/// The edge that is sewn down by hand now.
void addSewnDown(Panel& panel, const Look& look) {
    sheet::Layer layer{"sewnDown", {}, {}, quilt::cutBox(look.block)};
    for (const auto id : look.next.pieces) {
        const auto& piece = the(look.block.pieces, id);
        if (piece.join == quilt::Join::turned)
            sheet::addHaloed(layer.items, sheet::contoursOf(quilt::placed(piece)),
                             Pen{look::brassBright, 4.6},
                             Pen{threadColour(look.quilt, piece.thread), 1.2, Dash::dotted});
    }
    panel.layers.insert(panel.layers.end() - 1, std::move(layer));
}

/// What is done without the machine: edges sewn down, cloth cut away.
Rows handRows(const Look& look) {
    Rows rows{words::tr("By hand"), {}};
    for (const auto& piece : look.block.pieces) {
        if (piece.join != quilt::Join::turned && !goesThrough(quilt::Step::cutAway, piece.way())) continue;
        const auto next = piece.next();
        const auto task = next.value_or(piece.work.step);
        Row row{quilt::calledOf(look.block, piece), next ? words::asTask(task) : words::state(task),
                piece.id};
        row.detail = words::said(N_("{0}: {1}"), {words::joinName(piece.join), row.detail});
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = !next;
        row.next = !look.next.pieces.empty() && look.next.pieces.front() == piece.id;
        rows.rows.push_back(std::move(row));
    }
    return rows;
}

} // namespace

ViewParts stitchParts(const Look& look) {
    ViewParts parts;
    if (look.next.cutAway) {
        parts.rows = handRows(look);
        parts.scene.panels.push_back(cutAwayPanel(look));
        return parts;
    }
    auto panel = blockPanel(look, quilt::Step::toTrace, false);
    parts.rows.title = words::tr("To stitch");
    const auto* plan = look.derived.stitching().get();
    if (plan && look.stitches) {
        panel.caption = words::said(N_("{0}, every stitch as it will lie; at a dot turn, needle down"),
                                    {words::stitchName(look.block.edge.kind)});
        panel.layers.insert(panel.layers.end() - 2, stitchLayer(look, *plan));
        panel.layers.pop_back(); // the numbers
    } else {
        for (auto& item : panel.layers[1].items)
            if (auto* shape = std::get_if<sheet::Shape>(&item)) shape->opacity = 0.35, shape->pen.reset();
    }
    if (plan && !look.stitches) {
        panel.layers.insert(panel.layers.end() - 2,
                            wayLayer(look, *plan)); // under what is chosen, and the numbers
        if (const auto* trail = trailShown(look))
            panel.caption = words::said(
                N_("Trail {0} of {1}, {2}"),
                {std::to_string(look.next.stitch->at.trail + 1), std::to_string(look.next.stitch->trails),
                 words::threadWords(look.quilt, ThreadId{static_cast<std::uint32_t>(trail->thread)})});
    }
    if (plan) {
        parts.rows.title = titleOf(*plan);
        addTrailRows(look, *plan, parts.rows);
        addThreadRows(look, plan::amountsOf(look.block, look.derived.block(), *plan, look.quilt.threads),
                      parts.rows);
        if (const auto* hints = look.derived.stitchHints().get()) addHints(look, *hints, parts.rows);
    }
    for (auto& row : handRows(look).rows)
        parts.rows.rows.push_back(std::move(row));
    if (!look.next.stitch && look.next.step == quilt::Step::stitched) addSewnDown(panel, look);
    parts.scene.panels.push_back(std::move(panel));
    return parts;
}

} // namespace up::app
