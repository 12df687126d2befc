// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/stack.hpp"

#include <algorithm>

namespace up::stack {
namespace {

using shape::Polyline;
using shape::Region;

constexpr double meeting = 0.002; // mm: ends this close are one point after clipping

bool meet(shape::Point a, shape::Point b) {
    return shape::distance(a, b) <= meeting;
}

/// Clipping cuts a ring where it starts and hands pieces back in any direction; joins them end to end.
std::vector<Polyline> joined(std::vector<Polyline> parts) {
    for (std::size_t i = 0; i < parts.size(); ++i) {
        for (std::size_t j = 0; j < parts.size();) {
            auto& a = parts[i];
            auto& b = parts[j];
            if (j == i || meet(a.front(), a.back())) {
                ++j;
                continue;
            }
            if (meet(a.back(), b.back()) || meet(a.front(), b.front())) std::reverse(b.begin(), b.end());
            if (meet(a.back(), b.front())) {
                a.insert(a.end(), b.begin() + 1, b.end());
            } else if (meet(a.front(), b.back())) {
                b.insert(b.end(), a.begin() + 1, a.end());
                a.swap(b);
            } else {
                ++j;
                continue;
            }
            parts.erase(parts.begin() + static_cast<std::ptrdiff_t>(j));
            if (j < i) --i;
            j = 0;
        }
    }
    return parts;
}

Region coverAbove(const std::vector<Region>& pieces, const std::vector<shape::Box>& boxes, std::size_t i) {
    std::vector<Region> above;
    for (std::size_t j = i + 1; j < pieces.size(); ++j)
        if (boxes[i].meets(boxes[j])) above.push_back(pieces[j]);
    return above.empty() ? Region{} : shape::unite(above);
}

std::vector<shape::Box> boxesOf(const std::vector<Region>& pieces) {
    std::vector<shape::Box> boxes;
    for (const auto& piece : pieces)
        boxes.push_back(piece.bounds());
    return boxes;
}

} // namespace

Stack stackOf(const std::vector<Region>& pieces) {
    const auto boxes = boxesOf(pieces);
    Stack out;
    out.step.assign(pieces.size(), 0);
    out.free.assign(pieces.size(), true);
    for (std::size_t upper = 0; upper < pieces.size(); ++upper) {
        for (std::size_t lower = 0; lower < upper; ++lower) {
            if (!boxes[lower].meets(boxes[upper])) continue;
            const double area = shape::intersect(pieces[lower], pieces[upper]).area();
            if (area < leastOverlap) continue;
            out.overlaps.push_back({lower, upper, area});
            out.step[upper] = std::max(out.step[upper], out.step[lower] + 1);
            out.free[upper] = out.free[lower] = false;
        }
    }
    return out;
}

std::vector<Region> visibleParts(const std::vector<Region>& pieces) {
    const auto boxes = boxesOf(pieces);
    std::vector<Region> out;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        const Region cover = coverAbove(pieces, boxes, i);
        out.push_back(cover.isEmpty() ? pieces[i] : shape::subtract(pieces[i], cover));
    }
    return out;
}

std::vector<std::vector<Polyline>> visibleEdges(const std::vector<Region>& pieces) {
    const auto boxes = boxesOf(pieces);
    std::vector<std::vector<Polyline>> out(pieces.size());
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        const Region cover = coverAbove(pieces, boxes, i);
        for (const auto& ring : pieces[i].rings) {
            Polyline closed = ring;
            closed.push_back(ring.front());
            if (cover.isEmpty()) {
                out[i].push_back(std::move(closed));
                continue;
            }
            for (auto& part : joined(shape::outside(closed, cover)))
                out[i].push_back(std::move(part));
        }
    }
    return out;
}

} // namespace up::stack
