// SPDX-License-Identifier: GPL-3.0-or-later
// What was found out about a pattern's shapes, in words.
#pragma once

#include "core/plan/block/judge_plan.hpp"

#include <string>

namespace up::words {

/// "14 of 22 must be reversed; the others are their own mirror image."
[[nodiscard]] std::string reversingWords(const plan::Judgement& judged);
/// "Reverse it", or why it need not be.
[[nodiscard]] std::string reversalWords(const plan::PieceJudgement& piece);
/// "Like 4 and 6; 6 is mirrored"; empty for a piece of its own kind.
[[nodiscard]] std::string alikeWords(const quilt::Block& block, const plan::Judgement& judged,
                                     std::size_t piece);
/// "5 like “leaf”, of which 2 mirrored", a line for each group of two or more.
[[nodiscard]] std::vector<std::string> groupWords(const quilt::Block& block, const plan::Judgement& judged);
/// "Narrows to 3/32 in", with what follows from it; to 1/32 in.
[[nodiscard]] std::string widthWords(const plan::PieceJudgement& piece, measure::System units);
/// "3 1/32 in" as for widths: to 1/32 in (or 0.1 mm).
[[nodiscard]] std::string fineWords(double mm, measure::System units);

} // namespace up::words
