// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/bond/parting.hpp"

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

Layout withParted(const Layout& layout, const Chunk& chunk, const std::vector<std::size_t>& away) {
    int fresh = 0;
    for (const auto& traced : layout.traced)
        fresh = std::max(fresh, traced.chunk + 1);
    Layout out = layout;
    for (const auto i : away)
        for (auto& traced : out.traced)
            if (traced.piece == chunk.pieces[i]) traced.chunk = fresh;
    return out;
}

/// mm² of the pieces that find a place when all else stays where it is.
double placed(const Quilt& quilt, Block block, Layout layout, const TracePlan& before,
              const std::vector<PieceId>& pieces) {
    block.layout = std::move(layout);
    for (auto& on : block.onCloth)
        on.pinned = true;
    const auto trace = planTrace(quilt, block, *block.layout, &before);
    constexpr bond::Options shortly{40, 1};
    Job job;
    const auto lying = layOnCloth(quilt, block, trace, shortly, job);
    double out = 0;
    for (const auto& chunk : trace.chunks) {
        const bool isPart =
            std::find(pieces.begin(), pieces.end(), chunk.pieces.front()) != pieces.end();
        const bool lies = std::any_of(lying.begin(), lying.end(),
                                      [&](const auto& on) { return on.chunk == chunk.number; });
        if (!isPart || !lies) continue;
        for (const auto& shape : shapesOf(trace, chunk))
            out += shape.area();
    }
    return out;
}

} // namespace

std::optional<Layout> parted(const Quilt& quilt, const Block& block, const TracePlan& trace,
                             const Chunk& chunk) {
    if (!block.layout || chunk.pieces.size() < 2 || chunk.strip) return std::nullopt;
    const auto shapes = shapesOf(trace, chunk);
    double whole = 0;
    for (const auto& shape : shapes)
        whole += shape.area();
    constexpr std::size_t most = 40; // cuts that are tried
    constexpr double dust = 0.5;     // mm²
    auto ways = shape::partings(shapes, chunk.roughCut);
    if (ways.size() > most) ways.resize(most);
    std::optional<Layout> best;
    double held = 0;
    for (const auto& way : ways) {
        auto layout = withParted(*block.layout, chunk, way.beyond);
        const double area = placed(quilt, block, layout, trace, chunk.pieces);
        if (area <= held + dust) continue;
        held = area;
        best = std::move(layout);
        if (area >= whole - dust) break;
    }
    return best;
}

} // namespace up::plan
