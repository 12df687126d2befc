// SPDX-License-Identifier: GPL-3.0-or-later
// The bias strips of a quilt, cut from the cloth that is there or from the bolt.
#pragma once

#include "core/bias/cutting.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

using measure::Length;

/// All bias strips of one fabric that are still to be laid, cut from what there is of it.
struct BiasPlan {
    FabricId fabric;
    std::vector<LineId> lines; ///< by strip, as they were asked for
    std::vector<ClothId>
        cloths; ///< by bias::Band::cloth; upright pieces as they lie; none when it is to be bought
    std::vector<bias::Cloth> sizes; ///< of them, or of what is bought
    std::vector<bias::Strip> strips;
    bias::Cutting cutting;
    std::optional<Length> buy{}; ///< off the bolt, when what is there does not do
};
/// Cloth comes so wide from the bolt. Source: common practice.
inline constexpr Length boltWide = Length::ofInches(42, 1);
[[nodiscard]] std::vector<BiasPlan> planBias(const quilt::Quilt& quilt);

} // namespace up::plan
