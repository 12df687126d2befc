// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/pages_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"

#include <QKeyEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {

PagesPicture::PagesPicture(QWidget* parent) : QWidget(parent) {
    setMinimumSize(360, 400);
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

void PagesPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::mat));
    if (count() == 0) return;
    const auto& page = (*m_pages)[static_cast<std::size_t>(m_page)];
    constexpr double border = 18, behind = 5; // pixels
    const double scale = std::min((width() - 2 * border) / page.width, (height() - 2 * border) / page.height);
    const QRectF paper((width() - scale * page.width) / 2, (height() - scale * page.height) / 2,
                       scale * page.width, scale * page.height);
    for (int k = std::min(2, count() - 1 - m_page); k > 0; --k) { // those that follow lie under it
        painter.fillRect(paper.translated(behind * k, behind * k), look::q(look::line));
        painter.setPen(look::q(look::slate));
        painter.drawRect(paper.translated(behind * k, behind * k));
    }
    painter.fillRect(paper, Qt::white);
    painter.setClipRect(paper);
    const auto map = QTransform::fromTranslate(paper.left(), paper.top()).scale(scale, scale);
    for (const auto& layer : page.layers)
        paintLayer(painter, layer, map);
}

} // namespace up::app
