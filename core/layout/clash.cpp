// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/clash.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace up::layout {
namespace {

using shape::Box;
using shape::Point;

double side(Point a, Point b, Point p) {
    return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
}

bool cross(Point a, Point b, Point c, Point d) {
    if (std::max(a.x, b.x) < std::min(c.x, d.x) || std::max(c.x, d.x) < std::min(a.x, b.x) ||
        std::max(a.y, b.y) < std::min(c.y, d.y) || std::max(c.y, d.y) < std::min(a.y, b.y))
        return false;
    return (side(a, b, c) > 0) != (side(a, b, d) > 0) && (side(c, d, a) > 0) != (side(c, d, b) > 0);
}

/// Whether the box of the edge a–b meets the box.
bool reaches(Point a, Point b, const Box& box) {
    return std::max(a.x, b.x) >= box.left && std::min(a.x, b.x) <= box.right &&
           std::max(a.y, b.y) >= box.top && std::min(a.y, b.y) <= box.bottom;
}

bool edgesCross(const Laid& a, const Laid& b) {
    const auto &ours = a.points(), &others = b.points();
    const auto &edges = a.form().edges, &otherEdges = b.form().edges;
    for (const auto& mine : a.edgeBoxes()) {
        if (!mine.box.meets(b.box())) continue;
        for (const auto& theirs : b.edgeBoxes()) {
            if (!mine.box.meets(theirs.box)) continue;
            for (auto i = mine.first; i < mine.last; ++i) {
                const Point p = ours[edges[i]], q = ours[edges[i] + 1];
                if (!reaches(p, q, theirs.box)) continue;
                for (auto k = theirs.first; k < theirs.last; ++k)
                    if (cross(p, q, others[otherEdges[k]], others[otherEdges[k] + 1])) return true;
            }
        }
    }
    return false;
}

bool holds(const Laid& laid, Point p) {
    if (!laid.box().holds(p)) return false;
    bool inside = false;
    for (const auto& part : laid.edgeBoxes()) {
        if (p.y < part.box.top || p.y > part.box.bottom || p.x > part.box.right) continue;
        for (auto i = part.first; i < part.last; ++i) {
            const Point a = laid.points()[laid.form().edges[i]], b = laid.points()[laid.form().edges[i] + 1];
            if ((a.y > p.y) != (b.y > p.y) && p.x < (b.x - a.x) * (p.y - a.y) / (b.y - a.y) + a.x)
                inside = !inside;
        }
    }
    return inside;
}

/// No edges cross: then each ring lies wholly inside the other or wholly outside it.
bool oneHoldsTheOther(const Laid& a, const Laid& b) {
    const auto any = [](const Laid& outer, const Laid& inner) {
        return std::any_of(inner.form().starts.begin(), inner.form().starts.end(),
                           [&](auto start) { return holds(outer, inner.points()[start]); });
    };
    return any(a, b) || any(b, a);
}

struct Depth {
    double sum = 0;
    float deepest = 0; ///< of any two discs, mm; negative when all are apart
    /// Discs lie within their forms: two that meet are proof. Float tells no less than that.
    [[nodiscard]] bool isProof() const { return deepest > 0.002F; }
    /// The rest of the forms is too near the discs to meet.
    [[nodiscard]] bool isApart(const Laid& a, const Laid& b) const {
        return static_cast<double>(deepest) < -(a.form().rim + b.form().rim);
    }
};

/// Falls off smoothly where discs no longer meet, so that there is always a way down. Four discs at a time:
/// the sums are kept apart for each of `b`, and added up in the same order on every machine.
Depth depthOf(const Laid& a, const Laid& b, double enough) {
    constexpr std::size_t most = 16;
    const float soft = static_cast<float>(0.01 * std::max(a.form().diameter, b.form().diameter));
    const float square = soft * soft, twice = 2 * soft;
    const std::size_t count = std::min(most, b.discs().x.size()) / 4 * 4;
    const float *x = b.discs().x.data(), *y = b.discs().y.data(), *r = b.discs().radius.data();
    std::array<float, most> sums{}, deepest;
    deepest.fill(-std::numeric_limits<float>::infinity());
    Depth out;
    const auto add = [&] {
        out = {0, deepest[0]};
        for (std::size_t k = 0; k < count; ++k)
            out.sum += static_cast<double>(sums[k]), out.deepest = std::max(out.deepest, deepest[k]);
    };
    for (std::size_t i = 0; i < a.form().discs.size(); ++i) {
        const float px = a.discs().x[i], py = a.discs().y[i], pr = a.discs().radius[i];
        for (std::size_t k = 0; k < count; ++k) {
            const float dx = px - x[k], dy = py - y[k];
            const float deep = pr + r[k] - std::sqrt(dx * dx + dy * dy);
            const float away = twice - std::min(deep, soft); // at least `soft`
            const float felt = deep >= soft ? deep : square / away;
            sums[k] += felt * std::min(pr, r[k]);
            deepest[k] = std::max(deepest[k], deep);
        }
        if (i == 0 || i == 3) { // the largest discs often say enough
            add();
            if (out.isProof() && out.sum > enough) return out;
        }
    }
    add();
    return out;
}

/// The smaller of two gives way: that is what moves the least.
double scaleOf(const Laid& a, const Laid& b) {
    return std::min(a.form().area, b.form().area) * 1e-3;
}

} // namespace

bool meet(const Laid& a, const Laid& b) {
    return clash(a, b, 0) > 0;
}

double clash(const Laid& a, const Laid& b, double enough) {
    if (!a.box().meets(b.box()) || !a.slantBox().meets(b.slantBox())) return 0;
    const double scale = scaleOf(a, b);
    const double root = enough / scale;
    const auto depth = depthOf(a, b, root * root);
    if (!depth.isProof() && (depth.isApart(a, b) || (!edgesCross(a, b) && !oneHoldsTheOther(a, b)))) return 0;
    return std::sqrt(depth.sum) * scale;
}

} // namespace up::layout
