// SPDX-License-Identifier: GPL-3.0-or-later
// Uneven light, grey paper and pale pencil evened out: what is ink and what is paper.
#pragma once

#include "intake/scan/mask.hpp"
#include "intake/scan/picture.hpp"

namespace up::intake {

/// Where there is ink. The brightness of the paper is taken as a smooth surface of second degree over the
/// page, fitted to the bright parts of squares of the page, dark ones left aside (iterated least squares);
/// ink is what is darker than half-way between paper and ink. Nothing when the page has no ink.
[[nodiscard]] Mask inkOf(const Picture& picture);

} // namespace up::intake
