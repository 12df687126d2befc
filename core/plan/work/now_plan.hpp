// SPDX-License-Identifier: GPL-3.0-or-later
// The next thing to do on a block, as data; `words/now_words` says it.
#pragma once

#include "core/plan/bond/bond_plan.hpp"
#include "core/plan/cut/cut_plan.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/plan/fuse/press_plan.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/stitch/cut_away.hpp"
#include "core/plan/stitch/legs.hpp"
#include "core/plan/trace/trace_plan.hpp"

#include <functional>

namespace up::plan {

enum class What : std::uint8_t {
    importDrawing,
    layOut,
    step,
    press,       ///< the iron once: `press` says where
    stitch,      ///< one leg of a trail: `stitch` says which
    findPresses, ///< wait: where the iron goes is being worked out
    findWays,    ///< the same of the needle
    putAway,
    quiltGround, ///< as you go
    layOnCloth,  ///< there is cloth, and chunks wait that nobody has laid on it
    drawLines,   ///< onto the cloth: `line` says which
    sewLine,     ///< by hand: `line` says what
    layLine,  ///< what is laid along a line or set at its places, or its stitching by hand: `laid` says what
    trim,     ///< `finish` says to what
    sewStrip, ///< on the block: `finish` says which
    goOn,
    allDone
};

/// Where work can hurt; said at the step. Source: common practice.
enum class Caution : std::uint8_t { none, iron, scissors, rotary, needle, handNeedle, flame, glue };

/// One setting down of the iron among others.
struct PressNow {
    StageKind kind = StageKind::block;
    int unit = 0, layer = -1;
    bool fromBack = false;
    std::size_t number = 1, of = 1; ///< in its stage
    double seconds = 0;
    std::vector<PieceId> tooMuch; ///< some of each gets more heat by it than the leaflet allows
    bool startsStage = false;     ///< nothing of it is pressed yet
};

/// One leg of a trail among others.
struct StitchNow {
    AtLeg at;
    std::size_t trails = 1, legs = 1;
    Leg leg;
    StitchRun run;             ///< that it goes along
    Knot begin{}, end{};       ///< of the trail
    bool newThread = false;    ///< another one than before is put on
    bool anotherAfter = false; ///< and once the trail is done
};

/// Cutting one chunk.
struct CutNow {
    std::size_t cuts = 0, byRuler = 0;
    double minutes = 0;
    bool learnt = false;        ///< at the user's own pace
    std::vector<PieceId> alike; ///< of its pieces, those that want a label
};

/// Trimming a block, or sewing a strip on.
struct FinishNow {
    fit::Extent trimTo, lacking; ///< of its cut size, as far as it measures less
    bool isMeasured = false;
    std::optional<FitStrip> strip{};
    std::size_t number = 1, of = 1; ///< among its strips
};

/// Tracing lines, or stitching one with one length of floss.
struct LineNow {
    std::vector<LineId> draw; ///< for What::drawLines, all with one pen
    quilt::LinePen pen{};
    LinePart part; ///< for What::sewLine, with what follows
    hand::Needleful needleful;
    std::vector<std::size_t> others; ///< parts in the same needleful, by LinesPlan::parts
    ThreadId floss;
    bool newNeedle = false;
    std::vector<std::pair<quilt::Length, bool>>
        cuts;             ///< of needleful.from: how long, and whether it is cut now
    std::size_t left = 0; ///< lengths of floss that are to be threaded still, this among them
};

/// Laying one strip, or setting the things of a line.
struct LaidNow {
    LineId line;
    bool lies = false;                ///< all of it; it is to be stitched by hand now
    quilt::Length wide;               ///< of the strip as it is cut
    std::optional<LaidStrip> strip{}; ///< of things none
    std::size_t number = 1, of = 1;   ///< among the strips of its line
    std::size_t things = 0;
};

struct Now {
    What what = What::allDone;
    quilt::Tread tread = quilt::Tread::draw; ///< where the work is; for goOn: where to go
    quilt::Step step = quilt::Step::toTrace; ///< for What::step
    std::vector<PieceId> pieces;             ///< for What::step, in working order
    FabricId fabric;                         ///< of the pieces, when they share one
    ThreadId thread;                         ///< for stitching
    int left = 0;                            ///< pieces this tread still needs
    Caution caution = Caution::none;
    std::optional<PlacementStep> lay;  ///< where the piece goes, for laying
    std::optional<PressNow> press{};   ///< for What::press
    std::optional<StitchNow> stitch{}; ///< for What::stitch
    std::optional<EdgeTest> test{};    ///< where, for testing one piece
    std::optional<CutNow> cut{};       ///< for clean cutting
    std::optional<FinishNow> finish{}; ///< for What::trim and sewStrip
    std::optional<LineNow> line{};     ///< for What::drawLines and sewLine
    std::optional<LaidNow> laid{};     ///< for What::layLine
    std::optional<Pen> pen{};          ///< for drawing marks
    quilt::Join join{};                ///< for What::step: of all its pieces
    std::optional<CutAway> cutAway{};  ///< for Step::cutAway
};

/// What is known of a block. The functions are asked only when it matters.
struct Known {
    const BlockPlan& plan;
    const TracePlan& trace;
    std::function<const BondPlan&()> bonding;
    /// Null while it is being worked out. Nobody to ask: pieces are stitched as they lie.
    std::function<const StitchPlan*()> stitching{};
    /// The same of fusing.
    std::function<const PressPlan*()> pressing{};
    std::function<const CutPlan&()> cutting{};      ///< may be nobody too
    std::function<const FinishPlan&()> finishing{}; ///< as cutting
    std::function<const LinesPlan&()> lines{};      ///< as cutting
};

/// The next thing on one tread.
[[nodiscard]] Now nowOn(quilt::Tread tread, const quilt::Block& block, const Known& known);

[[nodiscard]] Caution cautionFor(quilt::Step step);

} // namespace up::plan
