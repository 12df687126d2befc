// SPDX-License-Identifier: GPL-3.0-or-later
// Dots that are in or out, and what can be told from them.
#pragma once

#include "core/shape/path.hpp"

#include <cstdint>
#include <vector>

namespace up::intake {

struct Mask {
    int width = 0, height = 0;
    std::vector<std::uint8_t> in; ///< 1 or 0, rows from the top

    Mask() = default;
    Mask(int w, int h)
        : width(w), height(h), in(static_cast<std::size_t>(w) * static_cast<std::size_t>(h), 0) {}
    [[nodiscard]] std::size_t at(int x, int y) const {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x);
    }
};

/// From the middle of each dot to the middle of the nearest dot that is in; 0 on those, huge when there is
/// none. Source: Felzenszwalb & Huttenlocher, "Distance Transforms of Sampled Functions", 2012.
[[nodiscard]] std::vector<float> distances(const Mask& mask);

struct Blot {
    int left = 0, top = 0, right = 0, bottom = 0; ///< right and bottom just beyond
    std::size_t dots = 0;
    bool touchesBorder = false;
};
struct Blots {
    std::vector<std::int32_t> number; ///< of each dot: −1 outside, else its blot
    std::vector<Blot> blots;
};
/// Connected sets of dots, side by side (corners do not connect).
[[nodiscard]] Blots blotsOf(const Mask& mask);

/// The edges between in and out as smooth curves, in dots, corners kept; specks under `least` dots left out.
/// Outer edges and holes alike are closed contours. Source: Selinger, "Potrace: a polygon-based tracing
/// algorithm", 2003.
[[nodiscard]] std::vector<shape::Contour> traced(const Mask& mask, int least);

} // namespace up::intake
