// SPDX-License-Identifier: GPL-3.0-or-later
// Lines on a painter: what is out of sight is not drawn, and costs nothing.
#pragma once

#include <QPainter>
#include <QPainterPath>
#include <optional>

namespace up::app {

/// The part of the painter's device that can be seen, in the painter's coordinates; nothing while that is not
/// known (a printer's page, say).
[[nodiscard]] std::optional<QRectF> inSight(const QPainter& painter);

/// As QPainter::strokePath. A line that goes far beyond what is seen is cut there first: dashing a line a
/// thousand times as long as the window takes seconds. Dashes stay where they were.
void stroke(QPainter& painter, const QPainterPath& path, const QPen& pen);

} // namespace up::app
