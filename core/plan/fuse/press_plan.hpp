// SPDX-License-Identifier: GPL-3.0-or-later
// The final pressing of a block: where the iron goes, how long, and what heat each piece has had by then.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/press/cover.hpp"

namespace up::plan {

/// One setting down of the iron.
struct PlannedPress {
    press::Press press;
    std::vector<PieceId> pieces; ///< of the stage, that lie under it
};

/// What is pressed together.
struct PressStage {
    int unit = 0;                ///< on the pressing sheet first; 0: on the block
    bool fromBack = false;       ///< the block is turned over
    std::vector<PieceId> pieces; ///< bottom first
    double seconds = 0;          ///< each press
    std::vector<PlannedPress> presses;
};

/// Seconds under the iron, all pressings together.
struct PieceHeat {
    PieceId piece;
    double before = 0;          ///< what it has had
    double least = 0, most = 0; ///< after the plan, at its least and its most heated place
};

/// A place where an edge is likely to lift.
enum class WhyTest : std::uint8_t { tip, thick };
constexpr auto keysOf(WhyTest) {
    return std::to_array<std::string_view>({"tip", "thick"});
}
struct EdgeTest {
    PieceId piece;
    shape::Point at; ///< on the block, mm
    WhyTest why{};
};

struct PressPlan {
    press::Iron iron;
    measure::Length overlap;
    std::vector<PressStage> stages; ///< in working order
    std::vector<PieceId> noIron;    ///< what melts
    std::vector<PieceHeat> heat;    ///< of the pieces in them
    std::vector<EdgeTest> tests;    ///< what is most likely to lift first
};

/// For the pieces that are not fused yet and do not melt: each unit by itself, then all on the block, then from the back. No
/// stages when all are. Errors: as press::coverOf; Code::nothingToDo when the block has no pieces.
[[nodiscard]] Result<PressPlan> planPressing(const quilt::Quilt& quilt, const quilt::Block& block,
                                             const BlockPlan& plan, const press::Iron& iron,
                                             measure::Length overlap = press::usualOverlap);

} // namespace up::plan
