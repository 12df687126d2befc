// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sheet/sheet.hpp"

namespace up::sheet {

using shape::Contour;

std::vector<Contour> contoursOf(const shape::Outline& outline) {
    std::vector<Contour> out{outline.edge};
    out.insert(out.end(), outline.holes.begin(), outline.holes.end());
    return out;
}

std::vector<Contour> contoursOf(const shape::Region& region) {
    std::vector<Contour> out;
    for (const auto& ring : region.rings)
        out.push_back(shape::contourThrough(ring));
    return out;
}

std::vector<Contour> contoursOf(const std::vector<shape::Polyline>& lines) {
    std::vector<Contour> out;
    for (const auto& points : lines) {
        out.push_back(shape::contourThrough(points));
        out.back().closed = false;
    }
    return out;
}

Shape box(const shape::Box& b, std::optional<Colour> fill, std::optional<Pen> pen) {
    return {contoursOf(shape::rectangle(b)), fill, pen};
}

Shape line(shape::Point from, shape::Point to, const Pen& pen) {
    return {contoursOf(std::vector<shape::Polyline>{{from, to}}), std::nullopt, pen};
}

} // namespace up::sheet
