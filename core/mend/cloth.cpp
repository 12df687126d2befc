// SPDX-License-Identifier: GPL-3.0-or-later
// When no cloth will do as it is.
#include "core/edit/cloths.hpp"
#include "core/edit/stashing.hpp"
#include "core/edit/tracing.hpp"
#include "core/mend/reshaping.hpp"
#include "core/plan/bond/parting.hpp"
#include "core/plan/bond/turning.hpp"

#include <algorithm>

namespace up::mend {
namespace {

Edited laidAgain(const Quilt& quilt, BlockId id) {
    const auto& block = the(quilt.blocks, id);
    return edit::layOnCloth(quilt, id, plan::layTheRest(quilt, block, plan::planTrace(quilt, block)));
}

} // namespace

namespace {

Edited laidOut(const Quilt& quilt, BlockId block, std::optional<quilt::Layout> layout) {
    if (!layout) return failure(Code::noOtherCloth);
    return edit::changeLayout(quilt, block, std::move(*layout)).and_then([&](const Quilt& now) {
        return laidAgain(now, block);
    });
}

Edited wanted(const Quilt& quilt, const quilt::Block& block, const plan::TracePlan& trace,
              const plan::Chunk& chunk) {
    for (const auto& missing : plan::planBonding(quilt, block, trace).missing)
        if (trace.chunks[missing.chunk].number == chunk.number)
            return edit::putWant(quilt, {{}, chunk.fabric, missing.width, missing.height, block.id, ""});
    return quilt; // it has found room meanwhile
}

Edited ofOtherFabric(const Quilt& quilt, const quilt::Block& block, const plan::Chunk& chunk,
                     check::Fix fix) {
    const auto fabric = fix == check::Fix::nearFabric ? plan::nearFabric(quilt, block, chunk) : FabricId{};
    if (fix == check::Fix::nearFabric && !fabric) return failure(Code::noOtherCloth);
    Edited out = quilt;
    for (const auto each : chunk.pieces)
        out = out.and_then([&](const Quilt& now) {
            return fabric ? edit::setFabric(now, block.id, each, fabric)
                          : edit::setGrain(now, block.id, each, {});
        });
    return out.and_then([&](const Quilt& now) { return laidAgain(now, block.id); });
}

} // namespace

Edited withOtherCloth(const Quilt& quilt, BlockId id, PieceId piece, check::Fix fix) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto trace = plan::planTrace(quilt, *block);
    const auto chunk = std::find_if(trace.chunks.begin(), trace.chunks.end(), [&](const plan::Chunk& one) {
        return std::find(one.pieces.begin(), one.pieces.end(), piece) != one.pieces.end();
    });
    if (chunk == trace.chunks.end()) return failure(Code::noSuchPiece, {std::to_string(piece.value)});
    if (fix == check::Fix::part) return laidOut(quilt, id, plan::parted(quilt, *block, trace, *chunk));
    if (fix == check::Fix::turnPiece)
        return laidOut(quilt, id, plan::withPieceTurned(quilt, *block, trace, *chunk));
    if (fix == check::Fix::shoppingList) return wanted(quilt, *block, trace, *chunk);
    return ofOtherFabric(quilt, *block, *chunk, fix);
}

} // namespace up::mend
