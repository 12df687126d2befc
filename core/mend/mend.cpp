// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mend/mend.hpp"
#include "core/edit/saying.hpp"

#include "core/edit/fitting.hpp"
#include "core/edit/joining.hpp"
#include "core/edit/sewing.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/tracing.hpp"
#include "core/mend/reshaping.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/stitch/thread_match.hpp"

#include <algorithm>
#include <cmath>

namespace up::mend {

using check::Finding;
using check::Fix;
using measure::Length;

namespace {

Edited movedInside(const Quilt& quilt, BlockId block, PieceId piece) {
    const auto place = placeOf(quilt, block, piece);
    if (!place) return tl::unexpected(place.error());
    const auto by = plan::moveInside(place->block, place->plan.regions[place->index]);
    if (!by) return quilt;
    return edit::movePiece(quilt, block, piece, Length::ofMm(by->x), Length::ofMm(by->y));
}

/// Over whatever lies on it, as far as nothing else minds.
Edited broughtUp(const Quilt& quilt, BlockId id, PieceId piece) {
    const auto place = placeOf(quilt, id, piece);
    if (!place) return tl::unexpected(place.error());
    Edited out = quilt;
    for (const auto& o : place->plan.stack.overlaps)
        if (o.lower == place->index)
            out = out.and_then([&](const Quilt& next) {
                return restackedOver(next, id, piece, place->block.pieces[o.upper].id);
            });
    return out;
}

Edited dissolved(const Quilt& quilt, BlockId id, PieceId member) {
    const auto* block = find(quilt.blocks, id);
    const auto* first = block ? find(block->pieces, member) : nullptr;
    if (!first) return failure(Code::noSuchPiece, {std::to_string(member.value)});
    std::vector<PieceId> pieces;
    for (const auto& piece : block->pieces)
        if (piece.unit == first->unit) pieces.push_back(piece.id);
    return edit::setUnit(quilt, id, pieces, false);
}

Edited onStabiliser(const Quilt& quilt, BlockId id) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    return edit::setBeneath(quilt, id, quilt::Beneath::stabiliser, block->battingHolds);
}

/// A block that came out short, sewn with a narrower seam or framed first.
Edited madeToFit(const Quilt& quilt, BlockId id, Fix how) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto trimming = plan::planFinish(quilt, *block).trimming;
    auto fitting = block->fitting;
    if (how == Fix::narrowSeam && trimming.seam) fitting.seam = *trimming.seam;
    if (how == Fix::frameIt && trimming.frame) fitting.frame = trimming.frame->finished;
    return edit::fit(quilt, id, fitting);
}

/// Its background, as blocks like it were drawn in.
Edited cutLarger(const Quilt& quilt, BlockId id) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    auto ground = block->ground;
    ground.oversize = plan::oversizeFor(quilt, *block);
    return edit::setGround(quilt, id, std::move(ground));
}

/// Each with the thread that is nearest to its cloth.
Edited threaded(const Quilt& quilt, const Finding& finding) {
    const auto* pieces = finding.args.empty() ? nullptr : std::get_if<std::vector<PieceId>>(&finding.args[0]);
    const auto* block = find(quilt.blocks, finding.block);
    Edited out = quilt;
    if (!pieces || !block || quilt.threads.empty()) return out;
    for (const auto id : *pieces) {
        const auto* piece = find(block->pieces, id);
        const auto* fabric = piece ? find(quilt.fabrics, piece->fabric) : nullptr;
        const auto thread = fabric ? plan::threadsFor(quilt.threads, fabric->colour).front().thread
                                   : quilt.threads.front().id;
        out =
            out.and_then([&](const Quilt& next) { return edit::setThread(next, finding.block, id, thread); });
    }
    return out;
}

/// So far inside its edge as its cloth wants; close to it, when that does not fray.
Edited frayed(const Quilt& quilt, BlockId block, PieceId id) {
    const auto* owner = find(quilt.blocks, block);
    const auto* piece = owner ? find(owner->pieces, id) : nullptr;
    if (!piece) return failure(Code::noSuchPiece, {std::to_string(id.value)});
    const auto* fabric = find(quilt.fabrics, piece->fabric);
    const auto wanted = quilt::frayInset(fabric ? fabric->weave : quilt::Weave::cotton);
    auto edge = stitchOf(*owner, *piece);
    if (wanted)
        edge.width = *wanted;
    else
        edge = quilt::usualStitch(quilt::StitchKind::straight);
    return edit::setOwnEdge(quilt, block, {id}, edge);
}

/// As much as is lacking, in whole metres.
Edited wound(const Quilt& quilt, const Finding& finding) {
    constexpr double metre = 1000; // mm
    for (std::size_t i = 0; i + 1 < finding.args.size(); ++i) {
        const auto* thread = std::get_if<ThreadId>(&finding.args[i]);
        const auto* lacks = std::get_if<check::Yarn>(&finding.args[i + 1]);
        if (thread && lacks)
            return edit::windBobbin(quilt, *thread,
                                    Length::ofMm(std::ceil(lacks->length.mm() / metre) * metre));
    }
    return quilt;
}

} // namespace

Edited mended(const Quilt& quilt, const Finding& finding, Fix fix) {
    const auto block = finding.block;
    const auto piece = finding.piece;
    switch (fix) {
    case Fix::markRunsOff: return edit::set(quilt, block, {piece}, &quilt::Piece::runsOff, true);
    case Fix::mirror: return edit::mirrorPiece(quilt, block, piece);
    case Fix::moveInside: return movedInside(quilt, block, piece);
    case Fix::otherSide: {
        const auto* owner = find(quilt.blocks, block);
        return edit::setGivenReversed(quilt, block, owner && !owner->givenReversed);
    }
    case Fix::trimLower:
    case Fix::widenUpper:
    case Fix::nudgeUpper: return unpeeked(quilt, finding, fix);
    case Fix::tuck: return tuckedUnder(quilt, block, piece, finding.other);
    case Fix::untie: return untied(quilt, block, piece);
    case Fix::line: return lined(quilt, block, piece);
    case Fix::cutAway: return edit::set(quilt, block, {piece}, &quilt::Piece::shine, quilt::Shine::cutAway);
    case Fix::windows: return edit::setSchool(quilt, block, quilt::School::windowed);
    case Fix::carryOn: return runOff(quilt, block, piece);
    case Fix::noUnit: return dissolved(quilt, block, piece);
    case Fix::leaveOut: return edit::removePiece(quilt, block, piece);
    case Fix::bringUp: return broughtUp(quilt, block, piece);
    case Fix::anyWay:
    case Fix::nearFabric:
    case Fix::turnPiece:
    case Fix::part:
    case Fix::shoppingList: return withOtherCloth(quilt, block, piece, fix);
    case Fix::drawnThrough: return edit::marksDrawnThrough(quilt, block, piece);
    case Fix::layStabiliser: return onStabiliser(quilt, block);
    case Fix::stitchMarks: return edit::set(quilt, block, {piece}, &quilt::Piece::marksStitched, true);
    case Fix::windBobbin: return wound(quilt, finding);
    case Fix::newNeedle: return edit::withNewNeedle(quilt);
    case Fix::narrowSeam:
    case Fix::frameIt: return madeToFit(quilt, block, fix);
    case Fix::cutLarger: return cutLarger(quilt, block);
    case Fix::moveLinesIn: return linesMovedIn(quilt, block);
    case Fix::traceAgain: return linesTracedAgain(quilt, block);
    case Fix::asItFrays: return frayed(quilt, block, piece);
    case Fix::narrower:
    case Fix::layBefore:
    case Fix::turnIn:
    case Fix::takeOff:
    case Fix::countIsRight: return laidOtherwise(quilt, finding, fix);
    case Fix::fuseIt: return edit::join(quilt, block, {piece}, {});
    case Fix::matchThread: return threaded(quilt, finding);
    case Fix::leaveSo: return edit::leaveSo(quilt, block, {plan::leftSo(finding)});
    }
    return quilt;
}

Edited mended(const Quilt& quilt, const std::vector<Finding>& findings, Fix fix) {
    if (findings.empty()) return quilt;
    if (fix == Fix::leaveSo) {
        std::vector<quilt::LeftSo> all;
        for (const auto& finding : findings)
            all.push_back(plan::leftSo(finding));
        return edit::leaveSo(quilt, findings.front().block, all);
    }
    if (fix == Fix::tuck && findings.size() > manyBorders)
        return tuckedUnder(quilt, findings.front().block, plan::Below::drawn);
    Quilt out = quilt;
    std::optional<Error> first;
    std::size_t done = 0;
    for (const auto& finding : findings) {
        auto next = mended(out, finding, fix);
        if (next) {
            out = std::move(*next);
            ++done;
        } else if (!first) {
            first = next.error();
        }
    }
    if (done == 0 && first) return tl::unexpected(*first);
    return out;
}

Edited putOver(const Quilt& quilt, BlockId id, PieceId upper, PieceId lower) {
    auto out = edit::setOver(quilt, id, upper, lower);
    if (!out) return out;
    const auto& block = the(out->blocks, id);
    return edit::reorder(*out, id, plan::orderedAsSaid(block, plan::planBlock(block)));
}

Edited restackedOver(const Quilt& quilt, BlockId id, PieceId upper, PieceId lower) {
    auto out = putOver(quilt, id, upper, lower);
    if (!out) return out;
    const auto& block = the(out->blocks, id);
    const auto stack = plan::planBlock(block).stack;
    for (const auto& knot : stack.knots) {
        const auto in = [&](PieceId piece) {
            return std::any_of(knot.begin(), knot.end(),
                               [&](std::size_t i) { return block.pieces[i].id == piece; });
        };
        if (!in(upper) || !in(lower)) continue;
        std::string others;
        for (const std::size_t i : knot)
            if (const auto& piece = block.pieces[i]; piece.id != upper && piece.id != lower)
                others += (others.empty() ? "" : ", ") + quilt::calledOf(block, piece);
        return failure(Code::othersMind,
                       {the(block.pieces, upper).name, the(block.pieces, lower).name, others});
    }
    return out;
}

Edited numberedAnew(const Quilt& quilt, BlockId id) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    return edit::reorder(quilt, id, plan::numberedAnew(*block, plan::planBlock(*block)));
}

Edited madeUnit(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto order = plan::broughtTogether(*block, plan::planBlock(*block), pieces);
    if (!order) return tl::unexpected(order.error());
    auto all = pieces;
    for (const auto& piece : block->pieces)
        if (std::find(pieces.begin(), pieces.end(), piece.liningOf) != pieces.end()) all.push_back(piece.id);
    return edit::reorder(quilt, id, *order).and_then([&](const Quilt& ordered) {
        return edit::setUnit(ordered, id, all, true);
    });
}

} // namespace up::mend
