// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong or doubtful, as data. `words/sentences` says it.
#pragma once

#include "core/base/id.hpp"
#include "core/shape/point.hpp"

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace up::check {

enum class Severity : std::uint8_t { blocked, doubtful };

enum class Kind : std::uint8_t {
    outsideFinished, ///< reaches over the finished edge: {piece, how far}
    runsOffTooShort, ///< should run off the block but stops inside the seam allowance: {piece, how far short}
    hiddenWholly,    ///< nothing of it shows: {piece}
    larger,          ///< larger than the web: {piece, web}
    webUsedUp,       ///< no room left on the web: {piece, web}
    marksToDraw,     ///< cut, marks not drawn, paper still on: {piece}
    marksLost,       ///< paper off, marks not drawn: {piece}
    laidOutOfOrder,  ///< something further on than what lies beneath it: {upper, lower, step}
    thin,            ///< a part too thin to cut and stitch: {piece, its width, width needed}
    oneHand,         ///< looks like one of a pair, but is the same way round as the other: {piece, other}
    readsBackwards,  ///< a letter reads backwards from the front: {piece}
    reversedTwice,   ///< taken for one that came reversed, but its letters read as seen: {block}
    cameReversed,    ///< its letters read backwards, but it is taken as seen: {block}
    dottedShows,     ///< a dotted edge that nothing covers: {piece, how much of it}
    noPieces,        ///< {}
};

/// What *Fix* would do, by name; the binder in `plan` does it.
enum class Fix : std::uint8_t { none, moveInside, markRunsOff, mirror, otherSide };

struct Finding {
    Kind kind;
    Severity severity;
    BlockId block;
    PieceId piece;
    std::vector<std::string> args;
    std::optional<shape::Point> spot; ///< on the block, mm
    Fix fix = Fix::none;
    /// Stays the same while the finding does: kind, block, piece.
    [[nodiscard]] std::string key() const {
        return std::to_string(static_cast<int>(kind)) + "/" + std::to_string(block.value) + "/" +
               std::to_string(piece.value);
    }
};

} // namespace up::check
