// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/fuse/edge_tests.hpp"

#include "core/shape/widths.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using shape::Point;

constexpr std::size_t layersThick = 3; // so many pieces beneath one are thick: common practice, no source
constexpr double within = 0.05;        // mm from the very corner, so that the place lies on the piece

struct Place {
    EdgeTest test;
    double heat, opening;
    std::size_t beneath;
};

std::optional<shape::Corner> sharpestOf(const BlockPlan& plan, std::size_t i) {
    std::optional<shape::Corner> out;
    for (const auto& corner : shape::cornersOf(plan.visible[i]))
        if (corner.opening < sharpCorner && plan.regions[i].contains(corner.at + corner.inwards * within) &&
            (!out || corner.opening < out->opening))
            out = corner;
    return out;
}

Point edgeOf(const BlockPlan& plan, std::size_t i) {
    const auto& edges = plan.visibleEdges[i];
    return edges.empty() ? plan.regions[i].rings.front().front()
                         : shape::pointAlong(edges.front(), shape::lengthOf(edges.front()) / 2);
}

} // namespace

std::vector<EdgeTest> edgeTests(const quilt::Block& block, const BlockPlan& plan, const BlockHeat& heat,
                                const std::vector<std::size_t>& pieces) {
    std::vector<Place> places;
    for (const auto i : pieces) {
        const auto beneath = plan.beneath(i).size();
        const auto sharpest = sharpestOf(plan, i);
        if (!sharpest && beneath < layersThick) continue;
        const auto at = sharpest ? sharpest->at + sharpest->inwards * within : edgeOf(plan, i);
        places.push_back({{block.pieces[i].id, at, sharpest ? WhyTest::tip : WhyTest::thick},
                          heat.heatAt(i, at),
                          sharpest ? sharpest->opening : std::numbers::pi,
                          beneath});
    }
    std::stable_sort(places.begin(), places.end(), [](const Place& a, const Place& b) {
        return std::tuple(a.heat, a.opening, b.beneath) < std::tuple(b.heat, b.opening, a.beneath);
    });
    std::vector<EdgeTest> out;
    for (auto& place : places)
        out.push_back(place.test);
    return out;
}

} // namespace up::plan
