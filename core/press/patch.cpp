// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/patch.hpp"

#include "core/measure/say.hpp"

namespace up::press {
namespace {

using measure::Angle;
using measure::Length;
using shape::Point;

/// Source: Andrew's monotone chain, 1979.
shape::Ring hullOf(const shape::Region& region) {
    std::vector<Point> points;
    for (const auto& ring : region.rings)
        points.insert(points.end(), ring.begin(), ring.end());
    std::sort(points.begin(), points.end(),
              [](Point a, Point b) { return a.x < b.x || (a.x == b.x && a.y < b.y); });
    shape::Ring hull;
    for (const int pass : {0, 1}) {
        const std::size_t start = hull.size();
        for (const Point p : points) {
            while (hull.size() >= start + 2 && shape::cross(hull[hull.size() - 2], hull.back(), p) <= 0)
                hull.pop_back();
            hull.push_back(p);
        }
        hull.pop_back();
        if (pass == 0) std::reverse(points.begin(), points.end());
    }
    return hull;
}

} // namespace

namespace {

/// The least box at any turn, each side made up by `side`.
template<class Side> Patch leastBox(const shape::Region& region, Side side) {
    const auto hull = hullOf(region);
    shape::Box best;
    Angle turn;
    for (std::size_t i = 0, j = hull.size() - 1; i < hull.size(); j = i++) {
        const auto along = Angle::ofDegrees(-std::atan2(hull[i].y - hull[j].y, hull[i].x - hull[j].x) * 180 /
                                            std::numbers::pi);
        shape::Box box;
        for (const Point p : hull)
            box.take(shape::Transform::turn(along)(p));
        if (best.isEmpty() || box.width() * box.height() < best.width() * best.height())
            best = box, turn = along;
    }
    Patch patch{side(best.width()), side(best.height()), turn.normal()};
    if (patch.width < patch.height) {
        std::swap(patch.width, patch.height);
        patch.turn = (patch.turn + Angle::ofDegrees(90)).normal();
    }
    return patch;
}

} // namespace

Patch patchFor(const shape::Region& chunk) {
    return leastBox(chunk,
                    [](double mm) { return measure::roundedUp(Length::ofMm(mm) + fabricBeyondWeb * 2, 4); });
}

Patch boxRound(const shape::Region& cloth) {
    return leastBox(cloth, [](double mm) { return Length::ofMm(mm); });
}

} // namespace up::press
