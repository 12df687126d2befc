// SPDX-License-Identifier: GPL-3.0-or-later
// How the stripes of a print run over a piece, on both sides.
#pragma once

#include "app/questions/striping.hpp"

#include <QColor>
#include <QPainterPath>
#include <QWidget>

namespace up::app {

/// The piece twice: from the front and as it is traced; a drag on either turns the stripes.
class StripesPicture : public QWidget {
    Q_OBJECT
public:
    explicit StripesPicture(const StripesQuestion& question, QWidget* parent = nullptr);
    void show(const StripesAnswer& answer);
    /// The middle of the front picture, in pixels.
    [[nodiscard]] QPointF middle() const { return {width() / 4.0, height() / 2.0}; }

signals:
    /// Seen from the front: 0° to the right, 90° down.
    void turned(double degrees);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override { mouseMoveEvent(event); }
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    void paintSide(QPainter& painter, bool front) const;
    QPainterPath m_outline; ///< mm, about its middle, from the front
    double m_reach = 1;     ///< mm from the middle to the farthest point
    QColor m_cloth;
    StripesAnswer m_answer;
};

} // namespace up::app
