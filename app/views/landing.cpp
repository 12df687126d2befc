// SPDX-License-Identifier: GPL-3.0-or-later
// The whole quilt on the wall, each block with its stair.
#include "app/views/pieces.hpp"

#include "core/plan/finish/finish_plan.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/plan/finish/strips_cut.hpp"
#include "core/plan/work/progress.hpp"
#include "drawn/strips.hpp"
#include "words/finish_words.hpp"
#include "words/laid_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::app {
namespace {

Panel wallPanel(const quilt::Quilt& quilt, const quilt::Block& block, bool chosen) {
    Panel panel;
    panel.caption = block.name;
    panel.side = Side::plain;
    panel.box = quilt::finishedBox(block);
    panel.tag = block.id;
    panel.done = block.trimmed;
    panel.chosen = chosen;
    panel.hasStair = true;
    const auto ground = plan::planGround(block);
    panel.layers = drawn::placedBlock({quilt, block, ground}, drawn::For::small);
    panel.layers.pop_back(); // what lies beyond the finished edge is not on the wall
    for (auto& layer : panel.layers)
        layer.clip = panel.box;
    const auto finish = plan::planFinish(quilt, block);
    panel.layers.push_back(drawn::stripsInPlace(quilt, finish));
    panel.box = finish.box;
    for (const auto tread : every<quilt::Tread>()) {
        const auto count = plan::countOf(block, tread);
        panel.stair[static_cast<std::size_t>(tread)] = count.of > 0
                                                           ? static_cast<double>(count.done) / count.of
                                                       : block.pieces.empty() ? 0
                                                                              : -1;
    }
    return panel;
}

/// Furthest on first: what is nearly done is pleasant to finish.
std::vector<const quilt::Block*> byProgress(const quilt::Quilt& quilt) {
    std::vector<const quilt::Block*> out;
    for (const auto& block : quilt.blocks)
        out.push_back(&block);
    std::stable_sort(out.begin(), out.end(), [](const auto* a, const auto* b) {
        const auto rank = [](const auto* x) {
            return x->trimmed ? -1 : static_cast<int>(plan::currentTread(*x));
        };
        return rank(a) > rank(b);
    });
    return out;
}

} // namespace

ViewParts landingParts(const quilt::Quilt& quilt, BlockId chosen) {
    ViewParts parts;
    parts.scene.badges = Badges::arrows;
    parts.scene.columns = std::min(quilt.columns, static_cast<int>(quilt.blocks.size()));
    parts.scene.empty = words::tr(
        "This quilt has no block yet.\nPress “New block…” and give its finished size, then import a "
        "drawing.");
    parts.rows.title = words::tr("What is left");
    for (const auto& block : quilt.blocks)
        parts.scene.panels.push_back(wallPanel(quilt, block, block.id == chosen));
    for (const auto* block : byProgress(quilt)) {
        const auto tread = plan::currentTread(*block);
        const int left = plan::countOf(*block, tread).left();
        Row row{block->name,
                words::said(N2_("{1}, {0} piece left", "{1}, {0} pieces left"),
                            static_cast<std::size_t>(left), {words::treadName(tread)}),
                block->id};
        if (block->trimmed)
            row.detail = words::tr("finished");
        else if (tread == quilt::Tread::finish)
            row.detail = plan::planLines(*block).next() ? words::tr("stitch its lines by hand")
                         : plan::nextLaid(*block)       ? words::tr("lay its trimmings on")
                                                        : words::tr("trim it to size");
        else if (block->pieces.empty())
            row.detail = words::tr("import a drawing");
        row.done = block->trimmed;
        row.next = block->id == chosen;
        parts.rows.rows.push_back(std::move(row));
    }
    for (const auto& line : words::wallWords(quilt))
        parts.rows.rows.push_back({line, {}, {}});
    for (const auto& cut : plan::planSettingCut(quilt)) {
        const auto lines = words::settingCutWords(quilt, cut);
        for (std::size_t i = 0; i < lines.size(); ++i) {
            parts.rows.rows.push_back({lines[i], {}, {}});
            if (const auto* fabric = find(quilt.fabrics, cut.fabric); fabric && i == 0)
                parts.rows.rows.back().swatch = fabric->colour,
                parts.rows.rows.back().picture = fabric->swatch;
        }
    }
    for (const auto& amount : plan::trimmingsToGet(quilt)) {
        parts.rows.rows.push_back({words::amountWords(quilt, amount), {}, {}});
        if (const auto* fabric = find(quilt.fabrics, amount.fabric))
            parts.rows.rows.back().swatch = fabric->colour;
    }
    return parts;
}

} // namespace up::app
