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

/// A thread as it would look on the piece.
struct ThreadTried {
    ThreadId thread;
    std::string name;
    Colour strand;               ///< as a single strand of it looks
    double off = 0;              ///< CIEDE2000 from the cloth
    std::vector<Colour> more{};  ///< of a variegated one: the strand's other shades
    quilt::Length shadeLength{}; ///< of thread in each
};

/// Threads side by side on a piece.
struct ThreadsQuestion {
    std::string of; ///< the piece in words
    Colour cloth, ground;
    std::vector<shape::Contour> piece;     ///< what shows of it on the block, mm
    std::vector<shape::Polyline> stitches; ///< on it, from hole to hole
    bool twice = false;                    ///< stitched more than once along
    std::vector<ThreadTried> threads;      ///< the best match first
    ThreadId chosen;                       ///< as it is now
};

} // namespace up::app
