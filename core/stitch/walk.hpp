// SPDX-License-Identifier: GPL-3.0-or-later
// Where the needle may go next: states of a search for ways through a network.
#pragma once

#include "core/stitch/bound.hpp"

#include <compare>
#include <cstdint>

namespace up::stitch {

/// In the order in which they matter; lengths in µm.
struct Cost {
    int threadChanges = 0, ties = 0;
    std::int64_t jump = 0;
    std::int64_t trifle =
        0; ///< another thread than is on, knots that show, long ways through the seam, the bulk on the wrong side
    auto operator<=>(const Cost&) const = default;
};

struct Stand {
    Counts done;
    std::size_t at = nowhere;
    int thread = 0;
    Cost cost;
    Least left; ///< at least
    [[nodiscard]] Cost atLeast() const {
        auto out = cost;
        out.threadChanges += left.threadChanges, out.ties += left.ties;
        return out;
    }
};

struct Move {
    std::size_t arc = 0;
    bool back = false, begins = false;
    Hop hop;
};

/// Runs are stitched once or twice: three times is to and fro and on, which leads where once does.
class Walk {
public:
    /// `all`: every number of passes that is allowed counts by itself.
    Walk(const Network& network, bool all);

    [[nodiscard]] Stand start() const;
    [[nodiscard]] bool isDone(const Stand& stand) const;
    [[nodiscard]] bool isFinished(const Stand& stand, std::size_t arc) const;
    /// Whether the arc may be stitched now, once more.
    [[nodiscard]] bool mayStitch(const Stand& stand, std::size_t arc) const;
    /// Those that go on with the trail; of those that hop first, as many as are said, the nearest first.
    [[nodiscard]] std::vector<Move> goingOn(const Stand& stand, std::size_t mostHops) const;
    /// Those that begin another; at places where trails must end first, and hidden ones.
    [[nodiscard]] std::vector<Move> beginnings(const Stand& stand) const;
    [[nodiscard]] Stand after(const Stand& stand, const Move& move) const;

    /// The way with every pass of every run.
    [[nodiscard]] Ways told(const std::vector<Move>& moves, const Stand& end) const;

private:
    [[nodiscard]] bool showsAt(const Move& move, bool start) const;

    const Network& m_network;
    Options m_options;
    bool m_all;
    std::vector<std::vector<std::size_t>> m_then; ///< by arc: those that wait for it
    std::vector<std::vector<std::size_t>> m_at;   ///< arcs by place
    Bound m_bound;
};

} // namespace up::stitch
