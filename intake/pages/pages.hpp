// SPDX-License-Identifier: GPL-3.0-or-later
// A pattern spread over several pages, joined again.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/drawing.hpp"

#include <optional>

namespace up::intake {

/// How the pages lie beside each other.
struct PageGrid {
    int columns = 1;             ///< pages come row by row, each row from the left
    double across = 0, down = 0; ///< overlap of neighbours, mm
    std::vector<shape::Point>
        moved{}; ///< each page from where the overlap puts it, mm; missing ones lie there
};

/// Where each page's top left corner lies, mm; the first row and column begin at 0.
[[nodiscard]] std::vector<shape::Point> cornersOf(const std::vector<quilt::Drawing>& pages,
                                                  const PageGrid& grid);

/// One drawing of all pages. Each page gives what lies within half of its overlaps; shapes cut there are put
/// together again where both sides have the same colour, lines whose ends meet within `linesMeet` mm become
/// one. Errors: Code::emptyDrawing {""} when nothing is left.
inline constexpr double linesMeet = 1.0;
[[nodiscard]] Result<quilt::Drawing> joinPages(const std::vector<quilt::Drawing>& pages,
                                               const PageGrid& grid);

/// By how much the page at `at` must be moved for its lines to lie on, or go on, those of the page at the
/// origin; no further than `reach` mm. Nothing when too few lines agree. Method: every pair of nearby points
/// of both pages' edges votes for the move that lays one on the other (a generalised Hough transform:
/// Ballard, 1981).
[[nodiscard]] std::optional<shape::Point> matchPages(const quilt::Drawing& page, const quilt::Drawing& other,
                                                     shape::Point at, double reach);

} // namespace up::intake
