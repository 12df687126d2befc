// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/raster.hpp"

#include <algorithm>
#include <cmath>

namespace up::test {
namespace {

/// Where the row at `y` runs into and out of the region.
std::vector<double> crossings(const shape::Region& region, double y) {
    std::vector<double> out;
    for (const auto& ring : region.rings)
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const auto a = ring[i], b = ring[(i + 1) % ring.size()];
            if ((a.y <= y) != (b.y <= y)) out.push_back(a.x + (y - a.y) / (b.y - a.y) * (b.x - a.x));
        }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace

std::vector<double> paintedAreas(const std::vector<shape::Region>& regions, double dot) {
    shape::Box all;
    for (const auto& region : regions)
        all.take(region.bounds());
    std::vector<double> areas(regions.size(), 0);
    if (all.isEmpty()) return areas;
    const auto columns = static_cast<std::size_t>(all.width() / dot) + 2;
    std::vector<std::size_t> row(columns);
    const auto column = [&](double x) {
        return static_cast<std::size_t>(
            std::clamp(std::ceil((x - all.left) / dot - 0.5), 0.0, double(columns)));
    };
    for (double y = all.top + dot / 2; y < all.bottom; y += dot) {
        std::fill(row.begin(), row.end(), regions.size());
        for (std::size_t i = 0; i < regions.size(); ++i) {
            const auto at = crossings(regions[i], y);
            for (std::size_t k = 0; k + 1 < at.size(); k += 2)
                std::fill(row.begin() + static_cast<std::ptrdiff_t>(column(at[k])),
                          row.begin() + static_cast<std::ptrdiff_t>(column(at[k + 1])), i);
        }
        for (const std::size_t owner : row)
            if (owner < regions.size()) areas[owner] += dot * dot;
    }
    return areas;
}

} // namespace up::test
