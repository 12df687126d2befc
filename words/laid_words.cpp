// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/laid_words.hpp"

#include "core/base/text.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/quilt/laying.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace up::words {

using measure::Length;
using quilt::LaidEnd;
using quilt::Trim;

std::string trimName(Trim trim) {
    switch (trim) {
    case Trim::stem: return tr("Bias stem");
    case Trim::tape: return tr("Tape (leading)");
    case Trim::chenille: return tr("Chenille");
    case Trim::ribbon: return tr("Ribbon");
    case Trim::rickrack: return tr("Rickrack");
    case Trim::cord: return tr("Cord");
    case Trim::yarn: return tr("Yarn, couched");
    case Trim::button: return tr("Buttons");
    case Trim::flower: return tr("Gathered flowers");
    case Trim::dot: return tr("Dots");
    }
    return {};
}

std::string laidEndName(LaidEnd end) {
    switch (end) {
    case LaidEnd::turnedIn: return tr("turned in");
    case LaidEnd::sealed: return tr("sealed");
    case LaidEnd::covered: return tr("covered later");
    case LaidEnd::runsOff: return tr("runs off");
    }
    return {};
}

namespace {

/// To the next eighth or half centimetre: shorter would be too short.
std::string cutLong(Length length, measure::System units) {
    const double step = units == measure::System::inches ? 25.4 / 8 : 5;
    return measure::say(Length::ofMm(std::ceil(length.mm() / step - 1e-6) * step), units);
}

std::string lengthsWords(const std::vector<Length>& lengths, measure::System units) {
    std::vector<std::string> all;
    for (const auto length : lengths)
        all.push_back(cutLong(length, units));
    return listed(all);
}

std::string clothName(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->name : std::string(tr("cloth of no colour yet"));
}

std::string thingWords(Trim trim, std::size_t count) {
    if (trim == Trim::button) return said(N2_("{0} button", "{0} buttons"), count);
    if (trim == Trim::flower) return said(N2_("{0} gathered flower", "{0} gathered flowers"), count);
    return said(N2_("{0} dot", "{0} dots"), count);
}

/// Along a line: how the strip is prepared and put down.
std::string putDownWords(const quilt::Line& line) {
    switch (line.laid->trim) {
    case Trim::stem:
        return line.laid->width < quilt::stemSeam
                   ? tr("Fold it in half, raw edges on their line; sew a ¼ in seam, trim it to less than the "
                        "stem, press it over.")
                   : tr("Fold it in half, raw edges on their line; sew a ¼ in seam, press it over them.");
    case Trim::tape:
        return tr("Both edges turned under; tack it over the border, the inner side of a bend first.");
    case Trim::chenille: return tr("Raw edges stay; pin it, and brush them up once it is stitched.");
    case Trim::ribbon:
    case Trim::rickrack: return tr("Pin it flat.");
    case Trim::cord:
    case Trim::yarn: return tr("Lay it without pulling.");
    case Trim::button:
    case Trim::flower:
    case Trim::dot: break;
    }
    return {};
}

std::string endsWords(LaidEnd begin, LaidEnd end) {
    if (begin == end) return said(N_("Ends: {0}."), {laidEndName(end)});
    return said(N_("Starts {0}, ends {1}."), {laidEndName(begin), laidEndName(end)});
}

/// Three lengths, one in the other: so long are strips for a flower so wide, gathered to a third. Source: common practice.
std::string flowerWords(const quilt::Quilt& quilt, const quilt::Laid& laid) {
    std::vector<std::string> lengths;
    for (const double share : {1.0, 2.0 / 3, 1.0 / 3})
        lengths.push_back(cutLong(Length::ofMm(laid.width.mm() * 3 * 3.14159 * share / 2), quilt.units));
    return said(N_("For each gather strips of {0} on a running stitch, the longest beneath."),
                {listed(lengths)});
}

} // namespace

std::string laidWords(const quilt::Quilt& quilt, const quilt::Block& block, const quilt::Line& line) {
    const auto& laid = *line.laid;
    if (quilt::isThing(laid.trim)) {
        const auto places = thingsAt(line).size();
        auto out = said(N_("{0}, {1} across"),
                        {thingWords(laid.trim, places), measure::say(laid.width, quilt.units)});
        if (laid.called > 0 && places != static_cast<std::size_t>(laid.called))
            out += said(N_("; {0} are called for"), {std::to_string(laid.called)});
        return out;
    }
    std::vector<Length> lengths;
    for (const auto& strip : plan::planLaid(block).strips)
        if (strip.line == line.id) lengths.push_back(strip.cutLong);
    const auto wide = measure::say(laid.width, quilt.units);
    if (!quilt::isBias(laid.trim))
        return said(N_("{0} wide, cut {1}"), {wide, lengthsWords(lengths, quilt.units)});
    return said(N_("{0} wide; strips at 45° {1} wide, {2} long, of {3}"),
                {wide, measure::say(plan::cutWide(laid), quilt.units), lengthsWords(lengths, quilt.units),
                 clothName(quilt, laid.fabric)});
}

std::string laidHowWords(const quilt::Quilt& quilt, const quilt::Line& line) {
    const auto& laid = *line.laid;
    std::string how;
    if (laid.glued)
        how = tr("Glued on.");
    else if (quilt::isThing(laid.trim))
        how = said(N_("Sewn on by hand, {0}."), {threadWords(quilt, line.thread)});
    else if (quilt::isByHand(line.stitch))
        how = said(N_("Slip-stitched by hand, {0}."), {threadWords(quilt, line.thread)});
    else if (line.stitch == quilt::LineStitch::machineSatin)
        how = said(N_("Zigzag over it once, {0}."), {threadWords(quilt, line.thread)});
    else
        how = said(N_("Stitched by machine, {0}."), {threadWords(quilt, line.thread)});
    return quilt::isThing(laid.trim) ? how : how + " " + endsWords(laid.begin, laid.end);
}

LaidSaid laidSaid(const quilt::Quilt& quilt, const quilt::Block& block, const plan::LaidNow& now) {
    const auto& line = the(block.lines, now.line);
    const auto& laid = *line.laid;
    if (now.lies)
        return {said(N_("Stitch {0} by hand along its edges."), {line.name}), laidHowWords(quilt, line),
                tr("Stitched")};
    if (quilt::isThing(laid.trim)) {
        auto because = laidHowWords(quilt, line);
        if (laid.trim == Trim::flower) because = flowerWords(quilt, laid) + " " + because;
        if (laid.called > 0 && now.things != static_cast<std::size_t>(laid.called))
            because =
                said(N_("{0} are called for: count again."), {std::to_string(laid.called)}) + " " + because;
        return {said(N_("Set {0}: {1}."), {line.name, thingWords(laid.trim, now.things)}), because,
                tr("Set")};
    }
    const auto name = now.of == 1 ? line.name
                                  : said(N_("{0}, {1} of {2}"),
                                         {line.name, std::to_string(now.number), std::to_string(now.of)});
    if (!now.strip) return {said(N_("Lay {0}."), {name}), putDownWords(line), tr("Laid")};
    const auto length = cutLong(now.strip->cutLong, quilt.units);
    auto what = said(N_("Lay {0}: cut {1}."), {name, length});
    if (quilt::isBias(laid.trim))
        what = said(N_("Lay {0}: cut at 45° {1} wide, {2} long."),
                    {name, measure::say(now.wide, quilt.units), length});
    auto because = putDownWords(line) + " " + endsWords(now.strip->begin, now.strip->end);
    if (now.strip->corners > 0)
        because +=
            " " + said(N2_("Fold a mitre at {0} corner.", "Fold mitres at {0} corners."), now.strip->corners);
    return {what, because, tr("Laid")};
}

namespace {

/// "from reed, fat eighth; 1 join"; what is to be bought when nothing at hand does.
std::string fromWhat(const quilt::Quilt& quilt, const plan::StripsCut& plan) {
    if (plan.buy)
        return said(N_("; no cloth at hand does: {0} off the bolt"), {measure::say(*plan.buy, quilt.units)});
    if (!plan.cutting.unmet.empty()) return std::string("; ") + tr("no cloth at hand does");
    std::set<std::size_t> cloths;
    for (const auto& band : plan.cutting.bands)
        cloths.insert(band.cloth);
    std::vector<std::string> names;
    for (const auto cloth : cloths)
        names.push_back(the(quilt.cloths, plan.cloths[cloth]).name);
    auto out = said(N_(" from {0}"), {listed(names)});
    if (plan.cutting.joins > 0) out += said(N2_("; {0} join", "; {0} joins"), plan.cutting.joins);
    return out;
}

} // namespace

std::string biasWords(const quilt::Quilt& quilt, const plan::BiasPlan& plan) {
    return said(N2_("{0} strip of {1}, cut at 45°", "{0} strips of {1}, cut at 45°"), plan.strips.size(),
                {clothName(quilt, plan.fabric)}) +
           fromWhat(quilt, plan);
}

std::vector<std::string> settingCutWords(const quilt::Quilt& quilt, const plan::StripsCut& plan) {
    std::vector<std::string> out{said(N2_("{0} strip of {1} to be cut", "{0} strips of {1} to be cut"),
                                      plan.strips.size(), {clothName(quilt, plan.fabric)}) +
                                 fromWhat(quilt, plan)};
    for (const auto& band : plan.cutting.bands) {
        std::vector<Length> lengths;
        for (const auto& part : band.parts)
            lengths.push_back(Length::ofMm(part.length));
        out.push_back(
            said(N_("Cut across {0} wide, from that {1}"),
                 {measure::say(Length::ofMm(band.wide), quilt.units), lengthsWords(lengths, quilt.units)}));
    }
    return out;
}

std::string amountWords(const quilt::Quilt& quilt, const plan::TrimAmount& amount) {
    const auto wide = measure::say(amount.width, quilt.units);
    if (quilt::isThing(amount.trim))
        return said(N_("{0}, {1} across, to get"), {thingWords(amount.trim, amount.things), wide});
    return said(N_("{0}, {1} wide: {2} to get"),
                {trimName(amount.trim), wide, cutLong(amount.length, quilt.units)});
}

std::string leadingWords(const lead::Leading& leading) {
    auto out = said(
        N2_("{0} tape, in the order in which it is laid.", "{0} tapes, in the order in which they are laid."),
        leading.tapes.size());
    for (const auto& circle : leading.circles) {
        std::vector<std::string> tapes;
        for (const auto tape : circle)
            tapes.push_back(std::to_string(tape + 1));
        out += " " +
               said(N_("Tapes {0} end beneath each other in a circle: one end stays bare."), {listed(tapes)});
    }
    if (!leading.bare.empty())
        out += " " + said(N2_("{0} end is turned in.", "{0} ends are turned in."), leading.bare.size());
    return out;
}

std::string biasCaption(const quilt::Quilt& quilt, const plan::StripsCut& plan, std::size_t cloth) {
    const auto& size = plan.sizes[cloth];
    const auto sides = measure::saySize(Length::ofMm(size.wide), Length::ofMm(size.high), quilt.units);
    if (plan.buy) return said(N_("{0} off the bolt, {1}"), {clothName(quilt, plan.fabric), sides});
    return said(N_("{0}, {1}"), {the(quilt.cloths, plan.cloths[cloth]).name, sides});
}

} // namespace up::words
