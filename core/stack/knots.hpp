// SPDX-License-Identifier: GPL-3.0-or-later
// Interwoven pieces taken apart: one of them is cut in two, where it shows between the one it lies on and the
// one it lies under.
#pragma once

#include "core/stack/stack.hpp"

#include <optional>

namespace up::stack {

/// One way round through a knot: each lies over the next, the last over the first. The shortest there is.
[[nodiscard]] std::vector<std::size_t> ringIn(const std::vector<std::size_t>& knot,
                                              const std::vector<Overlap>& overlaps);

/// `piece` in two: `over` keeps to the pieces it lies on, `under` to those that lie on it; `under` reaches
/// beneath `over` as far as there is room, up to the underlap.
struct Untied {
    std::size_t piece;
    shape::Region over, under;
    double join = 0;   ///< mm of seam between the two that shows
    shape::Point spot; ///< in the middle of it
};

/// The cut with the shortest join; nothing when the pieces of the ring all meet in one place, where no cut
/// helps and one of them must go lower. `ring` as ringIn gives it.
[[nodiscard]] std::optional<Untied> untied(const std::vector<shape::Region>& pieces,
                                           const std::vector<std::size_t>& ring, double underlap);

} // namespace up::stack
