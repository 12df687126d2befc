// SPDX-License-Identifier: GPL-3.0-or-later
// Words to be stitched: a hand of single lines, drawn for this program, and letters of any kind along a curve.
#pragma once

#include "core/base/error.hpp"
#include "core/measure/angle.hpp"
#include "core/shape/path.hpp"

#include <string>
#include <string_view>
#include <vector>

namespace up::pattern {

/// A letter on its baseline y = 0, y down, mm.
struct Glyph {
    std::vector<shape::Contour> strokes;
    double from = 0, to = 0; ///< its place along the line of writing
};

/// The text in the single-line hand, a capital `height` mm high, each stroke open. Blanks leave room. Errors:
/// Code::noSuchLetter {letter} for one it does not know.
[[nodiscard]] Result<std::vector<Glyph>> singleLines(std::string_view text, double height);

/// The letters along the line, mm, each turned as the line runs beneath it; their middle at `from` (0…1) of its length,
/// their feet `off` mm to the left of its way. On a closed line, which repeats its first point, they may go over its
/// beginning; on another they are moved so that they end within it, as far as there is room.
[[nodiscard]] std::vector<shape::Contour> along(const std::vector<Glyph>& glyphs, const shape::Polyline& line,
                                                double from, double off);

/// The letters on an arc that turns by `bend` between the first and the last, about the middle of the whole at the origin;
/// 0: straight. > 0: the ends lower than the middle. Each letter stays as it is and turns with the arc.
[[nodiscard]] std::vector<shape::Contour> bent(const std::vector<Glyph>& glyphs, measure::Angle bend);

} // namespace up::pattern
