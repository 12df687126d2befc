// SPDX-License-Identifier: GPL-3.0-or-later
// Web, fabrics and threads of the quilt; webs drawn to scale.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/base/text.hpp"

#include <algorithm>

namespace up::app {
namespace {

std::string pressingWords(const quilt::Pressing& p) {
    return plainNumber(p.seconds, 1) + " s " + p.heat + (p.steam ? ", steam" : ", no steam");
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
    std::string out;
    if (pieces > 0) out = std::to_string(pieces) + (pieces == 1 ? " piece" : " pieces");
    if (grounds > 0)
        out += (out.empty() ? "" : "\n") + ("background of " + std::to_string(grounds)) +
               (grounds == 1 ? " block" : " blocks");
    return out.empty() ? "not used" : out;
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
        panel.caption = "Off-cut " + std::to_string(++number);
        panel.box = area.bounds();
        panel.below = sizeOf(quilt, panel.box) + (offCut.from.empty() ? "" : "\nfrom " + offCut.from);
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
    parts.scene.empty = "The stash is empty.";
    for (auto& panel : offCutPanels(quilt))
        parts.scene.panels.push_back(std::move(panel));
    for (const auto& fabric : quilt.fabrics) {
        parts.scene.panels.push_back(swatch(fabric.name, usesOf(quilt, fabric.id), fabric.colour, 60, 40));
    }
    parts.rows.title = "Web";
    for (const auto& web : quilt.webs) {
        const auto size = measure::saySize(web.width, web.length(), quilt.units);
        Row row{web.name,
                (web.packet() ? std::to_string(web.packet()->sheets) + " sheets " : "roll ") + size,
                {}};
        row.detail += "\nfirst " + pressingWords(web.first) + "; final " + pressingWords(web.final);
        row.swatch = look::webPaper;
        parts.rows.rows.push_back(std::move(row));
    }
    if (!quilt.offCuts.empty())
        parts.rows.rows.push_back(
            {std::to_string(quilt.offCuts.size()) + (quilt.offCuts.size() == 1 ? " off-cut" : " off-cuts"),
             "They are laid out on first. Click one that is not there any more.",
             {}});
    return parts;
}

} // namespace up::app
