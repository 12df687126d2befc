// SPDX-License-Identifier: GPL-3.0-or-later
// The background that a block's pieces are fused to: one piece of cloth or several sewn together, with room
// to trim and creases to place by.
#pragma once

#include "core/base/id.hpp"
#include "core/measure/angle.hpp"
#include "core/measure/say.hpp"

#include <optional>
#include <vector>

namespace up::quilt {

using measure::Angle;
using measure::Length;

/// One cloth of a strip, as it is cut.
struct GroundPatch {
    FabricId fabric;
    Length cut; ///< along the strip
    bool operator==(const GroundPatch&) const = default;
};

/// Patches sewn end to end.
struct GroundStrip {
    Length cut; ///< across
    std::vector<GroundPatch> patches;
    bool operator==(const GroundStrip&) const = default;
};

/// Pressed in, to place by.
struct Creases {
    bool halves = true;     ///< through the middle both ways
    bool diagonals = false; ///< from corner to corner
    bool quarters = false;  ///< halfway between the middle and the edges
    bool operator==(const Creases&) const = default;
};

struct Ground {
    /// So much wider and higher than the block's cut size is it cut; trimmed once it is stitched. A 12½ in
    /// block from 13 in is usual. Source: common practice.
    Length oversize = Length::ofInches(1, 2);
    Creases creases;
    std::optional<Angle> grain;      ///< how its print runs: 0° to the right, 90° down
    bool rows = false;               ///< strips lie one above the other; else side by side
    std::vector<GroundStrip> strips; ///< from the left or from the top; none: one piece of cloth
    bool operator==(const Ground&) const = default;
};

} // namespace up::quilt
