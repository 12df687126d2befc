// SPDX-License-Identifier: GPL-3.0-or-later
// Things that wait for each other, each after what it waits for.
#pragma once

#include <cstddef>
#include <utility>
#include <vector>

namespace up::stitch {

using Things = std::vector<std::size_t>;

struct ThingsInOrder {
    Things order;              ///< without those that wait in a circle
    std::vector<Things> above; ///< by thing: those that wait for it
    std::vector<Things> below; ///< and those for which it waits
};

/// `before`: which comes before which; those that name no thing are left out. Of those that may come next the lowest
/// does (Kahn, 1962).
[[nodiscard]] ThingsInOrder thingsInOrder(std::size_t count,
                                          const std::vector<std::pair<std::size_t, std::size_t>>& before);

} // namespace up::stitch
