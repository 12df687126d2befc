// SPDX-License-Identifier: GPL-3.0-or-later
// Bonding in words.
#pragma once

#include "core/plan/bond/bond_plan.hpp"

#include <string>

namespace up::words {

/// "less than 1/8 in from the edge of the cloth"; empty when it lies well.
[[nodiscard]] std::string liesWords(plan::Lies lies);
/// What the cloth still holds afterwards: "leaves 7 × 3 in", the largest rectangle down to a
/// quarter of an inch.
[[nodiscard]] std::string leftWords(const quilt::Quilt& quilt, const plan::ClothUse& use);
/// What is missing: "9 × 2 in of slate grey; the largest is 7 × 1 1/2 in".
[[nodiscard]] std::string shortWords(const quilt::Quilt& quilt, const plan::Chunk& chunk,
                                     const plan::ChunkShort& missing);

} // namespace up::words
