// SPDX-License-Identifier: GPL-3.0-or-later
// Several pieces lined up with one of them, or spaced evenly between the two outermost.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

/// What of their boxes comes into one line.
enum class Line : std::uint8_t { lefts, middlesAcross, rights, tops, middlesDown, bottoms };

/// A piece and how far it moves, mm right and down.
using PieceMove = std::pair<PieceId, shape::Point>;

/// How the others must move to come into line with `anchor`; those that lie there already are left out, and
/// so are pieces of which there is nothing.
[[nodiscard]] std::vector<PieceMove> linedUp(const quilt::Block& block, const BlockPlan& plan,
                                             const std::vector<PieceId>& pieces, PieceId anchor, Line line);

/// How those between the two outermost must move so that the gaps between their boxes are equal; where they
/// overlap, so that they overlap equally. Fewer than three: nothing.
[[nodiscard]] std::vector<PieceMove> spacedEvenly(const quilt::Block& block, const BlockPlan& plan,
                                                  const std::vector<PieceId>& pieces, bool down);

} // namespace up::plan
