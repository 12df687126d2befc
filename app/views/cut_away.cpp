// SPDX-License-Identifier: GPL-3.0-or-later
// What is cut away once a piece is stitched: hatched, its edge where the scissors go, the stitching beside it.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/sheet/figures.hpp"
#include "words/translated.hpp"

#include <cmath>

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

/// Slanting strokes within the region.
std::vector<shape::Contour> hatched(const shape::Region& region) {
    constexpr double apart = 4; // mm
    const auto box = region.bounds();
    std::vector<shape::Polyline> out;
    for (double at = box.left - box.height(); at < box.right; at += apart) {
        const shape::Polyline stroke{{at, box.bottom}, {at + box.height(), box.top}};
        for (auto& part : shape::inside(stroke, region))
            out.push_back(std::move(part));
    }
    return sheet::contoursOf(out);
}

sheet::Layer cutLayer(const Look& look, const plan::CutAway& cut, const shape::Box& box) {
    sheet::Layer layer{"cutAway", {}, {}, box};
    const auto& piece = the(look.block.pieces, cut.piece);
    sheet::addHaloed(layer.items, sheet::contoursOf(quilt::placed(piece)), Pen{look::panel, 2},
                     Pen{threadColour(look.quilt, piece.thread), 1.0, Dash::dashed});
    layer.items.push_back(sheet::Shape{sheet::contoursOf(cut.where), look::rust, {}, {}, 0.18});
    layer.items.push_back(sheet::Shape{hatched(cut.where), std::nullopt, Pen{look::rust, 0.35}});
    sheet::addHaloed(layer.items, sheet::contoursOf(cut.where), Pen{look::panel, 1.8}, Pen{look::rust, 0.9});
    return layer;
}

/// What does not lie there yet is left out: it would hide what is cut.
void leaveOutWhatWaits(Panel& panel, const quilt::Block& block) {
    const auto waits = [&](const sheet::Tag& tag) {
        const auto* id = std::get_if<PieceId>(&tag);
        const auto* piece = id ? find(block.pieces, *id) : nullptr;
        return piece && piece->work.step < quilt::Step::laid;
    };
    for (auto& layer : panel.layers)
        std::erase_if(layer.items, [&](const sheet::Item& item) {
            const auto* shape = std::get_if<sheet::Shape>(&item);
            const auto* flag = std::get_if<sheet::Flag>(&item);
            return (shape && waits(shape->tag)) || (flag && waits(flag->tag));
        });
}

} // namespace

Panel cutAwayPanel(const Look& look) {
    const auto& cut = *look.next.cutAway;
    auto panel = blockPanel(look, quilt::Step::laid, false);
    leaveOutWhatWaits(panel, look.block);
    panel.layers.push_back(cutLayer(look, cut, panel.box));
    std::swap(panel.layers[panel.layers.size() - 1],
              panel.layers[panel.layers.size() - 2]); // the numbers over it
    panel.caption = cut.fromBack
                        ? words::tr("From the back: cut away what is hatched, the lower layer only")
                        : words::tr("From the front: cut away what is hatched, the upper layer only");
    return cut.fromBack ? fromBehind(look, std::move(panel), 3) : panel;
}

} // namespace up::app
