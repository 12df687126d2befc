// SPDX-License-Identifier: GPL-3.0-or-later
// Texts that are painted, where the room is what it is.
#pragma once

#include <QPainter>

namespace up::app::look {

/// On one line: as large as meant, pixels, or as small as the room asks, but never below 9.
void writeFitting(QPainter& painter, const QRectF& room, Qt::Alignment align, const QString& text, int pixels,
                  bool bold = false);

} // namespace up::app::look
