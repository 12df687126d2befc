// SPDX-License-Identifier: GPL-3.0-or-later
// How far one piece is, and which step may follow which.
#pragma once

#include "core/base/error.hpp"
#include "core/base/names.hpp"

#include <cstdint>
#include <optional>

namespace up::quilt {

/// In the order of the work. `marked` is only for pieces that carry inner marks.
enum class Step : std::uint8_t {
    toTrace,
    traced,
    roughCut,
    bonded,
    marked,
    cleanCut,
    laid,
    fused,
    tested,
    stitched
};
/// Stable words for files and the log.
constexpr auto keysOf(Step) {
    return std::to_array<std::string_view>({"toTrace", "traced", "roughCut", "bonded", "marked", "cleanCut",
                                            "laid", "fused", "tested", "stitched"});
}

/// The eight treads of the stair.
enum class Tread : std::uint8_t { draw, trace, bond, cut, lay, fuse, stitch, finish };
/// Where a step is done.
[[nodiscard]] Tread treadOf(Step step);
/// The step that completes a tread; nothing for draw and finish, which are the block's, not a piece's.
[[nodiscard]] std::optional<Step> lastStepOf(Tread tread);

struct Work {
    Step step = Step::toTrace; ///< the last step done
    bool marksDrawn = false;   ///< the inner marks are on the fabric
    int remade = 0;            ///< how often it was ruined and begun again
    bool operator==(const Work&) const = default;
};

/// The step to do next; nothing when all is done. `hasMarks`: the template carries inner marks.
[[nodiscard]] std::optional<Step> nextStep(const Work& work, bool hasMarks);

/// Whether `step` may be done now, by this piece's own history (what lies under it is the block's affair).
/// Marks may be drawn while the paper is on: from bonded until laid. Cutting without them is allowed.
/// Errors: Code::notYet {"", step, the step that comes first}.
[[nodiscard]] Result<Work> advanced(const Work& work, Step step, bool hasMarks);

/// Whether doing `step` takes the paper off a piece whose marks are not drawn, and so loses them.
[[nodiscard]] bool losesMarks(const Work& work, Step step, bool hasMarks);

} // namespace up::quilt
