// SPDX-License-Identifier: GPL-3.0-or-later
// What several views draw alike: the block, its pieces, flags, swatches, sizes.
#pragma once

#include "app/views/view.hpp"
#include "core/plan/block/doubts.hpp"

namespace up::app {

[[nodiscard]] std::string say(const quilt::Quilt& quilt, measure::Length length);
/// "3 1/8 × 2 in" of a piece's own box.
[[nodiscard]] std::string sizeOf(const quilt::Quilt& quilt, const shape::Box& box);
[[nodiscard]] Colour colourOf(const quilt::Quilt& quilt, FabricId fabric);
[[nodiscard]] std::string fabricNameOf(const quilt::Quilt& quilt, FabricId fabric);
[[nodiscard]] Colour threadColour(const quilt::Quilt& quilt, ThreadId thread);
[[nodiscard]] Colour mixed(Colour a, Colour b, double shareOfB);
/// To the nearest 1/16 in (or 0.1 mm), without scant or generous: for measuring where a piece goes.
[[nodiscard]] std::string near(const quilt::Quilt& quilt, double mm);
/// "3, 5 and 8".
[[nodiscard]] std::string numbersOf(const quilt::Block& block, const std::vector<PieceId>& pieces);

/// Background cloth with its seams and, if wanted, creases, over the cut size.
[[nodiscard]] sheet::Layer backgroundLayer(const quilt::Quilt& quilt, const quilt::Block& block,
                                           const plan::GroundPlan& ground, bool creases);

/// One piece where it lies on the block, with its inner marks.
[[nodiscard]] sheet::Shape pieceShape(const quilt::Quilt& quilt, const quilt::Piece& piece, double opacity);
/// Dotted edges over the solid outline, on paper or cloth of that colour.
void addDotted(sheet::Layer& layer, const quilt::Piece& piece, const shape::Transform& by, Colour ground);
void addMarks(sheet::Layer& layer, const quilt::Piece& piece, const shape::Transform& by, Colour colour);

/// What a check points at.
void addPointed(sheet::Layer& layer, const Look& look);
/// Brass outlines round the chosen pieces, the last one's the broadest.
void addChosen(sheet::Layer& layer, const Look& look);

/// Number flags of all pieces, where they show best.
[[nodiscard]] sheet::Layer flagLayer(const Look& look);

/// Pieces bottom first on the background: clear where `step` is done, pale where it is not yet.
[[nodiscard]] Panel blockPanel(const Look& look, quilt::Step step, bool creases);

} // namespace up::app
