// SPDX-License-Identifier: GPL-3.0-or-later
// Things that are always stitched in the same turn of their thread, taken as one.
#pragma once

#include "core/stitch/turns.hpp"

namespace up::stitch {

/// A job with fewer things: of one thread, those that wait for the same things of other threads. While their thread is on,
/// one of them may be stitched exactly when all of them may: what they wait for of their own thread is stitched with them.
struct AlikeThings {
    TurnsJob job;                                 ///< its things are groups
    std::vector<std::vector<std::size_t>> groups; ///< things as they were, each after what it waits for
};
/// What waits in a circle is in no group.
[[nodiscard]] AlikeThings alikeThings(const TurnsJob& job);

} // namespace up::stitch
