// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/import_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/sheet/sheet.hpp"

#include <QMouseEvent>
#include <QPainter>

namespace up::app {

ImportPicture::ImportPicture(QWidget* parent) : FittedPicture(parent, {360, 360}, {16, 16, 16, 16}) {
    setCursor(Qt::PointingHandCursor);
}

void ImportPicture::show(const quilt::Drawing& drawing) {
    m_drawing = drawing;
    m_paths.clear();
    m_marks.clear();
    m_dotted.clear();
    m_loose = {};
    for (const auto& loose : drawing.loose)
        m_loose.addPath(pathOf({loose.line}));
    m_area = QRectF(0, 0, drawing.width, drawing.height);
    for (const auto& drawn : drawing.shapes) {
        m_paths.push_back(pathOf(sheet::contoursOf(drawn.outline)));
        m_marks.push_back(pathOf(drawn.marks));
        m_dotted.push_back(pathOf(drawn.dotted));
        m_area |= m_paths.back().boundingRect();
    }
    m_roles.assign(m_paths.size(), edit::Role::piece);
    m_pointed = -1;
    update();
}

void ImportPicture::setRoles(const std::vector<edit::Role>& roles) {
    m_roles = roles;
    update();
}

void ImportPicture::setPointed(int shape) {
    m_pointed = shape;
    update();
}

int ImportPicture::shapeAt(QPointF pixel) const {
    const QPointF at = toWidget().inverted().map(pixel);
    for (std::size_t i = m_paths.size(); i-- > 0;)
        if (m_paths[i].contains(at)) return static_cast<int>(i);
    return -1;
}

QRectF ImportPicture::area() const {
    return m_area;
}

void ImportPicture::paint(QPainter& painter, const QTransform& map) {
    painter.fillRect(map.mapRect(QRectF(0, 0, m_drawing.width, m_drawing.height)), look::q(look::panel));
    painter.strokePath(map.map(m_loose), QPen(look::q(look::slate), 1.2, Qt::DashDotLine));
    for (std::size_t i = 0; i < m_paths.size(); ++i) {
        const QPainterPath path = map.map(m_paths[i]);
        const auto& drawn = m_drawing.shapes[i];
        if (m_roles[i] == edit::Role::piece) {
            painter.setBrush(look::q(drawn.fill));
            painter.setPen(QPen(look::q(look::ink), 1));
            painter.drawPath(path);
            painter.strokePath(map.map(m_marks[i]), QPen(look::q(look::inkOn(drawn.fill)), 1.6));
            painter.strokePath(map.map(m_dotted[i]), QPen(look::q(look::panel), 3));
            painter.strokePath(map.map(m_dotted[i]),
                               QPen(look::q(look::rust), 2.4, Qt::DotLine, Qt::FlatCap));
        } else {
            const bool mark = m_roles[i] == edit::Role::mark;
            painter.setBrush(mark ? QBrush(Qt::NoBrush) : QBrush(look::q(look::slate), Qt::BDiagPattern));
            painter.setPen(QPen(look::q(mark ? look::ink : look::slate), mark ? 2 : 1,
                                mark ? Qt::SolidLine : Qt::DotLine));
            painter.drawPath(path);
        }
    }
    if (marked() > 0) {
        const QPointF a = pixelOf(m_from), b = pixelOf(m_to);
        painter.setPen(QPen(look::q(look::ink), 4));
        painter.drawLine(a, b);
        painter.setPen(QPen(look::q(look::brassBright), 2));
        painter.drawLine(a, b);
        painter.setBrush(look::q(look::brassBright));
        for (const QPointF end : {a, b})
            painter.drawEllipse(end, 5, 5);
    }
    if (m_pointed >= 0 && m_pointed < static_cast<int>(m_paths.size())) {
        const QPainterPath path = map.map(m_paths[static_cast<std::size_t>(m_pointed)]);
        painter.strokePath(path, QPen(look::q(look::ink), 5));
        painter.strokePath(path, QPen(look::q(look::brassBright), 3));
    }
}

void ImportPicture::setMeasuring(bool on) {
    m_measuring = on;
    m_from = m_to = {};
    setCursor(on ? Qt::CrossCursor : Qt::PointingHandCursor);
    update();
}

void ImportPicture::mouseMoveEvent(QMouseEvent* event) {
    if (!m_measuring || !(event->buttons() & Qt::LeftButton)) return;
    m_to = mmAt(event->position());
    update();
    emit markMoved();
}

void ImportPicture::mousePressEvent(QMouseEvent* event) {
    if (m_measuring) {
        m_from = m_to = mmAt(event->position());
        update();
        return;
    }
    if (const int shape = shapeAt(event->position()); shape >= 0) emit clicked(shape);
}

} // namespace up::app
