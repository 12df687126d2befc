// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/trace_sheet.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

std::string below(const drawn::TracedSheet& made, const plan::SheetUse& sheet) {
    if (sheet.from.putAway) return words::tr("rough cut; what was left is in the stash");
    const double all = std::max(sheet.area.area(), 1.0);
    auto out = words::said(N_("{0} % used"), {std::to_string(std::lround(100 * sheet.taken / all))});
    if (made.traced > 0)
        out = words::said(N_("{0} of {1} traced · {2}"),
                          {std::to_string(made.traced), std::to_string(made.pieces), out});
    if (made.worth > 0)
        out = words::said(N2_("{1} · one off-cut to keep", "{1} · {0} off-cuts to keep"), made.worth, {out});
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
