// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/pages_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"

#include <QKeyEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {

PagesPicture::PagesPicture(QWidget* parent) : FittedPicture(parent, {360, 400}, {18, 18, 18, 18}) {
    setFocusPolicy(Qt::StrongFocus);
}

void PagesPicture::show(std::shared_ptr<const std::vector<sheet::Page>> pages) {
    m_pages = std::move(pages);
    turnTo(m_page);
}

void PagesPicture::turnTo(int page) {
    m_page = std::clamp(page, 0, std::max(0, count() - 1));
    update();
    emit turned();
}

void PagesPicture::wheelEvent(QWheelEvent* event) {
    turnTo(m_page + (event->angleDelta().y() > 0 ? -1 : 1));
}

void PagesPicture::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
    case Qt::Key_Left:
    case Qt::Key_Up:
    case Qt::Key_PageUp: return turnTo(m_page - 1);
    case Qt::Key_Right:
    case Qt::Key_Down:
    case Qt::Key_PageDown: return turnTo(m_page + 1);
    default: QWidget::keyPressEvent(event);
    }
}

void PagesPicture::mousePressEvent(QMouseEvent* event) {
    turnTo(m_page + (event->position().x() < width() / 3.0 ? -1 : 1));
}

QRectF PagesPicture::area() const {
    if (count() == 0) return {};
    const auto& page = (*m_pages)[static_cast<std::size_t>(m_page)];
    return {0, 0, page.width, page.height};
}

void PagesPicture::paint(QPainter& painter, const QTransform& map) {
    if (count() == 0) return;
    const QRectF paper = map.mapRect(area());
    constexpr double behind = 5;                                  // pixels
    for (int k = std::min(2, count() - 1 - m_page); k > 0; --k) { // those that follow lie under it
        painter.fillRect(paper.translated(behind * k, behind * k), look::q(look::line));
        painter.setPen(look::q(look::slate));
        painter.drawRect(paper.translated(behind * k, behind * k));
    }
    painter.fillRect(paper, Qt::white);
    painter.setClipRect(paper);
    for (const auto& layer : (*m_pages)[static_cast<std::size_t>(m_page)].layers)
        paintLayer(painter, layer, map);
}

} // namespace up::app
