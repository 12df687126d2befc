// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/stash_panels.hpp"

#include "app/look/look.hpp"
#include "app/views/pieces.hpp"
#include "core/base/lab.hpp"
#include "core/plan/bond/on_cloth.hpp"
#include "drawn/on_cloth.hpp"
#include "words/stash_words.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::app {
namespace {

using measure::Length;
using sheet::Dash;
using sheet::Pen;

/// Lightness before hue: greys and near greys first, then round the colour circle. Source: CIELAB's hue angle
/// and chroma; what counts as grey is invented.
std::pair<int, double> placeOf(Colour colour) {
    const auto lab = labOf(colour);
    constexpr double grey = 8; // of chroma
    if (std::hypot(lab.a, lab.b) < grey) return {0, lab.lightness};
    return {1, std::atan2(lab.b, lab.a)};
}

/// Wrong side up, with its print, and where chunks are to go.
Shown clothShown(const quilt::Quilt& quilt, const quilt::Cloth& cloth,
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
    const auto* fabric = find(quilt.fabrics, cloth.fabric);
    std::string said = cloth.name + " " + (fabric ? saidOf(*fabric) : "") + " " + cloth.from + " " + held;
    if (cloth.scrap) said += std::string(" ") + words::tr("scrap");
    if (cloth.washed) said += std::string(" ") + words::tr("washed");
    auto free = area;
    for (const auto& other : use.others)
        free = shape::subtract(free, other);
    if (const auto holds = words::holdsWords(free, quilt.units); !holds.empty()) panel.below += "\n" + holds;
    return {std::move(panel), {std::move(said), drawn::clothOf(quilt, cloth.fabric), std::move(free)}};
}

template<class Thing, class ColourOf>
std::vector<const Thing*> byColour(const std::vector<Thing>& things, ColourOf colour) {
    std::vector<const Thing*> out;
    for (const auto& thing : things)
        out.push_back(&thing);
    std::stable_sort(out.begin(), out.end(),
                     [&](const auto* a, const auto* b) { return placeOf(colour(*a)) < placeOf(colour(*b)); });
    return out;
}

Panel plainPanel(const std::string& caption, sheet::Tag tag, const shape::Box& box) {
    Panel panel;
    panel.side = Side::plain;
    panel.caption = caption;
    panel.tag = tag;
    panel.box = box;
    return panel;
}

/// A spool from the side, three times as large as the rest, as full as its thread makes it. How thick thread is follows from its tex and the density of
/// polyester, 1.38 g/cm³ (common practice); how closely it is wound and how large a spool is are invented.
struct Spool {
    double core = 8, height = 40, flange = 24; ///< mm; radii
    [[nodiscard]] double radius(Length left, double tex) const {
        constexpr double density = 1.38e-3, wound = 0.6; // g/mm³; of the room between two flanges
        const double volume = left.mm() * tex * 1e-6 / density / wound;
        return std::min(flange, std::sqrt(core * core + volume / (std::numbers::pi * height)));
    }
};

Shown threadShown(const quilt::Thread& thread) {
    constexpr double usualTex = 30; // of sewing thread; common practice
    const Spool spool;
    const double plate = 4;      // mm
    constexpr double larger = 3; // times: nobody would see a spool beside a fat quarter
    auto panel = plainPanel(thread.name, thread.id,
                            {0, 0, larger * 2 * spool.flange, larger * (spool.height + 2 * plate)});
    panel.below = words::leftWords(thread);
    const double radius =
        spool.radius(thread.spool.value_or(Length::ofMm(300'000)), thread.tex.value_or(usualTex));
    const double middle = spool.flange;
    const Pen line{look::ink, 0.4, thread.spool ? Dash::solid : Dash::dashed};
    sheet::Layer layer{"spool", {}, shape::Transform::scale(larger, larger), {}};
    const auto add = [&](const shape::Box& box, Colour colour, const Pen& pen) {
        layer.items.push_back(sheet::box(box, colour, pen));
    };
    add({middle - spool.core, plate, middle + spool.core, plate + spool.height}, look::panel, line);
    const bool empty = thread.spool && *thread.spool <= Length{};
    if (!empty) add({middle - radius, plate, middle + radius, plate + spool.height}, thread.colour, line);
    for (const double top : {0.0, plate + spool.height})
        add({0, top, 2 * spool.flange, top + plate}, look::line, {look::ink, 0.4, Dash::solid});
    panel.layers = {std::move(layer)};
    return {std::move(panel), {thread.name + " " + words::tr("thread"), thread.colour, {}}};
}

/// A length of something that is wide: what hangs off its roll, up to half a yard; the rest is on the roll.
sheet::Layer rolled(double width, double length, Colour colour) {
    constexpr double shown = 457, roll = 40; // mm
    sheet::Layer layer{"roll", {}, {}, {}};
    const Pen pen{look::slate, 1, Dash::solid};
    const double top = length > shown ? roll : 0;
    layer.items.push_back(sheet::box({0, top, width, top + std::min(length, shown)}, colour, pen));
    if (length > shown)
        layer.items.push_back(sheet::box({0, 0, width, roll}, look::mixed(colour, look::ink, 0.85), pen));
    return layer;
}

shape::Box boxOf(const sheet::Layer& layer) {
    shape::Box box;
    for (const auto& item : layer.items)
        for (const auto& contour : std::get<sheet::Shape>(item).contours)
            box.take(boundsOf(contour));
    return box;
}

shape::Region areaOf(Length width, Length length) {
    return width > Length{} && length > Length{} ? shape::rectangle({0, 0, width.mm(), length.mm()})
                                                 : shape::Region{};
}

Shown webShown(const quilt::Quilt& quilt, const quilt::Web& web) {
    sheet::Layer layer;
    if (const auto* packet = web.packet()) {
        constexpr double step = 7; // mm from one sheet of the heap to the next
        layer.name = "sheets";
        const int seen = std::clamp(packet->sheets, 0, 6);
        for (int i = seen; i-- > 0;)
            layer.items.push_back(
                sheet::box({i * step, -i * step, i * step + web.width.mm(), packet->length.mm() - i * step},
                           look::webPaper, Pen{look::slate, 1, Dash::solid}));
        if (seen == 0)
            layer.items.push_back(sheet::box({0, 0, web.width.mm(), packet->length.mm()}, std::nullopt,
                                             Pen{look::slate, 1, Dash::dashed}));
    } else {
        layer = rolled(web.width.mm(), web.length().mm(), look::webPaper);
    }
    auto panel = plainPanel(web.name, web.id, boxOf(layer));
    panel.below = words::stockWords(web, quilt.units);
    panel.layers = {std::move(layer)};
    const bool any = !web.packet() || web.packet()->sheets > 0;
    return {std::move(panel),
            {web.name + " " + words::tr("web"), std::nullopt,
             any ? areaOf(web.width, web.length()) : shape::Region{}}};
}

/// Each as large as its panel allows: its size is written under it.
Shown offCutShown(const quilt::Quilt& quilt, const quilt::OffCut& offCut, int number) {
    const shape::Region area{offCut.outline};
    auto panel =
        plainPanel(words::said(N_("Off-cut {0}"), {std::to_string(number)}), offCut.id, area.bounds());
    panel.below = offCut.from.empty()
                      ? sizeOf(quilt, panel.box)
                      : words::said(N_("{0}\nfrom {1}"), {sizeOf(quilt, panel.box), offCut.from});
    panel.layers.push_back(
        {"web",
         {sheet::Shape{sheet::contoursOf(area), look::webPaper, Pen{look::slate, 1, Dash::dashed}}},
         {},
         {}});
    return {panel, {panel.caption + " " + words::tr("web") + " " + offCut.from, std::nullopt, area}};
}

/// How many of the quilt's largest blocks it is enough for, cut as squares.
std::size_t blocksIn(const quilt::Quilt& quilt, const quilt::Supply& supply) {
    double wide = 0, high = 0;
    for (const auto& block : quilt.blocks)
        wide = std::max(wide, quilt::cutBox(block).width()),
        high = std::max(high, quilt::cutBox(block).height());
    if (wide <= 0 || high <= 0) return 0;
    const auto fit = [&](double across, double along) {
        return std::floor(supply.width.mm() / across) * std::floor(supply.length.mm() / along);
    };
    return static_cast<std::size_t>(std::max(fit(wide, high), fit(high, wide)));
}

Shown supplyShown(const quilt::Quilt& quilt, const quilt::Supply& supply) {
    auto layer = rolled(supply.width.mm(), supply.length.mm(),
                        supply.purpose == quilt::Purpose::batting ? look::panel : look::webPaper);
    auto panel = plainPanel(supply.name, supply.id, boxOf(layer));
    const auto size = measure::saySize(supply.width, supply.length, quilt.units);
    panel.below = words::purposeWords(supply.purpose) + ", " + size;
    if (const auto blocks = blocksIn(quilt, supply); blocks > 0)
        panel.below += "\n" + words::said(N2_("enough for {0} block", "enough for {0} blocks"), blocks);
    panel.layers = {std::move(layer)};
    return {std::move(panel),
            {supply.name + " " + words::purposeWords(supply.purpose), std::nullopt,
             areaOf(supply.width, supply.length)}};
}

Shown ironShown(const quilt::Quilt& quilt, const quilt::Iron& iron) {
    const auto area = shape::regionOf(iron.outline);
    auto panel = plainPanel(iron.name, iron.id, area.bounds());
    panel.chosen = iron.id == quilt.iron;
    panel.below =
        panel.chosen ? words::said(N_("{0}\nin use"), {sizeOf(quilt, panel.box)}) : sizeOf(quilt, panel.box);
    panel.layers.push_back(
        {"soleplate",
         {sheet::Shape{sheet::contoursOf(area), look::mixed(look::slate, look::panel, 0.35),
                       Pen{look::slate, 1, Dash::solid}}},
         {},
         {}});
    return {std::move(panel), {iron.name + " " + words::tr("iron"), std::nullopt, {}}};
}

} // namespace

std::string saidOf(const quilt::Fabric& fabric) {
    std::string out = fabric.name;
    if (fabric.print == quilt::Print::striped) out += std::string(" ") + words::tr("striped");
    if (fabric.alike) out += std::string(" ") + words::tr("batik");
    return out;
}

std::vector<Shown> stashPanels(const quilt::Quilt& quilt) {
    std::vector<Shown> out;
    const auto waiting = plan::waitingOfOthers(quilt, {});
    for (const auto* cloth :
         byColour(quilt.cloths, [&](const auto& one) { return drawn::clothOf(quilt, one.fabric); }))
        out.push_back(clothShown(quilt, *cloth, waiting));
    for (const auto* thread : byColour(quilt.threads, [](const auto& one) { return one.colour; }))
        if (thread->spool || thread->bobbin || !thread->key.empty()) out.push_back(threadShown(*thread));
    for (const auto& web : quilt.webs)
        out.push_back(webShown(quilt, web));
    int number = 0;
    for (const auto& offCut : quilt.offCuts)
        out.push_back(offCutShown(quilt, offCut, ++number));
    for (const auto& supply : quilt.supplies)
        out.push_back(supplyShown(quilt, supply));
    for (const auto& iron : quilt.irons)
        out.push_back(ironShown(quilt, iron));
    return out;
}

} // namespace up::app
