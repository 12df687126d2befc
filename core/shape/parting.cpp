// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/parting.hpp"

#include "core/shape/nearness.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>
#include <set>

namespace up::shape {
namespace {

constexpr int directions = 24; // in half a turn

Point directionOf(int i) {
    const double angle = std::numbers::pi * i / directions;
    return {std::cos(angle), std::sin(angle)};
}

double along(Point towards, Point p) {
    return towards.x * p.x + towards.y * p.y;
}

struct Span {
    double from = std::numeric_limits<double>::infinity(), to = -from;
    void take(double at) { from = std::min(from, at), to = std::max(to, at); }
};

Span spanOf(const Region& region, Point towards) {
    Span out;
    for (const auto& ring : region.rings)
        for (const auto& p : ring)
            out.take(along(towards, p));
    return out;
}

Span spanOf(const std::vector<Region>& regions, Point towards) {
    Span out;
    for (const auto& region : regions) {
        const auto span = spanOf(region, towards);
        out.take(span.from), out.take(span.to);
    }
    return out;
}

/// A strip along the line, from `back` before it to `ahead` beyond it, mm.
Region strip(const Region& region, const Line& line, double back, double ahead) {
    const auto box = region.bounds();
    const double far = std::hypot(box.width(), box.height()) + 1;
    const Point side{-line.towards.y, line.towards.x};
    const Point foot = box.centre() + line.towards * (line.at - along(line.towards, box.centre()));
    return regionOf(
        Rings{{foot - side * far - line.towards * back, foot + side * far - line.towards * back,
               foot + side * far + line.towards * ahead, foot - side * far + line.towards * ahead}});
}

} // namespace

std::vector<std::vector<std::size_t>> groupings(const std::vector<Region>& shapes) {
    constexpr std::size_t places = 8; // along each direction
    constexpr int step = 3;           // of the directions, when there are many shapes
    std::set<std::vector<std::size_t>> known;
    std::vector<std::vector<std::size_t>> out;
    const auto count = shapes.size();
    for (int i = 0; i<directions; i += count> places ? step : 1) {
        std::vector<std::pair<double, std::size_t>> order;
        for (std::size_t s = 0; s < count; ++s) {
            const auto span = spanOf(shapes[s], directionOf(i));
            order.emplace_back(span.from + span.to, s);
        }
        std::sort(order.begin(), order.end());
        for (std::size_t n = 1; n <= std::min(places, count - 1); ++n) {
            const auto first = count <= places ? n : n * count / (places + 1);
            std::vector<std::size_t> near, far;
            for (std::size_t s = 0; s < count; ++s)
                (s < first ? near : far).push_back(order[s].second);
            auto& group = std::find(far.begin(), far.end(), 0U) == far.end() ? far : near;
            std::sort(group.begin(), group.end());
            if (!group.empty() && known.insert(group).second) out.push_back(std::move(group));
        }
    }
    return out;
}

std::optional<Line> lineBetween(const std::vector<Region>& one, const std::vector<Region>& other) {
    std::optional<Line> out;
    double widest = 0;
    for (int i = 0; i < 2 * directions; ++i) {
        const auto towards = directionOf(i);
        const double from = spanOf(one, towards).to, to = spanOf(other, towards).from;
        if (to - from <= widest) continue;
        widest = to - from;
        out = Line{towards, (from + to) / 2};
    }
    return out;
}

Region before(const Region& region, const Line& line) {
    const auto span = spanOf(region, line.towards);
    if (span.to <= line.at) return region;
    return intersect(region, strip(region, line, line.at - span.from + 1, 0));
}

void part(Region& one, Region& other, const std::vector<Region>& inOne, const std::vector<Region>& inOther) {
    if (const auto line = lineBetween(inOne, inOther)) {
        const auto shared = intersect(one, other);
        one = subtract(one, before(shared, {line->towards * -1, -line->at}));
        other = subtract(other, before(shared, *line));
        return;
    }
    constexpr double scissors = 1.5875, least = 0.02, sag = 0.05; // mm
    const auto here = unite(inOne), there = unite(inOther);
    double half = scissors;
    while (half > least && areNearer(here, there, 2 * half))
        half *= 0.7;
    one = subtract(one, offset(there, half, sag));
    other = subtract(other, one);
}

} // namespace up::shape
