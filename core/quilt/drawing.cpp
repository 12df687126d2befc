// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/drawing.hpp"

#include <algorithm>
#include <array>

namespace up::quilt {

bool isMadeUpName(std::string_view name) {
    constexpr std::array kinds{"path", "rect",   "circle", "ellipse", "polygon", "polyline", "line",  "use",
                               "svg",  "symbol", "text",   "tspan",   "layer",   "XMLID",    "SVGID", "g"};
    const auto isFiller = [](char c) {
        return (c >= '0' && c <= '9') || c == '-' || c == '_' || c == '.' || c == ' ';
    };
    if (name.empty()) return true;
    return std::any_of(kinds.begin(), kinds.end(), [&](std::string_view kind) {
        return name.starts_with(kind) &&
               std::all_of(name.begin() + static_cast<std::ptrdiff_t>(kind.size()), name.end(), isFiller);
    });
}

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
    std::erase_if(out.warnings, [](const Warning& warning) {
        return warning.remark == Remark::penLines || warning.remark == Remark::linesAreMarks;
    });
    return out;
}

} // namespace up::quilt
