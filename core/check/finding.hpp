// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong or doubtful, as data: a kind, what it is about, and what was measured. `words/finding_words`
// says it.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/measure/length.hpp"
#include "core/quilt/step.hpp"
#include "core/shape/region.hpp"

#include <cstdint>
#include <optional>
#include <variant>
#include <vector>

namespace up::check {

enum class Severity : std::uint8_t { blocked, doubtful };
constexpr auto keysOf(Severity) {
    return std::to_array<std::string_view>({"blocked", "doubtful"});
}

/// In the order of what it costs to ignore them: first what stops the work, then cloth cut the wrong way round,
/// last what is only hard to sew. Beside each, what its sentence gets.
enum class Kind : std::uint8_t {
    // blocked
    interwoven,     ///< each over the next: {pieces}
    laidOutOfOrder, ///< something further on than what lies beneath it: {upper, lower, step}
    larger,         ///< larger than the web: {piece, web}
    webUsedUp,      ///< no room left on the web: {piece, web}
    offCutGone,     ///< what pieces are laid out on is not in the stash any more: {pieces}
    othersLaidOut,  ///< the layout has places for pieces that are not in the block: {block, how many}
    // doubtful
    cameReversed,   ///< its letters read backwards, but it is taken as seen: {block}
    reversedTwice,  ///< taken for one that came reversed, but its letters read as seen: {block}
    readsBackwards, ///< a letter reads backwards from the front: {piece}
    oneHand,        ///< looks like one of a pair, but is the same way round as the other: {piece, other}
    clothShort,  ///< no cloth is large enough: {pieces, fabric, two sides needed, two sides of the largest}
    printAcross, ///< one is, but its print would run the wrong way: {pieces, fabric}
    clothTaken,  ///< other chunks lie where there would be room: {pieces, fabric}
    marksToDraw, ///< cut, marks not drawn, paper still on: {piece}
    outsideFinished, ///< reaches over the finished edge: {piece, how far}
    runsOffTooShort, ///< should run off the block but stops inside the seam allowance: {piece, how far short}
    dottedShows,     ///< a dotted edge that nothing covers: {piece, how much of it}
    peeks,           ///< a sliver of the lower shows beside the upper: {lower, upper, width, length}
    reachesTooShort, ///< far enough under another: {lower, upper, how far (0: they merely meet), how far is wanted}
    thin,            ///< a part too thin to cut and stitch: {piece, its width, width needed}
    shinesThrough, ///< darker cloth beneath: {piece, what is beneath (none: the background), how much of it}
    inTheSeamLine, ///< ends at the finished edge, or almost: {piece}
    nearlyPeeks,   ///< its edge lies just beneath the upper's: {lower, upper, depth, length}
    unitBroken,    ///< its pieces do not lie one upon another: {piece}
    hiddenWholly,  ///< nothing of it shows: {piece}
    marksLost,     ///< paper off, marks not drawn: {piece}
    stiff,         ///< many layers: {how many, area, area of web that windows free}
    stitchedTooEarly, ///< the upper is stitched where the end of the lower was to lie beneath: {lower, upper}
    begunBefore, ///< stitched in part, and another thread is on: {piece, how much is open, thread of it, thread that is on}
    noThread,     ///< pieces that are to be stitched: {pieces}
    noStabiliser, ///< nothing is beneath what swings: {pieces}
    bobbinEnds,   ///< in the middle: {piece where, thread, what its bobbin lacks}
    openStretch, ///< wider than the batting holds: {piece (none: the background), how wide, how wide it may be}
    needleWorn,    ///< {block, hours}
    comesOutShort, ///< measured, and nothing makes up for it: {block, too narrow by, too low by}
    groundSmall, ///< it would be drawn in too far: {block, how much larger it should be cut, share that others lost}
    linesOverEdge,  ///< lines reach into the seam allowance: {block, how far}
    linesUnderIron, ///< traced with a pen that goes with heat, and the iron is still to come: {block}
    fraysOtherwise, ///< stitched farther in or less far than its cloth wants: {piece, how far, how far it wants}
    doesNotFray,    ///< but is to: {piece, fabric}
    bendsTightly,   ///< along its line what is laid puckers: {line, its radius there, radius wanted}
    endBare,        ///< it is to be covered, and nothing that is laid later does: {line}
    trimPressed,    ///< melts and lies there, and the iron is still to come: {line}
    miscounted,     ///< {line, how many are called for, how many have a place}
    throughBacking, ///< something is to be cut away where batting and backing lie beneath: {piece}
    holeRunsOff, ///< it is joined from behind, and its line is not closed within the block: {piece, how far over the edge}
    holeLight, ///< it is darker than the cloth that is cut over it: {piece, that cloth's piece (none: the background)}
    tooThinToTurn, ///< {piece, its width, width needed}
    noPieces       ///< {block}
};
constexpr auto keysOf(Kind) {
    return std::to_array<std::string_view>(
        {"interwoven",     "laidOutOfOrder", "larger",          "webUsedUp",
         "offCutGone",     "othersLaidOut",  "cameReversed",    "reversedTwice",
         "readsBackwards", "oneHand",        "clothShort",      "printAcross",
         "clothTaken",     "marksToDraw",    "outsideFinished", "runsOffTooShort",
         "dottedShows",    "peeks",          "reachesTooShort", "thin",
         "shinesThrough",  "inTheSeamLine",  "nearlyPeeks",     "unitBroken",
         "hiddenWholly",   "marksLost",      "stiff",           "stitchedTooEarly",
         "begunBefore",    "noThread",       "noStabiliser",    "bobbinEnds",
         "openStretch",    "needleWorn",     "comesOutShort",   "groundSmall",
         "linesOverEdge",  "linesUnderIron", "fraysOtherwise",  "doesNotFray",
         "bendsTightly",   "endBare",        "trimPressed",     "miscounted",
         "throughBacking", "holeRunsOff",    "holeLight",       "tooThinToTurn",
         "noPieces"});
}
[[nodiscard]] constexpr Severity severityOf(Kind kind) {
    return kind <= Kind::othersLaidOut ? Severity::blocked : Severity::doubtful;
}

/// What *Fix* would do, by name; `core/mend` does it.
enum class Fix : std::uint8_t {
    moveInside,
    markRunsOff,
    mirror,
    otherSide,
    trimLower,     ///< the lower piece is cut back
    widenUpper,    ///< the upper piece is made wider there
    nudgeUpper,    ///< the upper piece is moved over it
    tuck,          ///< the lower piece grows beneath the upper
    untie,         ///< one of them is cut in two
    line,          ///< it gets a lining
    cutAway,       ///< what lies behind is cut away after stitching
    windows,       ///< windows are cut in the web
    carryOn,       ///< it runs off the block
    noUnit,        ///< the pieces are no unit any more
    leaveOut,      ///< the piece is taken out of the block
    bringUp,       ///< it goes over all that lies on it
    anyWay,        ///< it no longer matters how the print runs over them
    nearFabric,    ///< another fabric of the stash, near in colour and as light
    turnPiece,     ///< one of its chunk's pieces is turned on the web
    part,          ///< its chunk is cut in two
    shoppingList,  ///< it is to be bought
    drawnThrough,  ///< its marks were drawn after all
    layStabiliser, ///< stabiliser goes beneath
    stitchMarks,   ///< its marks are stitched too
    windBobbin,    ///< as many bobbins of that thread are wound as are lacking
    newNeedle,     ///< a new one is put in
    narrowSeam,    ///< the block is sewn to its strips with a narrower seam
    frameIt,       ///< it gets strips all round first
    cutLarger,     ///< its background is cut larger
    moveLinesIn,   ///< lines that reach over the edge are moved
    traceAgain,    ///< with a pen that washes out
    asItFrays,     ///< its own edge is stitched so
    narrower,      ///< what is laid is made as narrow as its line allows
    layBefore,     ///< it is laid before what lies over its end
    turnIn,        ///< its ends are turned in
    takeOff,       ///< it is taken off again
    countIsRight,  ///< as many as have a place are called for
    fuseIt,        ///< it is joined with web, and nothing behind it is cut away
    matchThread,   ///< the thread of the quilt that is nearest to its cloth
    leaveSo        ///< it was looked at and may be; every doubtful finding has it last
};
constexpr auto keysOf(Fix) {
    return std::to_array<std::string_view>(
        {"moveInside",   "markRunsOff", "mirror",       "otherSide",    "trimLower",     "widenUpper",
         "nudgeUpper",   "tuck",        "untie",        "line",         "cutAway",       "windows",
         "carryOn",      "noUnit",      "leaveOut",     "bringUp",      "anyWay",        "nearFabric",
         "turnPiece",    "part",        "shoppingList", "drawnThrough", "layStabiliser", "stitchMarks",
         "windBobbin",   "newNeedle",   "narrowSeam",   "frameIt",      "cutLarger",     "moveLinesIn",
         "traceAgain",   "asItFrays",   "narrower",     "layBefore",    "turnIn",        "takeOff",
         "countIsRight", "fuseIt",      "matchThread",  "leaveSo"});
}

/// A length that is told apart from others by less than a sixteenth: said to 1/32 in.
struct Fine {
    measure::Length length;
    bool operator==(const Fine&) const = default;
};
/// Of thread: said in metres.
struct Yarn {
    measure::Length length;
    bool operator==(const Yarn&) const = default;
};
struct Area {
    double mm2 = 0;
    bool operator==(const Area&) const = default;
};
/// Of a whole, 0…1.
struct Share {
    double part = 0;
    bool operator==(const Share&) const = default;
};
struct Count {
    std::size_t number = 0;
    bool operator==(const Count&) const = default;
};

/// What a sentence speaks of. Names and numbers are looked up when it is said.
using Arg = std::variant<PieceId, std::vector<PieceId>, BlockId, WebId, FabricId, ThreadId, LineId,
                         quilt::Step, measure::Length, Fine, Yarn, Area, Share, Count>;

struct Finding {
    Kind kind;
    BlockId block;
    PieceId piece{}; ///< none: it is about the block
    PieceId other{}; ///< the upper of two, or the one beneath
    std::vector<Arg> args{};
    double weight = 0;                  ///< how bad, among those of its kind
    std::optional<shape::Point> spot{}; ///< on the block, mm
    shape::Region where{};              ///< on the block, if there is a place to show
    std::vector<Fix> fixes{};           ///< the best first
    [[nodiscard]] Severity severity() const { return severityOf(kind); }
};

} // namespace up::check
