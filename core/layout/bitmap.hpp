// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes and sheets as bits: the test "is there room here" for a whole row of positions at once.
#pragma once

#include "core/shape/region.hpp"

#include <cstdint>
#include <vector>

namespace up::layout {

/// The cells [x,x+1)×[y,y+1) that a shape touches, as runs; its box starts at (0,0) of the bitmap.
struct Stamp {
    struct Run {
        int row, from, to; ///< columns from..to, both inside
    };
    std::vector<Run> runs;
    int columns = 0, rows = 0;
    double width = 0, height = 0; ///< mm, of the box
};

/// Counts every cell touched by the inside or the edge. `box` holds the region; its corner goes to (0,0).
[[nodiscard]] Stamp stampOf(const shape::Region& region, const shape::Box& box, double cell);

/// The taken cells of one sheet.
class Grid {
public:
    Grid(int columns, int rows);
    [[nodiscard]] int rows() const { return m_rows; }
    [[nodiscard]] bool isTaken(int column, int row) const {
        return level(0, row)[column / 64] >> (column % 64) & 1;
    }
    void fill(const Stamp& stamp, int column, int row);
    /// The first free position at or after `fromRow`, lowest row first, then leftmost; rows up to `lastRow`
    /// and columns up to `lastColumn` may be the position's own. False when there is none.
    [[nodiscard]] bool firstFit(const Stamp& stamp, int fromRow, int lastRow, int lastColumn, int& column,
                                int& row) const;
    /// Takes every cell that does not lie wholly in the region (mm from the grid's origin).
    void blockOutside(const shape::Region& region, double cell);

private:
    using Word = std::uint64_t;
    [[nodiscard]] const Word* level(int k, int row) const {
        return m_bits.data() + (static_cast<std::size_t>(k) * static_cast<std::size_t>(m_rows) +
                                static_cast<std::size_t>(row)) *
                                   m_words;
    }
    [[nodiscard]] Word* level(int k, int row) {
        return m_bits.data() + (static_cast<std::size_t>(k) * static_cast<std::size_t>(m_rows) +
                                static_cast<std::size_t>(row)) *
                                   m_words;
    }
    void refresh(int row);

    int m_columns, m_rows, m_levels;
    std::size_t m_words;
    /// Level k, bit x of a row: any cell x … x+2^k−1 is taken. Level 0 is the row itself.
    std::vector<Word> m_bits;
};

/// Cells side by side.
struct Cells {
    int column = 0, row = 0, columns = 0, rows = 0;
    [[nodiscard]] int count() const { return columns * rows; }
};
/// The largest upright rectangle of free ones within the first `columns` and `rows`. Source: the
/// largest rectangle under a histogram, row by row; Morgan, "Programming from Specifications", 1994 (from
/// memory).
[[nodiscard]] Cells largestFree(const Grid& grid, int columns, int rows);

} // namespace up::layout
