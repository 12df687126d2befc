// SPDX-License-Identifier: GPL-3.0-or-later
// What might be stitched now, put off until its thread is on again, where that saves knots.
#pragma once

#include "core/stitch/turns.hpp"

#include <functional>

namespace up::stitch {

/// How many trails things take at least, stitched in one turn of their thread.
using TiesOf = std::function<int(const std::vector<std::size_t>& things)>;
/// Those of a turn that hang together.
using PartsOf = std::function<std::vector<std::vector<std::size_t>>(const std::vector<std::size_t>& things)>;

/// The same turns, with parts and single things in a later one where all of them together then take fewer trails, and
/// nothing has to wait longer than it may. `before` as of the job. Method: each is tried in turn, the latest first, until
/// no move helps.
[[nodiscard]] std::vector<Turn> withPutOff(std::vector<Turn> turns,
                                           const std::vector<std::pair<std::size_t, std::size_t>>& before,
                                           const TiesOf& ties, const PartsOf& parts);

} // namespace up::stitch
