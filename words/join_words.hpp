// SPDX-License-Identifier: GPL-3.0-or-later
// Sentences about how pieces are joined, and what is done with those without web.
#pragma once

#include "core/plan/cut/by_template.hpp"
#include "core/plan/work/now_plan.hpp"

#include <optional>
#include <string>

namespace up::words {

/// "edge turned under, by hand".
[[nodiscard]] std::string joinName(quilt::Join join);
/// What that means, in a sentence.
[[nodiscard]] std::string joinMeans(quilt::Join join);
/// "Trace, clean cut, turn the edge, lay, stitch": the steps of a piece joined so.
[[nodiscard]] std::string stepsWords(const quilt::Way& way);

struct JoinSaid {
    std::string what, because, deed; ///< on the button
};
/// Of a step of pieces without web, or of cutting away; nothing of others.
[[nodiscard]] std::optional<JoinSaid> joinSaid(const quilt::Quilt& quilt, const quilt::Block& block,
                                               const plan::Now& now);

/// "2 1/2 × 3 in, with 1/4 in to turn under; 5 clips where it bends inwards".
[[nodiscard]] std::string templateWords(const quilt::Quilt& quilt, const plan::Template& one);

} // namespace up::words
