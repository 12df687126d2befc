// SPDX-License-Identifier: GPL-3.0-or-later
// Strips of one fabric, cut from the cloth that is there or off the bolt; and those that blocks are set with.
#pragma once

#include "core/quilt/quilt.hpp"
#include "core/strips/cutting.hpp"

namespace up::plan {

using measure::Length;

struct StripsCut {
    FabricId fabric;
    std::vector<ClothId>
        cloths; ///< by strips::Band::cloth; upright pieces as they lie; none when it is to be bought
    std::vector<strips::Cloth> sizes; ///< of them, or of what is bought
    std::vector<strips::Strip> strips;
    strips::Cutting cutting;
    std::optional<Length> buy{}; ///< off the bolt, when what is there does not do
};
/// Cloth comes so wide from the bolt. Source: common practice.
inline constexpr Length boltWide = Length::ofInches(42, 1);

/// That of the fabric, new when there is none.
template<class Cut> [[nodiscard]] Cut& ofFabric(std::vector<Cut>& all, FabricId fabric) {
    for (auto& cut : all)
        if (cut.fabric == fabric) return cut;
    all.emplace_back().fabric = fabric;
    return all.back();
}

/// Where `strips` of `fabric` are cut: from all cloth of it that is not held for anything; if that does not do, all of them off the
/// bolt. `straight`: along the cloth's longer side, else at 45°.
void cutFrom(const quilt::Quilt& quilt, StripsCut& of, bool straight);

/// Strips, frames and borders that are still to be sewn on, by fabric.
struct SettingCut : StripsCut {
    std::vector<BlockId> blocks; ///< by strip; none: of a border
};
[[nodiscard]] std::vector<SettingCut> planSettingCut(const quilt::Quilt& quilt);

} // namespace up::plan
