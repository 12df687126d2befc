// SPDX-License-Identifier: GPL-3.0-or-later
// How often threads must still be put on, at least.
#pragma once

#include "core/stitch/things_done.hpp"

#include <unordered_map>
#include <utility>
#include <vector>

namespace up::stitch {

/// What threads are on for, sorted.
struct Sorting {
    std::vector<int> kinds;                   ///< threads
    std::vector<std::size_t> kind;            ///< by thing
    std::vector<std::size_t> order;           ///< things, each after what it waits for
    std::vector<ThingsDone> below;            ///< by thing: what it waits for, near and far
    std::vector<std::vector<std::size_t>> of; ///< by kind, in that order
};

/// No order puts threads on less often. Method: an additive pattern database: the threads are parted into sets of a few,
/// and for each set alone, where nothing else is in the way, the fewest turns from there are looked up, or found once by
/// trying all. What lies between two things of one thread still parts them. Source: Felner, Korf & Hanan, "Additive Pattern
/// Database Heuristics", Journal of Artificial Intelligence Research 22, 2004.
class TurnsLeft {
public:
    explicit TurnsLeft(const Sorting& sorting);
    [[nodiscard]] int after(const ThingsDone& done) const;

private:
    struct Set {
        std::vector<std::size_t> kinds;
        ThingsDone things;
        std::vector<std::vector<std::pair<std::size_t, ThingsDone>>>
            waits; ///< by kind: each, for what of the set
        mutable std::unordered_map<ThingsDone, int, ThingsDone::Hash>
            known{}; ///< turns left by what is done of it
    };
    [[nodiscard]] Set setOf(std::vector<std::size_t> kinds) const;
    [[nodiscard]] std::vector<Set> parted() const;
    static int left(const Set& set, const ThingsDone& done);

    const Sorting& m_sorting;
    std::vector<ThingsDone>
        m_waits; ///< by thing: for things of other threads, and for those of its own before them
    std::vector<Set> m_sets;
};

} // namespace up::stitch
