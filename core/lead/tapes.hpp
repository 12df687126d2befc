// SPDX-License-Identifier: GPL-3.0-or-later
// Tapes over the borders of pieces, as in a window of leaded glass: which runs on where, and which is laid first.
#pragma once

#include "core/shape/ring.hpp"

#include <cstddef>
#include <utility>
#include <vector>

namespace up::lead {

/// From one crossing to the next; of a ring that meets nothing both are the same.
struct Border {
    shape::Polyline line;
    std::size_t from = 0, to = 0; ///< places
};

/// Borders, and the places where they meet or end.
struct Borders {
    std::vector<Border> borders;
    std::vector<shape::Point> places;
    std::vector<bool> atEdge; ///< by place: a tape that ends there runs into the block's seam
};

struct Tape {
    shape::Polyline line;
    std::vector<std::size_t> borders; ///< in the order in which it covers them
    bool closed = false;
    std::size_t from = 0, to = 0; ///< places
};

/// An end over which no later tape lies: it is turned under.
struct Bare {
    std::size_t tape = 0; ///< by the order of laying
    bool atStart = false;
};

struct Leading {
    std::vector<Tape> tapes; ///< in the order in which they are laid
    std::vector<Bare> bare;
    /// Tapes each of which could only be covered by the next, and the last by the first: an end of one of them is bare.
    std::vector<std::vector<std::size_t>> circles;
    double turned = 0; ///< radians that tapes turn at crossings, all together
};

/// A tape is not led round a sharper turn, unless nothing else goes through there. Source: common practice.
inline constexpr double mostTurn = 1.05; // radians, 60°

/// At every place as many borders as can be run on into another, and of those ways the one that turns least. Where only two
/// meet, or all turns are sharp, one pair runs on, whatever it turns: something must cover the other ends. Then the order:
/// each end lies beneath a tape that passes there and is laid later, as far as there is no circle; of a circle the tape
/// with the fewest ends that stay bare is laid before the others.
[[nodiscard]] Leading leadingOf(const Borders& borders);

/// All that one place can be: pairs of its border ends that run on. For tests and small places; up to eight ends.
struct End {
    std::size_t border = 0;
    bool atStart = false; ///< of the border
    double heading = 0;   ///< radians, away from the place
};
using Pairs = std::vector<std::pair<std::size_t, std::size_t>>; ///< of ends
/// The best, as leadingOf takes it.
[[nodiscard]] Pairs pairsAt(const std::vector<End>& ends);
/// What one end turns to run on into another, radians, 0 … π.
[[nodiscard]] double turnOf(const End& a, const End& b);
/// By place.
[[nodiscard]] std::vector<std::vector<End>> endsOf(const Borders& borders);

} // namespace up::lead
