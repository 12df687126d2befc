// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/bond/bond_plan.hpp"

#include "core/base/lab.hpp"
#include "core/plan/bond/on_cloth.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::plan {

using measure::Angle;
using quilt::Block;
using quilt::Cloth;
using quilt::Quilt;
using shape::Region;

namespace {

constexpr double hair = 0.03; // mm by which a margin may fall short: what the offsets' arcs lack

double periodOf(const quilt::Fabric& fabric) {
    return fabric.print == quilt::Print::oneWay ? 360 : 180;
}

/// Degrees between two directions that are the same every `period`.
double between(double a, double b, double period) {
    return std::abs(std::remainder(a - b, period));
}

Lies howItLies(const Quilt& quilt, const ClothUse& use, const ChunkLaid& laid, const Cloth& cloth,
               const Region& area, const Chunk& chunk) {
    if (cloth.fabric != chunk.fabric) return Lies::otherFabric;
    const double margin = press::fabricBeyondWeb.mm();
    const auto grown = shape::offset(laid.outline, margin - hair, hair / 3);
    if (!shape::subtract(grown, area).isEmpty()) return Lies::offCloth;
    const auto meets = [&](const Region& other) { return !shape::intersect(grown, other).isEmpty(); };
    for (const auto& other : use.chunks)
        if (other.chunk != laid.chunk && meets(other.outline)) return Lies::onAnother;
    if (std::any_of(use.others.begin(), use.others.end(), meets)) return Lies::onAnother;
    const auto* fabric = find(quilt.fabrics, chunk.fabric);
    if (!fabric || !laid.wants || !cloth.stripes) return Lies::well;
    constexpr double rounding = 1e-6; // degrees
    return between(laid.wants->degrees(), cloth.stripes->degrees(), periodOf(*fabric)) <=
                   fabric->tolerance.degrees() + rounding
               ? Lies::well
               : Lies::stripesWrong;
}

ClothUse& useOf(BondPlan& plan, ClothId cloth) {
    const auto at = std::find_if(plan.cloths.begin(), plan.cloths.end(),
                                 [&](const ClothUse& use) { return use.cloth == cloth; });
    if (at != plan.cloths.end()) return *at;
    plan.cloths.push_back({cloth, {}, {}, {}});
    return plan.cloths.back();
}

/// How a chunk is looked at: on empty cloth, or as the plan has filled it; its print as wanted or any way.
struct Room {
    const BondPlan* filled = nullptr;
    bool anyWay = false;
};

bool hasRoom(const Quilt& quilt, const Block& block, const Chunk& chunk, const Room& room) {
    bond::Task task{};
    task.margin = press::fabricBeyondWeb.mm();
    for (const auto& cloth : quilt.cloths) {
        if (!mayUse(cloth, chunk.fabric, block.id)) continue;
        Region area{cloth.outline};
        if (room.filled)
            for (const auto& use : room.filled->cloths)
                if (use.cloth == cloth.id) area = shape::unite(use.left);
        task.cloths.push_back(forEngine(cloth, std::move(area)));
    }
    task.chunks.push_back(forEngine(quilt, block, chunk, room.anyWay));
    return bond::hasRoom(task);
}

ChunkShort shortOf(const Quilt& quilt, const Block& block, const BondPlan& plan, const TracePlan& trace,
                   std::size_t index) {
    const auto& chunk = trace.chunks[index];
    ChunkShort out{index, WhyShort::notInStash, chunk.patch.width, chunk.patch.height, std::nullopt};
    double largest = 0;
    for (const auto& cloth : quilt.cloths) {
        if (!mayUse(cloth, chunk.fabric, block.id)) continue;
        const Region area{cloth.outline};
        if (area.area() <= largest) continue;
        largest = area.area();
        out.largest = press::boxRound(area);
    }
    if (!out.largest) return out;
    if (hasRoom(quilt, block, chunk, {&plan, false}))
        out.why = WhyShort::notLaid;
    else if (fitsOnEmpty(quilt, block, chunk))
        out.why = WhyShort::usedUp;
    else
        out.why = wantsOf(quilt, block, chunk) && hasRoom(quilt, block, chunk, {nullptr, true})
                      ? WhyShort::printWrong
                      : WhyShort::tooSmall;
    return out;
}

} // namespace

std::optional<Angle> wantsOf(const Quilt& quilt, const Block& block, const Chunk& chunk) {
    const auto* fabric = find(quilt.fabrics, chunk.fabric);
    if (!fabric || fabric->print == quilt::Print::plain) return std::nullopt;
    const double period = periodOf(*fabric);
    double across = 0, down = 0; // directions added up as arrows, of which one turn is one period
    for (const auto& [traced, outline] : chunk.made) {
        const auto& grain = the(block.pieces, traced.piece).grain;
        if (!grain) continue;
        const double at = (180 - grain->degrees() + traced.turn.degrees()) / period * 2 * std::numbers::pi;
        across += std::cos(at), down += std::sin(at);
    }
    if (across == 0 && down == 0) return std::nullopt;
    return Angle::ofDegrees(std::atan2(down, across) / (2 * std::numbers::pi) * period);
}

bool fitsOnEmpty(const Quilt& quilt, const Block& block, const Chunk& chunk) {
    return hasRoom(quilt, block, chunk, {nullptr, false});
}

BondPlan planBonding(const Quilt& quilt, const Block& block, const TracePlan& trace) {
    BondPlan plan;
    for (std::size_t i = 0; i < trace.chunks.size(); ++i) {
        const auto& chunk = trace.chunks[i];
        const auto* where = whereOf(block, chunk);
        if (!where || isBonded(block, chunk)) continue;
        auto wants = wantsOf(quilt, block, chunk);
        if (wants) wants = (*wants + where->turn).normal();
        useOf(plan, where->cloth)
            .chunks.push_back({i, *where, shape::transformed(outlineOf(chunk), placing(*where)), wants, {}});
    }
    for (auto& waiting : waitingOfOthers(quilt, block.id))
        for (auto& use : plan.cloths)
            if (use.cloth == waiting.cloth) use.others.push_back(std::move(waiting.outline));
    for (auto& use : plan.cloths) {
        const auto& cloth = the(quilt.cloths, use.cloth);
        const Region area{cloth.outline};
        auto cut = use.others;
        for (auto& laid : use.chunks) {
            laid.lies = howItLies(quilt, use, laid, cloth, area, trace.chunks[laid.chunk]);
            cut.push_back(laid.outline);
        }
        use.left = bond::leftOf(area, cut);
    }
    for (std::size_t i = 0; i < trace.chunks.size(); ++i)
        if (!isBonded(block, trace.chunks[i]) && !whereOf(block, trace.chunks[i]))
            plan.missing.push_back(shortOf(quilt, block, plan, trace, i));
    return plan;
}

FabricId nearFabric(const Quilt& quilt, const Block& block, const Chunk& chunk) {
    const auto* fabric = find(quilt.fabrics, chunk.fabric);
    if (!fabric) return {};
    const auto wanted = labOf(fabric->colour);
    std::vector<std::pair<double, FabricId>> near;
    for (const auto& other : quilt.fabrics) {
        const auto lab = labOf(other.colour);
        const double far = difference(wanted, lab);
        if (other.id != fabric->id && far <= nearColour &&
            std::abs(lab.lightness - wanted.lightness) <= nearLightness)
            near.emplace_back(far, other.id);
    }
    std::sort(near.begin(), near.end());
    for (const auto& [far, id] : near) {
        auto other = chunk;
        other.fabric = id;
        const auto isOfIt = [&](const Cloth& cloth) { return mayUse(cloth, id, block.id); };
        if (std::any_of(quilt.cloths.begin(), quilt.cloths.end(), isOfIt) && fitsOnEmpty(quilt, block, other))
            return id;
    }
    return {};
}

} // namespace up::plan
