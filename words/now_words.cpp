// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/now_words.hpp"

#include "core/base/text.hpp"
#include "words/finish_words.hpp"
#include "words/join_words.hpp"
#include "words/laid_words.hpp"
#include "words/lay_words.hpp"
#include "words/line_words.hpp"
#include "words/sentences.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>

namespace up::words {
namespace {

/// With a capital at the start, as a sentence begins; letters of one byte only.
std::string capital(std::string text) {
    if (!text.empty())
        text.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(text.front())));
    return text;
}

using plan::Now;
using plan::What;
using quilt::Step;

class Speaker {
public:
    Speaker(const quilt::Quilt& quilt, const quilt::Block& block, const Now& now,
            const plan::TracePlan& trace)
        : m_quilt(quilt), m_block(block), m_now(now), m_trace(trace) {}

    [[nodiscard]] NowWords say() const {
        switch (m_now.what) {
        case What::importDrawing:
            return {tr("Bring in a drawing of this block."),
                    tr("Every filled shape becomes a piece, bottom to top; colours become fabrics."),
                    tr("Import a drawing…"), ""};
        case What::layOut:
            return {said(N_("Lay the pieces out on {0}."), {web()}),
                    tr("They are reversed and grouped by fabric so that little web is used."), tr("Lay out"),
                    ""};
        case What::putAway:
            return {tr("Put what is left of the web into the stash."),
                    tr("What is worth keeping is laid out on first next time; the rest is waste."),
                    tr("Put away"), ""};
        case What::layOnCloth:
            return {
                tr("Find cloth for the chunks."),
                tr("Scraps first, as few cut into as will do, and the largest piece left; the print as it "
                   "is to run."),
                tr("Find cloth"), ""};
        case What::step: return step();
        case What::findWays: return {tr("Finding the way of the needle…"), "", tr("One moment"), ""};
        case What::findPresses: return {tr("Finding where the iron goes…"), "", tr("One moment"), ""};
        case What::press: return press(*m_now.press);
        case What::stitch: return stitch();
        case What::quiltGround:
            return {tr("Quilt the background on its batting and backing."),
                    tr("Draw the placement lines first: no light comes through the batting. Quilt from the "
                       "middle outwards; "
                       "it draws in, so cut it larger and trim it at the end."),
                    tr("Quilted"), cautionWords(m_now.caution)};
        case What::drawLines: return drawLines();
        case What::sewLine: return sewLine();
        case What::layLine: return layLine();
        case What::trim: return trim();
        case What::sewStrip: return sewStrip();
        case What::goOn:
            return {tr("Nothing to do here now."),
                    said(N2_("{1} is next: {0} left.", "{1} is next: {0} left."),
                         static_cast<std::size_t>(m_now.left), {treadName(m_now.tread)}),
                    said(N_("Go to {0}"), {treadName(m_now.tread)}), ""};
        case What::allDone:
            return {tr("This block is finished."), tr("Put it up on the wall beside the others."),
                    tr("To the Landing"), ""};
        }
        return {};
    }

private:
    [[nodiscard]] std::string web() const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return found ? found->name : tr("the web");
    }
    [[nodiscard]] const quilt::Pressing* pressing(bool final) const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return !found ? nullptr : final ? &found->final : &found->first;
    }
    [[nodiscard]] std::string finished() const {
        return measure::saySize(m_block.width, m_block.height, m_quilt.units);
    }
    [[nodiscard]] std::string fabric() const {
        const auto* found = find(m_quilt.fabrics, m_now.fabric);
        return found ? found->name : tr("its fabric");
    }
    [[nodiscard]] std::string thread() const {
        const auto* found = find(m_quilt.threads, m_now.thread);
        return found ? found->name : tr("matching");
    }
    [[nodiscard]] const plan::Chunk* chunk() const {
        for (const auto& c : m_trace.chunks)
            if (std::find(c.pieces.begin(), c.pieces.end(), m_now.pieces.front()) != c.pieces.end())
                return &c;
        return nullptr;
    }
    [[nodiscard]] std::string leaflet(bool final) const {
        const auto* p = pressing(final);
        if (!p) return tr("Set the iron by the maker's leaflet.");
        return said(p->steam ? N_("{0} s, {1}, steam; check the maker's leaflet.")
                             : N_("{0} s, {1}, no steam; check the maker's leaflet."),
                    {plainNumber(p->seconds, 1), p->heat});
    }

    [[nodiscard]] NowWords step() const {
        const std::string pieces = piecesWords(m_block, m_now.pieces), caution = cautionWords(m_now.caution);
        if (auto own = joinSaid(m_quilt, m_block, m_now))
            return {own->what, placeWords() + own->because, own->deed, caution};
        switch (m_now.step) {
        case Step::toTrace:
        case Step::turned:
        case Step::cutAway: break; // joinSaid
        case Step::traced:
            return {said(N_("Trace {0} on the paper side."), {pieces}),
                    said(N_("For {0}; already reversed here. Write the numbers on the paper."), {fabric()}),
                    tr("Traced"), caution};
        case Step::roughCut:
            return {said(N_("Rough cut the web round {0} in one chunk."), {pieces}),
                    said(N_("About ¼ in outside the line; it goes on {0}."), {fabric()}),
                    tr("Rough cut done"), caution};
        case Step::bonded: return bonding(pieces, caution);
        case Step::marked:
            return {said(N_("Draw the marks on {0}."), {pieces}),
                    std::string(
                        tr("The paper is still on: hold it to a window or lay it on the light box, and draw "
                           "on the right side.")) +
                        penWords(),
                    tr("Marks drawn"), caution};
        case Step::cleanCut:
            return {said(N_("Clean cut {0}."), {pieces}),
                    cutWords() +
                        tr("Web and fabric together, exactly on the line, so the glue reaches the edge."),
                    tr("Clean cut done"), caution};
        case Step::laid:
            return {said(N_("Peel the paper and lay {0}."), {pieces}), placeWords(), tr("Laid"), caution};
        case Step::fused:
            if (allMelt())
                return {said(N_("Fasten {0} without the iron."), {pieces}),
                        tr("What melts is glued or sewn on, as its own leaflet says."), tr("Fastened"), ""};
            return {said(N_("Fuse {0}."), {pieces}),
                    said(N_("Press, lift, move; don't slide. {0}"), {leaflet(true)}), tr("Fused"), caution};
        case Step::tested:
            if (m_now.test)
                return {
                    said(m_now.test->why == plan::WhyTest::tip
                             ? N_("Test the tip of {0} with a fingernail, where the ring is.")
                             : N_("Test the edge of {0} with a fingernail, where the ring is."),
                         {pieces}),
                    m_now.test->why == plan::WhyTest::tip
                        ? tr("Thin tips lift first. Does it lift? Press E, and it is pressed again.")
                        : tr("It lies on several layers, and heat comes slowly through them. Does it lift? "
                             "Press E, and it is pressed again."),
                    tr("It holds"), caution};
            return {said(N_("Test the edges of {0} with a fingernail."), {pieces}),
                    tr("Press again where an edge lifts."), tr("Edges hold"), caution};
        case Step::stitched:
            return {said(N_("Stitch {0} with {1} thread."), {pieces, thread()}),
                    tr("The lowest first: the stitching above covers its starts and stops.") + notSewn(),
                    tr("Stitched"), caution};
        }
        return {};
    }

    [[nodiscard]] NowWords trim() const {
        const auto& finish = *m_now.finish;
        const auto to = measure::saySize(finish.trimTo.wide, finish.trimTo.high, m_quilt.units);
        const auto lack = lackWords(finish.lacking, m_quilt.units);
        auto because = said(N_("{0} finished, plus the seam allowance on every side."), {finished()});
        if (!finish.isMeasured)
            because += std::string(" ") + tr("Press it first; measure it, and what it lacks is made up.");
        if (!lack.empty()) because = said(N_("It is {0}: Sizes says what makes up for it."), {lack});
        return {said(N_("Trim the block to {0}."), {to}), because, tr("Trimmed"),
                cautionWords(m_now.caution)};
    }

    [[nodiscard]] NowWords drawLines() const {
        const auto said = drawingSaid(m_block, *m_now.line);
        return {said.what, said.because, tr("Traced"), ""};
    }

    [[nodiscard]] NowWords layLine() const {
        const auto said = laidSaid(m_quilt, m_block, *m_now.laid);
        return {said.what, said.because, said.deed, cautionWords(m_now.caution)};
    }

    [[nodiscard]] NowWords sewLine() const {
        const auto said = lineSaid(m_quilt, m_block, *m_now.line);
        return {said.what, said.because, tr("Stitched"), cautionWords(m_now.caution)};
    }

    [[nodiscard]] NowWords sewStrip() const {
        const auto& finish = *m_now.finish;
        return {said(N_("{0}: {1}."), {stripName(*finish.strip), stripSizes(*finish.strip, m_quilt.units)}),
                said(N_("Strip {0} of {1}. Sew it on, press, and trim its ends level."),
                     {std::to_string(finish.number), std::to_string(finish.of)}),
                tr("Sewn on"), cautionWords(m_now.caution)};
    }

    [[nodiscard]] NowWords stitch() const {
        const auto leg = legSaid(m_quilt, m_block, *m_now.stitch);
        return {leg.what, leg.because + notSewn(), tr("Stitched"), cautionWords(m_now.caution)};
    }

    [[nodiscard]] bool allMelt() const {
        return std::all_of(m_now.pieces.begin(), m_now.pieces.end(), [&](PieceId id) {
            const auto* piece = find(m_block.pieces, id);
            return piece && piece->melts;
        });
    }

    /// One setting down of the iron.
    [[nodiscard]] NowWords press(const plan::PressNow& press) const {
        const auto seconds = plainNumber(press.seconds, 1);
        std::string because = stageWords(press) + " ";
        because += said(N_("Over {0}. Press, lift, move; don't slide. {1}"),
                        {numbersWords(m_block, m_now.pieces), leaflet(true)});
        std::string caution = cautionWords(m_now.caution);
        if (!press.tooMuch.empty())
            caution =
                said(N_("Too much heat: {0} would get more than the leaflet's {1} s in all, and the glue "
                        "melts away. {2}"),
                     {piecesWords(m_block, press.tooMuch), plainNumber(limit(), 1), caution});
        return {said(N_("Press {0} of {1}: set the iron down on the outline."),
                     {std::to_string(press.number), std::to_string(press.of)}),
                because, said(N_("Start: {0} s"), {seconds}), caution};
    }
    [[nodiscard]] double limit() const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return found ? found->longest.value_or(0) : 0;
    }
    [[nodiscard]] std::string stageWords(const plan::PressNow& press) const {
        switch (press.kind) {
        case plan::StageKind::unit:
            return said(N_("Unit {0}, by itself on the pressing sheet."), {std::to_string(press.unit)});
        case plan::StageKind::again: return tr("Where an edge lifted, once more.");
        case plan::StageKind::block: break;
        }
        if (press.fromBack) return tr("Turn the block over: from the back now.");
        return press.layer >= 0 ? said(N_("Layer {0}, from below."), {std::to_string(press.layer + 1)})
                                : tr("On the block, from the front.");
    }

    [[nodiscard]] std::string penWords() const {
        if (!m_now.pen) return "";
        return std::string(" ") +
               (*m_now.pen == plan::Pen::permanent
                    ? tr("A permanent pen will do: stitching or another piece covers them.")
                    : tr("With a pen that washes out, for they stay in sight. Not one that vanishes with "
                         "heat: "
                         "the iron comes next."));
    }
    /// "8 cuts as they are numbered, 3 by ruler; about 12 min at your pace. Label 3 and 5: they look alike. "
    [[nodiscard]] std::string cutWords() const {
        if (!m_now.cut) return "";
        const auto& cut = *m_now.cut;
        std::string out = said(N2_("{0} cut", "{0} cuts, in the order of the numbers"), cut.cuts);
        if (cut.byRuler > 0) out += said(N2_(", {0} by ruler", ", {0} by ruler"), cut.byRuler);
        const auto minutes = plainNumber(std::max(1.0, std::round(cut.minutes)), 0);
        out = said(cut.learnt ? N_("{0}; about {1} min at your pace.") : N_("{0}; about {1} min."),
                   {out, minutes});
        if (!cut.alike.empty())
            out += " " + said(N_("Write a label for {0} now: they look like others."),
                              {numbersWords(m_block, cut.alike, 6)});
        return out + " ";
    }

    /// The first chunk on a fabric is asked for once: its button says which side is up.
    [[nodiscard]] NowWords bonding(const std::string& pieces, const std::string& caution) const {
        const auto* cloth = find(m_quilt.fabrics, m_now.fabric);
        if (cloth && cloth->alike)
            return {said(N_("Bond {0} to {1}, either side up."), {pieces, fabric()}),
                    patch() + peelFirst() + leaflet(false), tr("Bonded"), caution};
        const NowWords out{said(N_("Bond {0} to the wrong side of {1}."), {pieces, fabric()}),
                           patch() + peelFirst() + leaflet(false), tr("Bonded"), caution};
        if (!cloth || hasBeenBonded()) return out;
        return {out.doThis,
                std::string(tr("Look: the pale side of the cloth faces you, and so does the paper.")) + " " +
                    out.because,
                tr("Wrong side is up: bonded"), caution};
    }
    /// Web between two papers.
    [[nodiscard]] std::string peelFirst() const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return found && found->papers == 2
                   ? std::string(
                         tr("Peel off the paper without the numbers first; the other stays on until the "
                            "piece is laid.")) +
                         " "
                   : "";
    }
    [[nodiscard]] bool hasBeenBonded() const {
        for (const auto& block : m_quilt.blocks)
            for (const auto& piece : block.pieces)
                if (piece.fabric == m_now.fabric && piece.work.step >= Step::bonded) return true;
        return false;
    }

    /// "Patch at least 9 × 2 in. ", or nothing when the pieces are in no chunk.
    [[nodiscard]] std::string patch() const {
        const auto* c = chunk();
        for (const auto& on : m_block.onCloth)
            if (const auto* cloth = c && on.chunk == c->number ? find(m_quilt.cloths, on.cloth) : nullptr)
                return said(N_("On {0}, where the picture shows it."), {cloth->name}) + " ";
        return !c ? ""
                  : said(N_("Patch at least {0}."),
                         {measure::saySize(c->patch.width, c->patch.height, m_quilt.units)}) +
                        " ";
    }

    /// Where it goes, in numbers, and what it is tucked under.
    [[nodiscard]] std::string placeWords() const {
        if (!m_now.lay) return "";
        std::string out = measureWords(m_now.lay->measures, m_quilt.units);
        if (!out.empty()) out = capital(out) + ". ";
        if (const auto tucks = tuckWords(m_block, *m_now.lay, m_quilt.units); !tucks.empty())
            out += said(N_("It reaches {0}."), {tucks}) + " ";
        if (m_now.lay->guide)
            out += said(N_("Lay {0} for a moment to find its place."),
                        {quilt::calledOf(m_block, m_block.pieces[*m_now.lay->guide])});
        return out;
    }

    [[nodiscard]] std::string notSewn() const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return found && !found->maySew
                   ? std::string(" ") +
                         tr("Its web's leaflet says that it is not to be sewn: the needle gums up.")
                   : "";
    }
    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    const Now& m_now;
    const plan::TracePlan& m_trace;
};

} // namespace

NowWords nowWords(const quilt::Quilt& quilt, const quilt::Block& block, const Now& now,
                  const plan::TracePlan& trace) {
    return Speaker(quilt, block, now, trace).say();
}

std::string cautionWords(plan::Caution caution) {
    if (caution == plan::Caution::none) return "";
    constexpr std::array words{
        "",
        N_("Hot iron: burns. Never unattended; unplug it after."),
        N_("Blades: cut away from yourself, close them when you put them down."),
        N_("Rotary cutter: cut away from yourself, close the blade every time, wear a cut-resistant glove."),
        N_("Needle: fingers and eyes. Switch off before changing it."),
        N_("Needle: stick it into a cushion whenever you stop, and look for it before you press."),
        N_("Flame or hot tool: away from all that burns, melted ends are hot; glue in fresh air."),
        N_("Glue: fresh air, no flame near it, not on the skin.")};
    return said(N_("{0} The maker's leaflet and local rules come first."), {tr(entryOf(words, caution))});
}

std::string numbersWords(const quilt::Block& block, const std::vector<PieceId>& pieces, std::size_t most) {
    std::vector<std::string> items;
    for (std::size_t i = 0; i < pieces.size();) {
        if (items.size() == most) {
            items.push_back(said(N2_("{0} more", "{0} more"), pieces.size() - i));
            break;
        }
        const int first = quilt::numberOf(block, pieces[i]);
        std::size_t end = i + 1;
        while (end < pieces.size() &&
               quilt::numberOf(block, pieces[end]) == first + static_cast<int>(end - i))
            ++end;
        if (end - i < 3) end = i + 1;
        items.push_back(quilt::labelOf(block, pieces[i]));
        if (end - i >= 3) items.back() += "–" + quilt::labelOf(block, pieces[end - 1]);
        i = end;
    }
    return listed(items);
}

std::string piecesWords(const quilt::Block& block, const std::vector<PieceId>& pieces) {
    if (pieces.size() > 2) return numbersWords(block, pieces, 9);
    std::vector<std::string> items;
    for (const PieceId id : pieces) {
        const auto* piece = find(block.pieces, id);
        items.push_back(quilt::labelOf(block, id) + (piece ? " " + piece->name : ""));
    }
    return listed(items);
}

} // namespace up::words
