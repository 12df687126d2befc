// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/ring.hpp"

#include <algorithm>
namespace up::shape {
namespace {

bool properlyCross(Point a, Point b, Point c, Point d) {
    const double d1 = cross(a, b, c), d2 = cross(a, b, d), d3 = cross(c, d, a), d4 = cross(c, d, b);
    return ((d1 > 0 && d2 < 0) || (d1 < 0 && d2 > 0)) && ((d3 > 0 && d4 < 0) || (d3 < 0 && d4 > 0));
}

Box boxOf(Point a, Point b) {
    Box box;
    box.take(a);
    box.take(b);
    return box;
}

Point crossingOf(Point a, Point b, Point c, Point d) {
    const double along = cross(c, d, a) / (cross(c, d, a) - cross(c, d, b));
    return a + (b - a) * along;
}

} // namespace

double signedArea(const Ring& ring) {
    double twice = 0;
    for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++)
        twice += cross(ring.front(), ring[j], ring[i]);
    return twice / 2;
}

Box boundsOf(const Ring& ring) {
    Box box;
    for (const Point p : ring)
        box.take(p);
    return box;
}

double lengthOf(const Polyline& line) {
    double sum = 0;
    for (std::size_t i = 1; i < line.size(); ++i)
        sum += distance(line[i - 1], line[i]);
    return sum;
}

double perimeter(const Ring& ring) {
    return ring.empty() ? 0 : lengthOf(ring) + distance(ring.back(), ring.front());
}

Point pointAlong(const Polyline& line, double along) {
    for (std::size_t i = 1; i < line.size(); ++i) {
        const double step = distance(line[i - 1], line[i]);
        if (along <= step && step > 0)
            return line[i - 1] + (line[i] - line[i - 1]) * std::max(0.0, along / step);
        along -= step;
    }
    return line.back();
}

bool contains(const Ring& ring, Point p) {
    bool inside = false;
    for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
        const Point a = ring[i], b = ring[j];
        if ((a.y > p.y) != (b.y > p.y) && p.x < (b.x - a.x) * (p.y - a.y) / (b.y - a.y) + a.x)
            inside = !inside;
    }
    return inside;
}

Crossings crossingsOf(const Rings& rings, std::size_t most) {
    constexpr std::size_t mostTries = 100'000'000; // about half a second
    Crossings out;
    std::size_t tries = 0;
    struct Edge {
        Point a, b;
        Box box;
    };
    std::vector<Edge> edges;
    for (const auto& ring : rings)
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const Point a = ring[i], b = ring[(i + 1) % ring.size()];
            edges.push_back({a, b, boxOf(a, b)});
        }
    std::sort(edges.begin(), edges.end(),
              [](const Edge& a, const Edge& b) { return a.box.left < b.box.left; });
    std::vector<const Edge*> open; // edges that the sweep line is on
    for (const Edge& edge : edges) {
        std::erase_if(open, [&](const Edge* other) { return other->box.right < edge.box.left; });
        tries += open.size();
        for (const Edge* other : open) {
            if (!edge.box.meets(other->box) || !properlyCross(edge.a, edge.b, other->a, other->b)) continue;
            if (!out.first) out.first = crossingOf(edge.a, edge.b, other->a, other->b);
            if (++out.count >= most) break;
        }
        out.tooMany = out.count >= most || tries > mostTries;
        if (out.tooMany) return out;
        open.push_back(&edge);
    }
    return out;
}

double distanceTo(const Ring& ring, Point p) {
    double best = std::numeric_limits<double>::infinity();
    for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
        const Point edge = ring[i] - ring[j];
        const double square = edge.x * edge.x + edge.y * edge.y;
        const Point to = p - ring[j];
        const double along = square > 0 ? std::clamp((to.x * edge.x + to.y * edge.y) / square, 0.0, 1.0) : 0;
        const Point away = to - edge * along;
        best = std::min(best, away.x * away.x + away.y * away.y);
    }
    return std::sqrt(best);
}

} // namespace up::shape
