// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/stitch_words.hpp"

#include "core/base/text.hpp"
#include "core/measure/say.hpp"
#include "core/plan/stitch/stitch_kind.hpp"
#include "core/plan/stitch/thread_match.hpp"
#include "words/lay_words.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::words {
using quilt::StitchKind;

std::string stitchName(StitchKind kind) {
    switch (kind) {
    case StitchKind::satin: return tr("Satin");
    case StitchKind::zigzag: return tr("Zigzag");
    case StitchKind::blanket: return tr("Blanket");
    case StitchKind::straight: return tr("Straight, inside the edge");
    case StitchKind::frayed: return tr("Frayed: straight, farther in");
    case StitchKind::sketched: return tr("Sketched: straight, several times round");
    case StitchKind::decorative: return tr("Decorative: a feather, or your own");
    case StitchKind::scribble: return tr("Scribble over the edge, free-motion");
    case StitchKind::whip: return tr("Whip stitch by hand");
    case StitchKind::blind: return tr("Blind stitch by hand");
    case StitchKind::handBlanket: return tr("Blanket stitch by hand");
    case StitchKind::allOver: return tr("Quilting all over, no edges");
    }
    return {};
}

std::string weaveName(quilt::Weave weave) {
    using quilt::Weave;
    switch (weave) {
    case Weave::cotton: return tr("Quilting cotton");
    case Weave::batik: return tr("Batik");
    case Weave::denim: return tr("Denim");
    case Weave::flannel: return tr("Flannel");
    case Weave::doubleGauze: return tr("Double gauze");
    case Weave::felt: return tr("Felt");
    case Weave::fleece: return tr("Fleece");
    case Weave::minky: return tr("Minky");
    }
    return {};
}

std::string beneathName(quilt::Beneath beneath) {
    switch (beneath) {
    case quilt::Beneath::stabiliser: return tr("Stabiliser");
    case quilt::Beneath::batting: return tr("Batting");
    case quilt::Beneath::nothing: return tr("Nothing");
    }
    return {};
}

std::string stitchAdvice(StitchKind kind) {
    switch (kind) {
    case StitchKind::satin:
    case StitchKind::zigzag:
        return tr("Stabiliser or batting beneath. At an outer corner turn with the needle down outside the "
                  "piece, at an "
                  "inner one inside it; narrower towards a tip.");
    case StitchKind::blanket:
        return tr("The straight part runs just outside the edge. Turn with the needle down outside, one bite "
                  "into the "
                  "corner.");
    case StitchKind::straight: return tr("Turn with the needle down, as far inside as the stitch runs.");
    case StitchKind::frayed:
        return tr("What lies outside the stitching frays; wash it once, and cut off long threads.");
    case StitchKind::sketched: return tr("Several lines a little apart, in dark thread: they need not meet.");
    case StitchKind::decorative: return tr("Stabiliser beneath; end with a whole repeat at a corner.");
    case StitchKind::scribble: return tr("Feed dogs down, loops over the edge; batting beneath.");
    case StitchKind::whip:
        return tr("Small slanted stitches over the edge, closer at tips and inner corners.");
    case StitchKind::blind:
        return tr("The needle goes along inside the fold and comes up for a thread or two.");
    case StitchKind::handBlanket: return tr("One bite into each corner; the loop lies on the edge.");
    case StitchKind::allOver:
        return tr("The quilting lines hold the edges down; they are no longer than the batting allows.");
    }
    return {};
}

std::string threadWords(const quilt::Quilt& quilt, ThreadId id) {
    const auto* thread = find(quilt.threads, id);
    return thread ? said(N_("{0} thread"), {thread->name}) : std::string(tr("no thread yet"));
}

std::string legWords(const quilt::Quilt& quilt, const quilt::Block& block, const plan::StitchRun& run,
                     int times) {
    const auto* line = find(block.lines, run.of);
    const auto piece = line ? line->name : piecesWords(block, {run.piece});
    const auto shortest =
        quilt.units == measure::System::inches ? measure::Length::ofInches(1, 16) : measure::Length::ofMm(1);
    const auto length = run.length() < shortest ? said(N_("under {0}"), {plainly(shortest, quilt.units)})
                                                : plainly(run.length(), quilt.units);
    const auto along =
        said(run.isEdge || line ? N_("along {0}, {1}") : N_("along a mark on {0}, {1}"), {piece, length});
    if (times == 1) return along;
    return said(run.closed ? N_("{0}, {1} times round") : N_("{0}, {1} times to and fro"),
                {along, std::to_string(times)});
}

namespace {

std::string beneathWords(const quilt::Block& block, StitchKind kind) {
    switch (block.beneath) {
    case quilt::Beneath::stabiliser:
        return plan::wantsStabiliser(kind)
                   ? std::string(" ") + tr("Tear-away stabiliser beneath, or it puckers.")
                   : "";
    case quilt::Beneath::batting: return std::string(" ") + tr("Batting beneath.");
    case quilt::Beneath::nothing: return "";
    }
    return "";
}

} // namespace

std::string knotWords(plan::Knot knot) {
    switch (knot) {
    case plan::Knot::covered: return tr("where it is stitched over later");
    case plan::Knot::inSeam: return tr("in the seam allowance");
    case plan::Knot::meets: return tr("where its ends meet");
    case plan::Knot::shows: return tr("where the knot shows");
    }
    return {};
}

std::string knotsWords(plan::Knot begin, plan::Knot end) {
    if (begin == plan::Knot::meets) return tr("its knot where the ends meet");
    const auto show = static_cast<std::size_t>((begin == plan::Knot::shows) + (end == plan::Knot::shows));
    return show == 0 ? std::string(tr("no knot shows")) : said(N2_("{0} knot shows", "{0} knots show"), show);
}

std::string useWords(const quilt::Quilt& quilt, const quilt::Block& block, const plan::ThreadUse& use) {
    const auto metres = [](measure::Length length) { return plainNumber(length.mm() / 1000, 1); };
    auto out = use.bobbin == measure::Length() ? said(N_("{0} m"), {metres(use.needle)})
                                               : said(N_("{0} m on the needle, {1} m on the bobbin"),
                                                      {metres(use.needle), metres(use.bobbin)});
    const auto* thread = find(quilt.threads, use.thread);
    if (thread && thread->spool &&
        use.needle + use.bobbin > *thread->spool + thread->bobbin.value_or(measure::Length()))
        out += std::string(". ") + tr("There is not as much of it.");
    if (const auto bobbins = plan::bobbinsToWind(use, thread); bobbins > 0 && thread && thread->bobbin)
        out +=
            std::string(". ") + said(N2_("Wind {0} bobbin ahead.", "Wind {0} bobbins ahead."), bobbins, {});
    if (use.bobbinEnds)
        out += std::string(". ") +
               said(use.bobbinEnds->piece ? N_("It runs out in trail {0}, on {1}.")
                                          : N_("It runs out in trail {0}."),
                    {std::to_string(use.bobbinEnds->trail + 1),
                     use.bobbinEnds->piece ? piecesWords(block, {use.bobbinEnds->piece}) : ""});
    return out;
}

std::string arrivalWords(const plan::Leg& leg, bool isFirst) {
    if (isFirst) return "";
    if (leg.before.empty()) return tr("Go on with the needle down: lift the foot, turn the block.");
    const bool seam = std::any_of(leg.before.begin(), leg.before.end(),
                                  [](const auto& travel) { return travel.throughSeam; });
    return seam ? tr("Go on through the seam allowance: nothing is tied there.")
                : tr("Lift the foot and go across: the thread between is snipped at the end.");
}

std::string triedWords(Colour strand, Colour cloth, double off, bool twice) {
    std::string out = off < plan::matching ? tr("Hardly seen beside the cloth.")
                      : off < plan::nearTo ? tr("The same colour, a little lighter or darker.")
                                           : tr("It stands out: every stitch is seen.");
    if (plan::isDarkOnDark(strand, cloth))
        out += std::string(" ") + (twice ? tr("Dark on dark: one pass is enough, a second is not seen.")
                                         : tr("Dark on dark: one pass is enough."));
    return out + " " + tr("Judged as a single strand lies: lighter than the spool. Lay one on the cloth.");
}

std::string savingWords(const plan::Saving& saving) {
    return said(
        N2_("{0} change of thread fewer, about {1} min", "{0} changes of thread fewer, about {1} min"),
        static_cast<std::size_t>(saving.changes), {plainNumber(saving.minutes, 0)});
}

std::string elsewhereWords(const quilt::Quilt& quilt, const plan::Elsewhere& there) {
    return said(N2_("{0} trail, {1}, about {2} min", "{0} trails, {1}, about {2} min"), there.trails,
                {plainly(there.length, quilt.units), plainNumber(std::max(1.0, there.minutes), 0)});
}

LegSaid legSaid(const quilt::Quilt& quilt, const quilt::Block& block, const plan::StitchNow& now) {
    LegSaid out;
    out.what = said(N_("Stitch {0}."), {legWords(quilt, block, now.run, now.leg.times)});
    if (now.at.leg == 0) {
        if (!find(quilt.threads, now.run.thread))
            out.because += std::string(tr("Choose a thread for it first.")) + " ";
        else if (now.newThread)
            out.because += said(N_("Put on {0}. "), {threadWords(quilt, now.run.thread)});
        out.because += said(N_("Begin at the dot, {0}."), {knotWords(now.begin)});
        if (now.at.trail == 0) out.because += beneathWords(block, now.run.edge.kind);
    } else {
        out.because += arrivalWords(now.leg, false);
    }
    if (now.at.leg + 1 < now.legs) return out;
    out.because += std::string(" ") + said(N_("Tie off at its end, {0}."), {knotWords(now.end)});
    if (now.anotherAfter) out.because += std::string(" ") + tr("Then another thread.");
    return out;
}

} // namespace up::words
