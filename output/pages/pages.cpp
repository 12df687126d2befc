// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/pages/pages.hpp"

#include "core/plan/block_plan.hpp"
#include "core/shape/deepest.hpp"
#include "output/pages/tiling.hpp"

#include <algorithm>
#include <map>

namespace up::output {
namespace {

using quilt::Block;
using quilt::Quilt;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

constexpr Colour pencil{0x3d, 0x3d, 0x3d}, quiet{0x8a, 0x92, 0x98};

std::string fabricName(const Quilt& quilt, FabricId id) {
    const auto* fabric = find(quilt.fabrics, id);
    return fabric ? fabric->name : "no fabric yet";
}

/// The number where it fits best; the fabric's name under it when there is room.
void label(std::vector<sheet::Item>& items, const shape::Region& region, int number,
           const std::string& fabric) {
    const auto [at, depth] = shape::deepestPoint(region);
    const double height = std::clamp(depth * 1.1, 2.6, 7.0);
    const bool roomy = depth > 9;
    items.push_back(sheet::Words{std::to_string(number),
                                 {at.x, at.y + height * (roomy ? 0.1 : 0.35)},
                                 height,
                                 pencil,
                                 sheet::Align::centre,
                                 true});
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

/// Edge stretches of piece `i` that pieces above hide.
std::vector<shape::Polyline> hiddenEdges(const plan::BlockPlan& plan, std::size_t i) {
    std::vector<shape::Region> above(plan.regions.begin() + static_cast<std::ptrdiff_t>(i) + 1,
                                     plan.regions.end());
    const auto cover = shape::unite(above);
    std::vector<shape::Polyline> out;
    for (const auto& ring : plan.regions[i].rings) {
        auto closed = ring;
        closed.push_back(ring.front());
        for (auto& part : shape::inside(closed, cover))
            out.push_back(std::move(part));
    }
    return out;
}

void addCreases(std::vector<sheet::Item>& items, const Block& block) {
    const double w = block.width.mm(), h = block.height.mm();
    const Pen crease{quiet, 0.15, Dash::dashed};
    items.push_back(sheet::line({w / 2, 0}, {w / 2, h}, crease));
    items.push_back(sheet::line({0, h / 2}, {w, h / 2}, crease));
    items.push_back(sheet::line({0, 0}, {w, h}, crease));
    items.push_back(sheet::line({w, 0}, {0, h}, crease));
}

/// Laid out on paper as the printer makes it, then enlarged by what it takes away.
std::vector<sheet::Page> tiled(const Content& content, const PageOptions& options) {
    const double by = testSquare / std::clamp(options.square, leastSquare, mostSquare);
    auto paper = options.paper;
    paper.width = measure::Length::ofMm(paper.width.mm() / by);
    paper.height = measure::Length::ofMm(paper.height.mm() / by);
    auto pages = tiled(content, paper);
    if (by == 1) return pages;
    const auto enlarge = shape::Transform::scale(by, by);
    for (auto& page : pages) {
        page.width *= by, page.height *= by;
        for (auto& layer : page.layers) {
            layer.place = enlarge * layer.place;
            if (layer.clip)
                layer.clip = shape::Box{layer.clip->left * by, layer.clip->top * by, layer.clip->right * by,
                                        layer.clip->bottom * by};
        }
    }
    return pages;
}

/// Dotted edges over the solid line.
void addDotted(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by) {
    if (piece.dotted->empty()) return;
    std::vector<shape::Contour> lines;
    for (const auto& line : *piece.dotted)
        lines.push_back(transformed(line, by));
    items.push_back(sheet::Shape{lines, std::nullopt, Pen{Colour{255, 255, 255}, 0.6, Dash::solid}});
    items.push_back(sheet::Shape{std::move(lines), std::nullopt, Pen{pencil, 0.35, Dash::dotted}});
}

} // namespace

Result<std::vector<sheet::Page>> tracingPages(const Quilt& quilt, const Block& block,
                                              const PageOptions& options) {
    const auto trace = plan::planTrace(quilt, block);
    if (trace.lines.empty()) return failure(Code::nothingToDo, {block.name});
    std::vector<sheet::Page> pages;
    for (const auto& use : trace.sheets) {
        const int sheetNumber = use.number;
        Content content{{},
                        {},
                        block.name + ": tracing layout",
                        "Paper side: reversed. Trace on the smooth side of the web, just as printed.",
                        "Solid line: trace, later cut. Dashed line: rough cut, about 1/4 in outside."};
        if (trace.sheets.size() > 1) content.title += ", web sheet " + std::to_string(sheetNumber + 1);
        std::map<PieceId, bool> here;
        for (const auto& chunk : trace.chunks) {
            if (chunk.sheet != sheetNumber) continue;
            content.items.push_back(
                sheet::Shape{sheet::contoursOf(chunk.roughCut), std::nullopt, Pen{quiet, 0.2, Dash::dashed}});
            content.box.take(chunk.roughCut.bounds());
            for (const auto id : chunk.pieces)
                here[id] = true;
        }
        for (const auto& [id, outline] : trace.lines) {
            if (!here[id]) continue;
            const auto& piece = *find(block.pieces, id);
            content.items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt,
                                                 Pen{pencil, 0.35, Dash::solid}, id.value});
            for (const auto& traced : block.layout.front().traced)
                if (traced.piece == id) {
                    const auto onSheet = quilt::onSheet(traced) * shape::Transform::mirrorAcross(0);
                    addMarks(content.items, piece, onSheet);
                    addDotted(content.items, piece, onSheet);
                }
            label(content.items, shape::regionOf(outline), plan::numberOf(block, id),
                  fabricName(quilt, piece.fabric));
        }
        for (auto& page : tiled(content, options))
            pages.push_back(std::move(page));
    }
    return pages;
}

Result<std::vector<sheet::Page>> placementPages(const Quilt& quilt, const Block& block,
                                                const PageOptions& options) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    const auto plan = plan::planBlock(block);
    const double seam = quilt::seamAllowance.mm();
    const shape::Box finished{0, 0, block.width.mm(), block.height.mm()};
    Content content{
        {},
        finished.grownBy(seam),
        block.name + ": placement sheet",
        "Front, as seen: not reversed. Lay it under or beside the background.",
        "Outer line: raw edge. Inner line: finished edge. Dashed outlines are hidden under other pieces."};
    content.items.push_back(sheet::box(finished.grownBy(seam), std::nullopt, Pen{pencil, 0.2, Dash::solid}));
    content.items.push_back(sheet::box(finished, std::nullopt, Pen{pencil, 0.35, Dash::solid}));
    addCreases(content.items, block);
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto& piece = block.pieces[i];
        content.box.take(plan.regions[i].bounds());
        content.items.push_back(sheet::Shape{sheet::contoursOf(plan.visibleEdges[i]), std::nullopt,
                                             Pen{pencil, 0.35, Dash::solid}, piece.id.value});
        content.items.push_back(sheet::Shape{sheet::contoursOf(hiddenEdges(plan, i)), std::nullopt,
                                             Pen{quiet, 0.25, Dash::dashed}, piece.id.value});
        addMarks(content.items, piece, quilt::placing(piece));
        label(content.items, plan.visible[i].isEmpty() ? plan.regions[i] : plan.visible[i],
              static_cast<int>(i) + 1, fabricName(quilt, piece.fabric));
    }
    return tiled(content, options);
}

Result<sheet::Page> cutSheet(const Quilt& quilt, const Block& block) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    const auto trace = plan::planTrace(quilt, block);
    auto lines = trace.lines;
    if (lines.empty())
        for (const auto& piece : block.pieces)
            lines.emplace_back(
                piece.id, transformed(quilt::reversed(piece), shape::Transform::moveBy(block.width.mm(), 0)));
    shape::Box all;
    for (const auto& [id, outline] : lines)
        all.take(boundsOf(outline));
    constexpr double border = 6.35;
    sheet::Page page{all.width() + 2 * border, all.height() + 2 * border, {}};
    for (const auto& fabric : quilt.fabrics) {
        sheet::Layer layer{
            fabric.name, {}, shape::Transform::moveBy(border - all.left, border - all.top), {}};
        for (const auto& [id, outline] : lines)
            if (find(block.pieces, id)->fabric == fabric.id)
                layer.items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt,
                                                   Pen{fabric.colour, 0.1, Dash::solid}, id.value});
        if (!layer.items.empty()) page.layers.push_back(std::move(layer));
    }
    return page;
}

} // namespace up::output
