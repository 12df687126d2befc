// SPDX-License-Identifier: GPL-3.0-or-later
// Edits about tracing: the school, the layout by hand, printed fabrics, what is left of the web. As all edits
// they answer Code::noSuchBlock, noSuchPiece and noSuchFabric.
#pragma once

#include "core/edit/edits.hpp"
#include "core/quilt/remains.hpp"

namespace up::edit {

/// Only how it is to be laid out next time.
[[nodiscard]] Edited setSchool(const Quilt& quilt, BlockId block, quilt::School school);
/// Another layout of the block's pieces, by that school.
[[nodiscard]] Edited chooseLayout(const Quilt& quilt, BlockId block, quilt::School school,
                                  quilt::Layout layout, std::int64_t time);
/// The layout changed by hand: not logged.
[[nodiscard]] Edited changeLayout(const Quilt& quilt, BlockId block, quilt::Layout layout);
/// Pinned pieces stay where they are when the rest is laid out again.
[[nodiscard]] Edited pin(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces, bool pinned);

/// How a print's stripes run over the piece, or that it doesn't matter. Pieces not traced yet lose their
/// place when that changes.
[[nodiscard]] Edited setGrain(const Quilt& quilt, BlockId block, PieceId piece,
                              std::optional<measure::Angle> grain);
[[nodiscard]] Edited setPrint(const Quilt& quilt, FabricId fabric, quilt::Print print,
                              measure::Angle tolerance);

/// Takes what was used off the web, the used off-cuts out of the stash, and puts what is left there.
[[nodiscard]] Edited putAway(const Quilt& quilt, BlockId block, const std::vector<quilt::Remains>& remains,
                             std::int64_t time);
/// Errors: Code::noSuchOffCut.
[[nodiscard]] Edited removeOffCut(const Quilt& quilt, OffCutId offCut);
/// Errors: Code::absurdSize outside ½ in … 12 in.
[[nodiscard]] Edited setLeastOffCut(const Quilt& quilt, Length least);

} // namespace up::edit
