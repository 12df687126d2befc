// SPDX-License-Identifier: GPL-3.0-or-later
// Cloth wrong side up with chunks of web on it, paper side up; what has no cloth; what is bonded already.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/shape/deepest.hpp"
#include "drawn/on_cloth.hpp"
#include "words/bond_words.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

std::string patchSize(const Look& look, const plan::Chunk& chunk) {
    return measure::saySize(chunk.patch.width, chunk.patch.height, look.quilt.units);
}

bool isNext(const Look& look, const plan::Chunk& chunk) {
    return look.next.what == plan::What::step && !look.next.pieces.empty() &&
           std::find(chunk.pieces.begin(), chunk.pieces.end(), look.next.pieces.front()) !=
               chunk.pieces.end();
}

/// A cloth, as much of it as matters, with all that is to go onto it.
Panel clothPanel(const Look& look, const plan::ClothUse& use) {
    const auto& cloth = the(look.quilt.cloths, use.cloth);
    Panel panel;
    panel.side = Side::paper;
    panel.caption = cloth.name;
    panel.tag = cloth.id;
    std::vector<PieceId> pieces;
    shape::Box around;
    for (const auto& laid : use.chunks) {
        const auto& chunk = look.derived.trace().chunks[laid.chunk];
        pieces.insert(pieces.end(), chunk.pieces.begin(), chunk.pieces.end());
        around.take(laid.outline.bounds());
        panel.chosen |= isNext(look, chunk);
    }
    panel.below =
        words::said(N_("{0}\n{1}"), {numbersOf(look.block, pieces), words::leftWords(look.quilt, use)});
    constexpr double beyond = 60; // mm: what is farther away is left out
    const auto whole = shape::Region{cloth.outline}.bounds();
    const auto seen = around.grownBy(beyond);
    panel.box = {std::max(whole.left, seen.left), std::max(whole.top, seen.top),
                 std::min(whole.right, seen.right), std::min(whole.bottom, seen.bottom)};
    panel.box = panel.box.grownBy(2);
    panel.layers = drawn::clothLayers({look.quilt, look.block, look.derived.trace(), look.chosen}, cloth, use,
                                      panel.box);
    return panel;
}

/// The patch wrong side up, the chunk turned to lie square in its middle.
Panel patchPanel(const Look& look, const plan::Chunk& chunk, bool done) {
    const auto turn = shape::Transform::turn(chunk.patch.turn);
    const auto chunkBox = shape::transformed(chunk.roughCut, turn).bounds();
    Panel panel;
    panel.side = Side::paper;
    panel.caption = drawn::fabricName(look.quilt, chunk.fabric);
    panel.below = words::said(done ? N_("{0}\nbonded") : N_("{0}\na patch of {1}"),
                              {numbersOf(look.block, chunk.pieces), patchSize(look, chunk)});
    panel.done = done;
    panel.chosen = isNext(look, chunk);
    panel.box = {0, 0, chunk.patch.width.mm(), chunk.patch.height.mm()};
    const auto toPatch = shape::Transform::moveBy(panel.box.centre().x - chunkBox.centre().x,
                                                  panel.box.centre().y - chunkBox.centre().y) *
                         turn;
    const Colour cloth = drawn::clothOf(look.quilt, chunk.fabric);
    sheet::Layer layer{"patch",
                       {sheet::box(panel.box, look::mixed(cloth, look::panel, 0.25),
                                   done ? std::optional<Pen>() : Pen{look::rust, 0.6, Dash::dashed})},
                       {},
                       panel.box};
    panel.layers = {std::move(layer)};
    for (auto& more :
         drawn::chunkLayers({look.quilt, look.block, look.derived.trace(), look.chosen}, chunk, toPatch))
        panel.layers.push_back(std::move(more));
    return panel;
}

Row chunkRow(const Look& look, const plan::Chunk& chunk, std::string detail) {
    Row row{words::said(N_("{0} on {1}"),
                        {numbersOf(look.block, chunk.pieces), drawn::fabricName(look.quilt, chunk.fabric)}),
            std::move(detail), chunk.pieces.front()};
    row.swatch = drawn::clothOf(look.quilt, chunk.fabric);
    row.next = isNext(look, chunk);
    return row;
}

void addLaid(const Look& look, const plan::BondPlan& plan, ViewParts& parts) {
    for (const auto& use : plan.cloths) {
        parts.scene.panels.push_back(clothPanel(look, use));
        for (const auto& laid : use.chunks) {
            const auto trouble = words::liesWords(laid.lies);
            parts.rows.rows.push_back(chunkRow(
                look, look.derived.trace().chunks[laid.chunk],
                trouble.empty()
                    ? words::said(N_("on {0}"), {the(look.quilt.cloths, use.cloth).name})
                    : words::said(N_("on {0}: {1}"), {the(look.quilt.cloths, use.cloth).name, trouble})));
        }
    }
}

} // namespace

ViewParts bondParts(const Look& look) {
    ViewParts parts;
    parts.scene.empty =
        words::tr("Nothing is laid out on web yet.\nGo down to Trace and lay the pieces out first.");
    const auto& trace = look.derived.trace();
    const auto& plan = look.derived.bonding();
    parts.scene.draggable = !plan.cloths.empty();
    parts.scene.flowing = true;
    addLaid(look, plan, parts);
    for (const auto& missing : plan.missing) {
        const auto& chunk = trace.chunks[missing.chunk];
        parts.scene.panels.push_back(patchPanel(look, chunk, false));
        parts.rows.rows.push_back(chunkRow(look, chunk, words::shortWords(look.quilt, chunk, missing)));
    }
    const bool allBonded = parts.scene.panels.empty(); // else there is no room for what is done
    for (const auto& chunk : trace.chunks) {
        if (!plan::isBonded(look.block, chunk)) continue;
        if (allBonded) parts.scene.panels.push_back(patchPanel(look, chunk, true));
        parts.rows.rows.push_back(chunkRow(look, chunk, words::tr("bonded")));
        parts.rows.rows.back().done = true;
    }
    parts.rows.title = words::tr("To press");
    return parts;
}

} // namespace up::app
