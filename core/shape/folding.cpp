// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/folding.hpp"

#include "core/shape/widths.hpp"

#include <cmath>
#include <numbers>

namespace up::shape {
namespace {

constexpr double apart = 15 * std::numbers::pi / 180; // between clips, of turning
constexpr double nearLine = 25.4 / 16;                // mm

double turnAt(const Ring& ring, std::size_t i) {
    const auto n = ring.size();
    const Point in = ring[i] - ring[(i + n - 1) % n], out = ring[(i + 1) % n] - ring[i];
    return std::atan2(in.x * out.y - in.y * out.x, in.x * out.x + in.y * out.y);
}

/// Away from the shape, whose edge has it on the left.
Point outwardsAt(const Ring& ring, std::size_t i) {
    const auto n = ring.size();
    const Point along = ring[(i + 1) % n] - ring[(i + n - 1) % n];
    const double length = std::hypot(along.x, along.y);
    return length > 0 ? Point{along.y / length, -along.x / length} : Point{};
}

void addClips(const Ring& ring, double beyond, std::vector<std::pair<Point, Point>>& out) {
    double turned = 0;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const double turn = turnAt(ring, i);
        turned = turn < 0 ? turned - turn : 0;
        if (turned < apart) continue;
        const auto away = outwardsAt(ring, i);
        out.emplace_back(ring[i] + away * nearLine, ring[i] + away * beyond);
        turned = 0;
    }
}

bool isRoundish(const Region& shape) {
    if (shape.rings.size() != 1 || !cornersOf(shape).empty()) return false;
    const double edge = perimeter(shape.rings.front());
    constexpr double enough = 0.85;
    return 4 * std::numbers::pi * shape.area() >= enough * edge * edge;
}

} // namespace

Folding foldingOf(const Region& shape, double beyond) {
    Folding out{offset(shape, beyond), {}, isRoundish(shape), {}};
    if (out.isRound) {
        const auto middle = offset(shape, beyond / 2);
        out.gathering = middle.rings.front();
        out.gathering.push_back(out.gathering.front());
        return out;
    }
    for (const auto& ring : shape.rings)
        addClips(ring, beyond, out.clips);
    return out;
}

} // namespace up::shape
