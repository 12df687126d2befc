// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/hand/stitches.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace up::hand {

using shape::Point;
using shape::Polyline;

namespace {

constexpr double corner = 30 * std::numbers::pi / 180;

bool isCorner(Point a, Point b, Point c) {
    const auto in = b - a, out = c - b;
    return std::abs(std::atan2(in.x * out.y - in.y * out.x, in.x * out.x + in.y * out.y)) > corner;
}

double offTheLine(Point a, Point b, Point p) {
    const auto way = b - a;
    const double long2 = way.x * way.x + way.y * way.y;
    const auto from = p - a;
    const double t = long2 > 0 ? std::clamp((from.x * way.x + from.y * way.y) / long2, 0.0, 1.0) : 0;
    return shape::distance(p, a + way * t);
}

/// A line between two corners, by the way along it.
class Stretch {
public:
    explicit Stretch(Point start) : m_points{start}, m_along{0} {}
    void add(Point p) {
        m_along.push_back(m_along.back() + shape::distance(m_points.back(), p));
        m_points.push_back(p);
    }
    [[nodiscard]] Point end() const { return m_points.back(); }
    [[nodiscard]] double length() const { return m_along.back(); }
    [[nodiscard]] Point at(double along) const {
        const auto next = std::upper_bound(m_along.begin() + 1, m_along.end() - 1, along);
        const auto i = static_cast<std::size_t>(next - m_along.begin());
        const double step = m_along[i] - m_along[i - 1];
        const double share = step > 0 ? std::clamp((along - m_along[i - 1]) / step, 0.0, 1.0) : 0;
        return m_points[i - 1] + (m_points[i] - m_points[i - 1]) * share;
    }
    /// Where stitches end that go as far each time as length and bend allow; the last at its end.
    [[nodiscard]] std::vector<double> stepped(double length, double off) const {
        std::vector<double> out{0};
        constexpr double shortest = 0.02; // mm: a line without any smoothness comes to an end too
        while (out.back() < this->length() - 1e-9) {
            const double from = out.back();
            double step = std::min(length, this->length() - from);
            while (step > shortest && leaves(from, from + step, off))
                step *= 0.97;
            const double to = from + step;
            out.push_back(to > this->length() - 1e-9 ? this->length() : to);
        }
        return out;
    }
    /// As few stitches as they can be, and as even as that allows, by the least share of the length that does; `more`
    /// stitches than that.
    [[nodiscard]] std::vector<double> evenly(double length, std::size_t least, std::size_t more) const {
        const auto holes = [&](double share) { return stepped(length * share, mostOff * share); };
        const auto most = std::max(holes(1).size(), least) + more;
        double low = 0.02, high = 1;
        for (int i = 0; i < 30; ++i) {
            const double middle = (low + high) / 2;
            (holes(middle).size() <= most ? high : low) = middle;
        }
        return holes(high);
    }

private:
    [[nodiscard]] bool leaves(double from, double to, double off) const {
        const auto a = at(from), b = at(to);
        return std::any_of(sixths.begin(), sixths.end(), [&](double share) {
            return offTheLine(a, b, at(from + (to - from) * share)) > off;
        });
    }
    static constexpr std::array sixths{1 / 6.0, 1 / 3.0, 0.5, 2 / 3.0, 5 / 6.0};
    Polyline m_points;
    std::vector<double> m_along;
};

std::vector<Stretch> betweenCorners(const Polyline& line) {
    std::vector<Stretch> out{Stretch(line.front())};
    for (std::size_t i = 1; i < line.size(); ++i) {
        out.back().add(line[i]);
        if (i + 1 < line.size() && isCorner(line[i - 1], line[i], line[i + 1])) out.emplace_back(line[i]);
    }
    return out;
}

} // namespace

Polyline holesAlong(const Polyline& line, const Stitch& stitch) {
    if (line.size() < 2 || shape::lengthOf(line) < 1e-6) return {};
    Polyline out{line.front()};
    const auto stretches = betweenCorners(line);
    const bool closed = shape::distance(line.front(), line.back()) < 1e-6;
    const double apart = stitch.kind == Kind::stem ? stitch.length / 2 : stitch.length;
    for (std::size_t i = 0; i < stretches.size(); ++i) {
        const auto& stretch = stretches[i];
        const std::size_t least = closed && stretches.size() == 1 ? 3 : 2;
        auto holes = stretch.evenly(apart, least, 0);
        const bool isLast = i + 1 == stretches.size();
        const bool endsBehind =
            (out.size() + holes.size() - 2) % 2 == 0; // gaps in all: the last one is not seen
        if (stitch.kind == Kind::running && isLast && endsBehind) holes = stretch.evenly(apart, least, 1);
        for (std::size_t k = 1; k < holes.size(); ++k)
            out.push_back(stretch.at(holes[k]));
    }
    return out;
}

std::vector<Made> sewn(const Polyline& holes, Kind kind) {
    std::vector<Made> out;
    const auto show = [&](std::size_t from, std::size_t to) {
        const double behind = out.empty() ? 0 : shape::distance(out.back().to, holes[from]);
        out.push_back(
            {holes[from], holes[to], behind + shape::distance(holes[from], holes[to]) + 2 * throughCloth});
    };
    const auto count = holes.size();
    switch (kind) {
    case Kind::back:
        for (std::size_t i = 1; i < count; ++i)
            show(i, i - 1);
        break;
    case Kind::stem:
        if (count == 2) show(0, 1);
        for (std::size_t i = 2; i < count; ++i)
            show(i - 2, i);
        break;
    case Kind::running:
        for (std::size_t i = 1; i < count; i += 2)
            show(i - 1, i);
        break;
    }
    return out;
}

} // namespace up::hand
