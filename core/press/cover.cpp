// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/cover.hpp"

#include "core/base/job.hpp"
#include "core/press/covering.hpp"
#include "core/press/lattice.hpp"
#include "core/press/ordering.hpp"
#include "core/press/places.hpp"
#include "core/shape/deepest.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace up::press {
namespace {

using shape::Point;
using shape::Region;
using shape::Ring;

constexpr double fine = 0.5;       // mm: of the first look at what is left open
constexpr double crack = 0.02;     // mm: half the width of a gap that is none
constexpr double inward = 0.05;    // mm: points of a border are taken so far within it
constexpr int tries = 60;          // to prove that no fewer do
constexpr double leastApart = 0.2; // mm between points

using Chosen = std::vector<std::size_t>;

class Pressing {
public:
    Pressing(const CoverJob& job, Ring cover, const CoverOptions& options)
        : m_job(job), m_cover(std::move(cover)), m_wanted(wantedOf(job)),
          m_places(job.iron, m_cover, m_wanted.bounds(), job.spared, apart(m_cover)),
          m_search(m_places.count(), options.seed), m_lattice(m_wanted, fine), m_options(options) {
        const auto own = boundsOf(m_cover);
        m_reach = std::min(own.width(), own.height()) / 3;
        m_least = static_cast<std::size_t>(
            std::ceil(m_wanted.area() / shape::regionOf(shape::Rings{m_cover}).area() - 1e-9));
    }

    Cover run() {
        setUnreachedAside();
        Cover out{{}, m_unreached, m_least};
        if (m_wanted.isEmpty()) return out;
        takeFirstPoints();
        auto best = search();
        spareTips(best);
        for (const auto place : best)
            out.presses.push_back(m_places.press(place));
        out.presses = ordered(std::move(out.presses), m_job.iron.outline);
        return out;
    }

private:
    /// Between the places that are tried, mm.
    static double apart(const Ring& cover) {
        const auto own = boundsOf(cover);
        return std::clamp(std::min(own.width(), own.height()) / 14, 3.0, 8.0);
    }
    /// A tenth of a millimetre more, with far fewer corners.
    static Region wantedOf(const CoverJob& job) {
        auto area = shape::coveringSimplified(job.area, 0.1);
        if (job.spared.isEmpty()) return area;
        return shape::subtract(area, shape::offset(job.spared, job.overlap.mm()));
    }

    [[nodiscard]] Region coverAt(std::size_t place) const {
        return shape::regionOf(shape::Rings{setDown(m_cover, m_places.press(place))});
    }
    [[nodiscard]] Region coveredBy(const Chosen& chosen) const {
        std::vector<Region> all;
        for (const auto place : chosen)
            all.push_back(coverAt(place));
        return shape::unite(all);
    }
    /// Parts of `area` that the region leaves open, without cracks.
    static std::vector<Region> open(const Region& area, const Region& covered) {
        return shape::islands(shape::offset(shape::subtract(area, covered), -crack));
    }

    /// What no place covers, a small disc at a time round each point that none reaches.
    void setUnreachedAside() {
        if (m_job.spared.isEmpty()) return;
        auto rest = m_wanted;
        std::vector<Region> out;
        for (int i = 0; i < 2000 && !rest.isEmpty(); ++i) {
            breathe();
            const auto at = shape::deepestPoint(shape::islands(rest).front(), 0.2).at;
            const auto over = m_places.over(at);
            const auto done =
                over.empty() ? shape::regionOf(shape::Rings{disc(at)}) : coverAt(nearestTo(at, over));
            if (over.empty()) out.push_back(shape::intersect(done, rest));
            rest = shape::offset(shape::subtract(rest, done), -crack);
        }
        m_unreached = shape::unite(out);
        m_wanted = shape::subtract(m_wanted, m_unreached);
    }
    [[nodiscard]] std::size_t nearestTo(Point at, const std::vector<std::size_t>& places) const {
        const auto away = [&](std::size_t place) { return shape::distance(m_places.press(place).at, at); };
        return *std::min_element(places.begin(), places.end(),
                                 [&](std::size_t a, std::size_t b) { return away(a) < away(b); });
    }
    static Ring disc(Point at) {
        Ring out;
        for (int i = 0; i < 12; ++i)
            out.push_back(at + Point{std::cos(i * 0.5236), std::sin(i * 0.5236)});
        return out;
    }

    void take(Point p) {
        const bool known = std::any_of(m_points.begin(), m_points.end(),
                                       [&](Point q) { return shape::distance(p, q) < leastApart; });
        if (known) return;
        auto over = m_places.over(p);
        if (over.empty()) return; // a hair beyond what the iron reaches
        m_points.push_back(p);
        m_search.take(std::move(over));
    }

    /// A grid, and the border.
    void takeFirstPoints() {
        const auto within = shape::offset(m_wanted, -inward);
        for (const auto& island : shape::islands(within)) {
            take(shape::deepestPoint(island, 0.5).at);
            const auto& border = island.rings.front();
            const double whole = shape::perimeter(border);
            auto line = border;
            line.push_back(border.front());
            for (double along = 0; along < whole; along += m_reach)
                take(shape::pointAlong(line, along));
        }
        const auto box = within.bounds();
        for (double y = box.top + m_reach / 2; y < box.bottom; y += m_reach)
            for (double x = box.left + m_reach / 2; x < box.right; x += m_reach)
                if (within.contains({x, y})) take({x, y});
    }

    void takeOpen(const std::vector<Region>& rest) {
        for (const auto& part : rest) {
            const Point middle = shape::deepestPoint(part, 0.1).at;
            take(middle);
            auto corners = part.rings.front();
            std::stable_sort(corners.begin(), corners.end(), [&](Point a, Point b) {
                return shape::distance(a, middle) > shape::distance(b, middle);
            });
            int taken = 0;
            for (const Point corner : corners)
                if (const Point p = middle + (corner - middle) * 0.9; taken < 3 && part.contains(p))
                    take(p), ++taken;
        }
    }

    /// What these leave open is taken in; false when it is nothing.
    bool leavesOpen(const Chosen& chosen) {
        std::vector<Ring> rings;
        for (const auto place : chosen)
            rings.push_back(setDown(m_cover, m_places.press(place)));
        const auto points = m_lattice.open(rings, m_reach / 2);
        const auto before = m_points.size();
        for (const Point p : points)
            take(p);
        if (m_points.size() > before) return true;
        const auto rest = open(m_wanted, coveredBy(chosen));
        takeOpen(rest);
        return !rest.empty();
    }

    /// A number of places for which all points taken are covered; then points of what they leave open all the same;
    /// then one place fewer.
    Chosen search() {
        Chosen best;
        m_search.fill();
        for (int round = 0; round < m_options.rounds; ++round) {
            if (!m_search.settle(m_options.steps)) {
                if (!best.empty()) break;
                m_search.fill();
            }
            if (leavesOpen(m_search.chosen())) continue;
            best = m_search.chosen();
            if (best.size() <= std::max(m_least, m_search.least(tries))) break;
            m_search.drop();
        }
        return best.empty() ? patched(m_search.chosen()) : best;
    }

    /// Those and as many more as it takes, then without those that are not needed.
    Chosen patched(Chosen chosen) const {
        for (auto rest = open(m_wanted, coveredBy(chosen)); !rest.empty();
             rest = open(m_wanted, coveredBy(chosen))) {
            const auto more = m_places.mostOver(cornersOf(rest));
            if (!more) break; // a crack between places that the iron is too small for
            chosen.push_back(*more);
        }
        for (std::size_t i = 0; i < chosen.size();) {
            auto fewer = chosen;
            fewer.erase(fewer.begin() + static_cast<std::ptrdiff_t>(i));
            if (open(m_wanted, coveredBy(fewer)).empty())
                chosen = std::move(fewer);
            else
                ++i;
        }
        return chosen;
    }
    static std::vector<Point> cornersOf(const std::vector<Region>& parts) {
        std::vector<Point> out;
        for (const auto& part : parts) {
            const auto middle = shape::deepestPoint(part, 0.1).at;
            out.push_back(middle);
            for (const Point p : part.rings.front())
                out.push_back(middle + (p - middle) * 0.98);
        }
        return out;
    }

    /// How many loose tips lie near the border of the iron there.
    [[nodiscard]] int tipsAt(std::size_t place) const {
        const auto whole = setDown(m_job.iron.outline, m_places.press(place));
        return static_cast<int>(std::count_if(m_job.tips.begin(), m_job.tips.end(), [&](Point tip) {
            return shape::distanceTo(whole, tip) < nearTip;
        }));
    }

    /// Each press goes where it ends on fewer tips, if it covers there what no other one does.
    void spareTips(Chosen& chosen) const {
        if (m_job.tips.empty()) return;
        for (std::size_t i = 0; i < chosen.size(); ++i) {
            const int now = tipsAt(chosen[i]);
            if (now == 0) continue;
            auto others = chosen;
            others.erase(others.begin() + static_cast<std::ptrdiff_t>(i));
            const auto own = open(m_wanted, coveredBy(others));
            chosen[i] = sparing(own, chosen[i], now);
        }
    }
    [[nodiscard]] std::size_t sparing(const std::vector<Region>& own, std::size_t place, int now) const {
        std::vector<std::pair<int, std::size_t>> better;
        for (const auto other : m_places.overAll(cornersOf(own)))
            if (const int tips = tipsAt(other); tips < now) better.emplace_back(tips, other);
        std::stable_sort(better.begin(), better.end(),
                         [](const auto& a, const auto& b) { return a.first < b.first; });
        constexpr std::size_t tried = 40;
        for (std::size_t i = 0; i < better.size() && i < tried; ++i) {
            const auto cover = coverAt(better[i].second);
            if (std::all_of(own.begin(), own.end(),
                            [&](const Region& part) { return open(part, cover).empty(); }))
                return better[i].second;
        }
        return place;
    }

    const CoverJob& m_job;
    Ring m_cover;
    Region m_wanted, m_unreached;
    Places m_places;
    Covering m_search;
    Lattice m_lattice;
    CoverOptions m_options;
    double m_reach = 10; ///< mm between the first points
    std::size_t m_least = 1;
    std::vector<Point> m_points;
};

} // namespace

Result<Cover> coverWith(const CoverJob& job, const CoverOptions& options) {
    auto cover = coverOf(job.iron, job.overlap);
    if (!cover) return tl::unexpected(cover.error());
    return Pressing(job, std::move(*cover), options).run();
}

} // namespace up::press
