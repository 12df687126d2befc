// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/joins.hpp"

#include "core/edit/edits.hpp"
#include "core/edit/joining.hpp"
#include "core/store/time.hpp"
#include "demo/starting.hpp"

#include <algorithm>

namespace up::demo {

using quilt::Join;
using quilt::Quilt;
using quilt::Step;

namespace {

PieceId named(const quilt::Block& block, const std::string& name) {
    const auto at = std::find_if(block.pieces.begin(), block.pieces.end(),
                                 [&](const quilt::Piece& piece) { return piece.name == name; });
    return at == block.pieces.end() ? PieceId{} : at->id;
}

/// The last block's pieces of those names; all when none is named.
std::vector<PieceId> piecesOf(const Quilt& quilt, const std::vector<std::string>& names) {
    const auto& block = quilt.blocks.back();
    std::vector<PieceId> out;
    for (const auto& name : names)
        out.push_back(named(block, name));
    if (names.empty())
        for (const auto& piece : block.pieces)
            out.push_back(piece.id);
    return out;
}

Result<Quilt> joined(const Result<Quilt>& quilt, const std::vector<std::string>& names,
                     const edit::Joining& how) {
    return quilt.and_then([&](const Quilt& known) {
        return edit::join(known, known.blocks.back().id, piecesOf(known, names), how);
    });
}

/// Those of the last block come so far, a quarter of an hour apart.
Result<Quilt> brought(Result<Quilt> quilt, const std::vector<std::string>& names, Step upTo) {
    for (const auto step : every<Step>()) {
        if (!quilt || step == Step::toTrace || step > upTo) continue;
        std::vector<PieceId> pieces;
        for (const auto id : piecesOf(*quilt, names))
            if (const auto& piece = the(std::as_const(*quilt).blocks.back().pieces, id); piece.next() == step)
                pieces.push_back(id);
        const auto time = quilt->log->back().time + 900;
        if (!pieces.empty()) quilt = edit::record(*quilt, quilt->blocks.back().id, pieces, step, time);
    }
    return quilt;
}

/// Stitched round; the hole is cut next, and the boat waits for it.
Result<Quilt> nightMooring(const Quilt& quilt, const std::string& folder) {
    auto out = withDrawing(quilt, folder, "moon.svg", "Night mooring", "night ink",
                           *store::readTime("2026-11-17T19:00:00Z"));
    out = joined(out, {"moon"}, {Join::reverse, false});
    out = brought(std::move(out), {}, Step::cleanCut);
    return brought(std::move(out), {"moon"}, Step::stitched);
}

/// The flower is stitched and the ground is cut away behind it next; one pad is sewn down, the other's edge is turned.
Result<Quilt> lilyPond(const Quilt& quilt, const std::string& folder) {
    auto out = withDrawing(quilt, folder, "pond.svg", "Lily pond", "deep teal",
                           *store::readTime("2026-11-20T19:00:00Z"));
    out = joined(out, {"left pad", "right pad", "bud"}, {Join::turned, false});
    out = joined(out, {"flower"}, {Join::fused, true});
    out = brought(std::move(out), {"left pad", "flower"}, Step::stitched);
    out = brought(std::move(out), {"right pad"}, Step::turned);
    return brought(std::move(out), {"bud"}, Step::cleanCut);
}

/// Held by glue alone; the background is quilted next.
Result<Quilt> ducks(const Quilt& quilt, const std::string& folder) {
    auto out = withDrawing(quilt, folder, "ducks.svg", "Duck family", "lichen",
                           *store::readTime("2026-11-24T19:00:00Z"));
    out = joined(out, {}, {Join::held, false});
    if (out) out = edit::setQuiltedFirst(*out, out->blocks.back().id, true);
    return brought(std::move(out), {}, Step::cleanCut);
}

} // namespace

Result<Quilt> withOtherJoins(const Quilt& quilt, const std::string& folder) {
    return nightMooring(quilt, folder)
        .and_then([&](const Quilt& out) { return lilyPond(out, folder); })
        .and_then([&](const Quilt& out) { return ducks(out, folder); });
}

} // namespace up::demo
