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

bool isPartOf(const Chunk& part, const Chunk& whole) {
    return std::find(whole.pieces.begin(), whole.pieces.end(), part.pieces.front()) != whole.pieces.end();
}

/// mm² of the chunk's pieces that find a place when all else stays where it is.
double placed(const Quilt& quilt, Block block, const TracePlan& after, const Chunk& whole) {
    for (auto& on : block.onCloth)
        on.pinned = true;
    constexpr bond::Options shortly{40, 1};
    Job job;
    const auto lying = layOnCloth(quilt, block, after, shortly, job);
    double out = 0;
    for (const auto& part : after.chunks) {
        const bool lies =
            std::any_of(lying.begin(), lying.end(), [&](const auto& on) { return on.chunk == part.number; });
        if (!lies || !isPartOf(part, whole)) continue;
        for (const auto& shape : shapesOf(after, part))
            out += shape.area();
    }
    return out;
}

constexpr std::size_t most = 40; // cuts that are tried

/// The layouts that one cut leads to, the shortest cut first, as far as one part at least would fit on empty cloth; until
/// `use` has seen enough.
template<class Use>
void eachParted(const Quilt& quilt, const Block& block, const TracePlan& trace, const Chunk& chunk, Use use) {
    if (!block.layout || chunk.pieces.size() < 2 || chunk.strip) return;
    auto ways = shape::partings(shapesOf(trace, chunk), chunk.roughCut);
    if (ways.size() > most) ways.resize(most);
    for (const auto& way : ways) {
        breathe();
        auto layout = withParted(*block.layout, chunk, way.beyond);
        const auto after = planTrace(quilt, block, layout, &trace);
        const bool fits = std::any_of(after.chunks.begin(), after.chunks.end(), [&](const Chunk& part) {
            return isPartOf(part, chunk) && fitsOnEmpty(quilt, block, part);
        });
        if (fits && use(std::move(layout), after)) return;
    }
}

} // namespace

bool mayBeParted(const Quilt& quilt, const Block& block, const TracePlan& trace, const Chunk& chunk) {
    bool may = false;
    eachParted(quilt, block, trace, chunk, [&](const Layout&, const TracePlan&) { return may = true; });
    return may;
}

std::optional<Layout> parted(const Quilt& quilt, const Block& block, const TracePlan& trace,
                             const Chunk& chunk) {
    constexpr double dust = 0.5; // mm²
    double whole = 0, held = 0;
    for (const auto& shape : shapesOf(trace, chunk))
        whole += shape.area();
    std::optional<Layout> best;
    eachParted(quilt, block, trace, chunk, [&](Layout layout, const TracePlan& after) {
        const double area = placed(quilt, block, after, chunk);
        if (area <= held + dust) return false;
        held = area;
        best = std::move(layout);
        return area >= whole - dust;
    });
    return best;
}

} // namespace up::plan
