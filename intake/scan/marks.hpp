// SPDX-License-Identifier: GPL-3.0-or-later
// Lines on a page that are no piece's edge: veins, lashes, quilting lines, lines that go on on the next page.
#pragma once

#include "core/shape/path.hpp"
#include "intake/scan/mask.hpp"

namespace up::intake {

struct Marks {
    std::vector<shape::Contour> lines; ///< open, in dots, along the middle of their ink
    int small = 0;                     ///< sets of ink shorter than 8 mm: letters, dashes, dots
};
/// The ink of `lines` that lies on no outline. In dots, `perMm` to the millimetre; `lineWidth`: how wide the
/// lines of the page are. Ink along the page's border is the scanner's.
[[nodiscard]] Marks marksOn(const Mask& lines, const std::vector<shape::Contour>& outlines, double lineWidth,
                            double perMm);

} // namespace up::intake
