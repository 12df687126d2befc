// SPDX-License-Identifier: GPL-3.0-or-later
// Open lines that together go round something.
#pragma once

#include "core/shape/repeats.hpp"

namespace up::intake {

struct ClosedLines {
    shape::Outline outline;
    std::vector<std::size_t> parts; ///< which lines it is made of
};

struct Closing {
    std::vector<ClosedLines> closed;
    std::vector<shape::Unrepeated> rest; ///< what is left of the other lines
};

/// Joins lines end to end where just two ends meet within `endsMeet` mm, exact meetings first. What does not
/// close so is tried again without what was drawn twice; dotted lines are never repeats. `dotted`: as many as
/// lines. `tolerance`: mm, of flattening.
[[nodiscard]] Closing closeLines(const std::vector<shape::Contour>& lines, const std::vector<bool>& dotted,
                                 double endsMeet, double tolerance);

} // namespace up::intake
