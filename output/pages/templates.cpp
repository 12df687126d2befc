// SPDX-License-Identifier: GPL-3.0-or-later
// Templates of pieces without web, beside each other, not reversed.
#include "drawn/templates.hpp"
#include "core/quilt/labels.hpp"
#include "output/pages/contents.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::output {
namespace {

using quilt::Block;
using quilt::Quilt;

constexpr double between = 6, acrossMost = 180; // mm: rows as wide as paper takes

} // namespace

Result<std::vector<sheet::Page>> templatePages(const Quilt& quilt, const Block& block,
                                               const PageOptions& options) {
    Content content{
        {},
        {0, 0, acrossMost, 0},
        words::said(N_("{0}: templates"), {block.name}),
        words::tr("Front, as seen: not reversed. For pieces without web."),
        words::tr(
            "Solid: drawn round, the edge. Dashed: cut. Dotted: folds to find the middle. Short strokes: "
            "clip.")};
    double left = 0, top = 0, high = 0;
    for (const auto& piece : block.pieces) {
        if (!piece.isOffWeb()) continue;
        const auto one = plan::templateOf(piece);
        const auto box = one.cut.bounds();
        if (left > 0 && left + box.width() > acrossMost) left = 0, top += high + between, high = 0;
        const auto by = shape::Transform::moveBy(left - box.left, top - box.top);
        for (auto& item : drawn::templateLayer(quilt, piece, one, drawn::For::paper).items) {
            if (auto* drawn = std::get_if<sheet::Shape>(&item))
                for (auto& contour : drawn->contours)
                    contour = transformed(contour, by);
            content.items.push_back(std::move(item));
        }
        drawn::addLabel(content.items, transformed(one.line, by), quilt::labelOf(block, piece.id),
                        drawn::fabricName(quilt, piece.fabric));
        left += box.width() + between, high = std::max(high, box.height());
        content.box.take(shape::Point{left - between, top + high});
    }
    if (content.items.empty()) return failure(Code::nothingToDo, {block.name});
    return tiled(content, options);
}

} // namespace up::output
