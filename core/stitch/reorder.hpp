// SPDX-License-Identifier: GPL-3.0-or-later
// Ways that were found, made better by taking stretches of them elsewhere.
#pragma once

#include "core/stitch/walk.hpp"

namespace up::stitch {

/// The same runs, as often as before, in an order of no more trails; `tries` changes are tried, and fewer once there
/// are `leastTies`.
/// Method: stretches change places or turn round, so that a run comes next to one that it may go on to, as long as
/// nothing comes before what it waits for; what is worse is taken now and then, ever more rarely. Sources: the
/// sequential ordering problem, Escudero, 1988; exchanges as in Gambardella & Dorigo, "An Ant Colony System Hybridized
/// with a New Local Search for the Sequential Ordering Problem", 2000; simulated annealing, Kirkpatrick, Gelatt &
/// Vecchi, 1983.
[[nodiscard]] std::vector<Move> reordered(const Network& network, const std::vector<Move>& moves,
                                          int leastTies, std::size_t tries);

} // namespace up::stitch
