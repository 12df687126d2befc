// SPDX-License-Identifier: GPL-3.0-or-later
// When no cloth will do as it is.
#include "core/edit/cloths.hpp"
#include "core/edit/tracing.hpp"
#include "core/mend/reshaping.hpp"
#include "core/plan/bond/bond_plan.hpp"

#include <algorithm>

namespace up::mend {
namespace {

Edited laidAgain(const Quilt& quilt, BlockId id) {
    const auto& block = the(quilt.blocks, id);
    return edit::layOnCloth(quilt, id, plan::layTheRest(quilt, block, plan::planTrace(quilt, block)));
}

} // namespace

Edited onOtherCloth(const Quilt& quilt, BlockId id, PieceId piece, check::Fix fix) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto trace = plan::planTrace(quilt, *block);
    const auto chunk = std::find_if(trace.chunks.begin(), trace.chunks.end(), [&](const plan::Chunk& one) {
        return std::find(one.pieces.begin(), one.pieces.end(), piece) != one.pieces.end();
    });
    if (chunk == trace.chunks.end()) return failure(Code::noSuchPiece, {std::to_string(piece.value)});
    const auto fabric = fix == check::Fix::nearFabric ? plan::nearFabric(quilt, *block, *chunk) : FabricId{};
    if (fix == check::Fix::nearFabric && !fabric) return failure(Code::noOtherCloth);
    Edited out = quilt;
    for (const auto each : chunk->pieces)
        out = out.and_then([&](const Quilt& now) {
            return fabric ? edit::setFabric(now, id, each, fabric) : edit::setGrain(now, id, each, {});
        });
    return out.and_then([&](const Quilt& now) { return laidAgain(now, id); });
}

} // namespace up::mend
