// SPDX-License-Identifier: GPL-3.0-or-later
// The ways of the needle through a network of runs: as few trails as can be, each of which is tied twice.
#pragma once

#include <cstddef>
#include <cstdint>
#include <optional>
#include <vector>

namespace up::stitch {

/// A run between two places; of a closed one they are the same.
struct Arc {
    std::size_t from = 0, to = 0;
    int thread = 0;
    std::vector<int> passes{1};     ///< how often it may be stitched, what is liked best first; all > 0
    std::vector<std::size_t> first; ///< arcs that are finished before it is begun
    bool hiddenFrom = false, hiddenTo = false; ///< a knot there will not be seen
    double length = 0;                         ///< mm
    double wrongSide =
        0; ///< mm of it, from `from` to `to`, with the bulk of the block on the needle's other side
};

/// From one place to another without stitching.
struct Hop {
    std::size_t to = 0;
    double jump = 0; ///< mm in the open
    double seam = 0; ///< mm through the seam allowance
};

struct Network {
    std::vector<Arc> arcs;
    std::vector<std::vector<Hop>> hops; ///< by place, the shortest first
    std::optional<int> on{}; ///< a thread that is on already: it comes first where that costs nothing
    bool quick = false;      ///< a good answer in less time
};

/// A run is stitched from one end to the other, perhaps to and fro on the way.
struct Step {
    std::size_t arc = 0;
    bool back = false;   ///< from `to` to `from`
    int times = 1;       ///< odd
    bool begins = false; ///< a trail; else it goes on from where the step before ended, or a hop from there
};

struct Ways {
    std::vector<Step> steps;
    int threadChanges = 0;
    int ties = 0;        ///< trails
    int leastTies = 0;   ///< no ways have fewer
    double jump = 0;     ///< mm
    bool fewest = false; ///< proved: no fewer thread changes, nor with as many fewer ties
};

/// Up to so many arcs it is searched until nothing is better.
inline constexpr std::size_t fewArcs = 12;

/// Fewest thread changes, then fewest trails, then least jumping; then hidden ends, short ways and the bulk of the
/// block to the left of the needle, as far as that costs nothing. Of up to `fewArcs` exactly, unless it takes too long
/// (by counting, so that the answer is the same everywhere).
[[nodiscard]] Ways waysOf(const Network& network);

/// No ways have fewer trails.
[[nodiscard]] int leastTiesOf(const Network& network);

} // namespace up::stitch
