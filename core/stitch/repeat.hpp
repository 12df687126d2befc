// SPDX-License-Identifier: GPL-3.0-or-later
// One repeat of a stitch, and the thread that it takes.
#pragma once

#include "core/shape/point.hpp"

#include <vector>

namespace up::stitch {

/// Where the needle goes through the cloth: x along the run, y across it, towards the piece > 0, mm. The next repeat
/// begins `length` mm farther on.
struct Repeat {
    std::vector<shape::Point> holes; ///< as they are made; not empty
    double length = 1;               ///< > 0
};

/// mm of thread for each mm of run.
struct Use {
    double needle = 0, bobbin = 0;
};

/// Of a lockstitch that interlaces in the middle of the cloth, `thick` mm: from hole to hole each thread lies on its own
/// side, and at each hole it goes to the middle and back. Source: geometry of the lockstitch, e.g. Ukponmwan,
/// Mukhopadhyay & Chatterjee, "Sewing threads", Textile Progress 30, 2000; from memory.
[[nodiscard]] Use lockstitchUse(const Repeat& repeat, double thick);
/// Of one thread that goes through the cloth at each hole. Source: the same geometry.
[[nodiscard]] Use handUse(const Repeat& repeat, double thick);

/// Stitches, which is holes, for each mm of run.
[[nodiscard]] inline double stitchesPerMm(const Repeat& repeat) {
    return static_cast<double>(repeat.holes.size()) / repeat.length;
}

} // namespace up::stitch
