// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/cover.hpp"

#include "core/base/job.hpp"
#include "core/press/covering.hpp"
#include "core/press/lattice.hpp"
#include "core/press/ordering.hpp"
#include "core/press/places.hpp"

#include <algorithm>
#include <cmath>

namespace up::press {
namespace {

using shape::Point;
using shape::Region;
using shape::Ring;

constexpr double hair = 0.002; // mm
constexpr int tries = 60;      // to prove that no fewer do

/// mm between the points of the lattice that must be covered. Where many presses are needed it is looked at often, and
/// one more or less is nothing; where few are, a hair may decide.
double fineFor(const Ring& cover) {
    const auto own = boundsOf(cover);
    return std::min(own.width(), own.height()) > 50 ? 0.1 : 0.25;
}
/// No place is farther from a point of the lattice.
double slackOf(double fine) {
    return fine * 0.7072;
}

using Chosen = std::vector<std::size_t>;

/// The iron is taken a little smaller and the area a little larger, so that what covers all points of a lattice covers
/// everything.
class Pressing {
public:
    /// `sure`: a hair smaller than `cover`, so that what is said to be covered by a place is.
    Pressing(const CoverJob& job, Ring cover, const Ring& sure, double fine, const CoverOptions& options)
        : m_job(job), m_cover(std::move(cover)), m_wanted(wantedOf(job, fine)),
          m_places(job.iron, sure, m_wanted.bounds(), job.spared, apart(m_cover, job.area.area())),
          m_search(m_places.count(), options.seed), m_lattice(m_wanted, fine), m_options(options) {
        const auto own = boundsOf(m_cover);
        m_reach = std::min(own.width(), own.height()) / 3;
    }

    Cover run(double ironArea) {
        Cover out{{}, {}, static_cast<std::size_t>(std::ceil(m_job.area.area() / ironArea - 1e-9))};
        if (m_wanted.isEmpty()) return out;
        if (!m_job.spared.isEmpty()) out.unreached = m_lattice.keepWithin(everywhere(), m_reach);
        m_least = out.leastByArea;
        take(m_lattice.open({}, m_reach));
        auto best = search();
        spareTips(best);
        for (const auto place : best)
            out.presses.push_back(m_places.press(place));
        out.presses = ordered(std::move(out.presses), m_job.iron.outline);
        return out;
    }

private:
    /// Between the places that are tried, mm: closer where few presses will do, for there one more or less counts.
    static double apart(const Ring& cover, double area) {
        const auto own = boundsOf(cover);
        constexpr double few = 6;
        const double parts = area < few * std::abs(shape::signedArea(cover)) ? 9 : 6;
        return std::clamp(std::min(own.width(), own.height()) / parts, 3.0, 8.0);
    }
    static Region wantedOf(const CoverJob& job, double fine) {
        const double simpler = fine / 3; // with far fewer corners
        auto area = shape::offset(shape::coveringSimplified(job.area, simpler), slackOf(fine));
        if (job.spared.isEmpty()) return area;
        return shape::subtract(area, shape::offset(job.spared, job.overlap.mm()));
    }

    [[nodiscard]] Ring coverAt(std::size_t place) const { return setDown(m_cover, m_places.press(place)); }
    [[nodiscard]] std::vector<Ring> coversAt(const Chosen& chosen) const {
        std::vector<Ring> out;
        for (const auto place : chosen)
            out.push_back(coverAt(place));
        return out;
    }
    [[nodiscard]] std::vector<Ring> everywhere() const {
        std::vector<Ring> out;
        for (std::size_t place = 0; place < m_places.count(); ++place)
            if (m_places.isFree(place)) out.push_back(coverAt(place));
        return out;
    }
    [[nodiscard]] bool isCovered(const Chosen& chosen) const {
        return m_lattice.open(coversAt(chosen), m_reach).empty();
    }

    void take(const std::vector<Point>& points) {
        for (const Point p : points)
            if (auto over = m_places.over(p); !over.empty()) m_search.take(std::move(over));
    }

    /// A number of places for which all points taken are covered; then points of what they leave open all the same;
    /// then one place fewer.
    Chosen search() {
        Chosen best;
        for (const auto& press : m_options.start)
            if (const auto place = m_places.nearest(press)) m_search.choose(*place);
        m_search.fill();
        while (!m_options.start.empty() && m_search.chosen().size() > m_options.start.size())
            m_search.drop();
        for (int round = 0; round < m_options.rounds; ++round) {
            breathe();
            if (!m_search.settle(m_options.steps)) {
                if (!best.empty()) break;
                m_search.fill();
            }
            const auto open = m_lattice.open(coversAt(m_search.chosen()), m_reach / 2);
            take(open);
            if (!open.empty()) continue;
            best = m_search.chosen();
            if (best.size() <= m_options.enough) break;
            if (best.size() <= std::max({m_least, m_search.least(tries), std::size_t{1}})) break;
            m_search.drop();
        }
        return best.empty() ? patched(m_search.chosen()) : best;
    }

    /// Those and as many more as it takes, then without those that are not needed.
    [[nodiscard]] Chosen patched(Chosen chosen) const {
        for (auto open = m_lattice.open(coversAt(chosen), m_reach / 4); !open.empty();
             open = m_lattice.open(coversAt(chosen), m_reach / 4)) {
            const auto more = m_places.mostOver(open);
            if (!more) break; // a hair beyond what the iron reaches
            chosen.push_back(*more);
        }
        for (std::size_t i = 0; i < chosen.size();)
            if (auto fewer = without(chosen, i); isCovered(fewer))
                chosen = std::move(fewer);
            else
                ++i;
        return chosen;
    }
    static Chosen without(Chosen chosen, std::size_t i) {
        chosen.erase(chosen.begin() + static_cast<std::ptrdiff_t>(i));
        return chosen;
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
        for (std::size_t i = 0; i < chosen.size(); ++i)
            if (const int now = tipsAt(chosen[i]); now > 0)
                chosen[i] = sparing(without(chosen, i), chosen[i], now);
    }
    [[nodiscard]] std::size_t sparing(Chosen others, std::size_t place, int now) const {
        std::vector<std::pair<int, std::size_t>> better;
        for (const auto other : m_places.overAll(m_lattice.open(coversAt(others), m_reach / 4)))
            if (const int tips = tipsAt(other); tips < now) better.emplace_back(tips, other);
        std::stable_sort(better.begin(), better.end(),
                         [](const auto& a, const auto& b) { return a.first < b.first; });
        constexpr std::size_t tried = 40;
        for (std::size_t i = 0; i < better.size() && i < tried; ++i) {
            others.push_back(better[i].second);
            if (isCovered(others)) return better[i].second;
            others.pop_back();
        }
        return place;
    }

    const CoverJob& m_job;
    Ring m_cover;
    Region m_wanted;
    Places m_places;
    Covering m_search;
    Lattice m_lattice;
    CoverOptions m_options;
    double m_reach = 10; ///< mm between the first points
    std::size_t m_least = 1;
};

} // namespace

Result<Cover> coverWith(const CoverJob& job, const CoverOptions& options) {
    const auto whole = coverOf(job.iron, job.overlap);
    if (!whole) return tl::unexpected(whole.error());
    const auto within = [&](double mm) {
        return coverOf(job.iron, job.overlap + measure::Length::ofMm(2 * mm));
    };
    const double fine = fineFor(*whole), slack = slackOf(fine);
    auto cover = within(slack), sure = within(slack + hair);
    if (!cover || !sure) return failure(Code::badSoleplate);
    return Pressing(job, std::move(*cover), *sure, fine, options).run(std::abs(shape::signedArea(*whole)));
}

} // namespace up::press
