// SPDX-License-Identifier: GPL-3.0-or-later
// Remedies: from what a plan finds to a quilt in which it is put right. Here plans and edits meet.
#pragma once

#include "core/check/finding.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/block/underlap_plan.hpp"

namespace up::mend {

using edit::Edited;
using quilt::Quilt;

/// The quilt with that fix of the finding done; the same quilt when the finding is gone. Errors: as the
/// edits'.
[[nodiscard]] Edited mended(const Quilt& quilt, const check::Finding& finding, check::Fix fix);
/// The fix of all of them, one after the other; those for which it cannot be done stay. Errors: of the first,
/// when it can be done for none.
[[nodiscard]] Edited mended(const Quilt& quilt, const std::vector<check::Finding>& findings, check::Fix fix);
/// More borders without underlap than this are tucked under all at once, in a new order.
inline constexpr std::size_t manyBorders = 3;

/// The block's pieces ordered as planUnderlap says and grown beneath each other by its underlap; pieces that
/// are fused stay as they are. What shows stays as it is.
[[nodiscard]] Edited tuckedUnder(const Quilt& quilt, BlockId block, plan::Below below);
/// How a block's pieces are to tuck under.
struct Tucking {
    measure::Length underlap;
    plan::Below below = plan::Below::drawn;
    std::vector<quilt::Over> over; ///< all that is said of which goes over which
};
/// The same, with that said first. Errors: Code::absurdSize for an underlap outside 1/32…1 in.
[[nodiscard]] Edited tuckedUnder(const Quilt& quilt, BlockId block, const Tucking& tucking);
/// Only that piece, and only beneath `under`; beneath all when none is named.
[[nodiscard]] Edited tuckedUnder(const Quilt& quilt, BlockId block, PieceId lower, PieceId under = {});

/// "`upper` goes over `lower`", and the order changed so that it does, if that ties no knot.
[[nodiscard]] Edited putOver(const Quilt& quilt, BlockId block, PieceId upper, PieceId lower);

/// The same, but only where nothing else minds. Errors: Code::othersMind {upper, lower, who minds} when a
/// knot would be tied.
[[nodiscard]] Edited restackedOver(const Quilt& quilt, BlockId block, PieceId upper, PieceId lower);

/// Numbers by step, fabric and place.
[[nodiscard]] Edited numberedAnew(const Quilt& quilt, BlockId block);

/// The pieces brought together in the order and made one unit. Errors: Code::comesBetween.
[[nodiscard]] Edited madeUnit(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces);

/// A lining of nearly white cloth beneath the piece; such a fabric is added when the quilt has none. Errors:
/// Code::nothingToLine, alreadyFused.
[[nodiscard]] Edited lined(const Quilt& quilt, BlockId block, PieceId piece);

/// The knot that the piece is in, undone by the cut with the shortest join. Errors: Code::cannotUntie.
[[nodiscard]] Edited untied(const Quilt& quilt, BlockId block, PieceId piece);

/// The piece carried on over the finished edges that it reaches, through the seam allowance and a little
/// more.
[[nodiscard]] Edited runOff(const Quilt& quilt, BlockId block, PieceId piece);
/// Beyond the raw edge. Source: common practice, "¼ in and a little".
inline constexpr measure::Length beyondRaw = measure::Length::ofInches(1, 8);

} // namespace up::mend
