// SPDX-License-Identifier: GPL-3.0-or-later
// Trimming: the cut size with the finished size inside it.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/plan/work/progress.hpp"

namespace up::app {

ViewParts finishParts(const Look& look) {
    ViewParts parts;
    auto panel = blockPanel(look, quilt::Step::stitched, false);
    panel.layers.pop_back(); // no numbers any more
    const auto cut = quilt::cutBox(look.block);
    panel.box = cut.grownBy(12);
    sheet::Layer layer{"trim", {}, {}, {}};
    layer.items.push_back(
        sheet::box(cut, std::nullopt, sheet::Pen{look::brassBright, 0.9, sheet::Dash::dashed}));
    const auto seams = quilt::seamAllowance * 2;
    const auto width = look.block.width + seams, height = look.block.height + seams;
    layer.items.push_back(sheet::Words{
        say(look.quilt, width), {cut.centre().x, cut.top - 3.5}, 6, look::panel, sheet::Align::centre, true});
    layer.items.push_back(sheet::Words{say(look.quilt, height),
                                       {cut.centre().x, cut.bottom + 8},
                                       6,
                                       look::panel,
                                       sheet::Align::centre,
                                       true});
    panel.layers.push_back(std::move(layer));
    parts.scene.panels.push_back(std::move(panel));
    parts.rows.title = "Sizes";
    parts.rows.rows = {
        {"Trim to " + measure::saySize(width, height, look.quilt.units),
         "dashed brass line: the raw edge",
         {}},
        {"Finished " + measure::saySize(look.block.width, look.block.height, look.quilt.units),
         "inside a ¼ in seam allowance all round",
         {}},
        {std::to_string(look.block.pieces.size()) + " pieces",
         std::to_string(plan::countOf(look.block, quilt::Tread::stitch).done) + " of them stitched",
         {}}};
    parts.rows.rows.front().done = look.block.trimmed;
    return parts;
}

} // namespace up::app
