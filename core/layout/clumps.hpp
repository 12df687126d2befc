// SPDX-License-Identifier: GPL-3.0-or-later
// Parts that belong together, laid close to each other so that they move as one.
#pragma once

#include "core/base/job.hpp"
#include "core/layout/nest_job.hpp"

namespace up::layout {

/// Where a part lies within a clump, as in Spot.
struct Member {
    std::size_t part = 0;
    double rotation = 0, x = 0, y = 0;
};

/// Where it puts its part.
[[nodiscard]] inline shape::Transform placing(const Member& member) {
    return shape::Transform::moveBy(member.x, member.y) *
           shape::Transform::turn(measure::Angle::ofDegrees(member.rotation));
}

struct Clump {
    std::vector<Member> members;
    shape::Region body;     ///< all of it, with its gaps and holes filled: nothing else goes there
    double stripHeight = 0; ///< mm, where the parts lie in rows; 0 otherwise
    int strips = 0;
};

/// Covers the shapes and everything nearer than `gap` mm to two of them, without holes.
[[nodiscard]] shape::Region closedUp(const std::vector<shape::Region>& shapes, double gap);

/// The region without its holes.
[[nodiscard]] shape::Region withoutHoles(const shape::Region& region);

/// One part, as it is.
[[nodiscard]] Clump clumpOfOne(const NestJob& job, std::size_t part);

/// All parts of the job, close together on its first sheet, in as many clumps as lie farther than twice
/// `margin` mm apart there; parts that do not fit each alone. Every part has one copy.
[[nodiscard]] std::vector<Clump> clumpsOf(const NestJob& job, double margin, const NestOptions& options,
                                          up::Job& control);

/// Copies of one part in rows on a sheet `width` mm wide, every other one turned by half a turn where that is
/// allowed and saves web, with no room between them. `parts`: the numbers they get as members. Nothing when
/// the part is wider than the sheet.
[[nodiscard]] std::optional<Clump> clumpOfRows(const Part& part, const std::vector<std::size_t>& parts,
                                               double width);

} // namespace up::layout
