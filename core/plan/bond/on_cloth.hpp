// SPDX-License-Identifier: GPL-3.0-or-later
// What bonding plans share: chunks as regions, and what lies on a cloth already.
#pragma once

#include "core/plan/bond/bond_plan.hpp"

namespace up::plan {

/// The chunk's outer line on its sheet of web: windows are cut from the web, not from the cloth.
[[nodiscard]] shape::Region outlineOf(const Chunk& chunk);
[[nodiscard]] shape::Transform placing(const quilt::OnCloth& where);
/// Whether a block may cut it up for something of that fabric.
[[nodiscard]] bool mayUse(const quilt::Cloth& cloth, FabricId fabric, BlockId block);
/// Null when it lies on none.
[[nodiscard]] const quilt::OnCloth* whereOf(const quilt::Block& block, const Chunk& chunk);

/// As the engine takes them. `anyWay`: however its print runs.
[[nodiscard]] bond::Cloth forEngine(const quilt::Cloth& cloth, shape::Region area);
[[nodiscard]] bond::Chunk forEngine(const quilt::Quilt& quilt, const quilt::Block& block, const Chunk& chunk,
                                    bool anyWay = false);

/// Which chunks may find room on a fabric's cloths, as far as rectangles round them say: whether there really is room takes a
/// hundred times as long to find.
class ClothSizes {
public:
    ClothSizes(const quilt::Quilt& quilt, BlockId block, FabricId fabric);
    /// `patch`: as of a Chunk.
    [[nodiscard]] bool mayHold(const press::Patch& patch) const;

private:
    std::vector<press::Patch> m_cloths;
};

/// mm² of the rough cuts of chunks with some of these pieces that find a place when all else stays where it is.
[[nodiscard]] double areaLaid(const quilt::Quilt& quilt, const quilt::Block& block, const TracePlan& trace,
                              const std::vector<PieceId>& pieces);
/// All of those chunks do.
[[nodiscard]] bool allFindRoom(const quilt::Quilt& quilt, const quilt::Block& block, const TracePlan& trace,
                               const std::vector<PieceId>& pieces);

/// Whether some cloth of its fabric would have room for the chunk if nothing lay on it.
[[nodiscard]] bool fitsOnEmpty(const quilt::Quilt& quilt, const quilt::Block& block, const Chunk& chunk);

/// A chunk of some block that waits on a cloth.
struct Waiting {
    BlockId block;
    int chunk = 0;
    ClothId cloth;
    shape::Region outline; ///< there, mm
};
/// Of all blocks but that one; bonded ones no longer wait.
[[nodiscard]] std::vector<Waiting> waitingOfOthers(const quilt::Quilt& quilt, BlockId except);

} // namespace up::plan
