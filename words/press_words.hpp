// SPDX-License-Identifier: GPL-3.0-or-later
// Pressing in words.
#pragma once

#include "core/plan/fuse/press_plan.hpp"

#include <string>

namespace up::words {

/// "Household iron".
[[nodiscard]] std::string soleplateName(press::Soleplate soleplate);
/// "On the block, from the front".
[[nodiscard]] std::string stageName(const plan::PressStage& stage);
/// "15–25 s", and how much of it there may be.
[[nodiscard]] std::string heatWords(const plan::PieceHeat& heat, const std::optional<double>& limit);
/// "tip", "many layers".
[[nodiscard]] std::string testWords(plan::WhyTest why);

} // namespace up::words
