// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/underlap_plan.hpp"

#include "core/base/lab.hpp"
#include "core/shape/pairs.hpp"
#include "core/stack/underlap.hpp"
#include "core/stack/units.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace up::plan {
namespace {

std::size_t indexOf(const quilt::Block& block, PieceId piece) {
    return static_cast<std::size_t>(numberOf(block, piece)) - 1;
}

std::vector<stack::Pair> saidOf(const quilt::Block& block) {
    std::vector<stack::Pair> out;
    for (const auto& over : block.over)
        out.push_back({indexOf(block, over.upper), indexOf(block, over.lower)});
    return out;
}

using Pair = std::pair<std::size_t, std::size_t>;

/// Pairs that overlap or share a stretch of border.
std::vector<stack::Border> bordersIn(const BlockPlan& plan) {
    std::vector<stack::Border> out;
    std::set<Pair> overlapping;
    for (const auto& o : plan.stack.overlaps) {
        out.push_back({std::min(o.lower, o.upper), std::max(o.lower, o.upper), true});
        overlapping.insert(std::minmax(o.lower, o.upper));
    }
    std::vector<shape::Box> boxes;
    for (const auto& region : plan.regions)
        boxes.push_back(region.isEmpty() ? shape::Box{} : region.bounds().grownBy(stack::meetingGap));
    for (const auto& [one, other] : shape::pairsThatMeet(boxes))
        if (!overlapping.contains(std::minmax(one, other)) &&
            !stack::bordersOf(plan.regions[one], plan.regions[other]).empty())
            out.push_back({one, other, false});
    return out;
}

std::vector<PieceId> idsOf(const quilt::Block& block, const std::vector<std::size_t>& order) {
    std::vector<PieceId> out;
    for (const std::size_t i : order)
        out.push_back(block.pieces[i].id);
    return out;
}

/// What must stay as it is: overlaps, and linings beneath their pieces.
std::vector<stack::Pair> bindingIn(const quilt::Block& block, const BlockPlan& plan) {
    std::vector<stack::Pair> out;
    for (const auto& o : plan.stack.overlaps)
        out.push_back({o.upper, o.lower});
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (block.pieces[i].liningOf) out.push_back({indexOf(block, block.pieces[i].liningOf), i});
    return out;
}

/// Pieces that stay together, as one number each.
std::vector<std::size_t> bundlesOf(const quilt::Block& block) {
    std::vector<std::size_t> bundle(block.pieces.size());
    for (std::size_t i = 0; i < bundle.size(); ++i) {
        bundle[i] = i;
        for (std::size_t j = 0; j < i; ++j) {
            const auto &a = block.pieces[i], &b = block.pieces[j];
            const bool same = (a.unit != 0 && a.unit == b.unit) || a.liningOf == b.id || b.liningOf == a.id;
            if (same) {
                bundle[i] = bundle[j];
                break;
            }
        }
    }
    return bundle;
}

/// Orders bundles as wholes; `before` says which of two pieces that may come next does. Bundles that tie a
/// knot are let go.
std::vector<std::size_t> orderedBundles(const std::vector<std::size_t>& bundle,
                                        const std::vector<stack::Pair>& pairs, const stack::Before& before) {
    const std::size_t count = bundle.size();
    std::vector<stack::Pair> between;
    for (const auto& pair : pairs)
        if (bundle[pair.upper] != bundle[pair.lower])
            between.push_back({bundle[pair.upper], bundle[pair.lower]});
    if (!stack::knotsOf(count, between).empty()) return stack::bottomFirst(count, pairs, before);
    const auto inside = stack::bottomFirst(count, pairs, before);
    std::vector<std::size_t> out;
    for (const std::size_t b : stack::bottomFirst(count, between, before))
        for (const std::size_t i : inside)
            if (bundle[i] == b) out.push_back(i);
    return out;
}

} // namespace

UnderlapPlan planUnderlap(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan,
                          Below below) {
    std::vector<double> lightness;
    if (below == Below::lighter)
        for (const auto& piece : block.pieces) {
            const auto* fabric = find(quilt.fabrics, piece.fabric);
            lightness.push_back(fabric ? labOf(fabric->colour).lightness : 100);
        }
    auto borders = bordersIn(plan);
    const auto found = stack::decided(block.pieces.size(), borders, saidOf(block), lightness);
    UnderlapPlan out;
    out.order = idsOf(block, found.order);
    std::map<Pair, bool> overlap;
    for (const auto& border : borders)
        overlap.emplace(std::minmax(border.one, border.other), border.overlap);
    for (const auto& decision : found.decisions)
        out.borders.push_back({block.pieces[decision.upper].id, block.pieces[decision.lower].id,
                               decision.reason, overlap.at(std::minmax(decision.upper, decision.lower))});
    return out;
}

std::vector<PieceId> numberedAnew(const quilt::Block& block, const BlockPlan& plan) {
    constexpr double row = 25.4; // mm: pieces whose tops lie in one are in a row
    std::vector<shape::Box> boxes;
    for (const auto& region : plan.regions)
        boxes.push_back(region.isEmpty() ? shape::Box{0, 0, 0, 0} : region.bounds());
    const auto key = [&](std::size_t i) {
        return std::tuple(plan.stack.step[i], block.pieces[i].fabric.value, std::floor(boxes[i].top / row),
                          boxes[i].left);
    };
    const auto before = [&](std::size_t a, std::size_t b) { return key(a) < key(b); };
    return idsOf(block, orderedBundles(bundlesOf(block), bindingIn(block, plan), before));
}

Result<std::vector<PieceId>> broughtTogether(const quilt::Block& block, const BlockPlan& plan,
                                             const std::vector<PieceId>& pieces) {
    std::vector<std::size_t> unit;
    for (const PieceId id : pieces) {
        if (numberOf(block, id) == 0) return failure(Code::noSuchPiece, {std::to_string(id.value)});
        unit.push_back(indexOf(block, id));
        for (std::size_t i = 0; i < block.pieces.size(); ++i)
            if (block.pieces[i].liningOf == id) unit.push_back(i);
    }
    if (const auto between = stack::between(unit, plan.stack))
        return failure(Code::comesBetween, {calledOf(block, block.pieces[*between])});
    auto bundle = bundlesOf(block);
    for (const std::size_t i : unit)
        bundle[i] = *std::min_element(unit.begin(), unit.end());
    return idsOf(block, orderedBundles(bundle, bindingIn(block, plan), {}));
}

std::vector<std::vector<PieceId>> suggestedUnits(const quilt::Block& block, const BlockPlan& plan) {
    const auto taken = [&](std::size_t i) {
        const auto& piece = block.pieces[i];
        return piece.unit != 0 || piece.work.step >= quilt::Step::fused;
    };
    const double largest = block.width.mm() * block.height.mm() / 2;
    std::vector<std::vector<PieceId>> out;
    for (const auto& unit : stack::unitsIn(plan.regions, plan.stack, largest))
        if (std::none_of(unit.pieces.begin(), unit.pieces.end(), taken))
            out.push_back(idsOf(block, unit.pieces));
    return out;
}

std::vector<PieceId> orderedAsSaid(const quilt::Block& block, const BlockPlan& plan) {
    const auto pairs = bindingIn(block, plan);
    if (!stack::knotsOf(block.pieces.size(), pairs).empty()) {
        std::vector<PieceId> out;
        for (const auto& piece : block.pieces)
            out.push_back(piece.id);
        return out;
    }
    return idsOf(block, orderedBundles(bundlesOf(block), pairs, {}));
}

} // namespace up::plan
