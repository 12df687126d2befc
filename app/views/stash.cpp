// SPDX-License-Identifier: GPL-3.0-or-later
// Web, fabrics and threads of the quilt; webs drawn to scale.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/base/text.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

std::string pressingWords(const quilt::Pressing& p) {
    return words::said(p.steam ? N_("{0} s {1}, steam") : N_("{0} s {1}, no steam"),
                       {plainNumber(p.seconds, 1), p.heat});
}

Panel swatch(const std::string& name, const std::string& below, Colour colour, double width, double height) {
    Panel panel;
    panel.side = Side::plain;
    panel.caption = name;
    panel.below = below;
    panel.box = {0, 0, width, height};
    panel.layers.push_back({"swatch", {sheet::box(panel.box, colour, {})}, {}, {}});
    return panel;
}

/// "5 pieces", "background of 2 blocks".
std::string usesOf(const quilt::Quilt& quilt, FabricId fabric) {
    std::ptrdiff_t pieces = 0, grounds = 0;
    for (const auto& block : quilt.blocks) {
        pieces += std::count_if(block.pieces.begin(), block.pieces.end(),
                                [&](const auto& p) { return p.fabric == fabric; });
        grounds += block.background == fabric;
    }
    if (pieces > 0 && grounds > 0) // in two lines
        return words::said(N2_("{1}, behind {0} block", "{1}, behind {0} blocks"),
                           static_cast<std::size_t>(grounds),
                           {words::said(N2_("{0} piece", "{0} pieces"), static_cast<std::size_t>(pieces))});
    std::string out;
    if (pieces > 0) out = words::said(N2_("{0} piece", "{0} pieces"), static_cast<std::size_t>(pieces));
    if (grounds > 0)
        out = words::said(N2_("background of {0} block", "background of {0} blocks"),
                          static_cast<std::size_t>(grounds));
    return out.empty() ? words::tr("not used") : out;
}

/// Each as large as its panel allows: its size is written under it.
std::vector<Panel> offCutPanels(const quilt::Quilt& quilt) {
    std::vector<Panel> out;
    int number = 0;
    for (const auto& offCut : quilt.offCuts) {
        const shape::Region area{offCut.outline};
        Panel panel;
        panel.side = Side::plain;
        panel.tag = offCut.id;
        panel.caption = words::said(N_("Off-cut {0}"), {std::to_string(++number)});
        panel.box = area.bounds();
        panel.below = offCut.from.empty()
                          ? sizeOf(quilt, panel.box)
                          : words::said(N_("{0}\nfrom {1}"), {sizeOf(quilt, panel.box), offCut.from});
        panel.layers.push_back({"web",
                                {sheet::Shape{sheet::contoursOf(area), look::webPaper,
                                              sheet::Pen{look::slate, 1, sheet::Dash::dashed}}},
                                {},
                                {}});
        out.push_back(std::move(panel));
    }
    return out;
}

} // namespace

ViewParts stashParts(const quilt::Quilt& quilt) {
    ViewParts parts;
    parts.scene.badges = Badges::arrows;
    parts.scene.sameScale = false;
    parts.scene.empty = words::tr("The stash is empty.");
    for (auto& panel : offCutPanels(quilt))
        parts.scene.panels.push_back(std::move(panel));
    for (const auto& fabric : quilt.fabrics) {
        parts.scene.panels.push_back(swatch(fabric.name, usesOf(quilt, fabric.id), fabric.colour, 60, 40));
    }
    parts.rows.title = words::tr("Web");
    for (const auto& web : quilt.webs) {
        const auto size = measure::saySize(web.width, web.length(), quilt.units);
        const auto stock = web.packet() ? words::said(N2_("{0} sheet {1}", "{0} sheets {1}"),
                                                      static_cast<std::size_t>(web.packet()->sheets), {size})
                                        : words::said(N_("roll {0}"), {size});
        Row row{web.name,
                words::said(N_("{0}\nfirst {1}; final {2}"),
                            {stock, pressingWords(web.first), pressingWords(web.final)}),
                {}};
        row.swatch = look::webPaper;
        parts.rows.rows.push_back(std::move(row));
    }
    if (!quilt.offCuts.empty())
        parts.rows.rows.push_back(
            {words::said(N2_("{0} off-cut", "{0} off-cuts"), quilt.offCuts.size()),
             words::tr("They are laid out on first. Click one that is not there any more."),
             {}});
    return parts;
}

} // namespace up::app
