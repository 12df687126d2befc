// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/arrange_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/sheet/sheet.hpp"

#include <QMouseEvent>
#include <QPainter>

namespace up::app {
namespace {

constexpr double knobSize = 8; // pixels

using edit::Arrange;

bool isNew(const quilt::Block& before, const quilt::Piece& piece) {
    const auto* known = quilt::find(before.pieces, piece.id);
    return !known || !(known->outline == piece.outline);
}

} // namespace

ArrangePicture::ArrangePicture(const ArrangeQuestion& question, QWidget* parent)
    : FittedPicture(parent, {340, 340}, {20, 20, 20, 20}), m_question(question), m_result(question.quilt) {
    const auto* block = quilt::find(question.quilt.blocks, question.block);
    if (const auto* piece = block ? quilt::find(block->pieces, question.piece) : nullptr)
        m_start = boundsOf(quilt::placed(*piece)).centre();
    setCursor(Qt::CrossCursor);
}

void ArrangePicture::show(const quilt::Quilt& result, const edit::Arrangement& how) {
    m_result = result;
    m_how = how;
    update();
}

std::vector<shape::Point> ArrangePicture::handles() const {
    const auto* block = quilt::find(m_question.quilt.blocks, m_question.block);
    switch (m_how.what) {
    case Arrange::mirrorUpright: return {{m_how.at.x, block->height.mm() / 2}};
    case Arrange::mirrorLevel: return {{block->width.mm() / 2, m_how.at.y}};
    case Arrange::round: return {m_how.at};
    case Arrange::along: return {m_start + m_how.at};
    case Arrange::cut: return {m_how.at, m_how.to};
    case Arrange::unfold:
    case Arrange::join: break;
    }
    return {};
}

void ArrangePicture::paintGuides(QPainter& painter, const QTransform& map) const {
    const auto* block = quilt::find(m_question.quilt.blocks, m_question.block);
    const auto at = [&](shape::Point p) { return map.map(QPointF(p.x, p.y)); };
    const auto line = [&](shape::Point a, shape::Point b) {
        painter.setPen(QPen(look::q(look::ink), 3.5));
        painter.drawLine(at(a), at(b));
        painter.setPen(QPen(look::q(look::brassBright), 1.8, Qt::DashLine));
        painter.drawLine(at(a), at(b));
    };
    const auto knobs = handles();
    if (m_how.what == Arrange::mirrorUpright) line({m_how.at.x, 0}, {m_how.at.x, block->height.mm()});
    if (m_how.what == Arrange::mirrorLevel) line({0, m_how.at.y}, {block->width.mm(), m_how.at.y});
    if (m_how.what == Arrange::along) line(m_start, knobs[0]);
    if (m_how.what == Arrange::cut) {
        const auto way = m_how.to - m_how.at;
        line(m_how.at - way * 5, m_how.to + way * 5);
    }
    painter.setBrush(look::q(look::brassBright));
    painter.setPen(QPen(look::q(look::ink), 1.6));
    for (const auto knob : knobs)
        painter.drawEllipse(at(knob), knobSize, knobSize);
}

QRectF ArrangePicture::area() const {
    const auto* block = quilt::find(m_question.quilt.blocks, m_question.block);
    return {0, 0, block->width.mm(), block->height.mm()};
}

void ArrangePicture::paint(QPainter& painter, const QTransform& map) {
    const auto* before = quilt::find(m_question.quilt.blocks, m_question.block);
    const auto* block = quilt::find(m_result.blocks, m_question.block);
    const auto* cloth = quilt::find(m_result.fabrics, block->background);
    painter.fillRect(map.mapRect(QRectF(0, 0, block->width.mm(), block->height.mm())),
                     cloth ? look::q(cloth->colour) : look::q(look::panel));
    for (const auto& piece : block->pieces) {
        const auto* fabric = quilt::find(m_result.fabrics, piece.fabric);
        const bool strong = piece.id == m_question.piece || isNew(*before, piece);
        QColor colour = fabric ? look::q(fabric->colour) : look::q(look::webPaper);
        if (!strong) colour.setAlphaF(0.25F);
        painter.setBrush(colour);
        painter.setPen(strong ? QPen(look::q(look::ink), 1.8) : QPen(look::q(look::slate), 0.8));
        painter.drawPath(map.map(pathOf(sheet::contoursOf(quilt::placed(piece)))));
    }
    paintGuides(painter, map);
}

void ArrangePicture::mousePressEvent(QMouseEvent* event) {
    const auto knobs = handles();
    m_held = -1;
    double nearest = 1e9;
    for (std::size_t i = 0; i < knobs.size(); ++i)
        if (const double away = QLineF(pixelOf(knobs[i]), event->position()).length(); away < nearest)
            nearest = away, m_held = static_cast<int>(i);
    mouseMoveEvent(event);
}

void ArrangePicture::mouseMoveEvent(QMouseEvent* event) {
    if (m_held < 0) return;
    auto how = m_how;
    const auto p = mmAt(event->position());
    (m_held == 1 ? how.to : how.at) = m_how.what == Arrange::along ? p - m_start : p;
    emit moved(how);
}

} // namespace up::app
