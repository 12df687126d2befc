// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/parting.hpp"

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

double lengthWithin(const Region& whole, const Line& line) {
    constexpr double thin = 0.1; // mm
    return intersect(whole, strip(whole, line, thin / 2, thin / 2)).area() / thin;
}

} // namespace

std::vector<Parting> partings(const std::vector<Region>& shapes, const Region& whole) {
    std::vector<Parting> out;
    for (int i = 0; i < directions; ++i) {
        const auto towards = directionOf(i);
        std::vector<std::pair<Span, std::size_t>> spans;
        for (std::size_t s = 0; s < shapes.size(); ++s)
            spans.emplace_back(spanOf(shapes[s], towards), s);
        std::sort(spans.begin(), spans.end(),
                  [](const auto& a, const auto& b) { return a.first.from < b.first.from; });
        double reached = -std::numeric_limits<double>::infinity();
        for (std::size_t s = 0; s + 1 < spans.size(); ++s) {
            reached = std::max(reached, spans[s].first.to);
            if (reached >= spans[s + 1].first.from) continue;
            Parting parting{{}, {towards, (reached + spans[s + 1].first.from) / 2}, 0};
            for (std::size_t rest = s + 1; rest < spans.size(); ++rest)
                parting.beyond.push_back(spans[rest].second);
            std::sort(parting.beyond.begin(), parting.beyond.end());
            parting.length = lengthWithin(whole, parting.line);
            out.push_back(std::move(parting));
        }
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Parting& a, const Parting& b) { return a.length < b.length; });
    std::set<std::vector<std::size_t>>
        known; // each way is found from several directions, and from both sides
    std::erase_if(out, [&](const Parting& parting) {
        auto side = parting.beyond;
        if (side.front() == 0) {
            std::vector<std::size_t> rest;
            for (std::size_t s = 0; s < shapes.size(); ++s)
                if (!std::binary_search(side.begin(), side.end(), s)) rest.push_back(s);
            side = std::move(rest);
        }
        return !known.insert(std::move(side)).second;
    });
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

} // namespace up::shape
