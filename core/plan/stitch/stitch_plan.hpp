// SPDX-License-Identifier: GPL-3.0-or-later
// A block through the stitching engine: what is stitched, the way of the needle, with which thread.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/stitch/stitching.hpp"

namespace up::plan {

/// A stretch of what shows of a piece's edge, of a mark on it, or of a line of the block.
struct StitchRun {
    PieceId piece; ///< none: `of` says of which line
    ThreadId thread;
    bool isEdge = true;
    shape::Polyline line; ///< on the block, mm; a closed one repeats its first point
    bool closed = false;
    quilt::EdgeStitch edge{};    ///< how: its own, its piece's, or the block's
    std::vector<int> allowed{1}; ///< how often it may be stitched in all, what is liked best first
    int sewnBefore = 0;          ///< so often it was when this was planned
    int passes = 0;              ///< in the trails
    int sewn = 0;                ///< so often it is now
    LineId of{};                 ///< a line of the block
    std::vector<PieceId> on{};   ///< pieces beneath such a line
    bool waits = false;          ///< for a hole, or for work by hand: it is in no trail yet
    [[nodiscard]] bool isDone() const { return !waits && sewn >= sewnBefore + passes; }
    bool operator==(const StitchRun&) const = default;
    [[nodiscard]] measure::Length length() const { return measure::Length::ofMm(shape::lengthOf(line)); }
};

struct StitchPlan {
    std::vector<StitchRun> runs;
    std::vector<stitch::Before> before;
    std::vector<stitch::Trail>
        trails;              ///< as they are stitched; of runs that were not done when it was planned
    measure::Length mayJump; ///< that was allowed
    int threadChanges = 0;
    measure::Length jump; ///< in all
    bool fewest = true;   ///< no fewer thread changes will do
    bool fewestTies = true;
    int leastTies = 0;  ///< no way with these turns has fewer
    bool quick = false; ///< perhaps there is a better one

    /// Pieces that are not stitched all round, in the order in which the needle comes to them.
    [[nodiscard]] std::vector<PieceId> order() const;
    /// What is to be stitched of a piece still, and in all, once along it.
    struct Left {
        measure::Length open, all;
    };
    [[nodiscard]] Left leftOf(PieceId piece) const;
};

struct StitchOptions {
    const StitchPlan* before = nullptr; ///< as it was planned; while only more is stitched, the trails stay
    ThreadId on{};      ///< on the machine: it comes first where that costs no change of thread
    bool quick = false; ///< a good plan in less time
    ThreadId only{};    ///< if set: only what may be stitched now while that thread stays on
};

/// Every edge that shows within the finished block and isn't dotted, unless quilting all over holds it, and marks
/// that are stitched; lines of the block that the machine stitches.
[[nodiscard]] StitchPlan planStitching(const quilt::Block& block, const BlockPlan& plan,
                                       const StitchOptions& options = {});

/// Whether the piece is fused and tested, and not stitched.
[[nodiscard]] bool isReady(const quilt::Block& block, PieceId piece);
/// The same of a run: a line of the block must be traced, and all beneath it fused and tested.
[[nodiscard]] bool isReady(const quilt::Block& block, const StitchRun& run);
/// All beneath such a line is fused and tested.
[[nodiscard]] bool mayTrace(const quilt::Block& block, const StitchRun& run);

/// Thread for a satin or blanket edge, needle and bobbin together, as a multiple of the seam. From memory.
inline constexpr int threadPerSeam = 3;

} // namespace up::plan
