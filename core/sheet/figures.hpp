// SPDX-License-Identifier: GPL-3.0-or-later
// What many drawings are made of: discs, arrows, lines with a halo.
#pragma once

#include "core/sheet/sheet.hpp"

namespace up::sheet {

/// A circle of four curves.
[[nodiscard]] shape::Contour disc(shape::Point middle, double radius);

/// From `tail` to `tip`, with barbs so long (mm) at its tip, or at both ends.
[[nodiscard]] Shape arrow(shape::Point tail, shape::Point tip, double barb, bool both, const Pen& pen);

/// The lines over a broader pen, so that they are seen on anything.
void addHaloed(std::vector<Item>& items, const std::vector<shape::Contour>& lines, const Pen& halo,
               const Pen& pen);

} // namespace up::sheet
