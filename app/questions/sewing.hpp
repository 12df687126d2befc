// SPDX-License-Identifier: GPL-3.0-or-later
// How edges are stitched: what is asked and answered.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::app {

struct StitchQuestion {
    measure::System units = measure::System::inches;
    std::string of; ///< "Heron", or the chosen pieces in words
    quilt::EdgeStitch edge;
    bool isBlock = true;                        ///< else pieces have their own, or the block's
    std::optional<quilt::EdgeStitch> asBlock{}; ///< the block's, where pieces are asked for
    bool isStretch = false;                     ///< of one piece: `asBlock` is its edge's
    quilt::Length jump;                         ///< of the block, as the next two
    quilt::Beneath beneath = quilt::Beneath::stabiliser;
    quilt::Length battingHolds = quilt::Block().battingHolds;
};

struct StitchAnswer {
    std::optional<quilt::EdgeStitch> edge; ///< none: as the block's, or of a stretch as its piece's
    quilt::Length jump;
    quilt::Beneath beneath = quilt::Beneath::stabiliser;
    quilt::Length battingHolds = quilt::Block().battingHolds;
};

} // namespace up::app
