// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/places.hpp"

#include "core/press/lattice.hpp"

#include <algorithm>
#include <cmath>

namespace up::press {
namespace {

using shape::Point;
using shape::Ring;

constexpr double hair = 1e-6; // mm

/// Positions along one axis at which [low, high] of the iron meets [from, to].
std::vector<double> axis(double from, double to, double low, double high, double step) {
    std::vector<double> out;
    const double first = from - high, last = to - low, size = high - low;
    for (int i = 0; i < std::max(1, static_cast<int>(std::ceil((last - first) / step))); ++i)
        out.push_back(first + step / 2 + step * i);
    for (int i = 0; i < static_cast<int>(std::ceil((to - from) / size)); ++i)
        out.push_back(from - low + size * i), out.push_back(to - high - size * i);
    std::sort(out.begin(), out.end());
    out.erase(std::unique(out.begin(), out.end(), [](double a, double b) { return b - a < hair; }),
              out.end());
    return out;
}

bool isSame(const Ring& a, const Ring& b) {
    const auto x = shape::regionOf(shape::Rings{a}), y = shape::regionOf(shape::Rings{b});
    return shape::intersect(x, y).area() > x.area() * (1 - 1e-6);
}

} // namespace

Places::Places(const Iron& iron, const Ring& cover, const shape::Box& box, const shape::Region& spared,
               double step) {
    for (const auto turn : iron.turns) {
        auto here = setDown(cover, {{}, turn});
        if (std::any_of(m_fields.begin(), m_fields.end(),
                        [&](const Field& field) { return isSame(field.cover, here); }))
            continue;
        const auto own = boundsOf(here);
        auto xs = axis(box.left, box.right, own.left, own.right, step);
        auto ys = axis(box.top, box.bottom, own.top, own.bottom, step);
        const auto more = xs.size() * ys.size();
        m_fields.push_back({turn, std::move(here), std::move(xs), std::move(ys), m_count});
        m_count += more;
    }
    m_free.assign(m_count, 1);
    if (!spared.isEmpty()) forbid(iron, spared);
}

void Places::forbid(const Iron& iron, const shape::Region& spared) {
    const auto box = spared.bounds();
    for (std::size_t place = 0; place < m_count; ++place) {
        const auto whole = setDown(iron.outline, press(place));
        if (!boundsOf(whole).meets(box)) continue;
        m_free[place] = shape::intersect(shape::regionOf(shape::Rings{whole}), spared).isEmpty();
    }
}

Press Places::press(std::size_t place) const {
    const auto field =
        std::find_if(m_fields.rbegin(), m_fields.rend(), [&](const Field& f) { return f.first <= place; });
    const auto at = place - field->first;
    return {{field->xs[at % field->xs.size()], field->ys[at / field->xs.size()]}, field->turn};
}

std::optional<std::size_t> Places::nearest(const Press& press) const {
    const auto field =
        std::find_if(m_fields.begin(), m_fields.end(), [&](const Field& f) { return f.turn == press.turn; });
    if (field == m_fields.end()) return std::nullopt;
    const auto away = [&](std::size_t place) { return shape::distance(this->press(place).at, press.at); };
    std::optional<std::size_t> out;
    for (std::size_t i = 0; i < field->xs.size() * field->ys.size(); ++i)
        if (const auto place = field->first + i; isFree(place) && (!out || away(place) < away(*out)))
            out = place;
    return out;
}

template<class Work> void Places::eachOver(Point point, Work&& work) const {
    std::vector<double> across;
    for (const auto& field : m_fields)
        for (std::size_t row = 0; row < field.ys.size(); ++row) {
            crossingsAt(field.cover, point.y - field.ys[row], across);
            // The iron lies over the point where its place is to the left of it by no less and no more.
            for (std::size_t i = 0; i + 1 < across.size(); i += 2) {
                const auto from =
                    std::lower_bound(field.xs.begin(), field.xs.end(), point.x - across[i + 1] - hair);
                const auto to = std::upper_bound(from, field.xs.end(), point.x - across[i] + hair);
                const auto place = field.first + row * field.xs.size();
                for (auto x = from; x != to; ++x)
                    if (const auto p = place + static_cast<std::size_t>(x - field.xs.begin()); m_free[p])
                        work(p);
            }
        }
}

std::vector<Run> Places::over(Point point) const {
    std::vector<Run> out;
    eachOver(point, [&](std::size_t place) {
        const auto at = static_cast<std::uint32_t>(place);
        if (!out.empty() && out.back().end == at)
            ++out.back().end;
        else
            out.push_back({at, at + 1});
    });
    return out;
}

std::vector<std::size_t> Places::timesOver(const std::vector<Point>& points) const {
    std::vector<std::size_t> out(m_count, 0);
    for (const Point point : points)
        eachOver(point, [&](std::size_t place) { ++out[place]; });
    return out;
}

std::optional<std::size_t> Places::mostOver(const std::vector<Point>& points) const {
    const auto times = timesOver(points);
    const auto most = std::max_element(times.begin(), times.end());
    if (most == times.end() || *most == 0) return std::nullopt;
    return static_cast<std::size_t>(most - times.begin());
}

std::vector<std::size_t> Places::overAll(const std::vector<Point>& points) const {
    const auto times = timesOver(points);
    std::vector<std::size_t> out;
    for (std::size_t place = 0; place < times.size(); ++place)
        if (times[place] == points.size()) out.push_back(place);
    return out;
}

} // namespace up::press
