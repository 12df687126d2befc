// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/lay_words.hpp"

#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <algorithm>
#include <sstream>

namespace up::words {
namespace {

using measure::Length;
using plan::From;
using plan::PlaceMeasure;
using plan::Spot;

/// Without scant and generous: a hand lays no closer.
std::string plainly(Length length, measure::System units) {
    return units == measure::System::inches ? measure::fraction(length) + " in" : measure::sayMetric(length);
}

std::string spotWords(const PlaceMeasure& m) {
    switch (m.spot) {
    case Spot::leftEnd: return m.isTip ? "left tip" : "left end";
    case Spot::rightEnd: return m.isTip ? "right tip" : "right end";
    case Spot::top: return m.isTip ? "upper tip" : "top";
    case Spot::bottom: return m.isTip ? "lower tip" : "bottom";
    case Spot::middle: return "middle";
    }
    return "";
}

std::string fromWords(const PlaceMeasure& m, measure::System units) {
    const std::string away = plainly(m.away, units) + " from the ";
    switch (m.from) {
    case From::leftEdge: return away + "left edge";
    case From::rightEdge: return away + "right edge";
    case From::topEdge: return away + "top edge";
    case From::bottomEdge: return away + "bottom edge";
    case From::uprightCrease: return "on the upright crease";
    case From::levelCrease: return "on the level crease";
    }
    return "";
}

std::string called(const quilt::Block& block, std::size_t piece) {
    return quilt::calledOf(block, block.pieces[piece]);
}

} // namespace

std::string measureWords(const std::vector<PlaceMeasure>& measures, measure::System units) {
    std::string out;
    for (std::size_t i = 0; i < measures.size(); ++i) {
        const bool same = i > 0 && measures[i].spot == measures[i - 1].spot;
        out += i == 0 ? "" : same ? ", " : "; ";
        if (!same) out += spotWords(measures[i]) + " ";
        out += fromWords(measures[i], units);
    }
    return out;
}

std::string tuckWords(const quilt::Block& block, const plan::PlacementStep& step, measure::System units) {
    constexpr std::size_t most = 3;
    constexpr Length deep = Length::ofInches(1, 1); // nobody measures there
    std::vector<std::string> items;
    for (const auto& tuck : step.tucks)
        if (items.size() < most)
            items.push_back((tuck.depth > deep ? "well" : plainly(tuck.depth, units)) +
                            std::string(" under ") + called(block, tuck.upper));
    return listed(items);
}

std::string stepWords(const quilt::Block& block, const plan::PlacementStep& step, measure::System units) {
    std::string out = "Lay " + called(block, step.piece);
    if (step.forAMoment) out += " for a moment, as a guide";
    if (const auto where = measureWords(step.measures, units); !where.empty()) out += ": " + where;
    out += ".";
    const auto tucks = tuckWords(block, step, units);
    if (!tucks.empty()) out += " It reaches " + tucks + ".";
    if (step.guide) out += " Slide it in by " + called(block, *step.guide) + ", then lift that off again.";
    return out;
}

namespace {

std::vector<std::string> wordsOf(const std::string& text) {
    std::vector<std::string> out;
    std::istringstream in(text);
    for (std::string word; in >> word;)
        out.push_back(word);
    return out;
}

/// What the names share, word by word: "duckling 1 wing" and "duckling 2 wing" are duckling wings.
std::string commonName(const quilt::Block& block, const plan::Heap& heap) {
    const auto& first = block.pieces[heap.pieces.front()].name;
    std::string out;
    const auto own = wordsOf(first);
    for (std::size_t w = 0; w < own.size(); ++w) {
        const bool shared = std::all_of(heap.pieces.begin(), heap.pieces.end(), [&](std::size_t i) {
            const auto other = wordsOf(block.pieces[i].name);
            return w < other.size() && other[w] == own[w];
        });
        if (shared) out += (out.empty() ? "" : " ") + own[w];
    }
    return out.empty() ? first : out;
}

} // namespace

std::string heapWords(const quilt::Block& block, const plan::Heap& heap) {
    std::string out;
    if (heap.pieces.size() == 1) {
        out = called(block, heap.pieces.front());
    } else {
        std::vector<PieceId> ids;
        for (const std::size_t i : heap.pieces)
            ids.push_back(block.pieces[i].id);
        out = std::to_string(heap.pieces.size()) + " × " + commonName(block, heap) + " (" +
              numbersWords(block, ids) + ")";
    }
    return out;
}

namespace {

/// Of which hand, where both are there.
std::string handWords(const plan::RollCall& call, const plan::Heap& heap) {
    const bool hasTwin = std::any_of(call.heaps.begin(), call.heaps.end(), [&](const plan::Heap& other) {
        return other.hand != plan::Hand::none && other.hand != heap.hand && other.alike == heap.alike;
    });
    if (heap.hand == plan::Hand::none || !hasTwin) return "";
    return heap.hand == plan::Hand::mirrored ? "mirrored, " : "as drawn, ";
}

std::string hereWords(const plan::Heap& heap) {
    const auto all = heap.pieces.size();
    const auto notCut = heap.notCut == 0 ? std::string() : std::to_string(heap.notCut) + " not cut yet";
    if (heap.notCut == static_cast<int>(all)) return "not cut yet";
    const auto cut = heap.here + heap.missing;
    std::string out = all == 1 ? (heap.here ? "here" : "not ticked off")
                      : heap.missing == 0 && heap.notCut == 0
                          ? (all == 2 ? "both here" : "all " + std::to_string(all) + " here")
                          : std::to_string(heap.here) + " of " + std::to_string(cut) + " here";
    return out + (notCut.empty() ? "" : ", " + notCut);
}

} // namespace

std::string countWords(const plan::RollCall& call, std::size_t heap) {
    return handWords(call, call.heaps[heap]) + hereWords(call.heaps[heap]);
}

std::string rollWords(const quilt::Block& block, const plan::RollCall& call) {
    constexpr std::size_t most = 6;
    std::string out = call.here == call.all() ? "All " + std::to_string(call.all()) + " pieces are here."
                                              : std::to_string(call.here) + " of " +
                                                    std::to_string(call.all()) + " pieces are here.";
    std::vector<std::string> missing;
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (plan::presenceOf(block.pieces[i]) == plan::Presence::missing) missing.push_back(called(block, i));
    if (!missing.empty()) {
        const auto more = missing.size() > most ? missing.size() - most : 0;
        missing.resize(missing.size() - more);
        if (more) missing.push_back(std::to_string(more) + " more");
        out += " Not ticked off: " + listed(missing) + ".";
    }
    if (call.notCut == 1) out += " 1 is still to be cut.";
    if (call.notCut > 1) out += " " + std::to_string(call.notCut) + " are still to be cut.";
    return out;
}

std::string seamWords(const plan::SeamSum& sum, measure::System units) {
    if (sum.cut.size() < 2) return sum.cut.empty() ? "" : measure::say(sum.cut.front(), units);
    std::string out;
    const bool inches = units == measure::System::inches;
    for (std::size_t i = 0; i < sum.cut.size(); ++i)
        out += (i ? " + " : "") + (inches ? measure::fraction(sum.cut[i]) : measure::sayMetric(sum.cut[i]));
    const auto seams = sum.cut.size() - 1;
    out += (inches ? std::string(" in") : "") + " less " +
           measure::say(quilt::seamAllowance + quilt::seamAllowance, units) +
           (seams == 1 ? " for the seam" : " for each of " + std::to_string(seams) + " seams");
    return out + " = " + measure::say(sum.sewn, units);
}

std::string groundWords(const plan::GroundPlan& ground, measure::System units) {
    std::string out = "Background " + measure::saySize(ground.wide, ground.high, units);
    if (ground.along.empty()) return out + ", trimmed after stitching";
    if (ground.uneven) out += "; its strips are not of one length";
    const auto lacking = [&](Length by, const char* sides) {
        if (by <= Length{}) return std::string();
        return "; " + measure::say(by, units) + " too small: the sashing " + sides + " grows by " +
               measure::say(Length::ofMm(by.mm() / 2), units);
    };
    return out + lacking(ground.shortWide, "on either side") + lacking(ground.shortHigh, "above and below");
}

std::string reasonWords(stack::Reason reason) {
    switch (reason) {
    case stack::Reason::said: return "as you said";
    case stack::Reason::overlap: return "they overlap as drawn";
    case stack::Reason::lighter: return "it is the lighter one";
    case stack::Reason::drawn: return "as drawn";
    case stack::Reason::forced: return "what lies on what leaves no other way";
    }
    return "";
}

} // namespace up::words
