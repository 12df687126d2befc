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

} // namespace up::app
