// SPDX-License-Identifier: GPL-3.0-or-later
// Trimming, and the strips that make the block fit: each where it is sewn on, apart from it until it is.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"
#include "core/plan/work/progress.hpp"
#include "drawn/laid.hpp"
#include "drawn/lines.hpp"
#include "drawn/strips.hpp"
#include "words/finish_words.hpp"
#include "words/laid_words.hpp"
#include "words/line_words.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

shape::Box centredOn(const quilt::Block& block, const fit::Extent& extent) {
    const auto middle = quilt::finishedBox(block).centre();
    const double wide = extent.wide.mm() / 2, high = extent.high.mm() / 2;
    return {middle.x - wide, middle.y - high, middle.x + wide, middle.y + high};
}

/// What is cut off lies in the dark.
sheet::Layer trimLayer(const shape::Box& cloth, const shape::Box& to) {
    sheet::Layer layer{"trim", {}, {}, {}};
    auto off = sheet::box(cloth, look::mat, std::nullopt);
    for (auto& contour : sheet::box(to, std::nullopt, std::nullopt).contours)
        off.contours.push_back(std::move(contour));
    off.opacity = 0.65;
    layer.items.push_back(std::move(off));
    layer.items.push_back(
        sheet::box(to, std::nullopt, sheet::Pen{look::brassBright, 0.9, sheet::Dash::dashed}));
    return layer;
}

Row sizeRow(const Look& look, const plan::FinishPlan& plan) {
    const auto units = look.quilt.units;
    Row row;
    row.text = words::said(N_("Trim to {0}"), {measure::saySize(plan.trimTo.wide, plan.trimTo.high, units)});
    row.detail = look.block.trimmed
                     ? words::tr("done")
                     : words::tr("dashed brass line: the raw edge; “Fit…” takes what it measures");
    if (plan.has) {
        const auto lack = words::lackWords(plan.trimming.lacking, units);
        const auto has = measure::saySize(plan.has->wide, plan.has->high, units);
        row.detail = lack.empty() ? words::said(N_("measures {0}: large enough"), {has})
                                  : words::said(N_("measures {0}: {1}"), {has, lack});
    }
    row.done = look.block.trimmed, row.next = !row.done;
    return row;
}

void addStripRows(std::vector<Row>& rows, const Look& look, const plan::FinishPlan& plan) {
    for (std::size_t i = 0; i < plan.strips.size(); ++i) {
        const auto& strip = plan.strips[i];
        Row row{std::to_string(i + 1) + " · " + words::stripName(strip),
                words::stripSizes(strip, look.quilt.units),
                {}};
        row.done = strip.sewn;
        row.next = plan.stripsNow && look.block.trimmed && plan.next() == &strip;
        if (const auto* fabric = find(look.quilt.fabrics, look.quilt.setting.strips))
            row.swatch = fabric->colour, row.picture = fabric->swatch;
        rows.push_back(std::move(row));
    }
    if (!plan.strips.empty() && !plan.stripsNow)
        rows.push_back({words::tr("Strips wait until all blocks are trimmed"),
                        words::tr("“How the quilt is set…” has them sewn on as blocks come"),
                        {}});
}

/// Lines in the order in which they are stitched, by their floss.
void addLines(std::vector<Row>& rows, const Look& look) {
    const auto& plan = look.derived.lines();
    const auto next = plan.next();
    for (const auto& use : plan.floss) {
        rows.push_back({words::flossName(look.quilt, use.thread), words::flossWords(look.quilt, use), {}});
        rows.back().swatch = threadColour(look.quilt, use.thread);
        for (const auto& needleful : use.plan.needlefuls)
            for (const auto demand : needleful.demands) {
                const auto at = use.parts[demand];
                const auto& part = plan.parts[at];
                const auto& line = the(look.block.lines, part.line);
                Row row{words::partName(look.block, part), words::lineStitchWords(line), line.id};
                row.done = part.sewn;
                row.next = look.next.what == plan::What::sewLine && next && next->part == at;
                rows.push_back(std::move(row));
            }
    }
}

/// What is laid on, in the order of the block's lines.
void addLaid(std::vector<Row>& rows, const Look& look) {
    for (const auto& line : look.block.lines) {
        if (!line.laid) continue;
        Row row{line.name + " · " + words::laidWords(look.quilt, look.block, line),
                words::laidHowWords(look.quilt, line), line.id};
        row.done = line.sewn > 0;
        row.next = look.next.what == plan::What::layLine && look.next.laid && look.next.laid->line == line.id;
        row.swatch = threadColour(look.quilt, line.thread);
        if (const auto* fabric = find(look.quilt.fabrics, line.laid->fabric))
            row.swatch = fabric->colour, row.picture = fabric->swatch;
        rows.push_back(std::move(row));
    }
}

/// Bias strips that are cut for this block, with all others of their cloth.
void addBias(ViewParts& parts, const Look& look) {
    for (const auto& plan : look.derived.bias()) {
        if (std::none_of(plan.lines.begin(), plan.lines.end(),
                         [&](LineId id) { return find(look.block.lines, id); }))
            continue;
        parts.rows.rows.push_back(
            {words::biasWords(look.quilt, plan), words::tr("cut along the threads' diagonal"), {}});
        if (const auto* fabric = find(look.quilt.fabrics, plan.fabric))
            parts.rows.rows.back().swatch = fabric->colour, parts.rows.rows.back().picture = fabric->swatch;
        for (std::size_t cloth = 0; cloth < plan.sizes.size(); ++cloth) {
            if (std::none_of(plan.cutting.bands.begin(), plan.cutting.bands.end(),
                             [&](const auto& band) { return band.cloth == cloth; }))
                continue;
            Panel panel;
            panel.box = {0, 0, plan.sizes[cloth].wide, plan.sizes[cloth].high};
            panel.caption = words::biasCaption(look.quilt, plan, cloth);
            panel.layers.push_back(drawn::biasCutting(look.quilt, plan, cloth));
            parts.scene.panels.push_back(std::move(panel));
        }
    }
}

/// Stitch by stitch instead of whole lines.
void showStitches(Panel& panel, const Look& look) {
    for (auto& layer : panel.layers)
        if (layer.name == "lines") layer = drawn::handStitches(look.quilt, look.block, look.derived.lines());
}

void addAdvice(std::vector<Row>& rows, const Look& look, const plan::FinishPlan& plan) {
    const auto rescues = words::rescues(plan, look.quilt.units);
    for (const auto& rescue : rescues)
        rows.push_back({words::tr("What makes up for it"), rescue, {}});
    const auto drawn = plan::drawnIn(look.quilt, look.block);
    rows.push_back({words::said(N_("Cut the next such background {0} larger"),
                                {say(look.quilt, plan::oversizeFor(look.quilt, look.block))}),
                    words::drawnInWords(drawn),
                    {}});
}

} // namespace

ViewParts finishParts(const Look& look) {
    ViewParts parts;
    const auto& plan = look.derived.finishing();
    auto panel = blockPanel(look, quilt::Step::stitched, false);
    panel.layers.pop_back(); // no numbers any more
    showStitches(panel, look);
    if (look.block.trimmed)
        for (auto& layer : panel.layers)
            layer.clip = quilt::finishedBox(look.block);
    auto drawing = drawn::stripsApart(look.quilt, look.block, plan);
    panel.box = drawing.box;
    if (!look.block.trimmed) {
        const auto cloth = centredOn(look.block, plan.has.value_or(plan.cut));
        panel.layers.front().clip = cloth; // the background
        panel.layers.push_back(trimLayer(cloth, centredOn(look.block, plan.trimTo)));
        panel.box = {std::min(panel.box.left, cloth.left - 6), std::min(panel.box.top, cloth.top - 6),
                     std::max(panel.box.right, cloth.right + 6),
                     std::max(panel.box.bottom, cloth.bottom + 6)};
    }
    panel.layers.push_back(std::move(drawing.layer));
    parts.scene.panels.push_back(std::move(panel));
    parts.rows.title = look.block.lines.empty() ? words::tr("Sizes") : words::tr("Lines and sizes");
    auto& rows = parts.rows.rows;
    addLines(rows, look);
    addLaid(rows, look);
    addBias(parts, look);
    rows.push_back(sizeRow(look, plan));
    addStripRows(rows, look, plan);
    rows.push_back({words::said(N_("Finished {0}"),
                                {measure::saySize(look.block.width, look.block.height, look.quilt.units)}),
                    words::said(N_("{0} with its strips"),
                                {measure::saySize(plan.unit.wide, plan.unit.high, look.quilt.units)}),
                    {}});
    addAdvice(rows, look, plan);
    rows.push_back(
        {words::said(N2_("{0} piece", "{0} pieces"), look.block.pieces.size()),
         words::said(N2_("{0} of them stitched", "{0} of them stitched"),
                     static_cast<std::size_t>(plan::countOf(look.block, quilt::Tread::stitch).done)),
         {}});
    return parts;
}

} // namespace up::app
