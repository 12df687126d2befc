// SPDX-License-Identifier: GPL-3.0-or-later
// What is only said of pieces, so that nothing else has to change with it.
#pragma once

#include "core/edit/change.hpp"

#include <type_traits>
#include <vector>

namespace up::edit {

/// Members with a yes, a no or one of a few words: runsOff, mayHaveWindow, locked, counted, shine. Others have rules,
/// and edits of their own.
template<class V>
concept Said = std::is_same_v<V, bool> || std::is_enum_v<V>;

/// `set(quilt, block, pieces, &Piece::locked, true)`: says that of all of these. Errors: Code::noSuchBlock,
/// noSuchPiece.
template<Said V>
requires(!std::is_same_v<V, quilt::Step>) // steps are taken, not said
    [[nodiscard]] Edited set(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                             V quilt::Piece::*member, std::type_identity_t<V> value) {
    return changePieces(quilt, block, pieces,
                        [&](quilt::Block&, quilt::Piece& piece) { piece.*member = value; });
}

} // namespace up::edit
