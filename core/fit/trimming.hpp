// SPDX-License-Identifier: GPL-3.0-or-later
// What a block has become once it is stitched: how it is trimmed, how much stitching drew it in, and what can still be done
// when it came out too small.
#pragma once

#include "core/fit/unit.hpp"

namespace up::fit {

/// Narrower seams are said not to hold. Source: common practice.
inline constexpr Length leastSeam = Length::ofInches(1, 8);
/// Narrower framing strips are hard to keep even. Source: common practice.
inline constexpr Length leastFrame = Length::ofInches(1, 2);

struct Frame {
    Length finished, cutWide; ///< of strips all round
    Extent trimTo;            ///< the block, before it is framed
};

struct Trimming {
    Extent trimTo;              ///< raw edge to raw edge
    Extent lacking;             ///< of what it should be trimmed to, as far as it is too small
    Extent over;                ///< is cut off, both sides together
    std::optional<Length> seam; ///< so narrow a seam would do, where it is too small
    std::optional<Frame> frame; ///< so would this
    [[nodiscard]] bool isShort() const { return lacking.wide > Length() || lacking.high > Length(); }
};

/// Of a block that is to be seen as large as `place` and measures `has` from raw edge to raw edge. A seam is given in whole
/// 1/32 in, a frame in whole 1/8 in.
[[nodiscard]] Trimming trimmingOf(const Extent& place, const Extent& has);

/// How much narrower cloth was after stitching than it was cut: what it lost for each part it had.
[[nodiscard]] double drawnIn(Length cut, Length has);

/// So much larger than its cut size a background is cut, so that cloth that is drawn in by `share` still measures the cut size and
/// 1/8 in to trim on either side; in whole 1/4 in, at least that. `size`: the longer side of the cut size. `share` < 1.
[[nodiscard]] Length oversizeFor(Length size, double share);

} // namespace up::fit
