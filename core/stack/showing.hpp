// SPDX-License-Identifier: GPL-3.0-or-later
// What of each piece shows, what hides the rest, and how many layers lie where. Exact: areas and lines are
// clipped, nothing is counted in dots.
#pragma once

#include "core/stack/stack.hpp"

namespace up::stack {

/// For each piece those above it that lie on it or near it (their boxes come within `reach` mm), lowest
/// first. Positions decide, unless something else was `said`.
[[nodiscard]] std::vector<std::vector<std::size_t>>
aboveOf(const std::vector<shape::Region>& pieces, const std::vector<Pair>& said = {}, double reach = 0);

/// The pieces of `which` as one.
/// `together` of each of those sets of positions, which are sorted. Neighbours that lie in several of them are united
/// once, so that hundreds of pieces on one heap take no longer than a few.
[[nodiscard]] std::vector<shape::Region> allTogether(const std::vector<shape::Region>& pieces,
                                                     const std::vector<std::vector<std::size_t>>& sets);
[[nodiscard]] shape::Region together(const std::vector<shape::Region>& pieces,
                                     const std::vector<std::size_t>& which);

/// What shows of one piece beneath `cover`.
[[nodiscard]] shape::Region visiblePart(const shape::Region& piece, const shape::Region& cover);
/// The stretches of its edge that `cover` does not hide; stretches that meet are joined. A whole visible ring
/// repeats its first point at the end.
[[nodiscard]] std::vector<shape::Polyline> visibleEdge(const shape::Region& piece,
                                                       const shape::Region& cover);

/// A stretch of an edge and the piece that hides it: of several the lowest, under which the edge is tucked.
struct Hidden {
    shape::Polyline line;
    std::size_t by;
};
[[nodiscard]] std::vector<Hidden> hiddenEdge(const std::vector<shape::Region>& pieces, std::size_t piece,
                                             const std::vector<std::size_t>& above);

/// All pieces at once, by position.
[[nodiscard]] std::vector<shape::Region> visibleParts(const std::vector<shape::Region>& pieces);
[[nodiscard]] std::vector<std::vector<shape::Polyline>>
visibleEdges(const std::vector<shape::Region>& pieces);

/// `[k]`: where more than k pieces lie on each other; as many as are needed, the last one not empty.
[[nodiscard]] std::vector<shape::Region> layersOf(const std::vector<shape::Region>& pieces);

/// Joins lines end to end where their ends meet, in whatever direction they run.
[[nodiscard]] std::vector<shape::Polyline> joined(std::vector<shape::Polyline> parts);

} // namespace up::stack
