// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/nearness.hpp"

#include <algorithm>

namespace up::shape {
namespace {

struct Edge {
    Point a, b;
    Box box;
};

std::vector<Edge> edgesIn(const Region& region, const Box& where) {
    std::vector<Edge> out;
    for (const auto& ring : region.rings)
        for (std::size_t i = 0; i < ring.size(); ++i) {
            Edge edge{ring[i], ring[(i + 1) % ring.size()], {}};
            edge.box.take(edge.a), edge.box.take(edge.b);
            if (edge.box.meets(where)) out.push_back(edge);
        }
    return out;
}

/// The square of how far the point is from the edge.
double away(Point p, const Edge& edge) {
    const Point along = edge.b - edge.a, to = p - edge.a;
    const double square = along.x * along.x + along.y * along.y;
    const double share = square > 0 ? std::clamp((to.x * along.x + to.y * along.y) / square, 0.0, 1.0) : 0;
    const Point off = to - along * share;
    return off.x * off.x + off.y * off.y;
}

bool cross(const Edge& p, const Edge& q) {
    return (shape::cross(p.a, p.b, q.a) > 0) != (shape::cross(p.a, p.b, q.b) > 0) &&
           (shape::cross(q.a, q.b, p.a) > 0) != (shape::cross(q.a, q.b, p.b) > 0);
}

bool areNearer(const Edge& p, const Edge& q, double square) {
    return away(p.a, q) < square || away(p.b, q) < square || away(q.a, p) < square || away(q.b, p) < square ||
           cross(p, q);
}

bool holdsAny(const Region& outer, const Region& inner) {
    return std::any_of(inner.rings.begin(), inner.rings.end(),
                       [&](const Ring& ring) { return !ring.empty() && outer.contains(ring.front()); });
}

} // namespace

bool areNearer(const Region& a, const Region& b, double distance) {
    if (a.isEmpty() || b.isEmpty()) return false;
    const Box mine = a.bounds().grownBy(distance), theirs = b.bounds().grownBy(distance);
    if (!mine.meets(b.bounds())) return false;
    const auto ours = edgesIn(a, theirs), others = edgesIn(b, mine);
    for (const auto& p : ours) {
        const Box reach = p.box.grownBy(distance);
        for (const auto& q : others)
            if (reach.meets(q.box) && areNearer(p, q, distance * distance)) return true;
    }
    return holdsAny(a, b) || holdsAny(b, a);
}

} // namespace up::shape
