// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/things_in_order.hpp"

#include <functional>
#include <queue>
#include <set>

namespace up::stitch {

ThingsInOrder thingsInOrder(std::size_t count,
                            const std::vector<std::pair<std::size_t, std::size_t>>& before) {
    ThingsInOrder out{{}, std::vector<Things>(count), std::vector<Things>(count)};
    for (const auto& [first, then] : std::set(before.begin(), before.end()))
        if (first < count && then < count) out.above[first].push_back(then), out.below[then].push_back(first);
    Things waits(count, 0);
    std::priority_queue<std::size_t, Things, std::greater<>> free;
    for (std::size_t i = 0; i < count; ++i)
        if (waits[i] = out.below[i].size(); waits[i] == 0) free.push(i);
    while (!free.empty()) {
        const auto i = free.top();
        free.pop();
        out.order.push_back(i);
        for (const auto then : out.above[i])
            if (--waits[then] == 0) free.push(then);
    }
    return out;
}

} // namespace up::stitch
