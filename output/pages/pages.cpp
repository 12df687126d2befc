// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/pages/pages.hpp"

#include "drawn/placed_block.hpp"
#include "output/pages/contents.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <iterator>

namespace up::output {
namespace {

using quilt::Block;
using quilt::Quilt;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

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

Content placementContent(const Quilt& quilt, const Block& block, bool guides) {
    const auto plan = plan::planBlock(block);
    Content content{{},
                    quilt::cutBox(block),
                    words::said(N_("{0}: placement sheet"), {block.name}),
                    words::tr("Front, as seen: not reversed. Lay it under or beside the background."),
                    words::tr("Outer line: raw edge. Inner line: finished edge. Dashed outlines are hidden "
                              "under other pieces.")};
    if (guides) {
        content.title = words::said(N_("{0}: lines that guide"), {block.name});
        content.advice =
            words::tr("Outer line: raw edge. Inner line: finished edge, its corners marked. What other "
                      "pieces hide is left out.");
    }
    if (!block.lines.empty())
        content.side += std::string(" ") + words::tr("Thick lines: stitched by hand, traced last.");
    const auto ground = plan::planGround(block);
    for (auto& layer : drawn::placedBlock({quilt, block, ground, &plan, {}, true, guides}, drawn::For::paper))
        std::move(layer.items.begin(), layer.items.end(), std::back_inserter(content.items));
    for (const auto& region : plan.regions)
        content.box.take(region.bounds());
    return content;
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

Result<std::vector<sheet::Page>> placementPages(const Quilt& quilt, const Block& block,
                                                const PageOptions& options) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    return tiled(placementContent(quilt, block), options);
}

Result<std::vector<sheet::Page>> guidePages(const Quilt& quilt, const Block& block,
                                            const PageOptions& options) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    return tiled(placementContent(quilt, block, true), options);
}

Result<std::vector<sheet::Page>> mirroredPlacementPages(const Quilt& quilt, const Block& block,
                                                        const PageOptions& options) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    auto content = placementContent(quilt, block);
    const double axis = block.width.mm() / 2;
    mirror(content.items, axis);
    content.box = {2 * axis - content.box.right, content.box.top, 2 * axis - content.box.left,
                   content.box.bottom};
    content.title = words::said(N_("{0}: placement sheet, mirrored"), {block.name});
    content.side =
        words::tr("Mirrored. Tape it to a window behind the background, its printed side towards the glass.");
    return tiled(content, options);
}

Result<sheet::Page> cutSheet(const Quilt& quilt, const Block& block) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    const auto trace = plan::planTrace(quilt, block);
    auto lines = trace.lines;
    if (lines.empty())
        for (const auto& piece : block.pieces)
            if (!piece.isOffWeb())
                lines.emplace_back(piece.id, transformed(quilt::reversed(piece),
                                                         shape::Transform::moveBy(block.width.mm(), 0)));
    if (lines.empty()) return failure(Code::nothingToDo, {block.name});
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
