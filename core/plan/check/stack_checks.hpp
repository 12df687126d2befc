// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong or doubtful about how a block's pieces lie on each other.
#pragma once

#include "core/check/finding.hpp"
#include "core/plan/block/doubts.hpp"

namespace up::plan {

/// An edge that ends so near the finished edge lies in the seam line. Source: common practice.
inline constexpr measure::Length seamLineNear = measure::Length::ofInches(1, 32);
/// So many layers are stiff, on so much of a block: mm². Common practice, no source.
inline constexpr std::size_t stiffLayers = 3;
inline constexpr double leastStiff = 25.4 * 25.4;
/// More borders without underlap than this are told of together.
inline constexpr std::size_t manyBorders = 3;

/// Where many layers lie, and what windows in the web there would free.
struct Stiffness {
    shape::Region where; ///< `stiffLayers` and more
    std::size_t layers;  ///< the most there are
    double freed;        ///< mm² of web
};
[[nodiscard]] Stiffness stiffnessOf(const quilt::Block& block, const BlockPlan& plan);

/// Pieces that are both fused lie as they lie: of them nothing is said.
[[nodiscard]] std::vector<check::Finding> stackFindings(const quilt::Quilt& quilt, const quilt::Block& block,
                                                        const BlockPlan& plan, const Doubts& doubts);

} // namespace up::plan
