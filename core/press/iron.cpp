// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/iron.hpp"

#include "core/press/patch.hpp"

#include <algorithm>

namespace up::press {
namespace {

using measure::Angle;
using shape::Point;
using shape::Ring;

/// A heel with corners a little rounded, sides that run together in two curves to the tip, which points up.
Ring soleplate(double width, double length) {
    const double half = width / 2, heel = length * 0.45, shoulder = -length * 0.1, tip = heel - length;
    const double corner = std::min(8.0, half / 3);
    Ring right{{half - corner, heel}, {half, heel - corner}, {half, shoulder}};
    constexpr int steps = 8;
    for (int i = 1; i < steps; ++i) { // a quadratic Bézier curve, whose control point lies above the shoulder
        const double t = static_cast<double>(i) / steps;
        const Point control{half, shoulder + (tip - shoulder) * 0.55};
        right.push_back(Point{half, shoulder} * ((1 - t) * (1 - t)) + control * (2 * t * (1 - t)) +
                        Point{0, tip} * (t * t));
    }
    Ring out{{0, tip}};
    for (auto it = right.rbegin(); it != right.rend(); ++it)
        out.push_back(*it);
    for (const Point p : right)
        out.push_back({-p.x, p.y});
    return out;
}

} // namespace

Iron ironOf(Soleplate kind) {
    const std::vector<Angle> turns{Angle::ofDegrees(0), Angle::ofDegrees(90), Angle::ofDegrees(180),
                                   Angle::ofDegrees(270)};
    switch (kind) {
    case Soleplate::household: break;
    case Soleplate::small: return {soleplate(75, 130), turns};
    case Soleplate::wand: return {soleplate(36, 62), turns};
    }
    return {soleplate(118, 215), turns};
}

Result<Ring> soleplateFrom(const shape::Region& traced) {
    constexpr double within = 0.2, least = 25.4, most = 16 * 25.4; // mm
    const auto plain = shape::simplified(traced, within);
    if (plain.rings.size() != 1) return failure(Code::badSoleplate);
    const auto turn = Angle::ofDegrees(90) + boxRound(plain).turn; // the longer side across, then down
    const auto upright = shape::transformed(plain, shape::Transform::turn(turn));
    const auto box = upright.bounds();
    if (box.height() < least || box.height() > most) return failure(Code::badSoleplate);
    Ring out;
    for (const Point p : upright.rings.front())
        out.push_back(p - box.centre());
    return out;
}

Result<Ring> coverOf(const Iron& iron, measure::Length overlap) {
    if (iron.turns.empty() || iron.outline.size() < 3 || shape::firstCrossing({iron.outline}))
        return failure(Code::badSoleplate);
    const auto whole = shape::regionOf(shape::Rings{iron.outline});
    const auto left = shape::offset(whole, -overlap.mm() / 2);
    if (whole.rings.size() != 1 || left.rings.size() != 1) return failure(Code::badSoleplate);
    return left.rings.front();
}

Ring setDown(const Ring& outline, const Press& press) {
    const auto way = shape::Transform::moveBy(press.at.x, press.at.y) * shape::Transform::turn(press.turn);
    Ring out;
    out.reserve(outline.size());
    for (const Point p : outline)
        out.push_back(way(p));
    return out;
}

} // namespace up::press
