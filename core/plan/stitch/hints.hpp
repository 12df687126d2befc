// SPDX-License-Identifier: GPL-3.0-or-later
// What whoever sits at the machine would like to know beside the way of the needle.
#pragma once

#include "core/plan/stitch/open_stretch.hpp"

namespace up::plan {

/// One piece stitched with a thread that is used in the block anyway.
struct Saving {
    PieceId piece;
    ThreadId thread;
    int changes = 0;    ///< of thread that are saved
    double minutes = 0; ///< about so many
};
/// So many of them are told.
inline constexpr std::size_t mostSavings = 3;
/// What saves most changes first, then the threads that are nearest to each other by CIEDE2000; each piece once, at most
/// mostSavings. Found among the few dozen that could save most.
[[nodiscard]] std::vector<Saving> savingsOf(const StitchPlan& plan,
                                            const std::vector<quilt::Thread>& threads);

/// What could be stitched in another block while a thread is on.
struct Elsewhere {
    BlockId block;
    std::vector<PieceId> pieces; ///< as the needle comes to them
    std::size_t trails = 0;
    measure::Length length; ///< once along
    double minutes = 0;
};
/// Of all blocks but one that have something; as they stand in the quilt.
[[nodiscard]] std::vector<Elsewhere> elsewhereWith(const quilt::Quilt& quilt, ThreadId thread,
                                                   BlockId except);

struct StitchHints {
    std::optional<OpenStretch> widest; ///< of all stretches without a stitch
    std::vector<Saving> savings;
    ThreadId thread; ///< that is on, or comes first
    std::vector<Elsewhere> elsewhere;
};
[[nodiscard]] StitchHints hintsFor(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const BlockPlan& plan, const StitchPlan& stitching);

} // namespace up::plan
