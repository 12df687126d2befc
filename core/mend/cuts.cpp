// SPDX-License-Identifier: GPL-3.0-or-later
// Remedies that need the scissors or new cloth: linings, knots cut apart, pieces carried over the edge.
#include "core/base/spoken.hpp"
#include "core/edit/saying.hpp"
#include "core/edit/shapes.hpp"
#include "core/edit/stacking.hpp"
#include "core/mend/reshaping.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/shine_plan.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/stack/knots.hpp"

#include <algorithm>

namespace up::mend {

using shape::Region;

Edited lined(const Quilt& quilt, BlockId id, PieceId pieceId) {
    constexpr Colour white{0xfb, 0xfa, 0xf5};
    const auto place = placeOf(quilt, id, pieceId);
    if (!place) return tl::unexpected(place.error());
    auto outline = plan::liningFor(place->piece());
    if (!outline) return failure(Code::nothingToLine, {place->piece().name});
    Edited out = quilt;
    auto fabric = plan::liningFabric(quilt);
    if (!fabric) {
        out = edit::addFabric(quilt, spoken("lining white"), white);
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
            names += (names.empty() ? "" : ", ") + quilt::calledOf(place->block, place->block.pieces[i]);
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
            const auto& block = the(split.blocks, id);
            return edit::reorder(split, id, plan::orderedAsSaid(block, plan::planBlock(block)));
        });
}

/// Strips beyond each finished edge, where the piece comes so near that it is meant to reach it.
Edited runOff(const Quilt& quilt, BlockId id, PieceId pieceId) {
    const auto place = placeOf(quilt, id, pieceId);
    if (!place) return tl::unexpected(place.error());
    const auto& region = place->plan.regions[place->index];
    const auto box = quilt::finishedBox(place->block);
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
    return next ? edit::set(*next, id, {pieceId}, &quilt::Piece::runsOff, true) : next;
}

} // namespace up::mend
