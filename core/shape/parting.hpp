// SPDX-License-Identifier: GPL-3.0-or-later
// Straight lines between shapes.
#pragma once

#include "core/shape/region.hpp"

#include <optional>

namespace up::shape {

/// Points on the line have `towards` · p = `at`; `towards` is a unit vector.
struct Line {
    Point towards;
    double at = 0;
};

/// Some shapes parted from the others by a straight line that touches none.
struct Parting {
    std::vector<std::size_t> beyond; ///< shapes on the side that `line.towards` points to
    Line line;                       ///< through the middle of the gap
    double length = 0;               ///< mm, of the line within what is parted
};

/// Each way to part the shapes once, that whose cut through `whole` is shortest first. Lines every 7.5° are tried: where
/// shapes can only be parted by another they count as not to be parted.
[[nodiscard]] std::vector<Parting> partings(const std::vector<Region>& shapes, const Region& whole);

/// The line between two groups where the gap is widest, pointing to `other`; nothing when there is none.
[[nodiscard]] std::optional<Line> lineBetween(const std::vector<Region>& one,
                                              const std::vector<Region>& other);

/// What of the region lies on the side that the line doesn't point to.
[[nodiscard]] Region before(const Region& region, const Line& line);

} // namespace up::shape
