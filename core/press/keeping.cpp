// SPDX-License-Identifier: GPL-3.0-or-later
// Presses that were planned for an area, for one that is a little different.
#include "core/base/job.hpp"
#include "core/press/cover.hpp"
#include "core/press/ordering.hpp"
#include "core/press/places.hpp"

#include <algorithm>
#include <cmath>

namespace up::press {
namespace {

using shape::Point;
using shape::Region;
using shape::Ring;

/// What of the area the presses must hold, and what each of them holds.
struct Kept {
    Ring cover;
    Region area;
    std::vector<Region> places;
};

/// Nothing when there is something that no iron reached, or a press touches what is spared.
Result<std::optional<Kept>> keptOf(const CoverJob& job, const Cover& before) {
    auto cover = coverOf(job.iron, job.overlap);
    if (!cover) return tl::unexpected(cover.error());
    if (!before.unreached.empty() || before.presses.empty()) return std::nullopt;
    Kept out{std::move(*cover), job.area, {}};
    if (!job.spared.isEmpty())
        out.area = shape::subtract(job.area, shape::offset(job.spared, job.overlap.mm()));
    for (const auto& press : before.presses) {
        const auto whole = shape::regionOf(shape::Rings{setDown(job.iron.outline, press)});
        if (!shape::intersect(whole, job.spared).isEmpty()) return std::nullopt;
        out.places.push_back(shape::regionOf(shape::Rings{setDown(out.cover, press)}));
    }
    return out;
}

/// What is left of the area without those.
Region leftWithout(const Kept& kept, const std::vector<std::size_t>& those) {
    std::vector<Region> others;
    for (std::size_t i = 0; i < kept.places.size(); ++i)
        if (std::find(those.begin(), those.end(), i) == those.end()) others.push_back(kept.places[i]);
    return shape::subtract(kept.area, shape::unite(others));
}

/// None of `places` but the one holds all of what it covers of the area.
bool isNeeded(const Region& area, const std::vector<Region>& places, std::size_t one) {
    auto rest = shape::intersect(area, places[one]);
    for (std::size_t i = 0; i < places.size() && !rest.isEmpty(); ++i)
        if (i != one) rest = shape::subtract(rest, places[i]);
    return !rest.isEmpty();
}

/// The place that covers all of the rest, nearest to where the press was.
std::optional<Press> placeFor(const Region& rest, const Kept& kept, const Places& grid, Point was) {
    std::vector<Point> corners;
    for (const auto& ring : rest.rings)
        corners.insert(corners.end(), ring.begin(), ring.end());
    std::vector<std::pair<double, std::size_t>> near;
    for (const auto place : grid.overAll(corners))
        near.emplace_back(shape::distance(grid.press(place).at, was), place);
    std::sort(near.begin(), near.end());
    constexpr std::size_t tried =
        20; // an iron that is hollow somewhere may hold all corners and not all between
    for (std::size_t i = 0; i < near.size() && i < tried; ++i) {
        const auto press = grid.press(near[i].second);
        if (shape::subtract(rest, shape::regionOf(shape::Rings{setDown(kept.cover, press)})).isEmpty())
            return press;
    }
    return std::nullopt;
}

/// One of them where it holds all that the others leave.
std::optional<std::vector<Press>> withOneMoved(const CoverJob& job, const Cover& before, const Kept& kept) {
    const auto own = boundsOf(kept.cover);
    const double step = std::clamp(std::min(own.width(), own.height()) / 12, 1.5, 5.0); // mm
    const Places grid(job.iron, kept.cover, kept.area.bounds(), job.spared, step);
    for (std::size_t i = 0; i < kept.places.size(); ++i) {
        breathe();
        const auto rest = leftWithout(kept, {i});
        const auto box = rest.bounds();
        if (std::hypot(box.width(), box.height()) > std::hypot(own.width(), own.height())) continue;
        const auto place = placeFor(rest, kept, grid, before.presses[i].at);
        if (!place) continue;
        auto out = before.presses;
        out[i] = *place;
        return out;
    }
    return std::nullopt;
}

/// As many of them as are nearest to what is open, anew for all that the others leave.
std::optional<std::vector<Press>> withNeighboursMoved(const CoverJob& job, const Cover& before,
                                                      const Kept& kept, std::size_t many) {
    const auto open = shape::subtract(kept.area, shape::unite(kept.places)).bounds();
    std::vector<std::pair<double, std::size_t>> near;
    for (std::size_t i = 0; i < kept.places.size(); ++i)
        near.emplace_back(shape::distance(kept.places[i].bounds().centre(), open.centre()), i);
    std::sort(near.begin(), near.end());
    std::vector<std::size_t> those;
    for (std::size_t i = 0; i < many; ++i)
        those.push_back(near[i].second);
    CoverOptions options;
    options.rounds = 60;
    options.enough = many;
    const auto fresh =
        coverWith({leftWithout(kept, those), job.spared, job.iron, job.overlap, job.tips}, options);
    if (!fresh || !fresh->unreached.empty() || fresh->presses.size() > many) return std::nullopt;
    auto out = fresh->presses;
    for (std::size_t i = 0; i < before.presses.size(); ++i)
        if (std::find(those.begin(), those.end(), i) == those.end()) out.push_back(before.presses[i]);
    return out;
}

} // namespace

Result<std::optional<Cover>> stillCovering(const CoverJob& job, const Cover& before) {
    auto found = keptOf(job, before);
    if (!found) return tl::unexpected(found.error());
    if (!*found) return std::nullopt;
    auto& kept = **found;
    if (!shape::subtract(kept.area, shape::unite(kept.places)).isEmpty()) return std::nullopt;
    Cover out{before.presses, {}, before.leastByArea};
    for (std::size_t i = 0; i < kept.places.size();) {
        if (isNeeded(kept.area, kept.places, i)) {
            ++i;
            continue;
        }
        kept.places.erase(kept.places.begin() + static_cast<std::ptrdiff_t>(i));
        out.presses.erase(out.presses.begin() + static_cast<std::ptrdiff_t>(i));
    }
    return out;
}

Result<std::optional<Cover>> withFewMoved(const CoverJob& job, const Cover& before) {
    auto found = keptOf(job, before);
    if (!found) return tl::unexpected(found.error());
    if (!*found) return std::nullopt;
    auto moved = withOneMoved(job, before, **found);
    for (std::size_t many = 2; !moved && many <= 4 && 3 * many <= before.presses.size(); ++many)
        moved = withNeighboursMoved(job, before, **found, many);
    if (!moved) return std::nullopt;
    return Cover{ordered(std::move(*moved), job.iron.outline), {}, before.leastByArea};
}

} // namespace up::press
