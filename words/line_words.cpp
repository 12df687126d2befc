// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/line_words.hpp"

#include "core/base/text.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <cmath>
#include <map>

namespace up::words {

using measure::Length;
using quilt::LineStitch;

std::string lineStitchName(LineStitch stitch) {
    switch (stitch) {
    case LineStitch::back: return tr("Back stitch");
    case LineStitch::stem: return tr("Stem stitch");
    case LineStitch::running: return tr("Running stitch");
    case LineStitch::machineStraight: return tr("Machine, straight");
    case LineStitch::machineSatin: return tr("Machine, satin");
    }
    return {};
}

std::string linePenWords(quilt::LinePen pen) {
    return pen == quilt::LinePen::washesOut
               ? tr("Use a pen that washes out. Wash it out before the iron comes near: heat can set it.")
               : tr("Use a pen that goes with heat: do not press again before all is stitched.");
}

std::string lineHowWords(const quilt::Quilt& quilt, const quilt::Line& line) {
    if (!quilt::isByHand(line.stitch))
        return said(N_("{0}, {1}"), {lineStitchName(line.stitch), threadWords(quilt, line.thread)});
    return said(N2_("{1}, {0} strand of {2}", "{1}, {0} strands of {2}"),
                static_cast<std::size_t>(line.strands),
                {lineStitchName(line.stitch), flossName(quilt, line.thread)});
}

std::string lineStitchWords(const quilt::Line& line) {
    return said(N2_("{1}, {0} strand", "{1}, {0} strands"), static_cast<std::size_t>(line.strands),
                {lineStitchName(line.stitch)});
}

std::string partName(const quilt::Block& block, const plan::LinePart& part) {
    const auto* line = find(block.lines, part.line);
    const std::string name = line ? line->name : std::string();
    if (part.of == 1) return name;
    return said(N_("{0}, {1} of {2}"), {name, std::to_string(part.part + 1), std::to_string(part.of)});
}

std::string flossName(const quilt::Quilt& quilt, ThreadId id) {
    const auto* thread = find(quilt.threads, id);
    return thread ? said(N_("{0} floss"), {thread->name}) : std::string(tr("floss of no colour yet"));
}

namespace {

/// To the centimetre, or as exactly as inches are cut.
std::string roughly(Length length, measure::System units) {
    const double step = units == measure::System::inches ? 25.4 / 2 : 10;
    return measure::say(Length::ofMm(std::ceil(length.mm() / step - 1e-6) * step), units);
}

} // namespace

std::string threadingWords(const quilt::Quilt& quilt, const plan::LineNow& now) {
    std::string out, kept;
    const auto add = [&](const std::string& sentence) { out += (out.empty() ? "" : " ") + sentence; };
    for (std::size_t i = 0; i < now.cuts.size(); ++i) {
        const auto strands = static_cast<std::size_t>(now.needleful.from[i].strands);
        const auto& [length, isFresh] = now.cuts[i];
        if (!isFresh) {
            kept += (kept.empty() ? "" : " + ") + std::to_string(strands);
            continue;
        }
        const auto rest = static_cast<std::size_t>(quilt::strandsOfFloss) - strands;
        add(said(N2_("Cut {1} and split off {0} strand", "Cut {1} and split off {0} strands"), strands,
                 {roughly(length, quilt.units)}) +
            (rest == 0 ? std::string(".") : said(N2_("; keep {0}.", "; keep {0}."), rest)));
    }
    if (!kept.empty()) add(said(N_("Take the strands that were kept: {0}."), {kept}));
    return out;
}

LineSaid drawingSaid(const quilt::Block& block, const plan::LineNow& now) {
    std::string names;
    for (const auto id : now.draw)
        names += (names.empty() ? "" : ", ") + the(block.lines, id).name;
    return {said(N_("Trace onto the block: {0}."), {names}),
            std::string(tr("As seen, not reversed: the placement sheet beneath it on a light box.")) + " " +
                linePenWords(now.pen)};
}

LineSaid lineSaid(const quilt::Quilt& quilt, const quilt::Block& block, const plan::LineNow& now) {
    const auto& line = the(block.lines, now.part.line);
    if (!quilt::isByHand(line.stitch))
        return {said(N_("Stitch {0}: {1}."), {line.name, lineHowWords(quilt, line)}), ""};
    auto because =
        now.newNeedle ? threadingWords(quilt, now) : std::string(tr("With what is in the needle still."));
    if (now.newNeedle && !now.others.empty())
        because +=
            " " + said(N2_("It does for {0} line more.", "It does for {0} lines more."), now.others.size());
    because += " " + said(N2_("{0} length of floss to go.", "{0} lengths of floss to go."), now.left);
    return {said(N_("Stitch {0}: {1}."), {partName(block, now.part), lineHowWords(quilt, line)}), because};
}

std::string flossWords(const quilt::Quilt& quilt, const plan::FlossUse& use) {
    std::map<std::string, std::size_t> cuts;
    for (const double cut : use.plan.cuts)
        ++cuts[roughly(Length::ofMm(cut), quilt.units)];
    std::string list;
    for (const auto& [length, count] : cuts)
        list += (list.empty() ? "" : ", ") + said(N_("{0} of {1}"), {std::to_string(count), length});
    auto out = said(N_("cut {0}"), {list});
    const double left = use.plan.left();
    if (left > 10)
        out += said(N_("; {0} of single strands over"), {roughly(Length::ofMm(left), quilt.units)});
    return out;
}

} // namespace up::words
