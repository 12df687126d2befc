// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong or doubtful, as data. `words/sentences` says it.
#pragma once

#include "core/base/id.hpp"
#include "core/shape/region.hpp"

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
    offCutGone,      ///< what pieces are laid out on is not in the stash any more: {pieces}
    othersLaidOut,   ///< the layout has places for pieces that are not in the block: {block, how many}
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
    peeks, ///< a sliver of the lower shows beside the upper: {lower, upper, how wide (empty: a thread), how
           ///< long}
    nearlyPeeks, ///< its edge lies just beneath the upper's: {lower, upper, how deep (empty: not at all), how
                 ///< long}
    reachesTooShort, ///< does not reach far enough under: {lower, upper, how far, how far is wanted}
    merelyMeet,      ///< nothing reaches under: {lower, upper, how far is wanted}
    manyMeet,        ///< the same of many pairs: {how many, how far is wanted}
    interwoven,      ///< each over the next: {pieces}
    shinesThrough,   ///< darker cloth beneath: {piece, what is beneath, how much of it}
    stiff,           ///< many layers: {how many, area, area of web that windows free}
    inTheSeamLine,   ///< ends at the finished edge, or almost: {piece}
    unitBroken,      ///< its pieces do not lie one upon another: {pieces}
};

/// What *Fix* would do, by name; `core/mend` does it.
enum class Fix : std::uint8_t {
    none,
    moveInside,
    markRunsOff,
    mirror,
    otherSide,
    trimLower,  ///< the lower piece is cut back
    widenUpper, ///< the upper piece is made wider there
    nudgeUpper, ///< the upper piece is moved over it
    tuck,       ///< the lower piece grows beneath the upper
    tuckAll,    ///< so do all that merely meet
    untie,      ///< one of them is cut in two
    line,       ///< it gets a lining
    cutAway,    ///< what lies behind is cut away after stitching
    accept,     ///< it may be seen
    windows,    ///< windows are cut in the web
    carryOn,    ///< it runs off the block
    noUnit,     ///< the pieces are no unit any more
    leaveOut,   ///< the piece is taken out of the block
    bringUp     ///< it goes over all that lies on it
};

struct Finding {
    Kind kind;
    Severity severity;
    BlockId block;
    PieceId piece;
    std::vector<std::string> args;
    std::optional<shape::Point> spot; ///< on the block, mm
    std::vector<Fix> fixes{};         ///< the best first
    PieceId other{};                  ///< the upper of two, or the one beneath
    shape::Region where{};            ///< on the block, if there is a place to show
};

} // namespace up::check
