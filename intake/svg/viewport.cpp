// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/viewport.hpp"

#include "intake/svg/values.hpp"

#include <algorithm>
#include <cmath>
#include <string_view>

namespace up::intake {

using shape::Transform;

namespace {

double share(std::string_view align, std::string_view least, std::string_view most) {
    if (align.find(least) != std::string_view::npos) return 0;
    return align.find(most) != std::string_view::npos ? 1 : 0.5;
}

std::vector<double> viewBoxOf(const pugi::xml_node& node) {
    auto box = numbersIn(node.attribute("viewBox").value());
    if (box.size() != 4 || box[2] <= 0 || box[3] <= 0) box.clear();
    return box;
}

} // namespace

double Viewport::diagonal() const {
    return std::sqrt((width * width + height * height) / 2);
}

Viewport viewportOf(const pugi::xml_node& node, double width, double height) {
    const auto box = viewBoxOf(node);
    if (box.empty() || width <= 0 || height <= 0) return {width, height, {}};
    const std::string_view align = node.attribute("preserveAspectRatio").value();
    double sx = width / box[2], sy = height / box[3];
    if (align.find("none") == std::string_view::npos)
        sx = sy = align.find("slice") == std::string_view::npos ? std::min(sx, sy) : std::max(sx, sy);
    const double right = (width - box[2] * sx) * share(align, "xMin", "xMax");
    const double down = (height - box[3] * sy) * share(align, "YMin", "YMax");
    return {box[2], box[3],
            Transform::moveBy(right, down) * Transform::scale(sx, sy) * Transform::moveBy(-box[0], -box[1])};
}

PageSize pageSizeOf(const pugi::xml_node& root) {
    const auto box = viewBoxOf(root);
    const std::string_view w = root.attribute("width").value(), h = root.attribute("height").value();
    const auto width = lengthIn(w), height = lengthIn(h);
    const bool hasBox = !box.empty();
    PageSize out;
    out.width = width.value_or(hasBox && height ? *height * box[2] / box[3] : hasBox ? box[2] : 0);
    out.height = height.value_or(hasBox && width ? *width * box[3] / box[2] : hasBox ? box[3] : 0);
    if (out.width <= 0 || out.height <= 0) out.width = out.height = 0;
    out.physical = out.width > 0 && (isPhysical(w) || isPhysical(h));
    return out;
}

} // namespace up::intake
