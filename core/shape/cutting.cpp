// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/cutting.hpp"

#include "core/shape/contours_sorted.hpp"
#include "core/shape/joining.hpp"

#include <algorithm>
#include <numeric>

namespace up::shape {
namespace {

/// A run of curves between two crossings.
struct Stretch {
    Contour way;
    std::size_t begins = 0, ends = 0; ///< crossings
};

struct Crossing {
    double along = 0;
    Point at;
};

Point mix(Point a, Point b, double t) {
    return a + (b - a) * t;
}

/// Source: de Casteljau's construction.
std::pair<Cubic, Cubic> split(Point from, const Cubic& c, double t) {
    const Point ab = mix(from, c.control1, t), bc = mix(c.control1, c.control2, t),
                cd = mix(c.control2, c.end, t);
    const Point abc = mix(ab, bc, t), bcd = mix(bc, cd, t), middle = mix(abc, bcd, t);
    return {{ab, abc, middle}, {bcd, cd, c.end}};
}

class Cutter {
public:
    Cutter(Point a, Point b) : m_a(a), m_way((b - a) * (1 / distance(a, b))) {}

    /// Closed, the shape on the same hand all the way.
    void take(Contour contour, bool isHole) {
        if (distance(contour.end(), contour.start) > 1e-9) contour.lineTo(contour.start);
        if ((signedArea(contour) < 0) != isHole) contour = backwards(contour);
        m_contours.push_back(std::move(contour));
    }

    CutParts cut() {
        shiftOffCorners();
        for (const auto& contour : m_contours)
            chop(contour);
        return {sorted(assemble(-1)), sorted(assemble(1))};
    }

private:
    /// Left of a → b on the page is negative, since y is down.
    [[nodiscard]] double side(Point p) const { return m_way.x * (p.y - m_a.y) - m_way.y * (p.x - m_a.x); }
    [[nodiscard]] double along(Point p) const { return m_way.x * (p.x - m_a.x) + m_way.y * (p.y - m_a.y); }

    /// A line exactly through a corner is moved aside by less than anything can be cut.
    void shiftOffCorners() {
        constexpr double near = 1e-7, step = 1e-6;
        for (int tries = 0; tries < 100; ++tries) {
            bool free = true;
            for (const auto& contour : m_contours)
                for (const auto& curve : contour.curves)
                    free = free && std::abs(side(curve.end)) > near;
            if (free) return;
            m_a = m_a + Point{-m_way.y, m_way.x} * step;
        }
    }

    [[nodiscard]] static double value(const double (&d)[4], double t) {
        const double v = 1 - t;
        return d[0] * v * v * v + 3 * d[1] * v * v * t + 3 * d[2] * v * t * t + d[3] * t * t * t;
    }

    /// Where a cubic with these distances from the line crosses it, in order.
    [[nodiscard]] static std::vector<double> roots(const double (&d)[4]) {
        // Between the places where it turns back it crosses once at most: halve the stretch until found.
        const double a = d[3] - 3 * d[2] + 3 * d[1] - d[0], b = d[2] - 2 * d[1] + d[0], c = d[1] - d[0];
        std::vector<double> stops{0, 1};
        const double under = b * b - a * c;
        if (under > 0)
            for (const double sign : {-1.0, 1.0}) {
                const double root = -b + sign * std::sqrt(under);
                const double t = std::abs(a) > 1e-12 ? root / a : std::abs(b) > 1e-12 ? -c / (2 * b) : -1;
                if (t > 0 && t < 1) stops.push_back(t);
            }
        std::sort(stops.begin(), stops.end());
        std::vector<double> out;
        for (std::size_t i = 0; i + 1 < stops.size(); ++i) {
            double low = stops[i], high = stops[i + 1];
            const double first = value(d, low);
            if ((first < 0) == (value(d, high) < 0)) continue;
            for (int k = 0; k < 60; ++k) {
                const double middle = (low + high) / 2;
                ((value(d, middle) < 0) == (first < 0) ? low : high) = middle;
            }
            out.push_back((low + high) / 2);
        }
        return out;
    }

    void chop(const Contour& contour) {
        const auto firstCrossing = m_crossings.size();
        Stretch now{{contour.start, {}, false}};
        std::vector<Stretch> found;
        Point from = contour.start;
        for (const auto& whole : contour.curves) {
            const double d[4] = {side(from), side(whole.control1), side(whole.control2), side(whole.end)};
            Cubic rest = whole;
            double used = 0;
            for (const double t : roots(d)) {
                auto [before, after] = split(from, rest, (t - used) / (1 - used));
                now.way.curves.push_back(before);
                now.ends = m_crossings.size();
                found.push_back(std::move(now));
                now = {{before.end, {}, false}, m_crossings.size()};
                m_crossings.push_back({along(before.end), before.end});
                from = before.end, rest = after, used = t;
            }
            now.way.curves.push_back(rest);
            from = rest.end;
        }
        if (found.empty()) {
            const double where = side(contour.start);
            m_whole[where < 0 ? 0 : 1].push_back(contour);
            return;
        }
        // What follows the last crossing goes on into what came before the first.
        auto& first = found.front();
        now.way.curves.insert(now.way.curves.end(), first.way.curves.begin(), first.way.curves.end());
        now.ends = firstCrossing;
        first = std::move(now);
        m_stretches.insert(m_stretches.end(), found.begin(), found.end());
    }

    [[nodiscard]] double sideOf(const Stretch& stretch) const {
        double most = 0;
        for (const auto& curve : stretch.way.curves)
            for (const Point p : {curve.control1, curve.control2, curve.end})
                if (std::abs(side(p)) > std::abs(most)) most = side(p);
        return most;
    }

    std::vector<Contour> assemble(int sign) {
        auto out = m_whole[sign < 0 ? 0 : 1];
        std::vector<std::size_t> order(m_crossings.size()), partner(m_crossings.size());
        std::iota(order.begin(), order.end(), 0U);
        std::sort(order.begin(), order.end(),
                  [&](std::size_t i, std::size_t j) { return m_crossings[i].along < m_crossings[j].along; });
        for (std::size_t i = 0; i + 1 < order.size(); i += 2)
            partner[order[i]] = order[i + 1], partner[order[i + 1]] = order[i];
        constexpr auto none = static_cast<std::size_t>(-1);
        std::vector<std::size_t> begunAt(m_crossings.size(), none);
        for (std::size_t i = 0; i < m_stretches.size(); ++i)
            if (sideOf(m_stretches[i]) * sign > 0) begunAt[m_stretches[i].begins] = i;
        std::vector<bool> used(m_stretches.size());
        for (std::size_t i = 0; i < m_stretches.size(); ++i) {
            if (used[i] || sideOf(m_stretches[i]) * sign <= 0) continue;
            Contour loop{m_stretches[i].way.start, {}, true};
            for (auto next = i; next != none && !used[next];
                 next = begunAt[partner[m_stretches[next].ends]]) {
                used[next] = true;
                const auto& way = m_stretches[next].way;
                if (distance(loop.end(), way.start) > 1e-9) loop.lineTo(way.start);
                loop.curves.insert(loop.curves.end(), way.curves.begin(), way.curves.end());
            }
            if (distance(loop.end(), loop.start) > 1e-9) loop.lineTo(loop.start);
            out.push_back(std::move(loop));
        }
        return out;
    }

    [[nodiscard]] static std::vector<Outline> sorted(const std::vector<Contour>& contours) {
        return contours.empty() ? std::vector<Outline>{} : sortContours(contours, Fill::evenOdd).outlines;
    }

    Point m_a, m_way;
    std::vector<Contour> m_contours, m_whole[2];
    std::vector<Stretch> m_stretches;
    std::vector<Crossing> m_crossings;
};

} // namespace

CutParts cutBy(const Outline& outline, Point a, Point b) {
    Cutter cutter(a, b);
    cutter.take(outline.edge, false);
    for (const auto& hole : outline.holes)
        cutter.take(hole, true);
    return cutter.cut();
}

} // namespace up::shape
