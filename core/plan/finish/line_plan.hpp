// SPDX-License-Identifier: GPL-3.0-or-later
// The lines of a block as they are stitched by hand: every stitch, and from which cut of floss its strands come.
#pragma once

#include "core/hand/floss.hpp"
#include "core/hand/stitches.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// A line, or as much of a long one as goes with one length of floss.
struct LinePart {
    LineId line;
    std::size_t part = 0, of = 1;
    std::vector<hand::Made> stitches; ///< on the block, mm
    quilt::Length floss;              ///< of each strand, without its ends
    bool sewn = false;
};

/// All that is stitched with one floss.
struct FlossUse {
    ThreadId thread;
    std::vector<std::size_t> parts; ///< of the plan: what the floss plan's demands are
    hand::FlossPlan plan;
};

/// One part, and with what it is stitched.
struct AtPart {
    std::size_t floss = 0, needleful = 0, part = 0; ///< `part` of LinesPlan::parts
    bool newNeedle = false;                         ///< nothing of the needleful is stitched yet
};

struct LinesPlan {
    std::vector<LinePart> parts;                      ///< in the order of the block's lines
    std::vector<FlossUse> floss;                      ///< in the order in which they are first needed
    std::vector<LineId> toDraw;                       ///< not on the cloth yet
    [[nodiscard]] std::optional<AtPart> next() const; ///< nothing: all are stitched
    [[nodiscard]] bool isSewn(LineId line) const;
};

/// Stitches farther apart get an end of their own behind the cloth: nothing is carried over that far. Common practice.
inline constexpr double mostCarried = 12.7; // mm

[[nodiscard]] LinesPlan planLines(const quilt::Block& block);

} // namespace up::plan
