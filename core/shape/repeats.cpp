// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/repeats.hpp"

#include "core/shape/cells.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace up::shape {
namespace {

/// A line as points, with how far along each is.
struct Measured {
    Polyline points;
    std::vector<double> along;
    [[nodiscard]] double length() const { return along.empty() ? 0 : along.back(); }
};

Measured measured(const Contour& line, double tolerance) {
    Measured out{flattened(line, tolerance), {}};
    if (line.closed && !out.points.empty()) out.points.push_back(out.points.front());
    double sum = 0;
    for (std::size_t i = 0; i < out.points.size(); ++i) {
        if (i > 0) sum += distance(out.points[i - 1], out.points[i]);
        out.along.push_back(sum);
    }
    return out;
}

Point pointAt(const Measured& line, double along) {
    const auto it = std::upper_bound(line.along.begin(), line.along.end(), along);
    if (it == line.along.end()) return line.points.back();
    if (it == line.along.begin()) return line.points.front();
    const auto i = static_cast<std::size_t>(it - line.along.begin());
    const double share = (along - line.along[i - 1]) / (line.along[i] - line.along[i - 1]);
    return line.points[i - 1] + (line.points[i] - line.points[i - 1]) * share;
}

/// The stretch of it between two places along it.
Polyline stretchOf(const Measured& line, double from, double to) {
    Polyline out{pointAt(line, from)};
    for (std::size_t i = 0; i < line.points.size(); ++i)
        if (line.along[i] > from && line.along[i] < to) out.push_back(line.points[i]);
    out.push_back(pointAt(line, to));
    return out;
}

/// The ends of all lines in square cells.
class Ends {
public:
    Ends(const std::vector<Measured>& lines, double cell) : m_cell(cell) {
        for (const auto& line : lines)
            if (!line.points.empty())
                for (const Point p : {line.points.front(), line.points.back()})
                    m_ends[keyOf(at(p.x), at(p.y))].push_back(p);
    }
    /// Where along the line others end on it, no further off than `reach`.
    [[nodiscard]] std::vector<double> on(const Measured& line, double reach) const {
        std::vector<double> out;
        for (std::size_t i = 1; i < line.points.size(); ++i) {
            const Point from = line.points[i - 1], way = line.points[i] - from;
            const double length = line.along[i] - line.along[i - 1];
            eachNear(from, line.points[i], [&](Point p) {
                if (squareToEdge(from, line.points[i], p) > reach * reach || length <= 0) return;
                const Point off = p - from;
                const double share = (off.x * way.x + off.y * way.y) / (length * length);
                out.push_back(line.along[i - 1] + std::clamp(share, 0.0, 1.0) * length);
            });
        }
        return out;
    }

private:
    using Key = std::int64_t;
    [[nodiscard]] std::int64_t at(double v) const {
        return static_cast<std::int64_t>(std::floor(v / m_cell));
    }
    static Key keyOf(std::int64_t column, std::int64_t row) { return row * (std::int64_t{1} << 31) + column; }
    template<class Do> void eachNear(Point from, Point to, Do act) const {
        const Point way = to - from;
        const auto steps = 1 + static_cast<std::int64_t>(std::hypot(way.x, way.y) / m_cell);
        std::vector<Key> seen;
        for (std::int64_t k = 0; k <= steps; ++k) {
            const Point p = from + way * (static_cast<double>(k) / static_cast<double>(steps));
            for (std::int64_t dx = -1; dx <= 1; ++dx)
                for (std::int64_t dy = -1; dy <= 1; ++dy)
                    seen.push_back(keyOf(at(p.x) + dx, at(p.y) + dy));
        }
        std::sort(seen.begin(), seen.end());
        seen.erase(std::unique(seen.begin(), seen.end()), seen.end());
        for (const Key key : seen)
            if (const auto it = m_ends.find(key); it != m_ends.end())
                for (const Point p : it->second)
                    act(p);
    }
    double m_cell;
    std::unordered_map<Key, std::vector<Point>> m_ends;
};

class Sieve {
public:
    Sieve(const std::vector<Contour>& lines, double reach) : m_lines(lines), m_reach(reach) {
        double longest = 0;
        for (const auto& line : lines) {
            m_measured.push_back(measured(line, reach / 20));
            longest = std::max(longest, m_measured.back().length());
        }
        m_cell = std::max(reach, longest / 1000);
    }
    std::vector<Unrepeated> run() {
        std::vector<std::size_t> order(m_lines.size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
            return m_measured[a].length() > m_measured[b].length() * (1 + 1e-9);
        });
        const Ends ends(m_measured, m_cell);
        EdgeCells kept(m_cell);
        std::vector<Unrepeated> out;
        for (const auto i : order) {
            take(i, ends, kept, out);
            const auto& points = m_measured[i].points;
            for (std::size_t k = 1; k < points.size(); ++k)
                kept.add(points[k - 1], points[k]);
        }
        std::stable_sort(out.begin(), out.end(),
                         [](const Unrepeated& a, const Unrepeated& b) { return a.from < b.from; });
        return out;
    }

private:
    /// Appends what of line `i` lies on none of those kept.
    void take(std::size_t i, const Ends& ends, const EdgeCells& kept, std::vector<Unrepeated>& out) const {
        const auto& line = m_measured[i];
        const double length = line.length();
        auto cuts = ends.on(line, m_reach / 4);
        cuts.insert(cuts.end(), {0, length});
        std::sort(cuts.begin(), cuts.end());
        const double least = std::min(m_reach / 4, length / 4); // nearer cuts are one
        std::vector<double> places{0};
        for (const double cut : cuts)
            if (cut > places.back() + least && cut < length - least) places.push_back(cut);
        places.push_back(length);
        std::vector<bool> repeat;
        for (std::size_t k = 1; k < places.size(); ++k)
            repeat.push_back(isRepeat(line, places[k - 1], places[k], kept));
        if (m_lines[i].closed && std::find(repeat.begin(), repeat.end(), false) != repeat.end())
            repeat.assign(repeat.size(), false);
        if (std::find(repeat.begin(), repeat.end(), true) == repeat.end()) {
            out.push_back({m_lines[i], i});
            return;
        }
        for (std::size_t k = 0; k < repeat.size();) {
            if (repeat[k++]) continue;
            const double from = places[k - 1];
            while (k < repeat.size() && !repeat[k])
                ++k;
            auto part = contourThrough(stretchOf(line, from, places[k]));
            part.closed = false;
            out.push_back({std::move(part), i});
        }
    }
    [[nodiscard]] bool isRepeat(const Measured& line, double from, double to, const EdgeCells& kept) const {
        if (kept.isEmpty()) return false;
        const double length = to - from, near = std::min(m_reach / 4, length / 20);
        const int samples = static_cast<int>(std::clamp(length / (4 * m_reach), 3.0, 64.0));
        for (int k = 1; k <= samples; ++k)
            if (!kept.isNear(pointAt(line, from + length * (k - 0.5) / samples), near)) return false;
        return true;
    }

    const std::vector<Contour>& m_lines;
    double m_reach, m_cell = 0;
    std::vector<Measured> m_measured;
};

} // namespace

std::vector<Unrepeated> withoutRepeats(const std::vector<Contour>& lines, double reach) {
    return Sieve(lines, reach).run();
}

} // namespace up::shape
