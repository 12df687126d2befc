// SPDX-License-Identifier: GPL-3.0-or-later
// Outlines on a page of ink: what its lines enclose, and what is solid.
#pragma once

#include "core/base/job.hpp"
#include "intake/scan/marks.hpp"

namespace up::intake {

/// In dots. `perMm`: dots to the millimetre, as far as is known: it says what a line, a gap and a speck are.
struct Outlines {
    std::vector<shape::Contour> outlines; ///< closed; outer edges only, on the middle of their lines
    std::vector<std::vector<shape::Contour>> dashed; ///< of each outline: its stretches drawn with dashes
    Marks marks;                                     ///< the lines on them and beside them
};
/// Stops early, with what it has, when the job is stopped.
[[nodiscard]] Outlines outlinesOn(const Mask& ink, double perMm, Job& job);

} // namespace up::intake
