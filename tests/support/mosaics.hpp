// SPDX-License-Identifier: GPL-3.0-or-later
// Drawings whose shapes merely meet, like those of colouring pages: tilings, mazes, panes of leaded glass.
#pragma once

#include "core/base/random.hpp"
#include "core/shape/region.hpp"

#include <string>
#include <vector>

namespace up::test {

struct Mosaic {
    std::string name;
    std::vector<shape::Region> pieces;
};

/// Fifty of them, each about 230 mm across, 4 to 90 pieces; the same every time.
[[nodiscard]] std::vector<Mosaic> mosaics();

} // namespace up::test
