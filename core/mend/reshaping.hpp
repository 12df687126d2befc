// SPDX-License-Identifier: GPL-3.0-or-later
// What remedies share: a piece with its block's plan, and giving it another shape that scissors can follow.
#pragma once

#include "core/mend/mend.hpp"

namespace up::mend {

/// What is changed, with its plan.
struct Place {
    const quilt::Block& block;
    plan::BlockPlan plan;
    std::size_t index; ///< of the piece
    [[nodiscard]] const quilt::Piece& piece() const { return block.pieces[index]; }
};
/// Errors: Code::noSuchBlock, noSuchPiece.
[[nodiscard]] Result<Place> placeOf(const Quilt& quilt, BlockId block, PieceId piece);

/// Smooth where that can be had; else of straight stretches. Nothing of an empty region.
[[nodiscard]] std::optional<shape::Outline> outlineOf(const shape::Region& region);

/// The piece in another shape; unchanged where the shape is, or where nothing is left of it. What is cut by
/// hand from a cut piece need not be traced again: `snipped`. `free`: where it does not show. Regions are
/// where it lies on the block. Errors: as edit::reshapePiece.
[[nodiscard]] Edited reshaped(const Quilt& quilt, BlockId block, const quilt::Piece& piece,
                              const shape::Region& before, const shape::Region& changed,
                              const shape::Region& free, bool snipped = false);

/// The fixes of Kind::peeks and nearlyPeeks.
[[nodiscard]] Edited unpeeked(const Quilt& quilt, const check::Finding& finding, check::Fix fix);

/// Lines that reach over the edge of their block; those traced with a pen that goes with heat.
[[nodiscard]] Edited linesMovedIn(const Quilt& quilt, BlockId block);
[[nodiscard]] Edited linesTracedAgain(const Quilt& quilt, BlockId block);
/// The line that the finding is about: Fix::narrower, layBefore, turnIn, takeOff, countIsRight. Errors: Code::noSuchLine.
[[nodiscard]] Edited laidOtherwise(const Quilt& quilt, const check::Finding& finding, check::Fix fix);

/// The piece's chunk, its print any way, of the fabric nearest in colour, one of it turned or cut in two, laid on what cloth there is; or
/// what it lacks on the shopping list.
[[nodiscard]] Edited withOtherCloth(const Quilt& quilt, BlockId block, PieceId piece, check::Fix fix);

} // namespace up::mend
