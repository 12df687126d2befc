// SPDX-License-Identifier: GPL-3.0-or-later
// A line on the finished side of a block that is no edge of a piece: words, veins, strings, legs. Never reversed.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/base/shared.hpp"
#include "core/measure/angle.hpp"
#include "core/measure/length.hpp"
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
    Angle bend{};                           ///< from the first letter to the last: > 0 ends lower, < 0 ends higher
    /// At most one: what they are written along, as the strokes are drawn; then they are not bent.
    Shared<std::vector<shape::Contour>> along{};
    double from = 0.5; ///< how far along that their middle is, 0…1
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
    PieceId on{}; ///< it goes where that piece goes; none: it stays
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
