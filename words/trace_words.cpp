// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/trace_words.hpp"

#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <cmath>

namespace up::words {
namespace {

std::string counted(int count, const std::string& what) {
    return std::to_string(count) + " " + what + (count == 1 ? "" : "s");
}

} // namespace

std::string schoolName(quilt::School school) {
    switch (school) {
    case quilt::School::oneByOne: return "One by one";
    case quilt::School::byFabric: return "By fabric";
    case quilt::School::windowed: return "In windows";
    case quilt::School::strip: return "In strips";
    }
    return "";
}

std::string schoolWords(quilt::School school) {
    switch (school) {
    case quilt::School::oneByOne: return "Every piece is rough cut by itself, about ¼ in outside its line.";
    case quilt::School::byFabric:
        return "All pieces of a fabric lie close together and are rough cut as one.";
    case quilt::School::windowed:
        return "The middle of large pieces is cut out of the web, and smaller pieces are traced in it.";
    case quilt::School::strip:
        return "Equal shapes stand up and down in turn in strips exactly as high as they are.";
    }
    return "";
}

std::string costWords(const quilt::Quilt& quilt, const plan::TraceCost& cost) {
    const std::string offCuts = counted(cost.offCuts, "off-cut");
    if (!cost.needsNewWeb())
        return cost.offCuts == 0
                   ? "No web used"
                   : "No new web: " + offCuts + (cost.offCuts == 1 ? " is" : " are") + " enough";
    std::string out = cost.sheets > 0 ? counted(cost.sheets, "sheet")
                                      : measure::say(cost.roll, quilt.units) + " of the roll";
    if (cost.offCuts > 0) out += " and " + offCuts;
    return out;
}

std::string briefCost(const quilt::Quilt& quilt, const plan::TraceCost& cost) {
    const std::string offCuts = counted(cost.offCuts, "off-cut");
    if (!cost.needsNewWeb()) return cost.offCuts == 0 ? "no web" : offCuts + ", no new web";
    const std::string web =
        cost.sheets > 0 ? counted(cost.sheets, "sheet") : measure::say(cost.roll, quilt.units) + " of roll";
    return cost.offCuts > 0 ? web + ", " + offCuts : web;
}

std::string cutsWords(const quilt::Quilt& quilt, const plan::TraceCost& cost) {
    const double inches = cost.cuts.mm() / 25.4;
    const std::string length =
        quilt.units == measure::System::inches
            ? std::to_string(static_cast<int>(std::lround(inches))) + " in"
            : std::to_string(static_cast<int>(std::lround(cost.cuts.mm() / 10))) + " cm";
    return counted(cost.chunks, "cut") + ", " + length;
}

std::string chunkWords(const quilt::Quilt& quilt, const quilt::Block& block, const plan::Chunk& chunk) {
    const std::string pieces = numbersWords(block, chunk.pieces, 12);
    std::string out = chunk.pieces.size() == 1 ? "alone: " + pieces : "one chunk: " + pieces;
    if (chunk.strip)
        out = counted(chunk.strip->count, "strip") + " of web and fabric, cut exactly " +
              measure::say(chunk.strip->height, quilt.units) + " high: " + pieces;
    if (!chunk.windows.empty()) {
        std::vector<PieceId> hosts;
        for (const auto& [piece, window] : chunk.windows)
            hosts.push_back(piece);
        out += "; cut the middle out of " + numbersWords(block, hosts, 6);
    }
    return out;
}

std::string sideWords(const quilt::Web& web) {
    return web.papers == 2 ? "Draw on the paper the glue stays with"
                           : "Draw on the smooth side, glue side down";
}

std::string papersWords(const quilt::Web& web) {
    return web.papers == 2 ? "Two papers: lift a corner to see which lets go of the glue. Peel that one "
                             "before bonding."
                           : "One paper: smooth side up takes pencil; the bumpy or shiny side is the glue.";
}

} // namespace up::words
