// SPDX-License-Identifier: GPL-3.0-or-later
// What is stitched, in runs between the places where they meet, and which of them come first.
#pragma once

#include "core/shape/region.hpp"

#include <limits>
#include <vector>

namespace up::stitch {

inline constexpr std::size_t noPiece = std::numeric_limits<std::size_t>::max();

/// A line that is stitched, as it lies on the block, mm.
struct Line {
    shape::Polyline points;      ///< a closed one repeats its first point
    std::size_t piece = noPiece; ///< whose edge it is, or on which it lies; none: it lies on the background
    bool isEdge = true;
    int thread = 0;             ///< any number
    std::vector<int> passes{1}; ///< how often it may be stitched, the fewest first
};

/// The pieces of a block, by position: where they lie, and which ones lie over each wherever they overlap.
struct Pieces {
    const std::vector<shape::Region>& areas;
    const std::vector<std::vector<std::size_t>>& above;
};

struct Run {
    std::size_t line = 0; ///< of which it is a stretch
    shape::Polyline points;
    bool closed = false; ///< it repeats its first point
};

/// Where `first` ends beneath the piece of `then`: it must be finished there before the other is begun.
struct Before {
    std::size_t first = 0, then = 0; ///< runs
    shape::Point at;
};

struct Runs {
    std::vector<Run> runs; ///< in the order of their lines
    std::vector<Before> before;
};

/// Ends of runs that are no farther apart, mm, lie at one place.
inline constexpr double meeting = 0.08;
/// Shorter lines come from flattening, mm; nobody stitches them.
inline constexpr double leastRun = 0.3;

/// The lines parted where others end on them, and, of one thread, where they come nearest to each other within `jump` mm
/// (0: not). A closed one that meets nothing begins where its knot shows least: at an inner corner, else in the middle
/// of its longest smooth stretch. Where pieces lie over each other in a circle, runs are parted once more in their
/// middle, so that no run waits for itself.
[[nodiscard]] Runs runsOf(const std::vector<Line>& lines, const Pieces& pieces, double jump);

} // namespace up::stitch
