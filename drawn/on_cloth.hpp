// SPDX-License-Identifier: GPL-3.0-or-later
// Chunks of web on cloth, as one looks down on them: cloth wrong side up, paper side up.
#pragma once

#include "core/plan/bond/bond_plan.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

struct BondDrawing {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    const plan::TracePlan& trace;
    PieceId chosen{};
};

/// The cloth with its print, what waits there for other blocks, and the chunks; `seen`, mm, is all that is
/// drawn.
[[nodiscard]] std::vector<sheet::Layer> clothLayers(const BondDrawing& what, const quilt::Cloth& cloth,
                                                    const plan::ClothUse& use, const shape::Box& seen);

/// One chunk with its pieces and their numbers; `to`: from its sheet of web.
[[nodiscard]] std::vector<sheet::Layer> chunkLayers(const BondDrawing& what, const plan::Chunk& chunk,
                                                    const shape::Transform& to);

} // namespace up::drawn
