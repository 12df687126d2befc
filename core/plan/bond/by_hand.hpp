// SPDX-License-Identifier: GPL-3.0-or-later
// Chunks moved about on cloth by hand: a hand's place is kept.
#pragma once

#include "core/plan/bond/bond_plan.hpp"

namespace up::plan {

/// The chunk that the piece is in, by its number; none when it is on no web.
[[nodiscard]] std::optional<int> chunkNumberOf(const quilt::Block& block, PieceId piece);

/// Moved by so many mm and turned clockwise about its own middle; pinned from then on.
[[nodiscard]] std::vector<quilt::OnCloth> movedOnCloth(const quilt::Block& block, const TracePlan& trace,
                                                       int chunk, double right, double down,
                                                       measure::Angle turn);

/// On the next cloth of its fabric that has room besides what lies there; nothing when there is none.
[[nodiscard]] std::optional<std::vector<quilt::OnCloth>>
onAnotherCloth(const quilt::Quilt& quilt, const quilt::Block& block, const TracePlan& trace, int chunk);

} // namespace up::plan
