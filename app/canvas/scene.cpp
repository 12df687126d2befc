// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/scene.hpp"

namespace up::app {

Panel turnedOver(Panel panel) {
    if (panel.side == Side::plain) return panel;
    const auto mirror = shape::Transform::mirrorAcross((panel.box.left + panel.box.right) / 2);
    panel.side = panel.side == Side::front ? Side::paper : Side::front;
    for (auto& layer : panel.layers) {
        layer.place = mirror * layer.place;
        for (auto& item : layer.items)
            if (auto* flag = std::get_if<sheet::Flag>(&item)) flag->pointsLeft = !flag->pointsLeft;
    }
    return panel;
}

} // namespace up::app
