// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/on_cloth.hpp"

#include "core/quilt/labels.hpp"
#include "core/shape/deepest.hpp"

#include <algorithm>
#include <cmath>

namespace up::drawn {
namespace {

using namespace sheet::palette;
using shape::Point;
using shape::Region;
using shape::Transform;
using sheet::Dash;
using sheet::Pen;

/// The wrong side is paler than the right one.
Colour wrongSide(Colour cloth) {
    return mixed(cloth, panel, 0.35);
}

/// Lines the way the print runs, with heads when it has one.
void addPrint(sheet::Layer& layer, const quilt::Cloth& cloth, const Region& area, bool oneWay, Colour line) {
    if (!cloth.stripes) return;
    const auto box = area.bounds();
    const double reach = std::hypot(box.width(), box.height()) / 2;
    const auto turn = Transform::moveBy(box.centre().x, box.centre().y) * Transform::turn(*cloth.stripes);
    constexpr double apart = 7, barb = 3; // mm
    std::vector<shape::Polyline> lines;
    for (double y = -reach; y <= reach; y += apart)
        for (auto& stretch : shape::inside({turn({-reach, y}), turn({reach, y})}, area)) {
            if (oneWay && stretch.size() >= 2) {
                const auto flat = Transform::turn(*cloth.stripes);
                const auto head = turn.inverse()(stretch.front()).x > turn.inverse()(stretch.back()).x
                                      ? stretch.front()
                                      : stretch.back();
                lines.push_back({head + flat({-barb, -barb / 2}), head, head + flat({-barb, barb / 2})});
            }
            lines.push_back(std::move(stretch));
        }
    layer.items.push_back(sheet::Shape{sheet::contoursOf(lines), std::nullopt, Pen{line, 0.5}});
}

} // namespace

std::vector<sheet::Layer> chunkLayers(const BondDrawing& what, const plan::Chunk& chunk,
                                      const Transform& to) {
    sheet::Layer layer{"chunk", {}, {}, {}}, flags{"flags", {}, {}, {}};
    const Colour cloth = clothOf(what.quilt, chunk.fabric);
    layer.items.push_back(sheet::Shape{sheet::contoursOf(shape::transformed(chunk.roughCut, to)), webPaper,
                                       Pen{slate, 0.4, Dash::dashed}, chunk.pieces.front(), 0.92});
    for (const auto& [id, outline] : what.trace.lines) {
        if (std::find(chunk.pieces.begin(), chunk.pieces.end(), id) == chunk.pieces.end()) continue;
        const auto here = transformed(outline, to);
        const bool chosen = id == what.chosen;
        layer.items.push_back(sheet::Shape{sheet::contoursOf(here), mixed(webPaper, cloth, 0.18),
                                           Pen{chosen ? brass : pencil, chosen ? 1.2 : 0.4, Dash::solid},
                                           id});
        const auto spot = shape::deepestPoint(shape::regionOf(here), 1.0);
        flags.items.push_back(
            sheet::Flag{quilt::labelOf(what.block, id), spot.at, true, cloth, spot.depth * 2, id});
    }
    return {std::move(layer), std::move(flags)};
}

std::vector<sheet::Layer> clothLayers(const BondDrawing& what, const quilt::Cloth& cloth,
                                      const plan::ClothUse& use, const shape::Box& seen) {
    const Region area{cloth.outline};
    const auto* fabric = find(what.quilt.fabrics, cloth.fabric);
    const Colour colour = wrongSide(clothOf(what.quilt, cloth.fabric));
    sheet::Layer under{"cloth", {}, {}, seen};
    under.items.push_back(
        sheet::Shape{sheet::contoursOf(area), colour, Pen{mixed(colour, ink, 0.5), 0.6, Dash::solid}});
    addPrint(under, cloth, area, fabric && fabric->print == quilt::Print::oneWay, mixed(colour, ink, 0.25));
    for (const auto& other : use.others)
        under.items.push_back(sheet::Shape{
            sheet::contoursOf(other), mixed(colour, plaster, 0.5), Pen{slate, 0.4, Dash::dotted}, {}, 0.8});
    std::vector<sheet::Layer> out{std::move(under)};
    for (const auto& laid : use.chunks) {
        const auto& chunk = what.trace.chunks[laid.chunk];
        const auto to = Transform::moveBy(laid.where.x, laid.where.y) * Transform::turn(laid.where.turn);
        auto layers = chunkLayers(what, chunk, to);
        for (auto& layer : layers)
            layer.clip = seen;
        auto& lines = layers.front().items;
        if (laid.lies != plan::Lies::well)
            lines.push_back(
                sheet::Shape{sheet::contoursOf(laid.outline), std::nullopt, Pen{rust, 1.4, Dash::dotted}});
        if (laid.where.pinned) {
            const auto at = shape::deepestPoint(laid.outline, 1.0).at;
            lines.push_back(sheet::Shape{
                sheet::contoursOf(shape::offset(shape::rectangle({at.x - 0.1, at.y - 0.1, at.x, at.y}), 1.8)),
                brass, Pen{ink, 0.3}});
        }
        for (auto& layer : layers)
            out.push_back(std::move(layer));
    }
    return out;
}

} // namespace up::drawn
