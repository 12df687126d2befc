// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/dxf/curves.hpp"

#include "core/shape/arc.hpp"

#include <array>
#include <cmath>
#include <numbers>

namespace up::intake {

using shape::Contour;
using shape::Point;

namespace {

constexpr int highestDegree = 10;
constexpr double leastBulge = 1e-9;

void bulgeTo(Contour& out, Point to, double bulge) {
    const Point from = out.end(), chord = to - from;
    const Point left{-chord.y, chord.x};
    const Point centre = (from + to) * 0.5 + left * ((1 - bulge * bulge) / (4 * bulge));
    const Point arm = from - centre;
    const double radius = std::hypot(arm.x, arm.y);
    shape::arcAbout(out, centre, {radius, 0}, {0, radius}, std::atan2(arm.y, arm.x), 4 * std::atan(bulge));
    out.curves.back().end = to;
}

/// x·w, y·w, w.
using Weighted = std::array<double, 3>;

/// The polynomial of the span from knot `span` to the next, at `t`. Control points from `first` on.
Weighted deBoor(const std::vector<Weighted>& points, const std::vector<double>& knots, int degree, int span,
                double t) {
    std::array<Weighted, highestDegree + 1> d{};
    for (int j = 0; j <= degree; ++j)
        d[static_cast<std::size_t>(j)] = points[static_cast<std::size_t>(j + span - degree)];
    for (int r = 1; r <= degree; ++r)
        for (int j = degree; j >= r; --j) {
            const double low = knots[static_cast<std::size_t>(j + span - degree)],
                         high = knots[static_cast<std::size_t>(j + 1 + span - r)];
            const double share = high > low ? (t - low) / (high - low) : 0;
            for (std::size_t k = 0; k < 3; ++k) {
                const auto at = static_cast<std::size_t>(j);
                d[at][k] = (1 - share) * d[at - 1][k] + share * d[at][k];
            }
        }
    return d[static_cast<std::size_t>(degree)];
}

class Curve {
public:
    explicit Curve(const Spline& spline) : m_degree(spline.degree), m_knots(spline.knots) {
        for (std::size_t i = 0; i < spline.points.size(); ++i) {
            const double w = i < spline.weights.size() && spline.weights[i] > 0 ? spline.weights[i] : 1;
            m_points.push_back({spline.points[i].x * w, spline.points[i].y * w, w});
            m_plain = m_plain && std::abs(w - m_points.front()[2]) < 1e-12;
        }
        // The derivative is a spline of one degree less over the same knots but the outermost.
        for (std::size_t i = 0; i + 1 < m_points.size(); ++i) {
            const double width = m_knots[i + static_cast<std::size_t>(m_degree) + 1] - m_knots[i + 1];
            Weighted slope{};
            for (std::size_t k = 0; k < 3 && width > 0; ++k)
                slope[k] = m_degree * (m_points[i + 1][k] - m_points[i][k]) / width;
            m_slopes.push_back(slope);
        }
        m_inner.assign(m_knots.begin() + 1, m_knots.end() - 1);
    }

    [[nodiscard]] Contour run() const {
        Contour out;
        const int parts = m_plain && m_degree <= 3 ? 1 : 8;
        const auto last = static_cast<int>(m_points.size()) - 1;
        bool begun = false;
        for (int span = m_degree; span <= last; ++span) {
            const double from = m_knots[static_cast<std::size_t>(span)],
                         to = m_knots[static_cast<std::size_t>(span) + 1];
            if (!(to > from)) continue;
            const double step = (to - from) / parts;
            for (int i = 0; i < parts; ++i) {
                const auto a = at(span, from + i * step), b = at(span, from + (i + 1) * step);
                if (!begun) out.start = a.place, begun = true;
                out.curveTo(a.place + a.speed * (step / 3), b.place - b.speed * (step / 3), b.place);
            }
        }
        return out;
    }

private:
    struct Place {
        Point place, speed;
    };
    [[nodiscard]] Place at(int span, double t) const {
        const auto p = deBoor(m_points, m_knots, m_degree, span, t);
        const auto d = m_degree > 1 ? deBoor(m_slopes, m_inner, m_degree - 1, span - 1, t)
                                    : m_slopes[static_cast<std::size_t>(span - 1)];
        const Point place{p[0] / p[2], p[1] / p[2]};
        return {place, {(d[0] - d[2] * place.x) / p[2], (d[1] - d[2] * place.y) / p[2]}};
    }
    int m_degree;
    std::vector<double> m_knots, m_inner;
    std::vector<Weighted> m_points, m_slopes;
    bool m_plain = true;
};

bool isSound(const Spline& spline) {
    if (spline.degree < 1 || spline.degree > highestDegree) return false;
    const auto degree = static_cast<std::size_t>(spline.degree);
    if (spline.points.size() <= degree || spline.knots.size() != spline.points.size() + degree + 1)
        return false;
    for (std::size_t i = 1; i < spline.knots.size(); ++i)
        if (!(spline.knots[i] >= spline.knots[i - 1])) return false;
    return true;
}

} // namespace

Contour polyline(const std::vector<Vertex>& vertices, bool closed) {
    Contour out{{}, {}, closed};
    if (vertices.empty()) return out;
    out.start = vertices.front().at;
    const std::size_t stretches = closed ? vertices.size() : vertices.size() - 1;
    for (std::size_t i = 0; i < stretches; ++i) {
        const Point to = vertices[(i + 1) % vertices.size()].at;
        if (shape::distance(out.end(), to) < 1e-12) continue;
        if (std::abs(vertices[i].bulge) < leastBulge)
            out.lineTo(to);
        else
            bulgeTo(out, to, vertices[i].bulge);
    }
    return out;
}

Contour ellipseArc(Point centre, Point major, Point minor, double start, double end) {
    constexpr double whole = 2 * std::numbers::pi;
    double span = std::fmod(end - start, whole);
    if (span <= 1e-9) span += whole;
    Contour out{centre + major * std::cos(start) + minor * std::sin(start), {}, span > whole - 1e-6};
    shape::arcAbout(out, centre, major, minor, start, span);
    return out;
}

Contour curveOf(const Spline& spline) {
    if (!isSound(spline)) return {};
    auto out = Curve(spline).run();
    out.closed = spline.closed;
    return out;
}

Contour curveThrough(const std::vector<Point>& points, bool closed) {
    Contour out{{}, {}, closed};
    if (points.size() < 2) return out;
    const std::size_t n = points.size();
    const auto at = [&](std::size_t i, int by) {
        const auto k = static_cast<std::ptrdiff_t>(i) + by, size = static_cast<std::ptrdiff_t>(n);
        return points[static_cast<std::size_t>(closed ? (k + size) % size
                                                      : std::clamp<std::ptrdiff_t>(k, 0, size - 1))];
    };
    out.start = points.front();
    for (std::size_t i = 0; i < (closed ? n : n - 1); ++i)
        out.curveTo(at(i, 0) + (at(i, 1) - at(i, -1)) * (1.0 / 6),
                    at(i, 1) - (at(i, 2) - at(i, 0)) * (1.0 / 6), at(i, 1));
    return out;
}

} // namespace up::intake
