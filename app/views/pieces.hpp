// SPDX-License-Identifier: GPL-3.0-or-later
// What several views draw alike: the block, its pieces, flags, swatches, sizes.
#pragma once

#include "app/views/view.hpp"
#include "core/plan/block/doubts.hpp"
#include "drawn/placed_block.hpp"

namespace up::app {

[[nodiscard]] std::string say(const quilt::Quilt& quilt, measure::Length length);
/// "3 1/8 × 2 in" of a piece's own box.
[[nodiscard]] std::string sizeOf(const quilt::Quilt& quilt, const shape::Box& box);
[[nodiscard]] Colour threadColour(const quilt::Quilt& quilt, ThreadId thread);
/// To the nearest 1/16 in (or 0.1 mm), without scant or generous: for measuring where a piece goes.
[[nodiscard]] std::string near(const quilt::Quilt& quilt, double mm);
/// "3, 5 and 8".
[[nodiscard]] std::string numbersOf(const quilt::Block& block, const std::vector<PieceId>& pieces);

/// What a check points at.
void addPointed(sheet::Layer& layer, const Look& look);
/// Brass outlines round the chosen pieces, the last one's the broadest.
void addChosen(sheet::Layer& layer, const Look& look);

/// Number flags of all pieces, where they show best.
[[nodiscard]] sheet::Layer flagLayer(const Look& look);

/// A row for each line of the block.
void addLineRows(std::vector<Row>& rows, const Look& look);

/// Pieces bottom first on the background: clear where `step` is done, pale where it is not yet.
[[nodiscard]] Panel blockPanel(const Look& look, quilt::Step step, bool creases);

/// The block from its back, the pieces shining faintly through the background; the last `keep` layers stay as clear as
/// they are.
[[nodiscard]] Panel fromBehind(const Look& look, Panel panel, std::ptrdiff_t keep);

/// A piece without web, from the front, as it is drawn on its cloth and cut.
[[nodiscard]] Panel templatePanel(const Look& look, const quilt::Piece& piece);
/// Rows for such pieces; none: nothing is added.
void addTemplateRows(std::vector<Row>& rows, const Look& look);

/// What is cut away next: from the back, or from the front within a line. Needs `look.next.cutAway`.
[[nodiscard]] Panel cutAwayPanel(const Look& look);

} // namespace up::app
