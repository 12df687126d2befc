// SPDX-License-Identifier: GPL-3.0-or-later
// A chunk that finds no room, narrower when one of its pieces is turned.
#pragma once

#include "core/plan/bond/bond_plan.hpp"

namespace up::plan {

/// The block's layout with one of the chunk's pieces turned where it lies on the web, after which all of the chunk finds
/// room on the cloth as it is: the smallest of the turns by eighths that leave the scissors their room and the piece on
/// its sheet. Pieces that are traced already, or whose print matters, stay. Nothing when no turn helps.
[[nodiscard]] std::optional<quilt::Layout> withPieceTurned(const quilt::Quilt& quilt,
                                                           const quilt::Block& block, const TracePlan& trace,
                                                           const Chunk& chunk);

} // namespace up::plan
