// SPDX-License-Identifier: GPL-3.0-or-later
// Which way round the letters of a drawing read.
#pragma once

#include "core/base/names.hpp"

#include <cstdint>

namespace up::quilt {

enum class Reading : std::uint8_t {
    unknown, ///< there are none, or they read the same either way
    asSeen,
    mirrored
};
constexpr auto keysOf(Reading) {
    return std::to_array<std::string_view>({"unknown", "asSeen", "mirrored"});
}

} // namespace up::quilt
