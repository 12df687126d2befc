// SPDX-License-Identifier: GPL-3.0-or-later
// The final pressing of a block: where the iron goes, how long, and what heat each piece has had by then.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/press/cover.hpp"
#include "core/press/heat.hpp"

#include <optional>

namespace up::plan {

/// One setting down of the iron.
struct PlannedPress {
    press::Press press;          ///< as far as it is planned: what was pressed otherwise has none
    shape::Ring under;           ///< the whole soleplate there, on the block as seen from the front
    std::vector<PieceId> pieces; ///< of the stage, that lie under it
    std::vector<PieceId> heated; ///< whatever lies under it by then
    double left = 0;             ///< seconds still to be pressed; 0: it is done
    std::vector<PieceId>
        tooMuch{}; ///< some of each of them has had all the heat that the leaflet allows by then
};

enum class StageKind : std::uint8_t {
    unit,  ///< by itself on the pressing sheet
    block, ///< on the block
    again  ///< what lifted when it was tested
};
constexpr auto keysOf(StageKind) {
    return std::to_array<std::string_view>({"unit", "block", "again"});
}

/// What is pressed together.
struct PressStage {
    StageKind kind = StageKind::block;
    int unit = 0;                ///< of StageKind::unit
    int layer = -1;              ///< from 0, when it is pressed layer by layer
    bool fromBack = false;       ///< the block is turned over
    std::vector<PieceId> pieces; ///< bottom first
    double seconds = 0;          ///< each press
    std::vector<PlannedPress> presses;
    std::vector<shape::Point>
        unreached{}; ///< spots so near to what melts that no iron of this size reaches them

    [[nodiscard]] bool isDone() const;
    /// Pieces that are fused by the last of its presses: it is the last of theirs from the front.
    [[nodiscard]] bool fuses() const { return kind != StageKind::unit && !fromBack; }
};

/// Seconds under the iron, all pressings together.
struct PieceHeat {
    PieceId piece;
    double before = 0;          ///< what all of it has had: bonding, and fusing that nobody recorded
    double hadMost = 0;         ///< what its most heated place has had by now
    double least = 0, most = 0; ///< after the plan, at its least and its most heated place
    std::vector<press::HeatedPart> parts{}; ///< the same, all over it
};

/// A place where an edge is likely to lift.
enum class WhyTest : std::uint8_t { tip, thick };
constexpr auto keysOf(WhyTest) {
    return std::to_array<std::string_view>({"tip", "thick"});
}
struct EdgeTest {
    PieceId piece;
    shape::Point at; ///< on the block, mm
    WhyTest why{};
};

/// What was found for an area before: asked for again when anything else has changed.
struct KnownCover {
    press::CoverJob job;
    press::Cover cover;
};

struct PressPlan {
    press::Iron iron;
    measure::Length overlap;
    std::vector<PressStage> stages; ///< in working order
    std::vector<PieceId> noIron;    ///< what melts
    std::vector<PieceHeat> heat;    ///< of the pieces that are on the block by then
    std::optional<double> limit;    ///< seconds that the leaflet allows
    std::vector<EdgeTest> tests;    ///< what is most likely to lift first; of what is fused, or is to be
    std::vector<KnownCover> known;

    /// The first press that is not done: its stage, and which of it. Nothing when all is pressed.
    [[nodiscard]] std::optional<std::pair<std::size_t, std::size_t>> next() const;
};

struct PressOptions {
    press::Iron iron = press::ironOf(press::Soleplate::household);
    measure::Length overlap = press::usualOverlap;
    bool onlyLaid = false; ///< pieces that do not lie in their places yet are left out
};
/// The iron in use.
[[nodiscard]] press::Iron ironOf(const quilt::Quilt& quilt);

/// For the pieces that are not fused yet and do not melt: each unit by itself, then all on the block, at once or
/// layer by layer, then from the back if the leaflet says so; at last what lifted. Presses that were recorded
/// (`Block::pressed`) are done: where they are not those of the plan, because something has moved or another iron
/// was taken since, the plan is for the rest of the area. No stages when all are. `before`: a plan from which covers
/// are taken where they are the same. Errors: as press::coverOf; Code::nothingToDo when the block has no pieces.
[[nodiscard]] Result<PressPlan> planPressing(const quilt::Quilt& quilt, const quilt::Block& block,
                                             const BlockPlan& plan, const PressOptions& options,
                                             const PressPlan* before = nullptr);

} // namespace up::plan
