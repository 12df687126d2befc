// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/edge_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/shape/stretches.hpp"
#include "core/sheet/sheet.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {
namespace {

constexpr double reach = 14;     // pixels
constexpr double sameLine = 1.0; // mm

const quilt::Piece& pieceOf(const EdgeQuestion& question) {
    return quilt::the(quilt::the(question.quilt.blocks, question.block).pieces, question.piece);
}

} // namespace

EdgePicture::EdgePicture(const EdgeQuestion& question, QWidget* parent)
    : FittedPicture(parent, {420, 360}, {36, 36, 36, 36}, look::panel), m_question(question) {
    const auto& outline = *pieceOf(question).outline;
    m_stretches = shape::stretchesOf(outline.edge);
    for (const auto& hole : outline.holes)
        for (auto& stretch : shape::stretchesOf(hole))
            m_stretches.push_back(std::move(stretch));
    m_dotted = *pieceOf(question).dotted;
    setMouseTracking(true);
    setCursor(Qt::PointingHandCursor);
}

void EdgePicture::setDotted(std::vector<shape::Contour> dotted) {
    m_dotted = std::move(dotted);
    update();
    emit changed();
}

QRectF EdgePicture::area() const {
    const auto box = boundsOf(*pieceOf(m_question).outline);
    return {box.left, box.top, box.width(), box.height()};
}

int EdgePicture::stretchAt(QPointF pixel) const {
    const auto at = mmAt(pixel);
    double nearest = reach / toWidget().m11();
    int out = -1;
    for (std::size_t i = 0; i < m_stretches.size(); ++i)
        if (const double away = distanceTo(m_stretches[i], at); away < nearest)
            nearest = away, out = static_cast<int>(i);
    return out;
}

void EdgePicture::paint(QPainter& painter, const QTransform& map) {
    const auto& piece = pieceOf(m_question);
    const auto* fabric = quilt::find(m_question.quilt.fabrics, piece.fabric);
    QColor cloth = fabric ? look::q(fabric->colour) : look::q(look::webPaper);
    cloth.setAlphaF(0.35F);
    painter.fillPath(map.map(pathOf(sheet::contoursOf(*piece.outline))), cloth);
    for (std::size_t i = 0; i < m_stretches.size(); ++i) {
        const bool pointed = static_cast<int>(i) == m_pointed;
        const QPainterPath path = map.map(pathOf({m_stretches[i]}));
        if (pointed) painter.strokePath(path, QPen(look::q(look::brassBright), 9));
        painter.strokePath(path, QPen(look::q(look::ink), 2.4));
    }
    for (const auto& line : m_dotted) {
        const QPainterPath path = map.map(pathOf({line}));
        painter.strokePath(path, QPen(look::q(look::panel), 4));
        painter.strokePath(path, QPen(look::q(look::rust), 3, Qt::DotLine, Qt::FlatCap));
    }
    painter.setBrush(look::q(look::ink));
    painter.setPen(Qt::NoPen);
    for (const auto& stretch : m_stretches)
        painter.drawEllipse(pixelOf(stretch.start), 3.5, 3.5);
}

void EdgePicture::mouseMoveEvent(QMouseEvent* event) {
    m_pointed = stretchAt(event->position());
    update();
}

/// From cut line to dotted and back.
void EdgePicture::mousePressEvent(QMouseEvent* event) {
    const int at = stretchAt(event->position());
    if (at < 0) return;
    const auto& stretch = m_stretches[static_cast<std::size_t>(at)];
    auto dotted = m_dotted;
    const bool was = liesAlong(stretch, dotted, sameLine);
    std::erase_if(dotted, [&](const shape::Contour& line) { return liesAlong(line, {stretch}, sameLine); });
    if (!was) dotted.push_back(stretch);
    setDotted(std::move(dotted));
}

} // namespace up::app
