// SPDX-License-Identifier: GPL-3.0-or-later
// Points of a square lattice within an area: a quick look at what is not covered yet.
#pragma once

#include "core/shape/region.hpp"

#include <cstdint>
#include <vector>

namespace up::press {

class Lattice {
public:
    /// Points `step` mm apart.
    Lattice(const shape::Region& area, double step);
    /// Some of the points that lie in none of the rings, at least `apart` mm from each other both ways; empty when
    /// there are none.
    [[nodiscard]] std::vector<shape::Point> open(const std::vector<shape::Ring>& rings, double apart) const;
    /// Forgets what lies in none of the rings, and answers some points of it.
    std::vector<shape::Point> keepWithin(const std::vector<shape::Ring>& rings, double apart);

private:
    using Row = std::vector<std::uint64_t>;
    [[nodiscard]] std::vector<Row> outside(const std::vector<shape::Ring>& rings) const;
    [[nodiscard]] std::vector<shape::Point> someOf(std::vector<Row> rows, double apart) const;
    void fill(std::vector<Row>& rows, const shape::Rings& rings, bool value) const;

    shape::Box m_box;
    double m_step;
    std::size_t m_columns, m_rows;
    std::vector<Row> m_inside;
};

/// Where a level line at `y` crosses the rings, from left to right, into `out`.
void crossingsAt(const shape::Rings& rings, double y, std::vector<double>& out);
void crossingsAt(const shape::Ring& ring, double y, std::vector<double>& out);

} // namespace up::press
