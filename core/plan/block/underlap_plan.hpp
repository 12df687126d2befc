// SPDX-License-Identifier: GPL-3.0-or-later
// A drawing whose shapes merely meet, turned into pieces that tuck under: which of two goes below, and why.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/stack/ordering.hpp"

namespace up::plan {

/// Which of two pieces that merely meet goes below, where the user has not said.
enum class Below : std::uint8_t {
    drawn,  ///< the one drawn first
    lighter ///< the lighter one, so that nothing darker shines through it
};

struct UnderlapPlan {
    std::vector<PieceId> order; ///< bottom first
    struct Border {
        PieceId upper, lower;
        stack::Reason reason;
        bool overlap; ///< they overlap as they are drawn; else they merely meet
    };
    std::vector<Border> borders;
};

/// What the block's borders become. `plan` is the block's.
[[nodiscard]] UnderlapPlan planUnderlap(const quilt::Quilt& quilt, const quilt::Block& block,
                                        const BlockPlan& plan, Below below);

/// The order of ironing anew: by step, within a step by fabric, within a fabric from the top left; units and
/// linings stay together.
[[nodiscard]] std::vector<PieceId> numberedAnew(const quilt::Block& block, const BlockPlan& plan);

/// The order as it is, changed as little as possible so that the given pieces lie one upon another with none
/// between. Errors: Code::comesBetween {piece}.
[[nodiscard]] Result<std::vector<PieceId>> broughtTogether(const quilt::Block& block, const BlockPlan& plan,
                                                           const std::vector<PieceId>& pieces);

/// Pieces that could be fused together first, as the overlaps suggest; none that belong to a unit already, or
/// are fused. Larger than half of the block they are no handier than the block.
[[nodiscard]] std::vector<std::vector<PieceId>> suggestedUnits(const quilt::Block& block,
                                                               const BlockPlan& plan);

/// The order as it is, changed as little as possible so that everything that was said holds; as it is, when
/// that ties a knot.
[[nodiscard]] std::vector<PieceId> orderedAsSaid(const quilt::Block& block, const BlockPlan& plan);

} // namespace up::plan
