// SPDX-License-Identifier: GPL-3.0-or-later
// Ids that cannot be mixed up: a PieceId is not a FabricId. 0 means "none".
#pragma once

#include <compare>
#include <cstdint>
#include <functional>

namespace up {

template<class Tag> struct Id {
    std::uint32_t value = 0;
    [[nodiscard]] explicit operator bool() const { return value != 0; }
    auto operator<=>(const Id&) const = default;
};

using BlockId = Id<struct BlockTag>;
using PieceId = Id<struct PieceTag>;
using FabricId = Id<struct FabricTag>;
using WebId = Id<struct WebTag>;
using ThreadId = Id<struct ThreadTag>;
using ClothId = Id<struct ClothTag>;
using OffCutId = Id<struct OffCutTag>;
using IronId = Id<struct IronTag>;
using SupplyId = Id<struct SupplyTag>;
using LineId = Id<struct LineTag>;
using WantId = Id<struct WantTag>;

} // namespace up

template<class Tag> struct std::hash<up::Id<Tag>> {
    std::size_t operator()(up::Id<Tag> id) const noexcept { return std::hash<std::uint32_t>{}(id.value); }
};
