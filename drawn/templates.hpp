// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces without web, as they are drawn on the right side of their cloth and cut: on the mat and on paper.
#pragma once

#include "core/plan/cut/by_template.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

/// The line solid, the cut dashed, folds as creases, clips as short strokes, the gathering stitch dotted; mm, as the
/// template lies.
[[nodiscard]] sheet::Layer templateLayer(const quilt::Quilt& quilt, const quilt::Piece& piece,
                                         const plan::Template& one, For whom);
/// What of it is to be seen.
[[nodiscard]] shape::Box templateBox(const plan::Template& one);

} // namespace up::drawn
