// SPDX-License-Identifier: GPL-3.0-or-later
// All checks of a block or a quilt. Each family of them is a file of this room.
#pragma once

#include "core/check/finding.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "core/plan/stitch/stitch_plan.hpp"

namespace up::plan {

/// What was found, and what of it the user has left as it is.
struct Found {
    std::vector<check::Finding> open, left;
};

/// `stitching`: null while it isn't known; then nothing is said of it.
[[nodiscard]] Found checkBlock(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan,
                               const Judgement& judged, const Doubts& doubts,
                               const StitchPlan* stitching = nullptr);
/// Of all blocks.
[[nodiscard]] Found checkQuilt(const quilt::Quilt& quilt);

/// Only how the pieces lie on each other, and what shines through; also what was left as it is. Pieces that
/// are both fused lie as they lie: of them nothing is said.
[[nodiscard]] std::vector<check::Finding> stackFindings(const quilt::Quilt& quilt, const quilt::Block& block,
                                                        const BlockPlan& plan, const Doubts& doubts);

/// The finding as it is kept when it is left as it is.
[[nodiscard]] quilt::LeftSo leftSo(const check::Finding& finding);
/// Whether that was left as it is, and measures what it measured then: within 2 %, or a tenth.
[[nodiscard]] bool isLeft(const quilt::Block& block, const check::Finding& finding);

/// How far the piece must move to lie inside the finished edge; nothing when it is too large for that.
[[nodiscard]] std::optional<shape::Point> moveInside(const quilt::Block& block, const shape::Region& piece);

/// An edge that ends so near the finished edge lies in the seam line. Source: common practice.
inline constexpr measure::Length seamLineNear = measure::Length::ofInches(1, 32);

/// So long a needle stitches well. Source: common practice.
inline constexpr double needleLasts = 8 * 60; // minutes

/// So many layers are stiff, on so much of a block: mm². Common practice, no source.
inline constexpr std::size_t stiffLayers = 3;
inline constexpr double leastStiff = 25.4 * 25.4;
/// Where many layers lie, and what windows in the web there would free.
struct Stiffness {
    shape::Region where; ///< `stiffLayers` and more
    std::size_t layers;  ///< the most there are
    double freed;        ///< mm² of web
};
[[nodiscard]] Stiffness stiffnessOf(const quilt::Block& block, const BlockPlan& plan);

} // namespace up::plan
