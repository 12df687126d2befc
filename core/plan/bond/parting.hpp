// SPDX-License-Identifier: GPL-3.0-or-later
// A chunk that finds no room, cut in two.
#pragma once

#include "core/plan/bond/bond_plan.hpp"

namespace up::plan {

/// Whether a cut helps: some part would fit on empty cloth.
[[nodiscard]] bool mayBeParted(const quilt::Quilt& quilt, const quilt::Block& block, const TracePlan& trace,
                               const Chunk& chunk);

/// The block's layout with the chunk parted by one cut through the web between its pieces: of the cuts tried after
/// which both parts find room on the cloth as it is, the shortest; if there is none, that after which most of it does. Nothing when no cut helps.
[[nodiscard]] std::optional<quilt::Layout> parted(const quilt::Quilt& quilt, const quilt::Block& block,
                                                  const TracePlan& trace, const Chunk& chunk);

} // namespace up::plan
