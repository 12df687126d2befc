// SPDX-License-Identifier: GPL-3.0-or-later
// What a tracing layout costs, how its chunks are cut, which way up the web lies.
#pragma once

#include "core/plan/trace/trace_plan.hpp"

#include <string>

namespace up::words {

/// "By fabric": how the pieces are gathered.
[[nodiscard]] std::string schoolName(quilt::School school);
/// What that means, in one sentence.
[[nodiscard]] std::string schoolWords(quilt::School school);

/// "11 1/2 in of the roll and 1 off-cut"; "No new web: 3 off-cuts are enough".
[[nodiscard]] std::string costWords(const quilt::Quilt& quilt, const plan::TraceCost& cost);
/// "6 1/2 in of roll, 4 off-cuts"; "4 off-cuts, no new web".
[[nodiscard]] std::string briefCost(const quilt::Quilt& quilt, const plan::TraceCost& cost);
/// "6 cuts, 84 in".
[[nodiscard]] std::string cutsWords(const quilt::Quilt& quilt, const plan::TraceCost& cost);

/// "rough cut together: 4 and 9"; windows and strips are told.
[[nodiscard]] std::string chunkWords(const quilt::Quilt& quilt, const quilt::Block& block,
                                     const plan::Chunk& chunk);

/// Which side to draw on, and what to do with a second paper.
[[nodiscard]] std::string sideWords(const quilt::Web& web);
[[nodiscard]] std::string papersWords(const quilt::Web& web);

} // namespace up::words
