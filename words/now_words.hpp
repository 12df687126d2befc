// SPDX-License-Identifier: GPL-3.0-or-later
// The Now panel's words: what to do, why, the button, the caution.
#pragma once

#include "core/plan/work/now_plan.hpp"

#include <string>

namespace up::words {

struct NowWords {
    std::string doThis;  ///< one sentence
    std::string because; ///< its reason; may be empty
    std::string button;
    std::string caution; ///< may be empty
};

[[nodiscard]] NowWords nowWords(const quilt::Quilt& quilt, const quilt::Block& block, const plan::Now& now,
                                const plan::TracePlan& trace);

/// "Iron and steam burn: …; the maker's leaflet and local rules come first."
[[nodiscard]] std::string cautionWords(plan::Caution caution);

/// "2, 4–7 and 9"; after `most` numbers or runs "and 31 more".
[[nodiscard]] std::string numbersWords(const quilt::Block& block, const std::vector<PieceId>& pieces,
                                       std::size_t most = 24);

/// "2 keel and 4 roof"; more than two by their numbers, nine at most.
[[nodiscard]] std::string piecesWords(const quilt::Block& block, const std::vector<PieceId>& pieces);

} // namespace up::words
