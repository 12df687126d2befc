// SPDX-License-Identifier: GPL-3.0-or-later
// Web, fabrics and threads of the quilt; webs drawn to scale.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/base/lab.hpp"
#include "core/base/text.hpp"
#include "core/plan/bond/on_cloth.hpp"
#include "drawn/on_cloth.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

std::string pressingWords(const quilt::Pressing& p) {
    return words::said(p.steam ? N_("{0} s {1}, steam") : N_("{0} s {1}, no steam"),
                       {plainNumber(p.seconds, 1), p.heat});
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

/// Lightness before hue: greys and near greys first, then round the colour circle. Source: CIELAB's hue angle
/// and chroma; what counts as grey is invented.
std::pair<int, double> placeOf(Colour colour) {
    const auto lab = labOf(colour);
    constexpr double grey = 8; // of chroma
    if (std::hypot(lab.a, lab.b) < grey) return {0, lab.lightness};
    return {1, std::atan2(lab.b, lab.a)};
}

/// Wrong side up, with its print, and where chunks are to go.
Panel clothPanel(const quilt::Quilt& quilt, const quilt::Cloth& cloth,
                 const std::vector<plan::Waiting>& all) {
    const shape::Region area{cloth.outline};
    Panel panel;
    panel.side = Side::plain;
    panel.tag = cloth.id;
    panel.caption = cloth.name;
    panel.box = area.bounds();
    const auto* holder = find(quilt.blocks, cloth.heldFor);
    const std::string held = holder ? holder->name : cloth.heldElsewhere;
    panel.below = !held.empty() ? words::said(N_("{0}\nkept for {1}"), {sizeOf(quilt, panel.box), held})
                  : cloth.from.empty()
                      ? sizeOf(quilt, panel.box)
                      : words::said(N_("{0}\nfrom {1}"), {sizeOf(quilt, panel.box), cloth.from});
    plan::ClothUse use{cloth.id, {}, {}, {}};
    for (const auto& waiting : all)
        if (waiting.cloth == cloth.id) use.others.push_back(waiting.outline);
    static const quilt::Block none{};
    static const plan::TracePlan nothing{};
    panel.layers = drawn::clothLayers({quilt, none, nothing}, cloth, use, panel.box);
    return panel;
}

std::vector<Panel> clothPanels(const quilt::Quilt& quilt) {
    std::vector<const quilt::Cloth*> cloths;
    for (const auto& cloth : quilt.cloths)
        cloths.push_back(&cloth);
    const auto colour = [&](const quilt::Cloth* cloth) {
        return placeOf(drawn::clothOf(quilt, cloth->fabric));
    };
    std::stable_sort(cloths.begin(), cloths.end(),
                     [&](const auto* a, const auto* b) { return colour(a) < colour(b); });
    const auto waiting = plan::waitingOfOthers(quilt, {});
    std::vector<Panel> out;
    for (const auto* cloth : cloths)
        out.push_back(clothPanel(quilt, *cloth, waiting));
    return out;
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
    parts.scene.flowing = true;
    parts.scene.leastScale = 0.27;
    parts.scene.empty = words::tr(
        "The stash is empty.\nPut in what cloth you have with “Cloth…”; scraps are offered when you bond.");
    for (auto& panel : clothPanels(quilt))
        parts.scene.panels.push_back(std::move(panel));
    for (auto& panel : offCutPanels(quilt))
        parts.scene.panels.push_back(std::move(panel));
    parts.rows.title = words::tr("Web and fabrics");
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
    for (const auto& fabric : quilt.fabrics) {
        Row row{fabric.name, usesOf(quilt, fabric.id), {}};
        row.swatch = fabric.colour;
        parts.rows.rows.push_back(std::move(row));
    }
    return parts;
}

} // namespace up::app
