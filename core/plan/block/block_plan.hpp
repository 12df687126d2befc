// SPDX-License-Identifier: GPL-3.0-or-later
// One block through the stack engine: numbers, steps, what shows. The other plans start from this.
#pragma once

#include "core/quilt/labels.hpp"
#include "core/stack/stack.hpp"

namespace up::plan {

/// What a plan was made from: another plan starts from it where nothing has changed.
struct PlannedFrom {
    PieceId piece;
    Shared<shape::Outline> outline;
    quilt::Placement place;
    bool operator==(const PlannedFrom&) const = default;
};

/// Indices are positions in `block.pieces`, bottom first.
struct BlockPlan {
    std::vector<PlannedFrom> from;
    std::vector<quilt::Over> said;
    std::vector<shape::Region> regions; ///< where the pieces lie on the block
    stack::Stack stack;
    measure::Length underlap;
    double reach = 0;                            ///< mm: pieces so near matter to each other
    std::vector<std::vector<std::size_t>> above; ///< pieces that lie on it or so near, lowest first
    std::vector<shape::Region> cover;            ///< those together
    std::vector<shape::Region> visible;
    std::vector<std::vector<shape::Polyline>> visibleEdges;

    /// Indices of the pieces that piece `upper` lies on.
    [[nodiscard]] std::vector<std::size_t> beneath(std::size_t upper) const;
};

/// `before`: a plan of the block as it was; what lies apart from what has changed since is taken from it.
[[nodiscard]] BlockPlan planBlock(const quilt::Block& block, const BlockPlan* before = nullptr);

/// What lies within a stitch's width of the piece's dotted edges, on the block: none of it is turned or
/// stitched.
[[nodiscard]] shape::Region alongDotted(const quilt::Piece& piece);

} // namespace up::plan
