// SPDX-License-Identifier: GPL-3.0-or-later
// Points and boxes in double millimetres, y down as on a page.
#pragma once

#include <algorithm>
#include <cmath>
#include <limits>

namespace up::shape {

struct Point {
    double x = 0, y = 0;
    bool operator==(const Point&) const = default;
    [[nodiscard]] Point operator+(Point o) const { return {x + o.x, y + o.y}; }
    [[nodiscard]] Point operator-(Point o) const { return {x - o.x, y - o.y}; }
    [[nodiscard]] Point operator*(double k) const { return {x * k, y * k}; }
};

[[nodiscard]] inline double distance(Point a, Point b) {
    return std::hypot(a.x - b.x, a.y - b.y);
}
/// z of the cross product of the arrows o→a and o→b.
[[nodiscard]] inline double cross(Point o, Point a, Point b) {
    return (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);
}

/// Empty until it holds a point (left > right).
struct Box {
    double left = std::numeric_limits<double>::infinity();
    double top = std::numeric_limits<double>::infinity();
    double right = -std::numeric_limits<double>::infinity();
    double bottom = -std::numeric_limits<double>::infinity();
    bool operator==(const Box&) const = default;

    [[nodiscard]] bool isEmpty() const { return left > right || top > bottom; }
    [[nodiscard]] double width() const { return isEmpty() ? 0 : right - left; }
    [[nodiscard]] double height() const { return isEmpty() ? 0 : bottom - top; }
    [[nodiscard]] Point centre() const { return {(left + right) / 2, (top + bottom) / 2}; }
    void take(Point p) {
        left = std::min(left, p.x), right = std::max(right, p.x);
        top = std::min(top, p.y), bottom = std::max(bottom, p.y);
    }
    void take(const Box& o) {
        left = std::min(left, o.left), right = std::max(right, o.right);
        top = std::min(top, o.top), bottom = std::max(bottom, o.bottom);
    }
    [[nodiscard]] Box grownBy(double mm) const { return {left - mm, top - mm, right + mm, bottom + mm}; }
    [[nodiscard]] bool meets(const Box& o) const {
        return left <= o.right && o.left <= right && top <= o.bottom && o.top <= bottom;
    }
    [[nodiscard]] bool holds(Point p) const {
        return p.x >= left && p.x <= right && p.y >= top && p.y <= bottom;
    }
};

} // namespace up::shape
