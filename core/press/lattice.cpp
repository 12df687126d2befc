// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/lattice.hpp"

#include <algorithm>
#include <bit>
#include <cmath>

namespace up::press {
namespace {

using shape::Point;
using shape::Ring;

void addCrossings(const Ring& ring, double y, std::vector<double>& out) {
    for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
        const Point a = ring[j], b = ring[i];
        if ((a.y > y) == (b.y > y)) continue;
        out.push_back(a.x + (y - a.y) * (b.x - a.x) / (b.y - a.y));
    }
}

/// Bits from..to, both included.
void setBits(std::vector<std::uint64_t>& row, std::size_t from, std::size_t to, bool value) {
    for (auto word = from / 64; word <= to / 64; ++word) {
        auto bits = ~std::uint64_t{0};
        if (word == from / 64) bits &= ~std::uint64_t{0} << (from % 64);
        if (word == to / 64) bits &= ~std::uint64_t{0} >> (63 - to % 64);
        row[word] = value ? row[word] | bits : row[word] & ~bits;
    }
}

} // namespace

void crossingsAt(const Ring& ring, double y, std::vector<double>& out) {
    out.clear();
    addCrossings(ring, y, out);
    std::sort(out.begin(), out.end());
}

void crossingsAt(const shape::Rings& rings, double y, std::vector<double>& out) {
    out.clear();
    for (const auto& ring : rings)
        addCrossings(ring, y, out);
    std::sort(out.begin(), out.end());
}

Lattice::Lattice(const shape::Region& area, double step) : m_box(area.bounds()), m_step(step) {
    m_columns = static_cast<std::size_t>(m_box.width() / step) + 1;
    m_rows = static_cast<std::size_t>(m_box.height() / step) + 1;
    m_inside.assign(m_rows, Row(m_columns / 64 + 1, 0));
    fill(m_inside, area.rings, true);
}

void Lattice::fill(std::vector<Row>& rows, const shape::Rings& rings, bool value) const {
    shape::Box box;
    for (const auto& ring : rings)
        box.take(boundsOf(ring));
    const auto first = std::max(0.0, std::ceil((box.top - m_box.top) / m_step));
    const auto last =
        std::min(static_cast<double>(m_rows) - 1, std::floor((box.bottom - m_box.top) / m_step));
    std::vector<double> across;
    for (double row = first; row <= last; ++row) {
        crossingsAt(rings, m_box.top + row * m_step, across);
        for (std::size_t i = 0; i + 1 < across.size(); i += 2) {
            const double from = std::max(0.0, std::ceil((across[i] - m_box.left) / m_step));
            const double to = std::min(static_cast<double>(m_columns) - 1,
                                       std::floor((across[i + 1] - m_box.left) / m_step));
            if (from <= to)
                setBits(rows[static_cast<std::size_t>(row)], static_cast<std::size_t>(from),
                        static_cast<std::size_t>(to), value);
        }
    }
}

std::vector<Lattice::Row> Lattice::outside(const std::vector<Ring>& rings) const {
    auto rest = m_inside;
    for (const auto& ring : rings)
        fill(rest, {ring}, false);
    return rest;
}

/// The first that is left, and again when all that is near it has been taken away.
std::vector<Point> Lattice::someOf(std::vector<Row> rows, double apart) const {
    const auto span = static_cast<std::size_t>(std::max(0.0, apart / m_step - 1));
    std::vector<Point> out;
    for (std::size_t row = 0; row < m_rows; ++row)
        for (std::size_t word = 0; word < rows[row].size(); ++word)
            while (rows[row][word] != 0) {
                const auto column = word * 64 + static_cast<std::size_t>(std::countr_zero(rows[row][word]));
                out.push_back({m_box.left + static_cast<double>(column) * m_step,
                               m_box.top + static_cast<double>(row) * m_step});
                const auto from = column - std::min(column, span),
                           to = std::min(column + span, m_columns - 1);
                for (std::size_t near = row; near <= std::min(row + span, m_rows - 1); ++near)
                    setBits(rows[near], from, to, false);
            }
    return out;
}

std::vector<Point> Lattice::open(const std::vector<Ring>& rings, double apart) const {
    return someOf(outside(rings), apart);
}

std::vector<Point> Lattice::keepWithin(const std::vector<Ring>& rings, double apart) {
    const auto rest = outside(rings);
    for (std::size_t row = 0; row < m_rows; ++row)
        for (std::size_t word = 0; word < rest[row].size(); ++word)
            m_inside[row][word] &= ~rest[row][word];
    return someOf(rest, apart);
}

} // namespace up::press
