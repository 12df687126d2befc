// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/cut/stretches.hpp"

#include <algorithm>
#include <cmath>

namespace up::cut {
namespace {

using shape::Point;
using shape::Ring;

constexpr double flat = 0.25; // mm: a straight cut corrects a wobbly tracing; common practice, no source

double offLine(Point p, Point a, Point b) {
    const auto along = b - a;
    const double length = std::hypot(along.x, along.y);
    return length == 0 ? shape::distance(p, a)
                       : std::abs(along.x * (p.y - a.y) - along.y * (p.x - a.x)) / length;
}

const Point& at(const Ring& ring, std::size_t i) {
    return ring[i % ring.size()];
}

/// How many points on from `from` the edge stays straight.
std::size_t reachFrom(const Ring& ring, std::size_t from) {
    std::size_t reach = 1;
    while (reach + 1 < ring.size()) {
        const auto next = reach + 1;
        for (std::size_t i = 1; i < next; ++i)
            if (offLine(at(ring, from + i), ring[from % ring.size()], at(ring, from + next)) > flat)
                return reach;
        // Back on itself is not straight on.
        const auto a = at(ring, from + reach) - at(ring, from),
                   b = at(ring, from + next) - at(ring, from + reach);
        if (a.x * b.x + a.y * b.y <= 0) return reach;
        reach = next;
    }
    return reach;
}

/// A corner to begin at: the edge before it does not go straight on.
std::size_t cornerOf(const Ring& ring) {
    std::size_t best = 0;
    double sharpest = 2;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const auto in = ring[i] - at(ring, i + ring.size() - 1), out = at(ring, i + 1) - ring[i];
        const double size = std::hypot(in.x, in.y) * std::hypot(out.x, out.y);
        const double along = size > 0 ? (in.x * out.x + in.y * out.y) / size : 1;
        if (along < sharpest) sharpest = along, best = i;
    }
    return best;
}

} // namespace

Parted parted(const Ring& ring, double least) {
    Parted out;
    if (ring.size() < 3) return out;
    const auto first = cornerOf(ring);
    shape::Polyline open;
    for (std::size_t done = 0; done < ring.size();) {
        const auto here = first + done;
        const auto reach = std::min(reachFrom(ring, here), ring.size() - done);
        const Point from = at(ring, here), to = at(ring, here + reach);
        if (shape::distance(from, to) >= least) {
            if (open.size() > 1) out.between.push_back(std::move(open));
            open.clear();
            out.straight.emplace_back(from, to);
            done += reach;
            continue;
        }
        if (open.empty()) open.push_back(from);
        open.push_back(at(ring, here + 1));
        ++done;
    }
    if (open.size() > 1) out.between.push_back(std::move(open));
    out.whole = out.straight.empty();
    return out;
}

} // namespace up::cut
