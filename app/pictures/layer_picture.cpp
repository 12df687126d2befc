// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/layer_picture.hpp"

#include "app/canvas/painter.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {

LayerPicture::LayerPicture(QWidget* parent) : FittedPicture(parent, {320, 320}, {14, 14, 14, 14}) {}

QRectF LayerPicture::area() const {
    return {m_box.left, m_box.top, m_box.width(), m_box.height()};
}

void LayerPicture::show(const shape::Box& box, std::vector<sheet::Layer> layers) {
    m_box = box;
    m_layers = std::move(layers);
    update();
}

void LayerPicture::paint(QPainter& painter, const QTransform& map) {
    for (const auto& layer : m_layers)
        paintLayer(painter, layer, map);
    for (const auto& layer : m_layers)
        paintFlags(painter, layer, map);
}

void LayerPicture::mousePressEvent(QMouseEvent* event) {
    emit clicked(tagAt(m_layers, toWidget(), event->position()));
}

} // namespace up::app
