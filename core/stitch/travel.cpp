// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/travel.hpp"

#include <algorithm>
#include <cmath>

namespace up::stitch {
namespace {

using shape::Box;
using shape::Point;
using shape::Polyline;

constexpr double aside = 3; // mm beyond the finished edge

/// mm from the finished edge; below 0 beyond it.
double inset(const Box& box, Point p) {
    return std::min({p.x - box.left, box.right - p.x, p.y - box.top, box.bottom - p.y});
}

/// The nearest point on the box's border.
Point onto(const Box& box, Point p) {
    p = {std::clamp(p.x, box.left, box.right), std::clamp(p.y, box.top, box.bottom)};
    const double left = p.x - box.left, right = box.right - p.x, top = p.y - box.top,
                 bottom = box.bottom - p.y;
    const double least = std::min({left, right, top, bottom});
    if (least == left) return {box.left, p.y};
    if (least == right) return {box.right, p.y};
    return least == top ? Point{p.x, box.top} : Point{p.x, box.bottom};
}

/// mm along the border, from the top left corner to the right.
double along(const Box& box, Point p) {
    const double w = box.width(), h = box.height();
    if (p.y == box.top) return p.x - box.left;
    if (p.x == box.right) return w + p.y - box.top;
    if (p.y == box.bottom) return w + h + box.right - p.x;
    return 2 * w + h + box.bottom - p.y;
}

Polyline roundTheEdge(const Box& finished, Point from, Point to) {
    const auto box = finished.grownBy(aside);
    const Point first = onto(box, from), last = onto(box, to);
    const double whole = 2 * (box.width() + box.height());
    const double a = along(box, first);
    double way = std::fmod(along(box, last) - a + whole, whole);
    const bool back = way > whole / 2;
    if (back) way = whole - way;
    const double corners[] = {0, box.width(), box.width() + box.height(), 2 * box.width() + box.height()};
    const Point at[] = {
        {box.left, box.top}, {box.right, box.top}, {box.right, box.bottom}, {box.left, box.bottom}};
    std::vector<std::pair<double, Point>> passed;
    for (int i = 0; i < 4; ++i)
        if (const double far = std::fmod((back ? a - corners[i] : corners[i] - a) + 2 * whole, whole);
            far > 0 && far < way)
            passed.emplace_back(far, at[i]);
    std::sort(passed.begin(), passed.end(), [](const auto& x, const auto& y) { return x.first < y.first; });
    Polyline out{from, first};
    for (const auto& [_, corner] : passed)
        out.push_back(corner);
    out.push_back(last), out.push_back(to);
    return out;
}

} // namespace

bool isInSeam(const Field& field, Point p) {
    return inset(field.finished, p) <= onBorder;
}

std::optional<Way> wayBetween(const Field& field, Point from, Point to) {
    const auto border = [&](Point p) { return isInSeam(field, p) ? p : onto(field.finished, p); };
    const Point a = border(from), b = border(to);
    const double toBorder = shape::distance(from, a), fromBorder = shape::distance(to, b);
    const double straight = shape::distance(from, to);
    const bool mayJump = straight <= field.jump;
    const bool mayRound = std::max(toBorder, fromBorder) <= field.jump;
    if (!mayJump && !mayRound) return std::nullopt;
    if (mayJump && (!mayRound || straight <= toBorder + fromBorder))
        return Way{straight, 0, {{false, {from, to}}}};
    Way out{toBorder + fromBorder, 0, {}};
    if (toBorder > 0) out.travels.push_back({false, {from, a}});
    out.travels.push_back({true, roundTheEdge(field.finished, a, b)});
    out.seam = shape::lengthOf(out.travels.back().points);
    if (fromBorder > 0) out.travels.push_back({false, {b, to}});
    return out;
}

} // namespace up::stitch
