// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/alike_things.hpp"

#include "core/stitch/things_done.hpp"

#include <algorithm>
#include <functional>
#include <map>
#include <queue>
#include <set>

namespace up::stitch {
namespace {

using Things = std::vector<std::size_t>;

struct Sorted {
    Things order;              ///< each after what it waits for
    std::vector<Things> above; ///< by thing: those that wait for it
    std::vector<Things> below;
};

Sorted sorted(const TurnsJob& job) {
    const auto count = job.thread.size();
    Sorted out{{}, std::vector<Things>(count), std::vector<Things>(count)};
    for (const auto& [first, then] : std::set(job.before.begin(), job.before.end()))
        if (first < count && then < count) out.above[first].push_back(then), out.below[then].push_back(first);
    std::vector<std::size_t> waits(count, 0);
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

} // namespace

AlikeThings alikeThings(const TurnsJob& job) {
    const auto count = job.thread.size();
    const auto [order, above, below] = sorted(job);
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
