// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out dry: in which order pieces are put down, what is laid for a moment only to find another's place,
// and the measures that place each one without a light box.
#pragma once

#include "core/plan/block_plan.hpp"
#include "core/plan/ground_plan.hpp"

namespace up::plan {

/// A point of a piece that a hand can find.
enum class Spot : std::uint8_t { leftEnd, rightEnd, top, bottom, middle };

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
    Spot spot;
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

struct LayStep {
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

/// The whole block from nothing, in the order of laying.
[[nodiscard]] std::vector<LayStep> dryLay(const quilt::Block& block, const BlockPlan& plan,
                                          const GroundPlan& ground);
/// The measures of one piece. Two that fix where it lies, and one more that fixes how it is turned, unless it
/// is round.
[[nodiscard]] std::vector<PlaceMeasure> measuresOf(const shape::Region& piece, const GroundPlan& ground);

} // namespace up::plan
