// SPDX-License-Identifier: GPL-3.0-or-later
// What is to be cut out of each bonded chunk, in which order; which pieces want a label; how the marks are drawn.
#pragma once

#include "core/cut/cuts.hpp"
#include "core/plan/block/block_plan.hpp"
#include "core/plan/trace/trace_plan.hpp"

#include <tuple>

namespace up::plan {

/// One chunk that is bonded and not all cut. Cuts lie on the web's sheet, paper side, as the layout does.
struct ChunkCuts {
    std::size_t chunk = 0;       ///< of the TracePlan
    std::vector<PieceId> pieces; ///< still to be cut: `Cut::shapes` are positions here
    std::vector<cut::Cut> cuts;
    double length = 0;  ///< mm, all of them
    double minutes = 0; ///< at the pace
};

/// Pieces of one fabric that are as large as each other but not the same: once they lie about, nobody can tell them.
using LookAlikes = std::vector<PieceId>;

struct CutPlan {
    std::vector<ChunkCuts> chunks;
    std::vector<LookAlikes> alike; ///< not laid yet
    /// What they were found among.
    std::vector<std::tuple<PieceId, FabricId, Shared<shape::Outline>>> compared;
    double pace = 0;     ///< mm in a minute
    bool learnt = false; ///< from the log; else the usual one
};

/// Of careful scissors round curves, mm in a minute. Invented, no source: the log soon says better.
inline constexpr double usualPace = 300;

/// `before`: a plan from which is taken what looks alike, if the same pieces are to be compared.
[[nodiscard]] CutPlan planCutting(const quilt::Quilt& quilt, const quilt::Block& block,
                                  const TracePlan& trace, const CutPlan* before = nullptr);

/// How far the scissors came in a minute, by the log: between two clean cuts of one sitting (not an hour apart) lie the
/// pieces of the second; the median of all. Nothing when there are fewer than three such.
[[nodiscard]] std::optional<double> paceOf(const quilt::Quilt& quilt);

/// With what a piece's marks may be drawn on its right side.
enum class Pen : std::uint8_t {
    permanent, ///< stitching or another piece covers all of them
    washesOut  ///< they stay in sight: what vanishes with heat would be gone with the first pressing
};
struct MarkAdvice {
    Pen pen = Pen::washesOut;
    double length = 0, covered = 0; ///< mm
};
/// Covered is what lies beneath other pieces or within the swing of the stitching along an edge that shows.
[[nodiscard]] MarkAdvice adviceForMarks(const quilt::Block& block, const BlockPlan& plan, std::size_t piece);

} // namespace up::plan
