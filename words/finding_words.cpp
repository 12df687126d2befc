// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/finding_words.hpp"

#include "core/base/text.hpp"
#include "core/measure/say.hpp"
#include "core/quilt/labels.hpp"
#include "words/sentences.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <array>
#include <cmath>

namespace up::words {
namespace {

using check::Finding;
using check::Fix;
using check::Kind;

/// Of one, and of many: there {0} … are of the worst, and {9} is how many.
constexpr std::array<Plural, valuesOf<Kind>> patterns{{
    N2_("Interwoven: {0} each lie over the next and none is lowest. One must be cut in two, or go lower.",
        "{9} rings of pieces are interwoven, such as {0}. In each one must be cut in two, or go lower."),
    N2_("Piece {0} is {2}, but {1} beneath it is not. Lift the edge and do {1} first.",
        "{9} pieces are further on than what lies beneath them: {0} is {2}, but {1} is not. Lift the edges "
        "and "
        "do the lower ones first."),
    N2_("Piece {0} is larger than {1}. Use a wider web or split the piece.",
        "{9} pieces are larger than {1}, such as {0}. Use a wider web or split them."),
    N2_("No room is left on {1} for piece {0}. Add web.",
        "No room is left on {1} for {9} pieces, such as {0}. Add web."),
    N2_("The off-cut that {0} should be traced on is not in the stash any more. Lay the block out again.",
        "{9} off-cuts are not in the stash any more, such as that for {0}. Lay the block out again."),
    N2_("The layout of “{0}” has {1} places for pieces that are not in it. Lay the block out again.",
        "The layout of “{0}” has {1} places for pieces that are not in it. Lay the block out again."),
    N2_("The letters of block {0} read backwards: the drawing came reversed and must not be reversed again.",
        "The letters of block {0} read backwards: the drawing came reversed and must not be reversed again."),
    N2_("Block {0} is marked as come reversed, but its letters read the right way: it would be reversed "
        "twice.",
        "Block {0} is marked as come reversed, but its letters read the right way: it would be reversed "
        "twice."),
    N2_("Letter {0} reads backwards from the front. Mirror it, or it will be fused backwards.",
        "{9} letters read backwards from the front, such as {0}. Mirror them, or they will be fused "
        "backwards."),
    N2_("Pieces {1} and {0} look like a pair but are the same way round. One should be mirrored.",
        "{9} times two pieces look like a pair but are the same way round, such as {1} and {0}. One of each "
        "should be mirrored."),
    N2_("{2} × {3} of {1} are wanted for {0}; the largest piece in the stash is {4} × {5}.",
        "For {9} chunks no cloth is large enough: {0} want {2} × {3} of {1}, the largest is {4} × {5}."),
    N2_("On all the {1} that is large enough for {0} the print would run the wrong way.",
        "For {9} chunks the print would run the wrong way on all cloth that is large enough, such as {0} on "
        "{1}."),
    N2_("Other chunks lie where {0} would have room on {1}.",
        "For {9} chunks other ones lie where they would have room, such as {0} on {1}."),
    N2_("Piece {0} has marks to draw. Do it while the paper is still on.",
        "{9} pieces have marks to draw, such as {0}. Do it while the paper is still on."),
    N2_("Piece {0} reaches {1} into the seam allowance.",
        "{9} pieces reach into the seam allowance, {0} by {1}."),
    N2_("Piece {0} runs off the block but ends {1} short of the raw edge.",
        "{9} pieces run off the block but end short of the raw edge, {0} by {1}."),
    N2_("{1} of the dotted edge of piece {0} shows: nothing lies over it. Move what should cover it, or make "
        "that edge a cut line.",
        "Dotted edges of {9} pieces show, of {0} along {1}: nothing lies over them. Move what should cover "
        "them, or make those edges cut lines."),
    N2_("Piece {0} peeks out beside {1}: a sliver {2} wide along {3}.",
        "In {9} places a lower piece peeks out, or will when one is laid a thread beside its place. The "
        "worst: "
        "{0} beside {1}, a sliver {2} wide along {3}."),
    N2_("Piece {0} reaches only {2} beneath {1}; it should reach {3}.",
        "Along {9} borders the lower piece does not reach {3} beneath: {0} reaches only {2} beneath {1}."),
    N2_("Piece {0} narrows to {1}; to cut and stitch it needs {2}.",
        "{9} pieces are thinner in places than the {2} that cutting and stitching need; {0} narrows to {1}."),
    N2_("{1} is much darker and will shine through {2} of piece {0}.",
        "{9} pieces have something much darker beneath that will shine through, the worst {1} through {2} of "
        "{0}."),
    N2_("The edge of piece {0} lies in the seam line, where sewing hides or bares it by chance. Let it run "
        "off, or move it in.",
        "The edges of {9} pieces, such as {0}, lie in the seam line, where sewing hides or bares them by "
        "chance. Let them run off, or move them in."),
    N2_("The edge of piece {0} lies only {2} beneath the edge of {1}, along {3}: it will peek out when one "
        "is "
        "laid a thread beside its place.",
        "In {9} places a lower edge lies just beneath an upper one, the longest {0} beneath {1} along {3}: "
        "it "
        "will peek out when one is laid a thread beside its place."),
    N2_("The unit of piece {0} is split: other pieces lie between. Bring it together again, or let it go.",
        "{9} units are split, such as that of piece {0}: other pieces lie between. Bring them together "
        "again, "
        "or let them go."),
    N2_("Piece {0} is wholly hidden by the pieces above it.",
        "{9} pieces are wholly hidden by those above them, such as {0}."),
    N2_("The paper came off piece {0} before its marks were drawn. Lay the placement sheet beneath it on a "
        "light "
        "box or a window, and draw them through.",
        "The paper came off {9} pieces before their marks were drawn, such as {0}. Lay the placement sheet "
        "beneath "
        "them on a light box or a window, and draw the marks through."),
    N2_("Up to {0} layers lie on each other over {1}: the block gets stiff there. Windows in the web would "
        "free {2}.",
        "Up to {0} layers lie on each other over {1}: the block gets stiff there. Windows in the web would "
        "free {2}."),
    N2_("The edge of {0} was to end beneath the stitching of {1}, which is done already. Stitch {0} up to it "
        "and bring the ends to the back by hand.",
        "{9} edges were to end beneath stitching that is done already, such as {0} beneath {1}. Stitch up to "
        "it and bring the ends to the back by hand."),
    N2_("{0} is stitched in part, {1} are left in {2}, and {3} is on now. Stitch it when {2} is on again.",
        "{9} pieces are stitched in part and another thread is on now, such as {0}: {1} are left in {2}."),
    N2_("There is no thread yet for {0}.", "There is no thread yet for {0}."),
    N2_("Nothing lies beneath, and {0} are stitched with a swing: the cloth would pucker.",
        "Nothing lies beneath, and {0} are stitched with a swing: the cloth would pucker."),
    N2_("The bobbin of {1} runs out on piece {0}: it lacks {2}. Wind one now.",
        "{9} bobbins run out in the middle, that of {1} on piece {0}: it lacks {2}. Wind them now."),
    N2_("{0} is open for {1} without a stitch; the batting holds over {2}. Stitch inside it.",
        "{9} stretches are wider than the {2} that the batting holds without a stitch, the widest {1} on "
        "{0}. "
        "Stitch inside them."),
    N2_("The needle has stitched for {1} hours: put in a new one.",
        "The needle has stitched for {1} hours: put in a new one."),
    N2_("{0} came out {1} too narrow and {2} too low, and no strip makes that up. A narrower seam may, or a "
        "frame.",
        "{0} came out {1} too narrow and {2} too low, and no strip makes that up. A narrower seam may, or a "
        "frame."),
    N2_("Stitching draws such blocks in by {2}: cut the background of {0} {1} larger.",
        "Stitching draws such blocks in by {2}: cut the background of {0} {1} larger."),
    N2_("Lines reach {1} over the finished edge of {0}: the seam will hide it. Move them in.",
        "Lines reach {1} over the finished edge of {0}: the seam will hide it. Move them in."),
    N2_("Lines of {0} are traced with a pen that goes with heat, and the iron is still to come.",
        "Lines of {0} are traced with a pen that goes with heat, and the iron is still to come."),
    N2_("The edge of {0} frays as it is stitched {1} inside it; its cloth wants {2}.",
        "The edges of {9} pieces fray and are stitched otherwise than their cloth wants, such as {0}: {1} "
        "inside it, "
        "not {2}."),
    N2_("{1} does not fray: stitch the edge of {0} close.",
        "{9} pieces are to fray and do not, such as {0} of {1}: stitch them close."),
    N2_("{0} bends to a radius of {1}; laid so wide it puckers under {2}. Make it narrower, or its line "
        "rounder.",
        "{9} strips bend too tightly, such as {0}: to a radius of {1}, and it puckers under {2}. Make them "
        "narrower, or their lines rounder."),
    N2_("An end of {0} is to be covered, but nothing that is laid later lies over it.",
        "{9} ends are to be covered, such as one of {0}, but nothing that is laid later lies over them."),
    N2_("{0} melts, and the iron is still to come. Take it off until all is pressed.",
        "{9} trimmings melt, such as {0}, and the iron is still to come. Take them off until all is "
        "pressed."),
    N2_("{0}: {1} are called for, {2} have a place. Set the others, or count again.",
        "{9} trimmings are miscounted, such as {0}: {1} are called for, {2} have a place. Set the others, or "
        "count again."),
    N2_("Behind {0} something is to be cut away, but batting and backing lie there: they would be cut too.",
        "Behind {9} pieces, such as {0}, something is to be cut away, but batting and backing lie there."),
    N2_("{0} is joined from behind, but reaches {1} over the finished edge: its line is not closed, and the "
        "hole would "
        "tear.",
        "{9} pieces are joined from behind, but reach over the finished edge, {0} by {1}: their lines are "
        "not closed."),
    N2_("{0} is joined from behind and is darker than {1} that is cut over it: round the hole it would show "
        "through.",
        "{9} pieces are joined from behind and are darker than what is cut over them, such as {0} under {1}: "
        "they would "
        "show through."),
    N2_("{0} narrows to {1}; to turn its edge under it needs {2}.",
        "{9} pieces are too thin in places to turn their edges under, such as {0}: {1} instead of {2}."),
    N2_("Block {0} has no pieces yet. Import a drawing.", "Block {0} has no pieces yet. Import a drawing."),
}};

/// Where the measure is nothing, there is none to name.
constexpr Plural peeksByAThread = N2_("Piece {0} peeks out beside {1}: a sliver a thread wide along {3}.",
                                      "In {9} places a lower piece peeks out, or will when one is laid a "
                                      "thread beside its place. The worst: {0} "
                                      "beside {1}, a sliver a thread wide along {3}.");
constexpr Plural coincides = N2_(
    "The edge of piece {0} coincides with the edge of {1}, along {3}: it will peek out when one is laid a "
    "thread beside its place.",
    "In {9} places a lower edge lies just beneath an upper one or on it, the longest {0} beneath {1} along "
    "{3}: it will peek out when one is laid a thread beside its place.");

constexpr Plural merelyMeets = N2_(
    "Piece {0} merely meets {1}; it should reach {3} beneath.",
    "Along {9} borders pieces merely meet or hardly reach under, such as {0} and {1}: a gap would show when "
    "one lies a thread off. The lower one should reach {3} beneath.");

constexpr Plural onlyNarrow =
    N2_("{0} came out {1} too narrow, and no strip makes that up. A narrower seam may, or a frame.",
        "{0} came out {1} too narrow, and no strip makes that up. A narrower seam may, or a frame.");
constexpr Plural onlyLow =
    N2_("{0} came out {2} too low, and no strip makes that up. A narrower seam may, or a frame.",
        "{0} came out {2} too low, and no strip makes that up. A narrower seam may, or a frame.");

bool hasNone(const Finding& finding, std::size_t arg) {
    const auto* measured = finding.args.size() > arg ? std::get_if<check::Fine>(&finding.args[arg]) : nullptr;
    return measured && measured->length == measure::Length();
}

const Plural& patternOf(const Finding& finding) {
    if (finding.kind == Kind::comesOutShort && hasNone(finding, 1)) return onlyLow;
    if (finding.kind == Kind::comesOutShort && hasNone(finding, 2)) return onlyNarrow;
    if (finding.kind == Kind::peeks && hasNone(finding, 2)) return peeksByAThread;
    if (finding.kind == Kind::nearlyPeeks && hasNone(finding, 2)) return coincides;
    if (finding.kind == Kind::reachesTooShort && hasNone(finding, 2)) return merelyMeets;
    return entryOf(patterns, finding.kind);
}

struct Saying {
    const quilt::Quilt& quilt;
    BlockId block;

    std::string operator()(PieceId id) const {
        if (!id) return tr("the background");
        const auto* owner = find(quilt.blocks, block);
        const auto* piece = owner ? find(owner->pieces, id) : nullptr;
        return piece ? quilt::calledOf(*owner, *piece) : tr("one that is gone");
    }
    std::string operator()(const std::vector<PieceId>& ids) const {
        std::vector<std::string> names;
        for (const auto id : ids)
            names.push_back((*this)(id));
        return listed(names);
    }
    std::string operator()(BlockId id) const {
        const auto* owner = find(quilt.blocks, id);
        return owner ? owner->name : "";
    }
    std::string operator()(WebId id) const {
        const auto* web = find(quilt.webs, id);
        return web ? web->name : "";
    }
    std::string operator()(FabricId id) const {
        const auto* fabric = find(quilt.fabrics, id);
        return fabric ? fabric->name : "";
    }
    std::string operator()(ThreadId id) const { return threadWords(quilt, id); }
    std::string operator()(LineId id) const {
        const auto* owner = find(quilt.blocks, block);
        const auto* line = owner ? find(owner->lines, id) : nullptr;
        return line ? line->name : "";
    }
    std::string operator()(quilt::Step step) const { return state(step); }
    std::string operator()(measure::Length length) const { return measure::say(length, quilt.units); }
    std::string operator()(check::Fine fine) const {
        return quilt.units == measure::System::inches ? measure::sayInches(fine.length, 32)
                                                      : measure::sayMetric(fine.length);
    }
    std::string operator()(check::Yarn yarn) const {
        return said(N_("{0} m"), {plainNumber(yarn.length.mm() / 1000, 1)});
    }
    std::string operator()(check::Area area) const { return measure::sayArea(area.mm2, quilt.units); }
    std::string operator()(check::Share share) const {
        const auto percent = std::max(std::lround(100 * share.part), 1L);
        return percent >= 95 ? tr("all") : filled(tr("{0} %"), {std::to_string(percent)});
    }
    std::string operator()(check::Count count) const { return std::to_string(count.number); }
};

std::string told(const quilt::Quilt& quilt, const Finding& finding, std::size_t count) {
    constexpr std::size_t placeOfCount = 9;
    std::vector<std::string> args;
    for (const auto& arg : finding.args)
        args.push_back(std::visit(Saying{quilt, finding.block}, arg));
    args.resize(placeOfCount);
    args.push_back(std::to_string(count));
    return filled(tr(patternOf(finding), count), args);
}

constexpr std::array<Plural, valuesOf<Fix>> fixes{{
    N2_("Move it inside", "Move all {0} inside"),
    N2_("Let it run off", "Let all {0} run off"),
    N2_("Mirror it", "Mirror all {0}"),
    N2_("Change the side", "Change the side"),
    N2_("Trim lower", "Trim all {0} lower"),
    N2_("Widen upper", "Widen all {0} upper"),
    N2_("Nudge over", "Nudge all {0} over"),
    N2_("Tuck it under", "Tuck all {0} under"),
    N2_("Cut one in two", "Cut one of each in two"),
    N2_("Line it", "Line all {0}"),
    N2_("Cut away", "Cut away all {0}"),
    N2_("Cut windows", "Cut windows"),
    N2_("Carry it over", "Carry all {0} over"),
    N2_("Let the unit go", "Let all {0} units go"),
    N2_("Leave it out", "Leave all {0} out"),
    N2_("Bring it up", "Bring all {0} up"),
    N2_("Any way up", "Any way up for all {0}"),
    N2_("Near in colour", "Near in colour for all {0}"),
    N2_("Turn a piece", "Turn a piece of all {0}"),
    N2_("Part it", "Part all {0}"),
    N2_("To be bought", "All {0} to be bought"),
    N2_("Drawn through", "All {0} drawn through"),
    N2_("Lay it beneath", "Lay it beneath"),
    N2_("Stitch its marks", "Stitch all {0} marks"),
    N2_("It is wound", "All {0} are wound"),
    N2_("It is in", "It is in"),
    N2_("A narrower seam", "A narrower seam"),
    N2_("Frame it", "Frame it"),
    N2_("Cut it larger", "Cut it larger"),
    N2_("Move them in", "Move them in"),
    N2_("Trace them again", "Trace them again"),
    N2_("As its cloth wants", "All {0} as their cloth wants"),
    N2_("Make it narrower", "Make all {0} narrower"),
    N2_("Lay it before", "Lay all {0} before"),
    N2_("Turn it in", "Turn all {0} in"),
    N2_("Take it off", "Take all {0} off"),
    N2_("So many it is", "So many it is for all {0}"),
    N2_("Fuse it plainly", "Fuse all {0} plainly"),
    N2_("The nearest thread", "The nearest thread"),
    N2_("Leave it so", "Leave all {0} so"),
}};

} // namespace

std::string sentence(const quilt::Quilt& quilt, const Finding& finding) {
    return told(quilt, finding, 1);
}

std::string sentence(const quilt::Quilt& quilt, const check::Row& row) {
    return told(quilt, row.worst(), row.count());
}

std::string fixWords(Fix fix, std::size_t count) {
    return filled(tr(entryOf(fixes, fix), count), {std::to_string(count)});
}

} // namespace up::words
