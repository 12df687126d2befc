// SPDX-License-Identifier: GPL-3.0-or-later
// The block under the iron: what is fused, what is to be pressed next, which edges to test.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {

ViewParts fuseParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::laid, false);
    sheet::Layer ready{"ready", {}, {}, quilt::cutBox(look.block)};
    parts.rows.title = words::tr("To fuse and test");
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.block.pieces[i];
        Row row{quilt::calledOf(look.block, piece), words::state(piece.work.step), piece.id};
        row.swatch = drawn::clothOf(look.quilt, piece.fabric);
        row.done = piece.work.step >= quilt::Step::tested;
        row.next =
            std::find(look.next.pieces.begin(), look.next.pieces.end(), piece.id) != look.next.pieces.end();
        if (row.next)
            for (const auto& edge : sheet::contoursOf(look.derived.block().visibleEdges[i]))
                ready.items.push_back(sheet::Shape{
                    {edge}, std::nullopt, sheet::Pen{look::brassBright, 0.8, sheet::Dash::solid}});
        parts.rows.rows.push_back(std::move(row));
    }
    panel.layers.insert(panel.layers.end() - 2, std::move(ready)); // under what is chosen, and the numbers
    parts.scene.panels.push_back(std::move(panel));
    return parts;
}

} // namespace up::app
