// SPDX-License-Identifier: GPL-3.0-or-later
// The stack seen from the side along a line: each piece a ledge that stands on those beneath it.
#pragma once

#include "core/stack/stack.hpp"

namespace up::stack {

/// A stretch of the line on which a piece lies.
struct Ledge {
    std::size_t piece;
    double from, to; ///< mm along the line
    int level;       ///< 0 on the background; else one above the highest beneath it along the line
    bool operator==(const Ledge&) const = default;
};

/// Shorter stretches are touches.
inline constexpr double leastLedge = 0.3; // mm

/// Of the line from `a` to `b`, lowest pieces first, then from `a` on. `order`: positions from the bottom up.
[[nodiscard]] std::vector<Ledge> sectionOf(const std::vector<shape::Region>& pieces,
                                           const std::vector<std::size_t>& order, shape::Point a,
                                           shape::Point b);

} // namespace up::stack
