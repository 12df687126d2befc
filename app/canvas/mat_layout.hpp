// SPDX-License-Identifier: GPL-3.0-or-later
// How panels share the mat: columns, sizes, one scale.
#pragma once

#include "app/canvas/scene.hpp"

#include <QRectF>
#include <vector>

namespace up::app {

struct Shelf {
    QRectF whole;   ///< with its words
    QRectF drawing; ///< the panel's box
    double scale;   ///< pixels per mm
};

/// Room for words above and under a drawing, pixels.
inline constexpr double captionHeight = 24, belowHeight = 40, stairHeight = 22, gap = 14;
/// Cells are no narrower than their words need, pixels.
inline constexpr double narrowest = 122;

/// One shelf per panel inside `room`, as many columns as give the largest drawings.
/// With `sameScale` every drawing has the same pixels per mm.
[[nodiscard]] std::vector<Shelf> shelvesFor(const Scene& scene, const QRectF& room);

} // namespace up::app
