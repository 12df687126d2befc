// SPDX-License-Identifier: GPL-3.0-or-later
// The heat that the pieces of a block have had and are to have, place by place.
#pragma once

#include "core/plan/fuse/press_plan.hpp"

namespace up::plan {

class BlockHeat {
public:
    /// With what was recorded, and what nobody recorded but must have been.
    BlockHeat(const quilt::Block& block, const BlockPlan& plan, const quilt::Web* web);

    /// A press that is to come heats those pieces, by position.
    void add(const shape::Region& under, double seconds, const std::vector<std::size_t>& pieces);

    /// Of a piece that lies on the block by then.
    [[nodiscard]] PieceHeat of(std::size_t piece) const;
    /// Seconds at that place of it, recorded and to come.
    [[nodiscard]] double heatAt(std::size_t piece, shape::Point at) const;
    /// How many of the presses to come a piece can take: any more, and some of it gets more than `limit`.
    [[nodiscard]] std::size_t bearable(std::size_t piece, double limit) const;

private:
    [[nodiscard]] double mostAfter(std::size_t piece, std::size_t presses) const;

    const quilt::Block& m_block;
    const BlockPlan& m_plan;
    std::vector<double> m_before;
    std::vector<std::vector<press::Heating>> m_heatings; ///< by piece; recorded ones first
    std::vector<std::size_t> m_recorded;                 ///< how many of them
};

} // namespace up::plan
