// SPDX-License-Identifier: GPL-3.0-or-later
// Many shapes at once: drawings whose shapes merely meet, like those of colouring pages (tilings, mazes, panes
// of leaded glass), and heaps of stars.
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

/// That many stars, lying about each other.
[[nodiscard]] std::vector<shape::Region> randomStack(std::uint64_t seed, std::size_t count);

} // namespace up::test
