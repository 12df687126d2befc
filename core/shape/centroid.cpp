// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/centroid.hpp"

namespace up::shape {

Point centroid(const std::vector<Region>& regions) {
    Point sum;
    double area = 0;
    for (const auto& region : regions)
        for (const auto& ring : region.rings)
            for (std::size_t i = 0; i < ring.size(); ++i) {
                const Point a = ring[i], b = ring[(i + 1) % ring.size()];
                const double c = a.x * b.y - b.x * a.y;
                sum = sum + (a + b) * (c / 6);
                area += c / 2;
            }
    return area > 0 ? sum * (1 / area) : Point{};
}

} // namespace up::shape
