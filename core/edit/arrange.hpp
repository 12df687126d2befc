// SPDX-License-Identifier: GPL-3.0-or-later
// Copies, cuts and halves as one choice with its measures: what a dialog or a command line asks for.
#pragma once

#include "core/edit/shapes.hpp"

namespace up::edit {

enum class Arrange : std::uint8_t { mirrorUpright, mirrorLevel, round, along, cut, unfold, join };

struct Arrangement {
    Arrange what = Arrange::mirrorUpright;
    /// Of `round`: the centre. Of `along`: from the first piece to the next. Of mirrors: a point of the line.
    /// Of `cut`: a point of the line. mm on the block.
    shape::Point at;
    shape::Point to; ///< of `cut`: another point of the line
    int count = 6;   ///< of `round` and `along`: in all
    PieceId other;   ///< of `join`
};

/// Errors: as the edits in shapes.hpp.
[[nodiscard]] Edited arranged(const Quilt& quilt, BlockId block, PieceId piece, const Arrangement& how);

/// What to begin with: mirrored across the block's middle, round it, beside each other, cut across the middle
/// of the piece.
[[nodiscard]] Arrangement usualArrangement(const quilt::Block& block, const quilt::Piece& piece,
                                           Arrange what);

} // namespace up::edit
