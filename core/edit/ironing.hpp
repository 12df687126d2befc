// SPDX-License-Identifier: GPL-3.0-or-later
// Edits at the ironing board. As all edits they answer Code::noSuchBlock and noSuchPiece.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// All at once or layer by layer.
[[nodiscard]] Edited setFusing(const Quilt& quilt, BlockId block, quilt::Fusing fusing);

/// The iron stood there so long. It was the last time that these pieces needed it: they are fused then, or, if they
/// lifted, hold again as far as is known. Errors: as record.
[[nodiscard]] Edited press(const Quilt& quilt, BlockId block, quilt::Pressed pressed,
                           const std::vector<PieceId>& finished);
/// An edge of it lifted when it was tested.
[[nodiscard]] Edited edgeLifted(const Quilt& quilt, BlockId block, PieceId piece, std::int64_t time);

/// Takes the iron into use, under a new id when it has none. Errors: Code::badName; Code::badSoleplate for an outline
/// of other than one ring.
[[nodiscard]] Edited useIron(const Quilt& quilt, quilt::Iron iron);
/// One that is there; none: the household iron that comes with the program.
[[nodiscard]] Edited useIron(const Quilt& quilt, IronId iron);
/// If it was in use, the household iron is then.
[[nodiscard]] Edited removeIron(const Quilt& quilt, IronId iron);

} // namespace up::edit
