// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/cells.hpp"

#include <algorithm>
#include <cmath>

namespace up::shape {

std::int64_t EdgeCells::at(double v) const {
    return static_cast<std::int64_t>(std::floor(v / m_cell));
}

EdgeCells::Cell EdgeCells::cellOf(std::int64_t column, std::int64_t row) {
    constexpr std::int64_t columns = std::int64_t{1} << 31; // more than a page has
    return row * columns + column;
}

void EdgeCells::add(Point from, Point to) {
    const Point way = to - from;
    const auto steps = 1 + static_cast<std::int64_t>(std::hypot(way.x, way.y) / m_cell);
    Cell before = 0;
    for (std::int64_t k = 0; k <= steps;
         ++k) { // a cell of which it only cuts a corner is beside one of these
        const Point p = from + way * (static_cast<double>(k) / static_cast<double>(steps));
        const Cell cell = cellOf(at(p.x), at(p.y));
        if (k > 0 && cell == before) continue;
        m_edges[cell].push_back({from, to});
        before = cell;
    }
}

void EdgeCells::add(const Ring& ring) {
    for (std::size_t i = 0; i < ring.size(); ++i)
        add(ring[i], ring[(i + 1) % ring.size()]);
}

bool EdgeCells::isNear(Point p, double reach) const {
    const auto column = at(p.x), row = at(p.y);
    for (std::int64_t dx = -2; dx <= 2; ++dx)
        for (std::int64_t dy = -2; dy <= 2; ++dy) {
            const auto it = m_edges.find(cellOf(column + dx, row + dy));
            if (it == m_edges.end()) continue;
            for (const auto& edge : it->second)
                if (squareToEdge(edge.from, edge.to, p) <= reach * reach) return true;
        }
    return false;
}

double squareToEdge(Point from, Point to, Point p) {
    const Point way = to - from, off = p - from;
    const double length = way.x * way.x + way.y * way.y;
    const double share = length > 0 ? std::clamp((off.x * way.x + off.y * way.y) / length, 0.0, 1.0) : 0;
    const Point d = off - way * share;
    return d.x * d.x + d.y * d.y;
}

} // namespace up::shape
