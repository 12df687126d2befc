// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid along a line of a block, or set at its places: a stem, a tape, a ribbon, buttons.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/measure/length.hpp"

#include <cstdint>

namespace up::quilt {

using measure::Length;

enum class Trim : std::uint8_t {
    stem,     ///< a bias strip folded in half, sewn on along its raw edges and pressed over them
    tape,     ///< a bias strip with both edges turned under: leading
    chenille, ///< a bias strip with raw edges that fluff
    ribbon,
    rickrack,
    cord,
    yarn, ///< couched
    button,
    flower, ///< gathered from a strip
    dot
};
constexpr auto keysOf(Trim) {
    return std::to_array<std::string_view>(
        {"stem", "tape", "chenille", "ribbon", "rickrack", "cord", "yarn", "button", "flower", "dot"});
}
/// Cut from cloth at 45° to its threads.
[[nodiscard]] constexpr bool isBias(Trim trim) {
    return trim <= Trim::chenille;
}
/// Set at places; else laid along a line.
[[nodiscard]] constexpr bool isThing(Trim trim) {
    return trim >= Trim::button;
}

/// What becomes of the end of a strip.
enum class LaidEnd : std::uint8_t {
    turnedIn,
    sealed,  ///< with glue, a flame or a hot tool
    covered, ///< by something that is laid later
    runsOff  ///< into the block's seam
};
constexpr auto keysOf(LaidEnd) {
    return std::to_array<std::string_view>({"turnedIn", "sealed", "covered", "runsOff"});
}

struct Laid {
    Trim trim = Trim::stem;
    Length width = Length::ofInches(3, 8); ///< as it lies there; of a thing: across
    FabricId fabric;                       ///< of a strip that is cut from cloth, or a flower
    LaidEnd begin = LaidEnd::turnedIn, end = LaidEnd::turnedIn;
    bool glued = false; ///< and not stitched
    bool melts = false; ///< never under the iron
    int called = 0;     ///< so many things the pattern asks for; 0: nobody has counted
    int done = 0;       ///< so many of its things, or of its strips in their order, are on
    bool operator==(const Laid&) const = default;
};

/// With which a stem is sewn on. Source: common practice.
inline constexpr Length stemSeam = Length::ofInches(1, 4);

} // namespace up::quilt
