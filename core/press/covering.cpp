// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/covering.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <numeric>

namespace up::press {

Covering::Covering(std::size_t sets, std::uint64_t seed)
    : m_holds(sets), m_in(sets, 0), m_since(sets, 0), m_score(sets, 0), m_random(seed) {}

namespace {

template<class Work> void eachIn(const std::vector<Run>& runs, Work&& work) {
    for (const auto& run : runs)
        for (std::size_t set = run.first; set < run.end; ++set)
            work(set);
}
std::size_t countIn(const std::vector<Run>& runs) {
    std::size_t out = 0;
    for (const auto& run : runs)
        out += run.end - run.first;
    return out;
}

} // namespace

/// Neighbouring sets hold the same things, so most of what is looked at lies in rows.
void Covering::addScore(std::size_t thing, int by) {
    for (const Run run : m_heldBy[thing]) { // by value: nothing in the row changes its ends
        int* const first = m_score.data() + run.first;
        const auto count = static_cast<std::size_t>(run.end - run.first);
        for (std::size_t i = 0; i < count; ++i)
            first[i] += by;
    }
}

void Covering::take(std::vector<Run> heldBy) {
    const auto thing = m_heldBy.size();
    m_heldBy.push_back(std::move(heldBy));
    m_weight.push_back(1);
    m_place.push_back(0);
    m_times.push_back(0);
    m_only.push_back(0);
    eachIn(m_heldBy.back(), [&](std::size_t set) {
        m_holds[set].push_back(static_cast<std::uint32_t>(thing));
        if (m_in[set] != 0) ++m_times.back(), m_only.back() += set;
    });
    if (m_times.back() == 0) {
        leaveOpen(thing);
        addScore(thing, 1);
    } else if (m_times.back() == 1) {
        --m_score[m_only[thing]];
    }
}

void Covering::fill() {
    while (!m_open.empty())
        add(static_cast<std::size_t>(std::max_element(m_score.begin(), m_score.end()) - m_score.begin()));
}

bool Covering::settle(int steps) {
    for (const int end = m_step + steps; m_step < end && !m_open.empty();) {
        if ((++m_step & 0x3f) == 0) breathe();
        const auto out = leastMissed();
        remove(out), m_since[out] = m_step;
        const auto in = mostWanted(m_heldBy[m_open[m_random.below(m_open.size())]]);
        add(in), m_since[in] = m_step;
        m_justIn = in;
        for (const auto thing : m_open) {
            ++m_weight[thing];
            addScore(thing, 1);
        }
    }
    return m_open.empty();
}

std::size_t Covering::least(int tries) const {
    std::vector<std::size_t> order(m_heldBy.size());
    std::iota(order.begin(), order.end(), 0);
    std::vector<std::size_t> held;
    for (const auto& by : m_heldBy)
        held.push_back(countIn(by));
    std::stable_sort(order.begin(), order.end(),
                     [&](std::size_t a, std::size_t b) { return held[a] < held[b]; });
    Random random(1);
    std::size_t most = 0;
    std::vector<int> taken(m_holds.size(), -1); // in which try
    for (int i = 0; i < tries; ++i) {
        std::size_t found = 0;
        for (const auto thing : order) {
            const auto& by = m_heldBy[thing];
            const bool isHeld = std::any_of(by.begin(), by.end(), [&](const Run& run) {
                return std::find(taken.begin() + run.first, taken.begin() + run.end, i) !=
                       taken.begin() + run.end;
            });
            if (isHeld) continue;
            for (const auto& run : by)
                std::fill(taken.begin() + run.first, taken.begin() + run.end, i);
            ++found;
        }
        most = std::max(most, found);
        random.shuffle(order);
    }
    return most;
}

void Covering::leaveOpen(std::size_t thing) {
    m_place[thing] = m_open.size();
    m_open.push_back(thing);
}

void Covering::close(std::size_t thing) {
    m_place[m_open.back()] = m_place[thing];
    m_open[m_place[thing]] = m_open.back();
    m_open.pop_back();
}

void Covering::add(std::size_t set) {
    for (const auto thing : m_holds[set]) {
        if (m_times[thing] == 1) {
            m_score[m_only[thing]] += m_weight[thing];
        } else if (m_times[thing] == 0) {
            addScore(thing, -m_weight[thing]);
            m_score[set] += m_weight[thing];
            close(thing);
        }
        ++m_times[thing], m_only[thing] += set;
    }
    m_in[set] = 1;
    m_score[set] = -m_score[set];
    m_chosen.push_back(set);
}

void Covering::remove(std::size_t set) {
    m_in[set] = 0;
    m_score[set] = -m_score[set];
    m_chosen.erase(std::find(m_chosen.begin(), m_chosen.end(), set));
    for (const auto thing : m_holds[set]) {
        --m_times[thing], m_only[thing] -= set;
        if (m_times[thing] == 1) {
            m_score[m_only[thing]] -= m_weight[thing];
        } else if (m_times[thing] == 0) {
            addScore(thing, m_weight[thing]);
            m_score[set] -= m_weight[thing];
            leaveOpen(thing);
        }
    }
}

bool Covering::isBefore(std::size_t a, std::size_t b) const {
    return m_score[a] != m_score[b] ? m_score[a] > m_score[b] : m_since[a] < m_since[b];
}

std::size_t Covering::leastMissed() const {
    std::size_t out = m_chosen.front();
    for (const auto set : m_chosen)
        if (out == m_justIn || (set != m_justIn && isBefore(set, out))) out = set;
    return out;
}

std::size_t Covering::mostWanted(const std::vector<Run>& from) const {
    std::size_t out = from.front().first;
    eachIn(from, [&](std::size_t set) {
        if (isBefore(set, out)) out = set;
    });
    return out;
}

} // namespace up::press
