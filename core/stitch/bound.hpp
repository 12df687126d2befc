// SPDX-License-Identifier: GPL-3.0-or-later
// How many trails a network takes at least, whatever waits for whatever.
#pragma once

#include "core/stitch/ways.hpp"

#include <string>

namespace up::stitch {

/// How often each arc is stitched so far.
using Counts = std::string;
/// Ascending; by arc.
using Options = std::vector<std::vector<char>>;

inline constexpr std::size_t nowhere = static_cast<std::size_t>(-1);

struct Least {
    int threadChanges = 0, ties = 0;
};

/// Method: of each connected part that is still to be stitched, half as many trails as places where an odd number of
/// stitchings end, and one at least; places between which the needle may hop, or an arc that may be stitched once more
/// or not, count together. Source: Euler, 1736; Hierholzer, 1873; T-joins as in Edmonds & Johnson, "Matching, Euler
/// Tours and the Chinese Postman", 1973.
class Bound {
public:
    Bound(const Network& network, Options options);

    /// What is still to come at least, with the needle `at` a place (nowhere: the first trail is not begun) and that
    /// thread on. `done`: each as often as some option allows, or less.
    [[nodiscard]] Least least(const Counts& done, std::size_t at, int thread) const;

private:
    [[nodiscard]] std::size_t nodeOf(std::size_t place, std::size_t thread) const {
        return thread * m_groups + m_group[place];
    }

    const Network& m_network;
    Options m_options;
    std::vector<int> m_threads;
    std::vector<std::size_t> m_thread; ///< by arc: which of them
    std::vector<std::size_t> m_group;  ///< by place: those that are joined by hops
    std::size_t m_groups = 0;
    mutable std::vector<std::size_t> m_whole, m_even; ///< forests over nodes
    mutable std::vector<int> m_parity, m_odd;
    mutable std::vector<char> m_used;
};

} // namespace up::stitch
