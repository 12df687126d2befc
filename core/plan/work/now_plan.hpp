// SPDX-License-Identifier: GPL-3.0-or-later
// The next thing to do on a block, as data; `words/now_words` says it.
#pragma once

#include "core/plan/bond/bond_plan.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "core/plan/work/stitch_plan.hpp"

#include <functional>

namespace up::plan {

enum class What : std::uint8_t {
    importDrawing,
    layOut,
    step,
    putAway,
    layOnCloth, ///< there is cloth, and chunks wait that nobody has laid on it
    trim,
    goOn,
    allDone
};

/// Where work can hurt; said at the step. Source: common practice.
enum class Caution : std::uint8_t { none, iron, scissors, rotary, needle };

struct Now {
    What what = What::allDone;
    quilt::Tread tread = quilt::Tread::draw; ///< where the work is; for goOn: where to go
    quilt::Step step = quilt::Step::toTrace; ///< for What::step
    std::vector<PieceId> pieces;             ///< for What::step, in working order
    FabricId fabric;                         ///< of the pieces, when they share one
    ThreadId thread;                         ///< for stitching
    int left = 0;                            ///< pieces this tread still needs
    Caution caution = Caution::none;
    std::optional<PlacementStep> lay; ///< where the piece goes, for laying
};

/// What is known of a block. The functions are asked only when it matters.
struct Known {
    const BlockPlan& plan;
    const TracePlan& trace;
    std::function<const BondPlan&()> bonding;
    std::function<const StitchPlan&()> stitches;
};

/// The next thing on one tread.
[[nodiscard]] Now nowOn(quilt::Tread tread, const quilt::Block& block, const Known& known);

[[nodiscard]] Caution cautionFor(quilt::Step step);

} // namespace up::plan
