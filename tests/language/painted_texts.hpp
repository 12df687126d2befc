// SPDX-License-Identifier: GPL-3.0-or-later
// What a widget writes, as it is painted: each run of text, and whether it lies within the widget.
#pragma once

#include <QRectF>
#include <QString>
#include <vector>

class QWidget;

namespace up::test {

struct PaintedText {
    QString text;
    QRectF where; ///< pixels of the widget; as large as the text is, cut off or not
};

/// Of the widget itself, not of its children; what stands on one line together is one text.
[[nodiscard]] std::vector<PaintedText> textsPaintedBy(QWidget& widget);

} // namespace up::test
