// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out dry: in which order pieces are put down, what is laid for a moment only to find another's place,
// and the measures that place each one without a light box.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/plan/block/ground_plan.hpp"

namespace up::plan {

/// A point of a piece that a hand can find.
enum class Landmark : std::uint8_t { leftEnd, rightEnd, top, bottom, middle };

/// What it is measured from.
enum class From : std::uint8_t {
    leftEdge, ///< the background's raw edge
    rightEdge,
    topEdge,
    bottomEdge,
    uprightCrease, ///< it lies on it: nothing to measure
    levelCrease
};

struct PlaceMeasure {
    Landmark spot;
    bool isTip; ///< the piece ends in a point there
    From from;
    Length away;     ///< 0 on a crease
    shape::Point at; ///< on the block, mm
    bool operator==(const PlaceMeasure&) const = default;
};

/// How far a piece is tucked under one that lies on it.
struct TuckUnder {
    std::size_t upper;
    Length depth; ///< on average along their border
};

struct PlacementStep {
    std::size_t piece;
    bool forAMoment = false;            ///< laid as a guide, to be lifted or slid over again
    std::optional<std::size_t> guide;   ///< the piece that lies there for a moment while this one is laid
    std::vector<TuckUnder> tucks;       ///< the deepest border first
    std::vector<PlaceMeasure> measures; ///< two or three
};

/// A lower piece of which less than this share shows is found by laying the upper one first for a moment.
/// Common practice, no source.
inline constexpr double hardlyShows = 0.5;
/// On a crease: within 1/32 in.
inline constexpr Length onCrease = Length::ofInches(1, 32);

/// How one piece is laid.
[[nodiscard]] PlacementStep layStep(const BlockPlan& plan, const GroundPlan& ground, std::size_t piece);
/// Every piece's, by position. `before` are those of `planBefore`, a plan of the block as it was on the same
/// ground: only what is touched since is worked out anew.
[[nodiscard]] std::vector<PlacementStep> placementSteps(const BlockPlan& plan, const GroundPlan& ground,
                                                        const BlockPlan* planBefore = nullptr,
                                                        const std::vector<PlacementStep>* before = nullptr);
/// The whole block from nothing, in the order of laying: each piece's step, and before it the guide that it
/// needs.
[[nodiscard]] std::vector<PlacementStep> dryLay(const std::vector<PlacementStep>& steps);
/// What lies on the background just before a step: pieces laid for good, and the guide, if there is one.
struct LaidSoFar {
    std::vector<bool> laid;
    std::optional<std::size_t> guide;
};
[[nodiscard]] LaidSoFar before(const std::vector<PlacementStep>& dry, std::size_t step, std::size_t pieces);
/// The measures of one piece. Two that fix where it lies, and one more that fixes how it is turned, unless it
/// is round or turns without its ends moving. A tip is measured both ways; of a round or flat end only how
/// far it reaches, since nobody finds its furthest point. Ends that run off the finished block are not
/// measured; fewer are left then.
[[nodiscard]] std::vector<PlaceMeasure> measuresOf(const shape::Region& piece, const GroundPlan& ground);

} // namespace up::plan
