// SPDX-License-Identifier: GPL-3.0-or-later
// What a chosen layout means: lines, chunks with their rough cuts and patches, sheets and what they cost.
#pragma once

#include "core/press/patch.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// About ¼ in outside the line. Source: common practice.
inline constexpr measure::Length roughCutMargin = measure::Length::ofInches(1, 4);
/// Room for the scissors between two pieces of one fabric. Source: common practice.
inline constexpr measure::Length scissorsWidth = measure::Length::ofInches(1, 8);

/// Pieces that are rough cut and bonded together.
struct Chunk {
    FabricId fabric;
    int number = 0; ///< as in quilt::Traced
    int sheet = 0;
    std::vector<PieceId> pieces;                            ///< bottom first
    shape::Region roughCut;                                 ///< on the sheet, mm: where the scissors go
    std::vector<std::pair<PieceId, shape::Region>> windows; ///< on the sheet, mm: cut out of the web
    std::optional<quilt::Strip> strip;                      ///< its pieces lie in strips
    press::Patch patch;
    bool clipped = false; ///< another lies so close that the scissors part them halfway
    /// What it was worked out from: where its pieces lie, and their outlines.
    std::vector<std::pair<quilt::Traced, Shared<shape::Outline>>> made;
};

/// One sheet that pieces lie on.
struct SheetUse {
    int number = 0; ///< as in quilt::Traced
    quilt::WebSheet from;
    shape::Region area;                 ///< all of it, mm; a roll as far as it is used
    measure::Length used;               ///< to the lowest line, rounded up to the next ¼ in
    bool roll = false;                  ///< a length of the roll
    std::vector<shape::Region> offCuts; ///< what will be left of it and is worth keeping
    measure::Length least;              ///< by that measure
    double taken = 0;                   ///< mm²: within the rough cuts, without windows
};

struct TracePlan {
    std::vector<Chunk> chunks;                             ///< by fabric, then by number
    std::vector<std::pair<PieceId, shape::Outline>> lines; ///< the traced outlines on their sheets
    std::vector<SheetUse> sheets;                          ///< those with pieces on them
    bool stale = false;                                    ///< pieces are missing in the layout
};

/// What the chosen layout means; empty when the block has none.
[[nodiscard]] TracePlan planTrace(const quilt::Quilt& quilt, const quilt::Block& block);
/// The same of another layout of the block's pieces. `before`: a plan from which chunks and sheets are taken
/// that are the same now.
[[nodiscard]] TracePlan planTrace(const quilt::Quilt& quilt, const quilt::Block& block,
                                  const quilt::Layout& layout, const TracePlan* before = nullptr);

/// A chunk of the plan cut in two: the pieces at these places in it become a chunk of that number.
[[nodiscard]] std::pair<Chunk, Chunk> inTwo(const TracePlan& plan, const quilt::Layout& layout,
                                            const Chunk& chunk, const std::vector<std::size_t>& away,
                                            int number);

/// What a layout costs.
struct TraceCost {
    measure::Length roll; ///< new web off the roll
    int sheets = 0;       ///< new sheets
    int offCuts = 0;      ///< off-cuts used
    int chunks = 0;       ///< rough cuts, windows included
    measure::Length cuts; ///< all rough cuts and windows together, along the scissors' way
    int unplaced = 0;     ///< pieces without room
    [[nodiscard]] bool needsNewWeb() const { return roll.mm() > 0 || sheets > 0; }
};
[[nodiscard]] TraceCost costOf(const TracePlan& plan, const quilt::Layout& layout);

} // namespace up::plan
