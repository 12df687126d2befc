// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/pages/drawn.hpp"

#include "core/shape/deepest.hpp"

#include <algorithm>

namespace up::output {

using sheet::Dash;
using sheet::Pen;

std::string fabricName(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->name : "no fabric yet";
}

void label(std::vector<sheet::Item>& items, const shape::Region& region, const std::string& number,
           const std::string& fabric) {
    const auto [at, depth] = shape::deepestPoint(region);
    const double height = std::clamp(depth * 1.1, 2.6, 7.0);
    const bool roomy = depth > 9;
    items.push_back(sheet::Words{
        number, {at.x, at.y + height * (roomy ? 0.1 : 0.35)}, height, pencil, sheet::Align::centre, true});
    if (roomy)
        items.push_back(
            sheet::Words{fabric, {at.x, at.y + height * 0.1 + 4.2}, 3.2, quiet, sheet::Align::centre, false});
}

void addMarks(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by) {
    std::vector<shape::Contour> marks;
    for (const auto& mark : *piece.marks)
        marks.push_back(transformed(mark, by));
    if (!marks.empty())
        items.push_back(sheet::Shape{std::move(marks), std::nullopt, Pen{quiet, 0.25, Dash::solid}});
}

std::vector<sheet::Page> tiled(const Content& content, const PageOptions& options) {
    const double by = testSquare / std::clamp(options.square, leastSquare, mostSquare);
    auto paper = options.paper;
    paper.width = measure::Length::ofMm(paper.width.mm() / by);
    paper.height = measure::Length::ofMm(paper.height.mm() / by);
    auto pages = tiled(content, paper);
    if (by == 1) return pages;
    for (auto& page : pages) {
        page.width *= by, page.height *= by;
        enlarge(page, by);
    }
    return pages;
}

void addDotted(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by) {
    if (piece.dotted->empty()) return;
    std::vector<shape::Contour> lines;
    for (const auto& line : *piece.dotted)
        lines.push_back(transformed(line, by));
    items.push_back(sheet::Shape{lines, std::nullopt, Pen{Colour{255, 255, 255}, 0.6, Dash::solid}});
    items.push_back(sheet::Shape{std::move(lines), std::nullopt, Pen{pencil, 0.35, Dash::dotted}});
}

} // namespace up::output
