// SPDX-License-Identifier: GPL-3.0-or-later
// Outlines on a page of ink: what its lines enclose, and what is solid.
#pragma once

#include "intake/scan/mask.hpp"

namespace up::intake {

/// In dots. `perMm`: dots to the millimetre, as far as is known: it says what a line, a gap and a speck are.
struct Found {
    std::vector<shape::Contour> outlines; ///< closed; outer edges only, on the middle of their lines
    double lineWidth = 0;                 ///< dots
};
[[nodiscard]] Found outlinesOn(const Mask& ink, double perMm);

} // namespace up::intake
