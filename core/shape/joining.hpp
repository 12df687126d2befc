// SPDX-License-Identifier: GPL-3.0-or-later
// Separate lines that belong together.
#pragma once

#include "core/shape/path.hpp"

#include <vector>

namespace up::shape {

struct Chain {
    Contour contour;                ///< ends pulled together where they meet
    std::vector<std::size_t> parts; ///< which lines it is made of
};

/// Joins open lines at places where exactly two ends lie within `reach` mm of each other; where three or more
/// meet nothing is joined. A chain whose own ends meet is closed. Lines in any order and direction; every
/// line is in exactly one chain.
[[nodiscard]] std::vector<Chain> joinEnds(const std::vector<Contour>& lines, double reach);

[[nodiscard]] Contour backwards(const Contour& contour);

} // namespace up::shape
