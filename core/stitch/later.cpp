// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/later.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <map>
#include <set>

namespace up::stitch {
namespace {

using Things = std::vector<std::size_t>;

class PuttingOff {
public:
    PuttingOff(std::vector<Turn> turns, const std::vector<std::pair<std::size_t, std::size_t>>& before,
               const TiesOf& ties, const PartsOf& parts)
        : m_turns(std::move(turns)), m_ties(ties), m_parts(parts) {
        for (std::size_t t = 0; t < m_turns.size(); ++t)
            for (const auto thing : m_turns[t].things)
                m_turnOf[thing] = t;
        for (const auto& [first, then] : before)
            if (m_turnOf.contains(first) && m_turnOf.contains(then)) m_then[first].push_back(then);
    }

    std::vector<Turn> run() {
        for (bool helped = true; helped;) {
            helped = false;
            for (std::size_t t = m_turns.size(); t-- > 0;)
                helped = improve(t) || helped;
        }
        return std::move(m_turns);
    }

private:
    bool improve(std::size_t from) {
        bool helped = false;
        for (std::size_t to = from + 1; to < m_turns.size(); ++to) {
            if (m_turns[to].thread != m_turns[from].thread) continue;
            breathe();
            for (const auto& part : m_parts(m_turns[from].things))
                helped = helps(part, from, to) || helped;
            const Things all = m_turns[from].things;
            for (const auto thing : all)
                helped = helps({thing}, from, to) || helped;
        }
        return helped;
    }

    [[nodiscard]] bool mayWait(const Things& some, std::size_t to) const {
        const std::set<std::size_t> own(some.begin(), some.end());
        return std::all_of(some.begin(), some.end(), [&](std::size_t thing) {
            const auto then = m_then.find(thing);
            return then == m_then.end() ||
                   std::all_of(then->second.begin(), then->second.end(),
                               [&](std::size_t k) { return own.contains(k) || m_turnOf.at(k) >= to; });
        });
    }

    bool helps(const Things& some, std::size_t from, std::size_t to) {
        auto& now = m_turns[from].things;
        if (some.size() >= now.size() || !mayWait(some, to)) return false; // a turn of nothing is none
        auto &later = m_turns[to].things, rest = now, more = later;
        std::erase_if(rest,
                      [&](std::size_t k) { return std::find(some.begin(), some.end(), k) != some.end(); });
        more.insert(more.end(), some.begin(), some.end());
        if (m_ties(rest) + m_ties(more) >= m_ties(now) + m_ties(later)) return false;
        now = std::move(rest), later = std::move(more);
        for (const auto thing : some)
            m_turnOf[thing] = to;
        return true;
    }

    std::vector<Turn> m_turns;
    std::map<std::size_t, std::size_t> m_turnOf;
    std::map<std::size_t, Things> m_then;
    const TiesOf& m_ties;
    const PartsOf& m_parts;
};

} // namespace

std::vector<Turn> withPutOff(std::vector<Turn> turns,
                             const std::vector<std::pair<std::size_t, std::size_t>>& before,
                             const TiesOf& ties, const PartsOf& parts) {
    return PuttingOff(std::move(turns), before, ties, parts).run();
}

} // namespace up::stitch
