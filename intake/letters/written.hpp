// SPDX-License-Identifier: GPL-3.0-or-later
// Words as lines to be stitched: in the program's single-line hand, or round the letters of a font.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/line.hpp"

namespace up::intake {

/// Open strokes about the origin, or along what they are written along, mm. Errors: Code::noLetters when nothing is to be seen of it; Code::noSuchLetter.
[[nodiscard]] Result<std::vector<shape::Contour>> written(const quilt::Written& what);

} // namespace up::intake
