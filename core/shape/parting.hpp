// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes parted from each other by one cut between them.
#pragma once

#include "core/shape/region.hpp"

#include <optional>

namespace up::shape {

/// Points on the line have `towards` · p = `at`; `towards` is a unit vector.
struct Line {
    Point towards;
    double at = 0;
};

/// Ways to tell some shapes from the rest: those that lie farthest in some direction. Each once, at most a hundred;
/// the first shape is in none.
[[nodiscard]] std::vector<std::vector<std::size_t>> groupings(const std::vector<Region>& shapes);

/// The line between two groups where the gap is widest, pointing to `other`; nothing when no straight line is found
/// between them. Lines every 7.5° are tried.
[[nodiscard]] std::optional<Line> lineBetween(const std::vector<Region>& one,
                                              const std::vector<Region>& other);

/// What of the region lies on the side that the line doesn't point to.
[[nodiscard]] Region before(const Region& region, const Line& line);

/// What both share is cut halfway between what lies in each: straight where a straight line will do, else close round
/// what lies in `other`, at half the gap, 1/16 in at most.
void part(Region& one, Region& other, const std::vector<Region>& inOne, const std::vector<Region>& inOther);

} // namespace up::shape
