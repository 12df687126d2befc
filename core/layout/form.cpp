// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/form.hpp"

#include <algorithm>
#include <cmath>

namespace up::layout {
namespace {

using shape::Box;
using shape::Point;
using shape::Region;

constexpr std::size_t mostDiscs = 12, edgesInBox = 6;
constexpr double filled = 0.9;     // of the area, by discs
constexpr double leastDisc = 0.12; // of the largest disc's radius
constexpr double pi = 3.14159265358979323846;

/// Where discs are looked for: points of a lattice within the shape, with the room there is around them.
struct Roomy {
    Point at;
    double room;
};

double roomAt(const Region& region, Point p) {
    double least = std::numeric_limits<double>::infinity();
    for (const auto& ring : region.rings)
        least = std::min(least, shape::distanceTo(ring, p));
    return region.contains(p) ? least : -least;
}

double roomBeside(const std::vector<Disc>& discs, Point p) {
    double least = std::numeric_limits<double>::infinity();
    for (const auto& disc : discs)
        least = std::min(least, std::hypot(disc.x - p.x, disc.y - p.y) - disc.radius);
    return least;
}

/// Climbs from a spot to where there is most room, by halving steps.
Disc settled(const Region& region, const std::vector<Disc>& before, Roomy from, double step) {
    const auto room = [&](Point p) { return std::min(roomAt(region, p), roomBeside(before, p)); };
    Roomy best = from;
    while (step > from.room * 0.02) {
        bool better = false;
        for (const Point by : {Point{step, 0}, Point{-step, 0}, Point{0, step}, Point{0, -step}})
            if (const double there = room(best.at + by); there > best.room)
                best = {best.at + by, there}, better = true;
        if (!better) step /= 2;
    }
    return {best.at.x, best.at.y, best.room};
}

double cellOf(const Form& form) {
    return std::max({form.girth / 14, form.diameter / 70, 1e-3});
}

/// From points of the lattice and of the edges no farther apart; the rest of a cell is added.
double rimOf(const Form& form, const std::vector<Roomy>& spots) {
    const double cell = cellOf(form);
    double farthest = 0;
    for (const auto& spot : spots)
        farthest = std::max(farthest, roomBeside(form.discs, spot.at));
    for (const auto e : form.edges) {
        const Point a = form.points[e], b = form.points[e + 1];
        const int parts = static_cast<int>(shape::distance(a, b) / cell) + 1;
        for (int k = 0; k < parts; ++k)
            farthest =
                std::max(farthest, roomBeside(form.discs, a + (b - a) * (static_cast<double>(k) / parts)));
    }
    return farthest + cell;
}

std::vector<Roomy> spotsOf(const Form& form, const Region& region) {
    const auto box = region.bounds();
    const double cell = cellOf(form);
    std::vector<Roomy> out;
    for (double y = box.top + cell / 2; y < box.bottom; y += cell)
        for (double x = box.left + cell / 2; x < box.right; x += cell)
            if (const double room = roomAt(region, {x, y}); room > 0) out.push_back({{x, y}, room});
    return out;
}

void addDiscs(Form& form, const Region& region) {
    auto spots = spotsOf(form, region);
    if (spots.empty()) spots.push_back({form.points.front(), 0});
    double covered = 0;
    while (form.discs.size() < mostDiscs && covered < filled * form.area) {
        const auto best = std::max_element(spots.begin(), spots.end(),
                                           [](const Roomy& a, const Roomy& b) { return a.room < b.room; });
        if (best->room <= 0) break;
        const auto disc = settled(region, form.discs, *best, std::max(form.girth / 28, form.diameter / 140));
        if (!form.discs.empty() && disc.radius < leastDisc * form.discs.front().radius) break;
        form.discs.push_back(disc);
        covered += pi * disc.radius * disc.radius;
        for (auto& spot : spots)
            spot.room = std::min(spot.room, std::hypot(spot.at.x - disc.x, spot.at.y - disc.y) - disc.radius);
    }
    if (form.discs.empty()) form.discs.push_back({form.points.front().x, form.points.front().y, 1e-3});
    form.rim = rimOf(form, spots);
}

/// Source: Andrew, "Another efficient algorithm for convex hulls in two dimensions", 1979.
std::vector<Point> hullOf(std::vector<Point> points) {
    std::sort(points.begin(), points.end(),
              [](Point a, Point b) { return a.x < b.x || (a.x == b.x && a.y < b.y); });
    std::vector<Point> out;
    for (int pass = 0; pass < 2; ++pass) {
        const auto base = out.size();
        for (const Point p : points) {
            while (out.size() >= base + 2 && shape::cross(out[out.size() - 2], out.back(), p) <= 0)
                out.pop_back();
            out.push_back(p);
        }
        out.pop_back(); // begins the other half
        std::reverse(points.begin(), points.end());
    }
    return out;
}

} // namespace

Turn turnOf(double degrees) {
    const double quarters = std::nearbyint(degrees / 90);
    const double x = (degrees - quarters * 90) * (pi / 180), square = x * x;
    double sin = 0, cos = 0; // Horner's scheme from the smallest term up
    for (int n = 19; n >= 3; n -= 2)
        sin = (1 + sin) * -square / (n * (n - 1));
    for (int n = 18; n >= 2; n -= 2)
        cos = (1 + cos) * -square / (n * (n - 1));
    sin = x * (1 + sin), cos = 1 + cos;
    switch (static_cast<int>(std::fmod(quarters, 4) + 4) % 4) {
    case 0: return {degrees, cos, sin};
    case 1: return {degrees, -sin, cos};
    case 2: return {degrees, -cos, -sin};
    default: return {degrees, sin, -cos};
    }
}

Form formOf(const shape::Region& region, const shape::Region& whole) {
    Form out;
    for (const auto& ring : region.rings) {
        out.starts.push_back(static_cast<std::uint32_t>(out.points.size()));
        for (const Point p : ring) {
            out.edges.push_back(static_cast<std::uint32_t>(out.points.size()));
            out.points.push_back(p);
        }
        out.points.push_back(ring.front());
    }
    if (out.points.empty()) return out;
    const auto box = region.bounds();
    out.area = region.area();
    out.diameter = std::hypot(box.width(), box.height());
    out.girth = std::min(box.width(), box.height());
    std::vector<Point> corners;
    for (const auto& ring : whole.rings)
        corners.insert(corners.end(), ring.begin(), ring.end());
    out.hull = hullOf(std::move(corners));
    addDiscs(out, region);
    return out;
}

void Laid::lay(const Form& what, const Turn& turned, Point moved) {
    m_form = &what, m_turn = turned, m_at = moved, m_ready = false;
    const double co = turned.cos, si = turned.sin;
    m_box = {}, m_slantBox = {};
    for (const Point p : what.hull) {
        const Point q{co * p.x - si * p.y + moved.x, si * p.x + co * p.y + moved.y};
        m_box.take(q), m_slantBox.take(Point{q.x + q.y, q.x - q.y});
    }
    const std::size_t lanes = (what.discs.size() + 3) / 4 * 4;
    for (auto* row : {&m_discs.x, &m_discs.y, &m_discs.radius})
        row->resize(lanes);
    for (std::size_t i = 0; i < lanes; ++i) {
        const bool real = i < what.discs.size();
        const auto& disc = what.discs[real ? i : 0];
        m_discs.x[i] = static_cast<float>(co * disc.x - si * disc.y + moved.x);
        m_discs.y[i] = static_cast<float>(si * disc.x + co * disc.y + moved.y);
        m_discs.radius[i] = real ? static_cast<float>(disc.radius) : 0.0F;
    }
}

void Laid::moveTo(Point moved) {
    const Point by = moved - m_at;
    m_at = moved, m_ready = false;
    const auto shift = [](Box& box, Point d) {
        box = {box.left + d.x, box.top + d.y, box.right + d.x, box.bottom + d.y};
    };
    shift(m_box, by), shift(m_slantBox, {by.x + by.y, by.x - by.y});
    for (auto& x : m_discs.x)
        x += static_cast<float>(by.x);
    for (auto& y : m_discs.y)
        y += static_cast<float>(by.y);
}

void Laid::layPoints() const {
    m_ready = true;
    m_points.resize(m_form->points.size());
    for (std::size_t i = 0; i < m_points.size(); ++i) {
        const Point p = m_form->points[i];
        m_points[i] = {m_turn.cos * p.x - m_turn.sin * p.y + m_at.x,
                       m_turn.sin * p.x + m_turn.cos * p.y + m_at.y};
    }
    m_edgeBoxes.clear();
    const auto count = static_cast<std::uint32_t>(m_form->edges.size());
    for (std::uint32_t first = 0; first < count; first += edgesInBox) {
        EdgeBox part{{}, first, std::min<std::uint32_t>(first + edgesInBox, count)};
        for (auto e = part.first; e < part.last; ++e)
            part.box.take(m_points[m_form->edges[e]]), part.box.take(m_points[m_form->edges[e] + 1]);
        m_edgeBoxes.push_back(part);
    }
}

Box boxOf(const Form& form, const Turn& turn) {
    Box out;
    for (const Point p : form.hull)
        out.take(Point{turn.cos * p.x - turn.sin * p.y, turn.sin * p.x + turn.cos * p.y});
    return out;
}

} // namespace up::layout
