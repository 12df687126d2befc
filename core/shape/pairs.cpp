// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/pairs.hpp"

#include <algorithm>
#include <numeric>

namespace up::shape {

std::vector<std::pair<std::size_t, std::size_t>> pairsThatMeet(const std::vector<Box>& boxes) {
    std::vector<std::size_t> order(boxes.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::erase_if(order, [&](std::size_t i) { return boxes[i].isEmpty(); });
    std::sort(order.begin(), order.end(),
              [&](std::size_t a, std::size_t b) { return boxes[a].left < boxes[b].left; });
    std::vector<std::size_t> crossed;
    std::vector<std::pair<std::size_t, std::size_t>> out;
    for (const std::size_t i : order) {
        std::erase_if(crossed, [&](std::size_t j) { return boxes[j].right < boxes[i].left; });
        for (const std::size_t j : crossed)
            if (boxes[j].meets(boxes[i])) out.emplace_back(std::min(i, j), std::max(i, j));
        crossed.push_back(i);
    }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace up::shape
