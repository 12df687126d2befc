// SPDX-License-Identifier: GPL-3.0-or-later
// The straight stretches of an edge, and what lies between them.
#pragma once

#include "core/shape/ring.hpp"

#include <vector>

namespace up::cut {

struct Parted {
    std::vector<std::pair<shape::Point, shape::Point>> straight; ///< at least so long, as the ring goes
    std::vector<shape::Polyline> between;                        ///< open, as the ring goes
    bool whole =
        false; ///< nothing of it is straight: `between` is the ring, its first point again at its end
};

/// A stretch is straight when all its points lie within a quarter of a millimetre of the line between its ends.
/// `least`: mm.
[[nodiscard]] Parted parted(const shape::Ring& ring, double least);

} // namespace up::cut
