// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/underlap.hpp"

#include "core/stack/showing.hpp"

#include <algorithm>
#include <map>
#include <optional>

namespace up::stack {
namespace {

using shape::Point;
using shape::Polyline;
using shape::Region;

constexpr double shortest = 2;   // mm: a border that is no more than a touch
constexpr double pace = 1;       // mm between the places that are measured
constexpr double slant = 0.5;    // sine of 30°: sides may come in as flat as that
constexpr double leastDepth = 1; // mm
constexpr double slit = 0.03;    // mm
constexpr double coarse = 0.05;  // mm: sag of helper outlines

bool isRing(const Polyline& line) {
    return line.size() > 3 && shape::distance(line.front(), line.back()) < 0.01;
}

double distanceToLine(const Polyline& line, Point p) {
    double best = 1e9;
    for (std::size_t i = 0; i + 1 < line.size(); ++i) {
        const Point along = line[i + 1] - line[i], to = p - line[i];
        const double square = along.x * along.x + along.y * along.y;
        const double share =
            square > 0 ? std::clamp((to.x * along.x + to.y * along.y) / square, 0.0, 1.0) : 0;
        best = std::min(best, shape::distance(p, line[i] + along * share));
    }
    return best;
}

double nearest(const std::vector<Polyline>& lines, Point p) {
    double best = 1e9;
    for (const auto& line : lines)
        best = std::min(best, distanceToLine(line, p));
    return best;
}

std::vector<Polyline> ringsAsLines(const Region& region) {
    std::vector<Polyline> out;
    for (const auto& ring : region.rings) {
        out.push_back(ring);
        out.back().push_back(ring.front());
    }
    return out;
}

std::vector<Polyline> clipped(const std::vector<Polyline>& lines, const Region& by, bool keepInside) {
    std::vector<Polyline> out;
    for (const auto& line : lines) {
        auto parts = keepInside ? shape::inside(line, by) : shape::outside(line, by);
        for (auto& part : joined(std::move(parts)))
            out.push_back(std::move(part));
    }
    return out;
}

/// Pieces that meet leave slits between them, from rounding.
Region withoutSlits(const Region& region) {
    return shape::offset(shape::offset(region, slit, slit / 4), -slit, slit / 4);
}

/// Edges of the cover where the piece would come out again: those that it does not lie along.
std::vector<Polyline> farEdges(const Tucked& place) {
    return clipped(ringsAsLines(withoutSlits(place.cover)), shape::offset(place.visible, meetingGap, coarse),
                   false);
}

/// The edges of the piece that lie beneath the cover.
std::vector<Polyline> hiddenEdges(const Tucked& place) {
    const auto deep = shape::offset(place.cover, -coarse, coarse);
    return deep.isEmpty() ? std::vector<Polyline>{}
                          : clipped(ringsAsLines(place.pieces[place.piece]), deep, true);
}

/// Of the pieces above, the one at the border's place.
std::optional<std::size_t> upperAt(const Tucked& place, Point p) {
    std::optional<std::size_t> best;
    double least = 2 * meetingGap;
    for (const std::size_t upper : place.above) {
        const auto& region = place.pieces[upper];
        if (!region.bounds().grownBy(meetingGap).holds(p)) continue;
        const double away = nearest(ringsAsLines(region), p);
        if (away < least) least = away, best = upper;
    }
    return best;
}

/// What is wanted at a place that is `far` from where the piece would come out again.
double wantedAt(double amount, double far) {
    return std::min(amount, std::max(far - farMargin, far / 2));
}

/// The line from `from` to `to` mm along it.
Polyline cutOut(const Polyline& line, double from, double to) {
    Polyline out{shape::pointAlong(line, from)};
    double way = 0;
    for (std::size_t i = 0; i + 1 < line.size(); ++i) {
        way += shape::distance(line[i], line[i + 1]);
        if (way > from && way < to) out.push_back(line[i + 1]);
    }
    out.push_back(shape::pointAlong(line, to));
    return out;
}

class Measured {
public:
    Measured(const Tucked& place, double amount) : m_place(place), m_amount(amount) {}

    /// Where the piece falls short, a little more on either side; neighbours are joined.
    std::vector<Polyline> stretches() {
        run();
        std::vector<Polyline> out;
        for (const auto& [border, from, to] : m_stretches)
            if (to - from >= leastShort)
                out.push_back(to - from >= shape::lengthOf(*border) ? *border : cutOut(*border, from, to));
        return out;
    }

    std::vector<Short> run() {
        m_borders = bordersOf(m_place.visible, m_place.cover);
        if (m_borders.empty()) return {};
        m_far = farEdges(m_place), m_hidden = hiddenEdges(m_place);
        m_beneath = ringsAsLines(shape::intersect(m_place.pieces[m_place.piece], m_place.cover));
        for (const auto& border : m_borders)
            along(border);
        std::vector<Short> out;
        for (auto& [upper, found] : m_found)
            if (found.border >= leastShort) out.push_back(found);
        return out;
    }

private:
    void along(const Polyline& border) {
        const double length = shape::lengthOf(border);
        const int places = std::max(3, static_cast<int>(length / pace));
        m_widest = 0;
        for (int i = 0; i < places; ++i)
            m_widest = std::max(m_widest, wantedHere(shape::pointAlong(border, (i + 0.5) * length / places)));
        for (int i = 0; i < places; ++i) {
            const double at = (i + 0.5) * length / places;
            const double end =
                isRing(border) ? m_amount / slant : std::max(0.0, std::min(at, length - at) - farMargin);
            if (isShort(shape::pointAlong(border, at), slant * end, length / places))
                extend(border, at, length / places);
        }
    }

    void extend(const Polyline& border, double at, double by) {
        const double from = std::max(0.0, at - by), to = std::min(shape::lengthOf(border), at + by);
        if (!m_stretches.empty()) {
            auto& last = m_stretches.back();
            if (last.border == &border && from - last.to < m_amount) {
                last.to = to;
                return;
            }
        }
        m_stretches.push_back({&border, from, to});
    }

    /// `most`: asked for so near the border's end. Notes what falls short.
    bool isShort(Point p, double most, double pieceOfBorder) {
        if (most <= 0) return false; // the border's end itself
        const double wanted = wantedHere(p);
        const double reach = std::min(nearest(m_hidden, p), reachHere(p));
        if (reach >= enough * std::min(wanted, most) || wanted < coarse) return false;
        if (wanted < leastDepth && 2 * wanted < m_widest) return false; // the upper piece runs out there
        const auto upper = upperAt(m_place, p);
        if (!upper) return true;
        auto [entry, fresh] = m_found.try_emplace(*upper, Short{m_place.piece, *upper, 0, reach, wanted, p});
        auto& found = entry->second;
        found.border += pieceOfBorder;
        if (wanted - reach > found.wanted - found.least)
            found.least = reach, found.wanted = wanted, found.spot = p;
        return true;
    }

    [[nodiscard]] double wantedHere(Point p) const { return wantedAt(m_amount, nearest(m_far, p)); }

    /// Nothing, where the piece is not beneath the cover at all.
    [[nodiscard]] double reachHere(Point p) const { return nearest(m_beneath, p) < meetingGap ? 1e9 : 0; }

    struct Stretch {
        const Polyline* border;
        double from, to; ///< mm along it
    };
    const Tucked& m_place;
    double m_amount, m_widest = 0; ///< the most that is wanted along the border
    std::vector<Polyline> m_borders, m_far, m_hidden;
    std::vector<Stretch> m_stretches;
    std::vector<Polyline> m_beneath; ///< round what lies beneath the cover
    std::map<std::size_t, Short> m_found;
};

Region holdingThe(const Region& grown, const Region& piece) {
    Region out;
    for (const auto& island : shape::islands(grown))
        if (!shape::intersect(island, piece).isEmpty())
            out.rings.insert(out.rings.end(), island.rings.begin(), island.rings.end());
    return out;
}

/// The strip beneath the cover along the borders, where it does not come out again.
Region strip(const Tucked& place, const std::vector<Polyline>& borders, const std::vector<Polyline>& far,
             double amount, double margin) {
    std::vector<Region> bands, kept;
    for (const auto& border : borders)
        bands.push_back(
            shape::band(border, isRing(border), 2 * amount, shape::Cap::butt, shape::Join::round, coarse));
    for (const auto& edge : far)
        kept.push_back(
            shape::band(edge, isRing(edge), 2 * margin, shape::Cap::butt, shape::Join::round, coarse));
    auto out = shape::intersect(shape::unite(bands), place.cover);
    return kept.empty() ? out : shape::subtract(out, shape::unite(kept));
}

/// Without corners too thin to be cut.
Region withoutFlags(const Region& region) {
    constexpr double flag = 0.3; // mm
    return shape::offset(shape::offset(region, -flag, coarse), flag, coarse);
}

/// Where the upper piece is too narrow for the margin, half of the margin, and half of that.
Region strips(const Tucked& place, const std::vector<Polyline>& borders, double amount) {
    const auto far = farEdges(place);
    Region out;
    for (const double margin : {farMargin, farMargin / 2, farMargin / 4, farMargin / 8}) {
        std::vector<Polyline> narrow;
        for (const auto& border : borders) {
            const double length = shape::lengthOf(border);
            double room = 0;
            for (int i = 1; i < 8; ++i)
                room = std::max(room, nearest(far, shape::pointAlong(border, length * i / 8)));
            const bool fits = margin == farMargin ? true : room < 4 * margin;
            if (fits) narrow.push_back(border);
        }
        if (!narrow.empty()) out = shape::unite(out, strip(place, narrow, far, amount, margin));
    }
    return out;
}

} // namespace

std::vector<Polyline> bordersOf(const Region& visible, const Region& cover) {
    if (visible.isEmpty() || cover.isEmpty()) return {};
    const auto near =
        shape::subtract(shape::offset(cover, meetingGap, coarse), shape::offset(cover, -meetingGap, coarse));
    auto lines = clipped(ringsAsLines(visible), near, true);
    std::erase_if(lines, [](const Polyline& line) { return shape::lengthOf(line) < shortest; });
    std::stable_sort(lines.begin(), lines.end(), [](const Polyline& a, const Polyline& b) {
        return shape::lengthOf(a) > shape::lengthOf(b);
    });
    return lines;
}

namespace {
/// The cover as far as it matters to the piece: the rest of large ones only takes time.
Region coverNear(const Tucked& place, double amount) {
    const auto box = place.visible.bounds().grownBy(amount + 2 * farMargin);
    const auto all = place.cover.bounds();
    const bool whole = box.holds({all.left, all.top}) && box.holds({all.right, all.bottom});
    return whole ? place.cover : shape::intersect(place.cover, shape::rectangle(box));
}
} // namespace

std::vector<Short> shortfalls(const Tucked& place, double amount) {
    if (place.visible.isEmpty() || place.cover.isEmpty()) return {};
    const auto cover = coverNear(place, amount);
    return Measured({place.pieces, place.piece, place.above, cover, place.visible}, amount).run();
}

Region grownUnder(const Tucked& place, double amount, const std::vector<std::size_t>& under) {
    const auto& piece = place.pieces[place.piece];
    if (place.visible.isEmpty() || place.cover.isEmpty()) return piece;
    auto borders = Measured(place, amount).stretches();
    if (!under.empty()) {
        const auto wanted = shape::offset(together(place.pieces, under), meetingGap, coarse);
        borders = clipped(borders, wanted, true);
    }
    if (borders.empty()) return piece;
    std::vector<Region> parts{piece, strips(place, borders, amount)};
    for (const auto& border : borders) // rounding may leave a slit between the two
        parts.push_back(shape::band(border, isRing(border), slit / 8));
    auto grown = shape::unite(piece, withoutFlags(shape::unite(parts)));
    if (shape::islands(grown).size() > shape::islands(piece).size()) {
        const auto hair = shape::intersect(shape::offset(place.visible, meetingGap, coarse),
                                           shape::offset(place.cover, meetingGap, coarse));
        grown = shape::unite(grown, hair);
    }
    return holdingThe(grown, piece);
}

} // namespace up::stack
