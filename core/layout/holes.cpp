// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/holes.hpp"

#include <algorithm>
#include <cmath>

namespace up::layout {
namespace {

using shape::Point;

constexpr double cells = 8000;

/// A bay as a lattice with one row and column of border all round.
class Lattice {
public:
    Lattice(const Bay& bay, double cell)
        : m_cell(cell), m_columns(std::max(1, static_cast<int>(bay.width / cell + 0.5)) + 2),
          m_rows(std::max(1, static_cast<int>(bay.height / cell + 0.5)) + 2),
          m_away(static_cast<std::size_t>(m_columns) * static_cast<std::size_t>(m_rows), 1e6F) {
        for (int x = 0; x < m_columns; ++x)
            at(x, 0) = at(x, m_rows - 1) = 0;
        for (int y = 0; y < m_rows; ++y)
            at(0, y) = at(m_columns - 1, y) = 0;
    }
    /// Cells whose middles lie in it are taken.
    void draw(const Laid& laid) {
        const auto& box = laid.box();
        const int from = std::max(1, rowOf(box.top)), to = std::min(m_rows - 2, rowOf(box.bottom));
        for (int row = from; row <= to; ++row) {
            const double y = (row - 0.5) * m_cell;
            m_crossings.clear();
            for (const auto e : laid.form().edges) {
                const Point a = laid.points()[e], b = laid.points()[e + 1];
                if ((a.y > y) != (b.y > y))
                    m_crossings.push_back((b.x - a.x) * (y - a.y) / (b.y - a.y) + a.x);
            }
            std::sort(m_crossings.begin(), m_crossings.end());
            for (std::size_t k = 0; k + 1 < m_crossings.size(); k += 2) {
                const int last = std::min(m_columns - 2, static_cast<int>(m_crossings[k + 1] / m_cell + 0.5));
                for (int x = std::max(1, static_cast<int>(m_crossings[k] / m_cell + 1.5)); x <= last; ++x)
                    at(x, row) = 0;
            }
        }
    }
    /// Distances in cells; 1 and 1.4 to the neighbours.
    void spread() {
        for (int y = 1; y < m_rows - 1; ++y)
            for (int x = 1; x < m_columns - 1; ++x)
                at(x, y) = std::min({at(x, y), at(x - 1, y) + 1, at(x, y - 1) + 1, at(x - 1, y - 1) + 1.4F,
                                     at(x + 1, y - 1) + 1.4F});
        for (int y = m_rows - 2; y > 0; --y)
            for (int x = m_columns - 2; x > 0; --x)
                at(x, y) = std::min({at(x, y), at(x + 1, y) + 1, at(x, y + 1) + 1, at(x + 1, y + 1) + 1.4F,
                                     at(x - 1, y + 1) + 1.4F});
    }
    void collect(std::size_t bay, std::vector<Hole>& out) const {
        for (int y = 1; y < m_rows - 1; ++y)
            for (int x = 1; x < m_columns - 1; ++x) {
                const float here = at(x, y);
                if (here < 1 || here < at(x - 1, y) || here <= at(x + 1, y) || here < at(x, y - 1) ||
                    here <= at(x, y + 1))
                    continue;
                out.push_back(
                    {bay, {(x - 0.5) * m_cell, (y - 0.5) * m_cell}, static_cast<double>(here) * m_cell});
            }
    }

private:
    [[nodiscard]] int rowOf(double y) const { return static_cast<int>(std::floor(y / m_cell)) + 1; }
    [[nodiscard]] float& at(int x, int y) {
        return m_away[static_cast<std::size_t>(y) * static_cast<std::size_t>(m_columns) +
                      static_cast<std::size_t>(x)];
    }
    [[nodiscard]] float at(int x, int y) const {
        return m_away[static_cast<std::size_t>(y) * static_cast<std::size_t>(m_columns) +
                      static_cast<std::size_t>(x)];
    }
    double m_cell;
    int m_columns, m_rows;
    std::vector<float> m_away;
    std::vector<double> m_crossings;
};

} // namespace

std::vector<Hole> holesOf(const Arrangement& in, const std::vector<Bay>& bays) {
    double area = 0;
    for (const auto& bay : bays)
        area += bay.width * bay.height;
    const double cell = std::sqrt(area / cells);
    std::vector<Hole> out;
    for (std::size_t b = 0; b < bays.size(); ++b) {
        Lattice lattice(bays[b], cell);
        if (!bays[b].outside.isEmpty()) lattice.draw(bays[b].outside);
        for (std::size_t i = 0; i < in.count(); ++i)
            if (in.bay(i) == b) lattice.draw(in.laid(i));
        lattice.spread();
        lattice.collect(b, out);
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const Hole& a, const Hole& b) { return a.radius < b.radius; });
    return out;
}

} // namespace up::layout
