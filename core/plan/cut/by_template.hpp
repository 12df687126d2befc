// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces without web: what is drawn on the cloth round their templates, not reversed, and what is cut.
#pragma once

#include "core/quilt/quilt.hpp"
#include "core/shape/folding.hpp"

namespace up::plan {

/// Beyond the line of an edge that is turned under. Source: common practice.
inline constexpr measure::Length turnedAllowance = measure::Length::ofInches(1, 4);
/// Beyond the line of a piece that lies beneath a hole: so far the upper cloth holds it. Source: common practice.
inline constexpr measure::Length patchAllowance = measure::Length::ofInches(1, 2);

/// As its outline is drawn, from the front, mm.
struct Template {
    PieceId piece;
    quilt::Join join{};
    shape::Region line; ///< drawn on the right side of the cloth
    shape::Region cut;
    std::vector<std::pair<shape::Point, shape::Point>>
        folds;              ///< of one whose edge is turned: in half both ways, to find its middle
    shape::Folding folding; ///< the same
};
[[nodiscard]] Template templateOf(const quilt::Piece& piece);

} // namespace up::plan
