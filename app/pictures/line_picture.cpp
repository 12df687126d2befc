// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/line_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/shape/fitting.hpp"
#include "drawn/lines.hpp"
#include "drawn/placed_block.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <utility>

namespace up::app {

LinePicture::LinePicture(QWidget* parent) : FittedPicture(parent, {320, 320}, {14, 14, 14, 14}) {}

void LinePicture::show(const quilt::Quilt& quilt, BlockId id, const quilt::Line* line) {
    auto block = the(quilt.blocks, id);
    block.lines.clear();
    const auto ground = plan::planGround(block);
    m_layers = drawn::placedBlock({quilt, block, ground}, drawn::For::small);
    if (line) {
        block.lines.push_back(*line);
        block.lines.back().sewn = 100'000; // as it will be
        if (line->laid) block.lines.back().laid->done = 10'000;
    }
    m_layers.push_back(drawn::handStitches(quilt, block, plan::planLines(block)));
    const auto box = quilt::cutBox(block);
    m_area = QRectF(box.left, box.top, box.width(), box.height());
    update();
}

void LinePicture::setDrawing(bool draws) {
    m_draws = draws;
    setCursor(draws ? Qt::CrossCursor : Qt::ArrowCursor);
}

void LinePicture::paint(QPainter& painter, const QTransform& map) {
    for (const auto& layer : m_layers)
        paintLayer(painter, layer, map);
    if (m_path.size() < 2) return;
    auto contour = shape::contourThrough(m_path);
    contour.closed = false;
    painter.setPen(QPen(look::q(look::brassBright), 2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(map.map(pathOf({contour})));
}

void LinePicture::mousePressEvent(QMouseEvent* event) {
    if (m_draws && event->button() == Qt::LeftButton) m_path = {mmAt(event->position())};
}

void LinePicture::mouseMoveEvent(QMouseEvent* event) {
    if (m_path.empty()) return;
    constexpr double apart = 0.8; // mm
    const auto at = mmAt(event->position());
    if (shape::distance(m_path.back(), at) < apart) return;
    m_path.push_back(at);
    update();
}

void LinePicture::mouseReleaseEvent(QMouseEvent*) {
    constexpr double steady = 0.8; // mm that a hand shakes
    const auto path = std::exchange(m_path, {});
    update();
    if (path.size() > 1) return emit drawn(shape::fittedLine(path, steady));
    if (path.empty()) return;
    shape::Contour dot; // a click
    dot.start = path.front(), dot.closed = false;
    dot.lineTo(path.front());
    emit drawn(dot);
}

} // namespace up::app
