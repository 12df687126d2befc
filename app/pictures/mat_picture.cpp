// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/mat_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "words/sentences.hpp"

#include <QPainter>
#include <algorithm>

namespace up::app {
namespace {

constexpr double border = 16, badge = 30; // pixels: round the mat, and for which side it shows

QPainterPath pathThrough(const shape::Polyline& line) {
    QPainterPath path;
    for (std::size_t i = 0; i < line.size(); ++i)
        i == 0 ? path.moveTo(line[i].x, line[i].y) : path.lineTo(line[i].x, line[i].y);
    return path;
}

} // namespace

MatPicture::MatPicture(QWidget* parent)
    : FittedPicture(parent, {400, 400}, {border, badge, border, border}) {}

QRectF MatPicture::area() const {
    return {0, 0, m_width, m_height};
}

void MatPicture::show(const MatRun* run, double width, double height) {
    m_run = run, m_width = width, m_height = height;
    update();
}

void MatPicture::paintNumbers(QPainter& painter, double scale) const {
    QFont font = painter.font();
    font.setBold(true);
    font.setPixelSize(15);
    painter.setFont(font);
    painter.setPen(look::q(look::ink));
    const QTransform map = painter.transform();
    painter.save();
    painter.resetTransform();
    for (const auto& [number, at] : m_run->numbers)
        painter.drawText(QRectF(map.map(QPointF(at.x, at.y)) - QPointF(20, 12), QSizeF(40, 24)),
                         Qt::AlignCenter, q(number));
    painter.restore();
    painter.setPen(QPen(look::q(look::ink), 1 / scale));
}

void MatPicture::setProgress(std::optional<double> progress) {
    m_progress = progress;
    update();
}

/// As far as the blade has come, and the blade itself.
void MatPicture::paintWay(QPainter& painter, double scale) const {
    double all = 0;
    for (const auto& stroke : m_run->run->strokes)
        all += shape::lengthOf(stroke.line);
    double left = all * m_progress.value_or(1);
    const QPen cutting(look::q(look::ink), 2 / scale),
        lifted(look::q(look::brass), 1.2 / scale, Qt::DashLine);
    shape::Point blade{};
    for (const auto& stroke : m_run->run->strokes) {
        shape::Polyline done{stroke.line.front()};
        for (std::size_t i = 1; i < stroke.line.size() && left > 0; ++i) {
            const auto from = stroke.line[i - 1], to = stroke.line[i];
            const double length = shape::distance(from, to);
            done.push_back(length <= left ? to : from + (to - from) * (left / length));
            left -= length;
        }
        if (done.size() > 1) painter.strokePath(pathThrough(done), stroke.cutting ? cutting : lifted);
        blade = done.back();
        if (left <= 0) break;
    }
    if (!m_progress) return;
    painter.setBrush(look::q(look::brassBright));
    painter.setPen(QPen(look::q(look::ink), 1.5 / scale));
    painter.drawEllipse(QPointF(blade.x, blade.y), 7 / scale, 7 / scale);
    painter.setBrush(Qt::NoBrush);
}

void MatPicture::paint(QPainter& painter, const QTransform& map) {
    const double scale = map.m11();
    QFont font = painter.font();
    font.setBold(true);
    painter.setFont(font);
    painter.setPen(Qt::white);
    painter.drawText(QRectF(border, 0, width() - 2 * border, badge), Qt::AlignCenter,
                     "◀ " + q(words::sideWords(false)));
    painter.setTransform(map);
    painter.fillRect(area(), look::q(look::webPaper));
    painter.setPen(QPen(look::q(look::line), 1 / scale));
    constexpr double inch = 25.4;
    for (double at = inch; at < std::max(m_width, m_height); at += inch) {
        if (at < m_width) painter.drawLine(QPointF(at, 0), QPointF(at, m_height));
        if (at < m_height) painter.drawLine(QPointF(0, at), QPointF(m_width, at));
    }
    if (!m_run) return;
    for (const auto& layer : m_run->page.layers)
        for (const auto& item : layer.items)
            if (const auto* shape = std::get_if<sheet::Shape>(&item)) {
                QColor cloth = look::q(shape->pen->colour);
                cloth.setAlphaF(0.25F);
                painter.fillPath(pathOf(shape->contours), cloth);
                painter.strokePath(pathOf(shape->contours),
                                   QPen(look::q(look::rust), 1.2 / scale, Qt::DotLine));
            }
    if (!m_run->run) return;
    paintWay(painter, scale);
    paintNumbers(painter, scale);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(look::q(look::rust), 3 / scale));
    for (const auto& refusal : m_run->run->refusals)
        painter.drawEllipse(QPointF(refusal.where.x, refusal.where.y), 9 / scale, 9 / scale);
}

} // namespace up::app
