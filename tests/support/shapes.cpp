// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <numbers>

namespace up::test {

using shape::Point;
using shape::Ring;

Ring square(double left, double top, double side) {
    return {{left, top}, {left + side, top}, {left + side, top + side}, {left, top + side}};
}

shape::Region squareRegion(double left, double top, double side) {
    return shape::regionOf({square(left, top, side)});
}

shape::Contour circle(Point c, double r) {
    constexpr double k = 0.5522847498;
    shape::Contour out{{c.x + r, c.y}, {}, true};
    out.curveTo({c.x + r, c.y + k * r}, {c.x + k * r, c.y + r}, {c.x, c.y + r});
    out.curveTo({c.x - k * r, c.y + r}, {c.x - r, c.y + k * r}, {c.x - r, c.y});
    out.curveTo({c.x - r, c.y - k * r}, {c.x - k * r, c.y - r}, {c.x, c.y - r});
    out.curveTo({c.x + k * r, c.y - r}, {c.x + r, c.y - k * r}, {c.x + r, c.y});
    return out;
}

Ring randomStar(Random& random) {
    const std::size_t n = 5 + random.below(36);
    const Point centre{random.between(-50, 50), random.between(-50, 50)};
    Ring ring;
    for (std::size_t i = 0; i < n; ++i) {
        const double angle = 2 * std::numbers::pi * static_cast<double>(i) / static_cast<double>(n);
        const double r = random.between(5, 60);
        ring.push_back({centre.x + r * std::cos(angle), centre.y + r * std::sin(angle)});
    }
    return ring;
}

Ring randomScribble(Random& random) {
    Ring ring;
    for (std::size_t i = 0, n = 4 + random.below(12); i < n; ++i)
        ring.push_back({random.between(0, 100), random.between(0, 100)});
    return ring;
}

std::vector<Drawn> scattered(Random& random, std::size_t count, std::size_t colours, bool overTheEdge) {
    constexpr double page = 225; // mm
    std::vector<Drawn> out;
    for (std::size_t i = 0; i < count; ++i) {
        auto ring = random.below(3) == 0 ? square(0, 0, random.between(15, 70)) : randomStar(random);
        const auto box = boundsOf(ring);
        const auto along = [&](double size) {
            return overTheEdge ? random.between(-20, page) : random.between(2, std::max(3.0, page - size));
        };
        const double x = along(box.width()) - box.left, y = along(box.height()) - box.top;
        for (auto& p : ring)
            p = {p.x + x, p.y + y};
        const auto red = static_cast<std::uint8_t>(60 * random.below(colours));
        out.push_back({std::to_string(i), std::move(ring), {red, 9, 9}});
    }
    return out;
}

quilt::Drawing drawingOf(const std::vector<Drawn>& shapes) {
    quilt::Drawing drawing;
    drawing.width = drawing.height = 228.6;
    for (const auto& drawn : shapes) {
        quilt::DrawnShape shape{drawn.name, drawn.colour, {shape::contourThrough(drawn.ring), {}}, {}};
        if (drawn.marked) {
            const auto box = shape::boundsOf(drawn.ring);
            shape::Contour mark{{box.left + box.width() * 0.3, box.centre().y}, {}, false};
            mark.lineTo({box.left + box.width() * 0.7, box.centre().y});
            shape.marks.push_back(mark);
        }
        drawing.shapes.push_back(std::move(shape));
    }
    return drawing;
}

quilt::Quilt quiltOf(const std::vector<Drawn>& shapes) {
    const auto side = measure::Length::ofInches(9, 1);
    const auto quilt = must(edit::addBlock(quilt::emptyQuilt("Test quilt"), "Test", side, side));
    return must(edit::addDrawing(quilt, quilt.blocks.front().id, drawingOf(shapes), {}, 1'000));
}

quilt::Quilt smallQuilt() {
    return quiltOf({{"base", square(40, 40, 80), {0x27, 0x49, 0x6d}, false},
                    {"top", square(60, 60, 30), {0xa9, 0x3b, 0x2c}, true},
                    {"apart", square(150, 150, 40), {0x27, 0x49, 0x6d}, false}});
}

} // namespace up::test
