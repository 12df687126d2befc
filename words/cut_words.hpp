// SPDX-License-Identifier: GPL-3.0-or-later
// Cutting in words.
#pragma once

#include "core/plan/cut/cut_plan.hpp"

#include <string>

namespace up::words {

/// "Small: 4 eye", "By ruler along 3 and 5".
[[nodiscard]] std::string cutName(const quilt::Block& block, const plan::ChunkCuts& chunk,
                                  const cut::Cut& cut);
/// "about 12 min at your pace".
[[nodiscard]] std::string minutesWords(const plan::CutPlan& plan, double minutes);

} // namespace up::words
