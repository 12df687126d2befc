// SPDX-License-Identifier: GPL-3.0-or-later
// The block under the iron: where it is set down and in which order, which edges to test, how much heat each place
// gets.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/base/text.hpp"
#include "core/shape/centroid.hpp"
#include "core/shape/deepest.hpp"
#include "core/sheet/figures.hpp"
#include "words/press_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

using plan::PlannedPress;
using plan::PressPlan;
using plan::PressStage;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

constexpr double around = 24; // mm of ironing board that are shown round the block

/// The one that is worked on: the first that is not done.
const PressStage* stageShown(const PressPlan& plan) {
    const auto next = plan.next();
    return next ? &plan.stages[next->first] : nullptr;
}

Point middleOf(const shape::Ring& ring) {
    return shape::centroid({shape::regionOf(shape::Rings{ring})});
}

void addIron(std::vector<sheet::Item>& items, const PlannedPress& press, std::size_t number, bool isNext) {
    const auto outline = sheet::contoursOf(shape::regionOf(shape::Rings{press.under}));
    const bool done = press.left <= 0;
    const auto colour = done ? look::moss : isNext ? look::brass : look::slate;
    items.push_back(sheet::Shape{outline, isNext ? look::brassBright : colour, {}, {}, isNext ? 0.32 : 0.06});
    sheet::addHaloed(items, outline, Pen{look::panel, isNext ? 2.6 : 1.4},
                     Pen{colour, isNext ? 1.4 : 0.7, done || isNext ? Dash::solid : Dash::dashed});
    const auto at = middleOf(press.under);
    const double radius = isNext ? 8.5 : 6;
    items.push_back(sheet::Shape{{sheet::disc(at, radius)},
                                 isNext ? look::brass : look::panel,
                                 Pen{isNext ? look::panel : colour, 0.7, Dash::solid}});
    items.push_back(sheet::Words{(done ? "✓" : "") + std::to_string(number),
                                 {at.x, at.y + radius * 0.38},
                                 radius * 1.1,
                                 isNext ? look::panel : colour,
                                 sheet::Align::centre,
                                 true});
}

/// Those to come first, so that what is next lies on top.
sheet::Layer ironLayer(const Look& look, const PressPlan& plan, const shape::Box& box) {
    sheet::Layer layer{"irons", {}, {}, box};
    const auto next = plan.next();
    if (next) {
        const auto& presses = plan.stages[next->first].presses;
        for (std::size_t i = presses.size(); i-- > 0;)
            if (i != next->second) addIron(layer.items, presses[i], i + 1, false);
        addIron(layer.items, presses[next->second], next->second + 1, true);
    }
    if (look.next.test)
        sheet::addHaloed(layer.items, {sheet::disc(look.next.test->at, 7)}, Pen{look::panel, 2.4},
                         Pen{look::brass, 1.3});
    std::vector<shape::Contour> spots;
    if (const auto* stage = stageShown(plan))
        for (const auto spot : stage->unreached)
            spots.push_back(sheet::disc(spot, 4));
    if (!spots.empty())
        sheet::addHaloed(layer.items, spots, Pen{look::panel, 1.6}, Pen{look::rust, 0.9, Dash::dashed});
    return layer;
}

/// From pale to rust: the share of what the leaflet allows, or of the hottest place where it says nothing.
sheet::Layer heatLayer(const Look& look, const PressPlan& plan) {
    sheet::Layer layer{"heat", {}, {}, quilt::cutBox(look.block)};
    double hottest = 1;
    for (const auto& heat : plan.heat)
        hottest = std::max(hottest, heat.most);
    const double scale = plan.limit.value_or(hottest);
    const Pen edge{look::panel, 0.4};
    constexpr double smallest = 3; // mm of a number that can be read
    for (const auto& heat : plan.heat) {
        const auto i = static_cast<std::size_t>(quilt::numberOf(look.block, heat.piece)) - 1;
        for (const auto& part : heat.parts) {
            const auto shown = shape::intersect(part.where, look.derived.block().visible[i]);
            if (shown.isEmpty()) continue;
            const double share = part.seconds / scale;
            const auto colour = look::mixed(look::webPaper, look::rust, std::min(1.0, share * share));
            layer.items.push_back(sheet::Shape{sheet::contoursOf(shown), colour, edge, heat.piece});
            const auto deepest = shape::deepestPoint(shown, 1.0);
            if (deepest.depth < smallest) continue;
            const double height = std::min(7.0, deepest.depth);
            layer.items.push_back(sheet::Words{plainNumber(part.seconds, 0) + (share > 1 ? "!" : ""),
                                               {deepest.at.x, deepest.at.y + height * 0.35},
                                               height,
                                               look::inkOn(colour),
                                               sheet::Align::centre,
                                               true});
        }
    }
    return layer;
}

void addPressRows(const Look& look, const PressPlan& plan, Rows& rows) {
    const auto* shown = stageShown(plan);
    for (const auto& stage : plan.stages) {
        if (&stage == shown) {
            for (std::size_t i = 0; i < stage.presses.size(); ++i) {
                const auto& press = stage.presses[i];
                Row row{words::said(N_("Press {0}: {1}"),
                                    {std::to_string(i + 1), numbersOf(look.block, press.pieces)}),
                        words::said(press.left <= 0         ? N_("{0}: pressed")
                                    : press.tooMuch.empty() ? N_("{0}: {1} s")
                                                            : N_("{0}: {1} s, too much for {2}"),
                                    {words::stageName(stage), plainNumber(press.left, 1),
                                     numbersOf(look.block, press.tooMuch)}),
                        {}};
                row.done = press.left <= 0;
                row.next = look.next.press && look.next.press->number == i + 1;
                rows.rows.push_back(std::move(row));
            }
            if (!stage.unreached.empty())
                rows.rows.push_back({words::tr("Not reached beside what melts"),
                                     words::tr("the rings: take a smaller iron there"),
                                     {}});
            continue;
        }
        if (stage.presses.empty()) continue;
        Row row{words::stageName(stage),
                stage.isDone() ? words::tr("pressed")
                               : words::said(N2_("{0} press, {1} s", "{0} presses, {1} s each"),
                                             stage.presses.size(), {plainNumber(stage.seconds, 1)}),
                {}};
        row.done = stage.isDone();
        rows.rows.push_back(std::move(row));
    }
}

void addTestRows(const Look& look, const PressPlan& plan, Rows& rows) {
    for (const auto& test : plan.tests) {
        const auto* piece = find(look.block.pieces, test.piece);
        if (!piece || piece->work.step != quilt::Step::fused) continue;
        Row row{words::said(N_("Test {0}"), {quilt::calledOf(look.block, *piece)}),
                piece->lifts ? words::tr("it lifted: press it again") : words::testWords(test.why),
                piece->id};
        row.next = look.next.test && look.next.test->piece == test.piece;
        rows.rows.push_back(std::move(row));
    }
}

void addPieceRows(const Look& look, const PressPlan* plan, Rows& rows) {
    for (const auto& piece : look.block.pieces) {
        Row row{quilt::calledOf(look.block, piece), words::state(piece.work.step), piece.id};
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = piece.isPast(quilt::Step::tested);
        if (piece.melts)
            row.detail = words::tr("melts: never under the iron");
        else if (plan)
            for (const auto& heat : plan->heat)
                if (heat.piece == piece.id) row.detail = words::heatWords(heat, plan->limit);
        rows.rows.push_back(std::move(row));
    }
}

} // namespace

ViewParts fuseParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::laid, false);
    parts.rows.title = words::tr("To press and test");
    const auto* plan = look.derived.pressing().get();
    if (plan) {
        panel.box = panel.box.grownBy(around);
        auto over = look.heat ? heatLayer(look, *plan) : ironLayer(look, *plan, panel.box);
        if (look.heat) panel.layers.pop_back(); // the flags: here a number is seconds
        panel.layers.push_back(std::move(over));
        addPressRows(look, *plan, parts.rows);
        addTestRows(look, *plan, parts.rows);
        if (look.heat)
            panel.caption = plan->limit
                                ? words::said(N_("Seconds under the iron in all; the leaflet allows {0}"),
                                              {plainNumber(*plan->limit, 1)})
                                : words::tr("Seconds under the iron in all, once it is pressed");
        else if (const auto* stage = stageShown(*plan))
            panel.caption = words::stageName(*stage);
        if (const auto* stage = stageShown(*plan); stage && stage->fromBack && !look.heat)
            panel = fromBehind(look, std::move(panel), 3);
    }
    addPieceRows(look, plan, parts.rows);
    parts.scene.panels.push_back(std::move(panel));
    return parts;
}

} // namespace up::app
