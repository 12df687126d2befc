// SPDX-License-Identifier: GPL-3.0-or-later
// How a fabric is printed and how its stripes are to run over a piece: what is asked and answered.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::app {

struct StripesQuestion {
    quilt::Quilt quilt;
    BlockId block;
    PieceId piece;
};

struct StripesAnswer {
    quilt::Print print = quilt::Print::plain; ///< of the piece's fabric
    measure::Angle tolerance;
    std::optional<measure::Angle> grain; ///< of the piece; none: it doesn't matter
};

} // namespace up::app
