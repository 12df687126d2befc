// SPDX-License-Identifier: GPL-3.0-or-later
// A trail in the parts that are stitched in one go, and which of them comes next.
#pragma once

#include "core/plan/stitch/stitch_plan.hpp"

namespace up::plan {

/// One run, perhaps several times to and fro.
struct Leg {
    std::size_t run = 0;
    bool back = false; ///< first from its last point to its first
    int times = 1;
    std::vector<stitch::Travel> before{}; ///< how the needle gets there from the leg before
    bool done = false;
};

[[nodiscard]] std::vector<Leg> legsOf(const StitchPlan& plan, const stitch::Trail& trail);

/// What becomes of a trail's knot.
enum class Knot : std::uint8_t {
    covered, ///< the stitching of a piece above it goes over it
    inSeam,
    meets, ///< a ring's beginning and end
    shows
};
[[nodiscard]] Knot knotOf(const StitchPlan& plan, const stitch::Trail& trail, bool start);

/// Which leg of which trail.
struct AtLeg {
    std::size_t trail = 0, leg = 0;
};

/// The first that is not done, whose piece is fused and tested, and that no other run must come before; nothing when
/// there is none.
[[nodiscard]] std::optional<AtLeg> nextLeg(const quilt::Block& block, const StitchPlan& plan);

/// Whether with that leg all of its piece, or of its line, is stitched.
[[nodiscard]] bool finishesPiece(const StitchPlan& plan, const Leg& leg);

} // namespace up::plan
