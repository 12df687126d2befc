// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/lay/centring.hpp"

#include "core/shape/centroid.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using shape::Point;

shape::Box boxOf(const BlockPlan& plan) {
    shape::Box box;
    for (const auto& region : plan.regions)
        box.take(region.bounds());
    return box;
}

} // namespace

std::optional<Gaps> gapsOf(const quilt::Block& block, const BlockPlan& plan) {
    const auto box = boxOf(plan);
    if (box.isEmpty()) return std::nullopt;
    return Gaps{box.left, block.width.mm() - box.right, box.top, block.height.mm() - box.bottom};
}

std::optional<Point> centring(const quilt::Block& block, const BlockPlan& plan, Centre how) {
    const auto gaps = gapsOf(block, plan);
    const bool runsOff = std::any_of(block.pieces.begin(), block.pieces.end(),
                                     [](const quilt::Piece& piece) { return piece.runsOff; });
    if (!gaps || runsOff) return std::nullopt;
    const Point byBox{(gaps->right - gaps->left) / 2, (gaps->bottom - gaps->top) / 2};
    if (how == Centre::box) return byBox;
    const Point middle = shape::centroid(plan.visible);
    const Point byWeight{block.width.mm() / 2 - middle.x, block.height.mm() / 2 - middle.y};
    // Moving down by byBox.y makes top and bottom equal; less would leave the top gap the smaller one.
    return Point{byWeight.x, std::max(byWeight.y, byBox.y)};
}

} // namespace up::plan
