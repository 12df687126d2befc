// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/knots.hpp"

#include <algorithm>
#include <map>

namespace up::stack {
namespace {

using shape::Region;

constexpr double coarse = 0.05;      // mm: sag of helper outlines
constexpr double beside = 25.4 / 16; // mm: how far from the upper piece's edge the join lies

/// The shortest way back to `start`, by breadth.
std::vector<std::size_t> shortestRing(std::size_t start,
                                      const std::map<std::size_t, std::vector<std::size_t>>& lowers) {
    std::map<std::size_t, std::size_t> from;
    std::vector<std::size_t> next{start};
    for (std::size_t i = 0; i < next.size(); ++i)
        for (const std::size_t lower : lowers.at(next[i])) {
            if (lower == start) {
                std::vector<std::size_t> ring{next[i]};
                while (ring.back() != start)
                    ring.push_back(from.at(ring.back()));
                std::reverse(ring.begin(), ring.end());
                return ring;
            }
            if (from.try_emplace(lower, next[i]).second) next.push_back(lower);
        }
    return {};
}

/// Cuts `piece`, which lies on `lower` and beneath `upper`, along the upper one's outline `away` mm outside.
std::optional<Untied> cut(const std::vector<Region>& pieces, std::size_t piece, std::size_t lower,
                          std::size_t upper, double away, double underlap) {
    const auto near = shape::offset(pieces[upper], away, coarse);
    std::vector<Region> over;
    for (auto& island : shape::islands(shape::subtract(pieces[piece], near)))
        if (shape::intersect(island, pieces[lower]).area() > leastOverlap) over.push_back(std::move(island));
    if (over.empty()) return std::nullopt;
    Untied out{piece, shape::unite(over), {}, 0, {}};
    const auto inner = shape::subtract(out.over, shape::offset(near, underlap, coarse));
    out.under = shape::subtract(pieces[piece], inner);
    if (shape::intersect(out.under, pieces[lower]).area() > leastOverlap ||
        shape::intersect(out.over, pieces[upper]).area() > leastOverlap)
        return std::nullopt;
    for (const auto& ring : out.over.rings) {
        auto line = ring;
        line.push_back(ring.front());
        for (const auto& part : shape::inside(line, shape::offset(pieces[piece], -coarse, coarse))) {
            out.join += shape::lengthOf(part);
            out.spot = shape::pointAlong(part, shape::lengthOf(part) / 2);
        }
    }
    return out.join > 0 ? std::optional(out) : std::nullopt;
}

} // namespace

std::vector<std::size_t> ringIn(const std::vector<std::size_t>& knot, const std::vector<Overlap>& overlaps) {
    std::map<std::size_t, std::vector<std::size_t>> lowers;
    for (const std::size_t i : knot)
        lowers[i];
    for (const auto& o : overlaps)
        if (lowers.contains(o.lower) && lowers.contains(o.upper)) lowers[o.upper].push_back(o.lower);
    std::vector<std::size_t> best;
    for (const std::size_t start : knot)
        if (auto ring = shortestRing(start, lowers);
            !ring.empty() && (best.empty() || ring.size() < best.size()))
            best = std::move(ring);
    return best;
}

std::optional<Untied> untied(const std::vector<Region>& pieces, const std::vector<std::size_t>& ring,
                             double underlap) {
    std::optional<Untied> best;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const std::size_t piece = ring[i], lower = ring[(i + 1) % ring.size()],
                          upper = ring[(i + ring.size() - 1) % ring.size()];
        for (const double reach : {underlap, underlap / 2, underlap / 4, 0.0}) {
            const auto found = cut(pieces, piece, lower, upper, reach > 0 ? beside : beside / 4, reach);
            if (!found) continue;
            if (!best || found->join < best->join) best = found;
            break;
        }
    }
    return best;
}

} // namespace up::stack
