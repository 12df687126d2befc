// SPDX-License-Identifier: GPL-3.0-or-later
// The block from the front: where each piece goes, in which order, and what it lies on.
#include "app/views/pieces.hpp"

#include <algorithm>

namespace up::app {
namespace {

/// Measures from the finished edges; an edge that the piece runs over is named instead.
std::string whereWords(const Look& look, const shape::Box& box, bool runsOff) {
    const auto edge = [&](const char* name, double mm) {
        return mm < 0 && runsOff ? std::string("off the ") + name
                                 : name + (" " + near(look.quilt, std::max(0.0, mm)));
    };
    return edge("left", box.left) + ", " + edge("top", box.top);
}

} // namespace

ViewParts layParts(const Look& look) {
    ViewParts parts;
    parts.scene.panels.push_back(blockPanel(look, quilt::Step::laid, true));
    parts.scene.draggable = true;
    parts.rows.title = "To lay, bottom first";
    const auto& plan = look.derived.block();
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.block.pieces[i];
        const auto box = plan.regions[i].bounds();
        Row row{plan::calledOf(look.block, piece), "", piece.id.value};
        row.detail = whereWords(look, box, piece.runsOff);
        row.swatch = colourOf(look.quilt, piece.fabric);
        row.done = piece.work.step >= quilt::Step::laid;
        row.next =
            std::find(look.next.pieces.begin(), look.next.pieces.end(), piece.id) != look.next.pieces.end();
        parts.rows.rows.push_back(std::move(row));
    }
    return parts;
}

} // namespace up::app
