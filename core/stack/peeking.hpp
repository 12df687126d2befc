// SPDX-License-Identifier: GPL-3.0-or-later
// Lower pieces that peek out: slivers that show, and edges that almost coincide and will show when a piece is
// laid a thread beside its place.
#pragma once

#include "core/stack/stack.hpp"

#include <optional>

namespace up::stack {

/// 1/16 in. Source: common practice.
inline constexpr double peekLimit = 25.4 / 16;
/// Shorter stretches are where edges cross. Common practice, no source.
inline constexpr double leastPeek = 25.4 * 3 / 8;

/// A place where `lower` shows, or nearly shows, beside the edge of `upper`.
struct Peek {
    std::size_t lower, upper;
    bool shows;          ///< a sliver shows now; else the edge lies hidden just beneath the upper's edge
    double length;       ///< mm, of all such places of the two
    double distance;     ///< mm: how wide the sliver is on average, or how far beneath the edge lies
    shape::Region where; ///< the sliver, or the strip between the two edges
    shape::Point spot;   ///< in the middle of the longest place
    bool operator==(const Peek&) const = default;
};

/// Of one piece, beneath the pieces `above` it, `cover` being all of these and `visible` what shows. Nothing
/// outside `within` counts: it lies in the seam. Where the piece itself is thinner than `limit` mm it is no
/// sliver; where it merely meets the upper piece, or ends beneath it, it does not peek.
[[nodiscard]] std::vector<Peek> peeksOf(const std::vector<shape::Region>& pieces, std::size_t piece,
                                        const std::vector<std::size_t>& above, const shape::Region& cover,
                                        const shape::Region& visible, const shape::Region& within,
                                        double limit = peekLimit);

/// The lower piece cut back until its edge lies `limit` mm further beneath than is doubtful; nothing that
/// showed is lost but the sliver.
[[nodiscard]] shape::Region trimmedBack(const shape::Region& lower, const shape::Region& upper,
                                        const Peek& peek, double limit = peekLimit);
/// The upper piece made wider there, until it hides the lower by `limit` mm.
[[nodiscard]] shape::Region widened(const shape::Region& upper, const Peek& peek, double limit = peekLimit);
/// How far the upper piece must move to hide the lower by `limit` mm at that place; nothing when that place
/// goes round it, so that moving helps on one side and harms on the other.
[[nodiscard]] std::optional<shape::Point> nudge(const shape::Region& upper, const Peek& peek,
                                                double limit = peekLimit);

} // namespace up::stack
