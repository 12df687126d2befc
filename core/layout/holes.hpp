// SPDX-License-Identifier: GPL-3.0-or-later
// Where there is room between the pieces.
#pragma once

#include "core/layout/arrangement.hpp"

namespace up::layout {

/// A place about which nothing lies as far as `radius`, farther than about the places beside it.
struct Hole {
    std::size_t bay;
    shape::Point at;
    double radius; ///< mm, to about the size of a cell of the lattice that was looked at
};

/// The holes of all bays, the narrowest first. Method: pieces are drawn on a lattice of about 20,000 cells,
/// then distances are handed from cell to cell (Borgefors, "Distance transformations in digital images",
/// 1986).
[[nodiscard]] std::vector<Hole> holesOf(const Arrangement& in, const std::vector<Bay>& bays);

} // namespace up::layout
