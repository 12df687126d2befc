// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/repeat_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

namespace up::app {
namespace {
constexpr std::size_t mostHoles = 60;
}

RepeatPicture::RepeatPicture(QWidget* parent)
    : FittedPicture(parent, {320, 120}, {10, 8, 10, 8}, look::panel) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::CrossCursor);
}

void RepeatPicture::show(std::vector<shape::Point> holes) {
    m_holes = std::move(holes);
    update();
}

/// Cells; the edge runs along the middle, the piece lies below.
QRectF RepeatPicture::area() const {
    return {0, 0, along * repeats, across};
}

void RepeatPicture::paint(QPainter& painter, const QTransform& map) {
    const auto at = [&](double x, double y) { return map.map(QPointF(x, y)); };
    painter.fillRect(QRectF(at(0, across / 2.0), at(along * repeats, across)), look::q(look::webPaper));
    painter.setPen(QPen(look::q(look::line), 1));
    for (int x = 0; x <= along; ++x)
        painter.drawLine(at(x, 0), at(x, across));
    for (int y = 0; y <= across; ++y)
        painter.drawLine(at(0, y), at(along, y));
    painter.setPen(QPen(look::q(look::ink), 2));
    painter.drawLine(at(0, across / 2.0), at(along * repeats, across / 2.0));
    QPolygonF stitches;
    for (int repeat = 0; repeat < repeats; ++repeat)
        for (const auto hole : m_holes)
            stitches << at((hole.x + repeat) * along, (hole.y + 1) * across / 2.0);
    painter.setPen(QPen(look::q(look::brass), 2.5, Qt::SolidLine, Qt::RoundCap));
    painter.drawPolyline(stitches);
    painter.setBrush(look::q(look::brass));
    for (qsizetype i = 0; i < static_cast<qsizetype>(m_holes.size()) && i < stitches.size(); ++i)
        painter.drawEllipse(stitches[i], 4, 4);
    if (!hasFocus()) return;
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(look::q(look::brass), 2));
    painter.drawRect(rect().adjusted(1, 1, -1, -1));
}

void RepeatPicture::mousePressEvent(QMouseEvent* event) {
    const auto cell = mmAt(event->position());
    if (cell.x < -0.5 || cell.x > along + 0.5 || m_holes.size() >= mostHoles) return;
    m_holes.push_back({std::clamp(std::round(cell.x), 0.0, 1.0 * along) / along,
                       std::clamp(std::round(cell.y), 0.0, 1.0 * across) / across * 2 - 1});
    update();
    emit drawn();
}

void RepeatPicture::keyPressEvent(QKeyEvent* event) {
    if (event->key() != Qt::Key_Backspace) return QWidget::keyPressEvent(event);
    undoHole();
}

void RepeatPicture::undoHole() {
    if (m_holes.empty()) return;
    m_holes.pop_back();
    update();
    emit drawn();
}

} // namespace up::app
