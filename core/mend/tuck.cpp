// SPDX-License-Identifier: GPL-3.0-or-later
// Lower pieces beneath upper ones: what peeks out is put right, what does not reach under grows.
#include "core/edit/stacking.hpp"
#include "core/mend/reshaping.hpp"
#include "core/plan/block/doubts.hpp"

#include <algorithm>

namespace up::mend {

using check::Finding;
using check::Fix;
using measure::Length;
using quilt::Block;
using shape::Region;

namespace {

/// The peek that the finding is about, as the quilt is now.
std::optional<stack::Peek> peekOf(const Place& place, PieceId upper, bool shows) {
    const auto within = shape::rectangle(quilt::finishedBox(place.block));
    const auto& p = place.plan;
    for (auto& peek : stack::peeksOf(p.regions, place.index, p.above[place.index], p.cover[place.index],
                                     p.visible[place.index], within))
        if (place.block.pieces[peek.upper].id == upper && peek.shows == shows) return peek;
    return std::nullopt;
}

} // namespace

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

namespace {

Region grown(const Place& place, const std::vector<std::size_t>& under) {
    return stack::grownUnder(plan::tuckedIn(place.plan, place.index), place.block.underlap.mm(), under);
}

} // namespace

Edited tuckedUnder(const Quilt& quilt, BlockId id, PieceId lower, PieceId under) {
    auto place = placeOf(quilt, id, lower);
    if (!place) return tl::unexpected(place.error());
    std::vector<std::size_t> uppers;
    if (const int number = quilt::numberOf(place->block, under); number > 0)
        uppers.push_back(static_cast<std::size_t>(number) - 1);
    return reshaped(quilt, id, place->piece(), place->plan.regions[place->index], grown(*place, uppers),
                    place->plan.cover[place->index]);
}

Edited tuckedUnder(const Quilt& quilt, BlockId id, const Tucking& tucking) {
    return edit::setUnderlap(quilt, id, tucking.underlap)
        .and_then([&](const Quilt& next) { return edit::setOvers(next, id, tucking.over); })
        .and_then([&](const Quilt& next) { return tuckedUnder(next, id, tucking.below); });
}

Edited tuckedUnder(const Quilt& quilt, BlockId id, plan::Below below) {
    const auto* before = find(quilt.blocks, id);
    if (!before) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto wanted = plan::planUnderlap(quilt, *before, plan::planBlock(*before), below);
    auto out = edit::reorder(quilt, id, wanted.order);
    if (!out) return out;
    const Block block = the(out->blocks, id);
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

} // namespace up::mend
