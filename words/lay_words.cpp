// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/lay_words.hpp"

#include "words/now_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <sstream>

namespace up::words {

std::string plainly(measure::Length length, measure::System units) {
    return units == measure::System::inches ? measure::fraction(length) + " in" : measure::sayMetric(length);
}

namespace {

using measure::Length;
using plan::From;
using plan::Landmark;
using plan::PlaceMeasure;

const char* spotWords(const PlaceMeasure& m) {
    switch (m.spot) {
    case Landmark::leftEnd: return m.isTip ? N_("left tip {0}") : N_("left end {0}");
    case Landmark::rightEnd: return m.isTip ? N_("right tip {0}") : N_("right end {0}");
    case Landmark::top: return m.isTip ? N_("upper tip {0}") : N_("top {0}");
    case Landmark::bottom: return m.isTip ? N_("lower tip {0}") : N_("bottom {0}");
    case Landmark::middle: return N_("middle {0}");
    }
    return "{0}";
}

std::string fromWords(const PlaceMeasure& m, measure::System units) {
    const std::vector<std::string> away{plainly(m.away, units)};
    switch (m.from) {
    case From::leftEdge: return said(N_("{0} from the left edge"), away);
    case From::rightEdge: return said(N_("{0} from the right edge"), away);
    case From::topEdge: return said(N_("{0} from the top edge"), away);
    case From::bottomEdge: return said(N_("{0} from the bottom edge"), away);
    case From::uprightCrease: return tr("on the upright crease");
    case From::levelCrease: return tr("on the level crease");
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
        const auto from = fromWords(measures[i], units);
        const auto item = same ? from : said(spotWords(measures[i]), {from});
        out = i == 0 ? item : said(same ? N_("{0}, {1}") : N_("{0}; {1}"), {out, item});
    }
    return out;
}

std::string tuckWords(const quilt::Block& block, const plan::PlacementStep& step, measure::System units) {
    constexpr std::size_t most = 3;
    constexpr Length deep = Length::ofInches(1, 1); // nobody measures there
    std::vector<std::string> items;
    for (const auto& tuck : step.tucks)
        if (items.size() < most)
            items.push_back(said(tuck.depth > deep ? N_("well under {0}") : N_("{1} under {0}"),
                                 {called(block, tuck.upper), plainly(tuck.depth, units)}));
    return listed(items);
}

std::string stepWords(const quilt::Block& block, const plan::PlacementStep& step, measure::System units) {
    const auto where = measureWords(step.measures, units), name = called(block, step.piece);
    std::string out = said(step.forAMoment ? (where.empty() ? N_("Lay {0} for a moment, as a guide.")
                                                            : N_("Lay {0} for a moment, as a guide: {1}."))
                                           : (where.empty() ? N_("Lay {0}.") : N_("Lay {0}: {1}.")),
                           {name, where});
    if (const auto tucks = tuckWords(block, step, units); !tucks.empty())
        out += " " + said(N_("It reaches {0}."), {tucks});
    if (step.guide)
        out += " " + said(N_("Slide it in by {0}, then lift that off again."), {called(block, *step.guide)});
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
        out = said(N_("{0} × {1} ({2})"),
                   {std::to_string(heap.pieces.size()), commonName(block, heap), numbersWords(block, ids)});
    }
    return out;
}

namespace {

/// Of which hand, where both are there.
const char* handWords(const plan::RollCall& call, const plan::Heap& heap) {
    const bool hasTwin = std::any_of(call.heaps.begin(), call.heaps.end(), [&](const plan::Heap& other) {
        return other.hand != plan::Hand::none && other.hand != heap.hand && other.alike == heap.alike;
    });
    if (heap.hand == plan::Hand::none || !hasTwin) return N_("{0}");
    return heap.hand == plan::Hand::mirrored ? N_("mirrored, {0}") : N_("as drawn, {0}");
}

std::string hereWords(const plan::Heap& heap) {
    const auto all = heap.pieces.size();
    if (heap.notCut == static_cast<int>(all)) return tr("not cut yet");
    const auto cut = static_cast<std::size_t>(heap.here + heap.missing);
    std::string out;
    if (all == 1)
        out = heap.here ? tr("here") : tr("not ticked off");
    else if (heap.missing == 0 && heap.notCut == 0)
        out = all == 2 ? tr("both here") : said(N2_("all {0} here", "all {0} here"), all);
    else
        out = said(N2_("{1} of {0} here", "{1} of {0} here"), cut, {std::to_string(heap.here)});
    if (heap.notCut == 0) return out;
    return said(N2_("{1}, {0} not cut yet", "{1}, {0} not cut yet"), static_cast<std::size_t>(heap.notCut),
                {out});
}

} // namespace

std::string countWords(const plan::RollCall& call, std::size_t heap) {
    return said(handWords(call, call.heaps[heap]), {hereWords(call.heaps[heap])});
}

std::string rollWords(const quilt::Block& block, const plan::RollCall& call) {
    constexpr std::size_t most = 6;
    const auto all = static_cast<std::size_t>(call.all());
    std::string out = call.here == call.all()
                          ? said(N2_("All {0} pieces are here.", "All {0} pieces are here."), all)
                          : said(N2_("{1} of {0} pieces are here.", "{1} of {0} pieces are here."), all,
                                 {std::to_string(call.here)});
    std::vector<std::string> missing;
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (plan::presenceOf(block.pieces[i]) == plan::Presence::missing) missing.push_back(called(block, i));
    if (!missing.empty()) {
        const auto more = missing.size() > most ? missing.size() - most : 0;
        missing.resize(missing.size() - more);
        if (more) missing.push_back(said(N2_("{0} more", "{0} more"), more));
        out += " " + said(N_("Not ticked off: {0}."), {listed(missing)});
    }
    if (call.notCut > 0)
        out += " " + said(N2_("{0} is still to be cut.", "{0} are still to be cut."),
                          static_cast<std::size_t>(call.notCut));
    return out;
}

std::string seamWords(const plan::SeamSum& sum, measure::System units) {
    if (sum.cut.size() < 2) return sum.cut.empty() ? "" : measure::say(sum.cut.front(), units);
    const bool inches = units == measure::System::inches;
    std::string parts;
    for (std::size_t i = 0; i < sum.cut.size(); ++i)
        parts += (i ? " + " : "") + (inches ? measure::fraction(sum.cut[i]) : measure::sayMetric(sum.cut[i]));
    return said(N2_("{1} less {2} for the seam = {3}", "{1} less {2} for each of {0} seams = {3}"),
                sum.cut.size() - 1,
                {parts + (inches ? " in" : ""),
                 measure::say(quilt::seamAllowance + quilt::seamAllowance, units),
                 measure::say(sum.sewn, units)});
}

std::string groundWords(const plan::GroundPlan& ground, measure::System units) {
    const auto size = measure::saySize(ground.wide, ground.high, units);
    if (ground.along.empty()) return said(N_("Background {0}, trimmed after stitching"), {size});
    std::string out =
        said(ground.uneven ? N_("Background {0}; its strips are not of one length") : N_("Background {0}"),
             {size});
    const auto lacking = [&](Length by, const char* text) {
        if (by > Length{})
            out = said(text, {out, measure::say(by, units), measure::say(Length::ofMm(by.mm() / 2), units)});
    };
    lacking(ground.shortWide, N_("{0}; {1} too small: the sashing on either side grows by {2}"));
    lacking(ground.shortHigh, N_("{0}; {1} too small: the sashing above and below grows by {2}"));
    return out;
}

std::string reasonWords(stack::Reason reason) {
    switch (reason) {
    case stack::Reason::said: return tr("as you said");
    case stack::Reason::overlap: return tr("they overlap as drawn");
    case stack::Reason::lighter: return tr("it is the lighter one");
    case stack::Reason::drawn: return tr("as drawn");
    case stack::Reason::forced: return tr("what lies on what leaves no other way");
    }
    return "";
}

} // namespace up::words
