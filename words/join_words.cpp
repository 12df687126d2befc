// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/join_words.hpp"

#include "core/quilt/labels.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <array>

namespace up::words {
namespace {

using quilt::Join;
using quilt::Step;

std::string fabricOf(const quilt::Quilt& quilt, FabricId id) {
    const auto* found = find(quilt.fabrics, id);
    return found ? found->name : tr("its fabric");
}

std::string beyond(const quilt::Quilt& quilt, measure::Length length) {
    return measure::say(length, quilt.units);
}

JoinSaid tracing(const quilt::Quilt& quilt, const plan::Now& now, const std::string& pieces) {
    return {said(N_("Draw round the template of {0} on the right side of {1}."),
                 {pieces, fabricOf(quilt, now.fabric)}),
            now.join == Join::reverse ? said(N_("Not reversed; leave {0} of cloth all round. The same line "
                                                "goes onto the background, from the "
                                                "placement sheet."),
                                             {beyond(quilt, plan::patchAllowance)})
            : now.join == Join::turned
                ? said(N_("Not reversed: there is no web. Leave {0} all round to turn under."),
                       {beyond(quilt, plan::turnedAllowance)})
                : tr("Not reversed: there is no web, and the line is the edge."),
            tr("Drawn")};
}

JoinSaid cutting(const quilt::Quilt& quilt, const plan::Now& now, const std::string& pieces) {
    if (now.join == Join::held)
        return {said(N_("Cut out {0} on the line."), {pieces}),
                tr("The edge stays raw until it is stitched: handle it little."), tr("Cut out")};
    const auto more = beyond(quilt, now.join == Join::turned ? plan::turnedAllowance : plan::patchAllowance);
    return {said(N_("Cut out {0}, {1} beyond the line."), {pieces, more}),
            now.join == Join::turned
                ? tr("The dashed line in the picture is the cut; the drawn one will be the edge.")
                : tr("It lies behind the block, so its edge need not be exact."),
            tr("Cut out")};
}

JoinSaid turning(const quilt::Quilt& quilt, const quilt::Block& block, const plan::Now& now,
                 const std::string& pieces) {
    const auto one = plan::templateOf(the(block.pieces, now.pieces.front()));
    if (one.folding.isRound)
        return {said(N_("Gather {0} over its template."), {pieces}),
                tr("A running stitch between line and cut, drawn up over a heat-proof template; starch it, "
                   "press it cool, and "
                   "take the template out."),
                tr("Turned")};
    std::string because;
    if (!one.folding.clips.empty())
        because =
            said(N2_("Clip the allowance once first, where the picture shows it.",
                     "Clip the allowance {0} times first, where the picture shows it: it spreads there."),
                 one.folding.clips.size()) +
            " ";
    because += said(N_("Fold {0} under along the line, points first; fold the piece in half both ways to "
                       "find its middle."),
                    {beyond(quilt, plan::turnedAllowance)});
    return {said(N_("Turn the edge of {0} under."), {pieces}), because, tr("Turned")};
}

JoinSaid laying(const plan::Now& now, const std::string& pieces) {
    if (now.join == Join::reverse)
        return {said(N_("Pin {0} behind the background, right side up."), {pieces}),
                tr("Hold it against the light: the cloth must reach beyond the line all round."),
                tr("Pinned")};
    if (now.join == Join::turned)
        return {said(N_("Lay {0} and hold it with dots of glue."), {pieces}),
                tr("Washable glue about ½ in apart, just inside the edge; or pins."), tr("Laid")};
    return {said(N_("Lay {0} and hold it with glue or pins."), {pieces}),
            tr("Dots of washable glue away from the edge, where the needle goes; or pins."), tr("Laid")};
}

std::string cutThrough(const quilt::Block& block, const plan::CutAway& cut) {
    std::string out = tr("the background");
    if (!cut.through.empty()) out = said(N_("{0} and {1}"), {out, piecesWords(block, cut.through)});
    return out;
}

JoinSaid cuttingAway(const quilt::Quilt& quilt, const quilt::Block& block, const plan::CutAway& cut,
                     const std::string& pieces) {
    if (cut.where.isEmpty())
        return {said(N_("Nothing can be cut away at {0}: it is too narrow."), {pieces}),
                tr("Leave it as it is; the step is done."), tr("Left as it is")};
    const auto inside = beyond(quilt, cut.fromBack ? plan::behindMargin : plan::holeMargin);
    if (cut.fromBack)
        return {
            said(N_("Turn the block over and cut away {0} behind {1}."), {cutThrough(block, cut), pieces}),
            said(N_("{0} inside the stitching, as the picture shows from the back. Pinch the layers apart "
                    "and snip only "
                    "the lower one."),
                 {inside}),
            tr("Cut away")};
    return {
        said(N_("From the front, cut {0} away inside the line of {1}."), {cutThrough(block, cut), pieces}),
        said(N_("{0} inside the stitching. Pinch the layers apart and snip only the upper one."), {inside}),
        tr("Cut away")};
}

} // namespace

std::string joinName(Join join) {
    return tr(entryOf(std::array{N_("with fusible web"), N_("by glue or pins only"),
                                 N_("edge turned under, by hand"), N_("from behind, through a hole")},
                      join));
}

std::string joinMeans(Join join) {
    return tr(entryOf(
        std::array{
            N_("Traced reversed on web, bonded, cut on the line, fused, stitched."),
            N_("No web: drawn as it is on the right side, cut on the line, held by dots of glue or pins "
               "until it "
               "is stitched."),
            N_("No web: drawn as it is, cut ¼ in beyond the line, the edge turned under, sewn down by hand."),
            N_("No web: a patch behind the block, stitched along its line; then the cloth over it is cut "
               "away "
               "within. What comes after it waits until the hole is cut.")},
        join));
}

std::string stepsWords(const quilt::Way& way) {
    std::vector<std::string> out;
    for (const auto step : every<Step>())
        if (step != Step::toTrace && goesThrough(step, way)) out.push_back(asTask(step));
    return listed(out);
}

std::optional<JoinSaid> joinSaid(const quilt::Quilt& quilt, const quilt::Block& block, const plan::Now& now) {
    const auto pieces = piecesWords(block, now.pieces);
    if (now.step == Step::cutAway && now.cutAway) return cuttingAway(quilt, block, *now.cutAway, pieces);
    if (now.join == Join::fused) return std::nullopt;
    switch (now.step) {
    case Step::traced: return tracing(quilt, now, pieces);
    case Step::cleanCut: return cutting(quilt, now, pieces);
    case Step::turned: return turning(quilt, block, now, pieces);
    case Step::laid: return laying(now, pieces);
    case Step::marked:
        return JoinSaid{
            said(N_("Draw the marks on {0}."), {pieces}),
            tr("From its template over the light box, on the right side, with a pen that washes out."),
            tr("Marks drawn")};
    case Step::stitched:
        if (now.join != Join::turned) return std::nullopt;
        return JoinSaid{said(N_("Sew down the edge of {0} by hand."), {pieces}),
                        tr("Small blind stitches from the background into the fold, about ⅛ in apart, three "
                           "at each point."),
                        tr("Sewn down")};
    default: return std::nullopt;
    }
}

std::string templateWords(const quilt::Quilt& quilt, const plan::Template& one) {
    const auto box = one.cut.bounds();
    const auto size = measure::saySize(measure::Length::ofMm(box.width()),
                                       measure::Length::ofMm(box.height()), quilt.units);
    switch (one.join) {
    case Join::turned:
        if (one.folding.isRound)
            return said(N_("{0} cut, {1} beyond the line; gathered over its template"),
                        {size, beyond(quilt, plan::turnedAllowance)});
        return one.folding.clips.empty()
                   ? said(N_("{0} cut, {1} beyond the line"), {size, beyond(quilt, plan::turnedAllowance)})
                   : said(N2_("{1} cut, {2} beyond the line; {0} clip",
                              "{1} cut, {2} beyond the line; {0} clips"),
                          one.folding.clips.size(), {size, beyond(quilt, plan::turnedAllowance)});
    case Join::reverse:
        return said(N_("{0} cut, {1} beyond the line"), {size, beyond(quilt, plan::patchAllowance)});
    case Join::held:
    case Join::fused: break;
    }
    return said(N_("{0} cut, on the line"), {size});
}

} // namespace up::words
