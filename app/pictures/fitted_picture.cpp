// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/fitted_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"

#include <QPainter>

namespace up::app {

FittedPicture::FittedPicture(QWidget* parent, QSize least, QMarginsF margins, Colour ground)
    : QWidget(parent), m_margins(margins), m_ground(ground) {
    setMinimumSize(least);
}

QPointF FittedPicture::pixelOf(shape::Point mm) const {
    return toWidget().map(QPointF(mm.x, mm.y));
}

shape::Point FittedPicture::mmAt(QPointF pixel) const {
    const QPointF at = toWidget().inverted().map(pixel);
    return {at.x(), at.y()};
}

QTransform FittedPicture::toWidget() const {
    return fitted(area(), QRectF(rect()).marginsRemoved(m_margins));
}

void FittedPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(m_ground));
    paint(painter, toWidget());
}

} // namespace up::app
