// SPDX-License-Identifier: GPL-3.0-or-later
// Lines that were drawn more than once, wholly or in part, in either direction.
#pragma once

#include "core/shape/path.hpp"

#include <vector>

namespace up::shape {

/// What is left of a line.
struct Unrepeated {
    Contour contour;      ///< as it was, when nothing of it was taken away
    std::size_t from = 0; ///< which line
};

/// The lines without the stretches that lie on a longer line, or on an earlier one as long: an open line may
/// come in several parts, or not at all; a closed one comes whole or not at all. Lines lie on each other when
/// they are no further apart than a quarter of `reach` mm, and than a twentieth of the stretch, so that the
/// short steps of one line never swallow each other. In the order of the lines. Method: a line is parted
/// where others end on it; a stretch is a repeat when points along it lie on lines kept before.
[[nodiscard]] std::vector<Unrepeated> withoutRepeats(const std::vector<Contour>& lines, double reach);

} // namespace up::shape
