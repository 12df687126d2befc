// SPDX-License-Identifier: GPL-3.0-or-later
// A line in stitches by hand: where the needle goes down and comes up, and the floss that takes.
#pragma once

#include "core/shape/ring.hpp"

#include <cstdint>
#include <vector>

namespace up::hand {

/// Source: common practice.
enum class Kind : std::uint8_t {
    back,   ///< up one stitch ahead, down where the last one began: an unbroken line
    stem,   ///< each stitch begins in the middle of the one before: a rope
    running ///< as much shows as does not
};

struct Stitch {
    Kind kind = Kind::back;
    double length = 2.4; ///< mm, of what shows
};

/// Stitches turn short where the line bends: a stitch leaves it by no more than this, mm. Invented, no source: the width of
/// four strands.
inline constexpr double mostOff = 0.6;
/// Through background, web and a piece, each time, mm. From memory.
inline constexpr double throughCloth = 1;

/// From end to end: there is a hole at each end and at each corner that turns by more than 30°, and all stitches between two
/// of these are about equally long. Points on the line, mm; a closed line repeats its first.
[[nodiscard]] shape::Polyline holesAlong(const shape::Polyline& line, const Stitch& stitch);

/// One stitch.
struct Made {
    shape::Point from, to; ///< as it shows: up at one, down at the other
    double floss = 0;      ///< mm of each strand, with the way behind from the stitch before
};
/// Of the holes in their order; nothing for fewer than two.
[[nodiscard]] std::vector<Made> sewn(const shape::Polyline& holes, Kind kind);

} // namespace up::hand
