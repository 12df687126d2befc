// SPDX-License-Identifier: GPL-3.0-or-later
// How far one piece is, and which step may follow which.
#pragma once

#include "core/base/error.hpp"
#include "core/base/names.hpp"

#include <cstdint>
#include <optional>

namespace up::quilt {

/// In the order of the work. Which of them a piece goes through is its Way.
enum class Step : std::uint8_t {
    toTrace,
    traced,
    roughCut,
    bonded,
    marked,
    cleanCut,
    turned, ///< its edge is folded under
    laid,
    fused,
    tested,
    stitched,
    cutAway ///< what lies behind it, or over it within its line
};
/// Stable words for files and the log.
constexpr auto keysOf(Step) {
    return std::to_array<std::string_view>({"toTrace", "traced", "roughCut", "bonded", "marked", "cleanCut",
                                            "turned", "laid", "fused", "tested", "stitched", "cutAway"});
}

/// How a piece is joined to what it lies on. Source: common practice.
enum class Join : std::uint8_t {
    fused,  ///< with web
    held,   ///< raw edged, by dots of glue or pins until it is stitched
    turned, ///< its edge folded under, sewn by hand
    reverse ///< from behind the block: what lies over it is cut away within its line
};
constexpr auto keysOf(Join) {
    return std::to_array<std::string_view>({"fused", "held", "turned", "reverse"});
}

/// What decides which steps a piece goes through.
struct Way {
    bool hasMarks = false; ///< its template carries inner marks
    Join join = Join::fused;
    bool cutsBehind = false; ///< what lies behind it is cut away once it is stitched
};
[[nodiscard]] bool goesThrough(Step step, const Way& way);

/// The eight treads of the stair.
enum class Tread : std::uint8_t { draw, trace, bond, cut, lay, fuse, stitch, finish };
/// Where a step is done.
[[nodiscard]] Tread treadOf(Step step);
struct Work {
    Step step = Step::toTrace; ///< the last step done
    bool marksDrawn = false;   ///< the inner marks are on the fabric
    int remade = 0;            ///< how often it was ruined and begun again
    bool operator==(const Work&) const = default;
};

/// The step to do next; nothing when all is done.
[[nodiscard]] std::optional<Step> nextStep(const Work& work, const Way& way);
/// Nothing up to that step, and that neither, is still to be done.
[[nodiscard]] bool isPast(const Work& work, const Way& way, Step step);
/// Nothing of it is still to be done on that tread, or before it.
[[nodiscard]] bool isPast(const Work& work, const Way& way, Tread tread);

/// Whether `step` may be done now, by this piece's own history (what lies under it is the block's affair).
/// Marks may be drawn while the paper is on: from bonded until laid; without web, from traced. Cutting without them is
/// allowed. Errors: Code::notYet {"", step, the step that comes first}.
[[nodiscard]] Result<Work> advanced(const Work& work, Step step, const Way& way);

/// Whether doing `step` takes the paper off a piece whose marks are not drawn, and so loses them.
[[nodiscard]] bool losesMarks(const Work& work, Step step, const Way& way);

} // namespace up::quilt
