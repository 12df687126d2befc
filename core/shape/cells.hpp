// SPDX-License-Identifier: GPL-3.0-or-later
// Straight edges sorted into square cells, to find those near a point.
#pragma once

#include "core/shape/ring.hpp"

#include <cstdint>
#include <unordered_map>

namespace up::shape {

class EdgeCells {
public:
    /// `cell`: mm; no question may reach further.
    explicit EdgeCells(double cell) : m_cell(cell) {}

    [[nodiscard]] double cell() const { return m_cell; }
    [[nodiscard]] bool isEmpty() const { return m_edges.empty(); }
    void add(Point from, Point to);
    void add(const Ring& ring);
    /// Whether an edge is no further than `reach` mm from the point; `reach` ≤ `cell`.
    [[nodiscard]] bool isNear(Point p, double reach) const;

private:
    struct Edge {
        Point from, to;
    };
    using Cell = std::int64_t;
    [[nodiscard]] std::int64_t at(double v) const;
    [[nodiscard]] static Cell cellOf(std::int64_t column, std::int64_t row);

    double m_cell;
    std::unordered_map<Cell, std::vector<Edge>> m_edges;
};

/// mm² from the point to the nearest point of the edge.
[[nodiscard]] double squareToEdge(Point from, Point to, Point p);

} // namespace up::shape
