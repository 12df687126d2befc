// SPDX-License-Identifier: GPL-3.0-or-later
// The thread and the time that a stitching plan takes.
#pragma once

#include "core/plan/stitch/legs.hpp"

namespace up::plan {

/// Where the bobbins that are wound are empty.
struct BobbinEnd {
    std::size_t trail = 0;
    PieceId piece; ///< none: in a line on the background
};

struct ThreadUse {
    ThreadId thread;
    measure::Length needle, bobbin;
    std::optional<BobbinEnd> bobbinEnds{}; ///< when it is known what is on them, and it is too little
};

/// That goes onto one bobbin, of 40 weight. From memory.
inline constexpr double bobbinHolds = 40'000; // mm
/// So many are to be wound ahead, beside what is wound.
[[nodiscard]] std::size_t bobbinsToWind(const ThreadUse& use, const quilt::Thread* thread);

struct StitchAmounts {
    std::vector<ThreadUse> threads; ///< in the order in which they are put on first
    int stitches = 0;
    double minutes = 0; ///< with changes of thread and knots
};

/// What one leg takes, on the way to it too; without knots.
struct LegUse {
    measure::Length needle, bobbin;
    double stitches = 0;
    double minutes = 0, needleMinutes = 0; ///< with the needle of the machine: none by hand
};
[[nodiscard]] LegUse useOfLeg(const quilt::Block& block, const BlockPlan& plan, const StitchPlan& stitching,
                              const Leg& leg);

/// Of all that is not stitched yet. `threads`: with what is left of them.
[[nodiscard]] StitchAmounts amountsOf(const quilt::Block& block, const BlockPlan& plan,
                                      const StitchPlan& stitching, const std::vector<quilt::Thread>& threads);

/// Background and pieces under the needle along a run, its own piece among them: in the middle of it.
[[nodiscard]] int layersUnder(const quilt::Block& block, const BlockPlan& plan, const StitchRun& run);

} // namespace up::plan
