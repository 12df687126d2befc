// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces that are joined from behind, for which a hole is cut: what waits for it.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::quilt {

/// The piece from behind, with what lies over it not cut away yet, for which the piece at that place waits: all that
/// comes after it in the order does, but for others from behind that follow it at once. Source: common practice; a hole
/// is cut through all that lies there by then.
[[nodiscard]] std::optional<std::size_t> holeBefore(const Block& block, std::size_t index);

/// What the machine is not to stitch yet: it waits for a hole, or an edge below it in the order is still to be sewn by hand.
[[nodiscard]] bool waitsToBeStitched(const Block& block, std::size_t index);

} // namespace up::quilt
