// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/shine_plan.hpp"

#include "core/base/lab.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "core/shape/fitting.hpp"

#include <algorithm>
#include <map>

namespace up::plan {
namespace {

using shape::Region;

constexpr std::size_t deepest = 4; // layers: through more nothing is seen

/// A place where the same pieces lie on each other, the uppermost first.
struct Pile {
    Region where;
    std::vector<std::size_t> layers;
    FabricId ground; ///< the background there
};

class Looker {
public:
    Looker(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan)
        : m_quilt(quilt), m_block(block), m_plan(plan), m_within(shape::rectangle(cutBox(block))),
          m_patches(planGround(block).patches), m_below(block.pieces.size()) {
        for (std::size_t lower = 0; lower < plan.above.size(); ++lower)
            for (const std::size_t upper : plan.above[lower])
                m_below[upper].push_back(lower);
    }

    void at(std::size_t piece, std::vector<Shining>& out) const {
        const auto visible = shape::intersect(m_plan.visible[piece], m_within);
        const double area = visible.area();
        if (area < leastShine) return;
        std::map<std::optional<std::size_t>, Shining> found;
        for (const auto& pile : pilesUnder(piece, visible))
            judge(pile, found);
        for (auto& [beneath, shining] : found) {
            auto broad = shape::offset(shape::offset(shining.where, -thinnestShine / 2), thinnestShine / 2);
            shining.where = shape::intersect(broad, shining.where);
            shining.share = shining.where.area() / area;
            if (shining.where.area() >= leastShine && shining.share >= leastShineShare)
                out.push_back(std::move(shining));
        }
    }

    void seenAt(std::size_t piece, std::vector<Seen>& out) const {
        const auto visible = shape::intersect(m_plan.visible[piece], m_within);
        if (visible.isEmpty()) return;
        for (auto& pile : pilesUnder(piece, visible))
            out.push_back({std::move(pile.where), piece, colourOf(lightOn(pile))});
    }

private:
    [[nodiscard]] std::vector<Pile> pilesUnder(std::size_t piece, const Region& visible) const {
        std::vector<Pile> piles{{visible, {piece}, m_block.background}};
        auto lowers = m_below[piece];
        std::sort(lowers.rbegin(), lowers.rend());
        for (const std::size_t lower : lowers) {
            std::vector<Pile> next;
            for (auto& pile : piles) {
                if (pile.layers.size() >= deepest) {
                    next.push_back(std::move(pile));
                    continue;
                }
                auto over = shape::intersect(pile.where, m_plan.regions[lower]);
                if (over.area() < stack::leastOverlap) {
                    next.push_back(std::move(pile));
                    continue;
                }
                auto rest = shape::subtract(pile.where, m_plan.regions[lower]);
                Pile deeper{std::move(over), pile.layers, pile.ground};
                deeper.layers.push_back(lower);
                next.push_back(std::move(deeper));
                if (!rest.isEmpty()) next.push_back({std::move(rest), std::move(pile.layers), pile.ground});
            }
            piles = std::move(next);
        }
        return m_patches.size() > 1 ? byPatch(piles) : piles;
    }

    [[nodiscard]] std::vector<Pile> byPatch(const std::vector<Pile>& piles) const {
        std::vector<Pile> out;
        for (const auto& pile : piles)
            for (const auto& patch : m_patches)
                if (auto part = shape::intersect(pile.where, shape::rectangle(patch.box)); !part.isEmpty())
                    out.push_back({std::move(part), pile.layers, patch.fabric});
        return out;
    }

    struct Cloth {
        Light light;
        double opacity;
    };
    [[nodiscard]] Cloth cloth(FabricId id) const {
        const auto* fabric = find(m_quilt.fabrics, id);
        if (!fabric) return {{1, 1, 1}, quilt::usualOpacity};
        return {lightOf(fabric->colour), fabric->opacity};
    }

    /// The light that comes up to the piece's `layers.front()`. The background hides what is beneath it:
    /// batting, as a rule.
    [[nodiscard]] Light lightBeneath(const Pile& pile) const {
        Light out = cloth(pile.ground).light;
        for (std::size_t k = pile.layers.size(); k-- > 1;) {
            const auto lower = cloth(m_block.pieces[pile.layers[k]].fabric);
            out = seenThrough(lower.light, lower.opacity, out);
        }
        return out;
    }
    [[nodiscard]] Light lightOn(const Pile& pile) const {
        const auto own = cloth(m_block.pieces[pile.layers.front()].fabric);
        return seenThrough(own.light, own.opacity, lightBeneath(pile));
    }

    void judge(const Pile& pile, std::map<std::optional<std::size_t>, Shining>& found) const {
        const Light beneath = lightBeneath(pile), seen = lightOn(pile);
        std::optional<std::size_t> darkest;
        double least = labOf(cloth(pile.ground).light).lightness;
        for (std::size_t k = pile.layers.size(); k-- > 1;)
            if (const double own = labOf(cloth(m_block.pieces[pile.layers[k]].fabric).light).lightness;
                own < least)
                least = own, darkest = pile.layers[k];
        const auto own = cloth(m_block.pieces[pile.layers.front()].fabric);
        const double darker = labOf(own.light).lightness - labOf(beneath).lightness;
        const double step = difference(labOf(own.light), labOf(seen));
        if (labOf(own.light).lightness < light || darker < muchDarker || step < seenDifference) return;
        auto [at, fresh] = found.try_emplace(darkest, Shining{pile.layers.front(), darkest, {}, 0, 0, 0, {}});
        auto& shining = at->second;
        shining.where = shape::unite(shining.where, pile.where);
        if (step > shining.difference)
            shining.darker = darker, shining.difference = step, shining.seen = colourOf(seen);
    }

    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    const BlockPlan& m_plan;
    Region m_within;
    std::vector<GroundPatch> m_patches;
    std::vector<std::vector<std::size_t>> m_below;
};

} // namespace

std::vector<Shining> shiningIn(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan) {
    const Looker looker(quilt, block, plan);
    std::vector<Shining> out;
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (block.pieces[i].shine == quilt::Shine::ask && block.pieces[i].join != quilt::Join::reverse)
            looker.at(i, out);
    std::stable_sort(out.begin(), out.end(),
                     [](const Shining& a, const Shining& b) { return a.where.area() > b.where.area(); });
    return out;
}

std::vector<Seen> seenFrom(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan) {
    const Looker looker(quilt, block, plan);
    std::vector<Seen> out;
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        looker.seenAt(i, out);
    return out;
}

std::optional<shape::Outline> liningFor(const quilt::Piece& piece) {
    constexpr double fine = 0.02; // mm
    const auto inner = shape::offset(shape::regionOf(*piece.outline, fine), -liningInset.mm(), fine);
    const auto outlines = shape::outlinesOf(inner);
    const auto size = [](const shape::Outline& o) { return std::abs(signedArea(o.edge)); };
    const auto largest = std::max_element(outlines.begin(), outlines.end(),
                                          [&](const auto& a, const auto& b) { return size(a) < size(b); });
    if (largest == outlines.end()) return std::nullopt;
    return shape::fitted(*largest, fine);
}

FabricId liningFabric(const quilt::Quilt& quilt) {
    FabricId best;
    double lightest = nearlyWhite;
    for (const auto& fabric : quilt.fabrics) {
        const double own = labOf(fabric.colour).lightness;
        if (fabric.print == quilt::Print::plain && own > lightest) lightest = own, best = fabric.id;
    }
    return best;
}

} // namespace up::plan
