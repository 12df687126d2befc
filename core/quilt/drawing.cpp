// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/drawing.hpp"

#include <algorithm>

namespace up::quilt {

Drawing withLinesAsPieces(const Drawing& drawing) {
    Drawing out = drawing;
    out.shapes.clear();
    const auto isOfALine = [&](const shape::Contour& mark) {
        return std::any_of(drawing.linesOver.begin(), drawing.linesOver.end(), [&](const LineOver& line) {
            return std::find(line.marks.begin(), line.marks.end(), mark) != line.marks.end();
        });
    };
    auto next = drawing.linesOver.begin();
    for (std::size_t i = 0; i <= drawing.shapes.size(); ++i) {
        for (; next != drawing.linesOver.end() && next->above <= i; ++next)
            out.shapes.push_back(next->shape);
        if (i == drawing.shapes.size()) break;
        out.shapes.push_back(drawing.shapes[i]);
        std::erase_if(out.shapes.back().marks, isOfALine);
    }
    std::erase_if(out.loose, [&](const Loose& loose) { return isOfALine(loose.line); });
    out.linesOver.clear();
    return out;
}

} // namespace up::quilt
