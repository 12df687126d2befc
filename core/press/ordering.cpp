// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/ordering.hpp"

#include "core/shape/centroid.hpp"

#include <algorithm>

namespace up::press {

std::vector<Press> ordered(std::vector<Press> presses, const shape::Ring& outline) {
    constexpr double lowFirst = 2; // what lies so many mm lower may be this many times farther away
    const auto own = shape::centroid({shape::regionOf(shape::Rings{outline})});
    const auto middle = [&](const Press& press) { return setDown({own}, press).front(); };
    std::vector<Press> out;
    while (!presses.empty()) {
        double lowest = -std::numeric_limits<double>::infinity();
        for (const auto& press : presses)
            lowest = std::max(lowest, middle(press).y);
        const auto cost = [&](const Press& press) {
            const auto at = middle(press);
            const double way = out.empty() ? at.x / 1000 : shape::distance(middle(out.back()), at);
            return way + lowFirst * (lowest - at.y);
        };
        const auto next = std::min_element(presses.begin(), presses.end(),
                                           [&](const auto& a, const auto& b) { return cost(a) < cost(b); });
        out.push_back(*next);
        presses.erase(next);
    }
    return out;
}

} // namespace up::press
