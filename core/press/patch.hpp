// SPDX-License-Identifier: GPL-3.0-or-later
// The fabric patch that a chunk of web is bonded to.
#pragma once

#include "core/measure/length.hpp"
#include "core/shape/region.hpp"

namespace up::press {

/// About ⅛ in of fabric beyond the web all round, or glue reaches the ironing pad. Source: common practice.
inline constexpr measure::Length fabricBeyondWeb = measure::Length::ofInches(1, 8);

struct Patch {
    measure::Length width, height; ///< the smaller side last; each rounded up to ¼ in
    measure::Angle turn;           ///< turn the chunk by this to lie square on the patch
};

/// The smallest rectangle round the chunk at any turn, with the fabric beyond the web on all sides.
/// Source: a least rectangle has a side along the hull (Freeman & Shapira 1975); every hull edge is tried.
[[nodiscard]] Patch patchFor(const shape::Region& chunk);
/// The same round a piece of cloth: its own sides, to the line.
[[nodiscard]] Patch boxRound(const shape::Region& cloth);

} // namespace up::press
