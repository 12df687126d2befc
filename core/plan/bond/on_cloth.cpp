// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/bond/on_cloth.hpp"

#include <algorithm>

namespace up::plan {

shape::Region outlineOf(const Chunk& chunk) {
    if (chunk.roughCut.isEmpty()) return {};
    return {{chunk.roughCut.rings.front()}};
}

shape::Transform placing(const quilt::OnCloth& where) {
    return shape::Transform::moveBy(where.x, where.y) * shape::Transform::turn(where.turn);
}

bool mayUse(const quilt::Cloth& cloth, FabricId fabric, BlockId block) {
    return cloth.fabric == fabric && cloth.heldElsewhere.empty() &&
           (!cloth.heldFor || cloth.heldFor == block);
}

const quilt::OnCloth* whereOf(const quilt::Block& block, const Chunk& chunk) {
    const auto at = std::find_if(block.onCloth.begin(), block.onCloth.end(),
                                 [&](const auto& o) { return o.chunk == chunk.number; });
    return at == block.onCloth.end() ? nullptr : &*at;
}

bool isBonded(const quilt::Block& block, const Chunk& chunk) {
    return std::all_of(chunk.pieces.begin(), chunk.pieces.end(),
                       [&](PieceId id) { return the(block.pieces, id).work.step >= quilt::Step::bonded; });
}

namespace {

std::optional<double> degreesOf(const std::optional<measure::Angle>& angle) {
    return angle ? std::optional(angle->degrees()) : std::nullopt;
}

} // namespace

bond::Cloth forEngine(const quilt::Cloth& cloth, shape::Region area) {
    return {std::move(area), degreesOf(cloth.stripes), cloth.scrap};
}

bond::Chunk forEngine(const quilt::Quilt& quilt, const quilt::Block& block, const Chunk& chunk, bool anyWay) {
    const auto* fabric = find(quilt.fabrics, chunk.fabric);
    return {outlineOf(chunk), anyWay ? std::nullopt : degreesOf(wantsOf(quilt, block, chunk)),
            fabric && fabric->print == quilt::Print::oneWay};
}

std::vector<Waiting> waitingOfOthers(const quilt::Quilt& quilt, BlockId except) {
    std::vector<Waiting> out;
    for (const auto& block : quilt.blocks) {
        if (block.id == except || block.onCloth.empty() || !block.layout) continue;
        for (const auto& chunk : planTrace(quilt, block).chunks) {
            const auto* where = whereOf(block, chunk);
            if (!where || isBonded(block, chunk)) continue;
            out.push_back({block.id, chunk.number, where->cloth,
                           shape::transformed(outlineOf(chunk), placing(*where))});
        }
    }
    return out;
}

ClothSizes::ClothSizes(const quilt::Quilt& quilt, BlockId block, FabricId fabric) {
    for (const auto& cloth : quilt.cloths)
        if (mayUse(cloth, fabric, block)) m_cloths.push_back(press::boxRound(shape::Region{cloth.outline}));
}

bool ClothSizes::mayHold(const press::Patch& patch) const {
    constexpr auto rounding = measure::Length::ofInches(1, 4);
    return std::any_of(m_cloths.begin(), m_cloths.end(), [&](const press::Patch& cloth) {
        return patch.width <= cloth.width + rounding && patch.height <= cloth.height + rounding;
    });
}

} // namespace up::plan
