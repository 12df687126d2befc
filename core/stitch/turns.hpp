// SPDX-License-Identifier: GPL-3.0-or-later
// Which thread is on when: as few changes as the order of what lies on what allows.
#pragma once

#include <cstddef>
#include <optional>
#include <utility>
#include <vector>

namespace up::stitch {

struct TurnsJob {
    std::vector<int> thread; ///< of each thing that is stitched at once, any numbers
    std::vector<std::pair<std::size_t, std::size_t>> before; ///< the first before the second; no circles
    std::optional<int> on{}; ///< is on already: it comes first when no fewer turns do without
    bool quick = false;      ///< a good answer in a tenth of the time
};

struct Turn {
    int thread = 0;
    std::vector<std::size_t> things; ///< stitched while it is on, each after what it waits for
};

struct Turns {
    std::vector<Turn> turns;
    bool fewest = true;                      ///< proved; false when the search was cut short
    std::vector<std::vector<Turn>> others{}; ///< as few turns, in other orders; some of all
};

/// As few turns as can be. Where a thread is on, all that may be stitched with it is. Errors: none; pairs that name
/// what is not there are left out, and of what waits in a circle nothing is stitched.
/// Method: those orders are followed, turn by turn, that leave least to do; then A* over threads put on, whose state is
/// what is done, looks for one with fewer turns; how many are left at least says TurnsLeft. Cut short by counting, so that
/// the answer is the same everywhere. Source: Hart, Nilsson & Raphael, "A Formal Basis for the Heuristic Determination of Minimum Cost Paths",
/// 1968.
[[nodiscard]] Turns turnsOf(const TurnsJob& job);

/// No order has fewer turns than that; it may be that none has so few.
[[nodiscard]] std::size_t leastTurnsOf(const TurnsJob& job);

} // namespace up::stitch
