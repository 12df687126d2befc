// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/parts.hpp"

#include "core/shape/deepest.hpp"
#include "core/sheet/figures.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::drawn {
namespace {

using namespace sheet::palette;
using sheet::Dash;
using sheet::Pen;

std::vector<shape::Contour> moved(const std::vector<shape::Contour>& lines, const shape::Transform& by) {
    std::vector<shape::Contour> out;
    for (const auto& line : lines)
        out.push_back(transformed(line, by));
    return out;
}

} // namespace

const Style& styleFor(For whom) {
    static const Style screen{{pencil, 0.5},
                              {slate, 0.3, Dash::dashed},
                              {slate, 0.6},
                              {rust, 0.8, Dash::dotted},
                              {webPaper, 1.0},
                              {ochre, 0.7},
                              15,
                              2.5};
    static const Style paper{{pencil, 0.35},
                             {quiet, 0.2, Dash::dashed},
                             {quiet, 0.25},
                             {pencil, 0.35, Dash::dotted},
                             {panel, 0.6},
                             {quiet, 0.3},
                             12,
                             2.2};
    return whom == For::paper ? paper : screen;
}

Colour clothOf(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->colour : Colour{0xE8, 0xE6, 0xDF};
}

std::string fabricName(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->name : words::tr("no fabric yet");
}

void addMarks(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by,
              const Pen& pen) {
    if (piece.hasMarks()) items.push_back(sheet::Shape{moved(*piece.marks, by), std::nullopt, pen});
}

void addDotted(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by,
               const Style& style) {
    if (!piece.dotted->empty()) sheet::addHaloed(items, moved(*piece.dotted, by), style.halo, style.dotted);
}

void addLabel(std::vector<sheet::Item>& items, const shape::Region& region, const std::string& number,
              const std::string& fabric) {
    const auto [at, depth] = shape::deepestPoint(region);
    const double height = std::clamp(depth * 1.1, 2.6, 7.0);
    const bool roomy = depth > 9;
    items.push_back(sheet::Words{
        number, {at.x, at.y + height * (roomy ? 0.1 : 0.35)}, height, pencil, sheet::Align::centre, true});
    if (roomy)
        items.push_back(
            sheet::Words{fabric, {at.x, at.y + height * 0.1 + 4.2}, 3.2, quiet, sheet::Align::centre, false});
}

} // namespace up::drawn
