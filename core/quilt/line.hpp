// SPDX-License-Identifier: GPL-3.0-or-later
// A line on the finished side of a block that is no edge of a piece: words, veins, strings, legs, and what is laid along
// it. Never reversed.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/base/shared.hpp"
#include "core/measure/angle.hpp"
#include "core/measure/length.hpp"
#include "core/quilt/laid.hpp"
#include "core/shape/path.hpp"

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace up::quilt {

using measure::Angle;
using measure::Length;

/// Where a piece or a line lies, relative to where the drawing has it: turned about its own middle, then moved.
struct Placement {
    Length right, down;
    Angle turn;
    bool operator==(const Placement&) const = default;
};

/// How a line comes onto the cloth: by hand with floss, or under the machine with thread.
enum class LineStitch : std::uint8_t { back, stem, running, machineStraight, machineSatin };
constexpr auto keysOf(LineStitch) {
    return std::to_array<std::string_view>({"back", "stem", "running", "machineStraight", "machineSatin"});
}
[[nodiscard]] constexpr bool isByHand(LineStitch stitch) {
    return stitch < LineStitch::machineStraight;
}

/// With what it is traced.
enum class LinePen : std::uint8_t {
    washesOut,   ///< with water; heat may set it: it is gone before the iron comes near
    goesWithHeat ///< the last pressing takes it away; so does every one before
};
constexpr auto keysOf(LinePen) {
    return std::to_array<std::string_view>({"washesOut", "goesWithHeat"});
}

/// The words that made a line, so that they can be changed.
struct Written {
    std::string text;
    std::string family{};                   ///< of a font; none: the program's own hand, of single lines
    Length height = Length::ofInches(1, 2); ///< of a capital
    Angle bend{}; ///< from the first letter to the last: > 0 ends lower, < 0 ends higher
    /// At most one: what they are written along, as the strokes are drawn; then they are not bent.
    Shared<std::vector<shape::Contour>> along{};
    double from = 0.5;                   ///< how far along that their middle is, 0…1
    Length off = Length::ofInches(1, 8); ///< from it to their feet, to the left of its way
    bool operator==(const Written&) const = default;
};

/// Floss is split from six strands.
inline constexpr int strandsOfFloss = 6;

struct Line {
    LineId id;
    std::string name;
    /// Open lines in the order in which they are stitched, mm from the finished block's top left corner.
    Shared<std::vector<shape::Contour>> strokes;
    std::optional<Written> written{};
    std::optional<Laid> laid{}; ///< along its strokes, or at them; `stitch` says how it is held
    PieceId on{};               ///< it goes where that piece goes; none: it stays
    Placement place{};
    LineStitch stitch = LineStitch::back;
    std::optional<Length> length{};         ///< of a stitch; none: as is usual
    Length width = Length::ofInches(3, 32); ///< of satin
    ThreadId thread{};
    int strands = 4; ///< of six
    LinePen pen = LinePen::washesOut;
    bool drawn = false; ///< it is on the cloth
    int sewn =
        0; ///< by hand: so many of its lengths of floss are stitched, in their order; by machine 1: all is
    /// Stretches that the machine has stitched, as the strokes are drawn, while not all are.
    Shared<std::vector<shape::Contour>> stitched{};
    std::string extra{}; ///< as of a Quilt
    bool operator==(const Line&) const = default;
};

/// Stitched with floss, and nothing is laid on it.
[[nodiscard]] inline bool takesFloss(const Line& line) {
    return !line.laid && isByHand(line.stitch);
}
/// The machine stitches it, or what is laid on it, among the edges of pieces.
[[nodiscard]] inline bool isOfMachine(const Line& line) {
    return !isByHand(line.stitch) && !(line.laid && (line.laid->glued || isThing(line.laid->trim)));
}
/// It can be seen where it goes: a tape lies where pieces meet, the others are traced.
[[nodiscard]] inline bool isTraced(const Line& line) {
    return line.drawn || (line.laid && line.laid->trim == Trim::tape);
}
/// It is laid over the block's edge on purpose.
[[nodiscard]] inline bool runsOff(const Line& line) {
    return line.laid && (line.laid->begin == LaidEnd::runsOff || line.laid->end == LaidEnd::runsOff);
}
/// All its strips, or its things, are on.
[[nodiscard]] inline bool isAllLaid(const Line& line) {
    if (!line.laid) return true;
    return line.laid->done >= (isThing(line.laid->trim) ? 1 : static_cast<int>(line.strokes->size()));
}
/// Nothing is stitched or laid of it yet.
[[nodiscard]] inline bool isUntouched(const Line& line) {
    return line.sewn == 0 && line.stitched->empty() && !(line.laid && line.laid->done > 0);
}

/// Of a stitch. Source: common practice.
[[nodiscard]] Length usualLength(LineStitch stitch);
[[nodiscard]] inline Length lengthOf(const Line& line) {
    return line.length.value_or(usualLength(line.stitch));
}

/// The strokes where the line lies on the block, and the map that puts them there.
[[nodiscard]] shape::Transform placing(const Line& line);
[[nodiscard]] std::vector<shape::Contour> placed(const Line& line);
/// The middle of the strokes' box there, about which they turn; of a line without strokes where its place says.
[[nodiscard]] shape::Point middleOf(const Line& line);

} // namespace up::quilt
