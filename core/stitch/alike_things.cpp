// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/alike_things.hpp"

#include "core/stitch/things_done.hpp"
#include "core/stitch/things_in_order.hpp"

#include <algorithm>
#include <map>
#include <set>

namespace up::stitch {

AlikeThings alikeThings(const TurnsJob& job) {
    const auto count = job.thread.size();
    const auto [order, _, below] = thingsInOrder(count, job.before);
    std::map<int, ThingsDone> others; // by thread: things of all others
    for (const auto thread : job.thread)
        if (auto& set = others.try_emplace(thread, count).first->second; set == ThingsDone(count))
            for (std::size_t i = 0; i < count; ++i)
                if (job.thread[i] != thread) set.add(i);
    AlikeThings out;
    out.job.on = job.on, out.job.quick = job.quick;
    std::vector<ThingsDone> all(count, ThingsDone(count)); // that each waits for, near and far
    std::map<std::pair<int, ThingsDone>, std::size_t> known;
    std::vector<std::size_t> groupOf(count, 0);
    for (const auto i : order) {
        for (const auto first : below[i])
            all[i].add(first), all[i].add(all[first]);
        auto waitsFor = all[i];
        waitsFor.keepOnly(others.at(job.thread[i]));
        const auto [group, isNew] =
            known.try_emplace({job.thread[i], std::move(waitsFor)}, out.groups.size());
        if (isNew) out.groups.emplace_back(), out.job.thread.push_back(job.thread[i]);
        groupOf[i] = group->second;
        out.groups[groupOf[i]].push_back(i);
    }
    std::set<std::pair<std::size_t, std::size_t>> before;
    for (const auto i : order)
        for (const auto first : below[i])
            if (groupOf[first] != groupOf[i]) before.emplace(groupOf[first], groupOf[i]);
    out.job.before.assign(before.begin(), before.end());
    return out;
}

} // namespace up::stitch
