// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out in words: where a piece goes, what it is tucked under, what a background is sewn from.
#pragma once

#include "core/plan/block/underlap_plan.hpp"
#include "core/plan/lay/dry_lay.hpp"
#include "core/plan/lay/roll_call.hpp"

#include <string>

namespace up::words {

/// To the nearest 1/16 in (or 0.1 mm), without scant and generous: a hand lays no closer.
[[nodiscard]] std::string plainly(measure::Length length, measure::System units);

/// "left tip 3 1/8 in from the left edge, on the level crease; right end 2 in from the top edge".
[[nodiscard]] std::string measureWords(const std::vector<plan::PlaceMeasure>& measures,
                                       measure::System units);

/// "1/4 in under 5 roof and 1/8 in under 7 window"; three at most, empty when it lies on top.
[[nodiscard]] std::string tuckWords(const quilt::Block& block, const plan::PlacementStep& step,
                                    measure::System units);

/// The step in one sentence: "Lay 4 beak: … ." or "Lay 5 head for a moment, as a guide: … ."
[[nodiscard]] std::string stepWords(const quilt::Block& block, const plan::PlacementStep& step,
                                    measure::System units);

/// "3 × reed (2, 3 and 4)" or "4 reed 1".
[[nodiscard]] std::string heapWords(const quilt::Block& block, const plan::Heap& heap);
/// "2 of 3 here", "mirrored, not cut yet": how many are here, and of which hand, if there are two.
[[nodiscard]] std::string countWords(const plan::RollCall& call, std::size_t heap);
/// "12 of 15 are here. Missing: 4 reed 3 and 7 tail. 2 are still to be cut."
[[nodiscard]] std::string rollWords(const quilt::Block& block, const plan::RollCall& call);

/// "6 + 6 + 5 in less 1/2 in for each of 2 seams = 16 in".
[[nodiscard]] std::string seamWords(const plan::SeamSum& sum, measure::System units);

/// What the background is and what it lacks.
[[nodiscard]] std::string groundWords(const plan::GroundPlan& ground, measure::System units);

/// Why one lies under the other: "it is the lighter one".
[[nodiscard]] std::string reasonWords(stack::Reason reason);

} // namespace up::words
