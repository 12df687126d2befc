// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mend/mend.hpp"

#include "core/edit/shapes.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/tracing.hpp"
#include "core/plan/check_plan.hpp"
#include "core/plan/doubts.hpp"
#include "core/plan/shine_plan.hpp"
#include "core/plan/stack_checks.hpp"
#include "core/shape/fitting.hpp"
#include "core/stack/knots.hpp"

#include <algorithm>

namespace up::mend {
namespace {

using check::Finding;
using check::Fix;
using measure::Length;
using plan::BlockPlan;
using quilt::Block;
using quilt::Piece;
using shape::Region;

constexpr double faithful = 0.03; // mm: curves laid through what came of cutting and growing

/// What is changed, with its plan.
struct Place {
    const Block& block;
    BlockPlan plan;
    std::size_t index; ///< of the piece
    [[nodiscard]] const Piece& piece() const { return block.pieces[index]; }
};

Result<Place> placeOf(const Quilt& quilt, BlockId id, PieceId piece) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const int number = plan::numberOf(*block, piece);
    if (number == 0) return failure(Code::noSuchPiece, {std::to_string(piece.value)});
    return Place{*block, plan::planBlock(*block), static_cast<std::size_t>(number) - 1};
}

/// mm² of needles and slits too small to be seen.
double needles(const Region& region) {
    constexpr double thin = 0.1, fine = 0.02; // mm
    const auto opened = [&](double by) { return shape::offset(shape::offset(region, -by, fine), by, fine); };
    return shape::subtract(region, shape::offset(opened(thin), fine, fine)).area() +
           shape::subtract(shape::offset(opened(-thin), -fine, fine), region).area();
}

/// Whether curves laid through its edge have made it no worse.
bool isFaithful(const shape::Outline& smooth, const Region& region) {
    constexpr double more = 0.01; // mm²
    return !shape::firstCrossing(flattened(smooth)) &&
           needles(shape::regionOf(smooth)) <= needles(region) + more;
}

/// Smooth where that can be had; else of straight stretches.
std::optional<shape::Outline> outlineOf(const Region& region) {
    auto outlines = shape::outlinesOf(region);
    const auto size = [](const shape::Outline& o) { return std::abs(signedArea(o.edge)); };
    const auto largest = std::max_element(outlines.begin(), outlines.end(),
                                          [&](const auto& a, const auto& b) { return size(a) < size(b); });
    if (largest == outlines.end()) return std::nullopt;
    auto smooth = shape::fitted(*largest, faithful);
    return isFaithful(smooth, shape::regionOf(*largest)) ? smooth : *largest;
}

/// Threads and slits that cutting and growing have left where the shape has changed, within `free`: there
/// nothing narrower than a pair of scissors can follow is kept.
Region tidied(const Region& before, const Region& after, const Region& free) {
    constexpr double thread = 0.6, hair = 0.15, slit = 0.3, near = 1.5, lap = 0.5, fine = 0.02; // mm
    constexpr double much = 0.25; // of the change: then the piece itself is that narrow
    const auto opened = [&](const Region& region, double by) {
        return shape::offset(shape::offset(region, -by, fine), by, fine);
    };
    const auto changed = shape::unite(shape::subtract(before, after), shape::subtract(after, before));
    const auto zone = shape::intersect(shape::offset(opened(changed, fine), near, fine), free);
    if (zone.isEmpty()) return after;
    const auto whole = shape::unite(after, shape::intersect(opened(after, -slit), zone));
    const double lost = shape::intersect(shape::subtract(whole, opened(whole, thread)), zone).area();
    const auto broad = shape::intersect(opened(whole, lost > much * changed.area() ? hair : thread),
                                        shape::offset(zone, lap, fine));
    const auto out = opened(shape::unite(shape::subtract(whole, zone), broad), -hair);
    return shape::simplified(opened(out, 2 * fine), fine);
}

/// The piece in another shape; unchanged where the shape is, or where nothing is left of it. What is cut by
/// hand from a cut piece need not be traced again: `snipped`. `free`: where it does not show.
Edited reshaped(const Quilt& quilt, BlockId block, const Piece& piece, const Region& before,
                const Region& changed, const Region& free, bool snipped = false) {
    const auto after = tidied(before, changed, free);
    constexpr double nothing = 0.05; // mm²
    const auto outline = outlineOf(after);
    const double differs = shape::subtract(before, after).area() + shape::subtract(after, before).area();
    if (!outline || differs < nothing) return quilt;
    const auto work = piece.work;
    auto out = edit::reshapePiece(quilt, block, piece.id, *outline);
    if (out && snipped && work.step >= quilt::Step::cleanCut)
        find(find(out->blocks, block)->pieces, piece.id)->work = work;
    return out;
}

/// The peek that the finding is about, as the quilt is now.
std::optional<stack::Peek> peekOf(const Place& place, PieceId upper, bool shows) {
    const auto within = shape::rectangle(plan::finishedBox(place.block));
    const auto& p = place.plan;
    for (auto& peek : stack::peeksOf(p.regions, place.index, p.above[place.index], p.cover[place.index],
                                     p.visible[place.index], within))
        if (place.block.pieces[peek.upper].id == upper && peek.shows == shows) return peek;
    return std::nullopt;
}

Edited unpeeked(const Quilt& quilt, const Finding& finding, Fix fix) {
    const auto place = placeOf(quilt, finding.block, finding.piece);
    if (!place) return tl::unexpected(place.error());
    const auto peek = peekOf(*place, finding.other, finding.kind == check::Kind::peeks);
    if (!peek) return quilt;
    const auto& upper = place->block.pieces[peek->upper];
    const auto& upperRegion = place->plan.regions[peek->upper];
    const auto& lowerRegion = place->plan.regions[place->index];
    if (fix == Fix::trimLower)
        return reshaped(
            quilt, finding.block, place->piece(), lowerRegion,
            stack::trimmedBack(lowerRegion, place->plan.cover[place->index], *peek),
            shape::unite(place->plan.cover[place->index], shape::offset(peek->where, stack::peekLimit)),
            true);
    if (fix == Fix::widenUpper)
        return reshaped(quilt, finding.block, upper, upperRegion, stack::widened(upperRegion, *peek), {});
    const auto by = stack::nudge(upperRegion, *peek);
    if (!by) return quilt;
    return edit::movePiece(quilt, finding.block, upper.id, Length::ofMm(by->x), Length::ofMm(by->y));
}

Edited movedInside(const Quilt& quilt, BlockId block, PieceId piece) {
    const auto place = placeOf(quilt, block, piece);
    if (!place) return tl::unexpected(place.error());
    const auto by = plan::moveInside(place->block, place->plan.regions[place->index]);
    if (!by) return quilt;
    return edit::movePiece(quilt, block, piece, Length::ofMm(by->x), Length::ofMm(by->y));
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

} // namespace

Edited mended(const Quilt& quilt, const Finding& finding, Fix fix) {
    const auto block = finding.block;
    const auto piece = finding.piece;
    switch (fix) {
    case Fix::none: return quilt;
    case Fix::markRunsOff: return edit::setRunsOff(quilt, block, piece, true);
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
    case Fix::tuckAll: return tuckedUnder(quilt, block, plan::Below::drawn);
    case Fix::untie: return untied(quilt, block, piece);
    case Fix::line: return lined(quilt, block, piece);
    case Fix::cutAway: return edit::setShine(quilt, block, piece, quilt::Shine::cutAway);
    case Fix::accept: return edit::setShine(quilt, block, piece, quilt::Shine::accepted);
    case Fix::windows: return edit::setSchool(quilt, block, quilt::School::windowed);
    case Fix::carryOn: return runOff(quilt, block, piece);
    case Fix::noUnit: return dissolved(quilt, block, piece);
    }
    return quilt;
}

namespace {

Region grown(const Place& place, const std::vector<std::size_t>& under) {
    return stack::grownUnder(plan::tuckedIn(place.plan, place.index), place.block.underlap.mm(), under);
}

} // namespace

Edited tuckedUnder(const Quilt& quilt, BlockId id, PieceId lower, PieceId under) {
    auto place = placeOf(quilt, id, lower);
    if (!place) return tl::unexpected(place.error());
    std::vector<std::size_t> uppers;
    if (const int number = plan::numberOf(place->block, under); number > 0)
        uppers.push_back(static_cast<std::size_t>(number) - 1);
    return reshaped(quilt, id, place->piece(), place->plan.regions[place->index], grown(*place, uppers),
                    place->plan.cover[place->index]);
}

Edited tuckedUnder(const Quilt& quilt, BlockId id, plan::Below below) {
    const auto* before = find(quilt.blocks, id);
    if (!before) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto wanted = plan::planUnderlap(quilt, *before, plan::planBlock(*before), below);
    auto out = edit::reorder(quilt, id, wanted.order);
    if (!out) return out;
    const Block block = *find(out->blocks, id);
    Place place{block, plan::planBlock(block), 0};
    for (; place.index < block.pieces.size(); ++place.index) {
        const auto& piece = place.piece();
        if (piece.work.step >= quilt::Step::fused || piece.liningOf) continue;
        auto next = reshaped(*out, id, piece, place.plan.regions[place.index], grown(place, {}),
                             place.plan.cover[place.index]);
        if (!next) return next;
        out = std::move(next);
    }
    return out;
}

Edited putOver(const Quilt& quilt, BlockId id, PieceId upper, PieceId lower) {
    auto out = edit::setOver(quilt, id, upper, lower);
    if (!out) return out;
    const auto& block = *find(out->blocks, id);
    return edit::reorder(*out, id, plan::orderedAsSaid(block, plan::planBlock(block)));
}

Edited restackedOver(const Quilt& quilt, BlockId id, PieceId upper, PieceId lower) {
    auto out = putOver(quilt, id, upper, lower);
    if (!out) return out;
    const auto& block = *find(out->blocks, id);
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
                others += (others.empty() ? "" : ", ") + plan::calledOf(block, piece);
        return failure(Code::othersMind,
                       {find(block.pieces, upper)->name, find(block.pieces, lower)->name, others});
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

Edited lined(const Quilt& quilt, BlockId id, PieceId pieceId) {
    constexpr Colour white{0xfb, 0xfa, 0xf5};
    const auto place = placeOf(quilt, id, pieceId);
    if (!place) return tl::unexpected(place.error());
    auto outline = plan::liningFor(place->piece());
    if (!outline) return failure(Code::nothingToLine, {place->piece().name});
    Edited out = quilt;
    auto fabric = plan::liningFabric(quilt);
    if (!fabric) {
        out = edit::addFabric(quilt, "lining white", white);
        fabric = out->fabrics.back().id;
    }
    return edit::addLining(*out, id, pieceId, std::move(*outline), fabric);
}

Edited untied(const Quilt& quilt, BlockId id, PieceId pieceId) {
    const auto place = placeOf(quilt, id, pieceId);
    if (!place) return tl::unexpected(place.error());
    const auto& stack = place->plan.stack;
    const auto knot = std::find_if(stack.knots.begin(), stack.knots.end(), [&](const auto& k) {
        return std::find(k.begin(), k.end(), place->index) != k.end();
    });
    if (knot == stack.knots.end()) return quilt;
    const auto ring = stack::ringIn(*knot, stack.overlaps);
    const auto cut = stack::untied(place->plan.regions, ring, place->block.underlap.mm());
    const auto over = cut ? outlineOf(cut->over) : std::nullopt;
    const auto under = cut ? outlineOf(cut->under) : std::nullopt;
    if (!over || !under) {
        std::string names;
        for (const std::size_t i : ring)
            names += (names.empty() ? "" : ", ") + plan::calledOf(place->block, place->block.pieces[i]);
        return failure(Code::cannotUntie, {names});
    }
    const auto& piece = place->block.pieces[cut->piece];
    const auto at = static_cast<std::size_t>(std::find(ring.begin(), ring.end(), cut->piece) - ring.begin());
    const auto upper = place->block.pieces[ring[(at + ring.size() - 1) % ring.size()]].id;
    return edit::splitPiece(quilt, id, piece.id, *over, *under, upper)
        .and_then([&](const Quilt& split) { return edit::dropOver(split, id, piece.id, upper); })
        .and_then(
            [&](const Quilt& split) { return edit::setOver(split, id, piece.id, PieceId{split.nextId - 1}); })
        .and_then([&](const Quilt& split) {
            const auto& block = *find(split.blocks, id);
            return edit::reorder(split, id, plan::orderedAsSaid(block, plan::planBlock(block)));
        });
}

/// Strips beyond each finished edge, where the piece comes so near that it is meant to reach it.
Edited runOff(const Quilt& quilt, BlockId id, PieceId pieceId) {
    const auto place = placeOf(quilt, id, pieceId);
    if (!place) return tl::unexpected(place.error());
    const auto& region = place->plan.regions[place->index];
    const auto box = plan::finishedBox(place->block);
    const double out = (quilt::seamAllowance + beyondRaw).mm(), in = plan::seamLineNear.mm();
    std::vector<Region> all{region};
    const auto carry = [&](shape::Point a, shape::Point b, shape::Point outwards) {
        for (const auto& part : shape::inside({a - outwards * in, b - outwards * in}, region)) {
            const auto p = part.front(), q = part.back();
            all.push_back(shape::regionOf({{p, q, q + outwards * (out + in), p + outwards * (out + in)}},
                                          shape::Fill::nonZero));
        }
    };
    carry({box.left, box.top}, {box.right, box.top}, {0, -1});
    carry({box.right, box.top}, {box.right, box.bottom}, {1, 0});
    carry({box.right, box.bottom}, {box.left, box.bottom}, {0, 1});
    carry({box.left, box.bottom}, {box.left, box.top}, {-1, 0});
    auto next = reshaped(quilt, id, place->piece(), region, shape::unite(all), {});
    return next ? edit::setRunsOff(*next, id, pieceId, true) : next;
}

} // namespace up::mend
