// SPDX-License-Identifier: GPL-3.0-or-later
// How pieces are numbered and called, everywhere: on the screen, on paper, on flags and in sentences.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::quilt {

/// Its place in the stack, from 1; 0 when the piece is not in the block.
[[nodiscard]] int numberOf(const Block& block, PieceId piece);
/// The number as it is written on the piece and its flag: "7"; the pieces of a unit share one, "3a" and "3b".
/// Empty when the piece is not in the block.
[[nodiscard]] std::string labelOf(const Block& block, PieceId piece);
/// "3a petal".
[[nodiscard]] std::string calledOf(const Block& block, const Piece& piece);

} // namespace up::quilt
