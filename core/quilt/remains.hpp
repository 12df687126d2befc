// SPDX-License-Identifier: GPL-3.0-or-later
// What becomes of a sheet of web that has been rough cut.
#pragma once

#include "core/measure/length.hpp"
#include "core/shape/ring.hpp"

#include <vector>

namespace up::quilt {

struct Remains {
    int sheet = 0;                     ///< as in Traced
    measure::Length used;              ///< off the roll
    std::vector<shape::Rings> offCuts; ///< each with its box at the origin, mm
};

} // namespace up::quilt
