// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/fitting.hpp"

#include <QFontMetricsF>

namespace up::app::look {

void writeFitting(QPainter& painter, const QRectF& room, Qt::Alignment align, const QString& text, int pixels,
                  bool bold) {
    constexpr int least = 9;
    auto font = painter.font();
    font.setBold(bold);
    font.setPixelSize(pixels);
    while (pixels > least && QFontMetricsF(font).horizontalAdvance(text) > room.width())
        font.setPixelSize(--pixels);
    painter.setFont(font);
    painter.drawText(room, static_cast<int>(align), text);
}

} // namespace up::app::look
