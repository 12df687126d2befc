// SPDX-License-Identifier: GPL-3.0-or-later
// One block through the stack engine: numbers, steps, what shows. The other plans start from this.
#pragma once

#include "core/quilt/quilt.hpp"
#include "core/stack/stack.hpp"

#include <map>

namespace up::plan {

/// Indices are positions in `block.pieces`, bottom first; a piece's number is its index + 1.
struct BlockPlan {
    std::vector<shape::Region> regions; ///< where the pieces lie on the block
    stack::Stack stack;
    std::vector<shape::Region> visible;
    std::vector<std::vector<shape::Polyline>> visibleEdges;

    /// Indices of the pieces that piece `upper` lies on directly or not.
    [[nodiscard]] std::vector<std::size_t> beneath(std::size_t upper) const;
};

[[nodiscard]] BlockPlan planBlock(const quilt::Block& block);

/// What lies within a stitch's width of the piece's dotted edges, on the block: none of it is turned or
/// stitched.
[[nodiscard]] shape::Region alongDotted(const quilt::Piece& piece);

/// Numbers as on the flags: position in the block + 1; 0 when the piece is not in it.
[[nodiscard]] int numberOf(const quilt::Block& block, PieceId piece);

/// Whether the piece may take the step now, by its own history and by what lies beneath it:
/// a lower piece is laid, fused and stitched before the one above it.
/// Errors: Code::notYet {piece, step, step that comes first}; Code::noSuchPiece.
[[nodiscard]] Result<void> mayDo(const quilt::Block& block, const BlockPlan& plan, std::size_t index,
                                 quilt::Step step);

/// How many pieces have done each tread, and of how many; draw and finish count the block itself.
struct TreadCount {
    int done = 0, of = 0;
    [[nodiscard]] int left() const { return of - done; }
};
[[nodiscard]] TreadCount countOf(const quilt::Block& block, quilt::Tread tread);

/// The first tread that is not complete; finish when all are.
[[nodiscard]] quilt::Tread currentTread(const quilt::Block& block);

} // namespace up::plan
