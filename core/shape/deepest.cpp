// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/deepest.hpp"

#include "core/base/job.hpp"

#include <queue>

namespace up::shape {
namespace {

double depthAt(const Region& region, Point p) {
    double away = std::numeric_limits<double>::infinity();
    for (const auto& ring : region.rings)
        away = std::min(away, distanceTo(ring, p));
    return region.contains(p) ? away : -away;
}

struct Square {
    Point centre;
    double half, depth;
    [[nodiscard]] double most() const { return depth + half * 1.4142135624; }
    bool operator<(const Square& o) const { return most() < o.most(); }
};

} // namespace

Deepest deepestPoint(const Region& region, double precision, double share) {
    breathe();
    const Box box = region.bounds();
    if (box.isEmpty()) return {};
    const double half = std::max(std::min(box.width(), box.height()) / 2, precision);
    std::priority_queue<Square> open;
    const auto add = [&](Point p, double h) { open.push({p, h, depthAt(region, p)}); };
    for (double x = box.left; x < box.right; x += 2 * half)
        for (double y = box.top; y < box.bottom; y += 2 * half)
            add({x + half, y + half}, half);
    Deepest best{box.centre(), std::max(0.0, depthAt(region, box.centre()))};
    for (int i = 0; i < 5000 && !open.empty(); ++i) {
        const Square s = open.top();
        open.pop();
        if (s.depth > best.depth) best = {s.centre, s.depth};
        if (s.most() - best.depth <= std::max(precision, best.depth * share)) break;
        for (const double dx : {-0.5, 0.5})
            for (const double dy : {-0.5, 0.5})
                add({s.centre.x + dx * s.half, s.centre.y + dy * s.half}, s.half / 2);
    }
    return best;
}

} // namespace up::shape
