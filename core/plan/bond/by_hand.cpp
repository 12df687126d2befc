// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/bond/by_hand.hpp"

#include "core/plan/bond/on_cloth.hpp"

#include <algorithm>

namespace up::plan {

using quilt::Block;
using quilt::OnCloth;

namespace {

const Chunk* chunkNumbered(const TracePlan& trace, int number) {
    const auto at = std::find_if(trace.chunks.begin(), trace.chunks.end(),
                                 [&](const Chunk& chunk) { return chunk.number == number; });
    return at == trace.chunks.end() ? nullptr : &*at;
}

} // namespace

std::optional<int> chunkNumberOf(const Block& block, PieceId piece) {
    if (!block.layout) return std::nullopt;
    for (const auto& traced : block.layout->traced)
        if (traced.piece == piece) return traced.chunk;
    return std::nullopt;
}

std::vector<OnCloth> movedOnCloth(const Block& block, const TracePlan& trace, int number, double right,
                                  double down, measure::Angle turn) {
    auto out = block.onCloth;
    const auto* chunk = chunkNumbered(trace, number);
    for (auto& on : out) {
        if (on.chunk != number || !chunk) continue;
        const auto middle = shape::transformed(outlineOf(*chunk), placing(on)).bounds().centre();
        const auto at = shape::Transform::turnAbout(middle, turn)({on.x, on.y});
        on.x = at.x + right, on.y = at.y + down;
        on.turn = (on.turn + turn).normal();
        on.pinned = true;
    }
    return out;
}

std::optional<std::vector<OnCloth>> onAnotherCloth(const quilt::Quilt& quilt, const Block& block,
                                                   const TracePlan& trace, int number) {
    const auto* chunk = chunkNumbered(trace, number);
    if (!chunk) return std::nullopt;
    const auto* now = whereOf(block, *chunk);
    std::vector<ClothId> order; // round from the one it lies on
    for (const auto& cloth : quilt.cloths)
        if (mayUse(cloth, chunk->fabric, block.id)) order.push_back(cloth.id);
    if (now)
        if (const auto at = std::find(order.begin(), order.end(), now->cloth); at != order.end()) {
            std::rotate(order.begin(), at + 1, order.end());
            order.pop_back();
        }
    auto rest = block;
    std::erase_if(rest.onCloth, [&](const OnCloth& on) { return on.chunk == number; });
    for (auto& on : rest.onCloth)
        on.pinned = true;
    for (const auto id : order) {
        auto with = quilt; // nothing but that cloth, and of what waits only this chunk is free
        std::erase_if(with.cloths,
                      [&](const auto& cloth) { return cloth.fabric == chunk->fabric && cloth.id != id; });
        TracePlan some;
        for (const auto& one : trace.chunks)
            if (one.number == number || (whereOf(rest, one) && whereOf(rest, one)->cloth == id))
                some.chunks.push_back(one);
        Job job;
        const auto laid = layOnCloth(with, rest, some, {0, 1}, job);
        const auto at =
            std::find_if(laid.begin(), laid.end(), [&](const OnCloth& on) { return on.chunk == number; });
        if (at == laid.end()) continue;
        std::vector<OnCloth> out;
        for (const auto& on : block.onCloth)
            if (on.chunk != number) out.push_back(on);
        out.push_back(*at);
        out.back().pinned = true;
        std::sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.chunk < b.chunk; });
        return out;
    }
    return std::nullopt;
}

} // namespace up::plan
