// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/layer_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {

LayerPicture::LayerPicture(QWidget* parent) : QWidget(parent) {
    setMinimumSize(320, 320);
}

void LayerPicture::show(const shape::Box& box, std::vector<sheet::Layer> layers) {
    m_box = box;
    m_layers = std::move(layers);
    update();
}

QTransform LayerPicture::page() const {
    constexpr double margin = 14; // pixels
    const double scale = std::min((width() - 2 * margin) / std::max(1.0, m_box.width()),
                                  (height() - 2 * margin) / std::max(1.0, m_box.height()));
    const auto middle = m_box.centre();
    return QTransform::fromTranslate(width() / 2.0, height() / 2.0)
        .scale(scale, scale)
        .translate(-middle.x, -middle.y);
}

void LayerPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::mat));
    if (m_layers.empty()) return;
    for (const auto& layer : m_layers)
        paintLayer(painter, layer, page());
    for (const auto& layer : m_layers)
        paintFlags(painter, layer, page());
}

void LayerPicture::mousePressEvent(QMouseEvent* event) {
    emit clicked(tagAt(m_layers, page(), event->position()));
}

} // namespace up::app
