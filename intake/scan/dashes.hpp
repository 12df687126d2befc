// SPDX-License-Identifier: GPL-3.0-or-later
// Edges that are drawn with dashes: they go into a seam or beneath another piece.
#pragma once

#include "core/shape/path.hpp"
#include "intake/scan/mask.hpp"

namespace up::intake {

/// The stretches of the outline whose ink has three gaps or more one after the other, each up to 3 mm, with
/// dashes up to 8 mm between them: open lines along the outline. In dots, `perMm` to the millimetre;
/// `lineWidth`: how wide the lines of the page are.
[[nodiscard]] std::vector<shape::Contour> dashedStretches(const Mask& ink, const shape::Contour& outline,
                                                          double lineWidth, double perMm);

} // namespace up::intake
