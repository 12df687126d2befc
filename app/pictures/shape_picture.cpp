// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/shape_picture.hpp"

#include "app/look/text.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/sheet/sheet.hpp"

#include <QPainter>
#include <algorithm>

namespace up::app {
namespace {

/// A line between two small bars, with its length.
void paintMeasure(QPainter& painter, QPointF from, QPointF to, const QString& text) {
    const QPointF along = (to - from) / std::max(1.0, QLineF(from, to).length()),
                  across(-along.y(), along.x());
    painter.setPen(QPen(look::q(look::panel), 1.6));
    painter.drawLine(from, to);
    for (const QPointF end : {from, to})
        painter.drawLine(end - across * 6, end + across * 6);
    painter.save();
    painter.translate((from + to) / 2);
    if (std::abs(along.y()) > 0.5) painter.rotate(-90);
    painter.drawText(QRectF(-120, -24, 240, 20), Qt::AlignCenter, text);
    painter.restore();
}

} // namespace

ShapePicture::ShapePicture(const ShapeQuestion& question, QWidget* parent)
    : FittedPicture(parent, {320, 320}, {56, 56, 56, 56}), // the measures stand there
      m_question(question) {}

QRectF ShapePicture::area() const {
    return QRectF(0, 0, m_question.width.mm(), m_question.height.mm()).united(m_path.boundingRect());
}

void ShapePicture::show(const std::vector<edit::NewShape>& shapes) {
    m_path = {};
    for (const auto& made : shapes)
        m_path.addPath(pathOf(sheet::contoursOf(made.outline)));
    update();
}

void ShapePicture::paint(QPainter& painter, const QTransform& map) {
    const QRectF block(0, 0, m_question.width.mm(), m_question.height.mm());
    const QRectF own = m_path.boundingRect();
    painter.fillRect(map.mapRect(block), look::q(m_question.background));
    painter.setBrush(look::q(m_question.cloth));
    painter.setPen(QPen(look::q(look::ink), 1.4));
    painter.drawPath(map.map(m_path));
    if (own.isEmpty()) return;
    const auto said = [&](double mm) { return q(measure::say(measure::Length::ofMm(mm), m_question.units)); };
    const QRectF box = map.mapRect(own), sheet = map.mapRect(area());
    paintMeasure(painter, {box.left(), sheet.bottom() + 34}, {box.right(), sheet.bottom() + 34},
                 said(own.width()));
    paintMeasure(painter, {sheet.left() - 14, box.bottom()}, {sheet.left() - 14, box.top()},
                 said(own.height()));
}

QPixmap shapeIcon(const shape::Outline& outline, int side) {
    QPixmap out(side, side);
    out.fill(Qt::transparent);
    QPainter painter(&out);
    painter.setRenderHint(QPainter::Antialiasing);
    const QPainterPath path = pathOf(sheet::contoursOf(outline));
    const QTransform map = fitted(path.boundingRect(), QRectF(3, 3, side - 6, side - 6));
    painter.setBrush(look::q(look::webPaper));
    painter.setPen(QPen(look::q(look::ink), 1.6));
    painter.drawPath(map.map(path));
    return out;
}

} // namespace up::app
