// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of how pieces are joined. As all edits they answer Code::noSuchBlock and noSuchPiece.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

struct Joining {
    quilt::Join join = quilt::Join::fused;
    bool cutsBehind = false; ///< what lies behind is cut away once it is stitched
    bool operator==(const Joining&) const = default;
};
[[nodiscard]] Joining joiningOf(const quilt::Piece& piece);

/// A piece that was begun another way is made anew, and has no place on the web then. Errors: Code::alreadyJoined for
/// another way of one that is fused or stitched.
[[nodiscard]] Edited join(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                          const Joining& how);

/// Whether the background is quilted before anything is laid on it; then there is batting beneath. One that is quilted
/// stays so.
[[nodiscard]] Edited setQuiltedFirst(const Quilt& quilt, BlockId block, bool first);

/// It is quilted now.
[[nodiscard]] Edited groundQuilted(const Quilt& quilt, BlockId block, std::int64_t time);

} // namespace up::edit
