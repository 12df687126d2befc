// SPDX-License-Identifier: GPL-3.0-or-later
// What was stitched too early or forgotten, and what it takes to stitch the rest.
#include "core/plan/check/looking.hpp"
#include "core/plan/stitch/open_stretch.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/stitch/stitch_kind.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace up::plan {
namespace {

using check::Fix;
using check::Kind;
using quilt::Step;

/// Its edge is still to be stitched, and not by hand.
bool isByMachine(const quilt::Piece& piece) {
    return piece.work.step < Step::stitched && piece.join != quilt::Join::turned;
}

std::size_t indexOf(const Looking& look, PieceId piece) {
    return static_cast<std::size_t>(quilt::numberOf(look.block, piece)) - 1;
}

/// An upper edge that was stitched where the end of a lower one was to be covered by it. What is stitched all round is
/// told of by its step.
void tooEarly(Looking& look) {
    std::set<std::pair<PieceId, PieceId>> told;
    for (const auto& before : look.stitching->before) {
        const auto &lower = look.stitching->runs[before.first], &upper = look.stitching->runs[before.then];
        if (lower.isDone() || upper.sewn == 0 || !upper.isDone()) continue;
        const auto i = indexOf(look, lower.piece), j = indexOf(look, upper.piece);
        if (look.piece(j).work.step >= Step::stitched || !told.emplace(lower.piece, upper.piece).second)
            continue;
        look.addPair(Kind::stitchedTooEarly, i, j).spot = before.at;
    }
}

void begun(Looking& look) {
    const auto on = look.quilt.machine.thread;
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.piece(i);
        if (!on || piece.thread == on || piece.sewn->empty() || piece.work.step >= Step::stitched) continue;
        const auto left = look.stitching->leftOf(piece.id).open;
        if (left == measure::Length()) continue;
        look.add(Kind::begunBefore, i, {left, piece.thread, on}).weight = left.mm();
    }
}

void threads(Looking& look) {
    std::vector<PieceId> without;
    for (const auto& piece : look.block.pieces)
        if (piece.next() && *piece.next() > Step::laid && piece.work.step < Step::stitched &&
            !find(look.quilt.threads, piece.thread))
            without.push_back(piece.id);
    if (without.empty()) return;
    std::vector<Fix> fixes;
    if (!look.quilt.threads.empty()) fixes.push_back(Fix::matchThread);
    look.addOfBlock(Kind::noThread, {without}, std::move(fixes));
}

/// Edges that fray on purpose, against what their cloth does; once they are stitched it is too late.
void fraying(Looking& look) {
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& piece = look.piece(i);
        const auto& edge = stitchOf(look.block, piece);
        const auto* fabric = find(look.quilt.fabrics, piece.fabric);
        if (!fabric || edge.kind != quilt::StitchKind::frayed || !isByMachine(piece)) continue;
        const auto wanted = quilt::frayInset(fabric->weave);
        constexpr double hair = 25.4 / 64; // mm
        if (!wanted)
            look.add(Kind::doesNotFray, i, {piece.fabric}, {Fix::asItFrays});
        else if (const double off = std::abs(wanted->mm() - edge.width.mm()); off > hair)
            look.add(Kind::fraysOtherwise, i, {check::Fine{edge.width}, check::Fine{*wanted}},
                     {Fix::asItFrays})
                .weight = off;
    }
}

void stabiliser(Looking& look) {
    if (look.block.beneath != quilt::Beneath::nothing) return;
    std::vector<PieceId> pieces;
    for (const auto& piece : look.block.pieces)
        if (isByMachine(piece) && wantsStabiliser(stitchOf(look.block, piece).kind))
            pieces.push_back(piece.id);
    if (!pieces.empty()) look.addOfBlock(Kind::noStabiliser, {pieces}, {Fix::layStabiliser});
}

void bobbins(Looking& look) {
    const auto amounts = amountsOf(look.block, look.plan, *look.stitching, look.quilt.threads);
    for (const auto& use : amounts.threads) {
        if (!use.bobbinEnds || !use.bobbinEnds->piece) continue;
        const auto lacks =
            use.bobbin - find(look.quilt.threads, use.thread)->bobbin.value_or(measure::Length());
        look.add(Kind::bobbinEnds, indexOf(look, use.bobbinEnds->piece), {use.thread, check::Yarn{lacks}},
                 {Fix::windBobbin})
            .weight = lacks.mm();
    }
}

void openWide(Looking& look) {
    if (look.block.beneath != quilt::Beneath::batting) return;
    const auto holds = look.block.battingHolds;
    for (const auto& open : openStretches(look.block, look.plan, *look.stitching)) {
        if (open.across <= holds) continue;
        const auto* piece = find(look.block.pieces, open.piece);
        std::vector<Fix> fixes;
        if (piece && piece->hasMarks() && !piece->marksStitched) fixes.push_back(Fix::stitchMarks);
        auto& finding =
            look.addOfBlock(Kind::openStretch, {open.piece, open.across, holds}, std::move(fixes));
        finding.piece = open.piece;
        finding.spot = open.at;
        finding.weight = open.across.mm();
    }
}

void needle(Looking& look) {
    constexpr double hour = 60; // minutes
    const double worn = look.quilt.machine.needleMinutes;
    if (worn < needleLasts || look.stitching->order().empty()) return;
    look.addOfBlock(Kind::needleWorn, {look.block.id, check::Count{static_cast<std::size_t>(worn / hour)}},
                    {Fix::newNeedle});
}

} // namespace

void checkSewing(Looking& look) {
    threads(look);
    fraying(look);
    stabiliser(look);
    if (!look.stitching) return;
    tooEarly(look);
    begun(look);
    bobbins(look);
    openWide(look);
    needle(look);
}

} // namespace up::plan
