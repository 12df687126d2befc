// SPDX-License-Identifier: GPL-3.0-or-later
// The sides of an upright rectangle.
#pragma once

#include "core/base/names.hpp"

namespace up::shape {

enum class Side : std::uint8_t { top, bottom, left, right };
constexpr auto keysOf(Side) {
    return std::to_array<std::string_view>({"top", "bottom", "left", "right"});
}

[[nodiscard]] constexpr bool isUpright(Side side) {
    return side == Side::left || side == Side::right;
}
[[nodiscard]] constexpr Side facing(Side side) {
    constexpr Side other[]{Side::bottom, Side::top, Side::right, Side::left};
    return other[static_cast<std::size_t>(side)];
}

} // namespace up::shape
