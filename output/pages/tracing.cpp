// SPDX-License-Identifier: GPL-3.0-or-later
// Tracing layouts: tiled on paper, or straight onto sheets of web.
#include "drawn/traced_sheet.hpp"
#include "output/pages/contents.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <iterator>

namespace up::output {
namespace {

using namespace sheet::palette;
using quilt::Block;
using quilt::Quilt;
using sheet::Dash;
using sheet::Pen;

/// One sheet's lines, on the sheet's own millimetres.
struct Lines {
    std::vector<sheet::Item> items;
    shape::Box box;
};
Lines linesOf(const Quilt& quilt, const Block& block, const plan::TracePlan& trace,
              const plan::SheetUse& sheet) {
    auto made = drawn::tracedSheet({quilt, block, *block.layout, trace}, sheet, drawn::For::paper);
    Lines out{std::move(made.web.items), made.box};
    for (auto* layer : {&made.lines, &made.numbers})
        std::move(layer->items.begin(), layer->items.end(), std::back_inserter(out.items));
    return out;
}

std::string titleOf(const Block& block, const plan::TracePlan& trace, std::size_t sheet) {
    const auto& use = trace.sheets[sheet];
    if (trace.sheets.size() == 1 && use.from.outline.empty())
        return words::said(N_("{0}: tracing layout"), {block.name});
    return words::said(use.from.outline.empty() ? N_("{0}: tracing layout, web sheet {1}")
                                                : N_("{0}: tracing layout, off-cut {1}"),
                       {block.name, std::to_string(drawn::numberOf(trace, use))});
}

} // namespace

Result<std::vector<sheet::Page>> tracingPages(const Quilt& quilt, const Block& block,
                                              const PageOptions& options) {
    const auto trace = plan::planTrace(quilt, block);
    if (trace.lines.empty()) return failure(Code::nothingToDo, {block.name});
    std::vector<sheet::Page> pages;
    for (std::size_t i = 0; i < trace.sheets.size(); ++i) {
        auto lines = linesOf(quilt, block, trace, trace.sheets[i]);
        Content content{
            std::move(lines.items), lines.box, titleOf(block, trace, i),
            words::tr("Paper side: reversed. Trace on the smooth side of the web, just as printed."),
            words::tr("Solid line: trace, later cut. Dashed line: rough cut, about 1/4 in outside.")};
        if (!trace.sheets[i].from.outline.empty()) { // the off-cut's own edge, to lay it on
            content.items.push_back(sheet::Shape{sheet::contoursOf(trace.sheets[i].area), std::nullopt,
                                                 Pen{quiet, 0.3, Dash::dotted}});
            content.box.take(trace.sheets[i].area.bounds());
        }
        for (auto& page : tiled(content, options))
            pages.push_back(std::move(page));
    }
    return pages;
}

Result<std::vector<WholeSheet>> wholeSheets(const Quilt& quilt, const Block& block) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    const auto page = [](const shape::Box& box, std::vector<sheet::Item> items) {
        constexpr double border = 3; // mm: pens have a width
        return sheet::Page{box.width() + 2 * border,
                           box.height() + 2 * border,
                           {{"drawing",
                             std::move(items),
                             shape::Transform::moveBy(border - box.left, border - box.top),
                             {}}}};
    };
    std::vector<WholeSheet> out;
    const auto trace = plan::planTrace(quilt, block);
    for (std::size_t i = 0; i < trace.sheets.size(); ++i) {
        auto lines = linesOf(quilt, block, trace, trace.sheets[i]);
        const auto& area = trace.sheets[i].area;
        lines.items.push_back(
            sheet::Shape{sheet::contoursOf(area), std::nullopt, Pen{quiet, 0.3, Dash::dotted}});
        lines.box.take(area.bounds());
        out.push_back({titleOf(block, trace, i), true, page(lines.box, std::move(lines.items))});
    }
    auto front = placementContent(quilt, block);
    out.push_back({front.title, false, page(front.box, std::move(front.items))});
    return out;
}

Result<std::vector<sheet::Page>> webPages(const Quilt& quilt, const Block& block,
                                          const PageOptions& options) {
    const auto trace = plan::planTrace(quilt, block);
    const auto* web = find(quilt.webs, block.web);
    if (trace.lines.empty() || !web) return failure(Code::nothingToDo, {block.name});
    if (web->roll()) return failure(Code::webIsARoll, {web->name});
    const double by = testSquare / std::clamp(options.square, leastSquare, mostSquare);
    std::vector<sheet::Page> pages;
    for (const auto& use : trace.sheets) {
        if (!use.from.outline.empty()) continue; // an off-cut goes through no printer
        auto lines = linesOf(quilt, block, trace, use);
        const double width = web->width.mm(), height = web->length().mm();
        pages.push_back({width,
                         height,
                         {{"drawing", std::move(lines.items), shape::Transform::scale(by, by),
                           shape::Box{0, 0, width, height}}}});
    }
    if (pages.empty()) return failure(Code::nothingToDo, {block.name});
    return pages;
}

} // namespace up::output
