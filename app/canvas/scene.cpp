// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/scene.hpp"

namespace up::app {

Panel turnedOver(Panel panel) {
    if (panel.side == Side::plain) return panel;
    const auto mirror = shape::Transform::mirrorAcross((panel.box.left + panel.box.right) / 2);
    panel.side = isReversed(panel.side) ? Side::front : Side::paper;
    const auto other = [](sheet::Align align) {
        return align == sheet::Align::left    ? sheet::Align::right
               : align == sheet::Align::right ? sheet::Align::left
                                              : align;
    };
    for (auto& layer : panel.layers) {
        layer.place = mirror * layer.place;
        for (auto& item : layer.items) {
            if (auto* flag = std::get_if<sheet::Flag>(&item)) flag->pointsLeft = !flag->pointsLeft;
            if (auto* words = std::get_if<sheet::Words>(&item)) words->align = other(words->align);
        }
    }
    return panel;
}

} // namespace up::app
