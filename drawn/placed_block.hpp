// SPDX-License-Identifier: GPL-3.0-or-later
// A block from the front, its pieces where they lie: on the mat, in small pictures, and on the placement
// sheet.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

struct BlockDrawing {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    const plan::GroundPlan& ground;
    const plan::BlockPlan* plan = nullptr; ///< of the block; needed for paper alone
    /// Pieces that have come so far are clear, the others pale.
    quilt::Step step = quilt::Step::toTrace;
    bool creases = false;
    /// On paper: only what guides the placing. What larger pieces hide is left out, the block's corners are marked.
    bool guides = false;
};

/// One over the other: the background, the pieces, the finished edge. mm on the block.
[[nodiscard]] std::vector<sheet::Layer> placedBlock(const BlockDrawing& drawing, For whom);

/// One piece where it lies on the block.
[[nodiscard]] sheet::Shape placedPiece(const quilt::Quilt& quilt, const quilt::Piece& piece, double opacity);
/// How its inner marks are drawn on its cloth.
[[nodiscard]] sheet::Pen markPen(const quilt::Quilt& quilt, const quilt::Piece& piece);

} // namespace up::drawn
