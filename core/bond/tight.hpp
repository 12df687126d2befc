// SPDX-License-Identifier: GPL-3.0-or-later
// The last resort: chunks pushed about on one cloth until they no longer meet.
#pragma once

#include "core/bond/shelf.hpp"

namespace up::bond {

/// All those chunks on the shelf's cloth, or nothing when they were not got in within so many steps. Pinned
/// ones stay. `start`: where those lie that lie there already. Method: `layout::Attempt`, at any turn, to the
/// line.
[[nodiscard]] std::optional<std::vector<Lying>> pushedIn(const Task& task, const Shelf& shelf,
                                                         const std::vector<std::size_t>& chunks, int steps,
                                                         std::uint64_t seed, const Job& job);

} // namespace up::bond
