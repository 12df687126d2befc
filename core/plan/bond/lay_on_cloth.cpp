// SPDX-License-Identifier: GPL-3.0-or-later
// From quilt to engine and back, fabric by fabric.
#include "core/plan/bond/on_cloth.hpp"

#include <algorithm>
#include <set>

namespace up::plan {

using quilt::Block;
using quilt::OnCloth;
using quilt::Quilt;
using shape::Region;

namespace {

/// Cloth and chunks of one fabric.
struct Of {
    bond::Task task;
    std::vector<ClothId> cloths;
    std::vector<int> chunks; ///< by number
};

Of ofFabric(const Quilt& quilt, const Block& block, const TracePlan& trace, FabricId fabric,
            const std::vector<Waiting>& others) {
    Of out;
    out.task.margin = press::fabricBeyondWeb.mm();
    for (const auto& cloth : quilt.cloths) {
        if (!mayUse(cloth, fabric, block.id)) continue;
        Region area{cloth.outline};
        for (const auto& waiting : others)
            if (waiting.cloth == cloth.id) area = shape::subtract(area, waiting.outline);
        if (area.isEmpty()) continue;
        out.task.cloths.push_back(forEngine(cloth, std::move(area)));
        out.cloths.push_back(cloth.id);
    }
    for (const auto& chunk : trace.chunks) {
        if (chunk.fabric != fabric || isBonded(block, chunk)) continue;
        auto made = forEngine(quilt, block, chunk);
        if (const auto* where = whereOf(block, chunk); where && where->pinned) {
            const auto at = std::find(out.cloths.begin(), out.cloths.end(), where->cloth);
            if (at != out.cloths.end())
                made.pinned =
                    bond::Lying{out.chunks.size(), static_cast<std::size_t>(at - out.cloths.begin()),
                                where->turn.degrees(), where->x, where->y};
        }
        out.task.chunks.push_back(std::move(made));
        out.chunks.push_back(chunk.number);
    }
    return out;
}

} // namespace

std::vector<OnCloth> layOnCloth(const Quilt& quilt, const Block& block, const TracePlan& trace,
                                const bond::Options& options, Job& job) {
    std::set<FabricId> fabrics;
    for (const auto& chunk : trace.chunks)
        if (!isBonded(block, chunk)) fabrics.insert(chunk.fabric);
    const auto others = waitingOfOthers(quilt, block.id);
    std::vector<OnCloth> out;
    for (const auto fabric : fabrics) {
        const auto of = ofFabric(quilt, block, trace, fabric, others);
        if (of.cloths.empty()) continue;
        for (const auto& lying : bond::bond(of.task, options, job).lying)
            out.push_back({of.chunks[lying.chunk], of.cloths[lying.cloth], lying.x, lying.y,
                           measure::Angle::ofDegrees(lying.turn),
                           of.task.chunks[lying.chunk].pinned.has_value()});
    }
    std::sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.chunk < b.chunk; });
    return out;
}

namespace {

bool hasSomeOf(const Chunk& chunk, const std::vector<PieceId>& pieces) {
    return std::any_of(chunk.pieces.begin(), chunk.pieces.end(), [&](PieceId piece) {
        return std::find(pieces.begin(), pieces.end(), piece) != pieces.end();
    });
}

} // namespace

double areaLaid(const Quilt& quilt, const Block& block, const TracePlan& trace,
                const std::vector<PieceId>& pieces) {
    auto held = block;
    for (auto& on : held.onCloth)
        on.pinned = true;
    constexpr bond::Options shortly{40, 1};
    Job job;
    const auto lying = layOnCloth(quilt, held, trace, shortly, job);
    double out = 0;
    for (const auto& chunk : trace.chunks)
        if (hasSomeOf(chunk, pieces) &&
            std::any_of(lying.begin(), lying.end(), [&](const auto& on) { return on.chunk == chunk.number; }))
            out += chunk.roughCut.area();
    return out;
}

bool allFindRoom(const Quilt& quilt, const Block& block, const TracePlan& trace,
                 const std::vector<PieceId>& pieces) {
    constexpr double dust = 0.5; // mm²
    double whole = 0;
    for (const auto& chunk : trace.chunks) {
        if (!hasSomeOf(chunk, pieces)) continue;
        if (!fitsOnEmpty(quilt, block, chunk)) return false;
        whole += chunk.roughCut.area();
    }
    return areaLaid(quilt, block, trace, pieces) >= whole - dust;
}

std::vector<OnCloth> layTheRest(const Quilt& quilt, const Block& block, const TracePlan& trace) {
    auto held = block;
    for (auto& on : held.onCloth)
        on.pinned = true;
    for (const auto& use : planBonding(quilt, block, trace).cloths) // what lies badly is laid anew
        for (const auto& laid : use.chunks)
            for (auto& on : held.onCloth)
                if (on.chunk == laid.where.chunk && laid.lies != Lies::well) on.pinned = false;
    Job job;
    auto out = layOnCloth(quilt, held, trace, {}, job);
    for (auto& on : out)
        on.pinned = std::any_of(block.onCloth.begin(), block.onCloth.end(), [&](const OnCloth& before) {
            return before.chunk == on.chunk && before.pinned;
        });
    return out;
}

namespace {

bool isIn(const Region& what, const Region& in) {
    constexpr double dust = 0.5; // mm²
    return shape::subtract(what, in).area() < dust;
}

/// The parts worth keeping: a circle of that width goes into them.
std::vector<Region> worthKeeping(std::vector<Region> parts, measure::Length least) {
    std::erase_if(parts,
                  [&](const Region& part) { return shape::offset(part, -least.mm() / 2, 0.3).isEmpty(); });
    std::stable_sort(parts.begin(), parts.end(),
                     [](const Region& a, const Region& b) { return a.area() > b.area(); });
    return parts;
}

} // namespace

std::vector<quilt::ClothLeft> leftWhenBonded(const Quilt& quilt, const Block& block, const TracePlan& trace,
                                             const std::vector<std::size_t>& chunks) {
    auto waiting = waitingOfOthers(quilt, block.id);
    std::vector<std::pair<ClothId, std::vector<Region>>> cuts;
    for (std::size_t i = 0; i < trace.chunks.size(); ++i) {
        const auto& chunk = trace.chunks[i];
        const auto* where = whereOf(block, chunk);
        if (!where) continue;
        auto outline = shape::transformed(outlineOf(chunk), placing(*where));
        if (std::find(chunks.begin(), chunks.end(), i) == chunks.end()) {
            if (!isBonded(block, chunk))
                waiting.push_back({block.id, chunk.number, where->cloth, std::move(outline)});
            continue;
        }
        const auto at = std::find_if(cuts.begin(), cuts.end(),
                                     [&](const auto& cut) { return cut.first == where->cloth; });
        auto& list =
            at == cuts.end() ? cuts.emplace_back(where->cloth, std::vector<Region>{}).second : at->second;
        list.push_back(std::move(outline));
    }
    std::vector<quilt::ClothLeft> out;
    for (const auto& [id, cut] : cuts) {
        quilt::ClothLeft left{id, {}};
        const auto parts = bond::leftOf(Region{the(quilt.cloths, id).outline}, cut);
        for (const auto& part : worthKeeping(parts, quilt.leastOffCut))
            left.parts.push_back({part.rings, {}});
        for (const auto& other : waiting) {
            if (other.cloth != id) continue;
            for (auto& part : left.parts)
                if (isIn(other.outline, Region{part.outline}))
                    part.waiting.emplace_back(other.block, other.chunk);
        }
        out.push_back(std::move(left));
    }
    return out;
}

} // namespace up::plan
