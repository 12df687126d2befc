// SPDX-License-Identifier: GPL-3.0-or-later
// What the sample quilt is made from: its drawings, how far each has come, its fabrics. Names and dates are
// invented.
#pragma once

#include "core/base/colour.hpp"
#include "core/quilt/step.hpp"

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

} // namespace up::demo
