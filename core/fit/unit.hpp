// SPDX-License-Identifier: GPL-3.0-or-later
// A block with the strips that are sewn to it, so that it fits into its place in the quilt.
#pragma once

#include "core/measure/length.hpp"
#include "core/shape/side.hpp"

#include <array>
#include <optional>
#include <vector>

namespace up::fit {

using measure::Length;

using shape::Side;

/// ¼ in. Source: common practice.
inline constexpr Length usualSeam = Length::ofInches(1, 4);

struct Extent {
    Length wide, high;
    bool operator==(const Extent&) const = default;
};

/// What a block comes to be sewn into.
struct UnitJob {
    Extent place;                    ///< the block as it is to be seen, finished
    Extent cut;                      ///< as it is trimmed, raw edge to raw edge
    Length seam = usualSeam;         ///< with which it is sewn to what lies round it
    std::array<Length, 4> planned{}; ///< by side: how wide a strip is to be seen there; 0: none
    std::vector<Side> order;         ///< in which strips are sewn on; sides that are not named get none
};

struct Strip {
    Side side{};
    Length cutWide, cutLong; ///< raw edge to raw edge
    Length finished;         ///< across
    Length more;             ///< across, than planned
};

struct Unit {
    std::vector<Strip> strips; ///< in the order in which they are sewn on
    Extent finished;           ///< with them
    Extent lacking;            ///< of its place, what no strip makes up; below 0: it is too large
};

/// What the block lacks of its place the strips on either side make up, half each, or one alone [A]. Each strip is as long as
/// what it is sewn to: the block's raw edge and the strips that are on already.
[[nodiscard]] Unit unitOf(const UnitJob& job);

/// The two triangles at the sides of blocks set on point are cut from one square, cut twice from corner to corner; those at the
/// quilt's corners are two of a square that is cut once. Each of them this high, for blocks that finish so wide, to the next
/// 1/8 in: finished × √2 + 1¼ in; finished / √2 + ⅞ in. Source: common practice.
[[nodiscard]] Length sideTriangleSquare(Length finished);
[[nodiscard]] Length cornerTriangleSquare(Length finished);

} // namespace up::fit
