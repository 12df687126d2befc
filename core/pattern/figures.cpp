// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/figures.hpp"

#include "core/shape/arc.hpp"

#include <algorithm>
#include <numbers>

namespace up::pattern {

using namespace shape;

namespace {

constexpr double pi = std::numbers::pi;

/// From the contour's end to `to`, on the circle with that centre; clockwise on the page when `clockwise`.
void turnTo(Contour& contour, Point centre, Point to, bool clockwise) {
    const Point from = contour.end() - centre;
    const double radius = std::hypot(from.x, from.y), start = std::atan2(from.y, from.x);
    double span = std::atan2(to.y - centre.y, to.x - centre.x) - start;
    if (clockwise && span < 0) span += 2 * pi;
    if (!clockwise && span > 0) span -= 2 * pi;
    arcAbout(contour, centre, {radius, 0}, {0, radius}, start, span);
    contour.curves.back().end = to;
}

/// The circle that is upright at `side` and passes through `tip`, which lies on the middle line.
Point centreBeside(Point side, Point tip) {
    const double rise = tip.y - side.y, half = side.x - tip.x;
    const double radius = (rise * rise + half * half) / (2 * half);
    return {side.x - radius, side.y};
}

Point onCircle(double radius, double angle) {
    return {radius * std::sin(angle), -radius * std::cos(angle)}; // 0 is up, clockwise
}

} // namespace

Outline ring(double across, double band) {
    const double r = across / 2;
    return {ellipse({}, r, r), {ellipse({}, r - band, r - band)}};
}

Outline leaf(double length, double width, double fullest) {
    const Point top{0, -length / 2}, bottom{0, length / 2};
    const Point right{width / 2, length * (fullest - 0.5)}, left{-right.x, right.y};
    Contour edge{top, {}, true};
    turnTo(edge, centreBeside(right, top), right, true);
    turnTo(edge, centreBeside(right, bottom), bottom, true);
    const Point below = centreBeside(right, bottom), above = centreBeside(right, top);
    turnTo(edge, {-below.x, below.y}, left, true);
    turnTo(edge, {-above.x, above.y}, top, true);
    return {edge, {}};
}

Outline petal(double length, double width) {
    const double rise = std::min(width / 2, length * 0.45);
    const Point bottom{0, length / 2}, right{width / 2, -length / 2 + rise};
    const Point centre = centreBeside(right, bottom);
    Contour edge{right, {}, true};
    turnTo(edge, centre, bottom, true);
    turnTo(edge, {-centre.x, centre.y}, {-right.x, right.y}, true);
    arcAbout(edge, {0, right.y}, {width / 2, 0}, {0, rise}, pi, pi);
    edge.curves.back().end = right;
    return {edge, {}};
}

Outline teardrop(double length, double width) {
    const double r = width / 2, reach = length - r; // from the circle's middle to the tip
    const Point centre{0, length / 2 - r}, tip{0, -length / 2};
    const double opening = std::acos(r / reach); // between the way up and the tangent point
    const Point right = centre + onCircle(r, opening), left{-right.x, right.y};
    Contour edge{tip, {}, true};
    edge.lineTo(right);
    turnTo(edge, centre, left, true);
    edge.lineTo(tip);
    return {edge, {}};
}

Outline heart(double width, double height) {
    // Right half, from the cleft down to the point, in shares of the width and height; each join is smooth.
    struct Share {
        Point control1, control2, end;
    };
    constexpr Share half[] = {{{0.03, -0.42}, {0.12, -0.50}, {0.25, -0.50}},
                              {{0.39, -0.50}, {0.50, -0.38}, {0.50, -0.21}},
                              {{0.50, 0.03}, {0.17, 0.27}, {0.00, 0.50}}};
    const auto at = [&](Point share) { return Point{share.x * width, share.y * height}; };
    const Point cleft = at({0, -0.27});
    Contour right{cleft, {}, false};
    for (const auto& part : half)
        right.curveTo(at(part.control1), at(part.control2), at(part.end));
    Contour edge = right;
    edge.closed = true;
    const auto left = transformed(right, Transform::mirrorAcross(0));
    for (std::size_t i = left.curves.size(); i-- > 0;)
        edge.curveTo(left.curves[i].control2, left.curves[i].control1,
                     i == 0 ? cleft : left.curves[i - 1].end);
    return {edge, {}};
}

Outline crescent(double across, double thick) {
    const double r = across / 2, horn = std::sqrt(r * r - thick * thick / 4);
    const Point upper{thick / 2, -horn}, lower{thick / 2, horn};
    Contour edge{upper, {}, true};
    turnTo(edge, {thick, 0}, lower, false);
    turnTo(edge, {}, upper, true);
    return {edge, {}};
}

Outline star(int points, double across, double inner) {
    Ring corners;
    for (int i = 0; i < 2 * points; ++i)
        corners.push_back(onCircle((i % 2 == 0 ? across : inner) / 2, pi * i / points));
    return {contourThrough(corners), {}};
}

Outline flower(int scallops, double across, double depth) {
    const double top = across / 2, notch = top - depth, half = pi / scallops;
    // The circle through a notch, the top of the scallop and the next notch; its middle is on the way to the
    // top.
    const Point side = onCircle(notch, half);
    const double rise = top + side.y; // how far the notch lies below the top
    const double radius = (rise * rise + side.x * side.x) / (2 * rise);
    Contour edge{onCircle(notch, -half), {}, true};
    for (int i = 0; i < scallops; ++i)
        turnTo(edge, onCircle(top - radius, 2 * half * i), onCircle(notch, 2 * half * i + half), true);
    edge.curves.back().end = edge.start;
    return {edge, {}};
}

Outline strip(double length, double width, double corner) {
    const double x = length / 2, y = width / 2, c = corner;
    if (c <= 0) return {contourThrough({{-x, -y}, {x, -y}, {x, y}, {-x, y}}), {}};
    Contour edge{{-x + c, -y}, {}, true};
    const auto side = [&](Point to, Point centre, Point after) {
        if (distance(edge.end(), to) > 1e-9) edge.lineTo(to);
        turnTo(edge, centre, after, true);
    };
    side({x - c, -y}, {x - c, -y + c}, {x, -y + c});
    side({x, y - c}, {x - c, y - c}, {x - c, y});
    side({-x + c, y}, {-x + c, y - c}, {-x, y - c});
    side({-x, -y + c}, {-x + c, -y + c}, {-x + c, -y});
    return {edge, {}};
}

namespace {

/// The middle line of a stem, from its foot at u = 0 to its tip at 1.
struct Middle {
    double length, below, above;
    // The bends are where the line is at a third and two thirds: of the cubic through them the control
    // points.
    [[nodiscard]] double control1() const { return 3 * below - 1.5 * above; }
    [[nodiscard]] double control2() const { return 3 * above - 1.5 * below; }
    [[nodiscard]] Point at(double u) const {
        const double v = 1 - u;
        return {3 * v * v * u * control1() + 3 * v * u * u * control2(), length * (0.5 - u)};
    }
    [[nodiscard]] Point slope(double u) const {
        const double v = 1 - u;
        return {3 * v * v * control1() + 6 * v * u * (control2() - control1()) - 3 * u * u * control2(),
                -length};
    }
};

} // namespace

Outline stem(double length, double width, double tip, double below, double above) {
    const Middle middle{length, below, above};
    const auto side = [&](double u, double sign) {
        const Point d = middle.slope(u);
        const double norm = std::hypot(d.x, d.y), half = sign * (width + (tip - width) * u) / 2;
        return middle.at(u) + Point{-d.y, d.x} * (half / norm);
    };
    // Each stretch is the cubic with the ends and directions of the true edge: sixteen of them stay within
    // 0.01 mm of it on a stem a foot long and bent by a quarter of its length.
    constexpr int stretches = 16;
    const auto run = [&](Contour& edge, double from, double to, double sign) {
        const double step = (to - from) / stretches, h = 1e-5;
        const auto direction = [&](double u) {
            return (side(u + h, sign) - side(u - h, sign)) * (1 / (2 * h));
        };
        for (int i = 0; i < stretches; ++i) {
            const double u = from + step * i, v = u + step;
            edge.curveTo(side(u, sign) + direction(u) * (step / 3), side(v, sign) - direction(v) * (step / 3),
                         side(v, sign));
        }
    };
    Contour edge{side(0, 1), {}, true};
    run(edge, 0, 1, 1);
    if (tip > 0) edge.lineTo(side(1, -1));
    run(edge, 1, 0, -1);
    edge.lineTo(edge.start);
    return {edge, {}};
}

} // namespace up::pattern
