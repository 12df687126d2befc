// SPDX-License-Identifier: GPL-3.0-or-later
// One sheet of web with the reversed pieces on it: on the mat, in small pictures, and printed to be traced.
#pragma once

#include "core/plan/trace/by_hand.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

/// What is drawn of a layout.
struct TraceDrawing {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    const quilt::Layout& layout;
    const plan::TracePlan& plan;
    const std::vector<plan::TooClose>* tooClose = nullptr; ///< to be marked; null: none
    PieceId chosen{};
};

struct TracedSheet {
    sheet::Layer web, lines, numbers; ///< one over the other; mm on the sheet
    shape::Box box;                   ///< what is to be seen
    int pieces = 0, traced = 0;       ///< on it, and of those already traced
    std::size_t worth = 0;            ///< off-cuts worth keeping
};

[[nodiscard]] TracedSheet tracedSheet(const TraceDrawing& drawing, const plan::SheetUse& sheet, For whom);

/// "Sheet 2", "Off-cut 1", "Light web, one paper".
[[nodiscard]] std::string nameOf(const TraceDrawing& drawing, const plan::SheetUse& sheet);
/// Which of its kind it is, from 1: off-cuts and new web are counted apart.
[[nodiscard]] int numberOf(const plan::TracePlan& plan, const plan::SheetUse& sheet);

} // namespace up::drawn
