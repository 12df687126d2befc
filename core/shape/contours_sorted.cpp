// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/contours_sorted.hpp"

#include <algorithm>
#include <cstdlib>

namespace up::shape {
namespace {

constexpr double onTheLine = 1e-4; // mm
constexpr std::size_t mostCrossings = 5000, mostPoints = 500'000;

struct Candidate {
    const Contour* contour;
    Ring ring;
    Box box;
    double area; ///< signed
    int depth = 0;
    int winding = 0; ///< of the contours around it, itself included
    int parent = -1; ///< the smallest contour around it
};

/// Whether `inner`, which does not cross `outer`, lies in it. Told by a point of it that is not on the
/// other's line.
bool liesIn(const Candidate& inner, const Candidate& outer) {
    if (!outer.box.meets(inner.box)) return false;
    const auto& ring = inner.ring;
    for (std::size_t i = 0; i < ring.size(); ++i)
        for (const Point p : {ring[i], (ring[i] + ring[(i + 1) % ring.size()]) * 0.5})
            if (distanceTo(outer.ring, p) > onTheLine) return contains(outer.ring, p);
    return false; // the same line twice
}

void findParents(std::vector<Candidate>& all) {
    std::sort(all.begin(), all.end(),
              [](const auto& a, const auto& b) { return std::abs(a.area) > std::abs(b.area); });
    for (std::size_t i = 0; i < all.size(); ++i) {
        for (std::size_t j = 0; j < i; ++j)
            if (liesIn(all[i], all[j])) all[i].parent = static_cast<int>(j);
        const Candidate* up = all[i].parent < 0 ? nullptr : &all[static_cast<std::size_t>(all[i].parent)];
        all[i].depth = up ? up->depth + 1 : 0;
        all[i].winding = (up ? up->winding : 0) + (all[i].area > 0 ? 1 : -1);
    }
}

bool filledInside(const Candidate& c, Fill rule) {
    return rule == Fill::evenOdd ? c.depth % 2 == 0 : c.winding != 0;
}

/// A contour is an edge when it goes from empty to filled, a hole the other way round, and nothing otherwise.
std::vector<Outline> nest(std::vector<Candidate>& all, Fill rule) {
    findParents(all);
    std::vector<Outline> outlines;
    std::vector<int> outlineOf(all.size(), -1); // the outline that fills the inside of contour i
    for (std::size_t i = 0; i < all.size(); ++i) {
        const int parent = all[i].parent;
        const bool outside = parent >= 0 && filledInside(all[static_cast<std::size_t>(parent)], rule);
        const int around = parent >= 0 ? outlineOf[static_cast<std::size_t>(parent)] : -1;
        const bool in = filledInside(all[i], rule);
        outlineOf[i] = around;
        if (in && !outside) {
            outlineOf[i] = static_cast<int>(outlines.size());
            outlines.push_back({*all[i].contour, {}});
        } else if (!in && outside && around >= 0) {
            outlines[static_cast<std::size_t>(around)].holes.push_back(*all[i].contour);
        }
    }
    return outlines;
}

std::vector<Outline> repair(const Rings& rings, Fill rule, double leastArea) {
    auto outlines = outlinesOf(regionOf(rings, rule));
    std::erase_if(outlines,
                  [&](const Outline& outline) { return std::abs(signedArea(outline.edge)) < leastArea; });
    return outlines;
}

} // namespace

Sorted sortContours(const std::vector<Contour>& contours, Fill rule, double leastArea, double tolerance) {
    std::vector<Contour> closed = contours;
    for (auto& contour : closed)
        contour.closed = true;
    std::vector<Candidate> all;
    Rings rings;
    Sorted out;
    std::size_t points = 0;
    for (const auto& contour : closed) {
        Ring ring = flattened(contour, tolerance);
        points += ring.size();
        out.tangled = points > mostPoints;
        if (out.tangled) return out;
        const double area = ring.size() < 3 ? 0 : signedArea(ring);
        // A figure of eight has no signed area; what it covers is found when it is repaired.
        if (ring.size() < 3 || (std::abs(area) < leastArea && (ring.size() < 4 || !firstCrossing({ring})))) {
            ++out.flat;
            continue;
        }
        rings.push_back(ring);
        const Box box = boundsOf(ring);
        all.push_back({&contour, std::move(ring), box, area});
    }
    const auto crossings = crossingsOf(rings, mostCrossings);
    out.tangled = crossings.tooMany;
    if (out.tangled) return out;
    out.crossing = crossings.first;
    out.repaired = out.crossing.has_value();
    out.outlines = out.repaired ? repair(rings, rule, leastArea) : nest(all, rule);
    std::stable_sort(out.outlines.begin(), out.outlines.end(), [](const Outline& a, const Outline& b) {
        return std::abs(signedArea(a.edge)) > std::abs(signedArea(b.edge));
    });
    return out;
}

} // namespace up::shape
