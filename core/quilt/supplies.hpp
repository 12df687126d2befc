// SPDX-License-Identifier: GPL-3.0-or-later
// What is at hand beside cloth, web and thread, and what is to be bought; the picture of a fabric.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/measure/length.hpp"

#include <string>

namespace up::quilt {

/// So long is thread that weighs so many grams. Source: ISO 1144: a thread of 1 tex weighs 1 g per 1000 m. `tex` > 0.
[[nodiscard]] constexpr measure::Length threadOf(double grams, double tex) {
    return measure::Length::ofMm(grams / tex * 1e6);
}

/// What a length of something is for.
enum class Purpose : std::uint8_t {
    stabiliser, ///< beneath the stitching, torn or washed away
    batting     ///< between the top and the back
};
constexpr auto keysOf(Purpose) {
    return std::to_array<std::string_view>({"stabiliser", "batting"});
}

/// So much of it is there: a rectangle.
struct Supply {
    SupplyId id;
    std::string name;
    Purpose purpose = Purpose::stabiliser;
    measure::Length width, length;
    std::string key{}; ///< by which the stash of all quilts knows it; none: this quilt alone has it
    std::string extra;
    bool operator==(const Supply&) const = default;
};

/// On the shopping list: a piece of a fabric, at least so large.
struct Want {
    WantId id;
    FabricId fabric;
    measure::Length width, height;
    BlockId block; ///< for which it is missing; none: not said
    std::string extra;
    bool operator==(const Want&) const = default;
};

/// A picture of a fabric's right side.
struct Swatch {
    std::string picture;    ///< a PNG in Base64, RFC 4648; empty: none
    measure::Length across; ///< of what its width shows; 0: not known
    bool operator==(const Swatch&) const = default;
};

} // namespace up::quilt
