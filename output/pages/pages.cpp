// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/pages/pages.hpp"

#include "core/plan/block/doubts.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "output/pages/drawn.hpp"

namespace up::output {
namespace {

using quilt::Block;
using quilt::Quilt;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

/// Edge stretches of piece `i` that pieces above hide.
std::vector<shape::Polyline> hiddenEdges(const plan::BlockPlan& plan, std::size_t i) {
    std::vector<shape::Polyline> out;
    for (const auto& ring : plan.regions[i].rings) {
        auto closed = ring;
        closed.push_back(ring.front());
        for (auto& part : shape::inside(closed, plan.cover[i]))
            out.push_back(std::move(part));
    }
    return out;
}

/// Seams and creases of the background, as far as the block's cut size.
void addGround(std::vector<sheet::Item>& items, const Block& block) {
    const auto ground = plan::planGround(block);
    const auto cut = shape::rectangle(quilt::cutBox(block));
    const auto add = [&](const std::pair<Point, Point>& line, const Pen& pen) {
        for (const auto& part : shape::inside({line.first, line.second}, cut))
            items.push_back(sheet::line(part.front(), part.back(), pen));
    };
    for (const auto& seam : ground.seams)
        add(seam, Pen{quiet, 0.3, Dash::solid});
    for (const auto& crease : ground.creases)
        add(crease, Pen{quiet, 0.15, Dash::dashed});
}

/// Left for right about the line x = `axis`; words stay readable.
void mirror(std::vector<sheet::Item>& items, double axis) {
    const auto map = shape::Transform::mirrorAcross(axis);
    for (auto& item : items) {
        if (auto* drawn = std::get_if<sheet::Shape>(&item))
            for (auto& contour : drawn->contours)
                contour = transformed(contour, map);
        if (auto* words = std::get_if<sheet::Words>(&item)) words->at = map(words->at);
        if (auto* flag = std::get_if<sheet::Flag>(&item)) flag->at = map(flag->at);
    }
}

} // namespace

Content placementContent(const Quilt& quilt, const Block& block) {
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
    addGround(content.items, block);
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        const auto& piece = block.pieces[i];
        content.box.take(plan.regions[i].bounds());
        content.items.push_back(sheet::Shape{sheet::contoursOf(plan.visibleEdges[i]), std::nullopt,
                                             Pen{pencil, 0.35, Dash::solid}, piece.id});
        content.items.push_back(sheet::Shape{sheet::contoursOf(hiddenEdges(plan, i)), std::nullopt,
                                             Pen{quiet, 0.25, Dash::dashed}, piece.id});
        addMarks(content.items, piece, quilt::placing(piece));
        label(content.items, plan.visible[i].isEmpty() ? plan.regions[i] : plan.visible[i],
              quilt::labelOf(block, piece.id), fabricName(quilt, piece.fabric));
    }
    return content;
}

Result<std::vector<sheet::Page>> placementPages(const Quilt& quilt, const Block& block,
                                                const PageOptions& options) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    return tiled(placementContent(quilt, block), options);
}

Result<std::vector<sheet::Page>> mirroredPlacementPages(const Quilt& quilt, const Block& block,
                                                        const PageOptions& options) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    auto content = placementContent(quilt, block);
    const double axis = block.width.mm() / 2;
    mirror(content.items, axis);
    content.box = {2 * axis - content.box.right, content.box.top, 2 * axis - content.box.left,
                   content.box.bottom};
    content.title = block.name + ": placement sheet, mirrored";
    content.side = "Mirrored. Tape it to a window behind the background, its printed side towards the glass.";
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
            if (the(block.pieces, id).fabric == fabric.id)
                layer.items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt,
                                                   Pen{fabric.colour, 0.1, Dash::solid}, id});
        if (!layer.items.empty()) page.layers.push_back(std::move(layer));
    }
    return page;
}

std::vector<sheet::Page> matPages(const Quilt& quilt, const Block& block, const plan::MachinePlan& plan,
                                  double width, double height) {
    std::vector<sheet::Page> out;
    for (const auto& mat : plan.mats) {
        sheet::Page page{width, height, {}};
        for (const auto& fabric : quilt.fabrics) {
            sheet::Layer layer{fabric.name, {}, {}, {}};
            for (const auto& [id, outline] : mat.lines)
                if (the(block.pieces, id).fabric == fabric.id)
                    layer.items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt,
                                                       Pen{fabric.colour, 0.1, Dash::solid}, id});
            if (!layer.items.empty()) page.layers.push_back(std::move(layer));
        }
        out.push_back(std::move(page));
    }
    return out;
}

} // namespace up::output
