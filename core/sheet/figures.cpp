// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sheet/figures.hpp"

#include "core/sheet/palette.hpp"

#include <algorithm>
#include <cmath>

namespace up::sheet {

using shape::Point;

shape::Contour disc(Point middle, double radius) {
    // The usual handle length of a quarter circle: 4/3 (√2 - 1), off by 0.03 % of the radius at most.
    const double handle = radius * 4 / 3 * (std::sqrt(2.0) - 1);
    const auto at = [&](double x, double y) { return middle + Point{x, y}; };
    shape::Contour out;
    out.start = at(radius, 0);
    out.curves = {
        {at(radius, handle), at(handle, radius), at(0, radius)},
        {at(-handle, radius), at(-radius, handle), at(-radius, 0)},
        {at(-radius, -handle), at(-handle, -radius), at(0, -radius)},
        {at(handle, -radius), at(radius, -handle), at(radius, 0)},
    };
    return out;
}

Shape arrow(Point tail, Point tip, double barb, bool both, const Pen& pen) {
    const auto along = tip - tail;
    const double length = std::max(std::hypot(along.x, along.y), 1e-9);
    const Point way = along * (1 / length), side{-way.y, way.x};
    constexpr double spread = 0.72; // of the barb's length
    std::vector<shape::Polyline> lines{{tail, tip}};
    const auto addBarbs = [&](Point end, Point back) {
        lines.push_back(
            {end + back * barb + side * (barb * spread), end, end + back * barb - side * (barb * spread)});
    };
    addBarbs(tip, way * -1);
    if (both) addBarbs(tail, way);
    return {contoursOf(lines), std::nullopt, pen};
}

void addHaloed(std::vector<Item>& items, const std::vector<shape::Contour>& lines, const Pen& halo,
               const Pen& pen) {
    items.push_back(Shape{lines, std::nullopt, halo});
    items.push_back(Shape{lines, std::nullopt, pen});
}

Colour palette::mixed(Colour a, Colour b, double share) {
    const auto mix = [&](std::uint8_t x, std::uint8_t y) {
        return static_cast<std::uint8_t>(std::lround(x + (y - x) * share));
    };
    return {mix(a.red, b.red), mix(a.green, b.green), mix(a.blue, b.blue)};
}

} // namespace up::sheet
