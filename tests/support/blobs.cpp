// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/blobs.hpp"

#include "core/base/random.hpp"
#include "core/edit/edits.hpp"

#include <cmath>
#include <numbers>

namespace up::test {
namespace {

using shape::Contour;
using shape::Point;

/// Through points round the middle, smoothly: Catmull & Rom, "A class of local interpolating splines", 1974.
Contour blob(Random& random, Point middle, double radius) {
    constexpr int corners = 8;
    std::vector<Point> points;
    for (int i = 0; i < corners; ++i) {
        const double angle = 2 * std::numbers::pi * i / corners, r = radius * random.between(0.7, 1.3);
        points.push_back(middle + Point{std::cos(angle), std::sin(angle)} * r);
    }
    const auto at = [&](int i) { return points[static_cast<std::size_t>((i + corners) % corners)]; };
    Contour out{at(0), {}, true};
    for (int i = 0; i < corners; ++i)
        out.curveTo(at(i) + (at(i + 1) - at(i - 1)) * (1.0 / 6), at(i + 1) - (at(i + 2) - at(i)) * (1.0 / 6),
                    at(i + 1));
    return out;
}

} // namespace

quilt::Quilt blobs(int count, std::uint64_t seed) {
    const auto side = measure::Length::ofInches(20, 1);
    const double wide = side.mm(), radius = wide / std::sqrt(count * std::numbers::pi);
    Random random(seed);
    quilt::Drawing drawing;
    drawing.width = drawing.height = wide;
    for (int i = 0; i < count; ++i) {
        const Point middle{random.between(radius, wide - radius), random.between(radius, wide - radius)};
        const auto shade = static_cast<std::uint8_t>(25 * (i % 10));
        drawing.shapes.push_back({"",
                                  {shade, 120, static_cast<std::uint8_t>(250 - shade)},
                                  {blob(random, middle, radius), {}},
                                  {}});
    }
    const auto empty = edit::addBlock(quilt::emptyQuilt("Blobs"), "Blobs", side, side).value();
    return edit::addDrawing(empty, empty.blocks.front().id, drawing, {}, 1'000).value();
}

} // namespace up::test
