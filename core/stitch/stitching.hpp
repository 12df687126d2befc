// SPDX-License-Identifier: GPL-3.0-or-later
// The way of the needle over a whole block: which thread is on when, and its trails.
#pragma once

#include "core/stitch/runs.hpp"
#include "core/stitch/travel.hpp"

#include <optional>
#include <variant>

namespace up::stitch {

/// A run from one end to the other.
struct Stitched {
    std::size_t run = 0;
    bool back = false; ///< from its last point to its first
};

using TrailStep = std::variant<Stitched, Travel>;

/// Stitched without taking the thread off; tied at both ends.
struct Trail {
    int thread = 0;
    std::vector<TrailStep> steps;                ///< a Stitched comes first and last
    bool hiddenStart = false, hiddenEnd = false; ///< the knot is covered later, or lies in the seam allowance
};

struct Stitching {
    std::vector<Trail> trails; ///< as they are stitched
    int threadChanges = 0;     ///< after the first thread
    double jump = 0;           ///< mm in all
    int leastTies = 0;         ///< no way with these turns has fewer trails
    bool fewestChanges = true; ///< proved
    bool fewestTies = true;    ///< proved: with so many thread changes no fewer trails do
};

struct Wishes {
    std::optional<int> on{}; ///< a thread that is on already: it comes first where that costs nothing
    bool quick = false;      ///< a good answer in less time
};

/// Fewest thread changes, then fewest trails, then least jumping; every run that is not `done` as often as its line
/// says. `done`: by run.
[[nodiscard]] Stitching stitchingOf(const Runs& runs, const std::vector<Line>& lines,
                                    const std::vector<bool>& done, const Field& field,
                                    const Wishes& wishes = {});

} // namespace up::stitch
