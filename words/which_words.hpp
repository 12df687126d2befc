// SPDX-License-Identifier: GPL-3.0-or-later
// What tells a piece without a label from others.
#pragma once

#include "core/plan/work/which_plan.hpp"

namespace up::words {

/// "fabric reed green; 3 points; mirror image of 4 leaf". Empty when nothing is known.
[[nodiscard]] std::string factsWords(const std::vector<plan::Fact>& facts);

/// "fits", "1/4 in off".
[[nodiscard]] std::string fitWords(const plan::Candidate& candidate, measure::System units);

} // namespace up::words
