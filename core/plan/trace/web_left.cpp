// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/web_left.hpp"

#include <algorithm>
#include <set>

namespace up::plan {

using measure::Length;
using quilt::Block;
using quilt::Layout;
using quilt::Traced;
using quilt::WebSheet;

bool Kept::has(PieceId piece) const {
    return std::any_of(traced.begin(), traced.end(), [&](const Traced& t) { return t.piece == piece; });
}

Kept keptOf(const Block& block) {
    Kept kept;
    if (!block.layout || block.layout->web != block.web) return kept;
    const Layout& layout = *block.layout;
    int sheets = static_cast<int>(layout.sheets.size());
    std::set<int> used;
    for (const auto& traced : layout.traced) {
        const auto* piece = find(block.pieces, traced.piece);
        if (!piece || (piece->work.step == quilt::Step::toTrace && !traced.pinned)) continue;
        kept.traced.push_back(traced);
        kept.chunks = std::max(kept.chunks, traced.chunk + 1);
        used.insert(traced.sheet);
        sheets = std::max(sheets, traced.sheet + 1);
    }
    std::vector<int> renumbered(static_cast<std::size_t>(sheets), -1);
    for (int i = 0; i < sheets; ++i) {
        const auto sheet = sheetOf(layout, i);
        if (!sheet.putAway && !used.contains(i)) continue;
        renumbered[static_cast<std::size_t>(i)] = static_cast<int>(kept.sheets.size());
        kept.sheets.push_back(sheet);
    }
    for (auto& traced : kept.traced)
        traced.sheet = renumbered[static_cast<std::size_t>(traced.sheet)];
    for (const auto& strip : layout.strips)
        if (std::any_of(kept.traced.begin(), kept.traced.end(),
                        [&](const Traced& t) { return t.chunk == strip.chunk; }))
            kept.strips.push_back(strip);
    return kept;
}

Length usedLength(const Block& block, const Layout& layout, int sheet) {
    double lowest = 0;
    for (const auto& traced : layout.traced) {
        const auto* piece = find(block.pieces, traced.piece);
        if (!piece || traced.sheet != sheet) continue;
        lowest =
            std::max(lowest, boundsOf(transformed(quilt::reversed(*piece), quilt::onSheet(traced))).bottom);
    }
    return measure::roundedUp(Length::ofMm(lowest), 4);
}

Reserved reservedBy(const quilt::Quilt& quilt, WebId web, BlockId except) {
    Reserved out;
    for (const auto& block : quilt.blocks) {
        if (block.id == except || !block.layout || block.layout->web != web) continue;
        const Layout& layout = *block.layout;
        std::set<int> used;
        for (const auto& traced : layout.traced)
            used.insert(traced.sheet);
        for (const int number : used) {
            const auto sheet = sheetOf(layout, number);
            if (sheet.putAway) continue;
            if (sheet.offCut) {
                out.offCuts.push_back(sheet.offCut);
                continue;
            }
            ++out.sheets;
            out.roll = out.roll + usedLength(block, layout, number);
        }
    }
    return out;
}

WebLeft webLeft(const quilt::Quilt& quilt, const Block& block, const Kept& kept, bool offCuts) {
    WebLeft out;
    const auto* web = find(quilt.webs, block.web);
    if (!web) return out;
    const auto reserved = reservedBy(quilt, web->id, block.id);
    const double length = std::max(0.0, web->length().mm() - (web->packet() ? 0 : reserved.roll.mm()));
    const auto add = [&](const WebSheet& sheet, int number, double high, int count) {
        const shape::Region outline{sheet.outline};
        const auto box = outline.bounds();
        if (outline.isEmpty())
            out.sheets.push_back({"web", web->width.mm(), high, count, {}});
        else
            out.sheets.push_back({"off-cut", box.right, box.bottom, 1, outline});
        out.origins.push_back({number, sheet});
    };
    int begun = 0;
    std::set<OffCutId> taken(reserved.offCuts.begin(), reserved.offCuts.end());
    for (std::size_t i = 0; i < kept.sheets.size(); ++i) {
        const auto& sheet = kept.sheets[i];
        if (sheet.putAway) continue;
        if (sheet.offCut)
            taken.insert(sheet.offCut);
        else
            ++begun;
        add(sheet, static_cast<int>(i), length, 1);
    }
    std::vector<const quilt::OffCut*> spare;
    for (const auto& offCut : quilt.offCuts)
        if (offCuts && offCut.web == web->id && !taken.contains(offCut.id)) spare.push_back(&offCut);
    std::stable_sort(spare.begin(), spare.end(), [](const auto* a, const auto* b) {
        return shape::Region{a->outline}.area() < shape::Region{b->outline}.area();
    });
    for (const auto* offCut : spare)
        add({offCut->id, offCut->outline, false}, -1, 0, 1);
    if (const auto* packet = web->packet()) {
        const int left = packet->sheets - reserved.sheets - begun;
        if (left > 0) add({}, -1, packet->length.mm(), left);
    } else if (begun == 0 && length > 0) {
        add({}, -1, length, 1);
    }
    return out;
}

} // namespace up::plan
