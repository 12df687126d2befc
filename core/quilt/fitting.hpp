// SPDX-License-Identifier: GPL-3.0-or-later
// How finished blocks come together: what a block measures, the strips it gets, and how the quilt is set.
#pragma once

#include "core/base/id.hpp"
#include "core/measure/length.hpp"

#include <optional>
#include <vector>

namespace up::quilt {

using measure::Length;

/// As a block lies pressed, raw edge to raw edge.
struct Measured {
    Length wide, high;
    bool operator==(const Measured&) const = default;
};

/// Which of a block's sides get a strip.
struct Sides {
    bool top = true, bottom = true, left = true, right = true;
    bool operator==(const Sides&) const = default;
};

struct Fitting {
    std::optional<Measured> measured;     ///< before it is trimmed
    Length seam = Length::ofInches(1, 4); ///< with which it is sewn to what lies round it
    Length frame;                         ///< strips all round it first, finished; 0: none
    std::optional<Sides> sides;           ///< none: as the quilt is set
    bool sidesFirst = false;              ///< left and right strips before those above and below
    int sewn = 0;                         ///< so many of its strips are on, in their order
    bool operator==(const Fitting&) const = default;
};

/// Strips round all that is inside.
struct Border {
    Length width; ///< finished
    FabricId fabric;
    bool operator==(const Border&) const = default;
};

struct Setting {
    FabricId strips;         ///< what they are cut from
    bool outer = false;      ///< strips at the outside of the quilt too
    bool asTheyCome = false; ///< a block's strips are sewn on once it is trimmed; else once all blocks are
    std::vector<Border> borders; ///< from the inside
    bool operator==(const Setting&) const = default;
};

} // namespace up::quilt
