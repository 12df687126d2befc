// SPDX-License-Identifier: GPL-3.0-or-later
// How an edge is stitched.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/base/shared.hpp"
#include "core/measure/length.hpp"
#include "core/shape/path.hpp"

#include <cstdint>
#include <optional>
#include <vector>

namespace up::quilt {

enum class StitchKind : std::uint8_t {
    satin,
    zigzag,
    blanket,
    straight,   ///< inside the edge
    frayed,     ///< straight, farther in: what is outside it may fray
    sketched,   ///< straight, several times round with the lines a little apart
    decorative, ///< a repeat of the machine's
    scribble,   ///< free-motion, to and fro over the edge
    whip,       ///< by hand, as the next two
    blind,
    handBlanket,
    allOver ///< quilting across the whole block holds the edges down
};
constexpr auto keysOf(StitchKind) {
    return std::to_array<std::string_view>({"satin", "zigzag", "blanket", "straight", "frayed", "sketched",
                                            "decorative", "scribble", "whip", "blind", "handBlanket",
                                            "allOver"});
}

/// How edges are to be stitched.
struct EdgeStitch {
    StitchKind kind = StitchKind::satin;
    /// Across: the swing of the stitch; of a straight stitch, how far inside the edge it runs.
    measure::Length width = measure::Length::ofInches(3, 32);
    std::optional<measure::Length> length{}; ///< from stitch to stitch; none: as is usual for the kind
    int passes = 1;                          ///< how often each stretch is stitched
    std::optional<int> mayBe{};              ///< or so often, where that saves a knot
    /// From one line of several passes to the next, towards the piece; none: one upon the other.
    std::optional<measure::Length> apart{};
    /// Of a decorative stitch the user's own repeat, hole by hole: x along the edge, 0…1 of the length, y across it, -1…1 of
    /// half the width, towards the piece > 0. Empty: the program's.
    std::vector<shape::Point> unit{};
    bool operator==(const EdgeStitch&) const = default;
};

/// Stretches of a piece's edge, or marks on it, that are stitched in a way of their own.
struct StretchStitch {
    Shared<std::vector<shape::Contour>> along; ///< open lines, as the piece's outline is drawn
    EdgeStitch edge;
    bool operator==(const StretchStitch&) const = default;
};

/// What lies under a block while it is stitched.
enum class Beneath : std::uint8_t {
    stabiliser, ///< torn or washed away afterwards
    batting,    ///< the block is quilted as it is stitched
    nothing
};
constexpr auto keysOf(Beneath) {
    return std::to_array<std::string_view>({"stabiliser", "batting", "nothing"});
}

/// The sewing machine as it stands.
struct AtMachine {
    ThreadId thread;          ///< on it; none: nobody has said
    double needleMinutes = 0; ///< that the needle in it has stitched
    bool operator==(const AtMachine&) const = default;
};

/// What the machine is set to, or the hand does, when nothing else is said. Source: common practice.
[[nodiscard]] measure::Length usualLength(StitchKind kind);
[[nodiscard]] inline measure::Length lengthOf(const EdgeStitch& stitch) {
    return stitch.length.value_or(usualLength(stitch.kind));
}
/// What is usual for the kind, all of it. Source: common practice.
[[nodiscard]] EdgeStitch usualStitch(StitchKind kind);
/// By hand, not with the machine.
[[nodiscard]] bool isByHand(StitchKind kind);

} // namespace up::quilt
