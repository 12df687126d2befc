// SPDX-License-Identifier: GPL-3.0-or-later
// What shines through, and where the block gets stiff.
#include "core/plan/block/shine_plan.hpp"
#include "core/plan/check/looking.hpp"
#include "core/plan/trace/windows.hpp"
#include "core/stack/showing.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using check::Fix;
using check::Kind;

void shine(Looking& look) {
    for (const auto& shining : shiningIn(look.quilt, look.block, look.plan)) {
        const auto i = shining.piece;
        if (look.piece(i).work.step >= quilt::Step::stitched || look.isLining(i)) continue;
        std::vector<Fix> fixes;
        if (!look.isFused(i)) fixes.push_back(Fix::line);
        fixes.push_back(Fix::cutAway);
        const auto beneath = shining.beneath ? look.piece(*shining.beneath).id : PieceId{};
        auto& finding = look.add(Kind::shinesThrough, i,
                                 {beneath, check::Share{std::min(shining.share, 1.0)}}, std::move(fixes));
        finding.other = beneath;
        finding.where = shining.where;
        finding.spot = shining.where.bounds().centre();
        finding.weight = shining.difference;
    }
}

void stiffness(Looking& look) {
    const auto& pieces = look.block.pieces;
    const bool begun = std::any_of(pieces.begin(), pieces.end(),
                                   [](const quilt::Piece& p) { return p.work.step != quilt::Step::toTrace; });
    if (begun || look.block.school == quilt::School::windowed) return;
    const auto stiff = stiffnessOf(look.block, look.plan);
    if (stiff.where.area() < leastStiff || stiff.freed <= 0) return;
    auto& finding = look.addOfBlock(
        Kind::stiff, {check::Count{stiff.layers}, check::Area{stiff.where.area()}, check::Area{stiff.freed}},
        {Fix::windows});
    finding.where = stiff.where;
    finding.spot = stiff.where.bounds().centre();
}

} // namespace

void checkCloth(Looking& look) {
    shine(look);
    stiffness(look);
}

Stiffness stiffnessOf(const quilt::Block& block, const BlockPlan& plan) {
    const auto layers = stack::layersOf(plan.regions);
    Stiffness out{layers.size() >= stiffLayers ? layers[stiffLayers - 1] : shape::Region{}, layers.size(), 0};
    if (out.where.isEmpty()) return out;
    for (std::size_t i = 0; i < plan.regions.size(); ++i) {
        const bool lies = plan.regions[i].bounds().meets(out.where.bounds()) &&
                          shape::intersect(plan.regions[i], out.where).area() > leastStiff / 4;
        if (lies && block.pieces[i].mayHaveWindow) out.freed += windowIn(plan.regions[i]).area();
    }
    return out;
}

} // namespace up::plan
