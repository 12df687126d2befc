// SPDX-License-Identifier: GPL-3.0-or-later
// Marks to be drawn on the right side of a piece, over a light box.
#include "core/quilt/labels.hpp"
#include "drawn/parts.hpp"
#include "output/pages/pages.hpp"
#include "words/translated.hpp"

namespace up::output {

std::vector<WholeSheet> markSheets(const quilt::Quilt& quilt, const quilt::Block& block) {
    using namespace sheet::palette;
    std::vector<WholeSheet> out;
    for (const auto& piece : block.pieces) {
        const auto step = piece.work.step;
        if (!piece.hasMarks() || piece.work.marksDrawn || step < quilt::Step::bonded ||
            step >= quilt::Step::laid)
            continue;
        constexpr double border = 8; // mm
        const auto box = boundsOf(*piece.outline).grownBy(border);
        sheet::Layer layer{"marks", {}, shape::Transform::moveBy(-box.left, -box.top), {}};
        layer.items.push_back(sheet::Shape{sheet::contoursOf(*piece.outline),
                                           mixed(panel, drawn::clothOf(quilt, piece.fabric), 0.12),
                                           sheet::Pen{slate, 0.4, sheet::Dash::dashed}});
        drawn::addMarks(layer.items, piece, {}, sheet::Pen{ink, 0.8});
        out.push_back({words::said(N_("{0}: its marks, right side up"), {quilt::calledOf(block, piece)}),
                       false, sheet::Page{box.width(), box.height(), {std::move(layer)}}});
    }
    return out;
}

} // namespace up::output
