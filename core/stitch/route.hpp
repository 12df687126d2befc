// SPDX-License-Identifier: GPL-3.0-or-later
// In which order to stitch pieces: the lower before the upper, as few thread changes as that order allows.
#pragma once

#include <cstddef>
#include <utility>
#include <vector>

namespace up::stitch {

struct RouteJob {
    std::vector<int> thread; ///< thread of each piece, any numbers
    std::vector<std::pair<std::size_t, std::size_t>>
        before; ///< first must be stitched before second; no cycles
};

struct Route {
    std::vector<std::size_t> order;
    int threadChanges = 0; ///< how often another thread is put on after the first
    bool fewest = true;    ///< proved least; false when the search was cut short
};

/// Least thread changes over all allowed orders; within one thread, lower numbers first.
/// A pair whose first piece is the higher number, or that names a missing piece, is ignored.
/// Method: breadth-first over threads put on; with a thread on, stitching all it may reach is never worse, so
/// a
///         state is just the set of pieces done. Cut short when that takes more than some tenths of a
///         second (by counting, so that the answer is the same everywhere), then greedily longest run first.
[[nodiscard]] Route routeOf(const RouteJob& job);

} // namespace up::stitch
