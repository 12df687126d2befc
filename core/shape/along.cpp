// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/along.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

namespace up::shape {

namespace {

/// 0..1 from a to b.
double shareNearest(Point a, Point b, Point p) {
    const Point way = b - a;
    const double square = way.x * way.x + way.y * way.y;
    return square <= 0 ? 0 : std::clamp(((p.x - a.x) * way.x + (p.y - a.y) * way.y) / square, 0.0, 1.0);
}

} // namespace

Along::Along(Polyline line) : m_line(std::move(line)), m_at{0} {
    for (std::size_t i = 1; i < m_line.size(); ++i)
        m_at.push_back(m_at.back() + distance(m_line[i - 1], m_line[i]));
    for (const Point p : m_line)
        m_box.take(p);
}

Point Along::point(double along) const {
    if (along <= 0) return m_line.front();
    if (along >= length()) return m_line.back();
    const auto after = std::upper_bound(m_at.begin(), m_at.end(), along) - m_at.begin();
    const auto i = static_cast<std::size_t>(after);
    const double span = m_at[i] - m_at[i - 1];
    return m_line[i - 1] + (m_line[i] - m_line[i - 1]) * ((along - m_at[i - 1]) / span);
}

Point Along::pointRound(double along) const {
    const double rest = std::fmod(along, length());
    return point(rest < 0 ? rest + length() : rest);
}

Along::Near Along::nearest(Point p) const {
    Near out{0, std::numeric_limits<double>::infinity()};
    for (std::size_t i = 1; i < m_line.size(); ++i) {
        const double share = shareNearest(m_line[i - 1], m_line[i], p);
        const double away = distance(m_line[i - 1] + (m_line[i] - m_line[i - 1]) * share, p);
        if (away < out.distance) out = {m_at[i - 1] + (m_at[i] - m_at[i - 1]) * share, away};
    }
    return out;
}

Along::NearOther Along::nearest(const Along& other, double reach) const {
    NearOther out{0, 0, std::numeric_limits<double>::infinity()};
    // Lines that do not cross are nearest at a corner of one of them.
    const auto there = other.m_box.grownBy(reach), here = m_box.grownBy(reach);
    for (std::size_t i = 0; i < m_line.size(); ++i)
        if (there.holds(m_line[i]))
            if (const auto near = other.nearest(m_line[i]); near.distance < out.distance)
                out = {m_at[i], near.along, near.distance};
    for (std::size_t i = 0; i < other.m_line.size(); ++i)
        if (here.holds(other.m_line[i]))
            if (const auto near = nearest(other.m_line[i]); near.distance < out.distance)
                out = {near.along, other.m_at[i], near.distance};
    return out;
}

Polyline Along::between(double from, double to) const {
    Polyline out{point(from)};
    const auto first = std::upper_bound(m_at.begin(), m_at.end(), from + 1e-9);
    const auto last = std::lower_bound(first, m_at.end(), to - 1e-9);
    for (auto at = first; at != last; ++at)
        out.push_back(m_line[static_cast<std::size_t>(at - m_at.begin())]);
    out.push_back(point(to));
    return out;
}

Polyline Along::across(double from, double to) const {
    auto out = between(from, length());
    if (to <= 1e-9) return out;
    const auto rest = between(0, to);
    out.insert(out.end(), rest.begin() + 1, rest.end());
    return out;
}

Polyline Along::roundFrom(double from) const {
    if (from <= 1e-9 || from >= length() - 1e-9) return m_line;
    auto out = across(from, from);
    out.back() = out.front();
    return out;
}

} // namespace up::shape
