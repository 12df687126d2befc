// SPDX-License-Identifier: GPL-3.0-or-later
// Plans onto sheets of paper at true size: tiled, marked, each with a test square.
#pragma once

#include "core/measure/paper.hpp"
#include "core/plan/stitch/stitch_plan.hpp"
#include "core/plan/trace/machine_plan.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "core/sheet/sheet.hpp"

namespace up::output {

/// Every sheet carries a square of exactly one inch to measure.
inline constexpr double testSquare = 25.4; // mm

/// A printer that is further off than that is not corrected but to be set right. Source: common practice.
inline constexpr double leastSquare = testSquare * 0.8, mostSquare = testSquare * 1.25; // mm

struct PageOptions {
    measure::Paper paper = measure::letter;
    /// What the test square of a sheet printed before measures, mm: pages are enlarged or reduced by as much
    /// as the printer is off. Held between leastSquare and mostSquare.
    double square = testSquare;
    bool operator==(const PageOptions&) const = default;
};

/// The block's tracing layout, paper side (reversed): lines, rough cuts, windows, marks in grey, arrows along
/// a print's stripes; numbers within the line and again in the rough-cut margin; an off-cut's own edge.
/// Errors: Code::nothingToDo when the block has no layout.
[[nodiscard]] Result<std::vector<sheet::Page>>
tracingPages(const quilt::Quilt& quilt, const quilt::Block& block, const PageOptions& options);

/// The same lines straight onto the web's sheets, each page as large as a sheet, nothing else on it; pieces
/// on off-cuts are left out. Errors: Code::webIsARoll {web}; Code::nothingToDo when nothing lies on whole
/// sheets.
[[nodiscard]] Result<std::vector<sheet::Page>> webPages(const quilt::Quilt& quilt, const quilt::Block& block,
                                                        const PageOptions& options);

/// One drawing at its own size, with nothing round it.
struct WholeSheet {
    std::string title;
    bool reversed = false;
    sheet::Page page;
};

/// For a light box: each traced sheet with its edge, paper side, then the block from the front as on its
/// placement sheet. Errors: Code::nothingToDo when the block has no pieces.
[[nodiscard]] Result<std::vector<WholeSheet>> wholeSheets(const quilt::Quilt& quilt,
                                                          const quilt::Block& block);

/// The block from the front, not reversed: outlines (dashed where hidden), finished and cut edge, creases.
/// Errors: Code::nothingToDo when the block has no pieces.
[[nodiscard]] Result<std::vector<sheet::Page>>
placementPages(const quilt::Quilt& quilt, const quilt::Block& block, const PageOptions& options);

/// Only the lines that guide: what other pieces hide is left out, the corners of the block are marked. Errors: as
/// placementPages.
[[nodiscard]] Result<std::vector<sheet::Page>>
guidePages(const quilt::Quilt& quilt, const quilt::Block& block, const PageOptions& options);

/// The placement sheet mirrored, its words readable: for tracing at a window from the back. Errors: as placementPages.
[[nodiscard]] Result<std::vector<sheet::Page>>
mirroredPlacementPages(const quilt::Quilt& quilt, const quilt::Block& block, const PageOptions& options);

/// Labels for envelopes: the pieces that go together from here on, by unit and step, with their outlines; eight to a
/// sheet. Errors: Code::nothingToDo when all pieces lie on the block.
[[nodiscard]] Result<std::vector<sheet::Page>>
labelPages(const quilt::Quilt& quilt, const quilt::Block& block, const PageOptions& options);

/// Templates of pieces without web, as seen: the line, the cut beyond it, folds and clips. Errors: Code::nothingToDo when
/// all pieces are fused.
[[nodiscard]] Result<std::vector<sheet::Page>>
templatePages(const quilt::Quilt& quilt, const quilt::Block& block, const PageOptions& options);

/// The trails that are left: the block with its ways in small, the thread each takes, its legs in words; the first to be
/// stitched first. Errors: Code::nothingToDo when nothing is left.
[[nodiscard]] Result<std::vector<sheet::Page>> wayPages(const quilt::Quilt& quilt, const quilt::Block& block,
                                                        const plan::StitchPlan& stitching,
                                                        const PageOptions& options);
/// Of every block what may be stitched now while that thread stays on. Errors: Code::nothingToDo when that is nothing.
[[nodiscard]] Result<std::vector<sheet::Page>> wayPagesWith(const quilt::Quilt& quilt, ThreadId thread,
                                                            const PageOptions& options);

/// For a light box: each piece that has marks which are not drawn and its paper on, from the right side, with its
/// marks. None when there are no such.
[[nodiscard]] std::vector<WholeSheet> markSheets(const quilt::Quilt& quilt, const quilt::Block& block);

/// A machine's mats, each as large as the mat, one layer per fabric; pieces without a fabric are left out.
[[nodiscard]] std::vector<sheet::Page> matPages(const quilt::Quilt& quilt, const quilt::Block& block,
                                                const plan::MachinePlan& plan, double width, double height);

/// One sheet for a cutting machine: reversed outlines as laid out (or as on the block when there is no
/// layout), one layer per fabric. Errors: Code::nothingToDo when the block has no pieces.
[[nodiscard]] Result<sheet::Page> cutSheet(const quilt::Quilt& quilt, const quilt::Block& block);

} // namespace up::output
