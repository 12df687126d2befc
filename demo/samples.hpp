// SPDX-License-Identifier: GPL-3.0-or-later
// What the sample quilt is made from: its drawings, how far each has come, its fabrics. Names and dates are
// invented.
#pragma once

#include "core/base/colour.hpp"
#include "core/quilt/step.hpp"
#include "core/shape/point.hpp"

#include <vector>

namespace up::demo {

struct Sample {
    const char *file, *name, *background;
    quilt::Step upTo;
    bool halfway; ///< the last step only for the lower half of the pieces
    bool trimmed;
    const char* day; ///< invented
};

[[nodiscard]] const std::vector<Sample>& samples();

struct Cloth {
    const char* name;
    Colour colour;
};

/// Fabrics by the names a quilter would write on a bag; the drawings use their colours.
[[nodiscard]] const std::vector<Cloth>& cloths();

/// What lies in the sample's stash.
struct AtHand {
    const char* name;
    const char* fabric;
    std::vector<shape::Point> outline; ///< inches, wrong side up
    std::optional<double> stripes;     ///< degrees
    bool scrap;
};
/// Enough for the Windlass, to the last scrap; not for the Bulrushes, whose moss is too small.
[[nodiscard]] const std::vector<AtHand>& atHand();

} // namespace up::demo
