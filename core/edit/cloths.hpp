// SPDX-License-Identifier: GPL-3.0-or-later
// Edits about cloth: what is at hand, and which chunk goes onto which. As all edits they answer
// Code::noSuchBlock, noSuchPiece and noSuchFabric; for a cloth that is not there Code::noSuchCloth.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// Replaces the cloth with this id; with none, adds it under a new one. Errors: Code::badName for a name that
/// cannot be shown; Code::clothNoArea for an empty outline.
[[nodiscard]] Edited putCloth(const Quilt& quilt, quilt::Cloth cloth);
/// Chunks that waited on it wait nowhere.
[[nodiscard]] Edited removeCloth(const Quilt& quilt, ClothId cloth);
/// For one block alone; none: for whoever comes.
[[nodiscard]] Edited holdCloth(const Quilt& quilt, ClothId cloth, BlockId block);

/// Where the block's chunks are to go, instead of what was said before.
[[nodiscard]] Edited layOnCloth(const Quilt& quilt, BlockId block, std::vector<quilt::OnCloth> onCloth);

/// Chunks are bonded: their pieces have done that step, and each cloth becomes what is left of it. Parts that
/// come off it are scraps of their own. Errors: as record.
[[nodiscard]] Edited bondOnCloth(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                                 const std::vector<quilt::ClothLeft>& left, std::int64_t time);

} // namespace up::edit
