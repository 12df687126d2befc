// SPDX-License-Identifier: GPL-3.0-or-later
// One sheet of web with the reversed pieces on it, as the mat and the small pictures show it.
#pragma once

#include "app/canvas/scene.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/plan/trace/trace_plan.hpp"

namespace up::app {

/// What is drawn of a layout.
struct TraceDrawing {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    const quilt::Layout& layout;
    const plan::TracePlan& plan;
    const std::vector<plan::TooClose>& tooClose;
    PieceId chosen{};
    bool small = false; ///< without words, flags and marks
};

/// "Sheet 2", "Off-cut 1", "Light web, one paper".
[[nodiscard]] std::string nameOf(const TraceDrawing& drawing, const plan::SheetUse& sheet);
[[nodiscard]] Panel sheetPanel(const TraceDrawing& drawing, const plan::SheetUse& sheet);

} // namespace up::app
