// SPDX-License-Identifier: GPL-3.0-or-later
// How far a block is, and what may be done next to each piece.
#pragma once

#include "core/plan/block/block_plan.hpp"

namespace up::plan {

/// Whether the piece may take the step now, by its own history and by what lies beneath it:
/// a lower piece is laid, fused and stitched before the one above it.
/// Errors: Code::notYet {piece, step, step that comes first}; Code::noSuchPiece.
[[nodiscard]] Result<void> mayDo(const quilt::Block& block, const BlockPlan& plan, std::size_t index,
                                 quilt::Step step);

/// How many pieces have done each tread, and of how many go over it; lines of the machine are stitched among them; draw and finish count the block itself.
struct TreadCount {
    int done = 0, of = 0;
    [[nodiscard]] int left() const { return of - done; }
};
[[nodiscard]] TreadCount countOf(const quilt::Block& block, quilt::Tread tread);

/// The first tread that is not complete and where something may be done; finish when all are.
[[nodiscard]] quilt::Tread currentTread(const quilt::Block& block);

} // namespace up::plan
