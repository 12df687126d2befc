// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/bond/parting.hpp"

#include "core/base/job.hpp"
#include "core/plan/bond/on_cloth.hpp"
#include "core/shape/parting.hpp"

#include <algorithm>

namespace up::plan {

using quilt::Block;
using quilt::Layout;
using quilt::Quilt;
using shape::Region;

namespace {

std::vector<Region> shapesOf(const TracePlan& trace, const Chunk& chunk) {
    std::vector<Region> out;
    for (const auto piece : chunk.pieces)
        for (const auto& [id, line] : trace.lines)
            if (id == piece) out.push_back(shape::regionOf(line));
    return out;
}

int freshNumber(const Layout& layout) {
    int out = 0;
    for (const auto& traced : layout.traced)
        out = std::max(out, traced.chunk + 1);
    return out;
}

/// A cut, and what comes of it.
struct Way {
    std::vector<std::size_t> away;
    std::pair<Chunk, Chunk> parts;
    double length = 0;    ///< mm, of the cut
    bool bothFit = false; ///< by their sizes
};

/// The plan with the two instead of the whole.
TracePlan with(TracePlan trace, const Chunk& whole, const Way& way) {
    std::erase_if(trace.chunks, [&](const Chunk& chunk) { return chunk.number == whole.number; });
    for (const auto* part : {&way.parts.first, &way.parts.second})
        trace.chunks.push_back(*part);
    return trace;
}

double perimeterOf(const Region& region) {
    double out = 0;
    for (const auto& ring : region.rings)
        out += shape::perimeter(ring);
    return out;
}

/// Calls `use(way)` for each cut after which a part at least may fit on empty cloth, until it has seen enough.
template<class Use>
void eachWay(const Quilt& quilt, const Block& block, const TracePlan& trace, const Chunk& chunk, Use use) {
    if (!block.layout || chunk.pieces.size() < 2 || chunk.strip) return;
    const int number = freshNumber(*block.layout);
    const double whole = perimeterOf(chunk.roughCut);
    const ClothSizes sizes(quilt, block.id, chunk.fabric);
    for (auto& group : shape::groupings(shapesOf(trace, chunk))) {
        breathe();
        Way way{group, inTwo(trace, *block.layout, chunk, group, number)};
        const auto& [stays, goes] = way.parts;
        way.length = (perimeterOf(stays.roughCut) + perimeterOf(goes.roughCut) - whole) / 2;
        const bool one = sizes.mayHold(stays.patch), other = sizes.mayHold(goes.patch);
        way.bothFit = one && other;
        if ((one || other) && use(std::move(way))) return;
    }
}

} // namespace

bool mayBeParted(const Quilt& quilt, const Block& block, const TracePlan& trace, const Chunk& chunk) {
    constexpr int tried = 6;
    int count = 0;
    bool may = false;
    eachWay(quilt, block, trace, chunk, [&](const Way& way) {
        may = fitsOnEmpty(quilt, block, way.parts.first) || fitsOnEmpty(quilt, block, way.parts.second);
        return may || ++count == tried;
    });
    return may;
}

std::optional<Layout> parted(const Quilt& quilt, const Block& block, const TracePlan& trace,
                             const Chunk& chunk) {
    std::vector<Way> ways;
    eachWay(quilt, block, trace, chunk, [&](Way way) {
        ways.push_back(std::move(way));
        return false;
    });
    std::stable_sort(ways.begin(), ways.end(), [](const Way& a, const Way& b) {
        return a.bothFit != b.bothFit ? a.bothFit : a.length < b.length;
    });
    constexpr std::size_t tried = 12;
    constexpr double dust = 0.5; // mm²
    double held = 0;
    const Way* best = nullptr;
    for (std::size_t i = 0; i < std::min(ways.size(), tried); ++i) {
        breathe();
        const double area = areaLaid(quilt, block, with(trace, chunk, ways[i]), chunk.pieces);
        if (area <= held + dust) continue;
        held = area, best = &ways[i];
        const auto& [stays, goes] = ways[i].parts;
        if (area >= stays.roughCut.area() + goes.roughCut.area() - dust) break;
    }
    if (!best) return std::nullopt;
    Layout out = *block.layout;
    for (const auto i : best->away)
        for (auto& traced : out.traced)
            if (traced.piece == chunk.pieces[i]) traced.chunk = best->parts.second.number;
    return out;
}

} // namespace up::plan
