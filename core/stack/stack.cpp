// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/stack.hpp"

#include "core/base/at_once.hpp"
#include "core/shape/pairs.hpp"
#include "core/stack/ordering.hpp"

#include <algorithm>

namespace up::stack {
namespace {

using shape::Region;

double areaShared(const Region& lower, const Region& upper) {
    const auto shared = shape::intersect(lower, upper);
    const double area = shared.area();
    if (area < std::min(leastOverlap, std::min(lower.area(), upper.area()) / 5)) return 0;
    double round = 0;
    for (const auto& ring : shared.rings)
        round += shape::perimeter(ring);
    return 2 * area < touching * round ? 0 : area;
}

void sort(std::vector<Overlap>& overlaps) {
    std::sort(overlaps.begin(), overlaps.end(), [](const Overlap& a, const Overlap& b) {
        return std::pair(a.upper, a.lower) < std::pair(b.upper, b.lower);
    });
}

/// One above the highest that each lies on: Kahn's way through the pieces, ties by position. In a knot the
/// pairs that go against the positions are left out.
std::vector<int> stepsOf(const std::vector<Overlap>& overlaps, std::size_t count,
                         const std::vector<std::vector<std::size_t>>& knots) {
    std::vector<std::size_t> knotOf(count, 0);
    for (std::size_t k = 0; k < knots.size(); ++k)
        for (const std::size_t i : knots[k])
            knotOf[i] = k + 1;
    std::vector<Pair> pairs;
    for (const auto& o : overlaps)
        if (o.lower < o.upper || knotOf[o.lower] == 0 || knotOf[o.lower] != knotOf[o.upper])
            pairs.push_back({o.upper, o.lower});
    std::vector<std::vector<std::size_t>> uppers(count);
    for (const auto& pair : pairs)
        uppers[pair.lower].push_back(pair.upper);
    std::vector<int> step(count, 0);
    for (const std::size_t i : bottomFirst(count, pairs))
        for (const std::size_t upper : uppers[i])
            step[upper] = std::max(step[upper], step[i] + 1);
    return step;
}

} // namespace

std::vector<Overlap> overlapsOf(const std::vector<Region>& pieces) {
    return overlapsOf(pieces, {}, std::vector<bool>(pieces.size(), true));
}

std::vector<Overlap> overlapsOf(const std::vector<Region>& pieces, std::vector<Overlap> before,
                                const std::vector<bool>& changed) {
    std::erase_if(before, [&](const Overlap& o) { return changed[o.lower] || changed[o.upper]; });
    std::vector<shape::Box> boxes;
    for (const auto& piece : pieces)
        boxes.push_back(piece.bounds());
    auto pairs = shape::pairsThatMeet(boxes);
    std::erase_if(pairs, [&](const auto& pair) { return !changed[pair.first] && !changed[pair.second]; });
    std::vector<double> areas(pairs.size());
    atOnce(pairs.size(),
           [&](std::size_t i) { areas[i] = areaShared(pieces[pairs[i].first], pieces[pairs[i].second]); });
    for (std::size_t i = 0; i < pairs.size(); ++i)
        if (areas[i] > 0) before.push_back({pairs[i].first, pairs[i].second, areas[i]});
    sort(before);
    return before;
}

Stack stackOf(std::vector<Overlap> overlaps, std::size_t count, const std::vector<Pair>& said) {
    Stack out;
    out.overlaps = std::move(overlaps);
    out.free.assign(count, true);
    std::vector<Pair> pairs;
    for (auto& o : out.overlaps) {
        if (std::find(said.begin(), said.end(), Pair{o.lower, o.upper}) != said.end())
            std::swap(o.lower, o.upper);
        out.free[o.lower] = out.free[o.upper] = false;
        pairs.push_back({o.upper, o.lower});
    }
    sort(out.overlaps);
    out.knots = knotsOf(count, pairs);
    out.step = stepsOf(out.overlaps, count, out.knots);
    return out;
}

Stack stackOf(const std::vector<Region>& pieces, const std::vector<Pair>& said) {
    return stackOf(overlapsOf(pieces), pieces.size(), said);
}

} // namespace up::stack
