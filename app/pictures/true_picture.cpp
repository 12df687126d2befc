// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/true_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/true_size.hpp"
#include "core/sheet/sheet.hpp"

#include <QPainter>
#include <QScreen>
#include <algorithm>

namespace up::app {
namespace {
constexpr double trueMargin = 14; // pixels
} // namespace

TruePicture::TruePicture(QWidget* parent)
    : FittedPicture(parent, {300, 300}, {trueMargin, trueMargin, trueMargin, trueMargin}) {}

QRectF TruePicture::area() const {
    return m_path.boundingRect();
}

QTransform TruePicture::toWidget() const {
    const double scale = dotsPerMm(screen()) / reduction();
    return QTransform::fromTranslate(width() / 2.0, height() / 2.0).scale(scale, scale);
}

void TruePicture::show(const quilt::Piece& piece, measure::Angle turn, QColor cloth, bool fromPaper) {
    auto outline = transformed(*piece.outline, shape::Transform::turn(turn));
    if (fromPaper) outline = transformed(outline, shape::Transform::mirrorAcross(0));
    const auto middle = boundsOf(outline).centre();
    m_path = pathOf(sheet::contoursOf(transformed(outline, shape::Transform::moveBy(-middle.x, -middle.y))));
    m_cloth = cloth;
    update();
}

double TruePicture::reduction() const {
    const QRectF box = m_path.boundingRect();
    return std::max({1.0, box.width() * dotsPerMm(screen()) / std::max(1.0, width() - 2 * trueMargin),
                     box.height() * dotsPerMm(screen()) / std::max(1.0, height() - 2 * trueMargin)});
}

void TruePicture::paint(QPainter& painter, const QTransform& map) {
    // A cutting surface's grid, an inch a square, to see at once how large things are.
    painter.setPen(QPen(look::q(look::matRule), 1));
    const double inch = 25.4 * map.m11();
    for (double x = std::fmod(width() / 2.0, inch); x < width(); x += inch)
        painter.drawLine(QPointF(x, 0), QPointF(x, height()));
    for (double y = std::fmod(height() / 2.0, inch); y < height(); y += inch)
        painter.drawLine(QPointF(0, y), QPointF(width(), y));
    painter.setBrush(m_cloth);
    painter.setPen(QPen(look::q(look::panel), 1.4));
    painter.drawPath(map.map(m_path));
}

} // namespace up::app
