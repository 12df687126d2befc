// SPDX-License-Identifier: GPL-3.0-or-later
// A first layout: one part after the other where there is room.
#pragma once

#include "core/base/job.hpp"
#include "core/layout/form.hpp"
#include "core/layout/nest_job.hpp"

#include <functional>

namespace up::layout {

/// What parts are grown by so that grown ones may touch, mm: half the spacing, and what the offset's arcs may
/// lack.
[[nodiscard]] double halfSpacing(const NestJob& job);
[[nodiscard]] shape::Region grownPart(const Part& part, double half);
/// The part with `half` mm round it, in fewer points that lie up to `rough` mm farther out; without spacing
/// 0.008 mm less than it is, so that parts may touch, but held on the sheet by its own corners.
[[nodiscard]] Form paddedForm(const Part& part, double half, double rough = 0);

/// Makes a layout in the order and the turns of that round; round 0 takes the largest parts first. Empty when
/// it was stopped and `mayStop`. Method: bottom-left on a bitmap of the sheet, every cell that a part touches
/// counted as full. Source of the fill rule: Baker, Coffman & Rivest, "Orthogonal Packings in Two
/// Dimensions", 1980; of the bitmap: Oliveira & Ferreira, "Algorithms for Nesting Problems", 1993. Cost:
/// about a millisecond per part and turn on a roll.
using Constructor = std::function<NestLayout(int round, const Job& control, bool mayStop)>;
/// Quick: on a coarser bitmap and in fewer turns, a fifth of the time.
enum class Care : std::uint8_t { quick, full };
/// `job` outlives it.
[[nodiscard]] Constructor constructor(const NestJob& job, std::uint64_t seed, Care care = Care::full);

} // namespace up::layout
