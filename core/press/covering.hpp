// SPDX-License-Identifier: GPL-3.0-or-later
// As few sets as can be found that together hold all things.
#pragma once

#include "core/base/random.hpp"

#include <cstdint>
#include <limits>
#include <vector>

namespace up::press {

/// Sets with numbers in a row: from `first` up to, but without, `end`.
struct Run {
    std::uint32_t first, end;
};

/// Looks for a given number of sets that hold everything; things may come to it between. The same for the same seed.
/// Method: a local search that takes sets out and in, where things that were left out often weigh more. Source: Gao,
/// Yao, Weise & Li, "An efficient local search heuristic with row weighting for the unicost set covering problem", 2015;
/// from memory.
class Covering {
public:
    Covering(std::size_t sets, std::uint64_t seed);

    /// One more thing, which those sets hold, each in one run: some set does.
    void take(std::vector<Run> heldBy);
    /// That one among them, if it isn't yet.
    void choose(std::size_t set) {
        if (m_in[set] == 0) add(set);
    }
    /// More sets until all is held, whatever holds most first.
    void fill();
    /// As many sets as there are now, until they hold all things; false when it has not come to that after `steps`.
    bool settle(int steps);
    /// One set fewer: the one that is missed least. There are two at least.
    void drop() { remove(leastMissed()); }
    [[nodiscard]] const std::vector<std::size_t>& chosen() const { return m_chosen; }
    /// No fewer sets can hold all things: so many of them are found of which no set holds two.
    [[nodiscard]] std::size_t least(int tries) const;

private:
    void leaveOpen(std::size_t thing);
    void close(std::size_t thing);
    void add(std::size_t set);
    void remove(std::size_t set);
    [[nodiscard]] bool isBefore(std::size_t a, std::size_t b) const;
    [[nodiscard]] std::size_t leastMissed() const;
    [[nodiscard]] std::size_t mostWanted(const std::vector<Run>& from) const;
    void addScore(std::size_t thing, int by);

    std::vector<std::vector<std::uint32_t>> m_holds; ///< things, by set
    std::vector<std::vector<Run>> m_heldBy;          ///< sets, by thing
    std::vector<char> m_in;                          ///< chosen, by set
    std::vector<int> m_since;                        ///< step at which a set came in or went
    std::vector<int> m_score; ///< by set: weight that is open without it; less than 0 when it is chosen
    std::vector<int> m_times; ///< by thing: chosen sets that hold it
    std::vector<std::size_t> m_only; ///< by thing: their numbers added up, so its own when there is one
    std::vector<int> m_weight;
    std::vector<std::size_t> m_open, m_place; ///< things that none holds, and where each stands among them
    std::vector<std::size_t> m_chosen;
    std::size_t m_justIn = std::numeric_limits<std::size_t>::max();
    int m_step = 0;
    Random m_random;
};

} // namespace up::press
