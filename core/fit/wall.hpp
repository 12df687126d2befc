// SPDX-License-Identifier: GPL-3.0-or-later
// Units in rows, borders round them: how large the quilt's top becomes, and whether its rows fit.
#pragma once

#include "core/fit/unit.hpp"

namespace up::fit {

struct BorderStrips {
    Length cutWide;
    Length sides, ends; ///< cut so long: two at the sides first, then two above and below
};

struct Wall {
    struct Place {
        std::size_t row = 0, column = 0;
        Length left, top; ///< of the unit, from the top left corner within the borders
    };
    std::vector<Place> places;         ///< by unit
    std::vector<Extent> rows;          ///< as wide as its units together, as high as the highest
    Extent inner, top;                 ///< within the borders; with them
    std::vector<BorderStrips> borders; ///< from the inside
    std::vector<std::size_t> lower;    ///< units that are less high than their row
    std::vector<std::size_t>
        narrower; ///< rows that are less wide than the widest, the last one if it is full
};

/// Units from the left, row by row, so many in each; borders finish so wide. `columns` > 0.
[[nodiscard]] Wall wallOf(const std::vector<Extent>& units, std::size_t columns,
                          const std::vector<Length>& borders);

/// What lies beneath a quilt's top, and what goes round its edge.
struct Finishing {
    Extent backing;        ///< 4 in more on each side. Source: common practice.
    Extent batting;        ///< as the backing
    Length binding;        ///< all round, and 10 in for corners and the join. Source: common practice.
    int bindingStrips = 0; ///< so many of the cloth's width, sewn end to end with a slanted seam
};
/// Source: common practice.
inline constexpr Length usualClothWide = Length::ofInches(42, 1), usualBinding = Length::ofInches(5, 2);
/// Binding is cut across cloth of that width; each slanted join takes as much as the strip is wide.
[[nodiscard]] Finishing finishingOf(const Extent& top, Length clothWide, Length bindingWide);

} // namespace up::fit
