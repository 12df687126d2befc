// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mend/reshaping.hpp"

#include "core/edit/stacking.hpp"
#include "core/shape/fitting.hpp"

#include <algorithm>

namespace up::mend {

using quilt::Piece;
using shape::Region;

Result<Place> placeOf(const Quilt& quilt, BlockId id, PieceId piece) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const int number = quilt::numberOf(*block, piece);
    if (number == 0) return failure(Code::noSuchPiece, {std::to_string(piece.value)});
    return Place{*block, plan::planBlock(*block), static_cast<std::size_t>(number) - 1};
}

namespace {

constexpr double faithful = 0.03; // mm: curves laid through what came of cutting and growing

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

} // namespace

std::optional<shape::Outline> outlineOf(const Region& region) {
    auto outlines = shape::outlinesOf(region);
    const auto size = [](const shape::Outline& o) { return std::abs(signedArea(o.edge)); };
    const auto largest = std::max_element(outlines.begin(), outlines.end(),
                                          [&](const auto& a, const auto& b) { return size(a) < size(b); });
    if (largest == outlines.end()) return std::nullopt;
    auto smooth = shape::fitted(*largest, faithful);
    return isFaithful(smooth, shape::regionOf(*largest)) ? smooth : *largest;
}

Edited reshaped(const Quilt& quilt, BlockId block, const Piece& piece, const Region& before,
                const Region& changed, const Region& free, bool snipped) {
    const auto after = tidied(before, changed, free);
    constexpr double nothing = 0.05; // mm²
    const auto outline = outlineOf(after);
    const double differs = shape::subtract(before, after).area() + shape::subtract(after, before).area();
    if (!outline || differs < nothing) return quilt;
    const auto work = piece.work;
    auto out = edit::reshapePiece(quilt, block, piece.id, *outline);
    if (out && snipped && work.step >= quilt::Step::cleanCut)
        the(find(out->blocks, block)->pieces, piece.id).work = work;
    return out;
}

} // namespace up::mend
