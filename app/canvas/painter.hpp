// SPDX-License-Identifier: GPL-3.0-or-later
// Sheets onto the screen: the same drawing lists that go to paper.
#pragma once

#include "core/sheet/sheet.hpp"

#include <QPainterPath>
#include <QTransform>

class QPainter;

namespace up::app {

[[nodiscard]] QTransform toQt(const shape::Transform& t);
[[nodiscard]] QPainterPath pathOf(const std::vector<shape::Contour>& contours);
/// `area` as large as it goes in the middle of `room`, its shape kept; an area of nothing is only moved there.
[[nodiscard]] QTransform fitted(const QRectF& area, const QRectF& room);

/// Paints the layer's shapes and words; `page` maps the page's millimetres to pixels.
void paintLayer(QPainter& painter, const sheet::Layer& layer, const QTransform& page);
/// Paints only its flags, at a size for reading, after all layers so that nothing hides them.
void paintFlags(QPainter& painter, const sheet::Layer& layer, const QTransform& page);

/// The tag of the topmost tagged thing (flags first) at `pixel`.
[[nodiscard]] sheet::Tag tagAt(const std::vector<sheet::Layer>& layers, const QTransform& page,
                               QPointF pixel);

} // namespace up::app
