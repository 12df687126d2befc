// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/stripes_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "core/sheet/sheet.hpp"
#include "words/sentences.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <cmath>

namespace up::app {

StripesPicture::StripesPicture(const StripesQuestion& question, QWidget* parent) : QWidget(parent) {
    const auto& piece = quilt::the(quilt::the(question.quilt.blocks, question.block).pieces, question.piece);
    const auto& outline = *piece.outline;
    const auto middle = boundsOf(outline).centre();
    m_outline = pathOf(sheet::contoursOf(outline)).translated(-middle.x, -middle.y);
    const auto box = m_outline.boundingRect();
    m_reach = std::max(1.0, std::hypot(box.width(), box.height()) / 2);
    const auto* fabric = quilt::find(question.quilt.fabrics, piece.fabric);
    m_cloth = fabric ? look::q(fabric->colour) : look::q(look::webPaper);
    setMinimumSize(560, 300);
    setCursor(Qt::CrossCursor);
}

void StripesPicture::show(const StripesAnswer& answer) {
    m_answer = answer;
    update();
}

void StripesPicture::paintSide(QPainter& painter, bool front) const {
    painter.save();
    constexpr double words = 34;
    const double side = std::min(width() / 2.0 - 24, height() - 2 * words);
    painter.translate(front ? width() / 4.0 : width() * 3 / 4.0, height() / 2.0);
    const double scale = side / 2 / m_reach;
    painter.scale(front ? scale : -scale, scale);
    QColor paper = front ? m_cloth : look::q(look::webPaper);
    painter.fillPath(m_outline, paper);
    if (m_answer.print != quilt::Print::plain && m_answer.grain) {
        painter.save();
        painter.setClipPath(m_outline);
        painter.rotate(m_answer.grain->degrees());
        const QColor stripe = front
                                  ? (m_cloth.lightnessF() > 0.5F ? m_cloth.darker(150) : m_cloth.lighter(170))
                                  : look::q(look::line);
        const double apart = m_reach / 9;
        for (double y = -m_reach; y <= m_reach; y += 2 * apart)
            painter.fillRect(QRectF(-m_reach, y, 2 * m_reach, apart), stripe);
        painter.restore();
        painter.save();
        painter.rotate(m_answer.grain->degrees());
        painter.setPen(QPen(look::q(look::ink), 3 / scale, Qt::SolidLine, Qt::RoundCap));
        const double tip = m_reach * 0.8, barb = m_reach * 0.09;
        painter.drawLine(QPointF(-tip, 0), QPointF(tip, 0));
        painter.drawLine(QPointF(tip, 0), QPointF(tip - barb, barb));
        painter.drawLine(QPointF(tip, 0), QPointF(tip - barb, -barb));
        if (m_answer.print == quilt::Print::striped) {
            painter.drawLine(QPointF(-tip, 0), QPointF(-tip + barb, barb));
            painter.drawLine(QPointF(-tip, 0), QPointF(-tip + barb, -barb));
        }
        painter.restore();
    }
    QPen pen(look::q(front ? look::ink : look::pencil), 2 / scale);
    if (!front) pen.setDashPattern({6, 4});
    painter.strokePath(m_outline, pen);
    painter.restore();
    painter.setPen(look::q(look::ink));
    QFont font = painter.font();
    font.setBold(true);
    painter.setFont(font);
    painter.drawText(QRectF(front ? 0 : width() / 2.0, 4, width() / 2.0, words), Qt::AlignCenter,
                     QString(front ? "▶ " : "◀ ") + q(words::sideWords(front)));
}

void StripesPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::panel));
    paintSide(painter, true);
    paintSide(painter, false);
}

void StripesPicture::mouseMoveEvent(QMouseEvent* event) {
    const bool front = event->position().x() < width() / 2.0;
    auto away = event->position() - QPointF(front ? width() / 4.0 : width() * 3 / 4.0, height() / 2.0);
    if (!front) away.setX(-away.x()); // the paper side is the mirror
    if (std::hypot(away.x(), away.y()) < 12) return;
    emit turned(std::round(std::atan2(away.y(), away.x()) * 180 / M_PI));
}

} // namespace up::app
