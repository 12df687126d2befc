// SPDX-License-Identifier: GPL-3.0-or-later
// Trimming: the cut size with the finished size inside it.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/plan/work/progress.hpp"
#include "words/translated.hpp"

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
    parts.rows.title = words::tr("Sizes");
    parts.rows.rows = {
        {words::said(N_("Trim to {0}"), {measure::saySize(width, height, look.quilt.units)}),
         words::tr("dashed brass line: the raw edge"),
         {}},
        {words::said(N_("Finished {0}"),
                     {measure::saySize(look.block.width, look.block.height, look.quilt.units)}),
         words::tr("inside a ¼ in seam allowance all round"),
         {}},
        {words::said(N2_("{0} piece", "{0} pieces"), look.block.pieces.size()),
         words::said(N2_("{0} of them stitched", "{0} of them stitched"),
                     static_cast<std::size_t>(plan::countOf(look.block, quilt::Tread::stitch).done)),
         {}}};
    parts.rows.rows.front().done = look.block.trimmed;
    return parts;
}

} // namespace up::app
