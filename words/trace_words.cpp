// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/trace_words.hpp"

#include "words/now_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <cmath>

namespace up::words {
namespace {

std::string offCutsWords(int count) {
    return said(N2_("{0} off-cut", "{0} off-cuts"), static_cast<std::size_t>(count));
}
std::string sheetsWords(int count) {
    return said(N2_("{0} sheet", "{0} sheets"), static_cast<std::size_t>(count));
}

} // namespace

std::string schoolName(quilt::School school) {
    switch (school) {
    case quilt::School::oneByOne: return tr("One by one");
    case quilt::School::byFabric: return tr("By fabric");
    case quilt::School::windowed: return tr("In windows");
    case quilt::School::strip: return tr("In strips");
    }
    return "";
}

std::string schoolWords(quilt::School school) {
    switch (school) {
    case quilt::School::oneByOne:
        return tr("Every piece is rough cut by itself, about ¼ in outside its line.");
    case quilt::School::byFabric:
        return tr("All pieces of a fabric lie close together and are rough cut as one.");
    case quilt::School::windowed:
        return tr("The middle of large pieces is cut out of the web, and smaller pieces are traced in it.");
    case quilt::School::strip:
        return tr("Equal shapes stand up and down in turn in strips exactly as high as they are.");
    }
    return "";
}

std::string costWords(const quilt::Quilt& quilt, const plan::TraceCost& cost) {
    if (!cost.needsNewWeb())
        return cost.offCuts == 0
                   ? tr("No web used")
                   : said(N2_("No new web: {0} off-cut is enough", "No new web: {0} off-cuts are enough"),
                          static_cast<std::size_t>(cost.offCuts));
    const auto web = cost.sheets > 0 ? sheetsWords(cost.sheets)
                                     : said(N_("{0} of the roll"), {measure::say(cost.roll, quilt.units)});
    return cost.offCuts > 0 ? said(N_("{0} and {1}"), {web, offCutsWords(cost.offCuts)}) : web;
}

std::string briefCost(const quilt::Quilt& quilt, const plan::TraceCost& cost) {
    const auto offCuts = offCutsWords(cost.offCuts);
    if (!cost.needsNewWeb()) return cost.offCuts == 0 ? tr("no web") : said(N_("{0}, no new web"), {offCuts});
    const auto web = cost.sheets > 0 ? sheetsWords(cost.sheets)
                                     : said(N_("{0} of roll"), {measure::say(cost.roll, quilt.units)});
    return cost.offCuts > 0 ? said(N_("{0}, {1}"), {web, offCuts}) : web;
}

std::string cutsWords(const quilt::Quilt& quilt, const plan::TraceCost& cost) {
    const double inches = cost.cuts.mm() / 25.4;
    const std::string length =
        quilt.units == measure::System::inches
            ? std::to_string(static_cast<int>(std::lround(inches))) + " in"
            : std::to_string(static_cast<int>(std::lround(cost.cuts.mm() / 10))) + " cm";
    return said(N2_("{0} cut, {1}", "{0} cuts, {1}"), static_cast<std::size_t>(cost.chunks), {length});
}

std::string chunkWords(const quilt::Quilt& quilt, const quilt::Block& block, const plan::Chunk& chunk) {
    const std::string pieces = numbersWords(block, chunk.pieces, 12);
    std::string out = said(chunk.pieces.size() == 1 ? N_("alone: {0}") : N_("one chunk: {0}"), {pieces});
    if (chunk.strip)
        out = said(N2_("{0} strip of web and fabric, cut exactly {1} high: {2}",
                       "{0} strips of web and fabric, cut exactly {1} high: {2}"),
                   static_cast<std::size_t>(chunk.strip->count),
                   {measure::say(chunk.strip->height, quilt.units), pieces});
    if (chunk.windows.empty()) return out;
    std::vector<PieceId> hosts;
    for (const auto& [piece, window] : chunk.windows)
        hosts.push_back(piece);
    return said(N_("{0}; cut the middle out of {1}"), {out, numbersWords(block, hosts, 6)});
}

std::string sideWords(const quilt::Web& web) {
    return web.papers == 2 ? tr("Draw on the paper the glue stays with")
                           : tr("Draw on the smooth side, glue side down");
}

std::string papersWords(const quilt::Web& web) {
    return web.papers == 2
               ? tr("Two papers: lift a corner to see which lets go of the glue. Peel that one "
                    "before bonding.")
               : tr("One paper: smooth side up takes pencil; the bumpy or shiny side is the glue.");
}

} // namespace up::words
