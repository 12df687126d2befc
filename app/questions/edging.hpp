// SPDX-License-Identifier: GPL-3.0-or-later
// The dotted edges of a piece: what is asked.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::app {

struct EdgeQuestion {
    quilt::Quilt quilt;
    BlockId block;
    PieceId piece;
    /// Stretches of its edge that pieces above it hide, as its drawing has them.
    std::vector<shape::Contour> hidden;
};

} // namespace up::app
