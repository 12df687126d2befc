// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/bitmap.hpp"

#include <algorithm>
#include <bit>
#include <cmath>

namespace up::layout {
namespace {

struct Span {
    int from, to;
};

int cellOf(double v, double cell) {
    return static_cast<int>(std::floor(v / cell));
}

/// The cells that one edge touches, row by row.
void markEdge(shape::Point a, shape::Point b, double cell, std::vector<std::vector<Span>>& rows) {
    if (a.y > b.y) std::swap(a, b);
    const int last = static_cast<int>(rows.size()) - 1;
    const int first = std::clamp(cellOf(a.y, cell), 0, last), end = std::clamp(cellOf(b.y, cell), 0, last);
    const double slope = b.y > a.y ? (b.x - a.x) / (b.y - a.y) : 0;
    for (int row = first; row <= end; ++row) {
        const double top = std::max(a.y, row * cell), bottom = std::min(b.y, (row + 1) * cell);
        const double x1 = b.y > a.y ? a.x + (top - a.y) * slope : a.x;
        const double x2 = b.y > a.y ? a.x + (bottom - a.y) * slope : b.x;
        rows[static_cast<std::size_t>(row)].push_back(
            {cellOf(std::min(x1, x2), cell), cellOf(std::max(x1, x2), cell)});
    }
}

/// The inside along the middle of each row.
void markInside(const shape::Rings& rings, double cell, std::vector<std::vector<Span>>& rows) {
    std::vector<double> hits;
    for (std::size_t row = 0; row < rows.size(); ++row) {
        const double y = (static_cast<double>(row) + 0.5) * cell;
        hits.clear();
        for (const auto& ring : rings)
            for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
                const auto a = ring[j], b = ring[i];
                if ((a.y > y) != (b.y > y)) hits.push_back(a.x + (y - a.y) * (b.x - a.x) / (b.y - a.y));
            }
        std::sort(hits.begin(), hits.end());
        for (std::size_t i = 0; i + 1 < hits.size(); i += 2)
            rows[row].push_back({cellOf(hits[i], cell), cellOf(hits[i + 1], cell)});
    }
}

void appendMerged(std::vector<Span>& spans, int row, Stamp& out) {
    std::sort(spans.begin(), spans.end(), [](Span a, Span b) { return a.from < b.from; });
    for (std::size_t i = 0; i < spans.size();) {
        Span run = spans[i++];
        while (i < spans.size() && spans[i].from <= run.to + 1)
            run.to = std::max(run.to, spans[i++].to);
        run.from = std::max(run.from, 0);
        out.runs.push_back({row, run.from, run.to});
        out.columns = std::max(out.columns, run.to + 1);
    }
}

} // namespace

Stamp stampOf(const shape::Region& region, const shape::Box& box, double cell) {
    const auto moved = transformed(region, shape::Transform::moveBy(-box.left, -box.top));
    Stamp out;
    out.width = box.width();
    out.height = box.height();
    out.rows = std::max(1, static_cast<int>(std::ceil(box.height() / cell - 1e-9)));
    std::vector<std::vector<Span>> rows(static_cast<std::size_t>(out.rows));
    for (const auto& ring : moved.rings)
        for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++)
            markEdge(ring[j], ring[i], cell, rows);
    markInside(moved.rings, cell, rows);
    for (int row = 0; row < out.rows; ++row)
        appendMerged(rows[static_cast<std::size_t>(row)], row, out);
    return out;
}

Grid::Grid(int columns, int rows)
    : m_columns(columns), m_rows(rows), m_levels(std::bit_width(static_cast<unsigned>(std::max(columns, 1)))),
      m_words(static_cast<std::size_t>(columns + 63) / 64) {
    m_bits.assign(static_cast<std::size_t>(m_levels) * static_cast<std::size_t>(rows) * m_words, 0);
}

namespace {
/// out |= row moved `by` places towards bit 0; what comes in from above is free.
void orShifted(const std::uint64_t* row, std::size_t words, int by, std::uint64_t* out) {
    const auto whole = static_cast<std::size_t>(by) / 64;
    const int part = by % 64;
    for (std::size_t i = 0; i + whole < words; ++i) {
        std::uint64_t bits = row[i + whole] >> part;
        if (part != 0 && i + whole + 1 < words) bits |= row[i + whole + 1] << (64 - part);
        out[i] |= bits;
    }
}
} // namespace

void Grid::refresh(int row) {
    for (int k = 1; k < m_levels; ++k) {
        std::copy_n(level(k - 1, row), m_words, level(k, row));
        orShifted(level(k - 1, row), m_words, 1 << (k - 1), level(k, row));
    }
}

void Grid::fill(const Stamp& stamp, int column, int row) {
    for (const auto& run : stamp.runs) {
        const int y = row + run.row;
        if (y < 0 || y >= m_rows) continue;
        for (int x = std::max(0, column + run.from); x <= std::min(m_columns - 1, column + run.to); ++x)
            level(0, y)[x / 64] |= Word{1} << (x % 64);
    }
    for (int y = std::max(0, row); y < std::min(m_rows, row + stamp.rows); ++y)
        refresh(y);
}

bool Grid::firstFit(const Stamp& stamp, int fromRow, int lastRow, int lastColumn, int& column,
                    int& row) const {
    if (lastColumn < 0) return false;
    std::vector<Word> taken(m_words);
    const auto lastWord = static_cast<std::size_t>(lastColumn) / 64;
    const auto allFull = [&] {
        for (std::size_t i = 0; i < lastWord; ++i)
            if (~taken[i]) return false;
        const int bits = lastColumn % 64;
        const Word mask = bits == 63 ? ~Word{0} : (Word{1} << (bits + 1)) - 1;
        return (taken[lastWord] & mask) == mask;
    };
    for (int y = fromRow; y <= lastRow; ++y) {
        std::fill(taken.begin(), taken.end(), 0);
        bool full = false;
        int lastChecked = -1;
        for (const auto& run : stamp.runs) {
            const int at = y + run.row;
            if (at >= m_rows) break;
            const int k = std::bit_width(static_cast<unsigned>(run.to - run.from + 1)) - 1;
            orShifted(level(std::min(k, m_levels - 1), at), m_words, run.from, taken.data());
            orShifted(level(std::min(k, m_levels - 1), at), m_words,
                      run.to + 1 - (1 << std::min(k, m_levels - 1)), taken.data());
            if (run.row != lastChecked && (run.row & 3) == 0) {
                lastChecked = run.row;
                if ((full = allFull())) break;
            }
        }
        if (full) continue;
        for (int x = 0; x <= lastColumn; ++x) {
            if (x % 64 == 0 && taken[static_cast<std::size_t>(x) / 64] == ~Word{0}) {
                x += 63;
                continue;
            }
            if (taken[static_cast<std::size_t>(x) / 64] >> (x % 64) & 1) continue;
            column = x, row = y;
            return true;
        }
    }
    return false;
}

void Grid::blockOutside(const shape::Region& region, double cell) {
    shape::Box box{0, 0, m_columns * cell, m_rows * cell};
    const auto outer = shape::subtract(shape::rectangle(box), region);
    if (outer.isEmpty()) return;
    const auto at = outer.bounds();
    const double left = std::floor(at.left / cell), top = std::floor(at.top / cell);
    const auto stamp = stampOf(outer, {left * cell, top * cell, at.right, at.bottom}, cell);
    fill(stamp, static_cast<int>(left), static_cast<int>(top));
}

Cells largestFree(const Grid& grid, int columns, int rows) {
    std::vector<int> heights(static_cast<std::size_t>(std::max(columns, 0)) + 1, 0);
    std::vector<std::size_t> rising; // columns whose free height is greater than that of the one before
    Cells best;
    for (int row = 0; row < rows; ++row) {
        for (int x = 0; x < columns; ++x) {
            auto& height = heights[static_cast<std::size_t>(x)];
            height = grid.isTaken(x, row) ? 0 : height + 1;
        }
        rising.clear();
        for (std::size_t x = 0; x < heights.size(); ++x) { // the last one, of no height, ends all
            while (!rising.empty() && heights[rising.back()] >= heights[x]) {
                const int height = heights[rising.back()];
                rising.pop_back();
                const auto from = rising.empty() ? 0 : rising.back() + 1;
                const Cells here{static_cast<int>(from), row + 1 - height, static_cast<int>(x - from),
                                 height};
                if (here.count() > best.count()) best = here;
            }
            rising.push_back(x);
        }
    }
    return best;
}

} // namespace up::layout
