// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/fitting.hpp"

#include <algorithm>
#include <array>
#include <numbers>
#include <optional>

namespace up::shape {
namespace {

constexpr double cornerTurn = 25 * std::numbers::pi / 180;
constexpr int mostTries = 6;
constexpr std::size_t reach = 6; // points to each side that say which way the line goes

double dot(Point a, Point b) {
    return a.x * b.x + a.y * b.y;
}
Point unit(Point v) {
    const double length = std::hypot(v.x, v.y);
    return length > 0 ? v * (1 / length) : Point{1, 0};
}

struct Bezier {
    std::array<Point, 4> p;
    [[nodiscard]] Point at(double t) const {
        const double v = 1 - t;
        return p[0] * (v * v * v) + p[1] * (3 * v * v * t) + p[2] * (3 * v * t * t) + p[3] * (t * t * t);
    }
    [[nodiscard]] Point slope(double t) const {
        const double v = 1 - t;
        return (p[1] - p[0]) * (3 * v * v) + (p[2] - p[1]) * (6 * v * t) + (p[3] - p[2]) * (3 * t * t);
    }
    [[nodiscard]] Point bend(double t) const {
        return (p[2] - p[1] * 2 + p[0]) * (6 * (1 - t)) + (p[3] - p[2] * 2 + p[1]) * (6 * t);
    }
};

/// Fits one run between two corners.
class Fitter {
public:
    Fitter(const Polyline& points, double tolerance, Contour& out)
        : m_points(points), m_tolerance(tolerance), m_out(out) {}
    /// Directions at the ends where the line goes on smoothly; at a corner they are the run's own.
    std::optional<Point> startWay{}, endWay{};

    void run() {
        const auto last = m_points.size() - 1;
        fit(0, last, startWay.value_or(wayFrom(0, 1)), endWay.value_or(wayFrom(last, -1)));
    }

private:
    /// The direction at one end of the run, as of a parabola through points a little way along it: those
    /// between lie on straight stretches.
    [[nodiscard]] Point wayFrom(std::size_t i, int sign) const {
        const auto far = std::min<std::size_t>(reach, (m_points.size() - 1) / 2);
        const auto at = [&](std::size_t k) { return m_points[sign > 0 ? i + k : i - k]; };
        if (far == 0) return unit(at(1) - at(0));
        return unit((at(far) - at(0)) * 4 - (at(2 * far) - at(0)));
    }

    void fit(std::size_t first, std::size_t last, Point start, Point end) {
        if (last - first == 1) {
            m_out.lineTo(m_points[last]);
            return;
        }
        auto places = chordLengths(first, last);
        for (int i = 0; i < mostTries; ++i) {
            const auto curve = best(first, last, places, start, end);
            const auto [worst, where] = worstOf(curve, first, places);
            if (worst <= m_tolerance * m_tolerance) {
                m_out.curveTo(curve.p[1], curve.p[2], curve.p[3]);
                return;
            }
            m_split = where;
            if (worst > m_tolerance * m_tolerance * 100) break;
            improve(curve, first, places);
        }
        const auto split = std::clamp(m_split, first + 1, last - 1);
        const auto wide = std::min({reach, split - first, last - split});
        const Point through = unit(m_points[split - wide] - m_points[split + wide]);
        fit(first, split, start, through);
        fit(split, last, through * -1, end);
    }

    [[nodiscard]] std::vector<double> chordLengths(std::size_t first, std::size_t last) const {
        std::vector<double> out{0};
        for (auto i = first + 1; i <= last; ++i)
            out.push_back(out.back() + distance(m_points[i - 1], m_points[i]));
        const double all = std::max(out.back(), 1e-12);
        for (auto& place : out)
            place /= all;
        return out;
    }

    /// Least squares for how far the two control points stand along the end directions.
    [[nodiscard]] Bezier best(std::size_t first, std::size_t last, const std::vector<double>& places,
                              Point start, Point end) const {
        const Point a = m_points[first], b = m_points[last];
        double c00 = 0, c01 = 0, c11 = 0, x0 = 0, x1 = 0;
        for (std::size_t i = 0; i < places.size(); ++i) {
            const double t = places[i], v = 1 - t;
            const double b1 = 3 * v * v * t, b2 = 3 * v * t * t;
            const Point a1 = start * b1, a2 = end * b2;
            c00 += dot(a1, a1), c01 += dot(a1, a2), c11 += dot(a2, a2);
            const Point rest = m_points[first + i] - (a * (v * v * v + b1) + b * (b2 + t * t * t));
            x0 += dot(a1, rest), x1 += dot(a2, rest);
        }
        const double det = c00 * c11 - c01 * c01, length = distance(a, b);
        double left = length / 3, right = length / 3;
        if (std::abs(det) > 1e-12) {
            const double l = (x0 * c11 - x1 * c01) / det, r = (c00 * x1 - c01 * x0) / det;
            if (l > length * 1e-3 && r > length * 1e-3) left = l, right = r;
        }
        return {{a, a + start * left, b + end * right, b}};
    }

    /// Squared distance and index of the point that is worst off.
    [[nodiscard]] std::pair<double, std::size_t> worstOf(const Bezier& curve, std::size_t first,
                                                         const std::vector<double>& places) const {
        std::pair<double, std::size_t> out{0, first + places.size() / 2};
        for (std::size_t i = 1; i + 1 < places.size(); ++i) {
            const Point off = curve.at(places[i]) - m_points[first + i];
            if (const double d = dot(off, off); d > out.first) out = {d, first + i};
        }
        return out;
    }

    /// One step of Newton's method for where each point is nearest to the curve.
    void improve(const Bezier& curve, std::size_t first, std::vector<double>& places) const {
        for (std::size_t i = 1; i + 1 < places.size(); ++i) {
            const double t = places[i];
            const Point off = curve.at(t) - m_points[first + i], d1 = curve.slope(t), d2 = curve.bend(t);
            const double below = dot(d1, d1) + dot(off, d2);
            if (std::abs(below) > 1e-12) places[i] = std::clamp(t - dot(off, d1) / below, 0.0, 1.0);
        }
    }

    const Polyline& m_points;
    double m_tolerance;
    Contour& m_out;
    std::size_t m_split = 0;
};

double turnAt(const Ring& ring, std::size_t i) {
    const auto n = ring.size();
    const Point in = ring[i] - ring[(i + n - 1) % n], out = ring[(i + 1) % n] - ring[i];
    return std::abs(std::atan2(in.x * out.y - in.y * out.x, dot(in, out)));
}

/// From one corner to the next round the ring, with points on long edges too.
Polyline between(const Ring& ring, std::size_t from, std::size_t to, double apart) {
    const auto n = ring.size();
    Polyline out{ring[from % n]};
    for (auto i = from; i < to; ++i) {
        const Point a = ring[i % n], b = ring[(i + 1) % n];
        const int parts = std::clamp(static_cast<int>(distance(a, b) / apart), 1, 200);
        for (int k = 1; k <= parts; ++k)
            out.push_back(a + (b - a) * (static_cast<double>(k) / parts));
    }
    return out;
}

bool isStraight(const Polyline& line, double tolerance) {
    const Point a = line.front(), b = line.back();
    const double length = distance(a, b);
    return length > 0 && std::all_of(line.begin(), line.end(), [&](Point p) {
               return std::abs(cross(a, b, p)) <= tolerance * length && dot(p - a, b - a) >= 0;
           });
}

} // namespace

Contour fitted(const Ring& ring, double tolerance) {
    const auto n = ring.size();
    if (n < 5) return contourThrough(ring);
    std::vector<std::size_t> corners;
    for (std::size_t i = 0; i < n; ++i)
        if (turnAt(ring, i) > cornerTurn) corners.push_back(i);
    // Without corners: begin where the ring is straightest, and twice, so that it cannot collapse.
    std::vector<bool> smooth(n);
    if (corners.size() < 2) {
        const auto first = corners.empty() ? 0 : corners.front();
        smooth[first] = corners.empty(), smooth[(first + n / 2) % n] = true;
        corners = {first, (first + n / 2) % n};
        std::sort(corners.begin(), corners.end());
    }
    // Where the ring goes on smoothly, both runs that meet there have its direction: along the chord beside
    // it.
    const auto wayAt = [&](std::size_t i) { return unit(ring[(i + 1) % n] - ring[(i + n - 1) % n]); };
    const double apart = std::max(perimeter(ring) / 400, tolerance * 4);
    Contour out{ring[corners.front()], {}, true};
    for (std::size_t k = 0; k < corners.size(); ++k) {
        const auto to = k + 1 < corners.size() ? corners[k + 1] : corners.front() + n;
        const auto run = between(ring, corners[k], to, apart);
        if (isStraight(run, tolerance / 2)) {
            out.lineTo(run.back());
            continue;
        }
        Fitter fitter(run, tolerance, out);
        if (smooth[corners[k]]) fitter.startWay = wayAt(corners[k]);
        if (smooth[to % n]) fitter.endWay = wayAt(to % n) * -1;
        fitter.run();
    }
    // What went wrong is seen in the area: then the points themselves are kept.
    const double area = std::abs(signedArea(ring)), off = std::abs(std::abs(signedArea(out)) - area);
    return off <= perimeter(ring) * tolerance * 2 ? out : contourThrough(ring);
}

Contour fittedLine(const Polyline& line, double tolerance) {
    Contour out{line.front(), {}, false};
    if (line.size() < 3 || isStraight(line, tolerance / 2))
        out.lineTo(line.back());
    else
        Fitter(line, tolerance, out).run();
    return out;
}

namespace {
bool hasCurves(const Contour& contour) {
    Point from = contour.start;
    for (const auto& c : contour.curves) {
        const double length = std::max(distance(from, c.end), 1e-9);
        if (std::abs(cross(from, c.end, c.control1)) > 1e-6 * length * length ||
            std::abs(cross(from, c.end, c.control2)) > 1e-6 * length * length)
            return true;
        from = c.end;
    }
    return false;
}
} // namespace

Outline fitted(const Outline& outline, double tolerance) {
    const auto smooth = [&](const Contour& contour) {
        return hasCurves(contour) ? contour : fitted(flattened(contour, tolerance), tolerance);
    };
    Outline out{smooth(outline.edge), {}};
    for (const auto& hole : outline.holes)
        out.holes.push_back(smooth(hole));
    return out;
}

} // namespace up::shape
