// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/ends.hpp"

#include "core/stitch/things_done.hpp"
#include "core/stitch/things_in_order.hpp"

#include <algorithm>

namespace up::stitch {

int leastEnds(const Network& network) {
    const auto count = network.arcs.size();
    std::vector<std::pair<std::size_t, std::size_t>> before;
    std::vector<Things> at(network.hops.size());
    for (std::size_t k = 0; k < count; ++k) {
        const auto& arc = network.arcs[k];
        for (const auto first : arc.first)
            before.emplace_back(first, k);
        at[arc.from].push_back(k), at[arc.to].push_back(k);
    }
    const auto [order, above, below] = thingsInOrder(count, before);
    std::vector<ThingsDone> all(count, ThingsDone(count)),
        far(count, ThingsDone(count)); // for which each waits
    for (const auto k : order)
        for (const auto first : below[k])
            all[k].add(first), all[k].add(all[first]), far[k].add(all[first]);
    const auto mayFollow = [&](std::size_t j, std::size_t k) {
        return j != k && !all[j].has(k) && !far[k].has(j);
    };
    std::vector<bool> follows(count, false), leads(count, false);
    for (std::size_t place = 0; place < at.size(); ++place)
        for (const auto j : at[place]) {
            const auto meet = [&](std::size_t where) {
                for (const auto k : at[where])
                    if (network.arcs[j].thread == network.arcs[k].thread && mayFollow(j, k))
                        leads[j] = follows[k] = true;
            };
            meet(place);
            for (const auto& hop : network.hops[place])
                meet(hop.to);
        }
    return static_cast<int>(std::max(std::count(follows.begin(), follows.end(), false),
                                     std::count(leads.begin(), leads.end(), false)));
}

} // namespace up::stitch
