// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/remains.hpp"

#include <algorithm>

namespace up::plan {

using shape::Region;

std::vector<Region> offCutsOf(const TracePlan& plan, const SheetUse& sheet, measure::Length least) {
    std::vector<Region> cuts;
    Region windows;
    for (const auto& chunk : plan.chunks) {
        if (chunk.sheet != sheet.number) continue;
        Region cut = chunk.roughCut;
        for (const auto& [piece, window] : chunk.windows)
            cut = shape::subtract(cut, window);
        cuts.push_back(std::move(cut));
    }
    constexpr double rough = 0.4, sag = 0.3; // mm
    const Region taken = shape::coveringSimplified(shape::unite(cuts), rough);
    const Region left = shape::subtract(sheet.area, taken);
    // Where the circle fits, and all it sweeps over; then a little less, in fewer points.
    const double radius = least.mm() / 2;
    const Region swept =
        shape::intersect(shape::offset(shape::offset(left, -radius, sag), radius, sag), left);
    std::vector<Region> out;
    for (const auto& island : shape::islands(swept)) {
        const Region fewer = shape::intersect(
            shape::coveringSimplified(shape::offset(island, -2 * rough, sag), rough), island);
        for (auto& part : shape::islands(fewer))
            if (part.area() > least.mm() * least.mm() / 2) out.push_back(std::move(part));
    }
    return out;
}

std::vector<const SheetUse*> cutSheets(const quilt::Block& block, const TracePlan& plan) {
    std::vector<const SheetUse*> out;
    for (const auto& sheet : plan.sheets) {
        if (sheet.from.putAway) continue;
        const bool cut = std::all_of(plan.chunks.begin(), plan.chunks.end(), [&](const Chunk& chunk) {
            return chunk.sheet != sheet.number ||
                   std::all_of(chunk.pieces.begin(), chunk.pieces.end(), [&](PieceId id) {
                       return the(block.pieces, id).work.step >= quilt::Step::roughCut;
                   });
        });
        if (cut) out.push_back(&sheet);
    }
    return out;
}

std::vector<quilt::Remains> remainsOf(const quilt::Block& block, const TracePlan& plan) {
    std::vector<quilt::Remains> out;
    for (const auto* sheet : cutSheets(block, plan)) {
        out.push_back({sheet->number, sheet->roll ? sheet->used : measure::Length{}, {}});
        for (const auto& part : sheet->offCuts) {
            const auto box = part.bounds();
            const auto home = shape::Transform::moveBy(-box.left, -box.top);
            out.back().offCuts.push_back(shape::transformed(part, home).rings);
        }
    }
    return out;
}

} // namespace up::plan
