// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/widths.hpp"

#include "core/base/job.hpp"

#include <cmath>
#include <map>
#include <numbers>
#include <numeric>

namespace up::shape {
namespace {

constexpr double pi = std::numbers::pi;
constexpr double leastFacing = 113 * pi / 180; // less: a corner, or the inside of a round end
constexpr double sharpest = 82 * pi / 180; // corners more open than that are no tips: none has a circle that
                                           // faces its sides so, be they bent a little
constexpr double leastFan = 4 * pi / 180;  // between the directions looked in from an inner corner
constexpr double blunt = 0.6; // mm that a tip may be wide at its end, as a pen's width makes it on a scan
constexpr double bluntest = 4 * pi / 180; // less: the square end of a strip, which does not taper

struct Edge {
    Point a, b;
};

double dot(Point a, Point b) {
    return a.x * b.x + a.y * b.y;
}

Point nearestOn(const Edge& edge, Point p) {
    const Point along = edge.b - edge.a;
    const double square = dot(along, along);
    return edge.a + along * (square > 0 ? std::clamp(dot(p - edge.a, along) / square, 0.0, 1.0) : 0);
}

/// The edges of a region in square cells.
class Grid {
public:
    explicit Grid(const Region& region) : m_box(region.bounds()) {
        double around = 0;
        std::size_t count = 0;
        for (const auto& ring : region.rings)
            around += perimeter(ring), count += ring.size();
        m_cell = std::max({around / std::max<double>(1, static_cast<double>(count)) * 2,
                           std::max(m_box.width(), m_box.height()) / 64, 1e-3});
        m_columns = static_cast<int>(m_box.width() / m_cell) + 1;
        m_rows = static_cast<int>(m_box.height() / m_cell) + 1;
        m_cells.resize(static_cast<std::size_t>(m_columns) * static_cast<std::size_t>(m_rows));
        for (const auto& ring : region.rings)
            for (std::size_t i = 0; i < ring.size(); ++i)
                put({ring[i], ring[(i + 1) % ring.size()]});
    }
    /// The point of the edge nearest to `p` within `radius` of it; `p` itself when there is none.
    [[nodiscard]] Point nearest(Point p, double radius) const {
        Point best = p;
        double least = radius * radius;
        for (int y = row(p.y - radius); y <= row(p.y + radius); ++y)
            for (int x = column(p.x - radius); x <= column(p.x + radius); ++x)
                for (const auto index : cell(x, y)) {
                    const Point q = nearestOn(m_edges[index], p);
                    if (const double away = dot(q - p, q - p); away < least) least = away, best = q;
                }
        return best;
    }

private:
    [[nodiscard]] int column(double x) const { return within((x - m_box.left) / m_cell, m_columns); }
    [[nodiscard]] int row(double y) const { return within((y - m_box.top) / m_cell, m_rows); }
    static int within(double at, int count) { return static_cast<int>(std::clamp(at, 0.0, count - 1.0)); }
    [[nodiscard]] const std::vector<std::size_t>& cell(int x, int y) const {
        return m_cells[static_cast<std::size_t>(y) * static_cast<std::size_t>(m_columns) +
                       static_cast<std::size_t>(x)];
    }
    void put(const Edge& edge) {
        const auto index = m_edges.size();
        m_edges.push_back(edge);
        const auto steps = static_cast<int>(distance(edge.a, edge.b) / (m_cell / 2)) + 1;
        const Point step = (edge.b - edge.a) * (1.0 / steps);
        for (int i = 0; i < steps; ++i) { // every cell that a step may cut a corner of
            Box part;
            part.take(edge.a + step * i), part.take(edge.a + step * (i + 1));
            for (int y = row(part.top); y <= row(part.bottom); ++y)
                for (int x = column(part.left); x <= column(part.right); ++x) {
                    auto& at = m_cells[static_cast<std::size_t>(y) * static_cast<std::size_t>(m_columns) +
                                       static_cast<std::size_t>(x)];
                    if (at.empty() || at.back() != index) at.push_back(index);
                }
        }
    }
    Box m_box;
    double m_cell = 1;
    int m_columns = 1, m_rows = 1;
    std::vector<Edge> m_edges;
    std::vector<std::vector<std::size_t>> m_cells;
};

/// The largest circle that touches the edge at `p`, where `in` is the unit normal into the shape. Looked for
/// from about `guess` on, which is what it was beside, instead of from the largest that there can be.
Across shrunk(const Grid& grid, Point p, Point in, double guess, double largest) {
    double radius = std::min(guess, largest);
    Point touch = p;
    while (radius < largest && grid.nearest(p + in * radius, radius * (1 - 1e-6)) == p + in * radius)
        radius = std::min(radius * 2, largest); // there is nothing in it
    for (int i = 0; i < 40; ++i) {
        const Point middle = p + in * radius;
        const Point q = grid.nearest(middle, radius * (1 - 1e-6));
        if (q == middle) break; // nothing within it
        const Point to = q - p;
        const double ahead = dot(to, in);
        if (ahead < 1e-9) break;
        const double smaller = dot(to, to) / (2 * ahead);
        if (smaller > radius * (1 - 1e-4)) {
            touch = q;
            break;
        }
        radius = smaller, touch = q;
    }
    Across out{p, touch, p + in * radius, radius * 2, 0};
    const Point a = p - out.middle, b = touch - out.middle;
    const double size = std::hypot(a.x, a.y) * std::hypot(b.x, b.y);
    if (size > 0 && !(touch == p)) out.facing = std::acos(std::clamp(dot(a, b) / size, -1.0, 1.0));
    return out;
}

double turnAt(Point before, Point at, Point after) {
    const Point in = at - before, out = after - at;
    return std::atan2(in.x * out.y - in.y * out.x, dot(in, out));
}

/// Corners of one ring: stretches no longer than `window` in which the direction turns by more than 60°.
void addCorners(const Ring& ring, double window, std::vector<Corner>& out) {
    constexpr double least = pi / 3;
    const std::size_t n = ring.size();
    if (n < 3) return;
    std::vector<double> turn(n), length(n);
    for (std::size_t i = 0; i < n; ++i) {
        turn[i] = turnAt(ring[(i + n - 1) % n], ring[i], ring[(i + 1) % n]);
        length[i] = distance(ring[i], ring[(i + 1) % n]);
    }
    std::vector<double> sum(n);        // turned from i on, within the window
    std::vector<std::size_t> count(n); // by that many points
    for (std::size_t i = 0; i < n; ++i) {
        double gone = 0;
        for (std::size_t k = 0; k < n; ++k) {
            sum[i] += turn[(i + k) % n], ++count[i];
            gone += length[(i + k) % n];
            if (gone > window) break;
        }
    }
    for (std::size_t i = 0; i < n; ++i) {
        if (std::abs(sum[i]) < least || std::abs(turn[i]) < 0.02) continue;
        bool best = true; // of all that begin within a window's reach
        double gone = 0;
        for (std::size_t k = 1; k < n && best; ++k) {
            gone += length[(i + n - k) % n];
            if (gone > window) break;
            const auto j = (i + n - k) % n;
            if (std::abs(sum[j]) > std::abs(sum[i]) + 1e-9 ||
                (std::abs(std::abs(sum[j]) - std::abs(sum[i])) <= 1e-9 && std::abs(turn[j]) >= 0.02))
                best = false;
        }
        gone = 0;
        for (std::size_t k = 0; k < n && best; ++k) {
            gone += length[(i + k) % n];
            if (gone > window) break;
            if (std::abs(sum[(i + k + 1) % n]) > std::abs(sum[i]) + 1e-9) best = false;
        }
        if (!best) continue;
        const std::size_t last = (i + count[i] - 1) % n;
        const Point in = ring[i] - ring[(i + n - 1) % n], on = ring[(last + 1) % n] - ring[last];
        const Point before = in * (-1 / std::hypot(in.x, in.y)), after = on * (1 / std::hypot(on.x, on.y));
        Corner corner{ring[(i + count[i] / 2) % n], pi - sum[i], before + after};
        const double size = std::hypot(corner.inwards.x, corner.inwards.y);
        corner.inwards = size > 1e-9 ? corner.inwards * ((corner.opening < pi ? 1 : -1) / size) : Point{};
        out.push_back(corner);
    }
}

struct Tip {
    Point at;
    double opening;
};

std::vector<Tip> tipsOf(const Widths& widths) {
    std::vector<Tip> out;
    for (const auto& corner : widths.corners)
        if (corner.opening > bluntest && corner.opening < sharpest)
            out.push_back({corner.at, corner.opening});
    return out;
}

/// Within `reach` of a tip, and no wider than its sides leave room for.
const Tip* tipAround(const std::vector<Tip>& tips, const Across& across, double reach) {
    for (const auto& tip : tips) {
        const double away = distance(tip.at, across.middle);
        if (away <= reach &&
            across.width <= away * 2 * std::tan(std::min(tip.opening, sharpest) / 2 + 0.15) + blunt)
            return &tip;
    }
    return nullptr;
}

double tipReach(const Widths& widths, double tip, double scale) {
    return std::min(tip / scale, widths.length / 3);
}

Point turned(Point v, double by) {
    return {v.x * std::cos(by) - v.y * std::sin(by), v.x * std::sin(by) + v.y * std::cos(by)};
}

} // namespace

std::vector<Corner> cornersOf(const Region& region) {
    const auto box = region.bounds();
    std::vector<Corner> out;
    for (const auto& ring : region.rings)
        addCorners(ring, std::min(1.0, std::max(box.width(), box.height()) / 25), out);
    return out;
}

Widths widthsOf(const Region& region, double step) {
    breathe();
    Widths out;
    const auto box = region.bounds();
    if (box.isEmpty()) return out;
    out.length = std::max(box.width(), box.height());
    step = std::min(step, out.length / 40);
    const double largest = std::hypot(box.width(), box.height());
    const Grid grid(region);
    double guess = largest;
    const auto look = [&](Point p, Point in) {
        const auto across = shrunk(grid, p, in, guess, largest);
        guess = across.width * 0.55; // a little more than its radius
        if (across.width > out.widest.width) out.widest = across;
        if (across.facing >= leastFacing) out.across.push_back(across);
    };
    out.corners = cornersOf(region);
    for (const auto& ring : region.rings)
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const Point a = ring[i], b = ring[(i + 1) % ring.size()];
            const double length = distance(a, b);
            if (length < 1e-9) continue;
            const Point in{-(b.y - a.y) / length, (b.x - a.x) / length};
            const int parts = static_cast<int>(std::ceil(length / step)) | 1; // odd: one lies in the middle
            for (int k = 0; k < parts; ++k)
                look(a + (b - a) * ((k + 0.5) / parts), in);
            // An inner corner has no normal of its own: all between those of its sides touch it.
            const double turn = turnAt(a, b, ring[(i + 2) % ring.size()]);
            const int fan = turn < -leastFan ? static_cast<int>(std::ceil(-turn / leastFan)) : 0;
            for (int k = 0; k <= fan && fan > 0; ++k)
                look(b, turned(in, turn * k / fan));
        }
    return out;
}

std::vector<Narrow> narrowParts(const Widths& widths, double limit, double tip, double scale) {
    breathe();
    const double narrow = limit / scale, reach = tipReach(widths, tip, scale);
    const auto tips = tipsOf(widths);
    std::vector<const Across*> thin;
    for (const auto& across : widths.across)
        if (across.width < narrow) thin.push_back(&across);
    // Places that are near each other are one part.
    std::vector<std::size_t> group(thin.size());
    std::iota(group.begin(), group.end(), 0U);
    const auto root = [&](std::size_t i) {
        while (group[i] != i)
            i = group[i] = group[group[i]];
        return i;
    };
    const double close = std::max(narrow, widths.length / 20);
    std::vector<std::size_t> order(thin.size());
    std::iota(order.begin(), order.end(), 0U);
    std::sort(order.begin(), order.end(),
              [&](std::size_t i, std::size_t j) { return thin[i]->middle.x < thin[j]->middle.x; });
    for (std::size_t i = 0; i < order.size(); ++i)
        for (std::size_t j = i + 1; j < order.size(); ++j) {
            if (thin[order[j]]->middle.x - thin[order[i]]->middle.x > close) break;
            const Point off = thin[order[i]]->middle - thin[order[j]]->middle;
            if (dot(off, off) <= close * close) group[root(order[i])] = root(order[j]);
        }
    struct Part {
        Box box;
        const Across* narrowest = nullptr;
        bool isTip = false;
    };
    std::map<std::size_t, Part> parts;
    for (std::size_t i = 0; i < thin.size(); ++i) {
        auto& part = parts[root(i)];
        part.box.take(thin[i]->middle);
        if (tipAround(tips, *thin[i], reach))
            part.isTip = true;
        else if (!part.narrowest || thin[i]->width < part.narrowest->width)
            part.narrowest = thin[i];
    }
    std::vector<Narrow> out;
    for (const auto& [number, part] : parts)
        if (part.narrowest) {
            Narrow found{*part.narrowest, std::hypot(part.box.width(), part.box.height()) * scale,
                         part.isTip};
            found.narrowest.width *= scale;
            out.push_back(found);
        }
    std::sort(out.begin(), out.end(),
              [](const Narrow& a, const Narrow& b) { return a.narrowest.width < b.narrowest.width; });
    return out;
}

Across narrowest(const Widths& widths, double tip, double scale) {
    const double reach = tipReach(widths, tip, scale);
    const auto tips = tipsOf(widths);
    const Across* best = nullptr;
    for (const auto& across : widths.across)
        if (!tipAround(tips, across, reach) && (!best || across.width < best->width)) best = &across;
    Across out = best ? *best : widths.widest; // a disc, or nothing but tips
    out.width *= scale;
    return out;
}

} // namespace up::shape
