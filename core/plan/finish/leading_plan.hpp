// SPDX-License-Identifier: GPL-3.0-or-later
// Leading: tapes over all borders between what shows of a block's pieces, and round them.
#pragma once

#include "core/lead/tapes.hpp"
#include "core/plan/block/block_plan.hpp"

namespace up::plan {

/// Pieces of a stained-glass block are drawn to meet; so far from each other they still do. Invented, no source: half the
/// narrowest tape hides it.
inline constexpr double meets = 0.4; // mm

/// The edges of these areas, those of neighbours once, cut where they meet. Edges along the block's are left out: the seam
/// holds those.
[[nodiscard]] lead::Borders bordersOf(const std::vector<shape::Region>& shown, const shape::Box& finished);

/// In the order in which they are laid.
[[nodiscard]] lead::Leading planLeading(const quilt::Block& block);
/// As the strokes of a line.
[[nodiscard]] std::vector<shape::Contour> strokesOf(const lead::Leading& leading);

} // namespace up::plan
