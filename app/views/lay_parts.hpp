// SPDX-License-Identifier: GPL-3.0-or-later
// Lay's three faces: the block, laying out step by step, and the pieces side by side to be counted.
#pragma once

#include "app/views/view.hpp"

namespace up::app {

[[nodiscard]] ViewParts layBlockParts(const Look& look);
[[nodiscard]] ViewParts layStepParts(const Look& look);
[[nodiscard]] ViewParts layCountParts(const Look& look);

// What the first two share.
/// What is cut larger, beyond the line on which the block is trimmed.
[[nodiscard]] sheet::Layer roomLayer(const Look& look);
/// Lines and lengths that say where the piece goes; the lengths stand over everything.
void addMeasures(Panel& panel, const Look& look, std::size_t piece);
/// How the block is laid out, step by step.
[[nodiscard]] Rows layRows(const Look& look, const Placements* placements);
/// The panel's frame and caption for the block on its background.
void putOnGround(Panel& panel, const Look& look);

} // namespace up::app
