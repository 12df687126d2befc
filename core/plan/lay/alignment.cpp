// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/lay/alignment.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {
namespace {

using shape::Box;
using shape::Point;

constexpr double still = 1e-6; // mm

struct Boxed {
    PieceId piece;
    Box box;
};

std::vector<Boxed> boxesOf(const quilt::Block& block, const BlockPlan& plan,
                           const std::vector<PieceId>& pieces) {
    std::vector<Boxed> out;
    for (const PieceId id : pieces) {
        const int number = numberOf(block, id);
        if (number == 0) continue;
        const auto& region = plan.regions[static_cast<std::size_t>(number) - 1];
        if (!region.isEmpty()) out.push_back({id, region.bounds()});
    }
    return out;
}

Point toLine(const Box& box, const Box& anchor, Line line) {
    switch (line) {
    case Line::lefts: return {anchor.left - box.left, 0};
    case Line::middlesAcross: return {anchor.centre().x - box.centre().x, 0};
    case Line::rights: return {anchor.right - box.right, 0};
    case Line::tops: return {0, anchor.top - box.top};
    case Line::middlesDown: return {0, anchor.centre().y - box.centre().y};
    case Line::bottoms: return {0, anchor.bottom - box.bottom};
    }
    return {};
}

} // namespace

std::vector<PieceMove> linedUp(const quilt::Block& block, const BlockPlan& plan,
                               const std::vector<PieceId>& pieces, PieceId anchor, Line line) {
    const auto onto = boxesOf(block, plan, {anchor});
    std::vector<PieceMove> out;
    if (onto.empty()) return out;
    for (const auto& [piece, box] : boxesOf(block, plan, pieces)) {
        const Point by = toLine(box, onto.front().box, line);
        if (std::hypot(by.x, by.y) > still) out.emplace_back(piece, by);
    }
    return out;
}

std::vector<PieceMove> spacedEvenly(const quilt::Block& block, const BlockPlan& plan,
                                    const std::vector<PieceId>& pieces, bool down) {
    auto boxes = boxesOf(block, plan, pieces);
    std::vector<PieceMove> out;
    if (boxes.size() < 3) return out;
    const auto from = [&](const Box& b) { return down ? b.top : b.left; };
    const auto size = [&](const Box& b) { return down ? b.height() : b.width(); };
    std::stable_sort(boxes.begin(), boxes.end(), [&](const Boxed& a, const Boxed& b) {
        return from(a.box) * 2 + size(a.box) < from(b.box) * 2 + size(b.box); // by their middles
    });
    double room = from(boxes.back().box) - from(boxes.front().box);
    for (std::size_t i = 0; i + 1 < boxes.size(); ++i)
        room -= size(boxes[i].box);
    const double gap = room / static_cast<double>(boxes.size() - 1);
    double at = from(boxes.front().box);
    for (std::size_t i = 0; i + 1 < boxes.size(); at += size(boxes[i].box) + gap, ++i) {
        const double by = at - from(boxes[i].box);
        if (std::abs(by) > still) out.emplace_back(boxes[i].piece, down ? Point{0, by} : Point{by, 0});
    }
    return out;
}

} // namespace up::plan
