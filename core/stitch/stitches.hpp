// SPDX-License-Identifier: GPL-3.0-or-later
// Every stitch along a run, as it will lie.
#pragma once

#include "core/shape/region.hpp"
#include "core/stitch/repeat.hpp"

namespace up::stitch {

/// Where the needle goes through along the run, in order; the last hole is where the next repeat would begin. As many
/// repeats as fit best, each as long as the others. To the side of `piece`, whose edge the run is, y of the repeat is
/// > 0; of a line within it, or when it is empty, to the right of the run. Where the piece is narrower than the stitch it
/// tapers: the needle stays in the piece. At a corner the stitches on either side stand on their own stretch, as when
/// the needle is down and the block is turned.
[[nodiscard]] shape::Polyline stitchesAlong(const shape::Polyline& run, const Repeat& repeat,
                                            const shape::Region& piece);

/// Where the block is turned with the needle down.
struct Pivot {
    shape::Point corner; ///< of the run
    shape::Point needle;
    bool isOuter = false; ///< of the piece: the needle stands on the side away from it
};
/// At each corner that turns by more than 35°: at an outer one where the stitch reaches farthest from the piece, at an inner
/// one where it reaches farthest into it, so that the next stitches fan out over what would stay bare. Source: common
/// practice.
[[nodiscard]] std::vector<Pivot> pivotsAlong(const shape::Polyline& run, const Repeat& repeat,
                                             const shape::Region& piece);

/// How many repeats that are.
[[nodiscard]] int repeatsAlong(double length, const Repeat& repeat);

} // namespace up::stitch
