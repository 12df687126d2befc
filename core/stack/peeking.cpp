// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/peeking.hpp"

#include "core/shape/centroid.hpp"
#include "core/shape/deepest.hpp"
#include "core/stack/showing.hpp"

#include <algorithm>
#include <map>

namespace up::stack {
namespace {

using shape::Point;
using shape::Polyline;
using shape::Region;

constexpr double noise = 0.15;      // mm: flattening, and lines drawn twice
constexpr double coarse = 0.1;      // mm: sag of helper outlines
constexpr double endsBeneath = 0.1; // so much of the strip shows where a piece ends beneath another

Region opened(const Region& region, double by) {
    return shape::offset(shape::offset(region, -by, coarse), by + noise / 2, coarse);
}

double halfRound(const Region& region) {
    double round = 0;
    for (const auto& ring : region.rings)
        round += shape::perimeter(ring);
    return round / 2;
}

double areaIn(const Region& a, const Region& b) {
    return shape::intersect(a, b).area();
}

class Finder {
public:
    Finder(const std::vector<Region>& pieces, std::size_t piece, const std::vector<std::size_t>& above,
           const Region& cover, const Region& visible, const Region& within, double limit)
        : m_pieces(pieces), m_piece(piece), m_above(above), m_cover(cover), m_visible(visible),
          m_within(within), m_limit(limit) {}

    std::vector<Peek> run() {
        slivers();
        edges();
        std::vector<Peek> out;
        for (auto& [key, peek] : m_found)
            out.push_back(std::move(peek));
        return out;
    }

private:
    /// Adds a place to what is known of the two pieces; distances are weighed by length.
    void add(std::size_t upper, bool shows, double length, double distance, const Region& where, Point spot) {
        auto [at, fresh] = m_found.try_emplace({upper, shows}, Peek{m_piece, upper, shows, 0, 0, {}, spot});
        auto& peek = at->second;
        if (!fresh && length > m_longest[{upper, shows}]) peek.spot = spot;
        m_longest[{upper, shows}] = std::max(m_longest[{upper, shows}], length);
        peek.distance = (peek.distance * peek.length + distance * length) / (peek.length + length);
        peek.length += length;
        peek.where = shape::unite(peek.where, where);
    }

    /// The piece above that the place lies against most.
    [[nodiscard]] std::optional<std::size_t> upperAt(const Region& place) const {
        std::optional<std::size_t> best;
        double most = 0;
        const auto round = shape::offset(place, 2 * noise, coarse);
        for (const std::size_t upper : m_above) {
            if (!m_pieces[upper].bounds().meets(round.bounds())) continue;
            if (const double area = areaIn(round, m_pieces[upper]); area > most) most = area, best = upper;
        }
        return best;
    }

    void slivers() {
        if (m_visible.isEmpty()) return;
        const auto thin = shape::subtract(m_visible, opened(m_visible, m_limit / 2));
        if (thin.isEmpty()) return;
        const auto ownThin = shape::subtract(m_pieces[m_piece], opened(m_pieces[m_piece], m_limit / 2));
        for (const auto& place : shape::islands(shape::intersect(thin, m_within))) {
            const double length = halfRound(place), area = place.area();
            if (length < leastPeek || area < noise / 2 * length) continue;
            if (areaIn(place, ownThin) > area / 2) continue;
            if (const auto upper = upperAt(place))
                add(*upper, true, length, area / length, place, shape::deepestPoint(place, 0.2).at);
        }
    }

    /// Whether the piece shows beside the line: then it ends beneath the upper piece, or merely meets it.
    [[nodiscard]] bool endsHere(const Region& strip) const {
        const double own = areaIn(strip, m_pieces[m_piece]);
        return own <= 0 || areaIn(strip, m_visible) > endsBeneath * own;
    }

    void edges() {
        const auto rim =
            shape::subtract(shape::offset(m_cover, noise, coarse), shape::offset(m_cover, -m_limit, coarse));
        const auto where = shape::intersect(rim, m_within);
        for (const auto& ring : m_pieces[m_piece].rings) {
            Polyline line = ring;
            line.push_back(ring.front());
            for (const auto& part : joined(shape::inside(line, where))) {
                const double length = shape::lengthOf(part);
                if (length < leastPeek) continue;
                const auto strip = shape::band(part, false, 2 * (m_limit + noise));
                if (endsHere(strip)) continue;
                edge(part, length);
            }
        }
    }

    void edge(const Polyline& part, double length) {
        const auto beside = shape::band(part, false, 2 * m_limit);
        const auto between = shape::subtract(shape::intersect(beside, m_cover), m_pieces[m_piece]);
        const auto upper = upperAt(shape::band(part, false, noise));
        if (upper)
            add(*upper, false, length, between.area() / length,
                shape::unite(between, shape::band(part, false, noise)), shape::pointAlong(part, length / 2));
    }

    const std::vector<Region>& m_pieces;
    std::size_t m_piece;
    const std::vector<std::size_t>& m_above;
    const Region &m_cover, &m_visible, &m_within;
    double m_limit;
    std::map<std::pair<std::size_t, bool>, Peek> m_found;
    std::map<std::pair<std::size_t, bool>, double> m_longest;
};

Region largestIsland(const Region& region) {
    Region best;
    double most = 0;
    for (auto& island : shape::islands(region))
        if (const double area = island.area(); area > most) most = area, best = std::move(island);
    return best;
}

} // namespace

std::vector<Peek> peeksOf(const std::vector<Region>& pieces, std::size_t piece,
                          const std::vector<std::size_t>& above, const Region& cover, const Region& visible,
                          const Region& within, double limit) {
    if (cover.isEmpty() || pieces[piece].area() - visible.area() < noise) return {}; // nothing lies on it
    const auto box = pieces[piece].bounds().grownBy(2 * limit);
    const auto near = shape::intersect(cover, shape::rectangle(box));
    return Finder(pieces, piece, above, near, visible, within, limit).run();
}

Region trimmedBack(const Region& lower, const Region& upper, const Peek& peek, double limit) {
    const auto reach = shape::offset(peek.where, 2 * limit, coarse);
    const auto hidden = shape::intersect(reach, upper);
    const auto shown = peek.shows ? shape::offset(peek.where, noise, coarse) : Region{};
    return largestIsland(shape::subtract(lower, shape::unite(hidden, shown)));
}

Region widened(const Region& upper, const Peek& peek, double limit) {
    const auto wider = shape::unite(upper, shape::offset(peek.where, 1.3 * limit, coarse));
    return largestIsland(shape::offset(shape::offset(wider, limit / 4, coarse), -limit / 4, coarse));
}

/// The way from the middle of the upper piece's part of the edge to the place, by areas on either side.
std::optional<Point> nudge(const Region& upper, const Peek& peek, double limit) {
    const auto round = shape::offset(peek.where, limit, coarse);
    const auto in = shape::intersect(round, upper), out = shape::subtract(round, upper);
    if (in.isEmpty() || out.isEmpty()) return std::nullopt;
    const Point from = shape::centroid({in}), to = shape::centroid({out});
    const double way = shape::distance(from, to);
    if (way < limit / 2) return std::nullopt;
    const double by = (peek.shows ? peek.distance : -peek.distance) + 1.3 * limit;
    return (to - from) * (by / way);
}

} // namespace up::stack
