// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/cloth_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "core/measure/say.hpp"
#include "core/sheet/sheet.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <cmath>

namespace up::app {

ClothPicture::ClothPicture(QWidget* parent)
    : FittedPicture(parent, QSize(320, 240), QMarginsF(24, 20, 24, 30)) {
    setCursor(Qt::CrossCursor);
}

void ClothPicture::show(const shape::Region& area, std::optional<measure::Angle> stripes, bool oneWay,
                        QColor cloth, measure::System units) {
    m_area = area, m_stripes = stripes, m_oneWay = oneWay, m_cloth = std::move(cloth), m_units = units;
    update();
}

QRectF ClothPicture::area() const {
    if (m_area.isEmpty()) return {0, 0, 1, 1};
    const auto box = m_area.bounds();
    return {box.left, box.top, box.width(), box.height()};
}

void ClothPicture::paint(QPainter& painter, const QTransform& map) {
    if (m_area.isEmpty()) return;
    const auto path = map.map(pathOf(sheet::contoursOf(m_area)));
    const QColor pale = look::q(
        look::mixed({static_cast<std::uint8_t>(m_cloth.red()), static_cast<std::uint8_t>(m_cloth.green()),
                     static_cast<std::uint8_t>(m_cloth.blue())},
                    look::panel, 0.25));
    painter.fillPath(path, pale);
    if (m_stripes) {
        const auto box = path.boundingRect();
        const double reach = std::hypot(box.width(), box.height()) / 2;
        painter.save();
        painter.setClipPath(path);
        painter.translate(box.center());
        painter.rotate(m_stripes->degrees());
        constexpr double apart = 9;
        for (double y = -reach; y < reach; y += 2 * apart)
            painter.fillRect(QRectF(-reach, y, 2 * reach, apart), m_cloth);
        painter.setPen(QPen(look::q(look::ink), 2.5, Qt::SolidLine, Qt::RoundCap));
        const double tip = std::min(reach, 46.0), barb = 8;
        painter.drawLine(QPointF(-tip, 0), QPointF(tip, 0));
        for (const double side : {barb, -barb}) {
            painter.drawLine(QPointF(tip, 0), QPointF(tip - barb, side));
            if (!m_oneWay) painter.drawLine(QPointF(-tip, 0), QPointF(barb - tip, side));
        }
        painter.restore();
    }
    painter.strokePath(path, QPen(look::q(look::slate), 1.5));
    const auto box = m_area.bounds();
    painter.setPen(Qt::white); // on the mat
    painter.drawText(QRectF(0, height() - 26, width(), 24), Qt::AlignCenter,
                     (m_isIron ? tr("seen from above, %1") : tr("wrong side up, %1"))
                         .arg(q(measure::saySize(measure::Length::ofMm(box.width()),
                                                 measure::Length::ofMm(box.height()), m_units))));
}

void ClothPicture::mouseMoveEvent(QMouseEvent* event) {
    const auto away = event->position() - QPointF(width() / 2.0, height() / 2.0);
    if (std::hypot(away.x(), away.y()) < 12) return;
    emit turned(std::round(std::atan2(away.y(), away.x()) * 180 / M_PI));
}

} // namespace up::app
