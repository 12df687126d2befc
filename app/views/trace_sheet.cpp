// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/trace_sheet.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

std::string below(const drawn::TracedSheet& made, const plan::SheetUse& sheet) {
    if (sheet.from.putAway) return "rough cut; what was left is in the stash";
    std::string out;
    if (made.traced > 0)
        out = std::to_string(made.traced) + " of " + std::to_string(made.pieces) + " traced · ";
    const double all = sheet.area.area();
    out += std::to_string(static_cast<int>(std::lround(100 * sheet.taken / std::max(all, 1.0)))) + " % used";
    if (made.worth > 0)
        out += made.worth == 1 ? " · one off-cut to keep"
                               : " · " + std::to_string(made.worth) + " off-cuts to keep";
    return out;
}

} // namespace

Panel sheetPanel(const drawn::TraceDrawing& drawing, const plan::SheetUse& sheet, drawn::For whom) {
    auto made = drawn::tracedSheet(drawing, sheet, whom);
    Panel panel;
    panel.side = Side::paper;
    panel.caption = drawn::nameOf(drawing, sheet);
    panel.box = made.box;
    if (whom == drawn::For::screen) panel.below = below(made, sheet);
    panel.done = made.pieces > 0 && made.traced == made.pieces;
    panel.layers = {std::move(made.web), std::move(made.lines), std::move(made.numbers)};
    return panel;
}

} // namespace up::app
