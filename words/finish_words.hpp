// SPDX-License-Identifier: GPL-3.0-or-later
// Trimming and fitting in words.
#pragma once

#include "core/plan/finish/finish_plan.hpp"

#include <string>
#include <vector>

namespace up::words {

/// "Strip on the left", "Frame above".
[[nodiscard]] std::string stripName(const plan::FitStrip& strip);
/// "cut 9 1/2 × 1 1/2 in, 1 in is seen; 1/4 in wider than planned".
[[nodiscard]] std::string stripSizes(const plan::FitStrip& strip, measure::System units);

/// What a block that came out too small lacks, and what can still be done: strips that make it up, a narrower seam, a frame.
/// None when it is large enough.
[[nodiscard]] std::vector<std::string> rescues(const plan::FinishPlan& plan, measure::System units);
/// "1/2 in too narrow", "1/2 in too narrow and 1/4 in too low"; "" when it is large enough.
[[nodiscard]] std::string lackWords(const fit::Extent& lacking, measure::System units);

/// How large the quilt's top becomes, what goes round and beneath it, and which rows do not fit.
[[nodiscard]] std::vector<std::string> wallWords(const quilt::Quilt& quilt);

/// "Blocks like this one were drawn in by 2 %, 3 of them."
[[nodiscard]] std::string drawnInWords(const plan::DrawnIn& drawn);

} // namespace up::words
