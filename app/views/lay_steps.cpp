// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out step by step: what lies there already, the guide that lies there for a moment, and the piece
// that comes now.
#include "app/look/look.hpp"
#include "app/views/lay_parts.hpp"
#include "app/views/pieces.hpp"
#include "core/sheet/figures.hpp"
#include "words/lay_words.hpp"

#include <algorithm>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

enum class There : std::uint8_t { notYet, guide, now, laid };

There thereOf(const Look& look, const std::vector<plan::PlacementStep>& dry, const plan::LaidSoFar& so,
              std::size_t step, std::size_t piece) {
    if (piece == dry[step].piece) return There::now;
    if (so.laid[piece] || look.block.pieces[piece].work.step >= quilt::Step::laid) return There::laid;
    return so.guide == piece ? There::guide : There::notYet;
}

/// Pieces as they lie before that step, and the one that comes now in brass.
sheet::Layer piecesLayer(const Look& look, const std::vector<plan::PlacementStep>& dry, std::size_t step) {
    sheet::Layer layer{"pieces", {}, {}, quilt::cutBox(look.block)};
    const auto so = plan::before(dry, step, look.block.pieces.size());
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.block.pieces[i];
        const auto there = thereOf(look, dry, so, step, i);
        auto out = drawn::placedPiece(look.quilt, piece,
                                      there == There::notYet  ? 0.0
                                      : there == There::guide ? 0.55
                                                              : 1.0);
        if (there == There::notYet) out.fill.reset(), out.pen = Pen{look::slate, 0.2, Dash::dotted};
        if (there == There::guide) out.pen = Pen{look::brass, 0.6, Dash::dashed};
        layer.items.push_back(std::move(out));
        if (there == There::notYet || there == There::guide) continue;
        drawn::addMarks(layer.items, piece, quilt::placing(piece), drawn::markPen(look.quilt, piece));
    }
    return layer;
}

/// Round the piece that comes now, over whatever covers it.
sheet::Layer nowLayer(const Look& look, std::size_t piece, bool forAMoment) {
    sheet::Layer layer{"now", {}, {}, {}};
    const auto contours = sheet::contoursOf(quilt::placed(look.block.pieces[piece]));
    const auto dash = forAMoment ? Dash::dashed : Dash::solid;
    sheet::addHaloed(layer.items, contours, Pen{look::ink, 1.8, dash}, Pen{look::brassBright, 1.1, dash});
    return layer;
}

/// Numbers only of what the step speaks of: the piece, its guide, and what it is tucked under.
void keepFlags(Panel& panel, const Look& look, const plan::PlacementStep& step) {
    std::erase_if(panel.layers.back().items, [&](const sheet::Item& item) {
        const auto* flag = std::get_if<sheet::Flag>(&item);
        if (!flag) return false;
        const auto is = [&](std::size_t i) { return sheet::Tag(look.block.pieces[i].id) == flag->tag; };
        const bool tucked = std::any_of(step.tucks.begin(), step.tucks.end(),
                                        [&](const plan::TuckUnder& tuck) { return is(tuck.upper); });
        return !is(step.piece) && !(step.guide && is(*step.guide)) && !tucked;
    });
}

} // namespace

ViewParts layStepParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::laid, true);
    const auto placements = look.derived.placements();
    const auto dry = placements ? plan::dryLay(placements->steps) : std::vector<plan::PlacementStep>{};
    if (!dry.empty()) {
        const auto step = std::min(look.placementShown, dry.size() - 1);
        for (auto& layer : panel.layers)
            if (layer.name == "pieces") layer = piecesLayer(look, dry, step);
        keepFlags(panel, look, dry[step]);
        putOnGround(panel, look);
        panel.layers.insert(panel.layers.end() - 1, nowLayer(look, dry[step].piece, dry[step].forAMoment));
        addMeasures(panel, look, dry[step].piece);
        parts.rows = layRows(look, placements.get());
        for (std::size_t i = 0; i < parts.rows.rows.size(); ++i)
            parts.rows.rows[i].next =
                parts.rows.rows[i].tag == sheet::Tag(look.block.pieces[dry[step].piece].id);
    } else {
        putOnGround(panel, look);
        parts.rows = layRows(look, nullptr);
    }
    parts.scene.panels.push_back(std::move(panel));
    return parts;
}

} // namespace up::app
